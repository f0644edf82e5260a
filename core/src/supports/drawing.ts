import type { Arm, Build, Jib, Rope, Slider } from '../model/build';
import type { Kit } from '../model/kit';
import { heapOf, partLumps, sledLumps, type Lump } from './masses';
import { hiddenOf } from './sled/learning';
import { feetAround } from './feet';
import { sliderStand } from './slider/statics';

/** What a shape is, which decides how it is inked. */
export type Ink = 'part' | 'rig' | 'weight' | 'ground' | 'edge' | 'plumb' | 'away';

/** What can be taken hold of in a drawing. */
export type DrawingGrip = { part: number } | { field: string };

/** A shape in millimetres, up positive; a box by its middle, a line by its points. */
export type Drawn =
  | {
      form: 'box';
      ink: Ink;
      name: string;
      xMm: number;
      yMm: number;
      widthMm: number;
      heightMm: number;
      turnDeg: number;
      handle: DrawingGrip | null;
    }
  | { form: 'line'; ink: Ink; name: string; points: [number, number][]; closed: boolean }
  | {
      form: 'dot';
      ink: 'centre' | 'pivot' | 'handle';
      name: string;
      xMm: number;
      yMm: number;
      handle: DrawingGrip | null;
    };

/** One view of a rig to scale. */
export interface RigView {
  name: 'From the side' | 'From behind' | 'From above';
  shapes: Drawn[];
}

const RAD = Math.PI / 180;
const box = (
  ink: Ink,
  name: string,
  xMm: number,
  yMm: number,
  widthMm: number,
  heightMm: number,
  handle: DrawingGrip | null = null,
  turnDeg = 0,
): Drawn => ({
  form: 'box',
  ink,
  name,
  xMm,
  yMm,
  widthMm,
  heightMm,
  turnDeg,
  handle,
});
const line = (ink: Ink, name: string, points: [number, number][], closed = false): Drawn => ({
  form: 'line',
  ink,
  name,
  points,
  closed,
});
const dot = (
  ink: 'centre' | 'pivot' | 'handle',
  name: string,
  xMm: number,
  yMm: number,
  handle: DrawingGrip | null = null,
): Drawn => ({ form: 'dot', ink, name, xMm, yMm, handle });

/**
 * Parts of a build as boxes about an origin, from the side or from behind. The box is where the part is; its centre of
 * mass may be elsewhere.
 */
function partBoxes(
  build: Build,
  kit: Kit,
  across: boolean,
  origin: (on: 'top' | 'bottom') => [number, number],
  held: boolean,
): Drawn[] {
  return build.parts.flatMap((placed, i): Drawn[] => {
    const part = kit.parts.find((row) => row.id === placed.partId);
    if (!part) return [];
    const [x0, y0] = origin(placed.on);
    const ink: Ink = part.kind === 'weight' || part.kind === 'bag' ? 'weight' : 'part';
    return [
      box(
        ink,
        part.name,
        x0 + (across ? placed.sideMm : placed.foreMm),
        y0 + placed.upMm,
        across ? part.widthMm : part.lengthMm,
        part.heightMm,
        held ? { part: i } : null,
      ),
    ];
  });
}

/**
 * The rig drawn to scale from its build: two views. Forward is to the right, and from behind the right-hand side is to
 * the right.
 */
