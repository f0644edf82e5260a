import { z } from 'zod';
import { checkShoot, Refusal } from '@gentle-arc/core/formats';
import type { Shoot } from '@gentle-arc/core/model';
import { forgetText, keepText, keptText } from '$lib/ui/preferences.svelte';

/**
 * What was changed in the last moment before a page is left. The database answers too late for that: this is written
 * at once, and read when the shoot is opened next.
 */
export interface Unsaved {
  shoot: Shoot;
  /** The state in the database that it was made from. */
  rev: string | null;
}

const UnsavedSchema = z.object({ rev: z.string().nullable(), shoot: z.unknown() });
const keyOf = (shootId: string) => `gentle-arc-unsaved-${shootId}`;

export const putAway = ({ shoot, rev }: Unsaved): void => keepText(keyOf(shoot.id), JSON.stringify({ rev, shoot }));
export const forgetUnsaved = (shootId: string): void => forgetText(keyOf(shootId));

/** What was put away of a shoot, until it is forgotten; null when nothing was, or it is no shoot in order. */
export function unsavedOf(shootId: string): Unsaved | null {
  const text = keptText(keyOf(shootId));
  if (text === null) return null;
  try {
    const { rev, shoot } = UnsavedSchema.parse(JSON.parse(text));
    return { rev, shoot: checkShoot(shoot) };
  } catch (error) {
    forgetUnsaved(shootId);
    // What is not whole is worth nothing beside what lies in the database.
    if (error instanceof Refusal || error instanceof z.ZodError || error instanceof SyntaxError) return null;
    throw error;
  }
}
