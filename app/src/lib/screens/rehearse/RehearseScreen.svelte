<script lang="ts">
  import { onDestroy } from 'svelte';
  import { addTry } from '@gentle-arc/core/edit';
  import type { Exercise, Try } from '@gentle-arc/core/model';
  import { plannedFilm } from '@gentle-arc/core/motion';
  import {
    controlsOf,
    countOf,
    courseStep,
    droneSticks,
    exerciseShot,
    exerciseTitle,
    heldFor,
    marksOf,
    nextToPractise,
    passOf,
    progressOf,
    tooMuchIn,
  } from '@gentle-arc/core/rehearse';
  import { sceneOf } from '@gentle-arc/core/scene';
  import { newId } from '$lib/session/store/new-id';
  import { playKeys } from '$lib/session/play-keys';
  import { shotSession } from '$lib/session/shot-session.svelte';
  import { preferences } from '$lib/ui/preferences.svelte';
  import { shortcuts } from '$lib/ui/shortcuts.svelte';
  import WordsBeside from '$lib/ui/WordsBeside.svelte';
  import { LiveRehearse } from '$lib/workers/live-rehearse.svelte';
  import { CountRunner } from './count-runner.svelte';
  import CountStage from './CountStage.svelte';
  import CountWords from './CountWords.svelte';
  import CourseWords from './CourseWords.svelte';
  import DrillStage from './DrillStage.svelte';
  import { HandsOn } from './hands-input.svelte';
  import HandsStage from './HandsStage.svelte';
  import HandsWords from './HandsWords.svelte';
  import HoldStage from './HoldStage.svelte';
  import MarksStage from './MarksStage.svelte';
  import MarksWords from './MarksWords.svelte';
  import { PracticeRun, type RunSettings } from './practice-run.svelte';
  import PracticeStage from './PracticeStage.svelte';
  import PracticeWords from './PracticeWords.svelte';
  import ProgressChart from './ProgressChart.svelte';
  import ReviewStage from './ReviewStage.svelte';

  /** One shot rehearsed: counted, marked, told hand by hand, and practised until hands know it. */
  type Word = 'count' | 'marks' | 'hands' | 'hold' | 'practise' | 'course';
  const session = shotSession();
  const { shoot, shot, film } = $derived(session);
  const live = new LiveRehearse();
  const hands = new HandsOn();
  const run = new PracticeRun(hands);

  let open = $state<Word>('count');
  let folded = $state(true);
  let ghost = $state(true);
  /** What of the course is on the stage; null: the progress. */
  let exercise: Exercise | null = $state(null);
  let chosen: Exercise | null = $state(null);
  let drillSeed = $state(1);
  let reviewed = $state.raw<Try | null>(null);
  let reviewing = $state(false);
  let keptId: string | null = $state(null);
  let settings = $state<RunSettings>({ held: 'head', speed: 'normal', pace: 1, windShare: 0 });

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

  /** What is practised: the shot, or an exercise on its own ground. */
  const practised = $derived.by(() => {
    if (open !== 'course' || exercise === null || !courseStep(exercise)) return { film, title: shot.name };
    const { shoot: ground, shot: step } = exerciseShot(exercise);
    return { film: plannedFilm(sceneOf(ground, step)), title: exerciseTitle(exercise) };
  });
  const held = $derived(heldFor(practised.film));
  const tries = $derived(
    shoot.practice.tries
      .filter((row) => (open === 'course' ? row.exercise === courseChosen : row.shotId === shot.id))
      .toReversed(),
  );
  const flownNow = $derived(reviewed?.flown ?? run.flown);
  const practising = $derived(open === 'practise' || (open === 'course' && exercise !== null));

  $effect(() => session.fit());
  // What is changed, or looked at, is at its first mark again.
  $effect(() => {
    const { film: of } = practised;
    const { practice } = shoot;
    if (practising && courseStep(exercise ?? 'oneMotion') && !run.running && run.state !== 'done')
      run.ready(of, practice, settings);
  });
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

  function turnTo(word: Word) {
    // On a phone the stage comes first; what is chosen of the course lies under its word.
    folded = word === open ? !folded : word !== 'course';
    if (word === open) return;
    leave();
    open = word;
    if (word === 'practise') settings = usualSettings();
  }
  /** Nothing goes on behind a word that is closed. */
  function leave() {
    runner.stop();
    run.stop();
    run.flown = null;
    run.pose = null;
    session.playhead.pause();
    reviewing = false;
    reviewed = null;
    exercise = null;
  }
  function usualSettings(): RunSettings {
    const own = heldFor(film)[0];
    return { held: own, speed: own === 'drone' ? droneSticks(film).speed : 'normal', pace: 1, windShare: 0 };
  }

  function set(change: Partial<RunSettings & { ghost: boolean }>) {
    const { ghost: shown, ...rest } = change;
    if (shown !== undefined) ghost = shown;
    if (Object.keys(rest).length === 0) return;
    settings = { ...settings, ...rest };
    run.stop();
    run.flown = null;
    run.ready(practised.film, shoot.practice, settings);
  }
  function start() {
    reviewing = false;
    if (run.running) {
      run.stop();
      run.ready(practised.film, shoot.practice, settings);
      return;
    }
    keptId = null;
    run.start(practised.film, shoot.practice, settings);
  }
  function show() {
    reviewing = false;
    run.flown = null;
    run.show(practised.film, shoot.practice, settings, controlsOf(practised.film, shoot.practice, preferences.units));
  }
  // A try that is done is held against its plan.
  $effect(() => {
    const { flown } = run;
    if (run.state !== 'done' || flown === null) return;
    void live.judged.ask({
      shoot,
      shotId: exercise === null ? shot.id : null,
      exercise,
      held: settings.held,
      pace: settings.pace,
      units: preferences.units,
      flown,
    });
  });
  function keep() {
    const { answer, question } = live.judged;
    if (!answer || !run.flown || question?.flown !== run.flown) return;
    const { score, parts, said } = answer.score;
    const made: Try = {
      id: newId('try'),
      at: new Date().toISOString(),
      shotId: exercise === null ? shot.id : null,
      exercise,
      held: settings.held,
      pace: settings.pace,
      windShare: settings.windShare,
      score,
      parts: parts.map((row) => ({ part: row.part, score: row.score })),
      said: said.slice(0, 400),
      flown: run.flown,
    };
    if (session.change(addTry(shoot, made))) keptId = made.id;
  }
  function review(made: Try | null) {
    if (run.running) run.stop();
    if (made?.exercise && exercise !== made.exercise) exercise = made.exercise;
    reviewed = made;
    reviewing = true;
  }
  function begin(pace: number | 'show') {
    exercise = courseChosen;
    reviewing = false;
    run.stop();
    run.flown = null;
    keptId = null;
    const step = courseStep(courseChosen);
    if (!step) {
      drillSeed = 1 + (Date.now() % 9973);
      return;
    }
    const { shoot: ground, shot: made } = exerciseShot(courseChosen);
    const of = plannedFilm(sceneOf(ground, made));
    settings = {
      held: step.held,
      speed: step.held === 'drone' ? droneSticks(of).speed : 'normal',
      pace: pace === 'show' ? 1 : pace,
      windShare: 0,
    };
    if (pace === 'show') run.show(of, shoot.practice, settings, controlsOf(of, shoot.practice, preferences.units));
    else run.start(of, shoot.practice, settings);
  }
  function endDrill(score: number, said: string) {
    if (exercise !== 'sledDrill' && exercise !== 'gimbalDrill') return;
    session.change(
      addTry(shoot, {
        id: newId('try'),
        at: new Date().toISOString(),
        shotId: null,
        exercise,
        held: 'head',
        pace: 1,
        windShare: 0,
        score,
        parts: [],
        said,
        flown: null,
      }),
    );
  }
  function closeExercise() {
    run.stop();
    run.flown = null;
    run.pose = null;
    reviewing = false;
    exercise = null;
  }

  playKeys(session);
  shortcuts(() => [
    {
      key: ' ',
      does: open === 'count' ? 'Start or stop the count' : 'Start or stop the try',
      when: ({ target }) => (open === 'count' || practising) && !reviewing && !(target instanceof HTMLButtonElement),
      press: () => (open === 'count' ? runner.toggle() : start()),
    },
    {
      key: 'Escape',
      does: 'Back',
      when: () => reviewing || exercise !== null || run.running || runner.running,
      press: () => {
        if (runner.running) runner.stop();
        else if (run.running) start();
        else if (reviewing) reviewing = false;
        else closeExercise();
      },
    },
  ]);
