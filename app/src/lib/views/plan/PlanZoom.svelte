<script lang="ts">
  import type { PlanView } from './plan-view.svelte';

  /** Closer, farther, and back to the whole, over a corner of a plan. */
  let { view, onfit }: { view: PlanView; onfit: () => void } = $props();
</script>

<div>
  <button class="quiet-button" onclick={() => view.by(1.4)} aria-label="Closer" title="Closer (wheel or pinch)"
    >+</button
  >
  <button class="quiet-button" onclick={() => view.by(1 / 1.4)} aria-label="Farther" title="Farther">−</button>
  <button class="quiet-button text-sm" onclick={onfit} title="Show the whole move">Fit</button>
</div>

<style>
  div {
    position: absolute;
    top: 6px;
    right: 6px;
    display: flex;
    border-radius: 999px;
    background: color-mix(in srgb, var(--raised) 86%, transparent);
  }
</style>
