<script lang="ts">
  import { onDestroy, untrack } from 'svelte';
  import type { Flown } from '@gentle-arc/core/model';
  import type { Film } from '@gentle-arc/core/motion';
  import { flownFilm, fromKept } from '@gentle-arc/core/rehearse';
  import { Playhead } from '$lib/session/playhead.svelte';
  import Picture from '$lib/views/picture/Picture.svelte';
  import Transport from '$lib/views/picture/Transport.svelte';

  /** A try beside its plan, both at one moment. */
  interface Props {
    title: string;
    film: Film;
    flown: Flown;
    /** It was practised at this share of the speed. */
    pace: number;
    onclose: () => void;
  }
  let { title, film, flown, pace, onclose }: Props = $props();

  /** At the speed that it is meant for. */
  const asMeant = $derived(pace === 1 ? flown : { ...flown, rateHz: Math.min(120, flown.rateHz / pace) });
  const tried = $derived(flownFilm(film, fromKept(asMeant)));
  const playhead = new Playhead();
  const longer = $derived(tried.samples.count > film.samples.count ? tried.samples : film.samples);
  $effect(() => playhead.fit(longer.count, longer.frameRateHz));
  untrack(() => playhead.play());
  onDestroy(() => playhead.pause());
</script>

<div class="head">
  <h1 class="font-display text-2xl">{title}: the plan and the try</h1>
  <button class="quiet-button framed" onclick={onclose}>Back to practice</button>
</div>
<div class="pair">
  <div>
    <h2>Plan</h2>
    <Picture
      scene={film.scene}
      samples={film.samples}
      row={Math.min(playhead.row, film.samples.count - 1)}
      playing={playhead.playing}
    />
  </div>
  <div>
    <h2>Try</h2>
    <Picture
      scene={film.scene}
      samples={tried.samples}
      flown={asMeant}
      row={Math.min(playhead.row, tried.samples.count - 1)}
      playing={playhead.playing}
    />
  </div>
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
  h2 {
    font-weight: 650;
  }
  @media (max-width: 799px) {
    .pair {
      grid-template-columns: 1fr;
    }
  }
</style>
