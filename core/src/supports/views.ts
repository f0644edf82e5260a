import type { Build, Kit } from '../model';
import { supportOf } from './all';
import { caseOf } from './balance';
import { clamped, type DrawingGrip, type RigView } from './drawing';

/** The rig drawn to scale from its build: two views. */
export const viewsOf = (build: Build, kit: Kit): RigView[] => supportOf(build.support.kind).draw(caseOf(build, kit));

/** A build after something in a view was dragged from one place to another, mm. */
export function draggedTo(
  build: Build,
  view: RigView['name'],
  grip: DrawingGrip,
  from: [number, number],
  to: [number, number],
): Build {
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
  if ('field' in grip) {
    const { drag } = supportOf(build.support.kind);
    return drag ? { ...build, support: drag(build.support, { view, field: grip.field, to, dx, dy }) } : build;
  }
  const across = view === 'From behind' ? 'sideMm' : 'foreMm';
  const parts = build.parts.map((row, i) =>
    i !== grip.part
      ? row
      : { ...row, [across]: clamped(row[across] + dx, -3000, 3000), upMm: clamped(row.upMm + dy, -3000, 3000) },
  );
  return { ...build, parts };
}
