import { getContext, setContext } from 'svelte';
import type { ShootStore } from './shoot-store.svelte';

const KEY = Symbol('shoot');

export function provideStore(holder: { store: ShootStore | null }): void {
  setContext(KEY, holder);
}

/** The open shoot. Pages below the shoot layout are only drawn when there is one. */
export function openStore(): ShootStore {
  const { store } = getContext<{ store: ShootStore | null }>(KEY);
  if (!store) throw new Error('No shoot is open.');
  return store;
}
