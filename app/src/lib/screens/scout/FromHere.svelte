<script lang="ts">
  import { onDestroy } from 'svelte';
  import { putOffered, withGroups } from '@gentle-arc/core/edit';
  import type { Scouted } from '@gentle-arc/core/reading';
  import type { NearOffer } from '@gentle-arc/core/search';
  import { newId } from '$lib/session/store/new-id';
  import { shotSession } from '$lib/session/shot-session.svelte';
  import { preferences } from '$lib/ui/preferences.svelte';
  import { LiveScout } from '$lib/workers/live-scout.svelte';

  /** What the place offers from where the camera stands, and what could stand near its lens. */
  interface Props {
    /** Pieces that are pointed at. */
    onchoose: (ids: string[]) => void;
    /** A piece was put near the lens. */
    onput: (id: string) => void;
  }
  let { onchoose, onput }: Props = $props();

  const REST_MS = 200;
  const session = shotSession();
  const { shoot, shot, row, playhead } = $derived(session);
  const isShot = $derived(shoot.shots.some(({ id }) => id === shot.id));
  const scout = new LiveScout();
  onDestroy(() => scout.close());
  const { look } = scout;

  $effect(() => {
    if (!isShot || playhead.playing) return;
    const question = { shoot, shotId: shot.id, units: preferences.units, row };
    const rest = setTimeout(() => void look.ask(question), REST_MS);
    return () => clearTimeout(rest);
  });

  let offers: NearOffer[] | null = $state.raw(null);
  /** For what they were looked for; another site or shot wants other ones. */
  let offersFor: unknown = $state.raw(null);
  let looking = $state(false);
  let trouble: string | null = $state(null);
  async function findNear() {
    looking = true;
    trouble = null;
    const asked = shot;
    try {
      offers = await scout.near(shoot, shot.id, preferences.units, 'near-the-lens');
      offersFor = asked;
    } catch (error) {
      trouble = (error as Error).message;
    }
    looking = false;
  }
  let putId: string | null = $state(null);
  /** Puts one down instead of the one before. */
  function put({ piece }: NearOffer) {
    const id = newId('piece');
    if (!session.change(putOffered(shoot, piece, id, putId))) return;
    putId = id;
    onput(id);
  }

  const MARKS: Record<Scouted['tells'], string> = { good: '✓', mind: '!', plain: '·' };
  const SAID: Record<Scouted['tells'], string> = { good: 'Helps', mind: 'Mind', plain: 'Note' };
</script>

{#if !isShot}
  <p class="said">
    There is no shot yet. Put things on the ground first: <b>Add a piece</b>, lay a picture of the place under the plan
    (Ground), or bring in GeoJSON. What the place offers is told as soon as a shot looks at it.
  </p>
{:else}
  {#if look.problem}<p class="said" role="alert">{look.problem}</p>{/if}
  {#if look.answer}
    <ul>
      {#each look.answer as { id, sentence, pieceIds, tells } (id)}
        <li class={tells}>
          <span class="mark" role="img" aria-label={SAID[tells]}>{MARKS[tells]}</span>
          {#if pieceIds.length > 0}
            <button
              class="row"
              title="Point at it on the plan"
              onclick={() => onchoose(pieceIds.flatMap((pieceId) => withGroups(shoot, [pieceId])))}>{sentence}</button
            >
          {:else}<span class="row">{sentence}</span>{/if}
        </li>
      {/each}
    </ul>
  {:else if !look.problem}<p class="text-soft" role="status">Looking around…</p>{/if}

  <section aria-label="Something near the lens">
    <h2>Something near the lens</h2>
    {#if trouble}<p class="said" role="alert">{trouble}</p>{/if}
    {#if offers && offersFor === shot}
      {#if offers.length === 0}
        <p class="said">
          Nothing that could be put down helps here: the camera does not travel past it, or it would stand in the way or
          before the subject.
        </p>
      {:else}
        <ul>
          {#each offers as offer (offer.sentence)}
            <li><button class="link text-left" onclick={() => put(offer)}>{offer.sentence}</button></li>
          {/each}
        </ul>
      {/if}
    {:else}
      <p class="said">What slides past close by gives a move its depth.</p>
      <button class="quiet-button font-semibold" disabled={looking} onclick={() => void findNear()}
        >{looking ? 'Trying places…' : 'Find what could stand there'}</button
      >
    {/if}
  </section>
{/if}

<style>
  li {
    display: flex;
    gap: 0.5rem;
    padding: 0.25rem 0;
    line-height: 1.4;
  }
  .mark {
    flex: none;
    width: 1.1rem;
    text-align: center;
    font-weight: 700;
    color: var(--soft);
  }
  .good .mark {
    color: var(--subject);
  }
  .mind .mark {
    color: var(--near);
  }
  .row {
    text-align: left;
  }
  button.row {
    cursor: pointer;
  }
  button.row:hover {
    text-decoration: underline dotted;
    text-underline-offset: 3px;
  }
  section {
    margin-top: 0.6rem;
  }
  h2 {
    font-weight: 650;
  }
  @media (pointer: coarse) {
    button.row,
    li .link {
      min-height: 2.75rem;
    }
  }
</style>
