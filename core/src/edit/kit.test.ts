import { describe, expect, it } from 'vitest';
import {
  BuildSchema,
  DEFAULT_BUILDS,
  DEFAULT_KIT,
  DEFAULT_PARTS,
  factsOf,
  holesOf,
  newShoot,
  SupportSchema,
} from '../model';
import { balanceOf, buildVerdict, draggedTo, supportFacts, supportOf, viewsOf, worstOf } from '../supports';
import { setAsTold } from './set-as-told';
import { withBuild, withMadeUpKit } from './builds';
import { changedThing, namedBy, rigWith, THINGS, type ThingList } from './kit';
import { readPartsJson } from '../formats';
import { withField } from './support';

const built = (id: string) => {
  const found = DEFAULT_BUILDS.find((row) => row.id === `build-${id}`);
  if (!found) throw new Error(id);
  return found;
};

describe('sentences about rigs', () => {
  it.each(DEFAULT_BUILDS.map((build) => [build.name, build] as const))(
    '%s: every number and choice is one of its own, and its ends are accepted',
    (_, { support }) => {
      const { sentences } = supportOf(support.kind);
      const named = sentences.flatMap(holesOf);
      const meant = Object.keys(support).filter((key) => key !== 'kind' && key !== 'log');
      expect([...named].sort()).toEqual(meant.sort());
      expect(Math.max(...sentences.map((text) => holesOf(text).length))).toBeLessThanOrEqual(5);
      for (const [field, fact] of Object.entries(supportFacts(support.kind))) {
        if (/^post/.test(field) || fact.type === 'piece') continue;
        const ends = fact.type === 'number' ? [fact.min, fact.max] : Object.keys(fact.names);
        for (const end of ends)
          expect(SupportSchema.safeParse(withField(support, field, end)).success, `${field} ${end}`).toBe(true);
      }
    },
  );
  it('yes and no become truth, and back', () => {
    const rope = built('rope').support;
    expect(withField(rope, 'secondLine', 'false')).toMatchObject({ secondLine: false });
  });
});

describe('the verdict', () => {
  it('leads with what cannot be', () => {
    const heavy = balanceOf(built('gimbal-long'), DEFAULT_KIT, 'metric');
    expect(worstOf(heavy)).toBe('cannot');
    expect(buildVerdict(heavy)).toMatch(/^Not like this: payload 2\.38 kg of 2\.2 kg\. Over its maker’s payload/);
  });
});

describe('the verdict on a rope', () => {
  it('is none while a second line is on: forces are for a rigger', () => {
    const rope = balanceOf(built('rope'), DEFAULT_KIT, 'metric');
    expect(worstOf(rope)).toBeNull();
    expect(buildVerdict(rope)).toContain('qualified people');
  });
});

describe('edits of the kit', () => {
  it('a sled set as solved rests level and drops as wished', () => {
    for (const id of ['sled-35', 'sled-85', 'sled-zoom', 'sled-wren']) {
      const build = built(id);
      const set = setAsTold(build, DEFAULT_KIT, 'metric');
      if (!set) throw new Error(id);
      expect(BuildSchema.safeParse(set).success).toBe(true);
      const facts = balanceOf(set, withBuild(DEFAULT_KIT, set), 'metric').facts;
      expect(Math.abs(facts.find(({ key }) => key === 'leanForeDeg')?.value ?? 9)).toBeLessThan(0.3);
      expect(facts.find(({ key }) => key === 'dropS')?.grade).toBe('fits');
    }
  });
  it('a gimbal and a jib set as told stay where they are left; what has nothing to set is left alone', () => {
    for (const id of ['gimbal-35', 'jib']) {
      const set = setAsTold(built(id), DEFAULT_KIT, 'metric');
      if (!set) throw new Error(id);
      const said = balanceOf(set, DEFAULT_KIT, 'metric').facts.filter(
        ({ said: words }) => words === 'stays where it is left',
      );
      expect(said).toHaveLength(id === 'jib' ? 1 : 4);
    }
    expect(setAsTold(built('rope'), DEFAULT_KIT, 'metric')).toBeNull();
    expect(setAsTold({ ...built('sled-35'), parts: [] }, DEFAULT_KIT, 'metric')).toBeNull();
  });
  it('the made-up kit comes to an older kit without naming what is not there', () => {
    const old = {
      ...DEFAULT_KIT,
      lenses: DEFAULT_KIT.lenses.slice(0, 1),
      rigs: DEFAULT_KIT.rigs.filter(({ id }) => id === 'rig-gimbal'),
      parts: [],
      builds: [],
    };
    const kit = withMadeUpKit(old, DEFAULT_PARTS, DEFAULT_BUILDS);
    expect(kit.builds.every(({ rigId }) => rigId === 'rig-gimbal')).toBe(true);
    expect(kit.builds.length).toBeGreaterThan(2);
    expect(kit.parts.find(({ id }) => id === 'part-moss-35')?.of).toBeNull();
  });
  it('parts as JSON come back, and a wrong one is named', () => {
    expect(readPartsJson(JSON.stringify({ parts: DEFAULT_PARTS }))).toEqual(DEFAULT_PARTS);
    expect(() => readPartsJson(JSON.stringify({ parts: [{ ...DEFAULT_PARTS[0], massG: -1 }] }))).toThrow(
      'parts[0].massG must be at least 0.1; it is -1.',
    );
    expect(() => readPartsJson('{')).toThrow(/not JSON/);
  });
});