export function viewsOf(build: Build, kit: Kit): RigView[] {
  const placed = partLumps(build, kit.parts, kit.lenses);
  const { support } = build;
  const both = (draw: (across: boolean) => Drawn[]): RigView[] => [
    { name: 'From the side', shapes: draw(false) },
    { name: 'From behind', shapes: draw(true) },
  ];
  switch (support.kind) {
    case 'sled':
      return both((across) => {
        const stage = across ? support.stageSideMm : support.stageForeMm;
        const bottom = support.gimbalMm - support.postMm;
        const centre = heapOf(sledLumps(support, placed, hiddenOf(support, placed)));
        return [
          line('rig', 'Post', [
            [0, support.gimbalMm],
            [0, bottom],
          ]),
          box('rig', 'Stage', stage, support.gimbalMm - 4, 120, 8, { field: across ? 'stageSideMm' : 'stageForeMm' }),
          box('rig', 'Base', 0, bottom - 5, across ? 90 : 150, 10),
          ...partBoxes(build, kit, across, (on) => (on === 'top' ? [stage, support.gimbalMm] : [0, bottom]), true),
          line('rig', 'Grip', [
            [0, 0],
            [0, -130],
          ]),
          line('plumb', 'Plumb line', [
            [0, support.gimbalMm + 40],
            [0, bottom - 30],
          ]),
          dot('pivot', 'Pivot', 0, 0, { field: 'gimbalMm' }),
          dot('centre', 'Centre of mass', (across ? centre.yM : centre.xM) * 1000, centre.zM * 1000),
        ];
      });
    case 'motorGimbal':
      return both((across) => {
        const centre = heapOf(placed);
        const [x0, y0] = [across ? support.cageSideMm : support.plateForeMm, support.plateUpMm];
        return [
          ...(across
            ? [
                line('rig', 'Cage', [
                  [-110 + x0, 0],
                  [-110 + x0, -95],
                  [0, -95],
                ]),
                line('rig', 'Tilt axis', [
                  [-110 + x0, 0],
                  [x0, 0],
                ]),
              ]
            : [
                line('rig', 'Roll arm', [
                  [0, 0],
                  [0, -95],
                  [-150, -95],
                ]),
              ]),
          line(
            'rig',
            'Pan arm',
            across
              ? [
                  [0, -95],
                  [0, -250],
                ]
              : [
                  [-150, -95],
                  [-150 + support.armForeMm, -190],
                  [support.armForeMm, -190],
                  [support.armForeMm, -250],
                ],
          ),
          box('rig', 'DrawingGrip', across ? 0 : support.armForeMm, -320, 34, 140),
          box(
            'rig',
            'Plate',
            x0,
            y0 - 3,
            across ? 50 : 130,
            6,
            across ? { field: 'cageSideMm' } : { field: 'plateForeMm' },
          ),
          ...partBoxes(build, kit, across, () => [x0, y0], true),
          dot('pivot', across ? 'Roll axis' : 'Tilt axis', 0, 0),
          dot('centre', 'Centre of mass', (across ? centre.yM : centre.xM) * 1000 + x0, centre.zM * 1000 + y0),
        ];
      });
    case 'jib':
      return jibViews(build, support, kit, placed);
    case 'slider':
      return sliderViews(build, support, kit, placed);
    case 'arm':
      return armViews(build, support, kit, placed);
    case 'rope':
      return both((across) => ropeShapes(build, support, kit, across));
    case 'drone':
      return both((across) => [
        box('rig', 'Body', 0, 0, across ? 110 : 190, 70),
        ...[-1, 1].flatMap((end) => [
          line('rig', 'Arm', [
            [0, 10],
            [end * 150, 35],
          ]),
          line('rig', 'Rotor', [
            [end * 150 - 95, 45],
            [end * 150 + 95, 45],
          ]),
          box('rig', 'Motor', end * 150, 32, 24, 22),
        ]),
        ...partBoxes(build, kit, across, () => [0, -20], true),
        dot(
          'centre',
          'Centre of what it carries',
          across ? heapOf(placed).yM * 1000 : heapOf(placed).xM * 1000,
          heapOf(placed).zM * 1000 - 20,
        ),
      ]);
    case 'wheels':
      return both((across) => {
        const high = support.wheelMm + 1000;
        return [
          ground(900),
          box('rig', 'Deck', 0, support.wheelMm + 20, across ? 420 : 1100, 40),
          ...[-1, 1].map((end) =>
            box(
              'rig',
              'Wheel',
              end * (across ? 170 : 420),
              support.wheelMm / 2,
              across ? 60 : support.wheelMm,
              support.wheelMm,
            ),
          ),
          line('rig', 'Mount', [
            [across ? 0 : 300, support.wheelMm + 40],
            [across ? 0 : 300, high],
          ]),
          ...partBoxes(build, kit, across, () => [across ? 0 : 300, high], true),
        ];
      });
    case 'improvised':
      return both((across) => [
        ground(support.lengthMm),
        ...(support.what === 'hingedPole'
          ? [
              line('rig', 'Pole', [
                [0, 0],
                [0, support.lengthMm],
              ]),
              line('away', 'Way of the camera', arc(support.lengthMm, 0, 180)),
            ]
          : [box('rig', 'Carrier', 0, 15, support.lengthMm * (support.what === 'turntable' ? 2 : 1), 30)]),
        ...partBoxes(build, kit, across, () => [0, support.what === 'hingedPole' ? support.lengthMm : 30], true),
      ]);
  }
}

