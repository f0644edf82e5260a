import * as z from 'zod';
import { around, bearing, degrees, distance, metres } from './parameter';

/**
 * Moves that go with a walking subject. Along and side are measured in the direction it walks; with a still subject,
 * the one it faces.
 */
const side = (label: string) => metres(label, -500, 500, 'side');
const along = (label: string) => metres(label, -500, 500);

export const FollowSchema = z.strictObject({
  kind: z.literal('follow'),
  ...around,
  distanceM: distance('distance'),
  sideM: side('off to its right'),
});
export const LeadSchema = z.strictObject({
  kind: z.literal('lead'),
  ...around,
  distanceM: distance('distance'),
  sideM: side('off to its right'),
});
export const AlongsideSchema = z.strictObject({
  kind: z.literal('alongside'),
  ...around,
  sideM: side('to its right'),
  alongM: along('ahead of it'),
});

/** Keeps one bearing and one distance, whichever way the subject turns. */
export const HoldDistanceSchema = z.strictObject({
  kind: z.literal('holdDistance'),
  ...around,
  distanceM: distance('distance'),
  bearingDeg: bearing('seen from bearing'),
});

/** From behind the subject to in front of it on a diagonal, aiming at it all the while. */
export const OvertakeSchema = z.strictObject({
  kind: z.literal('overtake'),
  ...around,
  fromAlongM: along('from ahead by'),
  toAlongM: along('to ahead by'),
  fromSideM: side('from right by'),
  toSideM: side('to right by'),
});

/** The camera is fixed to the subject: on a helmet, a belt, a handlebar, a bonnet. It goes, turns and leans as that does. */
export const CarriedSchema = z.strictObject({
  kind: z.literal('carried'),
  ...around,
  alongM: along('ahead of its middle'),
  sideM: side('right of its middle'),
  panDeg: degrees('looks right of ahead by', -180, 180, 'side'),
  tiltDeg: degrees('looks up by', -90, 90),
});

export const WITH_SUBJECT_SCHEMAS = [
  FollowSchema,
  LeadSchema,
  AlongsideSchema,
  HoldDistanceSchema,
  OvertakeSchema,
  CarriedSchema,
] as const;
