<script lang="ts">
  import { onDestroy } from 'svelte';
  import type { Exercise } from '@gentle-arc/core/model';
  import {
    controlsOf,
    countOf,
    courseStep,
    marksOf,
    nextToPractise,
    progressOf,
    tooMuchIn,
  } from '@gentle-arc/core/rehearse';
  import { playKeys } from '$lib/session/play-keys';
  import { shotSession } from '$lib/session/shot-session.svelte';
  import { preferences } from '$lib/ui/preferences.svelte';
  import { shortcuts } from '$lib/ui/shortcuts.svelte';
  import WordsBeside from '$lib/ui/WordsBeside.svelte';
  import PlanAndTry from '$lib/views/picture/PlanAndTry.svelte';
  import { LiveRehearse } from '$lib/workers/live-rehearse.svelte';
  import { CountRunner } from './count-runner.svelte';
  import CountStage from './CountStage.svelte';
  import CountWords from './CountWords.svelte';
  import CourseWords from './CourseWords.svelte';
  import DrillStage from './DrillStage.svelte';
  import HandsStage from './HandsStage.svelte';
  import HandsWords from './HandsWords.svelte';
  import HoldStage from './HoldStage.svelte';
  import MarksStage from './MarksStage.svelte';
  import MarksWords from './MarksWords.svelte';
  import PracticeStage from './PracticeStage.svelte';
  import PracticeWords from './PracticeWords.svelte';
  import { Practising } from './practising.svelte';
  import ProgressChart from './ProgressChart.svelte';

  /** One shot rehearsed: counted, marked, told hand by hand, and practised until hands know it. */
  type Word = 'count' | 'marks' | 'hands' | 'hold' | 'practise' | 'course';
  const session = shotSession();
  const { shoot, shot, film } = $derived(session);
  const live = new LiveRehearse();
  const practising = new Practising(session, live);
  const { run } = practising;
  const { exercise, reviewing } = $derived(practising);

  let open = $state<Word>('count');
  let folded = $state(true);
  let chosen: Exercise | null = $state(null);

  const WORDS: { word: Word; name: string }[] = [
    { word: 'count', name: 'Count' },
    { word: 'marks', name: 'Marks' },
    { word: 'hands', name: 'Hands' },
    { word: 'hold', name: 'Hold' },
    { word: 'practise', name: 'Practise' },
    { word: 'course', name: 'Course' },
  ];
  const count = $derived(countOf(film, shoot.practice));
  const runner = new CountRunner(
    () => count,
    () => shoot.practice,
  );
  const marks = $derived(open === 'marks' ? marksOf(film, shoot.practice, preferences.units) : null);
  const controls = $derived(open === 'hands' ? controlsOf(film, shoot.practice, preferences.units) : null);
  const tooMuch = $derived(controls ? tooMuchIn(controls) : []);
  const progress = $derived(progressOf(shoot.practice.tries));
  const courseChosen = $derived(chosen ?? nextToPractise(progress)?.exercise ?? 'oneMotion');
  const tries = $derived(
    shoot.practice.tries
      .filter((row) => (open === 'course' ? row.exercise === (exercise ?? courseChosen) : row.shotId === shot.id))
      .toReversed(),
  );
  /** The simulator is on the stage. */
  const onStage = $derived(open === 'practise' || (open === 'course' && exercise !== null));

  $effect(() => session.fit());
  // What is changed, or looked at, is at its first mark again.
  $effect(() => {
    if (onStage) practising.ready();
  });
  // A try that is done is held against its plan.
  $effect(() => practising.judge());
  $effect(() => {
    if (open === 'hands' && tooMuch.length > 0)
      void live.easier.ask({ shoot, shotId: shot.id, units: preferences.units });
  });
  onDestroy(() => {
    runner.close();
    run.stop();
    session.playhead.pause();
    live.close();
  });

  /** Nothing goes on behind a word that is closed. */
  function turnTo(word: Word) {
    // On a phone the stage comes first; what is chosen of the course lies under its word.
    folded = word === open ? !folded : word !== 'course';
    if (word === open) return;
    runner.stop();
    practising.leave();
    session.playhead.pause();
    open = word;
    if (word === 'practise') practising.takeShot();
  }

  playKeys(session);
  shortcuts(() => [
    {
      key: ' ',
      does: open === 'count' ? 'Start or stop the count' : 'Start or stop the try',
      when: ({ target }) =>
        (open === 'count' || (onStage && practising.led && !reviewing)) && !(target instanceof HTMLButtonElement),
      press: () => (open === 'count' ? runner.toggle() : practising.start()),
    },
    {
      key: 'Escape',
      does: 'Back',
      when: () => reviewing || exercise !== null || run.running || runner.running,
      press: () => {
        if (runner.running) runner.stop();
        else if (run.running) practising.start();
        else if (reviewing) practising.closeReview();
        else practising.leave();
      },
    },
  ]);
