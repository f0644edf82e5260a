import * as z from 'zod';

/** A name that people read: something else than white space. */
export const nameText = (most: number) =>
  z
    .string()
    .min(1)
    .max(most)
    .refine((name) => name.trim() !== '', { error: 'must be more than white space; type a name' });

/**
 * What one thing is told from another by, and what links are made of: no white space alone, and none of the two paths
 * that mean "here" and "above".
 */
export const idText = z
  .string()
  .min(1)
  .refine((id) => id.trim() !== '' && id !== '.' && id !== '..' && !/\p{Surrogate}/u.test(id), {
    error: 'must be more than white space or dots; give it another',
  });

/** Most letters of a text from outside that a sentence repeats. */
export const MOST_ECHOED = 80;

/** A text from outside as it is repeated in a sentence: its beginning. */
export const clipped = (text: string, most = MOST_ECHOED): string =>
  text.length > most ? `${text.slice(0, most - 1)}…` : text;
