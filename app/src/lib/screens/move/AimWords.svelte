<script lang="ts">
  import { type AimMode, factsOf, AimSchema, FIELDS, type LookOver, PlaceSchema, trim } from '@gentle-arc/core/model';
  import { partsOf } from '@gentle-arc/core/site';
  import { shotSession } from '$lib/session/shot-session.svelte';
  import Choice from '$lib/ui/Choice.svelte';
  import Sentence from '$lib/ui/Sentence.svelte';
  import FrameWords from './FrameWords.svelte';

  /** What of the subject the shot is after, where it stands in the frame, and who turns the camera, as sentences. */
  const session = shotSession();
  const aim = $derived(session.shot.aim);
  const { scene, leg } = $derived(session);
  const led = $derived(session.motion.intent.looksWhereMovesSay);
  /** How far the subject leaves its place under each, frame widths: looked at only while it is shown. */
  const drifts = $derived(session.live.drifts);
  const parts = $derived(
    scene.subject
      ? partsOf(scene.subject).map(({ id, name }) => ({ value: id, name: `${scene.subject?.name}: ${name}` }))
      : [],
  );
  const several = $derived(session.motion.legs.length > 1);

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
  const look = (edit: Partial<LookOver>, join: string | null = null) =>
    session.changeLeg((row) => ({ ...row, look: { ...row.look, ...edit } }), join);
  /** Where the subject is in the frame when the move that is being shaped begins. */
  const before = $derived.by(() => {
    const place = { u: 0, v: 0 };
    session.motion.intent.placeAt(session.motion.legs[session.active].fromS, place);
    return { u: Math.round(place.u * 1000) / 1000, v: Math.round(place.v * 1000) / 1000 };
  });
  const which = $derived(several ? `By the end of move ${session.active + 1}` : 'By the end');
</script>

{#if scene.subject}
  <p class="said">
    The shot is after
    <Choice
      label="Part of the subject"
      value={scene.part?.id ?? ''}
      items={parts}
      onchange={(subjectPart) => session.changeShot((row) => ({ ...row, subjectPart }))}
    />: framed, focused and judged by that.
  </p>
{/if}
<FrameWords />
<p class="said">
  {#if led}The camera looks as the move says.{:else}<Sentence
      text={'The camera {mode}.'}
      {facts}
      values={aim}
      items={{ mode: modes }}
      onchange={change}
    />{/if}
  {#if several && !led}
    In move {session.active + 1} it
    <Choice
      label="Aim in this move"
      value={leg.look.mode ?? ''}
      items={[{ value: '', name: 'does so too' }, ...modes]}
      onchange={(mode) => look({ mode: mode === '' ? null : (mode as AimMode) })}
    />.
  {/if}
</p>
<p class="said">
  <Sentence text={'It stands {u} right and {v} up from the middle.'} {facts} values={aim.place} onchange={change} />
  {#if leg.look.toPlace}
    <Sentence
      text={`${which} it has come to {u} right and {v} up.`}
      facts={factsOf(PlaceSchema)}
      values={leg.look.toPlace}
      label={(_key, fact) => `${fact.label}, at the end`}
      onchange={(key, value, join) =>
        look({ toPlace: { ...(leg.look.toPlace ?? before), [key]: value } }, join && `toPlace.${join}`)}
    />
    <button class="link" onclick={() => look({ toPlace: null })}>Keep its place</button>
  {:else}
    <button class="link" onclick={() => look({ toPlace: before })}>Let it come to another place</button>
  {/if}
</p>
<p class="said">
  <Sentence
    text={'The head runs {smoothingS} behind, does not stir within {deadBandDeg}, and turns at most {rateMaxDegps}.'}
    facts={FIELDS.aim}
    values={aim}
    onchange={change}
  />
</p>
