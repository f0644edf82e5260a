import type { Leg } from '../model';
import type { Point3 } from '../site';
import type { MoveFrame } from './move-frame';
import type { Recipe } from './moves/recipe';
import type { Track } from './track';

/** How far a subject has gone since a move began, metres, and how far it has turned, degrees clockwise. */
export interface Gone {
  eastM: number;
  northM: number;
  upM: number;
  turnDeg: number;
}
export type GoneAt = (tS: number, out: Gone) => void;

const RAD = Math.PI / 180;

/**
 * How a move that is laid out about its subject goes with it from a moment on; null where it stays, or goes by itself.
 * `fromS` is null without a subject.
 */
export function goingOf({ goes }: Leg, recipe: Recipe, moveFrame: MoveFrame, fromS: number | null): GoneAt | null {
  if (fromS === null || goes === 'stays' || recipe.goes === 'itself') return null;
  const began = new Float64Array(3);
  moveFrame.subjectAt(fromS, began);
  const heading = moveFrame.headingAt(fromS);
  const now = new Float64Array(3);
  return (tS, out) => {
    moveFrame.subjectAt(tS, now);
    out.eastM = now[0] - began[0];
    out.northM = now[1] - began[1];
    out.upM = now[2] - began[2];
    out.turnDeg = goes === 'turns' ? moveFrame.headingAt(tS) - heading : 0;
  };
}

/** A track that goes along: turned about the pivot as far as the subject has turned, then moved as far as it has gone. */
export function goingTrack(track: Track, goneAt: GoneAt, pivot: Point3): Track {
  const gone: Gone = { eastM: 0, northM: 0, upM: 0, turnDeg: 0 };
  return {
    write(s, tS, out, offset = 0) {
      track.write(s, tS, out, offset);
      goneAt(tS, gone);
      const [sin, cos] = [Math.sin(gone.turnDeg * RAD), Math.cos(gone.turnDeg * RAD)];
      const [dx, dy] = [out[offset] - pivot.xM, out[offset + 1] - pivot.yM];
      out[offset] = pivot.xM + dx * cos + dy * sin + gone.eastM;
      out[offset + 1] = pivot.yM + dy * cos - dx * sin + gone.northM;
      out[offset + 2] += gone.upM;
    },
  };
}

/** Where a place of a move that has gone along was when it began: what a drag on the plan is brought back by. */
export function broughtBack(place: { xM: number; yM: number }, gone: Gone, pivot: Point3): { xM: number; yM: number } {
  const [sin, cos] = [Math.sin(gone.turnDeg * RAD), Math.cos(gone.turnDeg * RAD)];
  const [dx, dy] = [place.xM - gone.eastM - pivot.xM, place.yM - gone.northM - pivot.yM];
  return { xM: pivot.xM + dx * cos - dy * sin, yM: pivot.yM + dy * cos + dx * sin };
}
