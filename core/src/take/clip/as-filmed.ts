import type { Film } from '../../motion';
import { slope } from './clip-faults';
import type { ClipFrame } from './clip-reader';
import { type Content, contentOf } from './content-motion';
import type { Foretold } from './foretold';
import { alongOf, cellFlows, courseOf, type Flow, wholeMotion } from './whole-motion';

/** How many times what was foretold was measured: of the whole picture’s shift, of near and far layers; null at rest. */
export interface TimesAsFilmed {
  whole: number | null;
  near: number | null;
  far: number | null;
}

/**
 * The same of the numbers themselves, as they are drawn and judged, and of how the picture grows: what is foretold of the
 * places in which something could be followed against what was measured there. `frames`: one a row of the plan.
 */
export function numbersAsFilmed(
  plan: Foretold,
  frames: readonly ClipFrame[],
): TimesAsFilmed & { grows: number | null } {
  const times = (...keys: ('rightwards' | 'upwards' | 'growthPerS' | 'near' | 'far')[]) =>
    slope(
      Float64Array.from(keys.flatMap((key) => [...plan[key].subarray(0, frames.length)])),
      Float64Array.from(keys.flatMap((key) => frames.map((frame) => frame[key]))),
    );
  return {
    whole: times('rightwards', 'upwards'),
    grows: times('growthPerS'),
    near: times('near'),
    far: times('far'),
  };
}

const RASTER_CELLS = 160;
/** Beside something so many times as far, or as near, a place belongs to neither. */
const EDGE = 1.15;
/** Fewer places than this make no layers. */
const LEAST_PLACES = 30;

/**
 * Holds the places that were followed in a film of a plan against where the plan has those very places go: our measuring
 * tried on what is known. Places at the edges of things are left out, for they follow now the one, now the other.
 */
export class AsFilmed {
  private readonly contentAt: (row: number, from: number, to: number) => Content;
  private readonly aspect: number;
  private readonly sums = { whole: [0, 0], near: [0, 0], far: [0, 0] };

  constructor(private readonly film: Film) {
    this.contentAt = contentOf(film, RASTER_CELLS);
    this.aspect = film.samples.frameWidthMm / film.samples.frameHeightMm;
  }

  /** What was followed from the picture of a row of the plan to that of the next. */
  add(row: number, followed: readonly Flow[]): void {
    if (row + 1 >= this.film.samples.count) return;
    const content = this.contentAt(row, row, row + 1);
    const [plan, seen]: [Flow[], Flow[]] = [[], []];
    for (const flow of followed) {
      const foretold = this.foretoldOf(content, flow);
      if (!foretold) continue;
      plan.push(foretold);
      seen.push(flow);
    }
    const [planWhole, seenWhole] = [plan, seen].map((flows) =>
      wholeMotion([...cellFlows(flows, this.aspect).values()]),
    );
    if (!planWhole || !seenWhole) return;
    const measured = courseOf(seenWhole);
    courseOf(planWhole).forEach((value, k) => this.count('whole', value, measured[k]));
    const along = alongOf(planWhole);
    if (!along || plan.length < LEAST_PLACES) return;
    const pairs = plan.map((flow, i) => [along(flow), along(seen[i])] as const).sort(([a], [b]) => a - b);
    const third = Math.floor(pairs.length / 3);
    for (const [slow, fast] of pairs.slice(0, third)) this.count('far', slow, fast);
    for (const [slow, fast] of pairs.slice(-third)) this.count('near', slow, fast);
  }

  times(): TimesAsFilmed {
    const of = ([both, square]: number[]) => (square > 1e-9 ? both / square : null);
    return { whole: of(this.sums.whole), near: of(this.sums.near), far: of(this.sums.far) };
  }

  private count(what: 'whole' | 'near' | 'far', plan: number, seen: number): void {
    this.sums[what][0] += plan * seen;
    this.sums[what][1] += plan * plan;
  }

  private foretoldOf(content: Content, { u, w }: Flow): Flow | null {
    const { widthCells, heightCells } = content;
    const x = Math.floor((u + 0.5) * widthCells);
    const y = Math.floor((0.5 - w * this.aspect) * heightCells);
    if (x < 1 || y < 1 || x >= widthCells - 1 || y >= heightCells - 1) return null;
    const here = content.depthM(x, y);
    for (let dy = -1; dy <= 1; dy += 1)
      for (let dx = -1; dx <= 1; dx += 1) {
        const there = content.depthM(x + dx, y + dy);
        if (there > here * EDGE || there * EDGE < here) return null;
      }
    return content.flow(x, y, u, w);
  }
}
