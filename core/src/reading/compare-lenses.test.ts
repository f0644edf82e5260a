import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { drawnWalk, type Move, newPiece, type Piece, type Shot } from '../model';
import { filmed, usual } from '../testing/filmed';
import { AROUND } from '../testing/shoots';
import { sceneOf } from '../scene';
import { sampleShot } from '../motion';
import { subjectInFrame } from '../image';
import { compareLenses, lensFor, withFocalLength, type LensColumn } from './compare-lenses';
import { readFigures } from './read-figures';
import { readShot } from './read-shot';
import { verdictOnLenses } from './lens-verdict';

const pieces: Piece[] = [
  newPiece('figure', 'figure', 'Ansa', 0, 0, 0),
  newPiece('post', 'post', 'Post', -0.6, -1.4, 0),
  ...[-60, -20, 20, 60].map((x, i) => newPiece('tree', `t${i}`, 'Tree', x, 120, 0)),
];
const TIMING = {
  durationS: 8,
  holdStartS: 0,
  featherInS: 2,
  featherOutS: 2,
  holdEndS: 0,
  featherShape: 'minimumJerk' as const,
};
const slide: Move = { kind: 'slide', ...AROUND, heightM: 0.85, distanceM: 4, bearingDeg: 180, travelM: 1, skewDeg: 0 };
const arc: Move = { kind: 'arc', ...AROUND, heightM: 0.85, radiusM: 6, startBearingDeg: 150, sweepDeg: 60 };
const compared = (move: Move, by: 'spot' | 'framing', focals = [24, 35, 50, 70], more: Partial<Shot> = {}) => {
  const { shoot } = filmed(
    move,
    { timing: TIMING, lensId: 'lens-fern-2470', focalLengthMm: 35, rigId: 'rig-gimbal', ...more },
    false,
    pieces,
  );
  return compareLenses(shoot, shoot.shots[0], focals, by);
};

describe('comparing focal lengths', () => {
  it('same framing keeps the subject’s height at every focal length, to what distances are set to', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(slide, arc, usual('push')),
        fc.double({ min: 24, max: 70, noNaN: true }),
        (move, focal) => {
          const [own, other] = compared(move, 'framing', [35, focal]);
          expect(other.subjectHeight / own.subjectHeight).toBeGreaterThan(0.96);
          expect(other.subjectHeight / own.subjectHeight).toBeLessThan(1.04);
        },
      ),
      { numRuns: 12 },
    );
  });
  it('same spot leaves the camera where it is: the subject’s height goes with the focal length', () => {
    const columns = compared(slide, 'spot');
    for (const column of columns) {
      expect(column.distanceM).toBeCloseTo(columns[0].distanceM, 6);
      expect(column.subjectHeight / columns[0].subjectHeight).toBeCloseTo(column.focalLengthMm / 24, 1);
    }
  });
  it('per degree of orbit a far background sweeps the frame in proportion to focal length', () => {
    const columns = compared(arc, 'spot', [35, 70]);
    expect((columns[1].slidePerDeg ?? 0) / (columns[0].slidePerDeg ?? 1)).toBeGreaterThan(1.7);
    expect((columns[1].slidePerDeg ?? 0) / (columns[0].slidePerDeg ?? 1)).toBeLessThan(2.3);
  });
  // Facts of the trade (common practice, no published source): per metre at equal subject size wide wins; per degree of
  // orbit long wins.
  it('says wide for a metre of slide with the same framing, and long for an arc from the same spot', () => {
    const metres = compared(slide, 'framing');
    expect(metres[0].slidePerM ?? 0).toBeGreaterThan(metres[3].slidePerM ?? 1);
    expect(verdictOnLenses(metres, 'framing')).toMatch(/^Here wide wins: 24 mm shows depth .*as strongly as 70 mm/);
    expect(verdictOnLenses(compared(arc, 'spot'), 'spot')).toMatch(/^Here long wins: 70 mm/);
  });
  it('takes a lens of the kit that reaches, and says so when the rig or the lens cannot', () => {
    const { shoot } = filmed(slide, { lensId: 'lens-moss-35', focalLengthMm: 35 });
    const [shot] = shoot.shots;
    expect(lensFor(shoot, shot, 85).id).toBe('lens-moss-85');
    expect(lensFor(shoot, shot, 500).id).toBe('lens-moss-35');
    expect(withFocalLength(shoot, shot, 200, 'spot')).toMatchObject({ lensId: 'lens-fern-70200', focalLengthMm: 200 });
    const [too] = compareLenses(shoot, shot, [500], 'spot');
    expect(too.grade).toBe('cannot');
    expect(too.why.join(' ')).toMatch(/Moss 35/);
  });
  it('a longer lens wobbles more and holds less in focus from the same spot', () => {
    const columns = compared(slide, 'spot', [24, 70], { rigId: 'rig-hand', gaitId: 'gait-walk' });
    expect(columns[1].wobble).toBeGreaterThan(2 * columns[0].wobble);
    expect(columns[1].sharpToM - columns[1].sharpFromM).toBeLessThan(columns[0].sharpToM - columns[0].sharpFromM);
  });
  it('says that nothing slides where nothing does', () => {
    for (const move of [
      { kind: 'still', ...AROUND, distanceM: 5, bearingDeg: 180 } as Move,
      usual('pan'),
      usual('whipPan'),
      usual('tilt'),
    ])
      expect(verdictOnLenses(compared(move, 'spot'), 'spot')).toMatch(
        /^The camera stays where it is, so nothing parts in depth/,
      );
  });
});

