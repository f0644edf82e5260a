<script lang="ts">
  import { type Count, fullAt } from '@gentle-arc/core/rehearse';
  import type { Scene } from '@gentle-arc/core/scene';

  /** A leaf that fills as the move gathers speed and empties as it comes to rest: to be read from across a room. */
  interface Props {
    scene: Scene;
    count: Count;
    tS: number;
    /** What is shown instead of the phase. */
    instead?: { word: string; under: string } | null;
  }
  let { scene, count, tS, instead = null }: Props = $props();

  const WORDS = { hold: 'Hold', easeIn: 'Ease in', go: 'Go', easeOut: 'Ease out', rest: 'Rest' } as const;
  const phase = $derived(
    count.phases.find(({ fromS, toS }) => tS >= fromS && tS < toS) ?? count.phases.at(tS < 0 ? 0 : -1),
  );
  const full = $derived(tS < 0 ? 0 : fullAt(scene, tS));
  const beat = $derived(
    count.cues.filter(({ kind, atS }) => (tS < 0 ? kind === 'countIn' : kind === 'beat') && atS <= tS + 1e-6),
  );
  const word = $derived(
    instead?.word ?? (tS < 0 ? (beat.at(-1)?.said ?? 'Ready') : phase ? WORDS[phase.kind] : 'Rest'),
  );
  const leftS = $derived(phase && tS >= 0 ? Math.max(0, phase.toS - tS) : 0);
  const done = $derived(phase && tS >= 0 ? (tS - phase.fromS) / Math.max(1e-6, phase.toS - phase.fromS) : 0);
  const under = $derived(
    instead?.under ?? (tS < 0 ? 'counting in' : beat.length > 0 && phase?.kind !== 'rest' ? `${beat.length}` : ''),
  );
  const LEAF = 'M100 8 C 178 44 222 150 100 232 C -22 150 22 44 100 8 Z';
  const TOP = 6;
  const HIGH = 228;
  /** The ring about the leaf: how much of the phase is left. */
  const RING = 2 * Math.PI * 116;
</script>

<svg viewBox="-40 -12 280 264" class="shape" role="img" aria-label="{word}{under ? `, ${under}` : ''}">
  <clipPath id="level"><rect x="-40" y={TOP + HIGH * (1 - full)} width="280" height={HIGH * full + 2} /></clipPath>
  <circle cx="100" cy="120" r="116" class="ring" />
  <circle
    cx="100"
    cy="120"
    r="116"
    class="left {phase?.kind ?? 'rest'}"
    stroke-dasharray="{RING * (1 - done)} {RING}"
    transform="rotate(-90 100 120)"
  />
  <path d={LEAF} class="leaf" />
  <g clip-path="url(#level)"><path d={LEAF} class="fill {phase?.kind ?? 'rest'}" /></g>
  <path d="M100 30 C 96 100 98 180 100 232" class="vein" />
  <text x="100" y="122" class="word" style:font-size="{word.length > 7 ? 31 : 42}px">{word}</text>
  <text x="100" y="160" class="under">{under}</text>
  {#if tS >= 0 && phase && !instead}<text x="100" y="184" class="small">{leftS.toFixed(1)} s</text>{/if}
</svg>

<style>
  .shape {
    display: block;
    width: 100%;
    height: 100%;
  }
  .ring,
  .left {
    fill: none;
    stroke-width: 5;
    stroke: var(--hairline);
  }
  .left {
    stroke: var(--far);
    stroke-linecap: round;
  }
  .left.go,
  .fill.go {
    stroke: var(--subject);
  }
  .left.easeIn,
  .left.easeOut {
    stroke: var(--near);
  }
  .leaf {
    fill: var(--sun);
    stroke: var(--hairline);
    stroke-width: 2;
  }
  .fill {
    fill: var(--far);
    opacity: 0.42;
  }
  .fill.go {
    fill: var(--subject);
    stroke: none;
  }
  .fill.easeIn,
  .fill.easeOut {
    fill: var(--near);
  }
  .vein {
    fill: none;
    stroke: var(--hairline);
    stroke-width: 1.5;
  }
  text {
    text-anchor: middle;
    fill: var(--ink);
    paint-order: stroke;
    stroke: var(--sun);
    stroke-width: 5px;
    stroke-linejoin: round;
  }
  .word {
    font-family: var(--font-display);
    font-weight: 600;
  }
  .under {
    font-size: 30px;
    font-weight: 650;
  }
  .small {
    font-size: 13px;
    fill: var(--soft);
  }
</style>
