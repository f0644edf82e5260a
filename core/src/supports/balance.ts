import { type Build, DECIDES, type Kit, type Shot, type Units } from '../model';
import { supportOf } from './all';
import type { SupportCase } from './definition';
import { fact, type Balance } from './fact';
import { carryingFacts } from './carries';
import { heapOf, partLumps } from './masses';
import { overlapFact } from './overlaps';

/** A build with its parts as masses. */
export function caseOf(build: Build, kit: Kit, units: Units = 'metric', shots: readonly Shot[] = []): SupportCase {
  const placed = partLumps(build, kit.parts, kit.lenses);
  const headKg = heapOf(placed.filter((row) => row.on === 'top')).massKg;
  return { build, support: build.support, kit, units, shots, placed, headKg };
}

/** All that is known of a build: numbers, what to do, and cautions. Never throws; what cannot be is said. */
export function balanceOf(build: Build, kit: Kit, units: Units, shots: readonly Shot[] = []): Balance {
  const given = caseOf(build, kit, units, shots);
  const { tell, caution } = supportOf(build.support.kind);
  const told = tell(given);
  const why = 'Put the camera on: without it these are the numbers of the bare rig.';
  const empty = given.placed.length === 0 ? [fact('parts', 'On it', 'nothing', 0, 'cannot', why)] : [];
  return {
    facts: [...empty, ...overlapFact(build, kit, units), ...carryingFacts(build, kit, units), ...told.facts],
    steps: told.steps,
    cautions: [`${caution} ${DECIDES}`],
  };
}
