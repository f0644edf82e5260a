import type { Shoot, Underlay } from '../model';
import { onSite } from './on-site';

/** Pictures under the plan: laid there, set to scale, turned to north, taken away. */

const withUnderlays = (shoot: Shoot, underlays: Underlay[]): Shoot => ({
  ...shoot,
  site: { ...shoot.site, underlays },
});

export const changeUnderlay = (shoot: Shoot, id: string, change: Partial<Underlay>): Shoot =>
  withUnderlays(
    shoot,
    shoot.site.underlays.map((row) => (row.id === id ? { ...row, ...change } : row)),
  );

export const removeUnderlay = (shoot: Shoot, id: string): Shoot =>
  withUnderlays(
    shoot,
    shoot.site.underlays.filter((row) => row.id !== id),
  );

/** A picture of which nothing is known yet is laid down as wide as this, m. */
const FIRST_WIDTH_M = 40;

/** Lays a picture under the plan with its middle at a point, north up. */
export function addUnderlay(
  shoot: Shoot,
  picture: Pick<Underlay, 'id' | 'name' | 'image' | 'widthPx' | 'heightPx'>,
  xM: number,
  yM: number,
): Shoot {
  return withUnderlays(shoot, [
    ...shoot.site.underlays,
    {
      ...picture,
      mPerPx: FIRST_WIDTH_M / picture.widthPx,
      xM: onSite(xM),
      yM: onSite(yM),
      turnDeg: 0,
      opacity: 0.6,
      shown: true,
    },
  ]);
}

/** A point of the site, metres. */
interface Spot {
  xM: number;
  yM: number;
}

/**
 * A picture set to scale and turned to north by a line that is known on it: from one spot of the plan, where it lies
 * now, to another, which is so long in life and runs in that direction (degrees from north). The first spot stays where
 * it is. Null where both spots are one.
 */
export function fittedUnderlay(
  underlay: Underlay,
  from: Spot,
  to: Spot,
  life: { lengthM: number; bearingDeg: number },
): Pick<Underlay, 'mPerPx' | 'xM' | 'yM' | 'turnDeg'> | null {
  const [dx, dy] = [to.xM - from.xM, to.yM - from.yM];
  const nowM = Math.hypot(dx, dy);
  if (nowM < 1e-6) return null;
  const times = life.lengthM / nowM;
  const turnDeg = life.bearingDeg - (Math.atan2(dx, dy) * 180) / Math.PI;
  const [sin, cos] = [Math.sin((turnDeg * Math.PI) / 180), Math.cos((turnDeg * Math.PI) / 180)];
  const [mx, my] = [(underlay.xM - from.xM) * times, (underlay.yM - from.yM) * times];
  const turned = underlay.turnDeg + turnDeg;
  return {
    mPerPx: underlay.mPerPx * times,
    xM: onSite(from.xM + mx * cos + my * sin),
    yM: onSite(from.yM + my * cos - mx * sin),
    turnDeg: Math.round((turned - 360 * Math.round(turned / 360)) * 1000) / 1000,
  };
}
