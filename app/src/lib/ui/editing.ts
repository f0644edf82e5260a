import { getContext, setContext } from 'svelte';

/** What fields tell whoever keeps what they change: that a change is done, and the next is a step of undo of its own. */
export interface Editing {
  settle(): void;
}

const KEY = Symbol('editing');

export const provideEditing = (editing: Editing): void => void setContext(KEY, editing);

/** Who keeps what is typed here; nobody where a field stands by itself. */
export const editing = (): Editing => getContext<Editing | undefined>(KEY) ?? { settle: () => undefined };
