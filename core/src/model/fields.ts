import { BenchSchema } from './bench';
import { BuildSchema, PartSchema, PlacedSchema, SledRoundSchema } from './build';
import { factsOf } from './facts';
import { CameraSchema, FilterSchema, GaitSchema, LensSchema, RigSchema } from './kit';
import { FreePointSchema, LookSchema } from './moves/free';
import { OpeningSchema, WallSchema } from './piece';
import {
  AimSchema,
  LegSchema,
  LightSchema,
  PlaceSchema,
  RackSchema,
  RampPointSchema,
  TimingSchema,
  WalkPointSchema,
  WaySchema,
} from './shot';

/** What a person is told of the fields of the model, by the noun they belong to. */
export const FIELDS = {
  aim: { ...factsOf(AimSchema), ...factsOf(PlaceSchema) },
  bench: factsOf(BenchSchema),
  build: factsOf(BuildSchema),
  camera: factsOf(CameraSchema),
  filter: factsOf(FilterSchema),
  gait: factsOf(GaitSchema),
  leg: { ...factsOf(TimingSchema), ...factsOf(LegSchema) },
  lens: factsOf(LensSchema),
  light: factsOf(LightSchema),
  look: factsOf(LookSchema),
  opening: factsOf(OpeningSchema),
  part: factsOf(PartSchema),
  pathPoint: factsOf(FreePointSchema),
  picture: factsOf(CameraSchema.shape.picturesFrom.element),
  piece: factsOf(WallSchema),
  placed: factsOf(PlacedSchema),
  rack: factsOf(RackSchema),
  rampPoint: factsOf(RampPointSchema),
  rig: factsOf(RigSchema),
  sledRound: factsOf(SledRoundSchema),
  walkPoint: factsOf(WalkPointSchema),
  way: factsOf(WaySchema),
} as const;
