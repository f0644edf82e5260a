import type { Build, Part, PartKind, Placed, Support } from './build';

/** The made-up parts that every own shoot starts with. Names and figures are invented. */
const part = (id: string, name: string, kind: PartKind, of: string | null, massG: number, [lengthMm, widthMm, heightMm]: number[], [centreForeMm, centreSideMm, centreUpMm] = [0, 0, 0], zoomShiftMm = 0): Part => ({
  id, name, kind, of, massG, lengthMm, widthMm, heightMm, centreForeMm, centreSideMm, centreUpMm, zoomShiftMm,
}); // prettier-ignore

export const DEFAULT_PARTS: Part[] = [
  part('part-heron', 'Heron body', 'camera', 'cam-heron', 690, [72, 132, 98], [-4, 6, -2]),
  part('part-wren', 'Wren body', 'camera', 'cam-wren', 440, [60, 120, 68], [-2, 5, 0]),
  part('part-swift', 'Swift camera', 'camera', 'cam-swift', 120, [60, 70, 50]),
  part('part-fern-1635', 'Fern 16–35', 'lens', 'lens-fern-1635', 680, [121, 88, 88], [6, 0, 0], 5),
  part('part-fern-2470', 'Fern 24–70', 'lens', 'lens-fern-2470', 886, [136, 88, 88], [8, 0, 0], 14),
  part('part-moss-35', 'Moss 35', 'lens', 'lens-moss-35', 280, [73, 66, 66], [3, 0, 0]),
  part('part-moss-85', 'Moss 85', 'lens', 'lens-moss-85', 371, [82, 78, 78], [4, 0, 0]),
  part('part-fern-70200', 'Fern 70–200', 'lens', 'lens-fern-70200', 1480, [200, 88, 88], [10, 0, 0], 0),
  part('part-nd8', 'Mist ND 8', 'filter', 'filter-nd8', 45, [8, 82, 82]),
  part('part-nd64', 'Mist ND 64', 'filter', 'filter-nd64', 48, [8, 82, 82]),
  part('part-vnd', 'Dusk variable ND', 'filter', 'filter-vnd', 78, [12, 86, 86]),
  part('part-battery', 'Flat battery 90', 'battery', null, 620, [100, 70, 50]),
  part('part-plate', 'Long plate', 'plate', null, 210, [180, 50, 12]),
  part('part-monitor', 'Pane 5 monitor', 'monitor', null, 260, [22, 140, 88]),
  part('part-microphone', 'Reed microphone', 'microphone', null, 95, [180, 25, 25]),
  part('part-head', 'Fluid head', 'head', null, 1400, [120, 110, 120]),
  part('part-gimbal-on-pole', 'Small motor gimbal', 'head', null, 1150, [160, 150, 330]),
  part('part-shade', 'Lens shade with flags', 'other', null, 310, [120, 160, 140]),
  part('part-weight-50', 'Disc 50 g', 'weight', null, 50, [40, 40, 6]),
  part('part-weight-200', 'Disc 200 g', 'weight', null, 200, [40, 40, 20]),
];

const on = (partId: string, [foreMm, sideMm, upMm]: number[], end: Placed['on'] = 'top'): Placed => ({
  partId,
  on: end,
  foreMm,
  sideMm,
  upMm,
});
const back = (row: Placed, byMm: number): Placed => ({ ...row, foreMm: row.foreMm - byMm });
const HERON = on('part-heron', [-20, 0, 61]);
const WREN = on('part-wren', [-15, 0, 56]);
const lens = (name: string, foreMm: number, upMm = 63) => on(`part-${name}`, [foreMm, 0, upMm]);
const PLATE = on('part-plate', [0, 0, 6]);
const MOSS_35 = lens('moss-35', 52);
const MOSS_85 = lens('moss-85', 57);
const FERN_2470 = lens('fern-2470', 84);
const FERN_1635 = lens('fern-1635', 76);
const FERN_70200 = lens('fern-70200', 116);
const nd = (name: string, foreMm: number) => on(`part-${name}`, [foreMm, 0, 63]);
const BELOW = [on('part-battery', [-25, 0, 25], 'bottom'), on('part-monitor', [70, 0, 44], 'bottom')];

