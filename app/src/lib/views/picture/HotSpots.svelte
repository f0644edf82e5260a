<script lang="ts">
  import { type Finding, severity } from '@gentle-arc/core/findings';
  import type { Samples } from '@gentle-arc/core/motion';
  import type { PlanView } from '../plan/plan-view.svelte';

  /**
   * Where on the path something goes wrong: a burst for what will not work, a triangle for what is tight. Pressing one
   * leads the playhead there.
   */
  interface Props {
    findings: readonly Finding[];
    samples: Samples;
    view: PlanView;
    onseek: (screenS: number) => void;
  }
  let { findings, samples, view, onseek }: Props = $props();

  /** What the rig cannot do, or the picture will not bear, where it happens; one mark for what happens together. */
  const hot = $derived.by(() => {
    const marks: { x: number; y: number; screenS: number; said: string; hard: boolean }[] = [];
    for (const finding of findings) {
      if (severity(finding) === 0 || finding.grade === 'ripple') continue;
      const i = Math.min(samples.count - 1, Math.max(0, Math.round(finding.screenS * samples.frameRateHz)));
      const [x, y] = [view.x(samples.xM[i]), view.y(samples.yM[i])];
      const near = marks.find((mark) => Math.hypot(mark.x - x, mark.y - y) < 18);
      if (near) {
        near.said += `\n${finding.sentence}`;
        near.hard ||= severity(finding) === 2;
      } else marks.push({ x, y, screenS: finding.screenS, said: finding.sentence, hard: severity(finding) === 2 });
    }
    return marks;
  });
</script>

{#each hot as mark, i (i)}
  <g
    class="hot"
    class:hard={mark.hard}
    data-grab
    role="button"
    tabindex="0"
    aria-label="Trouble here: {mark.said}"
    transform="translate({mark.x} {mark.y - 17})"
    onclick={(event) => {
      event.stopPropagation();
      onseek(mark.screenS);
    }}
    onkeydown={(event) => {
      if (event.key !== 'Enter') return;
      event.stopPropagation();
      onseek(mark.screenS);
    }}
  >
    <title>{mark.said}</title>
    <circle class="reach" r="15" />
    <path
      d={mark.hard
        ? 'M0 -11L3 -4.5L9.5 -8L7 -1.5L12 3L5 4L3.5 11L-1 5.5L-7.5 9L-6 2.5L-12 -0.5L-5.5 -3.5L-6.5 -9.5Z'
        : 'M0 -9L9 7H-9Z'}
    />
    <path class="bang" d="M0 -4V1.5M0 4.2V4.4" />
  </g>
{/each}

<style>
  .hot {
    cursor: pointer;
  }
  .hot .reach {
    fill: transparent;
    stroke: none;
  }
  .hot path {
    fill: var(--raised);
    stroke: var(--near);
    stroke-width: 2;
    stroke-linejoin: round;
  }
  .hot.hard path {
    fill: var(--near);
    stroke: var(--raised);
    stroke-width: 1.2;
  }
  .hot .bang {
    stroke: var(--near);
    stroke-width: 2.2;
    stroke-linecap: round;
  }
  .hot.hard .bang {
    stroke: var(--raised);
  }
</style>
