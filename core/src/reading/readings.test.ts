import { expect, it } from 'vitest';
import { demoShoot } from '../testing/demo';
import { Readings } from './readings';

it('a reading is kept as long as its plan is the same, and made again when the shot, the site or the units change', () => {
  const demo = demoShoot();
  const readings = new Readings();
  const [shot] = demo.shots;
  const first = readings.read(demo, shot);
  expect(readings.read({ ...demo, name: 'Another name' }, shot)).toBe(first);
  expect(readings.read(demo, { ...shot })).not.toBe(first);
  expect(readings.read(demo, shot, 'imperial')).not.toBe(first);
  expect(readings.read({ ...demo, site: { ...demo.site, pieces: [...demo.site.pieces] } }, shot)).not.toBe(first);
});
