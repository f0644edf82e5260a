import * as Comlink from 'comlink';
import type { Shot } from '@gentle-arc/core/model/shot';
import { readShot } from '@gentle-arc/core/reading/read-shot';
import { driftByAim } from '@gentle-arc/core/screen/aim-drift';
import { whileInFrame } from '@gentle-arc/core/screen/subject-in-frame';
import { curesFor } from '@gentle-arc/core/search/cures';
import { ReadingRequestSchema, type ReadingRequest, type ReadingWorker, type ShownReading } from './messages';

function shotOf({ shoot, shotId }: ReadingRequest): Shot {
  const shot = shoot.shots.find((row) => row.id === shotId);
  if (!shot) throw new RangeError(`No shot ${shotId} in this shoot.`);
  return shot;
}

const worker: ReadingWorker = {
  async read(message) {
    const from = performance.now();
    const request = ReadingRequestSchema.parse(message);
    const { picture, findings, cautions, approaches, heights } = readShot(request.shoot, shotOf(request), request.units);
    const { samples, site, subject } = picture;
    const cameraSpeedMps = new Float64Array(samples.count);
    for (let i = 1; i < samples.count; i += 1)
      cameraSpeedMps[i] = Math.hypot(samples.xM[i] - samples.xM[i - 1], samples.yM[i] - samples.yM[i - 1], samples.zM[i] - samples.zM[i - 1]) * samples.captureRateHz;
    const columns: ShownReading['columns'] = {
      nearSpeed: site.near.speed,
      subjectSpeed: whileInFrame(subject, subject.speed),
      farSpeed: site.far.speed,
      subjectHeight: whileInFrame(subject, subject.height),
      visible: picture.visible,
      cameraSpeedMps,
      cameraHeightM: heights,
      focusDistanceM: samples.focusDistanceM,
      focalLengthMm: samples.focalLengthMm,
    };
    const reading: ShownReading = {
      frameRateHz: samples.frameRateHz,
      columns,
      racks: picture.motion.legs.some(({ recipe }) => recipe.focus !== undefined),
      drifts: driftByAim(picture.setup),
      findings,
      cautions,
      approaches,
      tookMs: performance.now() - from,
    };
    return Comlink.transfer(
      reading,
      Object.values(columns).map((column) => column.buffer as ArrayBuffer),
    );
  },
  async cures(message, findingId) {
    const request = ReadingRequestSchema.parse(message);
    const shot = shotOf(request);
    const finding = readShot(request.shoot, shot, request.units).findings.find((row) => row.id === findingId);
    return finding ? curesFor(request.shoot, shot, finding, request.units) : [];
  },
};

Comlink.expose(worker);
