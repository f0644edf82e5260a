/** What else there is to say of a shot, each under one word. */
export type Word = 'reading' | 'move' | 'time' | 'aim' | 'camera' | 'light' | 'rig' | 'note' | 'piece';

const WORDS: { word: Word; name: string }[] = [
  { word: 'reading', name: 'Reading' },
  { word: 'move', name: 'Move' },
  { word: 'time', name: 'Time' },
  { word: 'aim', name: 'Aim' },
  { word: 'camera', name: 'Camera' },
  { word: 'light', name: 'Light' },
  { word: 'rig', name: 'Rig' },
  { word: 'note', name: 'Note' },
];

/** The words of a shot; `piece`: one is chosen on the plan. */
export const wordsFor = (piece: boolean): typeof WORDS =>
  piece ? [...WORDS, { word: 'piece', name: 'Piece' }] : WORDS;
