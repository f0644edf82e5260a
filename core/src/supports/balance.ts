import type { Build } from '../model/build';
import type { Kit } from '../model/kit';
import type { Shot } from '../model/shot';
import { angleOfViewDeg } from '../optics/angle-of-view';
import type { Units } from '../model/units';
import { heapOf, partLumps, type Lump } from './masses';
import { buildCautions } from './cautions';
import { fact, type Balance, type Told } from './fact';
import { overlapFact } from './overlaps';
import { armTold } from './arm/told';
import { droneTold } from './drone/told';
import { gimbalTold } from './motor-gimbal/told';
import { improvisedFacts, improvisedSteps } from './improvised/told';
import { jibTold } from './jib/told';
import { ropeTold } from './rope/told';
import { coachedSteps, sledFacts, sledSteps, solutionFor } from './sled/told';
import { sliderTold } from './slider/told';
import { wheelsTold } from './wheels/told';

/** All that is known of a build: numbers, what to do, and cautions. Never throws; what cannot be is said. */
export function balanceOf(build: Build, kit: Kit, units: Units, shots: readonly Shot[] = []): Balance {
  const placed = partLumps(build, kit.parts, kit.lenses);
  const told = tell(build, placed, kit, units, shots);
  const empty =
    placed.length === 0
      ? [
          fact(
            'parts',
            'On it',
            'nothing',
            0,
            'cannot',
            'Put the camera on: without it these are the numbers of the bare rig.',
          ),
        ]
      : [];
  return {
    facts: [...empty, ...overlapFact(build, kit, units), ...told.facts],
    steps: told.steps,
    cautions: buildCautions(build.support.kind),
  };
}

function tell(build: Build, placed: readonly Lump[], kit: Kit, units: Units, shots: readonly Shot[]): Told {
  const { support } = build;
  const headKg = heapOf(placed.filter((row) => row.on === 'top')).massKg;
  switch (support.kind) {
    case 'sled': {
      if (support.log.length > 0)
        return { facts: sledFacts(support, placed, units), steps: coachedSteps(support, placed, units) };
      const solution = solutionFor(support, placed, kit.parts, units);
      return {
        facts: sledFacts(support, placed, units),
        steps: 'cannot' in solution ? [solution.cannot] : sledSteps(support, solution, units),
      };
    }
    case 'motorGimbal':
      return gimbalTold(support, placed, units);
    case 'jib':
      return jibTold(support, headKg, units);
    case 'slider':
      return sliderTold(support, headKg, units);
    case 'arm':
      return armTold(support, placed, units, pictureDeg(build, kit));
    case 'rope':
      return ropeTold(support, headKg, units);
    case 'drone':
      return droneTold(
        support,
        headKg,
        units,
        shots,
        kit.rigs.find(({ id }) => id === build.rigId),
      );
    case 'wheels':
      return wheelsTold(support, units);
    case 'improvised':
      return { facts: improvisedFacts(support, headKg, units), steps: improvisedSteps(support) };
  }
}

/** Width of the picture that a build takes, degrees; null where it has no camera of the kit. */
function pictureDeg(build: Build, kit: Kit): number | null {
  const on = build.parts.flatMap(({ partId }) =>
    kit.parts.filter((part) => part.id === partId && part.kind === 'camera'),
  );
  const camera = kit.cameras.find((row) => row.id === on[0]?.of);
  return camera ? angleOfViewDeg(camera.sensorWidthMm, build.focalLengthMm) : null;
}
