import { describe, expect, it } from 'vitest';
import { type Day, type Person, type Skill, USUAL_DAY, usualRig } from '../model';
import { demoShoot } from '../testing/demo';
import { handsFor, peopleHours, whoDoes } from './hands';

const demo = demoShoot();
const [shot] = demo.shots;
const rig = (kind: Parameters<typeof usualRig>[0]) => usualRig(kind, { id: kind, name: kind });
const person = (name: string, skills: Skill[], fromMin = 0, toMin = 1440, pieceId: string | null = null): Person => ({
  id: name,
  name,
  pieceId,
  hours: { fromMin, toMin },
  skills,
});
const does = (...of: Parameters<typeof handsFor>) => handsFor(...of).map(({ does: skill }) => skill);

describe('hands that a shot takes: common practice, no published source', () => {
  it('a drone is flown by one and watched over by another; a vehicle has a driver besides the operator', () => {
    expect(does(rig('drone'), shot, 0, false)).toEqual(['flies', 'helps']);
    expect(does(rig('vehicle'), shot, 0, false)).toEqual(['operates', 'drives']);
    expect(does(rig('tripod'), shot, 0, false)).toEqual(['operates']);
    expect(does(rig('tripod'), shot, 0, true)).toEqual([]);
  });
  it('focus by hand takes another pair where the rig takes both of the operator’s', () => {
    const pulled = { ...shot, puller: 'hand' as const };
    expect(does(rig('gimbal'), pulled, 0, false)).toContain('pulls');
    expect(does(rig('slider'), pulled, 0, false)).not.toContain('pulls');
    const fixed = { ...pulled, focus: { mode: 'fixed' as const, distanceM: 3 } };
    expect(does(rig('gimbal'), fixed, 0, false)).not.toContain('pulls');
  });
  it('whoever walks backwards has somebody behind; a rail that goes backwards has not', () => {
    expect(does(rig('gimbal'), shot, 4, false)).toEqual(['operates', 'helps']);
    expect(does(rig('gimbal'), shot, 0.5, false)).toEqual(['operates']);
    expect(does(rig('slider'), shot, 4, false)).toEqual(['operates']);
  });
});

describe('who does what', () => {
  const both = [
    { does: 'operates' as const, what: 'operates' },
    { does: 'helps' as const, what: 'helps' },
  ];
  it('what few can do is given out first', () => {
    // The first could do either; the second only operates.
    const found = whoDoes(both, [person('a', ['operates', 'helps']), person('b', ['operates'])], new Set());
    expect(found?.map(({ hand, person: who }) => `${who.name} ${hand.what}`)).toEqual(['b operates', 'a helps']);
  });
  it('nobody does two things, and who is before the camera none', () => {
    expect(whoDoes(both, [person('a', ['operates', 'helps'])], new Set())).toBeNull();
    const seen = person('b', ['helps'], 0, 1440, 'piece-b');
    expect(whoDoes(both, [person('a', ['operates']), seen], new Set(['piece-b']))).toBeNull();
    expect(whoDoes(both, [person('a', ['operates']), seen], new Set())).not.toBeNull();
    expect(whoDoes([], [], new Set())).toEqual([]);
  });
});

describe('hours in which everybody is there', () => {
  const day = (...people: Person[]): Day => ({ ...USUAL_DAY, people });
  const one = [{ does: 'operates' as const, what: 'operates' }];
  it('those of whoever can, one after the other, joined where they meet', () => {
    const shifts = day(person('a', ['operates'], 300, 600), person('b', ['operates'], 600, 900));
    expect(peopleHours(shifts, one, new Set())).toEqual([{ fromMin: 300, toMin: 900 }]);
  });
  it('and only while those before the camera are there, too', () => {
    const ansa = person('ansa', [], 400, 500, 'ansa');
    expect(peopleHours(day(person('a', ['operates'], 300, 600), ansa), one, new Set(['ansa']))).toEqual([
      { fromMin: 400, toMin: 500 },
    ]);
    expect(peopleHours(day(person('a', ['operates'], 300, 600), ansa), one, new Set())).toEqual([
      { fromMin: 300, toMin: 600 },
    ]);
  });
  it('nobody named: not counted; nobody who can: never', () => {
    expect(peopleHours(USUAL_DAY, one, new Set())).toEqual([{ fromMin: 0, toMin: 2160 }]);
    expect(peopleHours(day(person('a', ['helps'])), one, new Set())).toEqual([]);
  });
});
