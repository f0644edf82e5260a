import { sayLength, trim } from '../../model';
import { CAMERA_SIZE, depthOfField, type InPicture, project, writeCamera } from '../../optics';
import { planAt } from '../controls/plan-at';
import { evenly } from './flown-path';
import { valueAt } from './matched';
import { type Judged, ramp, type Tried } from './tried';

const PLACE = { free: 0.02, lost: 0.3 };
/** A plan that is sharp by a hair is not lost by rounding. */
const SLACK = 0.01;

/**
 * How far the subject was from its place in the picture while the camera was on its way, as though the try had been in
 * time: lateness is charged with timing. Null without a subject, or where the plan never has it in the frame.
 */
export function placeOf({ match, film }: Tried): Judged | null {
  const { scene, filmed } = film;
  if (!scene.subject || !scene.part) return null;
  const { plan, flown, planS, startS, endS, moves } = match;
  const at = (['subjectXM', 'subjectYM', 'subjectZM', 'focalLengthMm'] as const).map((key) => planAt(filmed, key));
  const camera = new Float64Array(CAMERA_SIZE);
  const [own, wanted]: InPicture[] = [0, 1].map(() => ({ u: 0, w: 0, depthM: 0 }));
  const see = (way: typeof plan, rowS: number, focalMm: number, spot: number[], out: InPicture) => {
    const of = (key: keyof typeof way.slow) => valueAt(way.slow[key], way.rateHz, rowS);
    writeCamera(
      camera,
      0,
      of('xM'),
      of('yM'),
      of('zM'),
      of('panDeg'),
      of('tiltDeg'),
      of('rollDeg'),
      focalMm,
      filmed.frameWidthMm,
    );
    project(camera, 0, spot[0], spot[1], spot[2] + (scene.part?.heightM ?? 0) / 2, out);
  };
  let [square, count, most, mostS, right, up] = [0, 0, 0, 0, 0, 0];
  const aspect = filmed.frameHeightMm / filmed.frameWidthMm;
  for (let j = 0; j < flown.count; j += 1) {
    const s = planS[j];
    if (moves !== null && (s <= startS + 1e-6 || s >= endS - 1e-6)) continue;
    const spot = at.slice(0, 3).map((column) => column(s));
    see(plan, s, at[3](s), spot, wanted);
    if (!(wanted.depthM > 0) || Math.abs(wanted.u) > 0.5 || Math.abs(wanted.w) > aspect / 2) continue;
    see(flown, j / flown.rateHz, at[3](s), spot, own);
    const off = own.depthM > 0 ? Math.min(1, Math.hypot(own.u - wanted.u, own.w - wanted.w)) : 1;
    square += off * off;
    count += 1;
    if (off > most) [most, mostS, right, up] = [off, s, own.u - wanted.u, own.w - wanted.w];
  }
  if (count === 0) return null;
  const mean = Math.sqrt(square / count);
  const side =
    Math.abs(right) >= Math.abs(up) ? (right > 0 ? 'to the right' : 'to the left') : up > 0 ? 'too high' : 'too low';
  const turn = Math.abs(right) >= Math.abs(up) ? (right > 0 ? 'right' : 'left') : up > 0 ? 'up' : 'down';
  const name = scene.subject.name;
  return {
    score: ramp(mean, PLACE.free, PLACE.lost),
    measured: mean,
    sentence: `${name} was ${trim(mean * 100, 0)}% of the width from the planned place, ${trim(most * 100, 0)}% at most.`,
    mend:
      `At ${trim(mostS, 1)} s ${name} was ${trim(most * 100, 0)}% of the width ${side} in the picture: ` +
      `turn ${turn} sooner there.`,
  };
}

/** In how many of the frames that the plan has sharp the subject was sharp; null where nobody can tell. */
export function sharpOf({ match, film, path, units }: Tried): Judged | null {
  const { scene, filmed } = film;
  if (!scene.subject || !path.focusM) return null;
  const { flown, planS, startS, endS, moves } = match;
  const focusM = evenly(path.tS, path.focusM, flown.rateHz, flown.count);
  const at = (['subjectXM', 'subjectYM', 'subjectZM', 'focalLengthMm', 'focusDistanceM'] as const).map((key) =>
    planAt(filmed, key),
  );
  const [planX, planY, planZ] = (['xM', 'yM', 'zM'] as const).map((key) => planAt(filmed, key));
  const confusionMm = scene.limits.confusionShare * filmed.frameWidthMm;
  const upM = (scene.part?.heightM ?? 0) / 2;
  const isSharp = (focalMm: number, focus: number, distanceM: number, slack = 0) => {
    const { nearM, farM } = depthOfField(focalMm, scene.shot.fNumber, confusionMm, focus);
    return distanceM >= nearM * (1 - slack) - 1e-6 && distanceM <= farM * (1 + slack) + 1e-6;
  };
  let [asked, had, softS, off] = [0, 0, NaN, 0];
  for (let j = 0; j < flown.count; j += 1) {
    const s = planS[j];
    if (moves !== null && (s < startS || s > endS - 1e-6)) continue;
    const [x, y, z, focalMm, planFocus] = at.map((column) => column(s));
    const plannedM = Math.hypot(x - planX(s), y - planY(s), z + upM - planZ(s));
    if (!isSharp(focalMm, planFocus, plannedM)) continue;
    asked += 1;
    const distanceM = Math.hypot(x - flown.raw.xM[j], y - flown.raw.yM[j], z + upM - flown.raw.zM[j]);
    if (isSharp(focalMm, focusM[j], distanceM, SLACK)) had += 1;
    else if (Number.isNaN(softS)) [softS, off] = [s, focusM[j] - distanceM];
  }
  if (asked === 0) return null;
  const share = had / asked;
  return {
    score: 100 * share,
    measured: share,
    sentence: `${scene.subject.name} was sharp in ${trim(share * 100, 0)}% of the frames that the plan has sharp.`,
    mend: Number.isNaN(softS)
      ? 'The focus was where it has to be.'
      : `From ${trim(softS, 1)} s on the focus was ${sayLength(Math.abs(off), units)} too ${off > 0 ? 'far' : 'near'}: ` +
        'put a mark on the ring there, and turn to it in time.',
  };
}
