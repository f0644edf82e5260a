/**
 * The ground plan as solids: what stands where, how far it is to it, what can be stood on.
 *
 * @example
 * groundHeightM(groundPieces(shoot.site.pieces), 3, -2); // how high the ground is there, m
 */
export { bearingDeg, fromPivot, nearestTurn, type Point3 } from './directions';
export { distanceToPieceM } from './distance';
export { groundHeightM, groundPieces, stepsOf, toLocal, topAt, toSite } from './ground';
export { type OnEarth, onEarth, onPlan } from './on-earth';
export { outlineOf, type Spot } from './outline';
export { sideOutline } from './side-outline';
export { shadowOf } from './shadow';
export { partOf, partsOf, seatFor, type ThingPart } from './parts';
export { drawingOrder, outline, placed } from './plan-outline';
export { isRoof } from './roof';
export { roomM } from './room';
export { CLUSTER_SIZE, type Lattice, pointsOf, type SitePoints, sitePoints } from './site-points';
export { type Solid } from './mesh-builder';
export { skeletonOf, type Skeleton, standingSize, type Step } from './skeleton';
export { type Tape, tapeBetween } from './tape';
export { type Going, solidOf } from './solids';
export { panesOf, type WallPart, wallParts } from './wall-parts';
export { WHEEL_SHARE } from './vehicle-solids';
