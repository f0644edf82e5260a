import { cameraSpeedMps, heightsM, kindOf } from '@gentle-arc/core/findings';
import * as Comlink from 'comlink';
import { readFigures, Readings } from '@gentle-arc/core/reading';
import { smoothed } from '@gentle-arc/core/motion';
import { driftByAim, SEEN_S, whileInFrame } from '@gentle-arc/core/image';
import { searchCures } from '@gentle-arc/core/search';
import { sceneOf } from '@gentle-arc/core/scene';
import { heardOut } from './heard-out';
import { KeptShoot } from './kept-shoot';
import { ShotQuestionSchema, type ReadingWorker, type ShownReading } from './messages';

/** How often a search listens, and how often it tells how far it is, ms. */
const REST_MS = 25;
const TELL_MS = 100;
let searches = 0;

const kept = new KeptShoot();
const readings = new Readings();

const worker: ReadingWorker = {
  sync: (patch) => kept.sync(patch),
  async read(message) {
    const from = performance.now();
    const { shotId, units } = ShotQuestionSchema.parse(message);
    const { picture, findings, cautions, approaches, passes, sweeps, heights } = readings.read(
      kept.shoot,
      kept.shot(shotId),
      units,
    );
    const { samples, site, subject } = picture;
    const columns: ShownReading['columns'] = {
      // As they are judged: a shorter flicker is not seen as motion.
      nearSpeed: smoothed(site.near.speed, SEEN_S * samples.frameRateHz),
      subjectSpeed: smoothed(whileInFrame(subject, subject.speed), SEEN_S * samples.frameRateHz),
      farSpeed: smoothed(site.far.speed, SEEN_S * samples.frameRateHz),
      subjectHeight: whileInFrame(subject, subject.height),
      visible: picture.visible.slice(),
      cameraSpeedMps: cameraSpeedMps(samples),
      cameraHeightM: samples === picture.filmed ? heights.slice() : heightsM(picture.scene, samples),
      focusDistanceM: samples.focusDistanceM.slice(),
      focalLengthMm: samples.focalLengthMm.slice(),
    };
    const reading: ShownReading = {
      frameRateHz: samples.frameRateHz,
      columns,
      racks: picture.scene.shot.focus.mode === 'racks' || picture.intent.racksFocus,
      findings: findings.map((finding) => ({ ...finding, about: kindOf(finding.id).about })),
      figures: readFigures(picture, units),
      cautions,
      approaches,
      passes,
      sweeps,
      tookMs: performance.now() - from,
    };
    return Comlink.transfer(
      reading,
      Object.values(columns).map((column) => column.buffer as ArrayBuffer),
    );
  },
  async drifts(message) {
    const { shotId } = ShotQuestionSchema.parse(message);
    return driftByAim(sceneOf(kept.shoot, kept.shot(shotId)));
  },
  search: (message, onStep) =>
    heardOut(onStep, async (tell) => {
      const { shotId, units } = ShotQuestionSchema.parse(message);
      searches += 1;
      const number = searches;
      let [restedMs, toldMs] = [performance.now(), 0];
      for (const step of searchCures(kept.shoot, kept.shot(shotId), units)) {
        const nowMs = performance.now();
        if (step.found || nowMs - toldMs > TELL_MS) {
          tell(step);
          toldMs = nowMs;
        }
        if (nowMs - restedMs < REST_MS) continue;
        // Lets a word to call it off come in.
        await new Promise((resolve) => setTimeout(resolve));
        if (number !== searches) return false;
        restedMs = performance.now();
      }
      return true;
    }),
  async callOff() {
    searches += 1;
  },
};

Comlink.expose(worker);
