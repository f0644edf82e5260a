<script lang="ts">
  import { type AimMode, AimSchema, factsOf, PlaceSchema, trim } from '@gentle-arc/core/model';
  import { shotSession } from '$lib/session/shot-session.svelte';
  import Sentence from '$lib/ui/Sentence.svelte';

  /** Who turns the camera and how it runs after them, as sentences. */
  const session = shotSession();
  const aim = $derived(session.shot.aim);
  const led = $derived(session.motion.intent.looksWhereMovesSay);
  /** How far the subject leaves its place under each, frame widths: looked at only while it is shown. */
  const drifts = $derived(session.live.drifts);

  $effect(() => {
    const { shoot, shot } = session;
    if (!led) void session.live.askDrifts(shoot, shot.id);
  });

  const facts = { ...factsOf(AimSchema), ...factsOf(PlaceSchema) };
  const modes = $derived(
    facts.mode?.type === 'choice'
      ? Object.entries(facts.mode.names).map(([value, name]) => ({ value, name: nameOf(value as AimMode, name) }))
      : [],
  );
  /** Each with what it leaves on screen for this very shot. */
  function nameOf(mode: AimMode, name: string): string {
    const drift = drifts?.[mode];
    if (drift === undefined) return name;
    const said = drift < 0.001 ? 'no drift' : `drift ${trim(drift * 100, drift < 0.095 ? 1 : 0)}%`;
    return `${name} (${drift === Infinity ? 'loses the subject' : said})`;
  }

  const change = (key: string, value: number | string, join: string | null) =>
    session.changeShot(
      (row) =>
        key === 'u' || key === 'v'
          ? { ...row, aim: { ...row.aim, place: { ...row.aim.place, [key]: value } } }
          : { ...row, aim: { ...row.aim, [key]: value } },
      join && `aim.${join}`,
    );
</script>

<p class="said">
  {#if led}The camera looks as the move says.{:else}<Sentence
      text={'The camera {mode}.'}
      {facts}
      values={aim}
      items={{ mode: modes }}
      onchange={change}
    />{/if}
  <Sentence
    text={'The subject is {u} right and {v} up from the middle.'}
    {facts}
    values={aim.place}
    onchange={change}
  />
</p>
<p class="said">
  <Sentence
    text={'The head runs {smoothingS} behind, does not stir within {deadBandDeg}, and turns at most {rateMaxDegps}.'}
    {facts}
    values={aim}
    onchange={change}
  />
</p>
