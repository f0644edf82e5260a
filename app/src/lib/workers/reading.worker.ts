import { kindOf } from '@gentle-arc/core/findings/all';
import * as Comlink from 'comlink';
import type { Shot } from '@gentle-arc/core/model/shot';
import { heightsM } from '@gentle-arc/core/findings/rig/heights';
import { readShot } from '@gentle-arc/core/reading/read-shot';
import { smoothed } from '@gentle-arc/core/motion/columns';
import { readFigures } from '@gentle-arc/core/reading/read-figures';
import { SEEN_S } from '@gentle-arc/core/image/figures';
import { driftByAim } from '@gentle-arc/core/image/aim-drift';
import { cameraSpeedMps } from '@gentle-arc/core/findings/picture/evenness';
import { whileInFrame } from '@gentle-arc/core/image/subject-in-frame';
import { searchCures } from '@gentle-arc/core/search/cures';
import { ReadingRequestSchema, type ReadingRequest, type ReadingWorker, type ShownReading } from './messages';

function shotOf({ shoot, shotId }: ReadingRequest): Shot {
  const shot = shoot.shots.find((row) => row.id === shotId);
  if (!shot) throw new RangeError(`No shot ${shotId} in this shoot.`);
  return shot;
}

/** How often a search listens, and how often it tells how far it is, ms. */
const REST_MS = 25;
const TELL_MS = 100;
let searches = 0;

const worker: ReadingWorker = {
  async read(message) {
    const from = performance.now();
    const request = ReadingRequestSchema.parse(message);
    const { picture, findings, cautions, approaches, heights } = readShot(
      request.shoot,
      shotOf(request),
      request.units,
    );
    const { samples, site, subject } = picture;
    const columns: ShownReading['columns'] = {
      // As they are judged: a shorter flicker is not seen as motion.
      nearSpeed: smoothed(site.near.speed, SEEN_S * samples.frameRateHz),
      subjectSpeed: smoothed(whileInFrame(subject, subject.speed), SEEN_S * samples.frameRateHz),
      farSpeed: smoothed(site.far.speed, SEEN_S * samples.frameRateHz),
      subjectHeight: whileInFrame(subject, subject.height),
      visible: picture.visible,
      cameraSpeedMps: cameraSpeedMps(samples),
      cameraHeightM: samples === picture.filmed ? heights : heightsM(picture.scene, samples),
      focusDistanceM: samples.focusDistanceM,
      focalLengthMm: samples.focalLengthMm,
    };
    const reading: ShownReading = {
      frameRateHz: samples.frameRateHz,
      columns,
      racks: picture.scene.shot.focus.mode === 'racks' || picture.intent.racksFocus,
      drifts: driftByAim(picture.scene),
      findings: findings.map((finding) => ({ ...finding, about: kindOf(finding.id).about })),
      figures: readFigures(picture, request.units),
      cautions,
      approaches,
      tookMs: performance.now() - from,
    };
    return Comlink.transfer(
      reading,
      Object.values(columns).map((column) => column.buffer as ArrayBuffer),
    );
  },
  async search(message, onStep) {
    const request = ReadingRequestSchema.parse(message);
    searches += 1;
    const number = searches;
    let [restedMs, toldMs] = [performance.now(), 0];
    for (const step of searchCures(request.shoot, shotOf(request), request.units)) {
      const nowMs = performance.now();
      if (step.found || nowMs - toldMs > TELL_MS) {
        onStep(step);
        toldMs = nowMs;
      }
      if (nowMs - restedMs < REST_MS) continue;
      // Lets a word to call it off come in.
      await new Promise((resolve) => setTimeout(resolve));
      if (number !== searches) return false;
      restedMs = performance.now();
    }
    return true;
  },
  async callOff() {
    searches += 1;
  },
};

Comlink.expose(worker);
