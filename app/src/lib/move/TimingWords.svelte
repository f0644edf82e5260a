<script lang="ts">
  import { FEATHER_SHAPES, type Leg, type Timing } from '@gentle-arc/core/model/shot';
  import Choice from '$lib/parts/Choice.svelte';
  import NumberField from '$lib/parts/NumberField.svelte';

  /** The timing of one move as a sentence. */
  interface Props {
    leg: Leg;
    isFirst: boolean;
    onleg: (edit: (leg: Leg) => Leg, join: string | null) => void;
    onsettle: () => void;
  }
  let { leg, isFirst, onleg, onsettle }: Props = $props();

  const timing = $derived(leg.timing);
  const SHAPES: Record<Timing['featherShape'], string> = { minimumJerk: 'softest', cosine: 'cosine', constantAcceleration: 'steady push' };

  /** Sets one part of the timing; what no longer fits inside the duration lengthens it, and a shorter duration shrinks its parts. */
  function set(key: keyof Timing, value: number) {
    onleg((row) => {
      const next = { ...row.timing, [key]: value };
      const inside = next.holdStartS + next.featherInS + next.featherOutS + next.holdEndS;
      if (inside > next.durationS) {
        if (key === 'durationS') {
          const share = next.durationS / inside;
          for (const part of ['holdStartS', 'featherInS', 'featherOutS', 'holdEndS'] as const) next[part] = Math.floor(next[part] * share * 1000) / 1000;
        } else next.durationS = Math.ceil(inside * 10) / 10;
      }
      return { ...row, timing: next };
    }, `timing.${key}`);
  }
</script>

<p class="said">
  It takes <NumberField label="Duration" value={timing.durationS} unit="s" min={0.2} max={600} step={0.5} onchange={(v) => set('durationS', v)} {onsettle} />{#if !isFirst}, begins
    <NumberField
      label="Overlap with the move before"
      value={leg.overlapS}
      unit="s"
      min={0}
      max={60}
      step={0.1}
      onchange={(overlapS) => onleg((row) => ({ ...row, overlapS }), 'overlap')}
      {onsettle}
    /> before the one before it ends{/if}:
  {isFirst ? 'holds' : 'pauses'}
  <NumberField label="Hold at the start" value={timing.holdStartS} unit="s" min={0} max={300} step={0.1} onchange={(v) => set('holdStartS', v)} {onsettle} />, feathers in over
  <NumberField label="Feather in" value={timing.featherInS} unit="s" min={0} max={300} step={0.1} onchange={(v) => set('featherInS', v)} {onsettle} />, out over
  <NumberField label="Feather out" value={timing.featherOutS} unit="s" min={0} max={300} step={0.1} onchange={(v) => set('featherOutS', v)} {onsettle} />
  (<Choice
    label="Feather shape"
    value={timing.featherShape}
    items={FEATHER_SHAPES.map((value) => ({ value, name: SHAPES[value] }))}
    onchange={(value) => onleg((row) => ({ ...row, timing: { ...row.timing, featherShape: value as Timing['featherShape'] } }), null)}
  />), holds
  <NumberField label="Hold at the end" value={timing.holdEndS} unit="s" min={0} max={300} step={0.1} onchange={(v) => set('holdEndS', v)} {onsettle} />.
</p>
