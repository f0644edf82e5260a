/**
 * One definition for each thing that a reading can say: its measure, limit, sentence, where it points, what could cure it.
 *
 * @example
 * pictureFindings(picture).find(({ id }) => id === 'stop')?.sentence;
 * kindOf('stop').cures; // what could soften it, most natural first
 */
export { type Finding, type FindingId, kindOf, pictureFindings, rigFindings } from './all';
export type { CureIdea } from './cure-ideas';
export type { About } from './definition';
export { percent, type PictureGrade, severity, speedWords, trimmedSeconds } from './finding';
export { type Approach, approachesOf } from './people/approaches';
export { type Caution, cautionsOf } from './people/cautions';
export { type Pass, passesOf, type Sweep, sweepsOf } from './people/passes';
export { innerArea } from './picture/also-shape';
export { cameraSpeedMps, type Evenness, leastEven } from './picture/evenness';
export { sideIn } from './picture/sunlight';
export { envelopeOf, reaches } from './rig/envelope';
export { heightsM } from './rig/heights';
export { RIDES } from './rig/riding';
export { rigCase } from './rig/rig-case';
export { vehicleCouldGo } from './rig/vehicle-way';