const build = (id: string, name: string, rigId: string, focalLengthMm: number, parts: Placed[], support: Support): Build => ({
  id: `build-${id}`, name, rigId, focalLengthMm, parts, support, ticked: [], ownChecks: [],
}); // prettier-ignore
const sled = (over: Partial<Extract<Support, { kind: 'sled' }>> = {}): Support => ({
  kind: 'sled', postMm: 560, postMinMm: 420, postMaxMm: 760, postMassG: 640, gimbalMm: 105, gimbalMinMm: 60, stageForeMm: 0, stageSideMm: 0, stageTravelMm: 35, wishS: 2.5,
  wishLeanDeg: 0, deckRollDeg: 0, deckPeriodS: 8, deckHeightM: 3, walkMps: 1.4, windMps: 2, log: [], ...over,
}); // prettier-ignore
const gimbal = (over: Partial<Extract<Support, { kind: 'motorGimbal' }>> = {}): Support => ({
  kind: 'motorGimbal', plateForeMm: -12, plateUpMm: -66, cageSideMm: -1, armForeMm: 0, cageMassG: 420, armMassG: 380, payloadMaxG: 2200, torqueMaxNm: 2.4, runMin: 420, ...over,
}); // prettier-ignore
const slider = (over: Partial<Extract<Support, { kind: 'slider' }>> = {}): Support => ({
  kind: 'slider', railMm: 1200, railMassG: 3100, stiffnessNm2: 4200, carriageMassG: 480, stands: 'two', heightMm: 900, standMassG: 2600, footMm: 420, tiltDeg: 0, friction: 0.03, bagG: 5000, ...over,
}); // prettier-ignore
const arm = (over: Partial<Extract<Support, { kind: 'arm' }>> = {}): Support => ({
  kind: 'arm', reachMm: 0, armMassG: 0, armDeg: 0, legMm: 1500, spreadDeg: 24, columnMm: 0, legsMassG: 3800, bagG: 0, marginMm: 80, stiffnessNmPerDeg: 12, windMps: 5, ...over,
}); // prettier-ignore
const HEAD = on('part-head', [0, 0, 60]);
const onHead = (...rows: Placed[]): Placed[] => [HEAD, ...rows.map((row) => ({ ...row, upMm: row.upMm + 120 }))];

