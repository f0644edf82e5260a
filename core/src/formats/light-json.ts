import type { Shoot, Shot } from '../model';
import { evOfDaylight, sunAt, windowsOf, clockAt } from '../light';
import { litShare } from '../image';
import { plannedFilm } from '../motion';
import { sideIn } from '../findings';
import { sceneOf } from '../scene';
import { Refusal } from './refusal';

/** Sun and daylight as `arc light` prints them: of the site, and over a shot. */
export function lightJson(shoot: Shoot, shot: Shot | null, at: Date | null) {
  const { place } = shoot.site;
  if (!place) throw Refusal.of('site.place', 'site.place is not said: give the site its latitude and longitude first.');
  const moment = at ?? (shot?.light.at ? new Date(shot.light.at) : null);
  if (!moment)
    throw Refusal.of('--at', '--at is missing: a moment such as 2026-06-01T18:00:00Z, or a shot that says its own.');
  const { day } = clockAt(place, moment);
  const { windows, noon } = windowsOf(place, day);
  return {
    place,
    at: moment.toISOString(),
    sun: sunAt(place, moment),
    noon: noon.toISOString(),
    windows: windows.map(({ name, start, end }) => ({ name, start: start.toISOString(), end: end.toISOString() })),
    ...(shot ? { shot: shot.name, samples: overShot(shoot, shot, moment) } : {}),
  };
}

function overShot(shoot: Shoot, shot: Shot, moment: Date) {
  const at = moment.toISOString().replace(/\.\d+Z$/, 'Z');
  const scene = sceneOf(shoot, { ...shot, light: { ...shot.light, at } });
  const { sunAt: over } = scene;
  const { samples } = plannedFilm(scene);
  const lit = over && scene.subject ? litShare(scene, samples, over) : null;
  return Array.from({ length: samples.count }, (_, row) => {
    const altitudeDeg = over?.(samples.tS[row]).altitudeDeg ?? 0;
    const share = lit?.[row] ?? 1;
    return {
      tS: samples.tS[row],
      // Below the horizon the formulas of daylight end.
      ev100: altitudeDeg > 0 ? evOfDaylight(altitudeDeg, shot.bench.sky, share) : null,
      litShare: share,
      side: scene.subject ? sideIn(scene, samples, row) : null,
    };
  });
}
