import { DEFAULT_AIM } from './defaults';
import { DEFAULT_GAITS, USUAL_GAIT, usualRig } from './default-rigs';
import { RIG_KINDS, type Rig, type RigKind } from './kit';

type Row = Record<string, unknown>;
const isRow = (value: unknown): value is Row => typeof value === 'object' && value !== null && !Array.isArray(value);
const rows = (value: unknown): unknown[] => (Array.isArray(value) ? value : []);

/** From version 1 to 2: rigs get the usual figures of their kind, the kit gets gaits, shots get body, stick and capture rate; a push that went away becomes a pull. */
function toVersion2(shoot: Row): Row {
  const kit = isRow(shoot.kit) ? shoot.kit : {};
  const kindOf = new Map<unknown, RigKind>();
  const rigs = rows(kit.rigs).map((rig) => {
    if (!isRow(rig)) return rig;
    const kind = RIG_KINDS.find((row) => row === rig.kind);
    if (!kind) return rig;
    kindOf.set(rig.id, kind);
    return usualRig(kind, rig as Partial<Rig> & Pick<Rig, 'id' | 'name'>);
  });
  const shots = rows(shoot.shots).map((shot) => {
    if (!isRow(shot)) return shot;
    const aim = isRow(shot.aim) ? { ...DEFAULT_AIM, ...shot.aim } : shot.aim;
    return {
      gaitId: USUAL_GAIT[kindOf.get(shot.rigId) ?? 'tripod'],
      bodySeed: 1,
      stick: 'fast',
      captureRateHz: shot.frameRateHz,
      backwards: false,
      then: [],
      ...shot,
      aim,
      move: isRow(shot.move) ? moveToVersion2(shot.move) : shot.move,
    };
  });
  return { ...shoot, version: 2, kit: { gaits: DEFAULT_GAITS, ...kit, rigs }, shots };
}

function moveToVersion2(move: Row): Row {
  if (move.kind === 'dollyZoom') return { zoomBy: 'both', pace: 'travel', ...move };
  if (move.kind === 'push' && Number(move.toDistanceM) > Number(move.fromDistanceM)) return { ...move, kind: 'pull' };
  return move;
}

/** Brings a value that claims to be a shoot of an older version to the present one, field by field; what is out of order stays so for the check to find. */
export function migrated(value: unknown): unknown {
  return isRow(value) && value.version === 1 ? toVersion2(value) : value;
}
