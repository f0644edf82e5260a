import { describe, expect, it } from 'vitest';
import { DEFAULT_KIT, type Build } from '../model';
import { carryingFacts } from './carries';
import { balanceOf } from './balance';

const [given] = DEFAULT_KIT.builds;
const stack = (heights: [string, number][]): Build => ({
  ...given,
  parts: heights.map(([partId, upMm]) => ({ partId, on: 'top', foreMm: 0, sideMm: 0, upMm })),
});
const kit = (carriesG: number) => ({
  ...DEFAULT_KIT,
  parts: DEFAULT_KIT.parts.map((part) => (part.id === 'part-head' ? { ...part, carriesG } : part)),
});
const massOf = (id: string) => DEFAULT_KIT.parts.find((part) => part.id === id)?.massG ?? NaN;

describe('a stack of heads and plates', () => {
  const build = stack([
    ['part-head', 60],
    ['part-plate', 126],
    ['part-heron', 190],
    ['part-moss-35', 190],
  ]);
  it('counts what stands on each of them, not what hangs below', () => {
    const facts = carryingFacts(build, kit(4000), 'metric');
    expect(facts.map(({ label }) => label)).toEqual(['Fluid head carries', 'Long plate carries']);
    expect(facts[0].value).toBeCloseTo(
      (massOf('part-plate') + massOf('part-heron') + massOf('part-moss-35')) / 1000,
      9,
    );
    expect(facts[1].value).toBeCloseTo((massOf('part-heron') + massOf('part-moss-35')) / 1000, 9);
    expect(facts.every(({ grade }) => grade === 'fits')).toBe(true);
  });
  it('says by how much too much stands on one, and nothing where no maker has said', () => {
    const [head] = carryingFacts(build, kit(1000), 'metric');
    expect(head.grade).toBe('cannot');
    expect(head.why).toMatch(/180 g more than its maker/);
    expect(carryingFacts(build, kit(0), 'metric').map(({ label }) => label)).toEqual(['Long plate carries']);
    expect(balanceOf(build, kit(1000), 'metric').facts.some(({ key }) => key === 'carriesKg')).toBe(true);
  });
});
