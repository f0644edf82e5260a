import { alongOf, type Flow, type WholeMotion } from './whole-motion';

/** Mean speed along the whole’s shift of what goes fastest (near) and slowest (far), frame widths from picture to picture. */
export interface Layers {
  near: number;
  far: number;
}

/** A cell is near or far by how fast it goes in so many steps before and after. */
const ABOUT_STEPS = 6;
/** Fewer cells than this have no layers. */
const LEAST_CELLS = 10;

/** Motion of one step from picture to picture: of the cells by their numbers, and of the whole. */
export interface CellStep {
  cells: ReadonlyMap<number, Flow>;
  whole: WholeMotion | null;
}

/**
 * Layers step by step: near is the third of the cells that goes fastest along the whole’s shift, far the slowest. Which
 * cells these are is told from the steps about it: by the step itself, what is too fast by chance would be near and
 * what is too slow by chance far. Only those steps are kept. `tell` is told of each step in turn, null where nothing
 * shifts, or where growing and turning move more than that: then speed says where a thing is seen, not how far.
 */
export class LayerSteps {
  private readonly kept: (CellStep | null)[] = [];
  private told = 0;
  private first = 0;

  constructor(private readonly tell: (step: number, layers: Layers | null) => void) {}

  /** The next step; null where nothing is known of it. */
  add(step: CellStep | null): void {
    this.kept.push(step);
    if (this.first + this.kept.length - this.told > ABOUT_STEPS) this.next();
  }

  /** No more steps come. */
  end(): void {
    while (this.told < this.first + this.kept.length) this.next();
  }

  private next(): void {
    const { kept, told } = this;
    const here = told - this.first;
    const from = Math.max(0, here - ABOUT_STEPS);
    this.tell(told, layersAt(kept[here], kept.slice(from, here + ABOUT_STEPS + 1)));
    this.told += 1;
    if (here >= ABOUT_STEPS) {
      kept.shift();
      this.first += 1;
    }
  }
}

function layersAt(step: CellStep | null, about: readonly (CellStep | null)[]): Layers | null {
  const along = step?.whole ? alongOf(step.whole, step.cells) : null;
  if (!step || !along || step.cells.size < LEAST_CELLS) return null;
  const rated = [...step.cells].map(([key, flow]) => {
    const others = about.flatMap((row) => (row === step ? [] : (row?.cells.get(key) ?? [])));
    const speed = along(flow);
    const usual = others.length === 0 ? speed : middleHalf(others.map(along));
    return { usual, speed };
  });
  rated.sort((a, b) => a.usual - b.usual);
  const third = Math.floor(rated.length / 3);
  const speeds = rated.map(({ speed }) => speed);
  return { near: middleHalf(speeds.slice(-third)), far: middleHalf(speeds.slice(0, third)) };
}

/** Mean of the middle half: what was followed wrongly is far off, and hardly ever in it. */
function middleHalf(values: number[]): number {
  values.sort((a, b) => a - b);
  const beside = Math.floor(values.length / 4);
  const kept = values.slice(beside, values.length - beside);
  return kept.reduce((sum, value) => sum + value, 0) / kept.length;
}
