<script lang="ts">
  import type { Finding } from '@gentle-arc/core/findings';

  /** A grade as a shape: a calm line, a ripple, a jag; the word stands beside it for those who listen. */
  let { grade }: { grade: Finding['grade'] } = $props();

  const PATHS: Record<string, string> = {
    calm: 'M2 8H26',
    ripple: 'M2 8c3-6 5-6 8 0s5 6 8 0 5-6 8 0',
    jolt: 'M2 8h5l4-7 5 14 4-7h6',
  };
  const LIKE: Record<Finding['grade'], string> = {
    calm: 'calm',
    fits: 'calm',
    ripple: 'ripple',
    tight: 'ripple',
    jolt: 'jolt',
    cannot: 'jolt',
  };
  const shape = $derived(LIKE[grade]);
</script>

<svg viewBox="0 0 28 16" width="28" height="16" class={shape} aria-hidden="true"><path d={PATHS[shape]} /></svg>

<style>
  path {
    fill: none;
    stroke-width: 2.4;
    stroke-linecap: round;
    stroke-linejoin: round;
  }
  .calm path {
    stroke: var(--subject);
  }
  .ripple path {
    stroke: var(--far);
  }
  .jolt path {
    stroke: var(--near);
    stroke-width: 3;
  }
</style>
