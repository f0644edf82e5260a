import { percent } from '../findings';
import { trim } from '../model';
import { type EdgeSubject, turnWithin } from './edge';
import type { Joined, JoinFinding } from './join-finding';

/** Who is seen on both sides of a cut: where in the frame, how large, from which side, doing what. */

const RAD = Math.PI / 180;
const hides = ({ kind }: Joined): boolean =>
  kind === 'whip' || kind === 'dark' || kind === 'black' || kind === 'ground';
const place = ({ u, v }: EdgeSubject): string => {
  const across = u < -1 / 12 ? 'left' : u > 1 / 12 ? 'right' : 'middle';
  const up = v > 1 / 6 ? 'upper ' : v < -1 / 6 ? 'lower ' : '';
  return `${up}${across}`;
};

/** How far the eye must leap: from where the one was to where the other is. */
export function judgePlace(joined: Joined): JoinFinding[] {
  const { kind, from, to, limits: L } = joined;
  const [a, b] = [from.subject, to.subject];
  if (kind === 'place' && !(a?.shown && b?.shown))
    return [
      {
        id: 'place',
        grade: 'jolt',
        sentence: 'A matched place needs somebody in the frame on both sides of the cut; here there is not.',
        reason: 'What takes the place of something else stands where that stood.',
        value: 0,
        limit: L.matchedPlace,
        unit: 'frame widths',
      },
    ];
  if (!a?.shown || !b?.shown || hides(joined)) return [];
  const leap = Math.hypot(a.u - b.u, a.w - b.w);
  if (kind === 'place')
    return [
      {
        id: 'place',
        grade: leap > L.matchedPlace * 2.5 ? 'jolt' : leap > L.matchedPlace ? 'ripple' : 'calm',
        sentence:
          leap > L.matchedPlace
            ? `${a.name} leaves at the ${place(a)} and ${b.name} comes in at the ${place(b)}, ` +
              `${percent(leap)} of the width apart: they do not take one place.`
            : `${b.name} takes the place of ${a.name}, within ${percent(leap)} of the width.`,
        reason: `Within ${percent(L.matchedPlace)} of the frame the eye does not stir at all.`,
        value: leap,
        limit: L.matchedPlace,
        unit: 'frame widths',
      },
    ];
  return [
    {
      id: 'eye',
      grade: leap > L.eyeLeap * 2 ? 'jolt' : leap > L.eyeLeap ? 'ripple' : 'calm',
      sentence:
        leap < 0.005
          ? 'The eye stays where it is.'
          : place(a) === place(b) && leap < L.eyeLeap
            ? `The eye stays ${place(a) === 'middle' ? 'in the middle' : `at the ${place(a)}`}, ` +
              `within ${percent(leap)} of the width.`
            : `The eye goes from the ${place(a)} to the ${place(b)}, ${percent(leap)} of the width.`,
      reason: 'Whoever must look for the subject after a cut misses its first half second.',
      value: leap,
      limit: L.eyeLeap,
      unit: 'frame widths',
    },
  ];
}

/** The same thing from nearly the same place in nearly the same size: it jumps. */
export function judgeSize(joined: Joined): JoinFinding[] {
  const { from, to, kind, limits: L } = joined;
  const [a, b] = [from.subject, to.subject];
  if (!a?.shown || !b?.shown || a.id !== b.id || hides(joined) || kind === 'place') return [];
  const times = Math.max(a.share, b.share) / Math.min(a.share, b.share);
  const turnDeg = Math.abs(turnWithin(a.bearingDeg - b.bearingDeg));
  const alike = times < L.alikeFactor && turnDeg < L.alikeDeg;
  const sizes = a.size === b.size ? `both times ${a.size}` : `${a.size}, then ${b.size}`;
  return [
    {
      id: 'size',
      grade: alike ? 'jolt' : times > 14 ? 'ripple' : 'calm',
      sentence: alike
        ? `${a.name} is ${sizes}, only ${trim(turnDeg, 0)}° further round: too alike, it jumps.`
        : `${a.name} is ${sizes}, ${trim(turnDeg, 0)}° round${times > 14 ? ': so great a step loses them' : ''}.`,
      reason:
        'A cut within one subject changes its size clearly, or goes round it by ' + `${trim(L.alikeDeg, 0)}° and more.`,
      value: alike ? turnDeg : times,
      limit: alike ? L.alikeDeg : L.alikeFactor,
      unit: alike ? '°' : '×',
    },
  ];
}

/** On which side of a line a camera stands: 1 or −1, 0 within `onLineDeg` of it; the line by a point and its bearing. */
export function sideOfLine(
  xM: number,
  yM: number,
  lineDeg: number,
  camera: { x: number; y: number },
  onLineDeg: number,
): -1 | 0 | 1 {
  const [dx, dy] = [camera.x - xM, camera.y - yM];
  const [east, north] = [Math.sin(lineDeg * RAD), Math.cos(lineDeg * RAD)];
  // To the right of the line's direction.
  const right = dx * north - dy * east;
  const offDeg = Math.asin(Math.min(1, Math.abs(right) / Math.max(1e-9, Math.hypot(dx, dy)))) / RAD;
  return offDeg < onLineDeg ? 0 : right > 0 ? 1 : -1;
}

