import { legsOf, type Move, type Shoot, type Shot, withLeg } from '../model';

/**
 * A shot changed by hand as an instruction says, with the numbers as they are printed: what a person does who reads the
 * sentence and types it. `begun` is the shot that the instruction was made with, for what it does not say (how a move
 * is carried on). Null where the sentence says nothing that is typed.
 */
export function followed(shoot: Shoot, begun: Shot, instruction: string): Shot | null {
  const inMove = /^In move (\d+): (.)(.*)$/.exec(instruction);
  if (inMove) {
    const index = Number(inMove[1]) - 1;
    const { move, timing } = legsOf(begun)[index];
    // As if that move were the whole shot, then put back into its place.
    const alone = followed(shoot, { ...begun, move, timing, then: [] }, `${inMove[2].toUpperCase()}${inMove[3]}`);
    return alone && withLeg({ ...begun }, index, (leg) => ({ ...leg, move: alone.move, timing: alone.timing }));
  }
  if (begun.then.length > 0 && /^(Take [\d.]+ s|Feather)/.test(instruction)) return null;
  const number = (pattern: RegExp): number[] | null =>
    pattern
      .exec(instruction)
      ?.slice(1)
      .map((text) => Number(text.replace('−', '-'))) ?? null;
  const timing = (edit: Partial<Shot['timing']>): Shot => ({ ...begun, timing: { ...begun.timing, ...edit } });
  const move = (edit: Partial<Record<string, number>>): Shot => ({
    ...begun,
    move: { ...begun.move, ...edit } as Move,
  });
  const has = (key: string) => key in begun.move;
  const named = <T extends { id: string; name: string }>(rows: readonly T[], prefix: string): T | undefined =>
    rows.find(({ name }) => instruction === `${prefix} ${name}`);

  let found = number(/^Take ([\d.]+) s for it$/);
  if (found && begun.then.length === 0) return timing({ durationS: found[0] });
  found = number(/^Feather the start over ([\d.]+) s$/);
  if (found) return timing({ featherInS: found[0] });
  found = number(/^Feather the stop over ([\d.]+) s$/);
  if (found && begun.then.length === 0) return timing({ featherOutS: found[0] });
  found = number(/^Feather start and stop over ([\d.]+) s each$/);
  if (found && begun.then.length === 0) return timing({ featherInS: found[0], featherOutS: found[0] });
  found = number(/^Go (?:wider|longer), to ([\d.]+) mm$/);
  if (found) return { ...begun, focalLengthMm: found[0] };
  found = number(/^Set the shutter to ([\d.]+)°$/);
  if (found) return { ...begun, shutterDeg: found[0] };
  found = number(/^Stop down to f\/([\d.]+)$/);
  if (found) return { ...begun, fNumber: found[0] };
  found = number(/^Film ([\d.]+) frames a second for slow motion$/) ?? number(/^Film ([\d.]+) frames a second$/);
  if (found) return { ...begun, captureRateHz: found[0] };
  found = number(/^Film and show ([\d.]+) frames a second$/);
  if (found) return { ...begun, captureRateHz: found[0], frameRateHz: found[0] };
  // The field is above the subject's feet; of two heights that is the second.
  found = number(/^(?:Lower|Raise) the camera to (?:[\d.−]+ m above the ground, )?([\d.−]+) m(?: above .+)?$/);
  if (found && has('heightM') && !has('toHeightM')) return move({ heightM: found[0] });
  found = number(/^Travel ([\d.]+) m$/);
  if (found && begun.move.kind === 'slide') return move({ travelM: Math.sign(begun.move.travelM) * found[0] });
  found = number(/^Stand ([\d.]+) m away$/);
  if (found && has('distanceM')) return move({ distanceM: found[0] });
  found = number(/^Sweep (\d+)°$/);
  if (found && (begun.move.kind === 'arc' || begun.move.kind === 'orbit'))
    return move({ sweepDeg: Math.sign(begun.move.sweepDeg) * found[0] });
  found = number(/^Circle at ([\d.]+) m$/);
  if (found && has('radiusM')) return move({ radiusM: found[0] });
  found = number(/^See it from bearing (\d+)°$/);
  if (found && has('bearingDeg')) return move({ bearingDeg: found[0] });
  if (instruction === 'Frame the subject in the middle')
    return { ...begun, aim: { ...begun.aim, place: { ...begun.aim.place, u: 0 } } };
  if (instruction === 'Let the focus follow the subject') return { ...begun, focus: { mode: 'follow' } };
  const gait = named(shoot.kit.gaits, 'Go with');
  if (gait) return { ...begun, gaitId: gait.id };
  const camera = named(shoot.kit.cameras, 'Take');
  if (camera) return { ...begun, cameraId: camera.id };
  const rig = named(shoot.kit.rigs, 'Take');
  if (rig) return { ...begun, rigId: rig.id };
  return null;
}