const ground = (reachMm: number): Drawn =>
  line('ground', 'Ground', [
    [-reachMm - 300, 0],
    [reachMm + 300, 0],
  ]);
const arc = (radiusMm: number, fromDeg: number, toDeg: number): [number, number][] =>
  Array.from({ length: 33 }, (_, i) => {
    const angle = (fromDeg + ((toDeg - fromDeg) * i) / 32) * RAD;
    return [radiusMm * Math.cos(angle), radiusMm * Math.sin(angle)];
  });
const circle = (ink: Ink, name: string, radiusMm: number): Drawn => line(ink, name, arc(radiusMm, 0, 360), true);
const inMm = ([xM, yM]: readonly [number, number]): [number, number] => [xM * 1000, yM * 1000];

function jibViews(build: Build, jib: Jib, kit: Kit, placed: readonly Lump[]): RigView[] {
  const at = (lengthMm: number): [number, number] => [
    lengthMm * Math.cos(jib.angleDeg * RAD),
    jib.pivotMm + lengthMm * Math.sin(jib.angleDeg * RAD),
  ];
  const front = at(jib.frontMm);
  const rear = at(-jib.rearMm);
  const counter = Math.min(420, 90 + 90 * Math.cbrt(jib.counterG / 1000));
  const headKg = heapOf(placed).massKg;
  return [
    {
      name: 'From the side',
      shapes: [
        ground(jib.frontMm),
        line(
          'away',
          'Way of the camera',
          arc(jib.frontMm, -60, 60).map(([x, y]) => [x, y + jib.pivotMm]),
        ),
        line('rig', 'Stand', [
          [-jib.footMm, 0],
          [0, jib.pivotMm],
          [jib.footMm, 0],
        ]),
        line('rig', 'Beam', [rear, front]),
        box('weight', 'Counterweight', rear[0], rear[1], counter / 2, counter / 2),
        ...partBoxes(build, kit, false, () => front, false),
        dot('pivot', 'Pivot', 0, jib.pivotMm),
        ...(headKg > 0 ? [dot('handle', 'Raise or lower the arm', front[0], front[1], { field: 'angleDeg' })] : []),
      ],
    },
    {
      name: 'From above',
      shapes: [
        circle('away', 'Nobody within', jib.frontMm + 1000),
        line(
          'edge',
          'Feet',
          feetAround(3, jib.footMm).map(([x, y]): [number, number] => [x, y]),
          true,
        ),
        line('rig', 'Beam', [
          [rear[0], 0],
          [front[0], 0],
        ]),
        box('weight', 'Counterweight', rear[0], 0, counter / 2, counter / 2),
        box('part', 'Camera', front[0], 0, 160, 130),
        dot('pivot', 'Pivot', 0, 0),
      ],
    },
  ];
}

