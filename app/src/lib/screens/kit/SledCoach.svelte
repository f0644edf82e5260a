<script lang="ts">
  import { type Build, FIELDS, type Kit, sayMm, type Sled, type SledRound, trim } from '@gentle-arc/core/model';
  import Hole from '$lib/ui/Hole.svelte';
  import { coach, LEAN_WORDS, partLumps } from '@gentle-arc/core/supports';
  import Choice from '$lib/ui/Choice.svelte';
  import { preferences } from '$lib/ui/preferences.svelte';

  /** Beside the real sled: say what was seen, get the next single adjustment. */
  let {
    build,
    sled,
    kit,
    onchange,
  }: { build: Build; sled: Sled; kit: Kit; onchange: (build: Build, join: string | null) => void } = $props();

  let fore = $state(0);
  let side = $state(0);
  let dropS: number | null = $state(null);
  let startedMs: number | null = $state(null);

  const placed = $derived(partLumps(build, kit.parts, kit.lenses));
  const advice = $derived(coach(sled, placed, sled.log, preferences.units));
  const set = (next: Partial<Sled>, join: string | null = null) =>
    onchange({ ...build, support: { ...sled, ...next } }, join);

  /** Words stand for degrees: choosing one writes the middle of what it means. */
  const leans = (ahead: string, behind: string) => [
    ...[...LEAN_WORDS]
      .reverse()
      .slice(0, -1)
      .map(({ word, deg }) => ({
        value: String(-deg),
        name: word === 'turns over' ? `${word} ${behind}` : `${behind}, ${word}`,
      })),
    { value: '0', name: 'level' },
    ...LEAN_WORDS.slice(1).map(({ word, deg }) => ({
      value: String(deg),
      name: word === 'turns over' ? `${word} ${ahead}` : `${ahead}, ${word}`,
    })),
  ];
  const nearest = (deg: number) => {
    const [best] = [...LEAN_WORDS].sort((a, b) => Math.abs(a.deg - Math.abs(deg)) - Math.abs(b.deg - Math.abs(deg)));
    return best.deg < 1 ? '0' : String(Math.sign(deg) * best.deg);
  };

  function tap() {
    const nowMs = performance.now();
    if (startedMs === null) startedMs = nowMs;
    else {
      dropS = Math.max(0.05, Math.round((nowMs - startedMs) / 10) / 100);
      startedMs = null;
    }
  }

  function look() {
    const round: SledRound = {
      stageForeMm: sled.stageForeMm,
      stageSideMm: sled.stageSideMm,
      gimbalMm: sled.gimbalMm,
      leanForeDeg: fore,
      leanSideDeg: side,
      dropS,
    };
    set({ log: [...sled.log, round].slice(-100) });
    dropS = null;
  }

  function done() {
    const { next } = advice;
    if (next) set({ [next.what]: next.toMm });
  }
  const waiting = $derived(advice.next !== null && Math.abs(sled[advice.next.what] - advice.next.toMm) > 1e-9);
  const spread = (mm: number, sd: number) => `${sayMm(mm, preferences.units)} ± ${sayMm(sd, preferences.units)}`;
</script>

<section aria-label="Coach" id="coach">
  <h2 class="font-display text-xl">At the sled</h2>
  {#if advice.workable}
    <p class="advice" aria-live="polite">{advice.said}</p>
  {:else if waiting}
    <p class="advice" aria-live="polite">{advice.said}</p>
    <button class="big" onclick={done}>Done, look again</button>
  {:else}
    <p class="said" aria-live="polite">
      {sled.log.length === 0 || !advice.next ? advice.said : 'Set. What does it do now?'}
    </p>
  {/if}
  {#if !waiting}
    <p class="said">
      It rests <Choice
        label="Leans forward or back"
        value={nearest(fore)}
        items={leans('forward', 'back')}
        onchange={(value) => (fore = Number(value))}
      />
      (<Hole fact={FIELDS.sledRound.leanForeDeg} value={fore} onchange={(value: number) => (fore = value)} />) and
      <Choice
        label="Leans right or left"
        value={nearest(side)}
        items={leans('to the right', 'to the left')}
        onchange={(value) => (side = Number(value))}
      />
      (<Hole fact={FIELDS.sledRound.leanSideDeg} value={side} onchange={(value: number) => (side = value)} />).
    </p>
    <p class="said">
      {#if dropS === null}Drop from level: {startedMs === null
          ? 'tap as you let go, and again when it hangs upright.'
          : 'tap when it hangs upright.'}{:else}The drop took <Hole
          fact={FIELDS.sledRound.dropS}
          value={dropS}
          onchange={(value: number) => (dropS = value)}
        />.{/if}
    </p>
    <div class="flex flex-wrap gap-2">
      <button class="big quiet" onclick={tap}
        >{startedMs === null ? (dropS === null ? 'Let go' : 'Time it again') : 'Upright'}</button
      >
      <button class="big" onclick={look}>What now?</button>
    </div>
  {/if}
  {#if sled.log.length > 0}
    <p class="pt-2 text-sm text-soft">
      Learnt from {sled.log.length}
      {sled.log.length === 1 ? 'look' : 'looks'}: the weight lies {spread(advice.hidden.foreMm, advice.hidden.foreSdMm)} forward,
      {spread(advice.hidden.sideMm, advice.hidden.sideSdMm)} to the right and {spread(
        advice.hidden.downMm,
        advice.hidden.downSdMm,
      )} lower than its parts say.
    </p>
    <details class="text-sm">
      <summary>The log</summary>
      <ol class="list-decimal pl-6">
        {#each sled.log as round, i (i)}
          <li>
            stage {sayMm(round.stageForeMm, preferences.units)} / {sayMm(round.stageSideMm, preferences.units)}, pivot {sayMm(
              round.gimbalMm,
              preferences.units,
            )}: leaned {trim(round.leanForeDeg ?? 0, 1)}° / {trim(round.leanSideDeg ?? 0, 1)}°{round.dropS === null
              ? ''
              : `, dropped in ${trim(round.dropS, 2)} s`}
          </li>
        {/each}
      </ol>
      <button class="link" onclick={() => set({ log: [] })}>Start afresh</button>
    </details>
  {/if}
</section>

<style>
  .advice {
    padding: 0.3rem 0 0.6rem;
    font-family: var(--font-display);
    font-size: 1.35rem;
    line-height: 1.3;
  }
  .big {
    min-height: 3rem;
    padding: 0 1.2rem;
    border-radius: 999px;
    background: var(--subject);
    color: var(--paper);
    font-weight: 600;
    cursor: pointer;
  }
  .big.quiet {
    background: transparent;
    color: var(--subject);
    box-shadow: inset 0 0 0 2px var(--subject);
  }
</style>
