/** A sentence whose holes are fields: `Post {postMm} long, from {postMinMm} to {postMaxMm}.` */
export type SentencePart = { words: string } | { hole: string };

/** A sentence in parts, words and holes in their order; words keep their spaces. */
export function partsOfSentence(text: string): SentencePart[] {
  return text
    .split(/(\{\w+\})/)
    .filter((part) => part !== '')
    .map((part) => (part.startsWith('{') ? { hole: part.slice(1, -1) } : { words: part }));
}

/** The fields that a sentence has holes for. */
export const holesOf = (text: string): string[] =>
  partsOfSentence(text).flatMap((part) => ('hole' in part ? [part.hole] : []));
