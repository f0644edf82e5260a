import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { PLAIN_LOOK, type Build, BuildSchema, DEFAULT_KIT, newPiece, newShoot, type Shoot } from '../model';
import { deckLeanDeg } from './sled/statics';
import { setAsTold } from '../edit';
import { balanceOf } from './balance';
import { checklistOf } from './checklist';
import { asFor, disturbedAxes } from './motor-gimbal/disturbed';
import { refitsFor, needOf, shotsOf } from './needs';

const builtAs = (id: string): Build => {
  const found = DEFAULT_KIT.builds.find((row) => row.id === `build-${id}`);
  if (!found) throw new Error(id);
  return found;
};
const factOf = (build: Build, key: string) =>
  balanceOf(build, DEFAULT_KIT, 'metric').facts.find((row) => row.key === key);
const withSupport = (id: string, over: object): Build => {
  const build = builtAs(id);
  return BuildSchema.parse({ ...build, support: { ...build.support, ...over } });
};

describe('what is said of a build', () => {
  it('holds for each of at least 24 builds of the made-up kit: numbers, steps and who decides', () => {
    expect(DEFAULT_KIT.builds.length).toBeGreaterThanOrEqual(24);
    expect(new Set(DEFAULT_KIT.builds.map((row) => row.support.kind)).size).toBe(9);
    for (const build of DEFAULT_KIT.builds) {
      const { facts, steps, cautions } = balanceOf(build, DEFAULT_KIT, 'metric');
      expect(facts.length, build.name).toBeGreaterThan(3);
      expect(steps.length, build.name).toBeGreaterThan(1);
      for (const { said, why, grade } of facts) {
        expect(`${said} ${why}`, build.name).not.toMatch(/NaN|Infinity|undefined/);
        if (grade === 'cannot') expect(why || said, build.name).not.toBe('');
      }
      expect(cautions.join(' ')).toContain('qualified people decide');
      expect([...facts.map((row) => `${row.said} ${row.why}`), ...steps, ...cautions].join(' ')).not.toMatch(
        /\bsafe(ly)?\b/i,
      );
    }
  });
  it('in feet and pounds speaks of neither metres nor grams', () => {
    for (const build of DEFAULT_KIT.builds)
      for (const { said, key } of balanceOf(build, DEFAULT_KIT, 'imperial').facts)
        if (!/inertia|wind|tips|note|stopSwing|Nm/i.test(key))
          expect(said, `${build.name}, ${key}`).not.toMatch(/\d (m|mm|g|kg)\b/);
  });
  it('never is a number that is none, whatever is typed within the limits', () => {
    const kinds = ['sled-35', 'gimbal-35', 'jib', 'slider-one', 'table-arm', 'rope', 'drone', 'board', 'turntable'];
    fc.assert(
      fc.property(
        fc.constantFrom(...kinds),
        fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 12, maxLength: 12 }),
        (id, shares) => {
          const build = builtAs(id);
          const support = Object.fromEntries(
            Object.entries(build.support).map(([key, value], i) => [
              key,
              typeof value === 'number' ? value * 4 * shares[i % 12] : value,
            ]),
          );
          const parsed = BuildSchema.safeParse({ ...build, support });
          if (!parsed.success) return;
          for (const { said, value } of balanceOf(parsed.data, DEFAULT_KIT, 'metric').facts) {
            expect(said).not.toMatch(/NaN|Infinity/);
            expect(value === null || Number.isFinite(value)).toBe(true);
          }
        },
      ),
    );
  });
  it('refuses a negative mass, an arm of no length, and tells what a storm does', () => {
    expect(
      BuildSchema.safeParse({ ...builtAs('jib'), support: { ...builtAs('jib').support, frontMm: 0 } }).success,
    ).toBe(false);
    expect(
      BuildSchema.safeParse({ ...builtAs('drone'), support: { ...builtAs('drone').support, windMps: 60 } }).success,
    ).toBe(false);
    expect(factOf(withSupport('drone', { windMps: 40 }), 'enduranceMin')?.said).toBe('cannot');
    expect(factOf(builtAs('gimbal-long'), 'payloadKg')?.grade).toBe('cannot');
    expect(factOf(withSupport('rope', { secondLine: false }), 'secondLine')?.grade).toBe('cannot');
  });
  it('tells an empty rig that its camera is missing', () => {
    for (const build of DEFAULT_KIT.builds) {
      const facts = balanceOf({ ...build, parts: [] }, DEFAULT_KIT, 'metric').facts;
      expect(facts[0].why).toContain('camera');
      for (const { said } of facts) expect(said, build.name).not.toMatch(/NaN|Infinity/);
    }
  });
  it('shakes a long lens more than a wide one in the same wind', () => {
    const tripod = builtAs('tripod-zoom');
    const share = (focalLengthMm: number) => factOf({ ...tripod, focalLengthMm }, 'shakeShare')?.value ?? 0;
    expect(share(70)).toBeGreaterThan(2 * share(24));
  });
});

