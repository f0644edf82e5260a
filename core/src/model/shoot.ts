import * as z from 'zod';
import { limitsOf, OwnLimitsSchema, type Limits } from './limits';
import { KitSchema, type Camera, type Filter, type Gait, type Lens, type Rig } from './kit';
import { PieceSchema, type Piece } from './piece';
import { parametersOf } from './move';
import { focusTargets, legsOf, ShotSchema, type Plan, type Shot } from './shot';

export const SHOOT_FORMAT = 'gentle-arc-shoot';
export const SHOOT_VERSION = 5;

export const ALSO_SHAPES = ['none', 'upright', 'wide', 'square'] as const;

/** The shape the audience sees, in pixels of the delivered picture. */
export const DeliverySchema = z.strictObject({
  widthPx: z.number().int().min(160).max(20000),
  heightPx: z.number().int().min(120).max(20000),
  /** Another shape that is cut from the middle later: what matters stays inside it. */
  alsoShape: z.enum(ALSO_SHAPES),
});

export const SiteSchema = z.strictObject({ pieces: z.array(PieceSchema).max(2000) });

/** The whole job: one site, one kit, the shots in order. This is also the file format; see docs/formats.md. */
export const ShootSchema = z
  .strictObject({
    format: z.literal(SHOOT_FORMAT),
    version: z.literal(SHOOT_VERSION),
    id: z.string().min(1),
    name: z.string().min(1).max(120),
    note: z.string().max(4000),
    delivery: DeliverySchema,
    site: SiteSchema,
    kit: KitSchema,
    shots: z.array(ShotSchema).max(500),
    /** Limits of the reading that differ from those that ship. */
    limits: OwnLimitsSchema,
  })
  .superRefine((shoot, context) => {
    const refuse = (path: (string | number)[], message: string) => context.addIssue({ code: 'custom', path, message });
    const uniqueIds = (rows: { id: string }[], path: string[]) => {
      const seen = new Set<string>();
      rows.forEach(({ id }, i) => {
        if (seen.has(id)) refuse([...path, i, 'id'], `repeats "${id}"; give each its own`);
        seen.add(id);
      });
      return seen;
    };
    const pieceIds = uniqueIds(shoot.site.pieces, ['site', 'pieces']);
    const cameraIds = uniqueIds(shoot.kit.cameras, ['kit', 'cameras']);
    const lensIds = uniqueIds(shoot.kit.lenses, ['kit', 'lenses']);
    const rigIds = uniqueIds(shoot.kit.rigs, ['kit', 'rigs']);
    const gaitIds = uniqueIds(shoot.kit.gaits, ['kit', 'gaits']);
    const filterIds = uniqueIds(shoot.kit.filters, ['kit', 'filters']);
    const partIds = uniqueIds(shoot.kit.parts, ['kit', 'parts']);
    uniqueIds(shoot.kit.builds, ['kit', 'builds']);
    shoot.kit.parts.forEach(({ of }, i) => {
      if (of !== null && ![cameraIds, lensIds, filterIds].some((ids) => ids.has(of)))
        refuse(['kit', 'parts', i, 'of'], `names "${of}", which is no camera, lens or filter of the kit; choose one that is, or null`);
    });
    shoot.kit.builds.forEach((build, i) => {
      if (!rigIds.has(build.rigId)) refuse(['kit', 'builds', i, 'rigId'], `names "${build.rigId}", which is not in kit.rigs; choose one that is`);
      build.parts.forEach(({ partId }, k) => {
        if (!partIds.has(partId)) refuse(['kit', 'builds', i, 'parts', k, 'partId'], `names "${partId}", which is not in kit.parts; choose one that is`);
      });
    });
    uniqueIds(shoot.shots, ['shots']);
    const checkPlan = (plan: Plan, path: (string | number)[]) => {
      const known = (ids: Set<string>, id: string, field: string, where: string) => {
        if (!ids.has(id)) refuse([...path, field], `names "${id}", which is not in ${where}; choose one that is`);
      };
      known(cameraIds, plan.cameraId, 'cameraId', 'kit.cameras');
      known(lensIds, plan.lensId, 'lensId', 'kit.lenses');
      known(rigIds, plan.rigId, 'rigId', 'kit.rigs');
      known(gaitIds, plan.gaitId, 'gaitId', 'kit.gaits');
      legsOf(plan).forEach(({ move }, k) => {
        for (const { key } of parametersOf(move.kind).filter(({ type }) => type === 'piece')) {
          const id = (move as Record<string, unknown>)[key];
          const where = k === 0 ? ['move', key] : ['then', k - 1, 'move', key];
          if (typeof id === 'string' && !pieceIds.has(id)) refuse([...path, ...where], `names "${id}", which is not in site.pieces; choose one that is`);
        }
      });
      plan.filterIds.forEach((id, k) => {
        if (!filterIds.has(id)) refuse([...path, 'filterIds', k], `names "${id}", which is not in kit.filters; choose one that is`);
      });
      focusTargets(plan.focus).forEach(({ target, at }) => {
        if (target.on === 'piece' && !pieceIds.has(target.pieceId))
          refuse([...path, 'focus', ...at, 'pieceId'], `names "${target.pieceId}", which is not in site.pieces; choose one that is`);
      });
      if (plan.subjectId !== null) known(pieceIds, plan.subjectId, 'subjectId', 'site.pieces');
      plan.walks.forEach((walk, k) => {
        if (!pieceIds.has(walk.pieceId)) refuse([...path, 'walks', k, 'pieceId'], `names "${walk.pieceId}", which is not in site.pieces; choose one that is`);
      });
    };
    shoot.shots.forEach((shot, i) => {
      checkPlan(shot, ['shots', i]);
      if (shot.other) checkPlan(shot.other, ['shots', i, 'other']);
    });
  });

export type Delivery = z.infer<typeof DeliverySchema>;
export type Raster = Pick<Delivery, 'widthPx' | 'heightPx'>;
export type Site = z.infer<typeof SiteSchema>;
export type Shoot = z.infer<typeof ShootSchema>;

/** A shot with everything it names looked up: what the computation works on. */
export interface Setup {
  shot: Shot;
  camera: Camera;
  lens: Lens;
  rig: Rig;
  gait: Gait;
  /** What is before the lens. */
  filters: Filter[];
  delivery: Delivery;
  pieces: Piece[];
  subject: Piece | null;
  limits: Limits;
}

/** Looks up what a shot names. The shoot must have passed `ShootSchema`; throws a RangeError when a name is missing all the same. */
export function setupOf(shoot: Shoot, shot: Shot): Setup {
  const find = <T extends { id: string }>(rows: T[], id: string, what: string): T => {
    const found = rows.find((row) => row.id === id);
    if (!found) throw new RangeError(`The shot "${shot.name}" names a ${what} that is not there: ${id}.`);
    return found;
  };
  return {
    shot,
    camera: find(shoot.kit.cameras, shot.cameraId, 'camera'),
    lens: find(shoot.kit.lenses, shot.lensId, 'lens'),
    rig: find(shoot.kit.rigs, shot.rigId, 'rig'),
    gait: find(shoot.kit.gaits, shot.gaitId, 'gait'),
    filters: shot.filterIds.map((id) => find(shoot.kit.filters, id, 'filter')),
    delivery: shoot.delivery,
    pieces: shoot.site.pieces,
    subject: shot.subjectId === null ? null : find(shoot.site.pieces, shot.subjectId, 'subject'),
    limits: limitsOf(shoot.limits),
  };
}
