import { type Build, type Kit, sayMass, type Units } from '../model';
import { fact, type Fact } from './fact';

/** From this share of what it may carry on nothing is left for what is added later: common practice, no published source. */
const NEARLY = 0.9;

/**
 * Heads and plates in a stack: what each may carry by its maker, what stands on it, and what is left. What sits higher
 * than a part's middle on the same end stands on it.
 */
export function carryingFacts(build: Build, kit: Pick<Kit, 'parts'>, units: Units): Fact[] {
  const placed = build.parts.flatMap((place) =>
    kit.parts.filter(({ id }) => id === place.partId).map((part) => ({ place, part })),
  );
  return placed
    .filter(({ part }) => part.carriesG > 0)
    .map(({ place, part }, i) => {
      const loadG = placed
        .filter((row) => row.place !== place && row.place.on === place.on && row.place.upMm > place.upMm)
        .reduce((sum, row) => sum + row.part.massG, 0);
      const leftG = part.carriesG - loadG;
      const said = `${sayMass(loadG / 1000, units)} of ${sayMass(part.carriesG / 1000, units)}`;
      return fact(
        i === 0 ? 'carriesKg' : `carriesKg.${i + 1}`,
        `${part.name} carries`,
        leftG >= 0 ? `${said}; ${sayMass(leftG / 1000, units)} are left` : said,
        loadG / 1000,
        loadG > part.carriesG ? 'cannot' : loadG > part.carriesG * NEARLY ? 'tight' : 'fits',
        leftG < 0
          ? `${sayMass(-leftG / 1000, units)} more than its maker lets it carry: a stronger one, or less on it.`
          : '',
      );
    });
}
