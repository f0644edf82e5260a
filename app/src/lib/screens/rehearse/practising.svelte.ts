import { untrack } from 'svelte';
import { addTry } from '@gentle-arc/core/edit';
import type { Exercise, Try } from '@gentle-arc/core/model';
import { type Film, plannedFilm } from '@gentle-arc/core/motion';
import {
  controlsOf,
  courseStep,
  droneSticks,
  exerciseShot,
  exerciseTitle,
  heldFor,
  passOf,
} from '@gentle-arc/core/rehearse';
import { sceneOf } from '@gentle-arc/core/scene';
import { newId } from '$lib/session/store/new-id';
import type { ShotSession } from '$lib/session/shot-session.svelte';
import { preferences } from '$lib/ui/preferences.svelte';
import type { LiveRehearse } from '$lib/workers/live-rehearse.svelte';
import { HandsOn } from './hands-input.svelte';
import { PracticeRun, type RunSettings } from './practice-run.svelte';

/** What is being practised: the open shot, or an exercise of the course on its own ground; and what came of it. */
export class Practising {
  readonly hands = new HandsOn();
  readonly run = new PracticeRun(this.hands);
  /** What of the course is on the stage; null: the shot. */
  exercise = $state<Exercise | null>(null);
  settings = $state.raw<RunSettings>({ held: 'head', speed: 'normal', pace: 1, windShare: 0 });
  ghost = $state(true);
  drillSeed = $state(1);
  /** A try is played beside the plan; null: the one just made. */
  reviewing = $state(false);
  reviewed = $state.raw<Try | null>(null);
  /** The try just made has been kept. */
  kept = $state(false);

  private readonly course = $derived.by(() => {
    if (this.exercise === null || !courseStep(this.exercise)) return null;
    const { shoot, shot } = exerciseShot(this.exercise);
    return plannedFilm(sceneOf(shoot, shot));
  });
  readonly film: Film = $derived.by(() => this.course ?? this.session.film);
  readonly title = $derived.by(() => (this.exercise === null ? this.session.shot.name : exerciseTitle(this.exercise)));
  readonly held = $derived.by(() => heldFor(this.film));
  readonly pass = $derived.by(() => (this.exercise === null ? null : passOf(this.exercise)));
  readonly shownWay = $derived.by(() => this.reviewed?.flown ?? this.run.flown);
  /** Something is led by hand: not a drill, which is only looked at. */
  readonly led = $derived.by(() => this.exercise === null || courseStep(this.exercise) !== null);

  constructor(
    private readonly session: ShotSession,
    private readonly live: LiveRehearse,
  ) {}

  private get practice() {
    return this.session.shoot.practice;
  }

  /** The rig at its first mark, where nothing is under way or to be looked at. */
  ready(): void {
    if (this.led && !this.run.running && this.run.state !== 'done')
      this.run.ready(this.film, this.practice, this.settings);
  }

  set(change: Partial<RunSettings & { ghost: boolean }>): void {
    const { ghost, ...rest } = change;
    if (ghost !== undefined) this.ghost = ghost;
    if (Object.keys(rest).length === 0) return;
    this.settings = { ...this.settings, ...rest };
    this.stop();
    this.ready();
  }

  /** Starts a try, or stops the one that runs. */
  start(): void {
    this.reviewing = false;
    if (this.run.running) {
      this.stop();
      this.ready();
      return;
    }
    this.kept = false;
    this.run.start(this.film, this.practice, this.settings);
  }

  show(): void {
    this.reviewing = false;
    this.run.flown = null;
    this.run.show(this.film, this.practice, this.settings, controlsOf(this.film, this.practice, preferences.units));
  }

  /** The open shot, with what its own rig has hands hold. */
  takeShot(): void {
    this.settings = this.usual(this.session.film);
  }

  /** An exercise: shown, or tried at a pace. */
  begin(exercise: Exercise, pace: number | 'show'): void {
    this.leave();
    this.exercise = exercise;
    const step = courseStep(exercise);
    if (!step) {
      this.drillSeed = 1 + (Date.now() % 9973);
      return;
    }
    this.settings = { ...this.usual(this.film), held: step.held, pace: pace === 'show' ? 1 : pace };
    if (pace === 'show') this.show();
    else this.start();
  }

  /** Holds the try just made against its plan. */
  judge(): void {
    const { flown } = this.run;
    if (this.run.state !== 'done' || flown === null) return;
    // Once: what is changed later does not change what was made.
    untrack(() => {
      const { held, pace } = this.settings;
      const { shoot, shot } = this.session;
      const { units } = preferences;
      void this.live.judged.ask({ shoot, ...this.what(shot.id), held, pace, units, flown });
    });
  }

  keep(): void {
    const { answer, question } = this.live.judged;
    const { flown } = this.run;
    if (!answer || !flown || question?.flown !== flown) return;
    const { score, parts, said } = answer.score;
    this.kept = this.add({ score, parts: parts.map((row) => ({ part: row.part, score: row.score })), said, flown });
  }

  endDrill(score: number, said: string): void {
    this.settings = { held: 'head', speed: 'normal', pace: 1, windShare: 0 };
    this.add({ score, parts: [], said, flown: null });
  }

  review(made: Try | null): void {
    if (this.run.running) this.run.stop();
    if (made?.exercise) this.exercise = made.exercise;
    this.reviewed = made;
    this.reviewing = true;
  }
  /** Back to where the try was asked for: an older one of the course is left with it. */
  closeReview(): void {
    this.reviewing = false;
    if (this.reviewed?.exercise) this.leave();
    this.reviewed = null;
  }

  /** Nothing goes on any more; what was made and not kept goes. */
  leave(): void {
    this.stop();
    this.run.pose = null;
    this.reviewing = false;
    this.reviewed = null;
    this.exercise = null;
  }

  private stop(): void {
    this.run.stop();
    this.run.flown = null;
  }

  private usual(film: Film): RunSettings {
    const [held] = heldFor(film);
    return { held, speed: held === 'drone' ? droneSticks(film).speed : 'normal', pace: 1, windShare: 0 };
  }

  private what(shotId: string) {
    return { shotId: this.exercise === null ? shotId : null, exercise: this.exercise };
  }

  private add({ said, ...made }: Pick<Try, 'score' | 'parts' | 'said' | 'flown'>): boolean {
    const { held, pace, windShare } = this.settings;
    const { shoot, shot } = this.session;
    const at = new Date().toISOString();
    return this.session.change(
      addTry(shoot, {
        id: newId('try'),
        at,
        ...this.what(shot.id),
        held,
        pace,
        windShare,
        said: said.slice(0, 400),
        ...made,
      }),
    );
  }
}
