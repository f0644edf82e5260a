import { WaySchema, type Way, type Shot } from '../model';

/** Two ways to make one shot: the shot's own fields are one of them, `other` is the one kept beside it. */

const WAY_KEYS = Object.keys(WaySchema.shape) as (keyof Way)[];

/** How a shot is made, without its name and without the way kept beside it. */
export function wayOf(shot: Way): Way {
  return Object.fromEntries(WAY_KEYS.map((key) => [key, shot[key]])) as Way;
}

/** The shot with a copy of how it is made kept beside it: from now on the shot's own way is B, what was is A. */
export function withVariant(shot: Shot): Shot {
  return { ...shot, variant: 'B', other: wayOf(shot) };
}

/** The shot made the other way; unchanged where there is none. */
export function flicked(shot: Shot): Shot {
  return shot.other ? { ...shot, ...shot.other, variant: shot.variant === 'A' ? 'B' : 'A', other: wayOf(shot) } : shot;
}

/** The shot with only the way it is made now. */
export function withoutVariant(shot: Shot): Shot {
  return { ...shot, variant: 'A', other: null };
}

/** Both ways as shots of their own, A first; only the one where none is kept. */
export function bothWays(shot: Shot): Shot[] {
  if (!shot.other) return [shot];
  const ways = [shot, flicked(shot)];
  return shot.variant === 'A' ? ways : ways.reverse();
}
