export type Grade = 'fits' | 'tight' | 'cannot';

/** A share of what there is: above one it cannot, near it it is tight. */
export const gradeOf = (share: number, tight = 0.8): Grade => (share > 1 ? 'cannot' : share > tight ? 'tight' : 'fits');

/** A margin against none and against a wished one. */
export const gradeOfMargin = (margin: number, wish: number): Grade =>
  margin <= 0 ? 'cannot' : margin < wish ? 'tight' : 'fits';