describe('what cannot be is said', () => {
  const shoot: Shoot = newShoot('s', 'Test', 'shot-1');
  const [shot] = shoot.shots;
  const factsOf = (build: Build, shots = [shot]) =>
    new Map(balanceOf(build, DEFAULT_KIT, 'metric', shots).facts.map((row) => [row.key, row]));
  it('a drone that hovers above its thrust does not fly: no minutes and no number of batteries', () => {
    const heavy = factsOf(withSupport('drone', { thrustMaxN: 8 }));
    expect(heavy.get('hoverShare')).toMatchObject({
      grade: 'cannot',
      why: 'It does not leave the ground: take something off.',
    });
    expect(heavy.get('enduranceMin')).toMatchObject({ grade: 'cannot', said: 'cannot' });
    expect(heavy.get('batteries')).toMatchObject({ grade: 'cannot', said: 'no number of them: it does not fly' });
  });
  it('batteries count every move of a chain', () => {
    const long = { ...shot, timing: { ...shot.timing, durationS: 60 } };
    const chain = {
      ...long,
      then: Array.from({ length: 4 }, () => ({
        move: shot.move,
        timing: { ...shot.timing, durationS: 300 },
        backwards: false,
        goes: 'stays' as const,
        look: PLAIN_LOOK,
        overlapS: 0,
      })),
    };
    const count = (row: typeof shot) => factsOf(builtAs('drone'), [row]).get('batteries')?.value ?? 0;
    expect(count(chain)).toBeGreaterThan(count(long) + 1);
  });
  it('a bag that hangs is counted and said; one that is asked for and missing is tight', () => {
    const bag = (bagG: number) => factsOf(withSupport('slider-one', { bagG })).get('bagKg');
    expect(bag(0)).toMatchObject({ grade: 'tight', said: '558 g' });
    expect(bag(2000)?.said).toBe('558 g asked for; 2 kg hang there');
    expect(bag(200)?.said).toBe('558 g asked for: 358 g more than hang there');
  });
  it('a wish of 5 s gets its word, and so does one of a second', () => {
    const drop = (wishS: number) => {
      const set = setAsTold(withSupport('sled-35', { wishS }), DEFAULT_KIT, 'metric');
      return set ? factsOf(set).get('dropS') : undefined;
    };
    expect(drop(5)).toMatchObject({ grade: 'tight' });
    expect(drop(5)?.why).toMatch(/5 s is a slow wish/);
    expect(drop(2.5)).toMatchObject({ grade: 'fits', why: '' });
  });
  it('wheels on sand, on wet ground and down a slope: what sinks, what slips, how many people', () => {
    const on = (over: object) => factsOf(withSupport('board', over));
    expect(on({ ground: 'sand', wheelMm: 150 }).get('ground')).toMatchObject({ grade: 'cannot' });
    expect(on({ ground: 'sand', wheelMm: 500 }).get('ground')).toMatchObject({ grade: 'tight' });
    expect(on({ ground: 'wet' }).get('ground')).toMatchObject({ grade: 'tight' });
    expect(on({ downhillDeg: 12 }).get('stoppingM')?.value ?? 0).toBeGreaterThan(on({}).get('stoppingM')?.value ?? 99);
    expect(on({ downhillDeg: 12 }).get('people')?.value).toBe((on({}).get('people')?.value ?? 0) + 2);
    expect(on({ downhillDeg: 45, grip: 0.3 }).get('stoppingM')).toMatchObject({ grade: 'cannot' });
  });
  // A pivot 3 m above the axis of a deck that rolls 5° in 8 s is carried sideways with 0.0873 · (2π/8)² · 3 = 0.1615
  // m/s²: 0.94° of a plumb line that follows at once.
  it('on a rolling deck what hangs short follows the sideways pull, and near the deck’s own time swings', () => {
    const deck = { deckRollDeg: 5, deckPeriodS: 8, deckHeightM: 3 };
    expect(deckLeanDeg(deck, 100)).toBeCloseTo(0.944, 2);
    expect(deckLeanDeg(deck, (2 * Math.PI) / 7)).toBeGreaterThan(3);
    expect(deckLeanDeg({ ...deck, deckRollDeg: 0 }, 1)).toBe(0);
    expect(factsOf(withSupport('sled-35', deck)).get('deckLeanDeg')?.label).toBe(
      'On a deck that rolls 5° to each side in 8 s',
    );
    expect(factsOf(builtAs('sled-35')).has('deckLeanDeg')).toBe(false);
  });
});

