<script lang="ts">
  import { changePractice } from '@gentle-arc/core/edit';
  import { FIELDS, trim } from '@gentle-arc/core/model';
  import { type Controls, sayHands, type TooMuch } from '@gentle-arc/core/rehearse';
  import { shotSession } from '$lib/session/shot-session.svelte';
  import Hole from '$lib/ui/Hole.svelte';
  import Sentence from '$lib/ui/Sentence.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import type { LiveRehearse } from '$lib/workers/live-rehearse.svelte';
  import type { EasierWay } from '$lib/workers/rehearse-messages';

  /** Whether one pair of hands does it, what to set, and gentler ways to make the same shot. */
  interface Props {
    controls: Controls;
    tooMuch: readonly TooMuch[];
    live: LiveRehearse;
  }
  let { controls, tooMuch, live }: Props = $props();

  const session = shotSession();
  const { shoot, shot, scene } = $derived(session);
  const set = (key: string, value: number | string, join: string | null = null) =>
    session.change(changePractice(shoot, { [key]: value }), join && `practice.${join}`);
  const fresh = $derived(live.easier.question?.shoot === shoot && live.easier.question.shotId === shot.id);
  function take(way: EasierWay) {
    session.changeShot((given) => ({ ...way.shot, id: given.id }));
  }
</script>

<section aria-label="Hands" class="word-pane">
  <p class="verdict" class:cannot={tooMuch.length > 0}>{sayHands(tooMuch, controls)}</p>
  {#each tooMuch.slice(0, 4) as { fromS, toS, what, why }, i (i)}
    <p class="text-sm">
      <b>{trim(fromS, 1)} to {trim(toS, 1)} s:</b>
      {what.join(' + ')}: {why}.
    </p>
  {/each}
  {#each controls.said as said, i (i)}<p class="said">{said}</p>{/each}
  {#if scene.rig.kind === 'drone'}
    <p class="said">
      Sticks <Hole
        fact={FIELDS.practice.layout}
        value={shoot.practice.layout}
        onchange={(value: string) => set('layout', value)}
      />.
    </p>
    <p class="text-sm text-soft">
      Local rules, the place’s own and whoever is licensed decide whether it flies at all: a full clear circle, no
      people below, the battery’s reserve for the way home.
    </p>
  {:else if scene.rig.kind === 'gimbal'}
    <h2>Your joystick, measured once</h2>
    <p class="said">
      <Sentence
        text={'With speed set to {speedSetting} a full stick turns it once round in {fullTurnS}; ' +
          'with smoothing set to {smoothSetting} it runs on for {runsOnS} when the stick is let go. ' +
          'The first {deadBandShare} of the stick does nothing.'}
        facts={FIELDS.practice}
        values={shoot.practice}
        onchange={set}
      />
    </p>
  {/if}
  {#if tooMuch.length > 0}
    <h2>Easier, and tried</h2>
    {#if live.easier.problem}<Trouble>{live.easier.problem}</Trouble>
    {:else if !fresh || !live.easier.answer}<p role="status" class="text-soft">Trying gentler ways…</p>
    {:else if live.easier.answer.length === 0}<p>
        Of what was tried nothing makes it a shot for one pair of hands: two people, or two shots.
      </p>
    {:else}
      <ul class="ways">
        {#each live.easier.answer as way, i (i)}
          <li>
            <b>{way.said}</b>
            <span class="text-soft">{way.costs}</span>
            <button class="link" onclick={() => take(way)}>Take it<span class="sr-only">: {way.said}</span></button>
          </li>
        {/each}
      </ul>
    {/if}
  {/if}
</section>

<style>
  .verdict {
    font-size: 1.15rem;
    font-weight: 600;
    border-left: 4px solid var(--subject);
    padding-left: 0.7rem;
  }
  .verdict.cannot {
    border-color: var(--near);
  }
  .ways li {
    padding: 0.3rem 0;
    border-bottom: 1px solid var(--hairline);
  }
</style>
