import type { ArcMove } from '../../model/move';
import { bearingDeg, circle, fromPivot, nearestTurn } from '../track';
import { sayLength } from '../../model/units';
import { LEAST_DISTANCE_M, settableDistance, type Recipe } from './recipe';

export const arc: Recipe<ArcMove> = {
  kind: 'arc',
  title: 'Arc or orbit',
  purpose: 'Go round the subject: it turns on the spot while the world behind sweeps past.',
  zoom: 'fixed',
  parameters: [
    { key: 'radiusM', label: 'radius', unit: 'm', min: 0.1, max: 2000, step: 0.1 },
    { key: 'startBearingDeg', label: 'from bearing', unit: 'deg', min: -720, max: 720, step: 5 },
    { key: 'sweepDeg', label: 'sweep, + clockwise', unit: 'deg', min: -360, max: 360, step: 5 },
    { key: 'heightM', label: 'lens height', unit: 'm', min: -50, max: 500, step: 0.1 },
  ],
  startingFrom: ({ distanceM, bearingDeg: bearing, heightM }, pivot) => ({
    kind: 'arc',
    ...pivot,
    heightM,
    radiusM: distanceM,
    startBearingDeg: bearing - 45,
    sweepDeg: 90,
  }),
  stand: ({ radiusM, startBearingDeg, sweepDeg, heightM }) => ({ distanceM: radiusM, bearingDeg: startBearingDeg + sweepDeg / 2, heightM }),
  track: (move, pivot) => circle(pivot, move.radiusM, move.startBearingDeg, move.sweepDeg, move.heightM),
  handles: (move, pivot) => {
    const start = fromPivot(pivot, move.radiusM, move.startBearingDeg, 0);
    const end = fromPivot(pivot, move.radiusM, move.startBearingDeg + move.sweepDeg, 0);
    return [
      { id: 'start', label: 'start', xM: start.xM, yM: start.yM },
      { id: 'end', label: 'end', xM: end.xM, yM: end.yM },
    ];
  },
  scaleTravel: (move, share) => ({ ...move, sweepDeg: Math.min(360, Math.max(-360, Math.round(move.sweepDeg * share))) }),
  scaleDistance: (move, share) => ({ ...move, radiusM: settableDistance(move.radiusM * share) }),
  travelWords: (move) => `sweep ${Math.abs(Math.round(move.sweepDeg))}°`,
  distanceWords: (move, units) => `circle at ${sayLength(move.radiusM, units)}`,
  /** Either end sets the radius. Moving the start keeps the end's bearing, so the sweep gives or takes; moving the end sets the sweep. */
  drag: (move, handleId, xM, yM, pivot) => {
    if (handleId !== 'start' && handleId !== 'end') return move;
    const radiusM = Math.max(LEAST_DISTANCE_M, Math.hypot(xM - pivot.xM, yM - pivot.yM));
    const bearing = bearingDeg(pivot.xM, pivot.yM, xM, yM);
    const endBearing = move.startBearingDeg + move.sweepDeg;
    const startBearingDeg = handleId === 'start' ? nearestTurn(bearing, move.startBearingDeg) : move.startBearingDeg;
    const wanted = handleId === 'start' ? endBearing - startBearingDeg : nearestTurn(bearing, endBearing) - move.startBearingDeg;
    return { ...move, radiusM, startBearingDeg, sweepDeg: Math.min(360, Math.max(-360, wanted)) };
  },
};