function sliderViews(build: Build, slider: Slider, kit: Kit, placed: readonly Lump[]): RigView[] {
  const headKg = heapOf(placed).massKg;
  const { worst, massKg } = sliderStand(slider, headKg);
  const half = slider.railMm / 2;
  const [cos, sin] = [Math.cos(slider.tiltDeg * RAD), Math.sin(slider.tiltDeg * RAD)];
  const rail = (along: number): [number, number] => [along * cos, slider.heightMm + along * sin];
  const ends = slider.stands === 'two' ? [-half, half] : [0];
  const worstMm = worst.alongM * 1000;
  const carriedKg = headKg + slider.carriageMassG / 1000;
  const feet =
    slider.stands === 'two'
      ? [-half * cos, half * cos].map((x) => feetAround(3, slider.footMm / 1000, x < 0 ? 180 : 0, [x / 1000, 0]))
      : [feetAround(3, slider.footMm / 1000)];
  return [
    {
      name: 'From the side',
      shapes: [
        ground(half),
        ...ends.map((end) => {
          const [x, y] = rail(end);
          return line('rig', 'Stand', [
            [x - slider.footMm, 0],
            [x, y],
            [x + slider.footMm, 0],
          ]);
        }),
        ...(slider.bagG > 0 ? ends.map((end) => box('weight', 'Bag', rail(end)[0], 110, 170, 140)) : []),
        line('rig', 'Rail', [rail(-half), rail(half)]),
        box('rig', 'Carriage', rail(worstMm)[0], rail(worstMm)[1] + 20, 120, 40, null, slider.tiltDeg),
        ...partBoxes(build, kit, false, () => [rail(worstMm)[0], rail(worstMm)[1] + 40], false),
      ],
    },
    {
      name: 'From above',
      shapes: [
        ...feet.map((row) => line('edge', 'Feet', row.map(inMm), true)),
        line('rig', 'Rail', [
          [-half * cos, 0],
          [half * cos, 0],
        ]),
        box('rig', 'Carriage', worstMm * cos, 0, 120, 100),
        line('plumb', 'Way of the centre of mass', [
          [-(half * cos * carriedKg) / massKg, 0],
          [(half * cos * carriedKg) / massKg, 0],
        ]),
        dot('centre', 'Centre of mass, at worst', (worstMm * cos * carriedKg) / massKg, 0),
      ],
    },
  ];
}

function armViews(build: Build, arm: Arm, kit: Kit, placed: readonly Lump[]): RigView[] {
  const headKg = heapOf(placed).massKg;
  const foot = arm.legMm * Math.sin(arm.spreadDeg * RAD);
  const top = arm.legMm * Math.cos(arm.spreadDeg * RAD);
  const massKg = headKg + (arm.armMassG + arm.legsMassG + arm.bagG) / 1000;
  const out = (headKg * arm.reachMm + (arm.armMassG / 1000) * (arm.reachMm / 2)) / massKg;
  const where = (radius: number): [number, number] => [
    radius * Math.sin(arm.armDeg * RAD),
    radius * Math.cos(arm.armDeg * RAD),
  ];
  return [
    {
      name: 'From the side',
      shapes: [
        ground(foot),
        line('rig', 'Legs', [
          [-foot, 0],
          [0, top],
          [foot, 0],
        ]),
        line('rig', 'Leg', [
          [0, top],
          [foot * 0.25, 0],
        ]),
        line('rig', 'Column', [
          [0, top],
          [0, top + arm.columnMm],
        ]),
        ...(arm.bagG > 0 ? [box('weight', 'Bag', 0, 160, 190, 170)] : []),
        ...(arm.reachMm > 0
          ? [
              line('rig', 'Arm', [
                [0, top + arm.columnMm],
                [arm.reachMm, top + arm.columnMm],
              ]),
            ]
          : []),
        ...partBoxes(build, kit, false, () => [arm.reachMm, top + arm.columnMm], true),
        dot('centre', 'Centre of mass', out, top / 2),
      ],
    },
    {
      name: 'From above',
      shapes: [
        line('edge', 'Feet', feetAround(3, foot / 1000).map(inMm), true),
        ...feetAround(3, foot / 1000).map((row) => line('rig', 'Leg', [[0, 0], inMm(row)])),
        ...(arm.reachMm > 0
          ? [
              line('rig', 'Arm', [[0, 0], where(arm.reachMm)]),
              box('part', 'Camera', ...where(arm.reachMm), 120, 160, null, -arm.armDeg),
              circle('away', 'Way of the camera', arm.reachMm),
            ]
          : [box('part', 'Camera', 0, 0, 120, 160)]),
        dot('centre', 'Centre of mass', ...where(out)),
        ...(arm.reachMm > 0 ? [dot('handle', 'Turn the arm', ...where(arm.reachMm), { field: 'armDeg' })] : []),
      ],
    },
  ];
}

