<script lang="ts">
  import Trouble from '$lib/ui/Trouble.svelte';
  import { playKeys } from '$lib/session/play-keys';
  import { shotSession } from '$lib/session/shot-session.svelte';
  import { onDestroy } from 'svelte';
  import { sceneOf } from '@gentle-arc/core/scene';
  import { sampleShot } from '@gentle-arc/core/motion';
  import { type CompareBy, verdictOnLenses, withFocalLength } from '@gentle-arc/core/reading';
  import Choice from '$lib/ui/Choice.svelte';
  import Transport from '$lib/views/picture/Transport.svelte';
  import { preferences } from '$lib/ui/preferences.svelte';
  import { LiveLenses } from '$lib/workers/live-lenses.svelte';
  import FocalChips from './FocalChips.svelte';
  import FocusBand from './FocusBand.svelte';
  import { Pictures } from '$lib/views/picture/pictures.svelte';
  import { hasWebGl2 } from '$lib/views/picture/webgl';
  import LensCard from './LensCard.svelte';
  import LensChart from './LensChart.svelte';
  import HowFar from './HowFar.svelte';
  import LightWords from './LightWords.svelte';
  import PixelFrames from './PixelFrames.svelte';
  import SpinWords from './SpinWords.svelte';
  import TimeWords from './TimeWords.svelte';
  import { rangeOf, usualFocals } from './focals';

  /**
   * The lens bench of one shot: which focal length, how sharp, how bright; chosen by what each does to this very shot.
   */
  const session = shotSession();
  const { shoot, shot, samples } = $derived(session);
  const { playhead, changeBench: setBench } = session;
  const live = new LiveLenses();

  const bench = $derived(shot.bench);
  const by = $derived(bench.compareBy);
  const focals = $derived([...new Set(bench.focalLengthsMm ?? usualFocals(shoot.kit.lenses, shot.focalLengthMm))]);

  /** Only what is listed, and only once it is read: a headline never outlives its numbers. */
  const columns = $derived.by(() => {
    const { answer, question, problem } = live.shown;
    if (!answer || problem || question?.by !== by || question.shotId !== shot.id) return [];
    const listed = answer.filter(({ focalLengthMm }) => focals.includes(focalLengthMm));
    return listed.length === focals.length ? listed : [];
  });
  /**
   * Each with its film for the picture. Where to stand for the same framing is searched off this thread: until that is
   * known nothing new is drawn.
   */
  const ways = $derived(
    focals.map((focalLengthMm) => {
      const column = columns.find((row) => row.focalLengthMm === focalLengthMm) ?? null;
      const here = by === 'spot' || focalLengthMm === shot.focalLengthMm;
      const scene =
        !here && column && live.shown.question
          ? sceneOf(live.shown.question.shoot, column.shot)
          : sceneOf(shoot, withFocalLength(shoot, shot, focalLengthMm, 'spot'));
      return { focalLengthMm, column, scene, samples: here || column ? sampleShot(scene) : null };
    }),
  );
  const pictures = hasWebGl2()
    ? new Pictures(
        () =>
          Object.fromEntries(
            ways.flatMap(({ focalLengthMm, scene, samples: through }) =>
              through
                ? [[`${focalLengthMm}`, { scene, samples: through, row: Math.min(session.row, through.count - 1) }]]
                : [],
            ),
          ),
        () => playhead.playing,
        () => session.store.rushing,
        true,
      )
    : null;
  const seen = $derived.by(() => {
    const own = columns.find((column) => column.focalLengthMm === shot.focalLengthMm);
    return own
      ? {
          fastest: Math.max(own.nearSpeed ?? 0, own.subjectSpeed ?? 0, own.farSpeed ?? 0),
          jump: own.jump,
          shownShutterDeg: own.shownShutterDeg,
          subjectBlur: own.subjectBlur,
        }
      : null;
  });

  $effect(() => session.fit());
  $effect(
    () => void live.shown.ask({ shoot, shotId: shot.id, units: preferences.units, focalLengthsMm: [...focals], by }),
  );
  $effect(
    () =>
      void live.spread.ask({
        shoot,
        shotId: shot.id,
        units: preferences.units,
        focalLengthsMm: rangeOf(shoot.kit.lenses),
        by,
      }),
  );
  onDestroy(() => live.close());

  /** The first sentence as a headline, what else there is to say below it. */
  const verdict = $derived(
    columns.length ? verdictOnLenses(columns, by) : live.shown.problem ? 'Not compared.' : 'Reading…',
  );
  const headline = $derived(/^.+?\.(?= |$)/.exec(verdict)?.[0] ?? verdict);
  const more = $derived(verdict.slice(headline.length).trim());

  const take = (focalLengthMm: number) => session.changeShot((row) => withFocalLength(shoot, row, focalLengthMm, by));

  playKeys(session);
