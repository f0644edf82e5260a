/** What one tab tells the others about a shoot. */
export interface Word {
  shootId: string;
  what: 'saved' | 'deleted';
}

const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('gentle-arc');

const here = new Set<(word: Word) => void>();

/** Tells every tab, this one too. */
export function tellTabs(word: Word): void {
  channel?.postMessage(word);
  for (const hear of here) queueMicrotask(() => hear(word));
}

/** Hears what tabs tell; gives back how to stop. */
export function hearTabs(hear: (word: Word) => void): () => void {
  const listen = ({ data }: MessageEvent<Word>) => hear(data);
  channel?.addEventListener('message', listen);
  here.add(hear);
  return () => {
    channel?.removeEventListener('message', listen);
    here.delete(hear);
  };
}