</script>

{#snippet practiceWords()}
  <PracticeWords {practising} {live} {tries} />
{/snippet}

<WordsBeside
  label="More of this shot"
  words={WORDS}
  {open}
  {folded}
  onopen={turnTo}
  scrolls={open === 'hold' || open === 'marks'}
>
  {#snippet large()}
    {#if reviewing && practising.shownWay}
      <PlanAndTry
        title={practising.title}
        film={practising.film}
        flown={practising.shownWay}
        pace={practising.reviewed?.pace ?? practising.settings.pace}
        back={{ name: 'Back to practice', press: () => practising.closeReview() }}
      />
    {:else if open === 'count'}
      <h1 class="sr-only">Rehearse: count {shot.name}</h1>
      <CountStage {count} {runner} />
    {:else if open === 'marks' && marks}<MarksStage {marks} />
    {:else if open === 'hands' && controls}<HandsStage {controls} {tooMuch} />
    {:else if open === 'hold'}<HoldStage />
    {:else if exercise === 'sledDrill' || exercise === 'gimbalDrill'}
      {#key `${exercise}.${practising.drillSeed}`}
        <DrillStage
          which={exercise}
          seed={practising.drillSeed}
          onend={(score, said) => practising.endDrill(score, said)}
          onagain={() => (practising.drillSeed += 1)}
          onclose={() => practising.leave()}
        />
      {/key}
    {:else if onStage}
      <PracticeStage {practising} />
    {:else if open === 'course'}
      <h1 class="font-display text-2xl py-1">Course</h1>
      <ProgressChart {progress} chosen={courseChosen} onchoose={(id) => (chosen = id)} />
    {/if}
  {/snippet}
  {#snippet beside()}
    {#if open === 'count'}<CountWords {count} {runner} />
    {:else if open === 'marks' && marks}<MarksWords {marks} {count} />
    {:else if open === 'hands' && controls}<HandsWords {controls} {tooMuch} {live} />
    {:else if open === 'hold'}
      <section aria-label="Hold" class="word-pane">
        <p class="said">
          Figures are of what is left of a plain walk’s bob and of free hands’ trembling: common practice, to be
          replaced by your own once they are measured.
        </p>
        <p class="text-sm text-soft">
          Nobody holds long: change hands or put it down before it shakes. Walking backwards, on stairs, near water or
          edges somebody else watches the way; the place’s rules and qualified people decide.
        </p>
      </section>
    {:else if open === 'practise'}{@render practiceWords()}
    {:else if exercise !== null && courseStep(exercise)}
      <p><button class="link" onclick={() => practising.leave()}>All of the course</button></p>
      {@render practiceWords()}
    {:else}
      <CourseWords
        {progress}
        chosen={courseChosen}
        {tries}
        onbegin={(pace) => practising.begin(courseChosen, pace)}
        onreview={(made) => practising.review(made)}
        onchoose={(id) => (chosen = id)}
      />
    {/if}
  {/snippet}
</WordsBeside>
