import { define, type FindingKinds } from '../definition';
import { gradeAbove, percent, type FindingOf } from '../finding';
import { trim } from '../../model';
import { rowAt, type Stroke } from '../../motion';
import type { Picture } from '../../image';

const KINDS = {
  'turn.even': {
    measures: 'change of pace while it goes round, share',
    limits: ['turnEvenness', 'joltFactor'],
    about: 'layers',
    cures: ['aboutItsCentre', 'standFarther'],
  },
  'turn.centre': {
    measures: 'straying from the circle, share',
    limits: ['centreKept', 'joltFactor'],
    about: 'subject',
    cures: ['aboutItsCentre', 'standFarther'],
  },
} satisfies FindingKinds;
type Found = FindingOf<keyof typeof KINDS>;

const RAD = Math.PI / 180;
/** Nearer to its centre than this nothing goes round it, m. */
const LEAST_RADIUS_M = 0.1;
/** From here on a sweep counts as once round. */
const ONCE_ROUND_DEG = 350;

/**
 * How a leg turns: its angle in every row, degrees, and its distance from what it turns about; null for a leg that does
 * not go round.
 */
function anglesOf(
  { turns }: Stroke,
  { filmed: samples, scene, intent }: Picture,
): { angleDeg: Float64Array; distanceM: Float64Array | null } | null {
  if (turns === null) return null;
  if (turns === 'onTheSpot') return { angleDeg: samples.panDeg, distanceM: null };
  const { count, xM, yM, subjectXM, subjectYM } = samples;
  const { pivot } = intent;
  const angleDeg = new Float64Array(count);
  const distanceM = new Float64Array(count);
  for (let i = 0; i < count; i += 1) {
    const [x, y] = scene.subject ? [subjectXM[i], subjectYM[i]] : [pivot.xM, pivot.yM];
    const raw = Math.atan2(xM[i] - x, yM[i] - y) / RAD;
    angleDeg[i] = i === 0 ? raw : raw - 360 * Math.round((raw - angleDeg[i - 1]) / 360);
    distanceM[i] = Math.hypot(xM[i] - x, yM[i] - y);
  }
  return { angleDeg, distanceM };
}

/** Of a move that goes round or spins: whether it turns evenly, and keeps its distance to the centre. */
function turningFindings(picture: Picture): Found[] {
  const { intent, filmed: samples, scene } = picture;
  const { limits } = scene;
  const findings: Found[] = [];
  for (const stroke of intent.strokes) {
    const turn = anglesOf(stroke, picture);
    if (!turn) continue;
    const { cruiseFromS, cruiseToS, startS, endS } = stroke;
    const row = (tS: number) => rowAt(samples, tS);
    const [first, last] = [row(startS), row(endS)];
    const [from, to] = cruiseToS > cruiseFromS ? [row(cruiseFromS), row(cruiseToS)] : [first, last];
    const sweepDeg = Math.abs(turn.angleDeg[last] - turn.angleDeg[first]);
    if (sweepDeg < 5 || to - from < 3) continue;
    const meanDeg = (turn.angleDeg[to] - turn.angleDeg[from]) / (to - from);
    if (Math.abs(meanDeg) * (to - from) < 1) continue;
    let worst = { value: 0, row: from };
    if (cruiseToS > cruiseFromS)
      for (let i = from + 1; i <= to; i += 1) {
        const value = Math.abs((turn.angleDeg[i] - turn.angleDeg[i - 1]) / meanDeg - 1);
        if (value > worst.value) worst = { value, row: i };
      }
    // As it is shown: slow motion and ramps change how quickly it turns.
    const degps =
      Math.abs(turn.angleDeg[to] - turn.angleDeg[from]) /
      Math.max(1e-6, Math.abs(samples.screenS[to] - samples.screenS[from]));
    findings.push({
      id: 'turn.even',
      grade: gradeAbove(worst.value, limits.turnEvenness, limits.turnEvenness * limits.joltFactor),
      sentence:
        `It turns ${trim(sweepDeg, 0)}°${sweepDeg >= ONCE_ROUND_DEG ? ', once round or more,' : ''} at ` +
        `${trim(degps, 1)}° a second on screen, ` +
        `${worst.value < 0.005 ? 'evenly' : `faster or slower by up to ${percent(worst.value)} on the way`}` +
        `${worst.value > limits.turnEvenness ? `; up to ${percent(limits.turnEvenness)} looks even` : ''}.`,
      reason: 'Going round has to look like one motion: the world behind passes at one pace.',
      screenS: samples.screenS[worst.row],
      value: worst.value,
      limit: limits.turnEvenness,
      unit: 'share',
      said: percent(worst.value),
      measure: 'change of pace',
    });
    const { angleDeg, distanceM } = turn;
    if (!distanceM) break;
    // A helix means to change its distance: what is judged is whether it does so steadily.
    const steadyM = (i: number) =>
      distanceM[first] +
      ((distanceM[last] - distanceM[first]) * (angleDeg[i] - angleDeg[first])) / (angleDeg[last] - angleDeg[first]);
    let off = { value: 0, row: first };
    for (let i = first; i <= last; i += 1) {
      const value = Math.abs(distanceM[i] - steadyM(i)) / Math.max(LEAST_RADIUS_M, steadyM(i));
      if (value > off.value) off = { value, row: i };
    }
    findings.push({
      id: 'turn.centre',
      grade: gradeAbove(off.value, limits.centreKept, limits.centreKept * limits.joltFactor),
      sentence:
        off.value <= limits.centreKept
          ? `The centre is kept: the distance strays by ${percent(off.value)}.`
          : `The circle is not about ${scene.subject?.name ?? 'its centre'}: the distance strays by ` +
            `${percent(off.value)}; up to ${percent(limits.centreKept)} is not noticed.`,
      reason: 'Round a centre that lies elsewhere the subject grows and shrinks on the way.',
      screenS: samples.screenS[off.row],
      value: off.value,
      limit: limits.centreKept,
      unit: 'share',
      said: percent(off.value),
      measure: 'straying from the circle',
    });
    break;
  }
  return findings;
}

export const turning = define(KINDS, turningFindings);
