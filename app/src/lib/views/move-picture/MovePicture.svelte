<script lang="ts">
  import type { MoveKind } from '@gentle-arc/core/model';
  import { drawingOf } from './move-picture';

  /** A small picture of a move: the camera's way seen from above at a slant, the subject in ink. */
  let { kind, size = 56 }: { kind: MoveKind; size?: number } = $props();

  const drawing = $derived(drawingOf(kind));
  const points = (dots: [number, number][]) => dots.map(([x, y]) => `${x.toFixed(1)},${y.toFixed(1)}`).join(' ');
</script>

<svg viewBox="0 0 96 64" width={size} height={(size * 2) / 3} aria-hidden="true">
  {#each drawing.views as view, i (i)}<polygon class="view" class:was={i === 0} points={points(view)} />{/each}
  {#if drawing.shadow.length}<polyline class="shadow" points={points(drawing.shadow)} />{/if}
  {#each drawing.drops as drop, i (i)}<polyline class="shadow" points={points(drop)} />{/each}
  {#if drawing.walk.length}<polyline class="walk" points={points(drawing.walk)} />{/if}
  <line
    class="body"
    x1={drawing.subject.foot[0]}
    y1={drawing.subject.foot[1]}
    x2={drawing.subject.head[0]}
    y2={drawing.subject.head[1]}
  />
  <circle class="headed" cx={drawing.subject.head[0]} cy={drawing.subject.head[1]} r="3.4" />
  {#if drawing.cover.length}<polygon class="cover" points={points(drawing.cover)} />{/if}
  {#if drawing.way.length}<polyline class="track" points={points(drawing.way)} /><path
      class="track"
      d={drawing.tip}
    />{/if}
  <circle class="start" cx={drawing.start[0]} cy={drawing.start[1]} r="3.6" />
  {#each drawing.focus as [cx, cy], i (i)}<circle class="focus" class:was={i === 0} {cx} {cy} r="7" />{/each}
  {#if drawing.leans}
    <g transform="translate(80 14)">
      <rect class="frame was" x="-9" y="-6" width="18" height="12" transform="rotate({drawing.leans[0]})" />
      <rect class="frame" x="-9" y="-6" width="18" height="12" transform="rotate({drawing.leans[1]})" />
    </g>
  {/if}
</svg>

<style>
  polyline,
  path,
  rect {
    fill: none;
    stroke-linecap: round;
    stroke-linejoin: round;
  }
  .track {
    stroke: var(--near);
    stroke-width: 3.6;
  }
  .start {
    fill: var(--near);
  }
  .shadow {
    stroke: var(--soft);
    stroke-width: 1.2;
    stroke-dasharray: 2 3;
  }
  .walk {
    stroke: var(--subject);
    stroke-width: 2;
    stroke-dasharray: 1.5 4;
  }
  .body {
    stroke: var(--subject);
    stroke-width: 4;
    stroke-linecap: round;
  }
  .headed {
    fill: var(--subject);
  }
  .view {
    fill: var(--far);
    fill-opacity: 0.3;
    stroke: var(--far);
    stroke-width: 1.4;
    stroke-linejoin: round;
  }
  .view.was {
    fill-opacity: 0.08;
    stroke-opacity: 0.55;
    stroke-dasharray: 3 3;
  }
  .cover {
    fill: var(--soft);
    fill-opacity: 0.5;
    stroke: var(--soft);
    stroke-width: 1.2;
    stroke-linejoin: round;
  }
  .focus {
    fill: none;
    stroke: var(--near);
    stroke-width: 2.4;
  }
  .focus.was {
    stroke-dasharray: 3 3;
  }
  .frame {
    stroke: var(--ink);
    stroke-width: 2;
  }
  .frame.was {
    stroke-opacity: 0.35;
    stroke-width: 1.3;
  }
</style>