describe('same framing', () => {
  const shotsOf = (move: Move, more: Partial<Shot> = {}) => {
    const { shoot } = filmed(
      move,
      { timing: TIMING, lensId: 'lens-fern-2470', focalLengthMm: 35, rigId: 'rig-drone', ...more },
      false,
      pieces,
    );
    return { shoot, columns: compareLenses(shoot, shoot.shots[0], [24, 35, 50, 85], 'framing') };
  };
  const heights = (shoot: Parameters<typeof sceneOf>[0], shot: Shot) => {
    const scene = sceneOf(shoot, shot);
    return subjectInFrame(sampleShot(scene), scene).height;
  };
  it.each([
    'slide',
    'push',
    'pull',
    'arc',
    'orbit',
    'crane',
    'rise',
    'helix',
    'angledSlide',
    'riseOverReveal',
  ] as const)('%s: the subject has the same height at every moment, within 2%, or it is said why not', (kind) => {
    const { shoot, columns } = shotsOf(usual(kind));
    const own = heights(shoot, columns[1].shot);
    for (const column of columns) {
      if (column.framingOff !== null) {
        expect(column.why[0]).toMatch(/cannot keep the framing/);
        continue;
      }
      const other = heights(shoot, column.shot);
      for (let row = 0; row < own.length; row += 5)
        if (Number.isFinite(own[row]) && Number.isFinite(other[row]))
          expect(Math.abs(other[row] / own[row] - 1)).toBeLessThan(0.0201);
    }
  });
  it('where the subject walks into the camera no distance keeps its height: it is said, and not compared', () => {
    const walks = [
      drawnWalk('figure', [
        { tS: 0, xM: 0, yM: 0, zM: 0 },
        { tS: 8, xM: 0, yM: -3, zM: 0 },
      ]),
    ];
    const { columns } = shotsOf(usual('slide'), { walks });
    const off = columns.filter(({ framingOff }) => framingOff !== null);
    expect(off.length).toBeGreaterThan(1);
    for (const { why, grade } of off) {
      expect(grade).toBe('cannot');
      expect(why[0]).toMatch(/^\d+ mm cannot keep the framing here: Ansa’s height .*, because of the walk\.$/);
    }
    expect(verdictOnLenses(columns, 'framing')).toMatch(/cannot keep the framing/);
  });
  it('what goes with the walk keeps it', () => {
    const walks = [
      drawnWalk('figure', [
        { tS: 0, xM: 0, yM: 0, zM: 0 },
        { tS: 8, xM: 0, yM: 9, zM: 0 },
      ]),
    ];
    for (const kind of ['follow', 'lead', 'alongside'] as const)
      expect(shotsOf(usual(kind), { walks }).columns.map(({ framingOff }) => framingOff)).toEqual([
        null,
        null,
        null,
        null,
      ]);
  });
});

