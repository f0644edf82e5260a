import { type Day, type Shoot, type Wish, wishOf } from '../model';

/** The shoot with something of its day changed. */
export const changeDay = (shoot: Shoot, change: Partial<Day>): Shoot => ({
  ...shoot,
  day: { ...shoot.day, ...change },
});

/** The shoot with what a shot wants of the day changed. */
export function changeWish(shoot: Shoot, shotId: string, change: Partial<Wish>): Shoot {
  const wish = { ...wishOf(shoot.day, shotId), ...change };
  const { wishes } = shoot.day;
  const known = wishes.some((row) => row.shotId === shotId);
  return changeDay(shoot, {
    wishes: known ? wishes.map((row) => (row.shotId === shotId ? wish : row)) : [...wishes, wish],
  });
}

/** A shot of the day taken before another one (null: to the end) in an order of ids; the whole order is kept. */
export function moveInDay(shoot: Shoot, order: readonly string[], shotId: string, beforeId: string | null): Shoot {
  const rest = order.filter((id) => id !== shotId);
  const at = beforeId === null ? rest.length : rest.indexOf(beforeId);
  const to = at < 0 ? rest.length : at;
  return changeDay(shoot, { order: [...rest.slice(0, to), shotId, ...rest.slice(to)] });
}

/** The day without what names shots that are gone. */
export function withoutShots(day: Day, ids: readonly string[]): Day {
  const gone = new Set(ids);
  if (
    !day.order.some((id) => gone.has(id)) &&
    !day.wishes.some(({ shotId, afterId, sameAsId }) =>
      [shotId, afterId, sameAsId].some((id) => id !== null && gone.has(id)),
    )
  )
    return day;
  return {
    ...day,
    order: day.order.filter((id) => !gone.has(id)),
    wishes: day.wishes
      .filter(({ shotId }) => !gone.has(shotId))
      .map((wish) => ({
        ...wish,
        ...(wish.afterId !== null && gone.has(wish.afterId) ? { afterId: null, pin: 'none' as const } : {}),
        ...(wish.sameAsId !== null && gone.has(wish.sameAsId) ? { sameAsId: null, light: 'any' as const } : {}),
      })),
  };
}