</script>

{#snippet practiceWords()}
  <PracticeWords
    {run}
    {settings}
    {held}
    {ghost}
    {live}
    pass={exercise === null ? null : passOf(exercise)}
    {tries}
    kept={keptId !== null}
    shotId={exercise === null ? shot.id : null}
    onset={set}
    onkeep={keep}
    onshow={show}
    onreview={review}
  />
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
    {#if reviewing && flownNow}
      <ReviewStage
        title={practised.title}
        film={practised.film}
        flown={flownNow}
        pace={reviewed?.pace ?? settings.pace}
        onclose={() => {
          reviewing = false;
          if (reviewed) {
            reviewed = null;
            if (open === 'course') closeExercise();
          }
        }}
      />
    {:else if open === 'count'}
      <h1 class="sr-only">Rehearse: count {shot.name}</h1>
      <CountStage {count} {runner} />
    {:else if open === 'marks' && marks}<MarksStage {marks} />
    {:else if open === 'hands' && controls}<HandsStage {controls} {tooMuch} />
    {:else if open === 'hold'}<HoldStage />
    {:else if open === 'course' && (exercise === 'sledDrill' || exercise === 'gimbalDrill')}
      {#key `${exercise}.${drillSeed}`}
        <DrillStage
          which={exercise}
          seed={drillSeed}
          onend={endDrill}
          onagain={() => (drillSeed += 1)}
          onclose={closeExercise}
        />
      {/key}
    {:else if practising}
      <PracticeStage title={practised.title} film={practised.film} {run} {hands} {settings} {ghost} onstart={start} />
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
      <p><button class="link" onclick={closeExercise}>All of the course</button></p>
      {@render practiceWords()}
    {:else}
      <CourseWords
        {progress}
        chosen={courseChosen}
        {tries}
        onbegin={begin}
        onreview={review}
        onchoose={(id) => (chosen = id)}
      />
    {/if}
  {/snippet}
</WordsBeside>