describe('the drawing', () => {
  it('has two views of every build, to scale', () => {
    expect(DEFAULT_BUILDS.some(({ parts }) => parts.some(({ partId }) => partId === 'part-heron'))).toBe(true);
    for (const build of DEFAULT_BUILDS) {
      const views = viewsOf(build, DEFAULT_KIT);
      expect(views).toHaveLength(2);
      const bodies = views[0].shapes.filter((shape) => shape.form === 'box' && shape.name === 'Heron body');
      const placed = build.parts.filter(({ partId }) => partId === 'part-heron');
      expect(bodies.map((body) => body.form === 'box' && [body.widthMm, body.heightMm])).toEqual(
        placed.map(() => [72, 98]),
      );
      for (const shape of views.flatMap((view) => view.shapes))
        for (const value of Object.values(shape))
          if (typeof value === 'number') expect(Number.isFinite(value)).toBe(true);
    }
  });
  it('a part dragged goes as far as the hand', () => {
    const build = built('sled-35');
    const [side, behind] = viewsOf(build, DEFAULT_KIT);
    const moved = draggedTo(build, side.name, { part: 1 }, [0, 0], [12, -5]);
    expect(moved.parts[1]).toMatchObject({
      foreMm: build.parts[1].foreMm + 12,
      upMm: build.parts[1].upMm - 5,
      sideMm: build.parts[1].sideMm,
    });
    expect(draggedTo(build, behind.name, { part: 1 }, [0, 0], [4, 0]).parts[1].sideMm).toBe(build.parts[1].sideMm + 4);
  });
  it('the pivot dragged up is nearer to the plate, no nearer than it goes', () => {
    const build = built('sled-35');
    expect(draggedTo(build, 'From the side', { field: 'gimbalMm' }, [0, 0], [0, 20]).support).toMatchObject({
      gimbalMm: 85,
    });
    expect(draggedTo(build, 'From the side', { field: 'gimbalMm' }, [0, 0], [0, 500]).support).toMatchObject({
      gimbalMm: 60,
    });
  });
  it('a jib’s end follows the hand', () => {
    expect(
      draggedTo(built('jib'), 'From the side', { field: 'angleDeg' }, [1900, 1500], [1000, 2500]).support,
    ).toMatchObject({ angleDeg: 45 });
  });
});

describe('cameras, lenses, filters and rigs', () => {
  const shoot = newShoot('s', 'Test', 'shot-1');
  it('have only fields that they have, whose ends a copy accepts one by one or tells why not', () => {
    for (const list of Object.keys(THINGS) as ThingList[])
      for (const [key, fact] of Object.entries(factsOf(THINGS[list].schema))) {
        const [thing] = shoot.kit[list];
        expect(Object.keys(thing)).toContain(key);
        if (fact.type !== 'number') continue;
        for (const end of [fact.min, fact.max]) {
          const next = changedThing(list, thing, { [key]: end });
          if (typeof next === 'string') expect(next).toMatch(/swap the two/);
        }
      }
  });
  it('of a rig, the other end gives way when one is typed past it', () => {
    const [rig] = shoot.kit.rigs;
    expect(rigWith(rig, 'heightMinM', rig.heightMaxM + 1)).toMatchObject({ heightMaxM: rig.heightMaxM + 1 });
    expect(rigWith(rig, 'tiltMaxDeg', rig.tiltMinDeg - 5)).toMatchObject({ tiltMinDeg: rig.tiltMinDeg - 5 });
    expect(rigWith(rig, 'travelM', 3)).toEqual({ ...rig, travelM: 3 });
  });
  it('are refused with a sentence when out of order', () => {
    expect(changedThing('lenses', shoot.kit.lenses[1], { focalLengthMaxMm: 12 })).toBe(
      'Fern 24–70: focalLengthMaxMm must not be below focalLengthMinMm; swap the two.',
    );
    expect(changedThing('cameras', shoot.kit.cameras[0], { name: 'Other' })).toMatchObject({ name: 'Other' });
  });
  it('are kept while a shot, a build or a part names them', () => {
    expect(namedBy(shoot, 'lenses', shoot.shots[0].lensId)).toEqual(expect.arrayContaining(['“First shot”']));
    expect(namedBy(shoot, 'rigs', 'rig-sled')).toContain('“Sled with the 35”');
    expect(namedBy(shoot, 'filters', 'filter-nd2')).toEqual([]);
  });
});
