import { trim } from '../../model';
import type { Film } from '../../motion';
import { logDimensionlessJerk, spectralArcLength } from '../../image';
import { align, type Alignment } from '../recorded/align';
import type { Taken } from '../recorded/taken';
import { type Difference, hold, type Held, planS } from './held';
import { judgeSteadiness } from './judge-steadiness';
import { judgeStroke } from './judge-strokes';
import { going, type Stroke, strokesOf } from './strokes';

export interface Smoothness {
  spectralArcLength: number | null;
  logDimensionlessJerk: number | null;
}

/** A recorded take held against its plan. */
export interface Comparison {
  aligned: Alignment;
  held: Held;
  /** The worst first. */
  differences: Difference[];
  /** Of what the smoothness below is: null where nothing of the plan’s motion was recorded. */
  smoothnessOf: Stroke['id'] | null;
  smoothness: { plan: Smoothness; take: Smoothness };
  /** What the recording does not tell. */
  untold: string[];
  /** One sentence for all of it. */
  said: string;
}

/** A pace that differs by less is nobody’s fault. Common practice, no published source. */
const FREE_PACE = 0.05;
/** Where the plan’s own pace fits nearly as well. */
const UNSURE_PACE = 0.12;
/** Nor is one that nobody could count, s: a recording tells no finer when it began and ended. */
const FREE_PACE_S = 0.1;

/** Holds a recording against the plan of its shot. */
export function compareTake(film: Film, taken: Taken, aligned: Alignment = align(film, taken)): Comparison {
  const held = hold(film, taken, aligned);
  // What could not be laid on the plan is not held against it stroke by stroke.
  const strokes = aligned.by === 'nothing' ? [] : strokesOf(held);
  const leading = strokes.reduce<Stroke | null>(
    (best, row) => (!best || row.planTotal * row.widths > best.planTotal * best.widths ? row : best),
    null,
  );
  const differences = [
    ...paceOf(held),
    ...strokes.flatMap((stroke) => judgeStroke(held, stroke)),
    ...judgeSteadiness(held),
  ].sort((a, b) => b.weight - a.weight);
  return {
    aligned,
    held,
    differences: oncePerFault(differences),
    smoothnessOf: leading?.id ?? null,
    smoothness: leading
      ? { plan: smoothness(held, leading.planRate, 1), take: smoothness(held, leading.takeRate, aligned.stretch) }
      : { plan: NONE, take: NONE },
    untold: untold(held, strokes),
    said: saidOf(differences, aligned),
  };
}

const NONE: Smoothness = { spectralArcLength: null, logDimensionlessJerk: null };

function paceOf({ aligned, film }: Held): Difference[] {
  const off = aligned.stretch - 1;
  if (aligned.by !== 'motion' || Math.abs(off) < (aligned.paceSure ? FREE_PACE : UNSURE_PACE)) return [];
  const { filmed } = film;
  const plannedS = filmed.tS[filmed.count - 1];
  if (Math.abs(off) * plannedS < FREE_PACE_S) return [];
  const slower = off > 0;
  return [
    {
      id: 'pace',
      reason: slower ? 'tooSlow' : 'tooFast',
      atS: null,
      planned: plannedS,
      measured: plannedS * aligned.stretch,
      unit: 's',
      sentence:
        `It took ${trim(plannedS * aligned.stretch, 1)} s where ${trim(plannedS, 1)} s are planned: ` +
        `${trim(Math.abs(slower ? off : 1 / aligned.stretch - 1) * 100, 0)}% ${slower ? 'slower' : 'faster'}.`,
      mend: slower ? 'Count aloud at the planned beat.' : 'Count aloud, slower: nearly everybody is too fast.',
      weight: Math.abs(Math.log(aligned.stretch)) / FREE_PACE,
    },
  ];
}

/** A stroke that is too fast because it goes too far is told once; the same fault of two strokes, by the worse. */
function oncePerFault(differences: readonly Difference[]): Difference[] {
  const seen = new Set<string>();
  return differences.filter(({ id, reason }) => {
    const kind = id.replace(/^(travel|pan|tilt|roll)-/, '');
    const key = kind === id ? id : `${kind}.${reason}`;
    if (seen.has(key)) return false;
    seen.add(key);
    return true;
  });
}

/** Smoothness of a rate from its start to its end. */
function smoothness({ count, rateHz: heldHz }: Held, rate: Float64Array, stretch: number): Smoothness {
  const { from, to } = going(rate, 0, count - 1, 0.01);
  const part = rate.slice(from, to + 1).map(Math.abs);
  const rateHz = heldHz / stretch;
  return {
    spectralArcLength: spectralArcLength(part, rateHz),
    logDimensionlessJerk: logDimensionlessJerk(part, rateHz),
  };
}

function untold(held: Held, strokes: readonly Stroke[]): string[] {
  const { plan, take, aligned, taken } = held;
  const rows: string[] = [];
  const [fromS, toS] = [held.recordedFrom, Math.min(held.last, held.recordedTo)].map((row) => planS(held, row));
  const lastS = planS(held, held.last);
  if ((aligned.cut.start && fromS > 0.1) || (aligned.cut.end && lastS - toS > 0.1))
    rows.push(
      `Only ${trim(Math.max(0, fromS), 1)} to ${trim(toS, 1)} s of the plan’s ${trim(lastS, 1)} s were recorded: the rest ` +
        'is taken as planned.',
    );
  if (!take.xM) rows.push('Where it was is not recorded: travel is shown as planned.');
  if (!take.panDeg) rows.push('Where it looked is not recorded: turning is shown as planned.');
  else if (!taken.northKnown) rows.push('Bearings count from where the recording began: they were laid on the plan’s.');
  if (!take.focusM && plan.focusM) rows.push('Focus is not recorded.');
  if (taken.bobM && !take.bobM)
    rows.push('Bob is not told: the plan itself goes up and down at that beat, and nothing says when.');
  if (aligned.by === 'motion' && !aligned.paceSure && Math.abs(aligned.stretch - 1) >= FREE_PACE)
    rows.push('The plan’s own pace fits nearly as well as the one that was found: pace is told to about a tenth only.');
  if (aligned.by === 'start') rows.push('It was laid on the plan by its first motion only: pace is not known.');
  if (aligned.by === 'nothing')
    rows.push('Nothing that moves in the plan moved alike in the recording: it was laid on it from its first row on.');
  if (strokes.length === 0 && aligned.by !== 'nothing') rows.push('Of what moves in the plan nothing was recorded.');
  return rows;
}

function saidOf(differences: readonly Difference[], aligned: Alignment): string {
  if (aligned.by === 'nothing' && aligned.alike !== null)
    return 'This does not look like the planned move: is it the recording of another shot?';
  if (differences.length === 0) return 'As planned, as far as it was recorded.';
  const [worst] = differences;
  return worst.mend ? `${worst.sentence} ${worst.mend}` : worst.sentence;
}
