import type { Shot } from '@gentle-arc/core/model';
import { legsOf, optionWords, PurposeField } from '@gentle-arc/core/model';
import { RECIPES } from '@gentle-arc/core/motion';
import type { BoardShot } from '@gentle-arc/core/sequence';

/** The moves of a shot, one after the other. */
export const movesOf = (shot: Shot): string =>
  legsOf(shot)
    .map(({ move }, i) => (i === 0 ? RECIPES[move.kind].title : RECIPES[move.kind].title.toLowerCase()))
    .join(', then ');

export const purposeWords = ({ purpose }: Shot): string => optionWords(PurposeField, purpose);

/** From which size to which; one word where it stays. */
export function sizeWords({ sizes }: BoardShot): string {
  const said = sizes.filter((size) => size !== null);
  if (said.length === 0) return 'nobody in it';
  const [first, last] = [said[0], said[said.length - 1]];
  return first === last ? first : `${first} → ${last}`;
}

export const DIRECTION: Record<BoardShot['direction'], { sign: string; words: string }> = {
  left: { sign: '←', words: 'goes to the left' },
  right: { sign: '→', words: 'goes to the right' },
  up: { sign: '↑', words: 'goes up' },
  down: { sign: '↓', words: 'goes down' },
  in: { sign: '↗', words: 'comes closer' },
  out: { sign: '↙', words: 'goes away' },
  none: { sign: '•', words: 'stays' },
};
