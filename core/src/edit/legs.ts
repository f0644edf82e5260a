import {
  type Goes,
  LEAST_APART_M,
  legsOf,
  MOST_PATH_POINTS,
  type Move,
  type MoveKind,
  type Piece,
  PLAIN_LOOK,
  type Shot,
  withLeg,
} from '../model';
import { asKind, RECIPES } from '../motion';
import { mountedAt, mountsOn } from './mounts';

/** Moves of a shot added, taken out, drawn on. */

/** Seconds between one move and the next when a move is added: a subject stops and starts. */
const PAUSE_S = 1;

/** Adds a move to the end of a shot, from where the last one ends. */
export function addLeg(shot: Shot): Shot {
  const legs = legsOf(shot);
  const last = legs[legs.length - 1];
  const timing = {
    durationS: 5,
    holdStartS: PAUSE_S,
    featherInS: 1.2,
    featherOutS: 1.5,
    holdEndS: 0.5,
    featherShape: last.timing.featherShape,
  };
  return {
    ...shot,
    then: [
      ...shot.then,
      {
        move: asKind(last.move, last.move.kind === 'push' ? 'arc' : 'push'),
        timing,
        backwards: false,
        goes: last.goes,
        look: PLAIN_LOOK,
        overlapS: 0,
      },
    ],
  };
}

/** Takes a move out of a shot; the first can go when another can take its place. */
export function removeLeg(shot: Shot, index: number): Shot {
  if (index > 0) return { ...shot, then: shot.then.filter((_, i) => i !== index - 1) };
  const [next, ...then] = shot.then;
  if (!next) return shot;
  const { move, timing, backwards, goes, look } = next;
  return { ...shot, move, timing, backwards, goes, look, then };
}

/**
 * A drawn path with one more point at its end, from the pivot, as high as the last; where the last one is already,
 * nothing is added.
 */
export function addPathPoint(move: Move, eastM: number, northM: number): Move {
  if (move.kind !== 'free' || move.points.length >= MOST_PATH_POINTS) return move;
  const last = move.points[move.points.length - 1];
  if (Math.hypot(eastM - last.eastM, northM - last.northM) < LEAST_APART_M) return move;
  return { ...move, points: [...move.points, { eastM, northM, heightM: last.heightM, look: null }] };
}

/** One of the moves of a shot made another kind, from where it stands, with the timing that kind usually has. */
export const chooseMove = (shot: Shot, index: number, kind: MoveKind, subject: Piece | null = null): Shot =>
  withLeg(shot, index, (leg) => ({
    ...leg,
    move: leg.move.kind === kind ? leg.move : placedOn(asKind(leg.move, kind), subject),
    goes: leg.move.kind === kind ? leg.goes : usualGoing(kind, leg.goes),
    timing: leg.move.kind === kind ? leg.timing : (RECIPES[kind].usualTiming?.(leg.timing) ?? leg.timing),
  }));

/** A camera that is carried begins at the first of the usual places on its subject. */
const placedOn = (move: Move, subject: Piece | null): Move =>
  move.kind === 'carried' && subject ? mountedAt(move, mountsOn(subject)[0]) : move;

/** What goes with a subject does so when it is chosen; what was turned with it still is. */
function usualGoing(kind: MoveKind, before: Goes): Goes {
  if (RECIPES[kind].goes === 'ifAsked') return 'stays';
  return before === 'turns' ? 'turns' : 'goes';
}
