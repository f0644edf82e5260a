import { percent } from '../findings';
import { trim } from '../model';
import { cutSeconds } from './told';
import type { Joined, JoinFinding } from './join-finding';

/** The frame itself at a cut: dark, ground or sky, its light, its rate, and what there is before and after it. */

export function judgeDark({ kind, from, to, limits: L }: Joined): JoinFinding[] {
  if (kind !== 'dark') return [];
  const least = Math.min(from.covered, to.covered);
  return [
    {
      id: 'dark',
      grade: least >= L.darkShare ? 'calm' : least >= 0.6 ? 'ripple' : 'jolt',
      sentence:
        `${percent(from.covered)} of the last frame and ${percent(to.covered)} of the first are covered by something close ` +
        `to the lens${least >= L.darkShare ? ': dark into dark' : `; from ${percent(L.darkShare)} on the cut is hidden`}.`,
      reason: 'Something that covers the lens on both sides hides the cut: a back, a post, a hand.',
      value: least,
      limit: L.darkShare,
      unit: 'share',
    },
  ];
}

export function judgeGround({ kind, from, to, limits: L }: Joined): JoinFinding[] {
  if (kind !== 'ground') return [];
  const ground = Math.min(from.groundShare, to.groundShare);
  const sky = Math.min(from.skyShare, to.skyShare);
  const what = ground >= sky ? 'ground' : 'sky';
  const [a, b] = what === 'ground' ? [from.groundShare, to.groundShare] : [from.skyShare, to.skyShare];
  const least = Math.min(a, b);
  return [
    {
      id: 'ground',
      grade: least >= L.groundShare ? 'calm' : least >= 0.6 ? 'ripple' : 'jolt',
      sentence:
        `${percent(a)} of the last frame and ${percent(b)} of the first are ${what}` +
        `${least >= L.groundShare ? `: ${what} into ${what}` : `; from ${percent(L.groundShare)} on the cut is hidden`}.`,
      reason: 'Tilt down to the floor, and up from the next one: two floors look alike.',
      value: least,
      limit: L.groundShare,
      unit: 'share',
    },
  ];
}

export function judgeLight({ kind, from, to, limits: L }: Joined): JoinFinding[] {
  const stops = to.light.ev100 - from.light.ev100;
  const [a, b] = [from.light.side, to.light.side];
  const same = from.subject !== null && from.subject.id === to.subject?.id;
  const turned =
    same &&
    a !== null &&
    b !== null &&
    a.from !== b.from &&
    a.from !== 'middle' &&
    b.from !== 'middle' &&
    a.side === b.side;
  if (Math.abs(stops) <= L.lightStops && !turned) return [];
  const hidden = kind === 'black';
  const parts = [
    ...(Math.abs(stops) > L.lightStops
      ? [`the light ${stops > 0 ? 'leaps up' : 'falls'} by ${trim(Math.abs(stops), 1)} stops`]
      : []),
    ...(turned ? [`the sun stood ${a.from} of ${from.subject?.name} and stands ${b.from} now`] : []),
  ];
  const words = parts.join(' and ');
  return [
    {
      id: 'light',
      grade: hidden ? 'calm' : Math.abs(stops) > L.lightStops * 2.5 ? 'jolt' : 'ripple',
      sentence: `At the cut ${words}.`,
      reason: 'What is meant to be one moment has one light: film it in one, or let time pass between.',
      value: Math.abs(stops),
      limit: L.lightStops,
      unit: 'stops',
    },
  ];
}

export function judgeRate({ kind, from, to, limits: L }: Joined): JoinFinding[] {
  const found: JoinFinding[] = [];
  if (Math.abs(from.rateHz - to.rateHz) > 0.01)
    found.push({
      id: 'rate',
      grade: 'ripple',
      sentence: `The first is shown at ${trim(from.rateHz, 2)} frames a second and the second at ${trim(to.rateHz, 2)}.`,
      reason: 'In one film frames are doubled or dropped for one of them: show both at one rate.',
      value: to.rateHz,
      limit: from.rateHz,
      unit: 'Hz',
    });
  const times = Math.max(from.openShare, to.openShare) / Math.max(1e-6, Math.min(from.openShare, to.openShare));
  const open = (share: number) => `${trim(share * 360, 0)}°`;
  if (found.length === 0 && times > L.smearFactor && kind !== 'black')
    found.push({
      id: 'rate',
      grade: 'ripple',
      sentence: `Motion is smeared over ${open(from.openShare)} before the cut and ${open(to.openShare)} after it.`,
      reason: 'Crisp motion beside smeared motion looks like another film.',
      value: times,
      limit: L.smearFactor,
      unit: '×',
    });
  return found;
}

export function judgeHandles({ fromFrames, toFrames, handlesS, kind, limits: L }: Joined): JoinFinding[] {
  const found: JoinFinding[] = [];
  for (const [frames, which] of [
    [fromFrames, 'first'],
    [toFrames, 'second'],
  ] as const) {
    if (frames.short)
      found.push({
        id: 'short',
        grade: 'jolt',
        sentence: `The cut asks for more of the ${which} shot than its ${trim(frames.whole / frames.rateHz, 1)} s.`,
        reason: 'It is shown as far as it goes: cut it earlier, or make the shot longer.',
        value: frames.whole / frames.rateHz,
        limit: 0,
        unit: 's',
      });
    else if (cutSeconds(frames) < L.seenS)
      found.push({
        id: 'short',
        grade: 'ripple',
        sentence: `The ${which} shot is in the cut for ${trim(cutSeconds(frames), 2)} s: hardly seen.`,
        reason: `A picture takes ${trim(L.seenS, 2)} s at least to be taken in.`,
        value: cutSeconds(frames),
        limit: L.seenS,
        unit: 's',
      });
  }
  const after = (fromFrames.whole - fromFrames.end) / fromFrames.rateHz;
  const before = toFrames.first / toFrames.rateHz;
  const least = Math.min(after, before);
  if (handlesS > 0 && kind !== 'black' && least < handlesS - 1e-6)
    found.push({
      id: 'handles',
      grade: 'calm',
      sentence:
        `Planned are ${trim(after, 1)} s after the cut and ${trim(before, 1)} s before it: film ${trim(handlesS, 1)} s more ` +
        'at each end, and the cut has a choice.',
      reason: 'Handles are asked of the shooting time; hold still for them, or let the move run on.',
      value: least,
      limit: handlesS,
      unit: 's',
    });
  return found;
}
