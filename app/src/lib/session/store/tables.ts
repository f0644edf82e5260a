import Dexie, { type Table } from 'dexie';

/** A shoot as it lies in the browser. What is in a row is checked whenever it is read. */
export interface StoredShoot {
  id: string;
  savedAtMs?: number;
  /** Another one with every save: what a tab has was made from this. Missing in rows of earlier versions. */
  rev?: string;
  /** The name of the undo that belongs to it; missing in rows of earlier versions, whose undo has the name of the save. */
  undoRev?: string;
  /** As JSON: it is written several times a second, and text is kept in half the time. Earlier versions kept it as it is. */
  shoot: unknown;
}
export interface StoredUndo {
  shootId: string;
  /** Another one whenever what can be undone is another. */
  rev: string;
  past: unknown[];
  future: unknown[];
}
export interface StoredState {
  shootId: string;
  atMs: number;
  shoot: unknown;
}
export interface StoredPhoto {
  shootId: string;
  photo: Blob;
}

/** The tables of the browser’s database; what lies in them is read and written in `database.ts` and `undo.ts`. */
class Database extends Dexie {
  declare shoots: Table<StoredShoot, string>;
  declare photos: Table<StoredPhoto, string>;
  declare undos: Table<StoredUndo, string>;
  declare states: Table<StoredState, [string, number]>;

  constructor() {
    super('gentle-arc');
    this.version(1).stores({ shoots: 'id, savedAtMs' });
    this.version(2).stores({ photos: 'shootId' });
    this.version(3).stores({ undos: 'shootId', states: '[shootId+atMs], shootId' });
    // Which state lies there is asked with every save: answered from the index, without reading the shoot.
    this.version(4).stores({ shoots: 'id, savedAtMs, [id+rev]', undos: 'shootId, [shootId+rev]' });
  }
}

export const database = new Database();
