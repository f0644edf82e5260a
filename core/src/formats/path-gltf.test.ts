import { validateString } from 'gltf-validator';
import Papa from 'papaparse';
import { Box3, Mesh, Quaternion, Vector3, type AnimationClip, type Material, type PerspectiveCamera } from 'three';
import { GLTFLoader } from 'three/examples/jsm/loaders/GLTFLoader.js';
import { describe, expect, it, vi } from 'vitest';
import { demoShoot } from '../testing/demo';
import { newPiece, PieceSchema, type Shot, shotDurationS } from '../model';
import { sceneOf } from '../scene';
import { filmShot, rowCount } from '../motion';
import { threeCameraAt } from '../testing/three-camera';
import { writePathCsv } from './path-csv';
import { writePathGltf } from './path-gltf';

// three.js reports loading with an event class that Node does not have.
vi.stubGlobal('ProgressEvent', class extends Event {});

const demo = demoShoot();

/** How a shot is played in the cut changes nothing in what was recorded. */
const CUT: [string, Shot['playback']][] = [
  ['reversed', { reversed: true, ramp: [] }],
  [
    'ramped',
    {
      reversed: false,
      ramp: [
        { atS: 1, speed: 1 },
        { atS: 3, speed: 0.25 },
      ],
    },
  ],
  [
    'ramped and reversed',
    {
      reversed: true,
      ramp: [
        { atS: 1, speed: 4 },
        { atS: 3, speed: 0.5 },
      ],
    },
  ],
];

describe('glTF 2.0', () => {
  it.each(demo.shots.map((shot) => [shot.name, shot] as const))(
    '%s: gltf-validator finds no errors and no warnings',
    async (_, shot) => {
      const scene = sceneOf(demo, shot);
      const report = await validateString(await writePathGltf(scene));
      expect(report.issues.messages.filter((message) => message.severity <= 1)).toEqual([]);
      expect(report.info.animationCount).toBe(1);
    },
  );
  it('opened again with three.js: pose and angle of view survive within 1e-5, solids are there', async () => {
    const scene = sceneOf(demo, demo.shots[2]);
    const samples = filmShot(scene);
    const { scene: world, cameras, animations } = await new GLTFLoader().parseAsync(await writePathGltf(scene), '');
    const camera = cameras[0] as PerspectiveCamera;
    const ours = (i: number) => threeCameraAt(samples, i);
    expect(Math.abs(camera.fov - ours(0).fov)).toBeLessThan(1e-5 * camera.fov);
    expect(camera.aspect).toBeCloseTo(samples.frameWidthMm / samples.frameHeightMm, 5);
    const [clip] = animations as AnimationClip[];
    const track = (end: string) => clip.tracks.find((row) => row.name.startsWith('Camera.') && row.name.endsWith(end));
    const [positions, turns] = [track('position'), track('quaternion')];
    expect(positions?.times.length).toBe(samples.count);
    for (const i of [0, 111, samples.count - 1]) {
      expect(new Vector3().fromArray(positions?.values ?? [], i * 3).distanceTo(ours(i).position)).toBeLessThan(
        1e-5 * 20,
      );
      expect(new Quaternion().fromArray(turns?.values ?? [], i * 4).angleTo(ours(i).quaternion)).toBeLessThan(1e-3);
    }
    const still = demo.site.pieces.filter((piece) => piece.id !== 'ansa');
    for (const piece of still) {
      const at = new Vector3(piece.xM, piece.zM, -piece.yM);
      expect(
        world.children.some((child) => child.position.distanceTo(at) < 1e-4),
        piece.name,
      ).toBe(true);
    }
  });
  it('has the glass of a wall where it stands, to be seen through', async () => {
    const piece = PieceSchema.parse({
      ...newPiece('wall', 'pane', 'Pane', 3, 5, 0),
      headingDeg: 90,
      lengthM: 6,
      heightM: 3,
      openings: [
        { offsetM: 1, widthM: 1.2, heightM: 2.1, sillM: 0.9, pane: 'glass' },
        { offsetM: -1.5, widthM: 1, heightM: 2, sillM: 0, pane: 'open' },
      ],
    });
    const scene = sceneOf({ ...demo, site: { ...demo.site, pieces: [...demo.site.pieces, piece] } }, demo.shots[2]);
    const text = await writePathGltf(scene);
    expect((await validateString(text)).issues).toMatchObject({ numErrors: 0, numWarnings: 0 });
    const { scene: world } = await new GLTFLoader().parseAsync(text, '');
    const panes: Mesh[] = [];
    world.traverse((one) => one instanceof Mesh && (one.material as Material).transparent && panes.push(one));
    const boxes = panes.map((pane) => new Box3().setFromObject(pane));
    const [box] = boxes.filter(({ min }) => Math.abs(min.z + 5) < 1e-5);
    // Heading east its length lies along x: from 0.4 to 1.6 m ahead of its middle, 0.9 to 2.1 m up.
    for (const [corner, wanted] of [
      [box.min, [3.4, 0.9, -5]],
      [box.max, [4.6, 2.1, -5]],
    ] as const)
      corner.toArray().forEach((value, i) => expect(value).toBeCloseTo(wanted[i], 5));
  });
  it.each(CUT)('%s: what was recorded is written, in its order, and is valid', async (_, playback) => {
    const shot = { ...demo.shots[2], playback };
    const report = await validateString(await writePathGltf(sceneOf(demo, shot)));
    expect(report.issues.numErrors + report.issues.numWarnings).toBe(0);
    expect(await writePathGltf(sceneOf(demo, shot))).toBe(
      await writePathGltf(sceneOf(demo, { ...shot, playback: { reversed: false, ramp: [] } })),
    );
  });
  it('keeps the zoom of a dolly zoom in the extras of the camera', async () => {
    const scene = sceneOf(demo, demo.shots[4]);
    const samples = filmShot(scene);
    const file = JSON.parse(await writePathGltf(scene)) as { cameras: { extras: { focalLengthMm: number[] } }[] };
    expect(file.cameras[0].extras.focalLengthMm).toEqual([...samples.focalLengthMm]);
  });
});

describe('a shot that is cut fast or backwards', () => {
  it.each(CUT)('%s: the CSV has every recorded frame once, in the order of recording', (_, playback) => {
    const shot = { ...demo.shots[2], playback };
    const { data } = Papa.parse<{ t_s: number }>(writePathCsv(sceneOf(demo, shot)), {
      header: true,
      dynamicTyping: true,
      skipEmptyLines: true,
    });
    expect(data.length).toBe(rowCount(shotDurationS(shot), shot.captureRateHz));
    expect(data.every((row, i) => Math.abs(row.t_s - i / shot.captureRateHz) < 1e-5)).toBe(true);
  });
});
