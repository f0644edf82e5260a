import { percent, RIDES } from '../findings';
import { type Shot, trim } from '../model';
import type { ReadingSummary } from './reading-summary';

/** What a change costs or gains elsewhere, in words, and how much that weighs. */
export interface TradeOff {
  words: string;
  weight: number;
}

/** Less than this is not worth a word. */
const NOTICED = 0.04;
const MUCH_LESS_DEPTH = 0.15;

interface Side {
  shot: Shot;
  summary: ReadingSummary;
}

/**
 * What changes besides the finding itself when one shot is taken instead of another. Weights are common practice, no
 * published source: 1 is about as bad as twice the time.
 */
export function tradeOffsOf(before: Side, after: Side, findingId: string, movesPiece: boolean): TradeOff[] {
  const costs: TradeOff[] = [];
  const add = (words: string, weight: number) => costs.push({ words, weight });
  const size = Math.log(after.summary.size / before.summary.size);
  if (Math.abs(size) > NOTICED)
    add(
      `the subject becomes ${percent(Math.abs(Math.exp(size) - 1))} ${size > 0 ? 'larger' : 'smaller'}`,
      Math.abs(size) * 1.2,
    );
  const timeS = after.summary.screenS - before.summary.screenS;
  if (Math.abs(timeS) > 0.05)
    add(
      `${trim(Math.abs(timeS), 1)} s ${timeS > 0 ? 'longer' : 'shorter'} on screen`,
      Math.abs(Math.log(after.summary.screenS / before.summary.screenS)) * (timeS > 0 ? 1 : 0.7),
    );
  const depth = before.summary.depth > 1e-3 ? after.summary.depth / before.summary.depth - 1 : 0;
  if (depth < -MUCH_LESS_DEPTH && findingId !== 'parallax') add(`depth shows ${percent(-depth)} less`, -depth * 0.6);
  const sight = after.summary.sight - before.summary.sight;
  if (Math.abs(sight) > NOTICED && findingId !== 'covered' && findingId !== 'reveal')
    add(
      `${percent(Math.abs(sight))} ${sight > 0 ? 'more' : 'less'} of the subject in sight`,
      sight > 0 ? 0 : -sight * 1.5,
    );
  if (after.shot.rigId !== before.shot.rigId) add('another rig to set up', 0.8);
  if (after.shot.gaitId !== before.shot.gaitId && after.shot.gaitId === RIDES.vehicle)
    add('a vehicle, one more to drive it, and the way cleared by somebody who watches it', 1.2);
  if (after.shot.lensId !== before.shot.lensId) add('a lens to change', 0.5);
  if (after.shot.cameraId !== before.shot.cameraId) add('a camera to change', 0.7);
  if (after.shot.frameRateHz !== before.shot.frameRateHz) add('the whole cut runs at that rate', 0.9);
  if (after.shot.captureRateHz > before.shot.captureRateHz && after.shot.frameRateHz === before.shot.frameRateHz)
    add('slow motion, and more light', 0.4);
  if (after.shot.fNumber > before.shot.fNumber)
    add(
      `${trim(2 * Math.log2(after.shot.fNumber / before.shot.fNumber), 1)} stops less light`,
      0.15 * Math.log2(after.shot.fNumber / before.shot.fNumber) * 2,
    );
  if (movesPiece) add('it stands there in every shot', 0.5);
  const travel =
    before.summary.travelM > 0.05 ? Math.log(Math.max(1e-3, after.summary.travelM) / before.summary.travelM) : 0;
  if (travel < -NOTICED && !costs.some(({ words }) => words.startsWith('the subject')))
    add(`${percent(1 - Math.exp(travel))} less travel`, -travel * 0.5);
  if (travel > 0.3) add(`${percent(Math.exp(travel) - 1)} more travel`, travel * 0.4);
  return costs;
}

/** A standing trouble that becomes so many times as bad is noticed, and one that becomes so bad weighs by itself. */
const WORSE = { noticed: 1.03, muchWorse: 1.3 };

/**
 * Troubles that stand already and get worse by a change, each in words with its number before and after: they stay
 * within their grade, or the change would not be offered.
 */
export function worsened(before: ReadingSummary, after: ReadingSummary, findingId: string): TradeOff[] {
  const costs: TradeOff[] = [];
  for (const [id, was] of before.findings) {
    const now = after.findings.get(id);
    if (id === findingId || was.severity === 0 || !now || now.severity !== was.severity) continue;
    const times = now.beyond / was.beyond;
    if (!(times > WORSE.noticed) || now.said === was.said) continue;
    costs.push({
      words: `${was.measure} gets worse, ${was.said} → ${now.said}`,
      weight: Math.log(times) * 1.5 + (times > WORSE.muchWorse ? 1 : 0),
    });
  }
  return costs;
}

/** Troubles that a change takes away or softens besides the one it was meant for. */
export function alsoMends(before: ReadingSummary, after: ReadingSummary, findingId: string): string[] {
  const mended: string[] = [];
  for (const [id, row] of before.findings)
    if (id !== findingId && row.severity > 0 && (after.findings.get(id)?.severity ?? 0) < row.severity)
      mended.push(row.measure);
  return mended;
}

/** Each further trouble that goes with it is worth this much. */
export const MENDED_WEIGHT = 0.35;
