<script lang="ts">
  /** A stick that fingers, a pen or a mouse lead; let go, it springs back to its middle. */
  interface Props {
    label: string;
    /** As it stands, whoever leads it. */
    x: number;
    y: number;
    /** It goes up and down only. */
    wheel?: boolean;
    onlead: (x: number, y: number) => void;
  }
  let { label, x, y, wheel = false, onlead }: Props = $props();

  let well: HTMLElement;
  let held = false;
  function lead(event: PointerEvent) {
    if (!held) return;
    const box = well.getBoundingClientRect();
    const reach = Math.min(box.width, box.height) / 2 - (wheel ? 8 : 22);
    const tall = wheel ? box.height / 2 - 22 : reach;
    const dx = wheel ? 0 : (event.clientX - box.left - box.width / 2) / reach;
    const dy = -(event.clientY - box.top - box.height / 2) / tall;
    const size = Math.max(1, Math.hypot(dx, dy));
    onlead(dx / size, dy / size);
  }
  function take(event: PointerEvent) {
    event.preventDefault();
    well.setPointerCapture(event.pointerId);
    held = true;
    lead(event);
  }
  function drop() {
    held = false;
    onlead(0, 0);
  }
</script>

<!-- Keys lead the sticks for the whole screen; each says which. -->
<div
  bind:this={well}
  class="well"
  class:wheel
  role="img"
  aria-label={label}
  onpointerdown={take}
  onpointermove={lead}
  onpointerup={drop}
  onpointercancel={drop}
>
  <span class="knob" style:left="{50 + x * 32}%" style:top="{50 - y * (wheel ? 36 : 32)}%"></span>
  <span class="name">{label}</span>
</div>

<style>
  .well {
    position: relative;
    width: 8.2rem;
    height: 8.2rem;
    border-radius: 50%;
    background: color-mix(in srgb, var(--raised) 82%, transparent);
    box-shadow: inset 0 0 0 2px var(--hairline);
    touch-action: none;
    user-select: none;
    cursor: grab;
  }
  .wheel {
    width: 3.4rem;
    border-radius: 1.7rem;
  }
  .knob {
    position: absolute;
    width: 2.7rem;
    height: 2.7rem;
    margin: -1.35rem 0 0 -1.35rem;
    border-radius: 50%;
    background: var(--subject);
    pointer-events: none;
  }
  .wheel .knob {
    height: 1.3rem;
    margin-top: -0.65rem;
    border-radius: 0.5rem;
  }
  .name {
    position: absolute;
    inset: auto 0 -1.25rem;
    text-align: center;
    font-size: 0.75rem;
    color: var(--ink);
    white-space: nowrap;
    pointer-events: none;
  }
</style>
