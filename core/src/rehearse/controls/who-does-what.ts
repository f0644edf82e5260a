import type { Practice, Shoot, Shot, Units } from '../../model';
import { type Film, plannedFilm } from '../../motion';
import { sceneOf } from '../../scene';
import { readShot } from '../../reading';
import { type Controls, controlsOf, type Track } from './tracks';

/** More at once than one pair of hands has. */
export interface TooMuch {
  fromS: number;
  toS: number;
  /** `the carriage, the pan handle and the focus ring`. */
  what: string[];
  why: string;
}

/** A gentler way to make the same shot, tried: what is done by one pair of hands then, and what it costs on screen. */
export interface Easier {
  said: string;
  shot: Shot;
  /** Worst grade of its reading, and the shot's own. */
  grade: string;
  costs: string;
}

/** Sticks of a drone that can be led at once with a wheel: common practice, no published source. */
const MOST_STICK_WAYS = 3;

/** Hands that a track takes: both, one of its own, or none. */
const hands = (tracks: readonly Track[]): number => {
  const taken = new Set(tracks.map(({ hand }) => hand));
  let sum = 0;
  if (taken.has('both hands')) sum += 2;
  // Two things in one hand are two hands, when both are done at once: a hand lets go of the one to hold the other.
  for (const hand of ['left hand', 'right hand'] as const)
    sum += new Set(tracks.filter((track) => track.hand === hand).map(({ id }) => gripOf(id))).size;
  return sum;
};
/** Pan, tilt and roll hang on one handle. */
const gripOf = (id: string) => (/^(panDeg|tiltDeg|rollDeg)$/.test(id) ? 'handle' : id);

/** Where a shot asks for more than one pair of hands has; empty where one person does it. */
export function tooMuchIn(controls: Controls): TooMuch[] {
  const { tracks, rateHz, drone } = controls;
  const count = tracks.reduce((most, { rows }) => Math.max(most, rows.length), 0);
  const found: TooMuch[] = [];
  for (let i = 0; i < count; i += 1) {
    const tS = i / rateHz;
    const now = tracks.filter(({ busy }) => busy.some(({ fromS, toS }) => tS >= fromS && tS < toS));
    let why = '';
    if (drone) {
      const sticks = now.filter(({ hand }) => hand === 'left thumb' || hand === 'right thumb').length;
      const wheel = now.some(({ hand }) => hand === 'finger');
      const other = now.some(({ hand }) => hand === 'left hand' || hand === 'right hand');
      if (other) why = 'both thumbs are on the sticks: a second person pulls or zooms';
      else if (sticks > MOST_STICK_WAYS || (sticks === MOST_STICK_WAYS && wheel))
        why = `${sticks} ways of the sticks${wheel ? ' and the wheel' : ''} at once: a second person turns the camera`;
    } else if (hands(now) > 2) why = `${hands(now)} hands are needed: a helper takes one`;
    if (why === '') continue;
    const what = now.map(({ name }) => name);
    const last = found.at(-1);
    if (last && last.why === why && tS - last.toS < 0.5) last.toS = tS + 1 / rateHz;
    else found.push({ fromS: tS, toS: tS + 1 / rateHz, what, why });
  }
  return found.filter(({ fromS, toS }) => toS - fromS > 0.2);
}

const GRADES = ['calm', 'fits', 'ripple', 'tight', 'jolt', 'cannot'];
const worst = (grades: readonly string[]) =>
  grades.reduce((most, grade) => (GRADES.indexOf(grade) > GRADES.indexOf(most) ? grade : most), 'calm');

/** Gentler ways that are tried, most natural first. */
const IDEAS: { said: string; edit: (shot: Shot, film: Film) => Shot | null }[] = [
  {
    said: 'The focus stays where the shot ends: stop down, or have it land there.',
    edit: (shot, { filmed }) =>
      shot.focus.mode === 'fixed'
        ? null
        : {
            ...shot,
            focus: {
              mode: 'fixed',
              distanceM: Math.min(
                10_000,
                Math.max(0.05, Math.round(filmed.focusDistanceM[filmed.count - 1] * 100) / 100),
              ),
            },
          },
  },
  { said: 'Autofocus pulls.', edit: (shot) => (shot.puller === 'autofocus' ? null : { ...shot, puller: 'autofocus' }) },
  {
    said: 'The head is locked: the picture goes past instead of staying on the subject.',
    edit: (shot) =>
      shot.aim.mode === 'locked'
        ? null
        : {
            ...shot,
            aim: { ...shot.aim, mode: 'locked' },
            look: { ...shot.look, mode: null },
            then: shot.then.map((leg) => ({ ...leg, look: { ...leg.look, mode: null } })),
          },
  },
  {
    said: 'The frame stays level: no roll.',
    edit: (shot) =>
      shot.look.fromRollDeg === 0 && shot.look.toRollDeg === 0
        ? null
        : { ...shot, look: { ...shot.look, fromRollDeg: 0, toRollDeg: 0 } },
  },
  {
    said: 'Only its first move is made: the others become shots of their own.',
    edit: (shot) => (shot.then.length === 0 ? null : { ...shot, then: [] }),
  },
];

/** Gentler versions of a shot that one pair of hands does, each tried and read. */
export function easierWays(shoot: Shoot, shot: Shot, practice: Practice, units: Units): Easier[] {
  const before = plannedFilm(sceneOf(shoot, shot));
  const own = tooMuchIn(controlsOf(before, practice, units));
  if (own.length === 0) return [];
  const ownGrade = worst(readShot(shoot, shot, units).findings.map(({ grade }) => grade));
  return IDEAS.flatMap(({ said, edit }): Easier[] => {
    const tried = edit(shot, before);
    if (!tried) return [];
    const film = plannedFilm(sceneOf(shoot, tried));
    if (tooMuchIn(controlsOf(film, practice, units)).length > 0) return [];
    const findings = readShot(shoot, tried, units).findings;
    const grade = worst(findings.map((finding) => finding.grade));
    const worse = findings.find((finding) => finding.grade === grade);
    return [
      {
        said,
        shot: tried,
        grade,
        costs:
          GRADES.indexOf(grade) > GRADES.indexOf(ownGrade)
            ? (worse?.sentence ?? '')
            : 'Nothing in the reading gets worse than it is.',
      },
    ];
  });
}

/** Who is needed for a shot, in a sentence. */
export function sayHands(tooMuch: readonly TooMuch[], controls: Controls): string {
  if (controls.tracks.length === 0) return 'Nothing moves by hand in this shot: one person starts it and lets it run.';
  if (tooMuch.length === 0) return 'One pair of hands does it.';
  return `One pair of hands does not do it: ${tooMuch[0].why}.`;
}
