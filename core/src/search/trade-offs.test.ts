import { describe, expect, it } from 'vitest';
import { plainShoot } from '../testing/shoots';
import type { ReadingSummary } from './reading-summary';
import { alsoMends, tradeOffsOf, worsened } from './trade-offs';

const [shot] = plainShoot().shots;
const row = (severity: 0 | 1 | 2, beyond = 1, said = '1') => ({
  severity,
  grade: ['calm', 'ripple', 'jolt'][severity],
  said,
  measure: 'near speed',
  beyond,
});
const plain: ReadingSummary = {
  findings: new Map([['stop', row(2)]]),
  size: 10,
  depth: 0.2,
  sight: 0.8,
  screenS: 8,
  travelM: 2,
};
const costs = (
  summary: Partial<ReadingSummary>,
  change: Partial<typeof shot> = {},
  findingId = 'stop',
  movesPiece = false,
) =>
  tradeOffsOf(
    { shot, summary: plain },
    { shot: { ...shot, ...change }, summary: { ...plain, ...summary } },
    findingId,
    movesPiece,
  );
const words = (...given: Parameters<typeof costs>) => costs(...given).map((cost) => cost.words);

describe('what a change costs elsewhere', () => {
  it('is nothing where nothing else changes', () => {
    expect(costs({})).toEqual([]);
  });
  it('says size, time, depth and sight in words an operator uses', () => {
    expect(words({ size: 9.2 })).toEqual(['the subject becomes 8% smaller']);
    expect(words({ size: 12 })).toEqual(['the subject becomes 20% larger']);
    expect(words({ screenS: 11.5 })).toEqual(['3.5 s longer on screen']);
    expect(words({ depth: 0.1 })).toEqual(['depth shows 50% less']);
    expect(words({ sight: 0.6 })).toEqual(['20% less of the subject in sight']);
  });
  it('does not count depth against a change that is made for depth, nor sight against a reveal', () => {
    expect(words({ depth: 0.1 }, {}, 'parallax')).toEqual([]);
    expect(words({ sight: 0.2 }, {}, 'reveal')).toEqual([]);
  });
  it('counts what has to be set up, and a piece that stands there in every shot', () => {
    expect(words({}, { rigId: 'rig-drone' })).toEqual(['another rig to set up']);
    expect(words({}, { lensId: 'lens-moss-85' })).toEqual(['a lens to change']);
    expect(words({}, { captureRateHz: 120 })).toEqual(['slow motion, and more light']);
    expect(words({}, { fNumber: 11.2 })).toEqual(['2 stops less light']);
    expect(words({}, {}, 'parallax', true)).toEqual(['it stands there in every shot']);
  });
  it('weighs more the more it takes', () => {
    const weight = (summary: Partial<ReadingSummary>) => costs(summary).reduce((sum, cost) => sum + cost.weight, 0);
    expect(weight({ screenS: 16 })).toBeGreaterThan(weight({ screenS: 10 }));
    expect(weight({ size: 5 })).toBeGreaterThan(weight({ size: 9 }));
  });
  it('names a standing trouble that gets worse within its grade, and weighs it by how much', () => {
    const before = {
      ...plain,
      findings: new Map([
        ['stop', row(2)],
        ['shake', row(1, 1.5, '0.9%')],
      ]),
    };
    const after = (beyond: number) => ({ ...plain, findings: new Map([['shake', row(1, beyond, `${beyond}%`)]]) });
    expect(worsened(before, after(3.8), 'stop')).toMatchObject([{ words: 'near speed gets worse, 0.9% → 3.8%' }]);
    expect(worsened(before, after(3.8), 'stop')[0].weight).toBeGreaterThan(
      1 + worsened(before, after(1.7), 'stop')[0].weight,
    );
    expect(worsened(before, after(1.5), 'stop')).toEqual([]);
    expect(worsened(before, after(3.8), 'shake')).toEqual([]);
  });
  it('names the other troubles that go with it', () => {
    const before = {
      ...plain,
      findings: new Map([
        ['stop', row(2)],
        ['speed.near', row(1)],
        ['place', row(0)],
      ]),
    };
    expect(alsoMends(before, { ...plain, findings: new Map([['speed.near', row(0)]]) }, 'stop')).toEqual([
      'near speed',
    ]);
    expect(alsoMends(before, before, 'stop')).toEqual([]);
  });
});
