import type { Action } from 'svelte/action';

/** Something that a pointer takes hold of. */
export interface Drag {
  /** It is taken hold of; false: not now. */
  take?(event: PointerEvent): unknown;
  move(event: PointerEvent): void;
  /** It is let go of: whether it went farther than the unsteadiness of a press. */
  drop?(event: PointerEvent, moved: boolean): void;
}

/** Less than this is a press, CSS pixels. */
const STEADY_PX = 3;

/**
 * Lets a pointer take hold of an element: it is captured, so that it may leave the element while it drags, and a press
 * that is only unsteady moves nothing. Null: it cannot be taken hold of.
 */
export const drag: Action<Element, Drag | null> = (node, given) => {
  let what = given;
  let from: { x: number; y: number; moved: boolean } | null = null;
  const listeners: Record<string, (event: PointerEvent) => void> = {
    pointerdown(event) {
      if (!what || event.button !== 0 || what.take?.(event) === false) return;
      event.stopPropagation();
      node.setPointerCapture(event.pointerId);
      from = { x: event.clientX, y: event.clientY, moved: false };
    },
    pointermove(event) {
      if (!from) return;
      if (!from.moved && Math.hypot(event.clientX - from.x, event.clientY - from.y) < STEADY_PX) return;
      from.moved = true;
      what?.move(event);
    },
    pointerup: end,
    pointercancel: end,
  };
  function end(event: PointerEvent) {
    if (!from) return;
    const { moved } = from;
    from = null;
    what?.drop?.(event, moved);
  }
  const all = Object.entries(listeners) as [string, EventListener][];
  for (const [name, listener] of all) node.addEventListener(name, listener);
  return {
    update(next) {
      what = next;
    },
    destroy() {
      for (const [name, listener] of all) node.removeEventListener(name, listener);
    },
  };
};
