<script lang="ts">
  import { onDestroy, untrack } from 'svelte';
  import type { Flown } from '@gentle-arc/core/model';
  import type { Film } from '@gentle-arc/core/motion';
  import { flownFilm, fromKept } from '@gentle-arc/core/rehearse';
  import { Playhead } from '$lib/session/playhead.svelte';
  import Picture from './Picture.svelte';
  import Transport from './Transport.svelte';

  /** A try beside its plan, both at one moment. */
  interface Props {
    title: string;
    film: Film;
    /** Null: there is none yet, and the plan stands alone. */
    flown: Flown | null;
    /** It was practised at this share of the speed. */
    pace: number;
    /** What it is called, and the way back; without one it is part of a larger page. */
    what?: string;
    plays?: boolean;
    back?: { name: string; press: () => void } | null;
  }
  let { title, film, flown, pace, what = 'Try', plays = true, back = null }: Props = $props();

  /** At the speed that it is meant for. */
  const asMeant = $derived(pace === 1 || !flown ? flown : { ...flown, rateHz: Math.min(120, flown.rateHz / pace) });
  const tried = $derived(asMeant ? flownFilm(film, fromKept(asMeant)) : null);
  const playhead = new Playhead();
  const longer = $derived(tried && tried.samples.count > film.samples.count ? tried.samples : film.samples);
  $effect(() => playhead.fit(longer.count, longer.frameRateHz));
  untrack(() => plays && playhead.play());
  onDestroy(() => playhead.pause());
</script>

<div class="head">
  {#if back}<h1 class="font-display text-2xl">{title}: the plan and the {what.toLowerCase()}</h1>
    <button class="quiet-button framed" onclick={back.press}>{back.name}</button>{/if}
</div>
<div class="pair" class:alone={!tried}>
  <div>
    <h2>Plan</h2>
    <Picture
      scene={film.scene}
      samples={film.samples}
      row={Math.min(playhead.row, film.samples.count - 1)}
      playing={playhead.playing}
    />
  </div>
  {#if tried && asMeant}
    <div>
      <h2>{what}</h2>
      <Picture
        scene={film.scene}
        samples={tried.samples}
        flown={asMeant}
        row={Math.min(playhead.row, tried.samples.count - 1)}
        playing={playhead.playing}
      />
    </div>
  {/if}
</div>
<Transport {playhead} samples={longer} bodied={false} />

<style>
  .head {
    display: flex;
    flex-wrap: wrap;
    justify-content: space-between;
    gap: 0.3rem 1rem;
    padding: 0.3rem 0;
  }
  .pair {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 0.8rem;
    padding-bottom: 0.4rem;
  }
  .pair.alone {
    grid-template-columns: minmax(0, 40rem);
  }
  h2 {
    font-weight: 650;
  }
  @media (max-width: 799px) {
    .pair {
      grid-template-columns: 1fr;
    }
  }
</style>