function ropeShapes(build: Build, rope: Rope, kit: Kit, across: boolean): Drawn[] {
  const angle = across ? 0 : rope.swingDeg * RAD;
  const at: [number, number] = [rope.lengthMm * Math.sin(angle), -rope.lengthMm * Math.cos(angle)];
  const apart = rope.lines === 'two' && across ? 180 : 0;
  return [
    line('rig', 'Beam above', [
      [-400, 0],
      [400, 0],
    ]),
    ...(apart > 0
      ? [
          line('rig', 'Rope', [
            [-apart, 0],
            [-apart, at[1]],
          ]),
          line('rig', 'Rope', [
            [apart, 0],
            [apart, at[1]],
          ]),
          line('rig', 'Bar', [
            [-apart, at[1]],
            [apart, at[1]],
          ]),
        ]
      : [line('rig', 'Rope', [[0, 0], at])]),
    ...(rope.secondLine
      ? [
          line('plumb', 'Second line', [
            [260, 0],
            [at[0] + 20, at[1]],
          ]),
        ]
      : []),
    ...(across
      ? []
      : [line('away', 'Way of the camera', arc(rope.lengthMm, -90 - rope.swingDeg, -90 + rope.swingDeg))]),
    ...partBoxes(build, kit, across, () => [at[0], at[1] - 130], false),
    ...(across ? [] : [dot('handle', 'Swing wider or less', at[0], at[1], { field: 'swingDeg' })]),
  ];
}

const clamped = (value: number, least: number, most: number) => Math.min(most, Math.max(least, value));

/**
 * A build after something in a view was dragged from one place to another, mm. Keeps within what the rig can be set to.
 */
export function draggedTo(
  build: Build,
  view: RigView['name'],
  handle: DrawingGrip,
  from: [number, number],
  to: [number, number],
): Build {
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
  if ('part' in handle) {
    const parts = build.parts.map((row, i) =>
      i !== handle.part
        ? row
        : {
            ...row,
            [view === 'From behind' ? 'sideMm' : 'foreMm']: clamped(
              (view === 'From behind' ? row.sideMm : row.foreMm) + dx,
              -3000,
              3000,
            ),
            upMm: clamped(row.upMm + dy, -3000, 3000),
          },
    );
    return { ...build, parts };
  }
  const { support } = build;
  const angle = (Math.atan2(to[1] - (support.kind === 'jib' ? support.pivotMm : 0), to[0]) * 180) / Math.PI;
  switch (support.kind) {
    case 'sled':
      if (handle.field === 'gimbalMm')
        return {
          ...build,
          support: { ...support, gimbalMm: clamped(support.gimbalMm - dy, support.gimbalMinMm, support.postMm - 50) },
        };
      if (handle.field === 'stageForeMm')
        return {
          ...build,
          support: {
            ...support,
            stageForeMm: clamped(support.stageForeMm + dx, -support.stageTravelMm, support.stageTravelMm),
          },
        };
      return {
        ...build,
        support: {
          ...support,
          stageSideMm: clamped(support.stageSideMm + dx, -support.stageTravelMm, support.stageTravelMm),
        },
      };
    case 'motorGimbal':
      if (handle.field === 'cageSideMm')
        return { ...build, support: { ...support, cageSideMm: clamped(support.cageSideMm + dx, -200, 200) } };
      return {
        ...build,
        support: {
          ...support,
          plateForeMm: clamped(support.plateForeMm + dx, -200, 200),
          plateUpMm: clamped(support.plateUpMm + dy, -200, 200),
        },
      };
    case 'jib':
      return { ...build, support: { ...support, angleDeg: clamped(Math.round(angle), -60, 70) } };
    case 'arm':
      return { ...build, support: { ...support, armDeg: Math.round(90 - angle) } };
    case 'rope':
      return { ...build, support: { ...support, swingDeg: clamped(Math.round(angle + 90), 0, 90) } };
    default:
      return build;
  }
}