describe('which build a shot needs', () => {
  const shoot: Shoot = newShoot('s', 'Test', 'shot-1');
  const shot = {
    ...shoot.shots[0],
    rigId: 'rig-gimbal',
    cameraId: 'cam-heron',
    lensId: 'lens-moss-35',
    focalLengthMm: 35,
  };
  it('is the one that has all of it', () => {
    const need = needOf(shoot.kit, shot);
    expect(need).toMatchObject({ changes: [], minutes: 0 });
    expect(need.build?.id).toBe('build-gimbal-35');
  });
  it('names lens, filter and zoom when they are another', () => {
    const build = builtAs('gimbal-35');
    expect(refitsFor(build, shoot.kit, { ...shot, lensId: 'lens-moss-85' }).map((row) => row.what)).toEqual(['lens']);
    expect(refitsFor(build, shoot.kit, { ...shot, filterIds: ['filter-nd8'] }).map((row) => row.what)).toEqual([
      'filter',
    ]);
    // 14 mm from 24 to 70: from 28 to 70 it goes 14 · 42/46.
    const [zoom] = refitsFor(builtAs('gimbal-zoom'), shoot.kit, {
      ...shot,
      lensId: 'lens-fern-2470',
      focalLengthMm: 70,
    });
    expect(zoom.said).toContain('12.8 mm forward');
    expect(zoom.redo).toContain('tilt fore and aft');
  });
  it('is none where no build is for the rig', () =>
    expect(needOf({ ...shoot.kit, builds: [] }, shot).build).toBeNull());
  it('each shot has one build at most', () => {
    const all = { ...shoot, shots: [shot, { ...shot, id: 'b', lensId: 'lens-moss-85' }] };
    const found = all.kit.builds.flatMap((build) => shotsOf(all, build).map((row) => row.number));
    expect(found.sort()).toEqual([1, 2]);
  });
});