describe('the verdict on lenses', () => {
  const [plain] = compared(slide, 'spot', [35]);
  const column = (focalLengthMm: number, parallax: number, more: Partial<LensColumn> = {}): LensColumn => ({
    ...plain,
    focalLengthMm,
    parallax,
    nearSpeed: parallax,
    farSpeed: parallax / 2,
    grade: 'fits',
    why: [],
    ...more,
  });
  it('a winner in the middle is held against both sides', () => {
    expect(verdictOnLenses([column(24, 0.1), column(35, 0.3), column(85, 0.15)], 'spot')).toMatch(
      /^Here 35 mm wins: it shows depth 3\.0 times as strongly as 24 mm and 2\.0 times as strongly as 85 mm/,
    );
  });
  it('says it in words where a number would say nothing', () => {
    expect(verdictOnLenses([column(24, 0.3), column(85, 0)], 'spot')).toMatch(
      /^Here wide wins: 24 mm shows depth far more strongly than 85 mm, because/,
    );
    expect(verdictOnLenses([column(24, 0.1), column(35, 0.3), column(70, 0.305, { nearSpeed: null })], 'spot')).toMatch(
      /At 70 mm the background sweeps about as quickly as at 35 mm/,
    );
  });
  it('two alike do not hide a third', () => {
    expect(verdictOnLenses([column(16, 0.3), column(35, 0.2), column(85, 0.29)], 'spot')).toBe(
      'Here 16 mm and 85 mm show depth alike; 35 mm shows 67% of it.',
    );
  });
  it('says when it hardly matters, and which are left out', () => {
    expect(verdictOnLenses([column(24, 0.3), column(35, 0.29), column(85, 0.31)], 'spot')).toMatch(
      /^The focal length hardly matters here/,
    );
    expect(
      verdictOnLenses(
        [column(24, 0.3), column(35, 0.1), column(85, 0.9, { grade: 'cannot', why: ['Moss 85 cannot.'] })],
        'spot',
      ),
    ).toMatch(/Left out: 85 mm \(Moss 85 cannot\)\.$/);
  });
  it('a lens with nothing near in its picture does not win: it is said to have lost it', () => {
    const said = verdictOnLenses([column(24, 0.2), column(35, 0.3), column(70, 0.45, { nearSpeed: null })], 'spot');
    expect(said).toMatch(/^Here 35 mm/);
    expect(said).toMatch(
      /At 70 mm the background sweeps 1\.5 times as quickly as at 35 mm, but nothing near is left in the picture\.$/,
    );
  });
  it('holds for the numbers that a reading gives', () => {
    const { shoot } = filmed(
      arc,
      { timing: TIMING, lensId: 'lens-fern-2470', focalLengthMm: 35, rigId: 'rig-gimbal' },
      false,
      pieces,
    );
    const [shot] = shoot.shots;
    const layers = readFigures(readShot(shoot, shot).picture).layers;
    const [own] = compareLenses(shoot, shot, [35], 'spot');
    expect(own.farSpeed).toBe(layers.find(({ layer }) => layer === 'far')?.speed ?? null);
    expect(own.nearSpeed).toBe(layers.find(({ layer }) => layer === 'near')?.speed ?? null);
  });
  it('the largest jump is of one moment: slow where it is fast shown, and fast where it is slow', () => {
    const ramp = {
      reversed: false,
      ramp: [
        { atS: 2, speed: 0.25 },
        { atS: 5, speed: 1 },
      ],
    };
    const { shoot } = filmed(
      slide,
      { timing: TIMING, captureRateHz: 48, playback: ramp, rigId: 'rig-gimbal' },
      false,
      pieces,
    );
    const [own] = compareLenses(shoot, shoot.shots[0], [35], 'spot');
    const fastest = Math.max(own.nearSpeed ?? 0, own.farSpeed ?? 0, own.subjectSpeed ?? 0);
    expect(own.jump).toBeLessThan((fastest * 2) / 24);
    expect(own.jump).toBeGreaterThan(0);
  });
});