/** The line of action: between two who are seen in turn, or where the one that is seen goes or looks. */
function lineOf(a: EdgeSubject, b: EdgeSubject): { xM: number; yM: number; deg: number; between: boolean } | null {
  if (!a.goes || !b.goes) return null;
  if (a.id === b.id) return { xM: a.xM, yM: a.yM, deg: a.headingDeg, between: false };
  const [dx, dy] = [b.xM - a.xM, b.yM - a.yM];
  // Who is farther off than they could talk has nothing to do with the other.
  if (Math.hypot(dx, dy) > 12 || Math.hypot(dx, dy) < 0.3) return null;
  return { xM: (a.xM + b.xM) / 2, yM: (a.yM + b.yM) / 2, deg: Math.atan2(dx, dy) / RAD, between: true };
}

export function judgeLine(joined: Joined): JoinFinding[] {
  const { from, to, kind, limits: L } = joined;
  const [a, b] = [from.subject, to.subject];
  if (!a?.shown || !b?.shown) return [];
  const line = lineOf(a, b);
  if (!line) return [];
  const turned = line.between ? line.deg : b.headingDeg;
  const before = sideOfLine(
    line.between ? line.xM : a.xM,
    line.between ? line.yM : a.yM,
    line.deg,
    from.cameraM,
    L.onLineDeg,
  );
  const after = sideOfLine(
    line.between ? line.xM : b.xM,
    line.between ? line.yM : b.yM,
    turned,
    to.cameraM,
    L.onLineDeg,
  );
  const hidden = kind === 'black' || kind === 'dark';
  const common = { id: 'line' as const, value: after * before, limit: 0, unit: 'side' };
  const walks = !line.between && (a.paceMps > 0.3 || b.paceMps > 0.3);
  if (before * after >= 0)
    return [
      {
        ...common,
        grade: 'calm',
        sentence:
          before * after > 0
            ? walks
              ? `${a.name} goes on in one direction on screen.`
              : 'Both are filmed from one side of the line of action.'
            : 'One of them is filmed along the line of action, from neither side.',
        reason: 'From one side of the line left stays left.',
      },
    ];
  return [
    {
      ...common,
      grade: hidden ? 'ripple' : 'jolt',
      sentence: walks
        ? `${a.name} goes ${before > 0 ? 'to the right' : 'to the left'} on screen, and after the cut ` +
          `${after > 0 ? 'to the right' : 'to the left'}: the line of action is crossed.`
        : `The camera crosses the line of action ${line.between ? `between ${a.name} and ${b.name}` : `of ${a.name}`}: who ` +
          'looked to one side looks to the other.',
      reason: 'Stay on one side of the line through a scene, or cross it within a shot, or by way of a shot along it.',
    },
  ];
}

/** A matched action: they go on where they were, as fast, turned alike. */
export function judgeAction({ kind, from, to, limits: L }: Joined): JoinFinding[] {
  if (kind !== 'action') return [];
  const [a, b] = [from.subject, to.subject];
  const common = { id: 'action' as const, unit: 'm', limit: L.actionM };
  const reason = 'Cut in the middle of what somebody does: the audience watches that and not the cut.';
  if (!a?.shown || !b?.shown || a.id !== b.id)
    return [
      {
        ...common,
        grade: 'jolt',
        sentence: 'A matched action needs one and the same in the frame on both sides of the cut.',
        reason,
        value: 0,
      },
    ];
  const offM = Math.hypot(a.xM - b.xM, a.yM - b.yM);
  const offMps = Math.abs(a.paceMps - b.paceMps);
  const offDeg = Math.abs(turnWithin(a.headingDeg - b.headingDeg));
  if (offM <= L.actionM && offMps <= L.actionMps && offDeg <= L.actionDeg) {
    const still = a.paceMps < 0.1 && b.paceMps < 0.1;
    return [
      {
        ...common,
        grade: still ? 'ripple' : 'calm',
        sentence: still
          ? `${a.name} stands still on both sides: there is no action to cut on.`
          : `${a.name} goes on where it was, within ${trim(offM, 1)} m, at ${trim(b.paceMps, 1)} m/s.`,
        reason,
        value: offM,
      },
    ];
  }
  const what = [
    ...(offM > L.actionM ? [`is ${trim(offM, 1)} m from where it was`] : []),
    ...(offMps > L.actionMps
      ? [`is seen to go at ${trim(b.paceMps, 1)} m/s where it went at ${trim(a.paceMps, 1)} m/s`]
      : []),
    ...(offDeg > L.actionDeg ? [`is turned by ${trim(offDeg, 0)}°`] : []),
  ];
  return [
    {
      ...common,
      grade: offM > L.actionM * 4 || offDeg > 90 ? 'jolt' : 'ripple',
      sentence: `After the cut ${a.name} ${what.join(' and ')}.`,
      reason,
      value: offM,
    },
  ];
}
