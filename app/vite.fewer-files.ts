import type { Rolldown } from 'vite';

type CodeSplitting = Exclude<Rolldown.OutputOptions['codeSplitting'], boolean | undefined>;
type Groups = NonNullable<CodeSplitting['groups']>;
type Context = Parameters<Exclude<Groups[number]['name'], string>>[1];

/** What the first page is made of, and the frame of every page. */
const FIRST_PAGE =
  /src\/routes\/\+(layout|error|page)\.(svelte|ts)$|kit\/src\/runtime\/client\/entry\.js$|client-optimized\/app\.js$/;
/** What keeps shoots in the browser: the first page asks for it once it is shown. */
const STORE = /src\/lib\/session\/store\/database\.ts$/;

/**
 * A screen of a hundred small files waits for each of them. All that the first page needs comes in one, what keeps the
 * shoots in the next, and all that several screens need besides in a third.
 */
export const fewerFiles = (): CodeSplitting => ({
  groups: [
    {
      ...neededBy('first', FIRST_PAGE),
      minShareCount: 2,
      priority: 3,
      entriesAware: true,
      entriesAwareMergeThreshold: 2_000,
    },
    { ...neededBy('store', STORE), minShareCount: 2, priority: 2 },
    { name: 'shared', minShareCount: 4, priority: 1 },
  ],
});

/** A group of the modules that are imported by some, or by what these import; told by who imports them. */
function neededBy(name: string, roots: RegExp): Pick<Groups[number], 'name'> {
  const known = new Map<string, boolean>();
  const isNeeded = (id: string, context: Context): boolean => {
    const before = known.get(id);
    if (before !== undefined) return before;
    // Modules that import each other are needed because of others.
    known.set(id, false);
    const importers = context.getModuleInfo(id)?.importers ?? [];
    const needed = roots.test(id) || importers.some((importer) => isNeeded(importer, context));
    known.set(id, needed);
    return needed;
  };
  return { name: (id, context) => (isNeeded(id, context) ? name : null) };
}
