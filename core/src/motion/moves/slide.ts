import type { SlideMove } from '../../model/move';
import { bearingDeg, fromPivot, line, nearestTurn, type Point3 } from '../track';
import { sayLength } from '../../model/units';
import { LEAST_DISTANCE_M, settable, settableDistance, type Recipe } from './recipe';

function ends(move: SlideMove, pivot: Point3): [Point3, Point3] {
  const middle = fromPivot(pivot, move.distanceM, move.bearingDeg, move.heightM);
  const towards = move.bearingDeg - 90 + move.skewDeg;
  return [fromPivot(middle, -move.travelM / 2, towards, 0), fromPivot(middle, move.travelM / 2, towards, 0)];
}

export const slide: Recipe<SlideMove> = {
  kind: 'slide',
  title: 'Slide',
  purpose: 'Go sideways past the subject: near things slip across the frame and far ones follow slowly.',
  zoom: 'fixed',
  parameters: [
    { key: 'distanceM', label: 'distance', unit: 'm', min: 0.1, max: 2000, step: 0.1 },
    { key: 'bearingDeg', label: 'seen from bearing', unit: 'deg', min: -720, max: 720, step: 5 },
    { key: 'travelM', label: 'travel, + to the right', unit: 'm', min: -2000, max: 2000, step: 0.1 },
    { key: 'skewDeg', label: 'turned from square', unit: 'deg', min: -90, max: 90, step: 5 },
    { key: 'heightM', label: 'lens height', unit: 'm', min: -50, max: 500, step: 0.1 },
  ],
  startingFrom: (stand, pivot) => ({ kind: 'slide', ...pivot, ...stand, travelM: stand.distanceM * 0.4, skewDeg: 0 }),
  stand: ({ distanceM, bearingDeg: bearing, heightM }) => ({ distanceM, bearingDeg: bearing, heightM }),
  track: (move, pivot) => line(...ends(move, pivot)),
  handles: (move, pivot) => {
    const [start, end] = ends(move, pivot);
    return [
      { id: 'start', label: 'start', xM: start.xM, yM: start.yM },
      { id: 'end', label: 'end', xM: end.xM, yM: end.yM },
    ];
  },
  scaleTravel: (move, share) => ({ ...move, travelM: Math.min(2000, Math.max(-2000, settable(move.travelM * share))) }),
  scaleDistance: (move, share) => ({ ...move, distanceM: settableDistance(move.distanceM * share) }),
  travelWords: (move, units) => `travel ${sayLength(Math.abs(move.travelM), units)}`,
  distanceWords: (move, units) => `stand ${sayLength(move.distanceM, units)} away`,
  drag: (move, handleId, xM, yM, pivot) => {
    if (handleId !== 'start' && handleId !== 'end') return move;
    const [start, end] = ends(move, pivot);
    const a = handleId === 'start' ? { xM, yM } : start;
    const b = handleId === 'end' ? { xM, yM } : end;
    const middle = { xM: (a.xM + b.xM) / 2, yM: (a.yM + b.yM) / 2 };
    const distanceM = Math.max(LEAST_DISTANCE_M, Math.hypot(middle.xM - pivot.xM, middle.yM - pivot.yM));
    const bearing = nearestTurn(bearingDeg(pivot.xM, pivot.yM, middle.xM, middle.yM), move.bearingDeg);
    const lengthM = Math.hypot(b.xM - a.xM, b.yM - a.yM);
    if (lengthM < 1e-6) return { ...move, distanceM, bearingDeg: bearing, travelM: 0 };
    const skew = nearestTurn(bearingDeg(a.xM, a.yM, b.xM, b.yM) - (bearing - 90), 0);
    const backwards = Math.abs(skew) > 90;
    return {
      ...move,
      distanceM,
      bearingDeg: bearing,
      travelM: backwards ? -lengthM : lengthM,
      skewDeg: backwards ? nearestTurn(skew + 180, 0) : skew,
    };
  },
};
