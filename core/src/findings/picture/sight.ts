import { subjectWords } from '../../scene';
import { define, type FindingKinds } from '../definition';
import { gradeAbove, lasting, percent, seconds, stretchWords, type FindingOf } from '../finding';
import { longestRun, playingOf } from '../../motion';
import type { Picture } from '../../image';

const KINDS = {
  covered: {
    measures: 'time that the subject is covered, s',
    limits: ['coveredS', 'joltFactor'],
    about: 'subject',
    cures: ['higher', 'otherWayRound', 'travelMore', 'stepAside', 'foregroundFarther', 'lower', 'standNearer'],
  },
  reveal: {
    measures: 'how much of the subject comes into sight, share',
    limits: [],
    about: 'subject',
    cures: [
      'fromElsewhere',
      'travelMore',
      'slightlySofterStart',
      'goQuicker',
      'otherWayRound',
      'foregroundNearer',
      'lower',
    ],
  },
} satisfies FindingKinds;
type Found = FindingOf<keyof typeof KINDS>;

/**
 * A subject is hidden below this visible share; it is shown at nine tenths, or at nearly all that ever shows of it when
 * its feet stay covered.
 */
const HIDDEN = 0.1;
const SHOWN = 0.9;
/** Less than this never makes a reveal. */
const LEAST_SHOWN = 0.5;
/** What is seen in the last so many seconds is what the shot ends on. */
const END_S = 0.5;
/** Less than this of it can be made out. */
const COVERED = 0.4;

/** Whether a reveal happens, and when; and for other moves, whether something stands before the subject for long. */
function sightFindings({ scene, intent, samples, visible }: Picture): Found[] {
  const { limits } = scene;
  if (!scene.subject) return [];
  const name = subjectWords(scene);
  const { count, screenS, frameRateHz } = samples;
  if (intent.reveals) return [revealFinding(name, visible, screenS, frameRateHz, feathersOf(scene, intent))];
  const covered = longestRun(count, (row) => visible[row] < COVERED);
  if (!covered) return [];
  const value = covered.rows / frameRateHz;
  const limit = limits.coveredS;
  return [
    {
      id: 'covered',
      grade: gradeAbove(value, limit, limit * limits.joltFactor),
      sentence:
        `${name} is covered ${stretchWords(value, screenS[covered.row], covered.stretches)}` +
        `${value > limit ? `; up to ${seconds(limit)} something may pass before it` : ''}.`,
      reason: 'Foreground that passes gives depth; foreground that stays is in the way.',
      screenS: screenS[covered.row],
      value,
      limit,
      unit: 's',
      said: lasting(value),
      measure: 'time covered',
    },
  ];
}

/** A stretch of the shot in which the camera is still speeding up, or already slowing down; s on screen. */
interface FeatherSpan {
  what: 'start' | 'stop';
  fromS: number;
  toS: number;
}

function feathersOf({ shot, durationS }: Picture['scene'], { strokes }: Picture['intent']): FeatherSpan[] {
  const pace = strokes.find(({ reveals }) => reveals);
  if (!pace) return [];
  const { screenAt } = playingOf(shot, durationS);
  const [startedS, stoppingS] = [screenAt(pace.cruiseFromS), screenAt(pace.cruiseToS)].sort((a, b) => a - b);
  return [
    { what: 'start', fromS: 0, toS: startedS },
    { what: 'stop', fromS: stoppingS, toS: Infinity },
  ];
}

function revealFinding(
  name: string,
  visible: Float64Array,
  screenS: Float64Array,
  frameRateHz: number,
  feathers: FeatherSpan[],
): Found {
  const last = visible.length - 1;
  const most = visible.reduce((a, b) => Math.max(a, b), 0);
  const common = { id: 'reveal' as const, limit: SHOWN, unit: 'share', measure: 'visible share' };
  const reason = 'A reveal lives from what cannot be seen first.';
  const shownFrom = Math.min(SHOWN, 0.95 * most);
  // The last time it is hidden before it is shown.
  let hidden = -1;
  let ahead = false;
  for (let row = last; row >= 0 && hidden < 0; row -= 1) {
    ahead ||= visible[row] >= shownFrom;
    if (ahead && visible[row] < HIDDEN) hidden = row;
  }
  const endsHidden = visible[last] < LEAST_SHOWN;
  if (hidden >= 0 && most >= LEAST_SHOWN) {
    let shown = hidden;
    while (visible[shown] < shownFrom) shown += 1;
    const part = most < SHOWN ? `, ${percent(most)} of it` : '';
    let moment = hidden;
    while (visible[moment] < most / 2) moment += 1;
    const asleep = feathers.find(({ fromS, toS }) => screenS[hidden] >= fromS && screenS[shown] <= toS);
    const phase = asleep?.what === 'start' ? 'is still starting' : 'is already stopping';
    const inFeather = asleep ? `: all of it while the camera ${phase}` : '';
    return {
      ...common,
      grade: asleep || endsHidden ? 'ripple' : 'calm',
      sentence:
        `${name} comes into sight at ${seconds(screenS[moment])}, within ` +
        `${seconds(screenS[shown] - screenS[hidden])}${part}${inFeather}` +
        `${endsHidden ? ', and is covered again at the end' : ''}.`,
      reason: asleep
        ? 'A reveal carries while the camera is at its pace; in the feather it seems to hesitate.'
        : reason,
      screenS: screenS[moment],
      value: most,
      said: percent(most),
    };
  }
  if (most < LEAST_SHOWN)
    return {
      ...common,
      grade: 'jolt',
      sentence:
        `${name} never comes into sight: at most ${percent(most)} of it can be seen. Go farther, or move what ` +
        'is in the way.',
      reason,
      screenS: screenS[last],
      value: most,
      said: percent(most),
    };
  // Seen at first and hidden at last: the opposite of a reveal.
  const atEnd = visible.subarray(Math.max(0, last - Math.round(END_S * frameRateHz)));
  const end = atEnd.reduce((a, b) => Math.max(a, b), 0);
  if (end < LEAST_SHOWN)
    return {
      ...common,
      grade: 'jolt',
      sentence:
        `The reveal never happens: ${name} is in sight at first and ends hidden, with ${percent(end)} of it to be ` +
        'seen. Turn the move about.',
      reason,
      screenS: screenS[last],
      value: end,
      said: percent(end),
    };
  const least = visible.reduce((a, b) => Math.min(a, b), 1);
  return {
    ...common,
    grade: 'ripple',
    sentence:
      least > SHOWN
        ? `Nothing hides ${name} at the start: all of it can be seen from the first frame.`
        : `${name} is given away early: never less than ${percent(least)} of it can be seen.`,
    reason: `${reason} Put something near the lens in the way, or start farther behind it.`,
    screenS: 0,
    value: least,
    limit: HIDDEN,
    said: percent(least),
  };
}

export const sight = define(KINDS, sightFindings);
