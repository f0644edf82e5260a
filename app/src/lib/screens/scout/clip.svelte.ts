import { readPieces, Refusal, writePieces } from '@gentle-arc/core/formats';
import type { Piece } from '@gentle-arc/core/model';
import { keepText, keptText } from '$lib/ui/preferences.svelte';

const KEY = 'gentle-arc-pieces';

/** Pieces that were copied, for this shoot or another one: they stay in this browser. */
class Clip {
  private text: string | null = $state(keptText(KEY));

  get has(): boolean {
    return this.text !== null;
  }

  put(pieces: readonly Piece[]): void {
    this.text = writePieces(pieces);
    keepText(KEY, this.text);
  }

  /** What was copied, or why it cannot be taken. */
  pieces(): Piece[] | string {
    if (this.text === null) return 'Nothing was copied yet.';
    try {
      return readPieces(this.text);
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      this.text = null;
      return `What was copied cannot be put here. ${error.message}`;
    }
  }
}

export const clip = new Clip();
export const copyPieces = (pieces: readonly Piece[]): void => {
  if (pieces.length > 0) clip.put(pieces);
};
