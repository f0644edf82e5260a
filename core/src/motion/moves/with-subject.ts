import type { MoveOf } from '../../model';
import { PLAIN, polar, settable, settableDistance, type Recipe, type Stand } from './recipe';
import { beside } from './shapes/beside';
import { carriedPlace } from '../carried';
import { standing } from './shapes/standing';

/** Moves that go with a walking subject. */
const WITH = { ...PLAIN, effect: 'along' as const, travels: false, goes: 'itself' as const };
const metres = (m: number) => Math.min(500, Math.max(-500, m));
const away = ({ distanceM }: Stand) => Math.min(500, distanceM);

export const follow: Recipe<MoveOf<'follow'>> = {
  ...WITH,
  ...beside<MoveOf<'follow'>>(
    {
      from: ({ distanceM, sideM }) => ({ alongM: -distanceM, sideM }),
      to: ({ distanceM, sideM }) => ({ alongM: -distanceM, sideM }),
      put: (move, _end, { alongM, sideM }) => ({ ...move, distanceM: Math.max(0.1, -alongM), sideM: metres(sideM) }),
      scale: (move, share) => ({ ...move, distanceM: settableDistance(move.distanceM * share) }),
    },
    'start',
  ),
  kind: 'follow',
  title: 'Follow behind',
  purpose: 'Walk behind somebody and see what they walk into.',
  joins: '',
  startingFrom: (stand, pivot) => ({
    kind: 'follow',
    ...pivot,
    heightM: stand.heightM,
    distanceM: away(stand),
    sideM: 0,
  }),
};

export const lead: Recipe<MoveOf<'lead'>> = {
  ...WITH,
  ...beside<MoveOf<'lead'>>(
    {
      from: ({ distanceM, sideM }) => ({ alongM: distanceM, sideM }),
      to: ({ distanceM, sideM }) => ({ alongM: distanceM, sideM }),
      put: (move, _end, { alongM, sideM }) => ({ ...move, distanceM: Math.max(0.1, alongM), sideM: metres(sideM) }),
      scale: (move, share) => ({ ...move, distanceM: settableDistance(move.distanceM * share) }),
    },
    'start',
  ),
  kind: 'lead',
  title: 'Lead in front',
  purpose: 'Go backwards before somebody and see the face.',
  joins: 'of',
  startingFrom: (stand, pivot) => ({
    kind: 'lead',
    ...pivot,
    heightM: stand.heightM,
    distanceM: away(stand),
    sideM: 0,
  }),
};

export const alongside: Recipe<MoveOf<'alongside'>> = {
  ...WITH,
  ...beside<MoveOf<'alongside'>>(
    {
      from: ({ alongM, sideM }) => ({ alongM, sideM }),
      to: ({ alongM, sideM }) => ({ alongM, sideM }),
      put: (move, _end, { alongM, sideM }) => ({ ...move, alongM: metres(alongM), sideM: metres(sideM) }),
      scale: (move, share) => ({
        ...move,
        sideM: Math.sign(move.sideM) * settableDistance(Math.min(500, Math.abs(move.sideM) * share)),
      }),
    },
    'start',
  ),
  kind: 'alongside',
  title: 'Alongside',
  purpose: 'Keep level with somebody: the foreground rushes between, the background runs behind.',
  joins: '',
  startingFrom: (stand, pivot) => ({
    kind: 'alongside',
    ...pivot,
    heightM: stand.heightM,
    sideM: away(stand),
    alongM: 0,
  }),
};

const RAD = Math.PI / 180;

export const holdDistance: Recipe<MoveOf<'holdDistance'>> = {
  ...WITH,
  ...standing<MoveOf<'holdDistance'>>((move, { subjectAt }) => {
    const base = new Float64Array(3);
    const [east, north] = [
      move.distanceM * Math.sin(move.bearingDeg * RAD),
      move.distanceM * Math.cos(move.bearingDeg * RAD),
    ];
    return {
      write(_s, tS, out, offset = 0) {
        subjectAt(tS, base);
        out[offset] = base[0] + move.pivotEastM + east;
        out[offset + 1] = base[1] + move.pivotNorthM + north;
        out[offset + 2] = base[2] + move.heightM;
      },
    };
  }),
  drag: (move, handleId, xM, yM, { subjectAt }, { startS }) => {
    if (handleId !== 'start') return move;
    const base = new Float64Array(3);
    subjectAt(startS, base);
    return {
      ...move,
      ...polar({ xM: base[0] + move.pivotEastM, yM: base[1] + move.pivotNorthM, zM: 0 }, xM, yM, move.bearingDeg),
    };
  },
  kind: 'holdDistance',
  title: 'Hold one distance',
  purpose: 'Keep one distance and one bearing whatever the subject does: size and focus stay.',
  joins: 'from',
  startingFrom: (stand, pivot) => ({ kind: 'holdDistance', ...pivot, ...stand }),
};

export const overtake: Recipe<MoveOf<'overtake'>> = {
  ...WITH,
  ...beside<MoveOf<'overtake'>>(
    {
      from: ({ fromAlongM, fromSideM }) => ({ alongM: fromAlongM, sideM: fromSideM }),
      to: ({ toAlongM, toSideM }) => ({ alongM: toAlongM, sideM: toSideM }),
      put: (move, end, { alongM, sideM }) => ({
        ...move,
        [end === 'from' ? 'fromAlongM' : 'toAlongM']: metres(alongM),
        [end === 'from' ? 'fromSideM' : 'toSideM']: metres(sideM),
      }),
      scale: (move, share) => ({
        ...move,
        fromSideM: metres(settable(move.fromSideM * share)),
        toSideM: metres(settable(move.toSideM * share)),
      }),
    },
    'both',
  ),
  kind: 'overtake',
  title: 'Overtake on a diagonal',
  purpose:
    'Come from behind, pass, and end in front, looking at the subject all the while; sides of different sign ' +
    'cross its way.',
  joins: 'past',
  startingFrom: (stand, pivot) => ({
    kind: 'overtake',
    ...pivot,
    heightM: stand.heightM,
    fromAlongM: -away(stand) * 0.6,
    toAlongM: away(stand) * 0.6,
    fromSideM: away(stand) * 0.8,
    toSideM: away(stand) * 0.6,
  }),
};

export const carried: Recipe<MoveOf<'carried'>> = {
  ...WITH,
  ...beside<MoveOf<'carried'>>(
    {
      from: ({ alongM, sideM }) => ({ alongM, sideM }),
      to: ({ alongM, sideM }) => ({ alongM, sideM }),
      put: (move, _end, { alongM, sideM }) => ({ ...move, alongM: metres(alongM), sideM: metres(sideM) }),
      // It is fixed where it is: what is farther away is not carried.
      scale: (move) => move,
    },
    'start',
  ),
  track: (move, moveFrame) => carriedPlace(move, moveFrame),
  kind: 'carried',
  title: 'Carried along',
  purpose: 'Fix the camera to whoever goes: helmet, belt, handlebar, bonnet. They hold still and the world moves.',
  joins: 'on',
  subjectIn: () => 'unasked',
  aim: ({ panDeg, tiltDeg }) => ({ base: 'carried', panDeg, tiltDeg }),
  startingFrom: ({ heightM }, pivot) => ({
    kind: 'carried',
    ...pivot,
    heightM,
    alongM: 0.3,
    sideM: 0,
    panDeg: 0,
    tiltDeg: 0,
  }),
};
