<script lang="ts">
  import { CARDS, cardsFor } from '@gentle-arc/core/rehearse';
  import { shotSession } from '$lib/session/shot-session.svelte';
  import { preferences } from '$lib/ui/preferences.svelte';
  import StickFigure from './StickFigure.svelte';

  /** How to hold and step for this shot, and the other ways there are. */
  const session = shotSession();
  const advice = $derived(cardsFor(session.film, session.shoot.kit, preferences.units));
  const others = $derived(CARDS.filter(({ id }) => !advice.some((row) => row.id === id)));
</script>

<h1 class="font-display text-2xl">Hold and step</h1>
{#if advice.length === 0}
  <p class="said">
    No hands carry the camera in this shot: {session.scene.rig.name} does. These are the ways there are, for a shot that is
    carried.
  </p>
{:else}
  <p class="said text-soft">What suits {session.shot.name} comes first.</p>
  <ul class="cards">
    {#each advice as { id, title, figure, why, steps, wrong, onScreen, arms } (id)}
      <li>
        <StickFigure {figure} label={title} />
        <div>
          <h2>{title}</h2>
          <p class="text-soft text-sm">Because {why}.</p>
          <ol>
            {#each steps as step (step)}<li>{step}</li>{/each}
          </ol>
          <p class="wrong"><b>Goes wrong:</b> {wrong.join(' ')}</p>
          <p class="text-sm">{onScreen} {arms}</p>
        </div>
      </li>
    {/each}
  </ul>
{/if}
{#if others.length > 0}
  <h2 class="font-display text-xl mt-3">{advice.length === 0 ? 'All of them' : 'Other ways'}</h2>
  <ul class="cards">
    {#each others as { id, title, figure, steps, wrong } (id)}
      <li>
        <StickFigure {figure} label={title} />
        <div>
          <h3>{title}</h3>
          <ol>
            {#each steps as step (step)}<li>{step}</li>{/each}
          </ol>
          <p class="wrong"><b>Goes wrong:</b> {wrong.join(' ')}</p>
        </div>
      </li>
    {/each}
  </ul>
{/if}

<style>
  .cards {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(23rem, 1fr));
    gap: 0.4rem 1.4rem;
  }
  .cards > li {
    display: flex;
    gap: 0.8rem;
    padding: 0.6rem 0;
    border-bottom: 1px solid var(--hairline);
    line-height: 1.4;
  }
  h2,
  h3 {
    font-weight: 650;
    font-size: 1.05rem;
  }
  ol {
    list-style: decimal;
    padding-left: 1.1rem;
  }
  .wrong {
    margin-top: 0.2rem;
    font-size: 0.92rem;
  }
  .wrong b {
    color: var(--near);
  }
  @media (max-width: 799px) {
    .cards {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