/** Builds of that kit, made up as well: some are out of balance, as they come out of the bag. */
export const DEFAULT_BUILDS: Build[] = [
  build('sled-35', 'Sled with the 35', 'rig-sled', 35, [PLATE, HERON, MOSS_35, ...BELOW], sled()),
  build('sled-85', 'Sled with the 85', 'rig-sled', 85, [PLATE, HERON, MOSS_85, ...BELOW], sled()),
  build(
    'sled-zoom',
    'Sled with the 24–70',
    'rig-sled',
    35,
    [PLATE, back(HERON, 22), back(FERN_2470, 22), ...BELOW],
    sled({ stageForeMm: -2 }),
  ),
  build(
    'sled-wren',
    'Light sled',
    'rig-sled',
    24,
    [PLATE, back(WREN, 22), back(lens('fern-1635', 76, 58), 22), ...BELOW],
    sled({ wishS: 2.2 }),
  ),
  build('gimbal-35', 'Gimbal with the 35', 'rig-gimbal', 35, [PLATE, HERON, MOSS_35], gimbal()),
  build(
    'gimbal-zoom',
    'Gimbal with the 24–70',
    'rig-gimbal',
    28,
    [PLATE, HERON, FERN_2470],
    gimbal({ plateForeMm: -40 }),
  ),
  build(
    'gimbal-wide',
    'Gimbal with the 16–35',
    'rig-gimbal',
    24,
    [PLATE, HERON, FERN_1635],
    gimbal({ plateForeMm: -30 }),
  ),
  build(
    'gimbal-nd',
    'Gimbal at noon',
    'rig-gimbal',
    28,
    [PLATE, HERON, FERN_2470, nd('vnd', 158)],
    gimbal({ plateForeMm: -40 }),
  ),
  build(
    'gimbal-long',
    'Gimbal with the 70–200',
    'rig-gimbal',
    70,
    [PLATE, HERON, FERN_70200],
    gimbal({ plateForeMm: -66 }),
  ),
  build(
    'gimbal-low',
    'Gimbal slung low',
    'rig-gimbal-low',
    35,
    [PLATE, HERON, MOSS_35, on('part-monitor', [-10, 0, 160])],
    gimbal(),
  ),
  build(
    'gimbal-pole',
    'Gimbal on a pole',
    'rig-gimbal-pole',
    24,
    [PLATE, WREN, lens('fern-1635', 76, 58)],
    gimbal({ plateForeMm: -40, plateUpMm: -58 }),
  ),
  build('jib', 'Small jib', 'rig-jib', 30, [on('part-gimbal-on-pole', [0, 0, 165]), HERON, FERN_2470], { kind: 'jib', frontMm: 1900, rearMm: 620, beamMassG: 3400, pivotMm: 1500, angleDeg: 15, counterG: 10_000, parallel: true, tubeMm: 50, wallMm: 3, footMm: 650 }), // prettier-ignore
  build('pole-crane', 'Pole crane', 'rig-jib', 24, [on('part-gimbal-on-pole', [0, 0, 165]), WREN, lens('fern-1635', 76, 58)], { kind: 'jib', frontMm: 1700, rearMm: 600, beamMassG: 1200, pivotMm: 1400, angleDeg: 25, counterG: 8000, parallel: false, tubeMm: 38, wallMm: 2, footMm: 600 }), // prettier-ignore
  build('slider-two', 'Slider on two stands', 'rig-slider-120', 35, onHead(HERON, FERN_2470), slider()),
  build(
    'slider-one',
    'Slider on one tripod',
    'rig-slider-120',
    50,
    onHead(HERON, FERN_2470),
    slider({ stands: 'one', heightMm: 1100, standMassG: 3800, footMm: 480, bagG: 0 }),
  ),
  build(
    'slider-tilted',
    'Slider up the stair',
    'rig-slider-240',
    40,
    onHead(HERON, FERN_2470),
    slider({ railMm: 2400, railMassG: 6200, stiffnessNm2: 9000, tiltDeg: 24 }),
  ),
  build(
    'slider-long',
    'Long slider',
    'rig-slider-240',
    35,
    onHead(HERON, MOSS_35),
    slider({ railMm: 2400, railMassG: 6200, stiffnessNm2: 9000 }),
  ),
  build(
    'table-arm',
    'Table-top arm',
    'rig-table-arm',
    50,
    [on('part-head', [0, 0, 60]), WREN, lens('moss-35', 52, 58)],
    arm({ reachMm: 700, armMassG: 900, legMm: 1100, spreadDeg: 28, bagG: 4000, windMps: 0 }),
  ),
  build(
    'tripod-long',
    'Tripod with the 85',
    'rig-tripod',
    85,
    onHead(HERON, MOSS_85, on('part-shade', [130, 0, 63])),
    arm(),
  ),
  build('tripod-zoom', 'Tripod with the 24–70', 'rig-tripod', 62, onHead(HERON, FERN_2470), arm()),
  build('rope', 'Two ropes and a bar', 'rig-rope', 24, [WREN, lens('fern-1635', 76, 58)], {
    kind: 'rope',
    lengthMm: 5000,
    swingDeg: 35,
    lines: 'two',
    secondLine: true,
  }),
  build('drone', 'Small drone', 'rig-drone', 12, [on('part-swift', [90, 0, -30])], { kind: 'drone', bodyMassG: 780, bodyMaxG: 960, thrustMaxN: 17.5, batteryWh: 56, hoverW: 88, speedMaxMps: 15, heightM: 40, windMps: 5, reserveShare: 0.25 }), // prettier-ignore
  build('board', 'Stand-on board', 'rig-board', 35, [PLATE, HERON, FERN_2470], {
    kind: 'wheels',
    ground: 'hard',
    downhillDeg: 0,
    speedMps: 2.5,
    reactionS: 1,
    grip: 0.35,
    massKg: 95,
    wheelMm: 200,
    driver: false,
  }),
  build('turntable', 'Turntable under the ceiling', 'rig-turntable', 24, [WREN, lens('fern-1635', 76, 58)], { kind: 'improvised', what: 'turntable', lengthMm: 150, turnsPerMin: 33.333, overS: 5 }), // prettier-ignore
  build('roll-pole', 'Hinged roll pole', 'rig-roll-lever', 24, [WREN, lens('fern-1635', 76, 58)], { kind: 'improvised', what: 'hingedPole', lengthMm: 1300, turnsPerMin: 1, overS: 3 }), // prettier-ignore
];
