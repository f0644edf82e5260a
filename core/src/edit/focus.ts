import { shotDurationS, type Focus, type Shot } from '../model';

const cm = (m: number) => Math.round(m * 100) / 100;

/**
 * A shot whose focus is planned another way. One that stays begins at the subject's distance at the end of the shot; one
 * that is racked begins soft, at half of it, and comes to the subject on the way. `closestM`: nearer nothing focuses.
 */
export function focusBy(shot: Shot, mode: Focus['mode'], subjectDistanceM: number, closestM: number): Shot {
  const distanceM = Math.max(closestM, cm(subjectDistanceM));
  if (mode === 'follow') return { ...shot, focus: { mode } };
  if (mode === 'fixed') return { ...shot, focus: { mode, distanceM } };
  const atS = Math.round(shotDurationS(shot) * 4) / 10;
  const from = { on: 'distance' as const, distanceM: Math.max(closestM, cm(distanceM / 2)) };
  return { ...shot, focus: { mode, from, racks: [{ atS, overS: 1, to: { on: 'subject' } }] } };
}
