<script lang="ts">
  import { takeOwnGait } from '@gentle-arc/core/edit';
  import { type MyHands, myHands, ownGait, sureWords } from '@gentle-arc/core/take';
  import { newId } from '$lib/session/store/new-id';
  import type { ShootStore } from '$lib/session/store/shoot-store.svelte';
  import { notice } from '$lib/ui/notice.svelte';
  import type { LiveTake } from '$lib/workers/live-take.svelte';
  import { FIGURES, figuresOf, isMeasured, peopleRecorded } from './hands-figures';

  /** What was measured of somebody’s hands, how sure it is, and into the kit with it. */
  let { store, live }: { store: ShootStore; live: LiveTake } = $props();

  const { shoot } = $derived(store);
  const people = $derived(peopleRecorded(shoot));
  const handsOf = (who: string) => myHands(figuresOf(shoot, live.hands.answer ?? [], who));

  /** What lets less of a body through is not carried by it. */
  const CARRIED = 0.02;
  /** Rigs that somebody was recorded with and that are carried. */
  const rigsOf = (who: string) => {
    const ids = new Set(shoot.log.takes.filter((take) => take.who === who && take.recorded).map(({ rigId }) => rigId));
    return shoot.kit.rigs.filter(
      ({ id, bobShare, shakeShare }) => ids.has(id) && bobShare >= CARRIED && shakeShare >= CARRIED,
    );
  };
  function keep(who: string, hands: MyHands) {
    const rigs = new Set(rigsOf(who).map(({ id }) => id));
    const like =
      shoot.kit.gaits.find(({ id }) => id === shoot.shots.find(({ rigId }) => rigs.has(rigId))?.gaitId) ??
      shoot.kit.gaits[0];
    const gait = ownGait(hands, like, newId('gait'), who);
    const known = shoot.kit.gaits.find(({ name }) => name === gait.name);
    if (store.change(takeOwnGait(shoot, known ? { ...gait, id: known.id } : gait, rigs)))
      notice.say(
        `“${gait.name}” is in the kit, and ${rigsOf(who)
          .map(({ name }) => name)
          .join(', ')} go by it.`,
      );
  }
</script>

<section class="word-pane" aria-label="My hands">
  {#each people as who (who)}
    {@const hands = handsOf(who)}
    <h2>{who || 'Nobody has said who'}</h2>
    <ul>
      {#each FIGURES as { key, name, say } (key)}
        {@const middle = hands[key]}
        {#if middle}<li>
            <b>{name} {say(middle.middle)}</b> <span class="text-soft">{sureWords(middle, say)}</span>
          </li>{/if}
      {/each}
    </ul>
    {#if !isMeasured(hands)}<p class="said">
        What was recorded was not carried by hand: it says nothing of hands.
      </p>{/if}
    {#if isMeasured(hands)}
      <p class="text-sm text-soft">As the body goes, before the rig takes its share.</p>
      {#if rigsOf(who).length > 0}
        <p>
          <button class="quiet-button framed" onclick={() => keep(who, hands)}
            >Let every reading go by it, with {rigsOf(who)
              .map(({ name }) => name)
              .join(', ')}</button
          >
        </p>
      {/if}
    {/if}
  {:else}
    <p class="said">Whoever has the rig is named under Log; recordings are counted for them.</p>
  {/each}
</section>
