import { describe, expect, it } from 'vitest';
import { limitsOf, type Limits } from '../model';
import { plannedFilm } from '../motion';
import { measurePicture } from '../image';
import { sceneOf } from '../scene';
import { demoShoot } from '../testing/demo';
import { CURE_IDEAS } from './cure-ideas';
import { FINDING_KINDS, kindOf, pictureFindings, rigFindings } from './all';
import { rigCase } from './rig/rig-case';

const kinds = Object.entries(FINDING_KINDS);
const demo = demoShoot();

describe('definitions of findings', () => {
  it('every idea of a cure is named by some finding, and every trouble but a few has one', () => {
    const named = new Set(kinds.flatMap(([, { cures }]) => cures));
    expect(CURE_IDEAS.filter((idea) => !named.has(idea))).toEqual([]);
    expect(kinds.filter(([, { cures }]) => cures.length === 0).map(([id]) => id)).toEqual([
      'composition',
      'subject',
      'sun.side',
      'sun.shade',
      'sun.squint',
      'lamp.on',
      'lamp.change',
      'lamp.pulse',
      'lamp.battery',
      'light.door',
      'travel',
      'way.turn',
      'rig.circle',
    ]);
  });

  it('what a finding is held against is a limit of its kind, in every shot of the demo', () => {
    // A limit that is changed may change only findings whose kind names it.
    const asked = new Set<keyof Limits>();
    const watched = new Proxy(limitsOf({}), {
      get(limits, name) {
        asked.add(name as keyof Limits);
        return limits[name as keyof Limits];
      },
    });
    const scenes = demo.shots.map((shot) => ({ ...sceneOf(demo, shot), limits: watched }));
    const ids = new Set<string>();
    for (const scene of scenes) {
      const film = plannedFilm(scene);
      const picture = measurePicture(film, 'metric');
      asked.clear();
      for (const finding of [...pictureFindings(picture), ...rigFindings(rigCase(film, 'metric'))]) {
        ids.add(finding.id);
        expect(kindOf(finding.id), finding.id).toBeDefined();
      }
      const known = new Set(kinds.flatMap(([, { limits }]) => limits));
      expect([...asked].filter((name) => !known.has(name) && !BESIDES.has(name))).toEqual([]);
    }
    expect(ids.size).toBeGreaterThan(30);
  });

  it('points at near, far, all that stands still, the subject, or the frame', () => {
    const ids = ['speed.near', 'speed.far', 'stop', 'even.picture', 'size', 'lookRoom', 'rig.height', 'empty'] as const;
    const places = ['near', 'far', 'layers', 'layers', 'subject', 'subject', 'frame', 'frame'];
    expect(ids.map((id) => kindOf(id).about)).toEqual(places);
  });

  it('a finding of one of several moves is of its kind', () => {
    expect(kindOf('travel.2')).toBe(FINDING_KINDS.travel);
  });
});

/** Read for the words of a finding, not for its grade. */
const BESIDES = new Set<keyof Limits>(['windowTemporalHz', 'windowSpatialCpd', 'pictureWidthDeg']);
