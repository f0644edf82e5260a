import Dexie, { type Table } from 'dexie';
import type { Around } from '@gentle-arc/core/model';

interface Sheet {
  id: string;
  /** What shows in it, as a short text: another one, another picture. */
  key: string;
  atMs: number;
  picture: Blob;
}
const MOST_SHEETS = 700;

class Shelf extends Dexie {
  declare sheets: Table<Sheet, string>;

  constructor() {
    super('gentle-arc-frames');
    this.version(1).stores({ sheets: 'id, atMs' });
  }
}
const shelf = new Shelf();

/**
 * Frames that were drawn, kept from one visit to the next. They are only convenient: where the browser keeps nothing
 * they are drawn anew, and nobody is told.
 */
export async function sheetOf(id: string, key: string): Promise<Blob | null> {
  try {
    const row = await shelf.sheets.get(id);
    return row?.key === key ? row.picture : null;
  } catch {
    // Blocked or full: it is drawn anew.
    return null;
  }
}

/** A picture that cannot be shown is taken off the shelf. */
export async function dropSheet(id: string): Promise<void> {
  try {
    await shelf.sheets.delete(id);
  } catch {
    // As above.
  }
}

export async function keepSheet(id: string, key: string, drawn: Blob): Promise<void> {
  try {
    const bitmap = await createImageBitmap(drawn);
    const canvas = new OffscreenCanvas(bitmap.width, bitmap.height);
    canvas.getContext('2d')?.drawImage(bitmap, 0, 0);
    bitmap.close();
    const picture = await canvas.convertToBlob({ type: 'image/webp', quality: 0.92 });
    await shelf.sheets.put({ id, key, atMs: Date.now(), picture });
    const more = (await shelf.sheets.count()) - MOST_SHEETS;
    if (more > 0) await shelf.sheets.bulkDelete(await shelf.sheets.orderBy('atMs').limit(more).primaryKeys());
  } catch {
    // As above.
  }
}

const shown = new WeakMap<object, string>();

/** What of a site and a kit shows in frames, as a short text. */
export function aroundKey({ site, kit, delivery }: Around): string {
  const parts = [site.pieces, kit, delivery].map((part) => {
    const key = shown.get(part) ?? shortOf(JSON.stringify(part));
    shown.set(part, key);
    return key;
  });
  return [...parts, JSON.stringify(site.place)].join(' ');
}

/** A text as 53 bits: two rows of multiplications that are mixed (cyrb53, public domain; from memory). */
export function shortOf(text: string): string {
  let [a, b] = [0xdeadbeef, 0x41c6ce57];
  for (let i = 0; i < text.length; i += 1) {
    const code = text.charCodeAt(i);
    a = Math.imul(a ^ code, 2654435761);
    b = Math.imul(b ^ code, 1597334677);
  }
  a = Math.imul(a ^ (a >>> 16), 2246822507) ^ Math.imul(b ^ (b >>> 13), 3266489909);
  b = Math.imul(b ^ (b >>> 16), 2246822507) ^ Math.imul(a ^ (a >>> 13), 3266489909);
  return (4294967296 * (2097151 & b) + (a >>> 0)).toString(36);
}
