<script lang="ts">
  import { mostOfPart, withTiming, type TimingPart } from '@gentle-arc/core/model/timing-parts';
  import { FEATHER_SHAPES, type Leg, type Timing } from '@gentle-arc/core/model/shot';
  import Choice from '$lib/parts/Choice.svelte';
  import NumberField from '$lib/parts/NumberField.svelte';

  /** The timing of one move as a sentence. */
  interface Props {
    leg: Leg;
    isFirst: boolean;
    /** The longest overlap that there is something to overlap with, s. */
    mostOverlapS: number;
    onleg: (edit: (leg: Leg) => Leg, join: string | null) => void;
    onsettle: () => void;
  }
  let { leg, isFirst, mostOverlapS, onleg, onsettle }: Props = $props();

  const timing = $derived(leg.timing);
  const mostOf = (key: TimingPart) => mostOfPart(timing, key);
  const SHAPES: Record<Timing['featherShape'], string> = {
    minimumJerk: 'softest',
    cosine: 'cosine',
    constantAcceleration: 'steady push',
  };

  const set = (key: TimingPart, value: number) =>
    onleg((row) => ({ ...row, timing: withTiming(row.timing, key, value) }), `timing.${key}`);
</script>

<p class="said">
  It takes <NumberField
    label="Duration"
    value={timing.durationS}
    unit="s"
    min={0.2}
    max={600}
    step={0.5}
    onchange={(v) => set('durationS', v)}
    {onsettle}
  />{#if !isFirst}, begins
    <NumberField
      label="Overlap with the move before"
      value={Math.min(leg.overlapS, mostOverlapS)}
      unit="s"
      min={0}
      max={mostOverlapS}
      step={0.1}
      onchange={(overlapS) => onleg((row) => ({ ...row, overlapS }), 'overlap')}
      {onsettle}
    /> before the one before it ends{/if}:
  {isFirst ? 'holds' : 'pauses'}
  <NumberField
    label="Hold at the start"
    value={timing.holdStartS}
    unit="s"
    min={0}
    max={mostOf('holdStartS')}
    step={0.1}
    onchange={(v) => set('holdStartS', v)}
    {onsettle}
  />, feathers in over
  <NumberField
    label="Feather in"
    value={timing.featherInS}
    unit="s"
    min={0}
    max={mostOf('featherInS')}
    step={0.1}
    onchange={(v) => set('featherInS', v)}
    {onsettle}
  />, out over
  <NumberField
    label="Feather out"
    value={timing.featherOutS}
    unit="s"
    min={0}
    max={mostOf('featherOutS')}
    step={0.1}
    onchange={(v) => set('featherOutS', v)}
    {onsettle}
  />
  (<Choice
    label="Feather shape"
    value={timing.featherShape}
    items={FEATHER_SHAPES.map((value) => ({ value, name: SHAPES[value] }))}
    onchange={(value) =>
      onleg((row) => ({ ...row, timing: { ...row.timing, featherShape: value as Timing['featherShape'] } }), null)}
  />), holds
  <NumberField
    label="Hold at the end"
    value={timing.holdEndS}
    unit="s"
    min={0}
    max={mostOf('holdEndS')}
    step={0.1}
    onchange={(v) => set('holdEndS', v)}
    {onsettle}
  />.
</p>
