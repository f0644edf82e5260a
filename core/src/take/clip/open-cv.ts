import { type GreyFrame, WINDOW_PX } from './grey';
import { Refiner, splineOf } from './refined';
import { isSlow, overTwo, type SlowPlaces } from './slow-places';
import type { FollowedInto, Tracker, Went } from './tracker';

/**
 * Points followed by an established library in WebAssembly: corners after Shi & Tomasi (1994), followed by pyramids of
 * Lucas & Kanade’s method (Bouguet 2000), and back again: what does not come back to where it was is left out. Loaded
 * when it is first used.
 */

interface Mat {
  rows: number;
  data: Uint8Array;
  data32F: Float32Array;
  delete(): void;
}
interface Library {
  Mat: new () => Mat;
  Size: new (width: number, height: number) => object;
  CV_8UC1: number;
  matFromArray(rows: number, columns: number, type: number, values: ArrayLike<number>): Mat;
  goodFeaturesToTrack(image: Mat, corners: Mat, most: number, quality: number, apart: number): void;
  calcOpticalFlowPyrLK(
    before: Mat,
    after: Mat,
    from: Mat,
    to: Mat,
    status: Mat,
    errors: Mat,
    window: object,
    levels: number,
  ): void;
  onRuntimeInitialized?: () => void;
}

let loading: Promise<{ cv: Library }> | null = null;

/** The library in a box: it has a `then` of its own, which no promise may take for its end. */
async function library(): Promise<{ cv: Library }> {
  loading ??= (async () => {
    // It looks for its settings under this name, and stumbles where there is none.
    (globalThis as { Module?: object }).Module ??= {};
    const { box } = await import('./open-cv-library');
    const cv = box.cv as Library;
    // It is there before its code is: that comes a moment later.
    if (!('Mat' in cv)) await new Promise<void>((done) => ((cv as Library).onRuntimeInitialized = done));
    return { cv };
  })();
  return loading;
}

const MOST_POINTS = 400;
const QUALITY = 0.01;
const APART_PX = 9;
const LEVELS = 4;
/** What comes back farther from where it was is no point, px. */
const BACK_WITHIN_PX = 0.3;
/** What differs by more than so many times the middle of all is left out; chosen by our own films, no published source. */
const DIFFERS_TIMES = 1.1;

/** A tracker for one clip. */
export async function openCvTracker(): Promise<Tracker> {
  const { cv } = await library();
  const window = new cv.Size(WINDOW_PX, WINDOW_PX);
  let kept: { frame: GreyFrame; mat: Mat } | null = null;
  let slow: SlowPlaces | null = null;
  const matOf = (frame: GreyFrame): Mat => {
    if (kept?.frame === frame) return kept.mat;
    return cv.matFromArray(frame.heightPx, frame.widthPx, cv.CV_8UC1, frame.pixels);
  };
  return {
    follow(before: GreyFrame, after: GreyFrame): FollowedInto {
      const [a, b] = [matOf(before), matOf(after)];
      const [corners, there, back] = [new cv.Mat(), new cv.Mat(), new cv.Mat()];
      const [found, foundBack, errors, errorsBack] = [new cv.Mat(), new cv.Mat(), new cv.Mat(), new cv.Mat()];
      try {
        cv.goodFeaturesToTrack(a, corners, MOST_POINTS, QUALITY, APART_PX);
        const went: Went[] = [];
        if (corners.rows > 0) {
          cv.calcOpticalFlowPyrLK(a, b, corners, there, found, errors, window, LEVELS);
          cv.calcOpticalFlowPyrLK(b, a, there, back, foundBack, errorsBack, window, LEVELS);
          went.push(...likeTheRest(cameBack(corners, there, back, found, foundBack, errors)));
        }
        const spline = splineOf(after);
        const slowBefore = slow?.reached === before ? slow : null;
        slow = { frame: before, reached: after, went: went.filter(isSlow) };
        const refiner = new Refiner(before, spline);
        const fast = slowBefore ? went.filter((place) => !isSlow(place)) : went;
        return {
          fromLast: fast.flatMap(({ from, to }) => {
            const { at, isSure } = refiner.refine(from, to);
            return isSure ? [{ from, to: at }] : [];
          }),
          fromLastButOne: slowBefore ? overTwo(slowBefore, went, spline) : [],
        };
      } finally {
        for (const mat of [corners, there, back, found, foundBack, errors, errorsBack]) mat.delete();
        if (kept?.mat !== a) a.delete();
        kept?.mat.delete();
        kept = { frame: after, mat: b };
      }
    },
    close() {
      kept?.mat.delete();
      kept = null;
    },
  };
}

/** A place that was followed, and how much its window differs from what it was, grey steps. */
interface Followed extends Went {
  differs: number;
}

/** Points that came back to where they were. */
function cameBack(corners: Mat, there: Mat, back: Mat, found: Mat, foundBack: Mat, errors: Mat): Followed[] {
  const points: Followed[] = [];
  for (let i = 0; i < corners.rows; i += 1) {
    const [x, y] = [corners.data32F[2 * i], corners.data32F[2 * i + 1]];
    const off = Math.hypot(back.data32F[2 * i] - x, back.data32F[2 * i + 1] - y);
    if (!found.data[i] || !foundBack.data[i] || off > BACK_WITHIN_PX) continue;
    points.push({ from: [x, y], to: [there.data32F[2 * i], there.data32F[2 * i + 1]], differs: errors.data32F[i] });
  }
  return points;
}

/**
 * Points whose windows look as they did: what differs by more than the rest does holds two things that go two ways, an
 * edge or a shadow that falls across, and goes with neither.
 */
export function likeTheRest(points: readonly Followed[]): Followed[] {
  const differs = points.map((point) => point.differs).sort((a, b) => a - b);
  const most = DIFFERS_TIMES * (differs[differs.length >> 1] ?? 0);
  return points.filter((point) => point.differs <= most);
}
