import { motionOf, plannedFilm, sampleShot } from '../src/motion';
import { heightsM, pictureFindings, rigCase, rigFindings, severity } from '../src/findings';
import { sceneOf } from '../src/scene';
import { compareLenses, readFigures, readShot } from '../src/reading';
import {
  LAYER_ROWS_HZ,
  measurePicture,
  rasterThrough,
  screenMotion,
  siteMotion,
  subjectInFrame,
  visibleShare,
} from '../src/image';
import { searchCures } from '../src/search';
import { busyShoot } from './busy-site';
import { quickest, quickestRound, row } from './quickest';

const ROUNDS = 30;
const READING_MS = 60;
const CURES_MS = 2000;
const COMPARE_MS = 100;

/**
 * Prints what a whole reading of a busy site costs, the share of each of its stages, how it grows with frames and
 * pieces, and what a search for cures takes.
 */
export function readingStages(): void {
  const { shoot, shot } = busyShoot(60, 8, 10, 60);
  const scene = sceneOf(shoot, shot);
  const motion = motionOf(scene);
  const samples = sampleShot(scene, motion);
  const subject = subjectInFrame(samples, scene);
  const seen = () => rasterThrough(scene, samples, subject.depthM, 2);
  const { pointsAt } = seen();
  const heights = heightsM(scene, samples);
  const film = plannedFilm(scene, motion);
  const picture = measurePicture(film, 'metric');
  const whole = quickest(ROUNDS, () => readShot(shoot, shot));
  console.log(
    `\na full reading: 10 s at 60 a second (${samples.count} rows), ${scene.pieces.length} pieces, 8 of them figures`,
  );
  row('the whole reading', whole, `${((100 * whole) / READING_MS).toFixed(0)}% of the ${READING_MS} ms it may take`);
  const stages: [string, () => void][] = [
    ['laying out and sampling the move', () => sampleShot(scene, motionOf(scene))],
    ['rasters: what fills the picture, and pieces', seen],
    [
      'speeds of near and far',
      () =>
        siteMotion(
          samples,
          pointsAt,
          subject.depthM,
          subject.rightwards,
          subject.upwards,
          Math.floor(samples.frameRateHz / LAYER_ROWS_HZ),
        ),
    ],
    ['visible share of the subject', () => visibleShare(scene, samples)],
    ['starts, stops and evenness on screen', () => screenMotion(samples, subject.depthM, picture.site)],
    ['findings of the picture', () => pictureFindings(picture)],
    ['findings of the rig', () => rigFindings(rigCase(film, 'metric', heights))],
  ];
  const round = quickestRound(
    ROUNDS,
    stages.map(([, work]) => work),
  );
  const total = round.reduce((sum, ms) => sum + ms, 0);
  stages.forEach(([name], i) => row(`  ${name}`, round[i], `${((100 * round[i]) / total).toFixed(0)}%`));
  row(
    'the numbers and marks besides',
    quickest(ROUNDS, () => readFigures(picture)),
    'once, when a reading is shown',
  );

  const cost = (pieces: number, durationS: number) => {
    const busy = busyShoot(pieces, 8, durationS, 60);
    return quickest(ROUNDS / 2, () => readShot(busy.shoot, busy.shot));
  };
  const [half, full, twice] = [5, 10, 20].map((durationS) => cost(60, durationS));
  console.log(
    `growth with frames, 300 : 600 : 1200 rows: 1 : ${(full / half).toFixed(2)} : ${(twice / half).toFixed(2)} (linear: 1 : 2 : 4)`,
  );
  const [few, some, many] = [30, 60, 120].map((pieces) => cost(pieces, 10));
  console.log(
    `growth with pieces, 30 : 60 : 120: 1 : ${(some / few).toFixed(2)} : ${(many / few).toFixed(2)} (linear at most: 1 : 2 : 4)`,
  );

  const troubled = busyShoot(60, 8, 10, 25);
  const timing = { ...troubled.shot.timing, durationS: 5, featherInS: 0.4, featherOutS: 0.3 };
  const bad = { ...troubled.shot, timing };
  const troubles = readShot(troubled.shoot, bad).findings.filter((finding) => severity(finding) > 0);
  const five = new Set<string>(troubles.slice(0, 5).map(({ id }) => id));
  let readings = 0;
  const searchMs = quickest(3, () => {
    readings = 0;
    const found = new Set<string>();
    for (const step of searchCures(troubled.shoot, bad)) {
      readings += 1;
      if (step.found && five.has(step.found.findingId)) found.add(step.found.findingId);
      if (found.size === five.size) break;
    }
  });
  row(
    `cures for ${five.size} findings of ${troubles.length} (${readings} readings)`,
    searchMs,
    `${((100 * searchMs) / CURES_MS).toFixed(0)}% of the ${CURES_MS} ms they may take`,
  );

  const lenses = busyShoot(60, 8, 10, 24);
  const compareMs = quickest(10, () => compareLenses(lenses.shoot, lenses.shot, [16, 24, 35, 50, 70, 100], 'framing'));
  row(
    'a 10 s shot at 24 through six focal lengths',
    compareMs,
    `${((100 * compareMs) / COMPARE_MS).toFixed(0)}% of the ${COMPARE_MS} ms it may take`,
  );
}
