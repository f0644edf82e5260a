<script lang="ts">
  import { mostDurationS, mostOfPart, withTiming, type TimingPart } from '@gentle-arc/core/edit';
  import { type Fact, factsOf, LegSchema, shotDurationS, type Timing, TimingSchema } from '@gentle-arc/core/model';
  import { shotSession } from '$lib/session/shot-session.svelte';
  import Sentence from '$lib/ui/Sentence.svelte';
  import LapseWords from './LapseWords.svelte';

  /** The timing of the move that is being shaped, as a sentence. */
  const session = shotSession();
  const { leg, active, shot } = $derived(session);

  const facts: Record<string, Fact> = { ...factsOf(TimingSchema), ...factsOf(LegSchema) };
  /** The longest overlap that there is something to overlap with, s. */
  const mostOverlapS = $derived(
    Math.min(60, shotDurationS({ ...shot, then: shot.then.slice(0, Math.max(0, active - 1)) })),
  );
  const values = $derived({ ...leg.timing, overlapS: Math.min(leg.overlapS, mostOverlapS) });
  const text = $derived(
    active === 0
      ? 'It holds {holdStartS}, feathers in over {featherInS}, out over {featherOutS}, holds {holdEndS}.'
      : 'It pauses {holdStartS}, feathers in over {featherInS}, out over {featherOutS}, holds {holdEndS}.',
  );

  const range = (key: string) => ({
    max: key === 'overlapS' ? mostOverlapS : mostOfPart(leg.timing, key as TimingPart, mostDurationS(shot, leg.timing)),
  });
  function change(key: string, value: number | string, join: string | null) {
    session.changeLeg(
      (row) =>
        key === 'overlapS'
          ? { ...row, overlapS: Number(value) }
          : key === 'featherShape'
            ? { ...row, timing: { ...row.timing, featherShape: value as Timing['featherShape'] } }
            : { ...row, timing: withTiming(row.timing, key as TimingPart, Number(value)) },
      join && `timing.${join}`,
    );
  }
</script>

<p class="said">
  <Sentence {text} {facts} {values} {range} onchange={change} />
  <Sentence text={'The feathers are {featherShape}.'} {facts} {values} onchange={change} />
  {#if active > 0}
    <Sentence text={'It begins {overlapS} before the one before it ends.'} {facts} {values} {range} onchange={change} />
  {/if}
</p>
<LapseWords />
