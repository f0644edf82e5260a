<script lang="ts">
  import { scaleLinear } from 'd3-scale';
  import type { Count } from '@gentle-arc/core/rehearse';
  import { preferences } from '$lib/ui/preferences.svelte';
  import { shotSession } from '$lib/session/shot-session.svelte';
  import Picture from '$lib/views/picture/Picture.svelte';
  import CountShape from './CountShape.svelte';
  import type { CountRunner } from './count-runner.svelte';

  /** The count, large; its phases, beats and marks in a line below; the camera's picture beside it. */
  let { count, runner }: { count: Count; runner: CountRunner } = $props();

  const session = shotSession();
  let width = $state(600);
  const x = $derived(scaleLinear([count.fromS, count.toS], [8, Math.max(60, width - 8)]));
  const tS = $derived(runner.running ? runner.tS : 0);
  const instead = $derived(
    !runner.running
      ? { word: 'Ready', under: '' }
      : runner.waitsS !== null
        ? { word: 'Back to one', under: runner.waitsS > 0 ? `${Math.ceil(runner.waitsS)}` : '' }
        : null,
  );
  /** The picture at the count: the frame that shows this moment. */
  const row = $derived.by(() => {
    const { tS: times, count: rows } = session.samples;
    const backwards = times[rows - 1] < times[0];
    let at = 0;
    for (let i = 1; i < rows; i += 1) if (Math.abs(times[i] - tS) < Math.abs(times[at] - tS)) at = i;
    return backwards && tS <= 0 ? rows - 1 : at;
  });
</script>

<div class="stage">
  <!-- The same is done by the button under the word, and by the space bar. -->
  <!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions -->
  <div class="shape" onclick={() => runner.toggle()}>
    <CountShape scene={session.scene} {count} {tS} {instead} />
  </div>
  {#if preferences.countPicture}
    <div class="picture">
      <Picture scene={session.scene} samples={session.samples} {row} playing={runner.running} />
    </div>
  {/if}
</div>
<div class="line" bind:clientWidth={width}>
  <svg {width} height="74" role="img" aria-label="The count over time">
    {#each count.phases as { kind, fromS, toS }, i (i)}
      <rect x={x(fromS)} y="22" width={Math.max(1, x(toS) - x(fromS) - 1)} height="20" class={kind} />
    {/each}
    {#each count.cues as { atS, kind, said }, i (i)}
      {#if kind === 'beat' || kind === 'step' || kind === 'countIn'}
        <line x1={x(atS)} x2={x(atS)} y1={kind === 'step' ? 44 : 26} y2={kind === 'step' ? 54 : 38} class={kind} />
      {:else if kind === 'mark'}
        <path d="M{x(atS)} 20 l-5 -8 h10 Z" class="mark" /><text x={x(atS)} y="9" class="mark"
          >{said?.replace('mark ', '') ?? 'one'}</text
        >
      {/if}
    {/each}
    <line x1={x(tS)} x2={x(tS)} y1="12" y2="58" class="now" />
    <text x={x(0)} y="70">0</text><text x={x(count.toS)} y="70" class="end">{count.toS.toFixed(1)} s</text>
  </svg>
</div>

<style>
  .stage {
    display: flex;
    gap: 1rem;
    align-items: stretch;
    height: calc(100dvh - 13.5rem);
    min-height: 15rem;
  }
  .shape {
    flex: 1.2;
    min-width: 0;
    cursor: pointer;
  }
  .picture {
    flex: 1;
    min-width: 0;
    align-self: center;
  }
  .line {
    width: 100%;
  }
  rect {
    fill: var(--far);
    opacity: 0.35;
  }
  rect.go {
    fill: var(--subject);
    opacity: 0.6;
  }
  rect.easeIn,
  rect.easeOut {
    fill: var(--near);
    opacity: 0.45;
  }
  line {
    stroke: var(--ink);
    stroke-width: 1;
  }
  line.step {
    stroke: var(--soft);
    stroke-width: 2;
  }
  line.now {
    stroke: var(--near);
    stroke-width: 2;
  }
  .mark {
    fill: var(--ink);
  }
  text {
    font-size: 11px;
    fill: var(--soft);
    text-anchor: middle;
  }
  text.end {
    text-anchor: end;
  }
  @media (max-width: 799px) {
    .stage {
      flex-direction: column;
      height: auto;
    }
    .shape {
      height: 50dvh;
      flex: none;
    }
    .picture {
      flex: none;
      width: 100%;
    }
  }
</style>
