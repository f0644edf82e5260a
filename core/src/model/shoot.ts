import * as z from 'zod';
import { DaySchema } from './day';
import { choice } from './facts';
import { limitsOf, OwnLimitsSchema, type Limits } from './limits';
import { cameraAt, KitSchema, type Camera, type Filter, type Gait, type Lens, type Rig } from './kit';
import { PieceSchema, type Piece } from './piece';
import { SitePlaceSchema, type SitePlace } from './place';
import { stagedPieces } from './staging';
import { checkReferences } from './references';
import { ShotSchema, type Shot } from './shot';
import { LogSchema } from './log';
import { PracticeSchema } from './practice';
import { StorySchema } from './story';
import { idText, nameText } from './text';
import { type Underlay, UnderlaySchema } from './underlay';

export const SHOOT_FORMAT = 'gentle-arc-shoot';
export const SHOOT_VERSION = 16;

/** The shape the audience sees, in pixels of the delivered picture. */
export const DeliverySchema = z.strictObject({
  widthPx: z.number().int().min(160).max(20000),
  heightPx: z.number().int().min(120).max(20000),
  /** Another shape that is cut from the middle later: what matters stays inside it. */
  alsoShape: choice('Also cut as', {
    none: 'in no other shape',
    upright: 'and cut upright later',
    wide: 'and cut wide later',
    square: 'and cut square later',
  }),
});

export const SiteSchema = z.strictObject({
  pieces: z.array(PieceSchema).max(2000),
  /** Null: nobody has said; then light comes from one lamp high up. */
  place: SitePlaceSchema.nullable(),
  /** What lies under the plan, the lowest first. */
  underlays: z.array(UnderlaySchema).max(6),
});

/** The whole job: one site, one kit, the shots in order. This is also the file format; see docs/formats.md. */
export const ShootSchema = z
  .strictObject({
    format: z.literal(SHOOT_FORMAT),
    version: z.literal(SHOOT_VERSION),
    id: idText,
    name: nameText(120),
    note: z.string().max(4000),
    delivery: DeliverySchema,
    site: SiteSchema,
    kit: KitSchema,
    shots: z.array(ShotSchema).max(500),
    story: StorySchema,
    day: DaySchema,
    practice: PracticeSchema,
    log: LogSchema,
    /** Limits of the reading that differ from those that ship. */
    limits: OwnLimitsSchema,
  })
  .superRefine((shoot, context) =>
    checkReferences(shoot, (path, message) => context.addIssue({ code: 'custom', path, message })),
  );

/** What a shot's computation follows from besides its own fields. */
export type Around = Pick<Shoot, 'site' | 'kit' | 'delivery' | 'limits'>;

/** Whether it is the same, by identity: a shoot is never changed in place. What lies under the plan is no part of it. */
export const sameAround = (a: Around, b: Around): boolean =>
  a.site.pieces === b.site.pieces &&
  a.site.place === b.site.place &&
  a.kit === b.kit &&
  a.delivery === b.delivery &&
  a.limits === b.limits;

/** That of a shoot, without its shots: whoever keeps it does not keep them. */
export const aroundOf = ({ site, kit, delivery, limits }: Shoot): Around => ({ site, kit, delivery, limits });

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
  /** Those that are there in this shot, where and as they are in it. */
  pieces: readonly Piece[];
  subject: Piece | null;
  /** Where on earth the site is. */
  place: SitePlace | null;
  /** What lies under the plan. */
  underlays: readonly Underlay[];
  limits: Limits;
}

/**
 * Looks up what a shot names. The shoot must have passed `ShootSchema`; throws a RangeError when a name is missing all
 * the same.
 */
export function setupOf(shoot: Shoot, shot: Shot): Setup {
  const find = <T extends { id: string }>(rows: readonly T[], id: string, what: string): T => {
    const found = rows.find((row) => row.id === id);
    if (!found) throw new RangeError(`The shot "${shot.name}" names a ${what} that is not there: ${id}.`);
    return found;
  };
  const pieces = stagedPieces(shoot.site.pieces, shot);
  return {
    shot,
    camera: cameraAt(find(shoot.kit.cameras, shot.cameraId, 'camera'), shot.captureRateHz),
    lens: find(shoot.kit.lenses, shot.lensId, 'lens'),
    rig: find(shoot.kit.rigs, shot.rigId, 'rig'),
    gait: find(shoot.kit.gaits, shot.gaitId, 'gait'),
    filters: shot.filterIds.map((id) => find(shoot.kit.filters, id, 'filter')),
    delivery: shoot.delivery,
    pieces,
    subject: shot.subjectId === null ? null : find(pieces, shot.subjectId, 'subject'),
    place: shoot.site.place,
    underlays: shoot.site.underlays,
    limits: limitsOf(shoot.limits),
  };
}
