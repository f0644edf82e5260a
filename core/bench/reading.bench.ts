import { bestOrder, dayCase, planDay, ShotLooks } from '../src/day';
import { readFileSync } from 'node:fs';
import { PerspectiveCamera, Vector3 } from 'three';
import { readShootFile } from '../src/formats';
import { sceneOf, type Scene } from '../src/scene';
import { DEFAULT_KIT } from '../src/model';
import { motionOf, sampleShot } from '../src/motion';
import { balanceOf } from '../src/supports';
import { readShot } from '../src/reading';
import { everywhere, siteMotion, stillPoints, subjectInFrame } from '../src/image';
import { pointsOf, type SitePoints } from '../src/site';
import { quickest, row } from './quickest';
import { sampleTheMostComplex } from './sampling.bench';
import { readingStages } from './stages.bench';

/**
 * Prints what a reading costs here, and how that compares with three.js doing the same projection and speed. Ratios
 * come from one process.
 */
const SITE_POINTS = 2000;
const ROUNDS = 60;

const shoot = readShootFile(readFileSync(new URL('../../demo/first-flush.arc.json', import.meta.url), 'utf8'));
const shot = {
  ...shoot.shots[2],
  frameRateHz: 60,
  captureRateHz: 60,
  timing: { ...shoot.shots[2].timing, durationS: 10 },
};
const scene = sceneOf(shoot, shot);

function exactly(count: number, points: SitePoints): SitePoints {
  const pick = (axis: number) =>
    Float64Array.from({ length: count }, (_, i) => points.xyzM[3 * Math.floor((i * points.count) / count) + axis]);
  return pointsOf(pick(0), pick(1), pick(2));
}

/**
 * The same work in three.js: every point through `Vector3.project` in every frame, and its displacement from the frame
 * before.
 */
function withThree(given: Scene, points: SitePoints): number {
  const samples = sampleShot(given);
  const camera = new PerspectiveCamera();
  camera.filmGauge = samples.frameWidthMm;
  camera.aspect = samples.frameWidthMm / samples.frameHeightMm;
  const spots = Array.from(
    { length: points.count },
    (_, i) => new Vector3(points.xyzM[3 * i], points.xyzM[3 * i + 2], -points.xyzM[3 * i + 1]),
  );
  const before = new Float64Array(points.count * 2);
  const vector = new Vector3();
  let sum = 0;
  for (let row = 0; row < samples.count; row += 1) {
    camera.setFocalLength(samples.focalLengthMm[row]);
    camera.position.set(samples.xM[row], samples.zM[row], -samples.yM[row]);
    camera.rotation.set((samples.tiltDeg[row] * Math.PI) / 180, (-samples.panDeg[row] * Math.PI) / 180, 0, 'YXZ');
    camera.updateMatrixWorld();
    for (let i = 0; i < spots.length; i += 1) {
      vector.copy(spots[i]).project(camera);
      const u = vector.x / 2;
      const w = vector.y / 2 / camera.aspect;
      if (row > 0 && Math.abs(vector.x) <= 1 && Math.abs(vector.y) <= 1 && vector.z < 1)
        sum += Math.hypot(u - before[2 * i], w - before[2 * i + 1]);
      before[2 * i] = u;
      before[2 * i + 1] = w;
    }
  }
  return sum;
}

const motion = motionOf(scene);
const points = exactly(SITE_POINTS, stillPoints(scene, motion).auto);
const samples = sampleShot(scene, motion);
const subject = subjectInFrame(samples, scene);
const pointFrames = points.count * samples.count;

const kernelMs = quickest(ROUNDS, () =>
  siteMotion(samples, everywhere(points), subject.depthM, subject.rightwards, subject.upwards),
);
const threeMs = quickest(10, () => withThree(scene, points));
const samplingMs = quickest(ROUNDS, () => sampleShot(scene, motion));
const pointsMs = quickest(ROUNDS, () => stillPoints(scene, motion));
const wholeMs = quickest(ROUNDS, () => readShot(shoot, shot));

console.log(`a ${shot.timing.durationS} s move at ${shot.frameRateHz} samples a second: ${samples.count} rows`);
row(
  `projection and speed, ${points.count} points`,
  kernelMs,
  `${((kernelMs * 1e6) / pointFrames).toFixed(1)} ns a point and frame`,
);
row(
  'the same with three.js Vector3.project',
  threeMs,
  `${((threeMs * 1e6) / pointFrames).toFixed(1)} ns a point and frame`,
);
row('sampling the move', samplingMs);
row(`collecting the site's points (${stillPoints(scene, motion).auto.count})`, pointsMs);
row('the whole reading, as the worker does it', wholeMs, `${((100 * wholeMs) / 16).toFixed(0)}% of a 16 ms frame`);
console.log(`ratio to three.js: ${(threeMs / kernelMs).toFixed(1)} times as quick (floor 6, aim 10)`);

const complex = sampleTheMostComplex();
const complexMs = quickest(ROUNDS, complex.work);
row(
  `sampling the most complex chain (${complex.count} rows)`,
  complexMs,
  `${((100 * complexMs) / 5).toFixed(0)}% of the 5 ms it may take`,
);
row('of which laying out its legs', complexMs - quickest(ROUNDS, complex.share));
console.log(`ratio of the most complex chain to a plain move: ${(complexMs / samplingMs).toFixed(1)}`);

const balancing = DEFAULT_KIT.builds.map((build) => quickest(10, () => balanceOf(build, DEFAULT_KIT, 'metric')));
row(
  `the slowest of ${balancing.length} builds to balance`,
  Math.max(...balancing),
  `${((100 * Math.max(...balancing)) / 50).toFixed(0)}% of the 50 ms it may take`,
);

/** Forty shots of the demo in one day: a look at them, the best order, and a day that runs late. */
function theDay() {
  const shots = Array.from({ length: 40 }, (_, i) => ({ ...shoot.shots[i % shoot.shots.length], id: `day-${i}` }));
  const full = { ...shoot, shots, day: { ...shoot.day, wishes: [], order: [], callMin: 240, wrapMin: 1200 } };
  const looks = new ShotLooks();
  const caseMs = quickest(1, () => dayCase(full, { looks }));
  const given = dayCase(full, { looks });
  const { order } = bestOrder(given.problem);
  const searchMs = quickest(2, () => bestOrder(given.problem));
  const ids = order.map((k) => given.works[k].shot.id);
  const late = { ...full, day: { ...full.day, order: ids } };
  const lateMs = quickest(5, () => planDay(late, 'best', { looks, lateMin: 20, quick: true }));
  row('a day of 40 shots: looking at them for the first time', caseMs);
  row('the best order of 40 shots', searchMs, `${((100 * searchMs) / 2000).toFixed(0)}% of the 2 s it may take`);
  row(
    'the rest planned anew, 20 minutes late',
    lateMs,
    `${((100 * lateMs) / 300).toFixed(0)}% of the 300 ms it may take`,
  );
}
theDay();

readingStages();
