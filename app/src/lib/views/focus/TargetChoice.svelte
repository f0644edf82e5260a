<script lang="ts">
  import type { Scene } from '@gentle-arc/core/scene';
  import { type FocusTarget, WHOLE } from '@gentle-arc/core/model';
  import { partsOf } from '@gentle-arc/core/site';
  import Choice from '$lib/ui/Choice.svelte';
  import NumberField from '$lib/ui/NumberField.svelte';

  /** What the focus rests on: the subject, a piece of the site, or a distance. */
  interface Props {
    label: string;
    target: FocusTarget;
    scene: Scene;
    /** A distance to begin with, m. */
    usualM: number;
    onchange: (target: FocusTarget, join: string | null) => void;
  }
  let { label, target, scene, usualM, onchange }: Props = $props();

  const closestM = $derived(Math.max(0.05, scene.lens.closestFocusM));
  const value = $derived(target.on === 'piece' ? target.pieceId : target.on === 'distance' ? ' distance' : ' subject');
  const items = $derived([
    { value: ' subject', name: scene.subject?.name ?? 'the subject' },
    { value: ' distance', name: 'a distance' },
    ...scene.pieces.filter(({ id }) => id !== scene.subject?.id).map(({ id, name }) => ({ value: id, name })),
  ]);
  const piece = $derived(scene.pieces.find((row) => target.on === 'piece' && row.id === target.pieceId) ?? null);
  function choose(chosen: string) {
    const distanceM = Math.max(closestM, Math.round(usualM * 100) / 100);
    onchange(
      chosen === ' subject'
        ? { on: 'subject' }
        : chosen === ' distance'
          ? { on: 'distance', distanceM }
          : { on: 'piece', pieceId: chosen, part: WHOLE },
      null,
    );
  }
</script>

<Choice {label} {value} {items} onchange={choose} />{#if piece && target.on === 'piece'},
  <Choice
    label="{label}, part"
    value={target.part}
    items={partsOf(piece).map(({ id, name }) => ({ value: id, name }))}
    onchange={(part) => onchange({ ...target, part }, null)}
  />{/if}{#if target.on === 'distance'}&nbsp;of
  <NumberField
    label="{label}, distance"
    value={target.distanceM}
    unit="m"
    min={closestM}
    max={10000}
    step={0.1}
    onchange={(distanceM) => onchange({ on: 'distance', distanceM }, `${label}.distance`)}
  />{/if}
