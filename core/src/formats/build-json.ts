import type { Build, Shoot } from '../model';
import { balanceOf, checklistOf, disturbedAxes, shotsOf } from '../supports';

/** A build as `arc balance` and `arc stand` print it: the same numbers as the Kit screen. */
export function buildJson(shoot: Shoot, build: Build, number: number) {
  const shots = shotsOf(shoot, build);
  const { facts, steps, cautions } = balanceOf(
    build,
    shoot.kit,
    'metric',
    shots.map(({ shot }) => shot),
  );
  return {
    build: number,
    name: build.name,
    kind: build.support.kind,
    facts: facts.map(({ key, label, said, value, grade, why }) => ({
      key,
      label,
      said,
      value,
      grade,
      ...(why ? { why } : {}),
    })),
    steps,
    shots: shots.map(({ number: shot, need }) => ({
      shot,
      minutes: need.minutes,
      changes: need.changes,
      slides: disturbedAxes(build, shoot.kit, shoot.shots[shot - 1], 'metric'),
    })),
    checklist: checklistOf(
      build,
      shoot.kit,
      shots.map(({ shot }) => shot),
      shoot.site.pieces,
    ).map(({ key, said }) => ({ key, said, done: build.ticked.includes(key) })),
    cautions,
  };
}
