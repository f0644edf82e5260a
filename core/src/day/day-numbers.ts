/** A day as numbers. Seconds after midnight throughout. */
export interface Task {
  /** Which of the cameras it is made with. */
  camera: number;
  /** Stretches in which all takes have to lie, from and to in turn, in order of time. */
  windowsS: readonly number[];
  setUpS: number;
  takesS: number;
  /** What it takes of each kind of battery: in all, and in one go that is not interrupted. */
  power: readonly { kind: number; useS: number; unitS: number }[];
  /** Tasks whose light it shares. */
  sameAs: readonly number[];
  hard: boolean;
  /** Wants the sun: the earlier the surer. */
  sunny: boolean;
  outdoors: boolean;
  first: boolean;
  last: boolean;
  /** Has to come right after this one; −1: after any. */
  rightAfter: number;
}

export interface Packs {
  count: number;
  lastsS: number;
  /** From empty to full; infinite: it cannot be charged there. */
  chargeS: number;
}

export interface DayProblem {
  tasks: readonly Task[];
  /** How many cameras there are, and what it takes to pick up another one than the last, s. */
  cameras: number;
  otherCameraS: number;
  /** The camera that is in hand as the day begins or goes on; −1: none. */
  lastCamera: number;
  /**
   * Gear for the task in a column on a camera that was last used for the task in a row, s; behind the tasks a row for
   * each camera as the day begins. And what that costs besides its time, by what the day looks for.
   */
  gearS: Float64Array;
  gearCost: Float64Array;
  /** The way to the task in a column from that in a row, s; the last row: from where the day begins. */
  walkS: Float64Array;
  walkCost: Float64Array;
  startS: number;
  endS: number;
  /** From then on hands are tired. */
  tiredFromS: number;
  /** In order of time. */
  breaks: readonly { fromS: number; forS: number; slackS: number }[];
  packs: readonly Packs[];
  chargers: number;
  /** How far apart two tasks with the same light may begin, by the quarter of an hour of the first. */
  sameS: Float64Array;
  /** How harsh the light is, 0 to 1, by the quarter of an hour. */
  harsh: Float64Array;
  /** Cost of a second in harsh light outdoors, and of a second that what needs sun is put off. */
  harshCost: number;
  putOffCost: number;
}

/** What happens in a run-through, when somebody asks. */
export interface Recorder {
  entry(row: {
    task: number;
    startS: number;
    changeS: number;
    setUpS: number;
    waitS: number;
    takesS: number;
    waitsFor: Wait;
  }): void;
  rest(index: number, fromS: number): void;
  undone(task: number, why: Undone): void;
  power(row: { kind: number; pack: number; fromS: number; toS: number; task: number; drawnS: number }): void;
  charge(row: { kind: number; pack: number; fromS: number; toS: number }): void;
}
export type Wait = 'none' | 'light' | 'battery';
export type Undone = 'window' | 'short' | 'late' | 'battery' | 'same';
