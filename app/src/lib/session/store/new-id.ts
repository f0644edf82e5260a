/** An id that no other piece, shot or shoot has. */
export const newId = (kind: string): string => `${kind}-${crypto.randomUUID().slice(0, 8)}`;
