/**
 * What would help: changes of a shot that are tried, and weighed by what they cost elsewhere.
 *
 * @example
 * for (const { found } of searchCures(shoot, shot)) if (found) show(found.cures); // one reading a step
 */
export { type Cure, curesFor, searchCures, type SearchStep } from './cures';
export { nearTheLens, type NearOffer } from './near-the-lens';
