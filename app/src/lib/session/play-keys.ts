import { shortcuts } from '$lib/ui/shortcuts.svelte';
import type { ShotSession } from './shot-session.svelte';

/** The keys that play a shot and step through it, wherever its pictures are. */
export function playKeys(session: ShotSession): void {
  const { playhead } = session;
  shortcuts(() => [
    // A button that has the focus is pressed by it.
    {
      key: ' ',
      does: 'Play, or stand still',
      when: ({ target }) => !(target instanceof HTMLButtonElement),
      press: () => playhead.toggle(),
    },
    { key: 'ArrowLeft', does: 'One frame back', press: () => playhead.step(-1) },
    { key: 'ArrowRight', does: 'One frame on', press: () => playhead.step(1) },
    { key: 'Home', does: 'To the first frame', press: () => playhead.toRow(0) },
    { key: 'End', does: 'To the last frame', press: () => playhead.toRow(session.samples.count - 1) },
  ]);
}
