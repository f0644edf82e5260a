<script lang="ts">
  /** A carriage on its rail, or a ring laid out flat: a finger leads it along; keys push. */
  interface Props {
    label: string;
    /** Where it stands, and its length, in whatever it counts. */
    at: number;
    length: number;
    said: string;
    onlead: (to: number | null) => void;
    onwheel?: (by: number) => void;
  }
  let { label, at, length, said, onlead, onwheel }: Props = $props();

  let strip: HTMLElement;
  let held = false;
  const share = $derived(length > 0 ? Math.min(1, Math.max(0, at / length)) : 0);
  function lead(event: PointerEvent) {
    if (!held) return;
    const box = strip.getBoundingClientRect();
    onlead(Math.min(1, Math.max(0, (event.clientX - box.left - 20) / (box.width - 40))) * length);
  }
  function take(event: PointerEvent) {
    event.preventDefault();
    strip.setPointerCapture(event.pointerId);
    held = true;
    lead(event);
  }
  function drop() {
    held = false;
    onlead(null);
  }
</script>

<div
  bind:this={strip}
  class="strip"
  role="img"
  aria-label="{label}, {said}"
  onpointerdown={take}
  onpointermove={lead}
  onpointerup={drop}
  onpointercancel={drop}
  onwheel={(event) => onwheel?.(Math.sign(event.deltaY) * -0.6)}
>
  <span class="rail"></span>
  <span class="carriage" style:left="calc(20px + {share} * (100% - 40px))"></span>
  <span class="name">{label}: {said}</span>
</div>

<style>
  .strip {
    position: relative;
    flex: 1;
    height: 4.4rem;
    border-radius: 12px;
    background: color-mix(in srgb, var(--raised) 82%, transparent);
    box-shadow: inset 0 0 0 2px var(--hairline);
    touch-action: none;
    user-select: none;
    cursor: grab;
  }
  .rail {
    position: absolute;
    inset: 1.3rem 20px auto;
    height: 6px;
    border-radius: 3px;
    background: var(--hairline);
  }
  .carriage {
    position: absolute;
    top: 0.5rem;
    width: 2.2rem;
    height: 2rem;
    margin-left: -1.1rem;
    border-radius: 8px;
    background: var(--subject);
    pointer-events: none;
  }
  .name {
    position: absolute;
    inset: auto 0 0.15rem;
    text-align: center;
    font-size: 0.8rem;
    pointer-events: none;
  }
</style>
