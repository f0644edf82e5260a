<script lang="ts">
  import { FIELDS, type Focus, type Rack, type Shot, shotDurationS } from '@gentle-arc/core/model';
  import Hole from '$lib/ui/Hole.svelte';
  import type { Scene } from '@gentle-arc/core/scene';
  import TargetChoice from './TargetChoice.svelte';

  /** A focus that goes from one thing to another at moments, as sentences. */
  interface Props {
    scene: Scene;
    focus: Extract<Focus, { mode: 'racks' }>;
    onchange: (edit: (shot: Shot) => Shot, join: string | null) => void;
  }
  let { scene, focus, onchange }: Props = $props();

  const durationS = $derived(shotDurationS(scene.shot));
  const tenth = (s: number) => Math.round(s * 10) / 10;
  const set = (next: Extract<Focus, { mode: 'racks' }>, join: string | null) =>
    onchange((row) => ({ ...row, focus: next }), join);
  const setRack = (i: number, edit: Partial<Rack>, join: string | null) =>
    set({ ...focus, racks: focus.racks.map((rack, k) => (k === i ? { ...rack, ...edit } : rack)) }, join);
  const endOf = (i: number) => (i < 0 ? 0 : focus.racks[i].atS + focus.racks[i].overS);
  const usualM = $derived(scene.lens.closestFocusM * 3);

  function add() {
    const atS = tenth(endOf(focus.racks.length - 1) + 0.5);
    const last = focus.racks[focus.racks.length - 1].to;
    set(
      {
        ...focus,
        racks: [...focus.racks, { atS, overS: 1, to: last.on === 'subject' ? focus.from : { on: 'subject' } }],
      },
      null,
    );
  }
  const without = (i: number) =>
    onchange(
      (row) => ({
        ...row,
        focus:
          focus.racks.length === 1 ? { mode: 'follow' } : { ...focus, racks: focus.racks.filter((_, k) => k !== i) },
      }),
      null,
    );
</script>

It starts on <TargetChoice
  label="Focus starts on"
  target={focus.from}
  {scene}
  {usualM}
  onchange={(from, join) => set({ ...focus, from }, join)}
/>{#each focus.racks as rack, i (i)}; at
  <Hole
    fact={FIELDS.rack.atS}
    value={rack.atS}
    label="Rack {i + 1} starts at"
    min={endOf(i - 1)}
    max={Math.max(endOf(i - 1), (focus.racks[i + 1]?.atS ?? 600) - rack.overS)}
    onchange={(atS: number) => setRack(i, { atS }, `rack.${i}.at`)}
  />
  it goes to
  <TargetChoice
    label="Rack {i + 1} goes to"
    target={rack.to}
    {scene}
    {usualM}
    onchange={(to, join) => setRack(i, { to }, join)}
  />
  within
  <Hole
    fact={FIELDS.rack.overS}
    value={rack.overS}
    label="Rack {i + 1} takes"
    max={Math.max(0, (focus.racks[i + 1]?.atS ?? 600) - rack.atS)}
    onchange={(overS: number) => setRack(i, { overS }, `rack.${i}.over`)}
  /><button class="away" aria-label="Without rack {i + 1}" onclick={() => without(i)}>×</button
  >{/each}.{#if focus.racks.length < 12 && endOf(focus.racks.length - 1) < durationS}<button
    class="link ml-1"
    onclick={add}>and another</button
  >{/if}
