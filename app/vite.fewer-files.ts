import type { Rolldown } from 'vite';

type CodeSplitting = Exclude<Rolldown.OutputOptions['codeSplitting'], boolean | undefined>;

/** What the first page is made of, and the frame of every page. */
const FIRST_PAGE =
  /src\/routes\/\+(layout|error|page)\.(svelte|ts)$|kit\/src\/runtime\/client\/entry\.js$|client-optimized\/app\.js$/;

/**
 * A screen of a hundred small files waits for each of them. All that the first page needs comes in one, all that several
 * screens need besides in another.
 */
export function fewerFiles(): CodeSplitting {
  const ofFirst = new Map<string, boolean>();
  type Context = Parameters<Exclude<NonNullable<CodeSplitting['groups']>[number]['name'], string>>[1];
  /** Whether the first page, or what it imports, imports a module; told by who imports it. */
  const inFirst = (id: string, context: Context): boolean => {
    const known = ofFirst.get(id);
    if (known !== undefined) return known;
    // Of modules that import each other this one is not the reason.
    ofFirst.set(id, false);
    const importers = context.getModuleInfo(id)?.importers ?? [];
    const found = FIRST_PAGE.test(id) || importers.some((importer) => inFirst(importer, context));
    ofFirst.set(id, found);
    return found;
  };
  return {
    groups: [
      { name: (id, context) => (inFirst(id, context) ? 'first' : null), minShareCount: 2, priority: 2 },
      { name: 'shared', minShareCount: 4, priority: 1 },
    ],
  };
}
