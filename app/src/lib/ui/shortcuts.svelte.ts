import { onMount } from 'svelte';

/** A key that does something where it is listed. */
export interface Shortcut {
  /** As the browser names it: `ArrowLeft`, ` `, `z`. */
  key: string;
  /** As it is shown in the help, where that differs: `← →`. */
  shown?: string;
  does: string;
  ctrl?: boolean;
  /** Whether it does anything now. */
  when?: (event: KeyboardEvent) => boolean;
  press: (event: KeyboardEvent) => void;
}

let registered: readonly (() => readonly Shortcut[])[] = $state.raw([]);

/** Keys that work as long as the component is there; what came last is asked first. */
export function shortcuts(list: () => readonly Shortcut[]): void {
  onMount(() => {
    registered = [list, ...registered];
    return () => {
      registered = registered.filter((row) => row !== list);
    };
  });
}

/** Every key that works now, for the help; one key is listed once. */
export function listedShortcuts(): Shortcut[] {
  const seen = new Set<string>();
  return registered.flatMap((list) => list()).filter(({ does }) => !seen.has(does) && seen.add(does));
}

/** Whoever types has the keys to themselves; keys with Ctrl or ⌘ are for the whole page. */
const isTyping = ({ target }: KeyboardEvent) =>
  target instanceof HTMLInputElement || target instanceof HTMLSelectElement || target instanceof HTMLTextAreaElement;

/** Hands a key to the first that takes it. */
export function pressShortcut(event: KeyboardEvent): void {
  const ctrl = event.ctrlKey || event.metaKey;
  if (event.defaultPrevented || event.altKey || (!ctrl && isTyping(event))) return;
  for (const list of registered)
    for (const shortcut of list()) {
      if (shortcut.key.toLowerCase() !== event.key.toLowerCase() || ctrl !== (shortcut.ctrl ?? false)) continue;
      if (shortcut.when && !shortcut.when(event)) continue;
      event.preventDefault();
      shortcut.press(event);
      return;
    }
}
