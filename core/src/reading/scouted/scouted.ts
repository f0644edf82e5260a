/** Something worth knowing of a place, in a sentence; the pieces it is about can be pointed at. */
export interface Scouted {
  id: string;
  sentence: string;
  pieceIds: string[];
  /** It helps the shot, asks for attention, or is only said. */
  tells: 'good' | 'mind' | 'plain';
}

/** Names as a person lists them. */
export function listed(names: readonly string[], most = 4): string {
  const shown = names.slice(0, most);
  const more = names.length - shown.length;
  const all = more > 0 ? [...shown, `${more} more`] : shown;
  return all.length < 2 ? all.join('') : `${all.slice(0, -1).join(', ')} and ${all[all.length - 1]}`;
}
