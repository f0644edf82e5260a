import { BenchSchema } from './bench';
import {
  BatterySchema,
  BreakSchema,
  DaySchema,
  HoursSchema,
  RigTimesSchema,
  WeatherHourSchema,
  WishSchema,
} from './day';
import { BuildSchema, PartSchema, PlacedSchema, SledRoundSchema } from './build';
import { factsOf } from './facts';
import { CameraSchema, FilterSchema, GaitSchema, LensSchema, RigSchema } from './kit';
import { FreePointSchema, LookSchema } from './moves/free';
import { FigureSchema, LampSchema, OpeningSchema, OwnPartSchema, TurntableSchema, WallSchema } from './piece';
import { UnderlaySchema } from './underlay';
import {
  AfterSchema,
  SetUpSchema,
  AimSchema,
  LegSchema,
  JumpSchema,
  LightSchema,
  LookOverSchema,
  PlaceSchema,
  RackSchema,
  RampPointSchema,
  StagedSchema,
  TimingSchema,
  WalkPointSchema,
  WalkSchema,
  WaySchema,
} from './shot';
import { PracticeSchema } from './practice';
import { CutSchema, JoinSchema, StorySchema } from './story';
import { SitePlaceSchema } from './place';

/** What a person is told of the fields of the model, by the noun they belong to. */
export const FIELDS = {
  after: factsOf(AfterSchema),
  cut: factsOf(CutSchema),
  join: factsOf(JoinSchema),
  story: factsOf(StorySchema),
  day: { ...factsOf(DaySchema), ...factsOf(DaySchema.shape.cards) },
  battery: factsOf(BatterySchema),
  break: factsOf(BreakSchema),
  hours: factsOf(HoursSchema),
  rigTimes: factsOf(RigTimesSchema),
  weather: factsOf(WeatherHourSchema),
  wish: factsOf(WishSchema),
  setUp: factsOf(SetUpSchema),
  place: factsOf(SitePlaceSchema),
  practice: factsOf(PracticeSchema),
  lamp: factsOf(LampSchema),
  aim: { ...factsOf(AimSchema), ...factsOf(PlaceSchema) },
  bench: factsOf(BenchSchema),
  build: factsOf(BuildSchema),
  camera: factsOf(CameraSchema),
  filter: factsOf(FilterSchema),
  gait: factsOf(GaitSchema),
  jump: factsOf(JumpSchema),
  leg: { ...factsOf(TimingSchema), ...factsOf(LegSchema) },
  lens: factsOf(LensSchema),
  light: factsOf(LightSchema),
  look: factsOf(LookSchema),
  lookOver: factsOf(LookOverSchema),
  opening: factsOf(OpeningSchema),
  ownPart: factsOf(OwnPartSchema),
  part: factsOf(PartSchema),
  pathPoint: factsOf(FreePointSchema),
  picture: factsOf(CameraSchema.shape.picturesFrom.element),
  piece: { ...factsOf(WallSchema), ...factsOf(TurntableSchema) },
  figure: factsOf(FigureSchema),
  staged: factsOf(StagedSchema),
  underlay: factsOf(UnderlaySchema),
  walk: factsOf(WalkSchema),
  placed: factsOf(PlacedSchema),
  rack: factsOf(RackSchema),
  rampPoint: factsOf(RampPointSchema),
  rig: factsOf(RigSchema),
  sledRound: factsOf(SledRoundSchema),
  walkPoint: factsOf(WalkPointSchema),
  way: factsOf(WaySchema),
} as const;