describe('what a lens or a zoom disturbs on a motor gimbal', () => {
  const shoot: Shoot = newShoot('s', 'Test', 'shot-1');
  const build = builtAs('gimbal-zoom');
  const shot = { ...shoot.shots[0], rigId: 'rig-gimbal', lensId: 'lens-fern-2470', focalLengthMm: 70 };
  it('is fore and aft, by the lens’s share of the mass, by hand', () => {
    // 14 mm · 42/46 of a lens of 886 g on 1786 g: 6.3 mm.
    expect(disturbedAxes(build, shoot.kit, shot, 'metric')).toEqual([
      'tilt, fore and aft: slide the camera’s plate back by 6.3 mm',
    ]);
  });
  it('is nothing when nothing changes, or on another rig', () => {
    expect(disturbedAxes(build, shoot.kit, { ...shot, focalLengthMm: 28 }, 'metric')).toEqual([]);
    expect(disturbedAxes(builtAs('sled-zoom'), shoot.kit, shot, 'metric')).toEqual([]);
  });
  it('a longer lens goes on with its mount where the old one’s was', () => {
    const as = asFor(builtAs('gimbal-35'), shoot.kit, { ...shot, lensId: 'lens-moss-85', focalLengthMm: 85 });
    expect(as.parts[2]).toMatchObject({ partId: 'part-moss-85', foreMm: 52 + (82 - 73) / 2 });
    expect(
      disturbedAxes(
        builtAs('gimbal-35'),
        shoot.kit,
        { ...shot, lensId: 'lens-moss-85', focalLengthMm: 85 },
        'metric',
      ).join(),
    ).toMatch(/plate back by/);
  });
});

describe('the checklist', () => {
  it('starts with battery, card and cap, and has what the rig asks for', () => {
    const keys = checklistOf(builtAs('rope'), DEFAULT_KIT, []).map((row) => row.key);
    expect(keys.slice(0, 4)).toEqual(['battery', 'card', 'strap', 'cap']);
    expect(keys).toEqual(expect.arrayContaining(['line', 'rigger', 'lensStrap', 'spares']));
    expect(checklistOf(builtAs('sled-zoom'), DEFAULT_KIT, []).map((row) => row.key)).toEqual(
      expect.arrayContaining(['zoom', 'balance', 'wind']),
    );
    expect(
      checklistOf(builtAs('gimbal-nd'), DEFAULT_KIT, []).some((row) => row.said.startsWith('Dusk variable ND on')),
    ).toBe(true);
  });
  it('asks for a locked focus where a shot locks it, and keeps own items last', () => {
    const [first] = newShoot('s', 'Test', 'shot-1').shots;
    const build = { ...builtAs('gimbal-35'), ownChecks: [{ id: 'own', text: 'Thermos filled' }] };
    const checks = checklistOf(build, DEFAULT_KIT, [{ ...first, focus: { mode: 'fixed', distanceM: 3 } }]);
    expect(checks.map((row) => row.key)).toContain('focus');
    expect(checks.at(-1)).toEqual({ key: 'own.own', said: 'Thermos filled', own: true });
  });
  it('tells who is in its shots, where somebody is', () => {
    const shoot = newShoot('s', 'Test', 'shot-1');
    const ansa = newPiece('figure', 'ansa', 'Ansa', 0, 0, 0);
    const of = (subjectId: string | null) =>
      checklistOf(builtAs('gimbal-35'), shoot.kit, [{ ...shoot.shots[0], subjectId }], [ansa]).map((row) => row.said);
    expect(of('ansa')).toContain('Ansa told where the camera goes, and walked through');
    expect(of(null).join()).not.toContain('Ansa');
  });
  it('has each key once', () => {
    const [first] = newShoot('s', 'Test', 'shot-1').shots;
    for (const plain of DEFAULT_KIT.builds) {
      const twice = { partId: 'part-nd8', on: 'top' as const, foreMm: 0, sideMm: 0, upMm: 0 };
      const build = { ...plain, parts: [...plain.parts, twice, twice] };
      const said = refitsFor(build, DEFAULT_KIT, first).map((row) => row.said);
      expect(new Set(said).size).toBe(said.length);
      const keys = checklistOf(build, DEFAULT_KIT, []).map((row) => row.key);
      expect(new Set(keys).size).toBe(keys.length);
    }
  });
});