</script>

<main class="bench">
  <h1 class="sr-only">Lens: {shot.name}</h1>
  <section aria-label="Focal lengths">
    <div class="flex flex-wrap items-center justify-between gap-x-4">
      <p class="said">
        The same move, with the
        <Choice
          label="Compare by"
          value={by}
          items={[
            { value: 'framing', name: 'same framing' },
            { value: 'spot', name: 'same spot' },
          ]}
          onchange={(value) => setBench({ compareBy: value as CompareBy })}
        />
        ({by === 'framing' ? 'the camera moves to suit' : 'only the lens changes'}), through <FocalChips
          {focals}
          own={shot.focalLengthMm}
          usual={bench.focalLengthsMm === null}
          onchange={(focalLengthsMm, join) => setBench({ focalLengthsMm }, join)}
        />
      </p>
      <Transport {playhead} {samples} bodied={false} />
    </div>
    {#if live.shown.problem}<Trouble>The comparison could not be made. {live.shown.problem}</Trouble>{/if}
    <div aria-live="polite">
      <h2 class="verdict">{headline}</h2>
      {#if more}<p class="text-sm leading-snug text-soft">{more}</p>{/if}
    </div>
    {#if pictures?.problem}<Trouble>{pictures.problem}</Trouble>{/if}
    <div class="cards">
      {#each ways as way (way.focalLengthMm)}
        <LensCard
          scene={way.scene}
          focalLengthMm={way.focalLengthMm}
          sheet={pictures?.sheet(`${way.focalLengthMm}`) ?? null}
          column={way.column}
          own={way.focalLengthMm === shot.focalLengthMm}
          ontake={() => take(way.focalLengthMm)}
        />
      {/each}
    </div>
    <LensChart
      columns={live.spread.answer ?? []}
      own={shot.focalLengthMm}
      measure={bench.measure}
      onmeasure={(measure) => setBench({ measure })}
    />
  </section>

  <div class="lower">
    <FocusBand />
    <LightWords {seen} />
    <TimeWords jump={seen?.jump ?? null} />
    <SpinWords />
    <PixelFrames />
    <HowFar />
  </div>
</main>

<style>
  .bench {
    padding: 0 1rem 2rem;
  }
  .verdict {
    padding: 0.2rem 0 0.5rem;
    font-family: var(--font-display);
    font-size: 1.25rem;
    line-height: 1.3;
  }
  .cards {
    display: grid;
    grid-template-columns: repeat(3, minmax(0, 1fr));
    gap: 0.7rem 1rem;
  }
  .lower {
    columns: 20rem 3;
    column-gap: 2rem;
    margin-top: 1.2rem;
  }
  .lower > :global(section) {
    break-inside: avoid;
    padding-bottom: 1.6rem;
  }
  @media (max-width: 799px) {
    .cards {
      grid-template-columns: repeat(2, minmax(0, 1fr));
      gap: 0.6rem;
    }
  }
</style>
