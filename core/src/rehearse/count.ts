import type { Practice, RigKind } from '../model';
import type { Film } from '../motion';
import { cadencePerMin, footFalls } from './foot-falls';
import { type Phase, phasesOf } from './phases';

/** Something that is heard at a moment of action; before 0 it is counted in. */
export interface Cue {
  atS: number;
  kind: 'countIn' | 'beat' | 'step' | 'mark' | 'phase' | 'rest';
  /** What a voice says; null: only a click. */
  said: string | null;
}

/** A shot as it is counted. All times are seconds of action from the shot's start. */
export interface Count {
  /** From the first click of the count-in to the end. */
  fromS: number;
  toS: number;
  beatsPerMin: number;
  /** Where the beat comes from: the person, the steps of whoever carries it, or a plain second. */
  beatFrom: 'typed' | 'steps' | 'seconds';
  phases: Phase[];
  cues: Cue[];
  /** Moments to be somewhere, numbered from 1: where a phase begins that moves, and where it ends. */
  marksS: number[];
}

const WORDS = [
  'zero',
  'one',
  'two',
  'three',
  'four',
  'five',
  'six',
  'seven',
  'eight',
  'nine',
  'ten',
  'eleven',
  'twelve',
] as const;
/** A number as it is called out. */
const called = (n: number): string => WORDS[n] ?? String(n);

const PHASE_WORDS: Record<Phase['kind'], string> = {
  hold: 'hold',
  easeIn: 'ease in',
  go: 'go',
  easeOut: 'ease',
  rest: 'rest',
};
/** Two words closer than this fall over each other, s: the beat stays silent beside a mark. Common practice. */
const APART_S = 0.3;
const MOST_BEATS = 400;
/** Rigs whose camera goes with somebody's feet. */
export const ON_FOOT: ReadonlySet<RigKind> = new Set(['gimbal', 'sled', 'hand', 'bodyMount', 'mount']);

/**
 * The count of a shot: counted in, then its phases called as they begin, its marks, the beats of the way and the steps
 * of whoever carries it. What is counted is the action as it is filmed, whatever speed it is shown at.
 */
export function countOf({ scene, filmed }: Film, practice: Practice): Count {
  const phases = phasesOf(scene);
  const falls = ON_FOOT.has(scene.rig.kind) ? footFalls(filmed) : [];
  const cadence = cadencePerMin(falls);
  const beatFrom = practice.beatsPerMin > 0 ? 'typed' : cadence === null ? 'seconds' : 'steps';
  const beatsPerMin = practice.beatsPerMin > 0 ? practice.beatsPerMin : (cadence ?? 60);
  const beatS = 60 / beatsPerMin;
  const cues: Cue[] = [];
  for (let i = practice.countIn; i >= 1; i -= 1) cues.push({ atS: -i * beatS, kind: 'countIn', said: called(i) });
  const marksS: number[] = [];
  phases.forEach(({ kind, fromS, toS }, i) => {
    const moves = kind === 'easeIn' || kind === 'go' || kind === 'easeOut';
    const before = phases[i - 1];
    const movedBefore = before !== undefined && ['easeIn', 'go', 'easeOut'].includes(before.kind);
    // A mark is where it sets off, and where it comes to rest.
    if (moves && (!movedBefore || before.leg !== phases[i].leg)) marksS.push(fromS);
    cues.push({ atS: fromS, kind: kind === 'rest' ? 'rest' : 'phase', said: PHASE_WORDS[kind] });
    if (
      moves &&
      !phases.slice(i + 1).some((next) => next.leg === phases[i].leg && next.kind !== 'rest' && next.kind !== 'hold')
    )
      marksS.push(toS);
  });
  const marks = [...new Set(marksS.map((s) => Math.round(s * 1000) / 1000))].sort((a, b) => a - b);
  marks.forEach((atS, i) => cues.push({ atS, kind: 'mark', said: i === 0 ? null : `mark ${called(i + 1)}` }));
  // Beats count from where it first sets off.
  const startS = marks[0] ?? 0;
  const endS = marks.at(-1) ?? scene.durationS;
  const spoken = cues.filter(({ said }) => said !== null).map(({ atS }) => atS);
  // Nobody counts for hours: then only what changes is called.
  const beats = (endS - startS) / beatS <= MOST_BEATS;
  for (let n = 1; beats && startS + (n - 1) * beatS < endS - 1e-6; n += 1) {
    const atS = startS + (n - 1) * beatS;
    const free = spoken.every((other) => Math.abs(other - atS) >= APART_S);
    cues.push({ atS, kind: 'beat', said: free ? called(n) : null });
  }
  if (beats) for (const { atS } of falls) cues.push({ atS, kind: 'step', said: null });
  cues.sort((a, b) => a.atS - b.atS);
  return {
    fromS: Math.min(0, -practice.countIn * beatS),
    toS: scene.durationS,
    beatsPerMin,
    beatFrom,
    phases,
    cues,
    marksS: marks,
  };
}

/** Paces that the count is run at, the first first: shares of the planned speed. */
export const pacesOf = ({ slowFirst }: Practice): number[] =>
  slowFirst === 'half' ? [0.5, 1] : slowFirst === 'threeQuarters' ? [0.75, 1] : [1];
