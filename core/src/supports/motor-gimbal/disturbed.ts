import type { Build, Kit, Shot, Units } from '../../model';
import { partLumps } from '../masses';
import { gimbalBalance } from './statics';
import { saySlide } from './slides';

/**
 * A build with a shot's lens, and zoomed as the shot is: the new lens sits with its mount where the old one's was. The
 * same build where the kit has no such lens among its parts.
 */
export function asFor(build: Build, kit: Kit, shot: Shot): Build {
  const lensIs = (id: string) => kit.parts.find((part) => part.id === id && part.kind === 'lens');
  const wanted = kit.parts.find((part) => part.kind === 'lens' && part.of === shot.lensId);
  const parts = build.parts.map((placed) => {
    const old = lensIs(placed.partId);
    return old && wanted && old.id !== wanted.id
      ? { ...placed, partId: wanted.id, foreMm: placed.foreMm + (wanted.lengthMm - old.lengthMm) / 2 }
      : placed;
  });
  return { ...build, parts, focalLengthMm: shot.focalLengthMm };
}

/** Slides below this are not felt. */
const FELT_MM = 0.5;

/**
 * Which axes of a balanced motor gimbal a shot's lens or zoom disturbs, and how far to slide which plate for it; none
 * for other rigs. The tilt balances are done first, so pan is what is left after them.
 */
export function disturbedAxes(build: Build, kit: Kit, shot: Shot, units: Units): string[] {
  const { support } = build;
  if (support.kind !== 'motorGimbal') return [];
  const before = gimbalBalance(support, partLumps(build, kit.parts, kit.lenses));
  const after = gimbalBalance(support, partLumps(asFor(build, kit, shot), kit.parts, kit.lenses));
  return after.axes.flatMap(({ name, slideMm }, i) => {
    // Slid for fore and aft, the plate takes its moment from the pan axis again.
    if (name === 'pan') return [];
    const byMm = slideMm - before.axes[i].slideMm;
    if (Math.abs(byMm) < FELT_MM) return [];
    return [`${name}: ${saySlide(name, byMm, units)}`];
  });
}
