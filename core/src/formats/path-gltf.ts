import { Document, Logger, WebIO, type Node } from '@gltf-transform/core';
import type { Piece, PieceKind } from '../model';
import type { Scene, Stance, Thing } from '../scene';
import { filmShot } from '../motion';
import { panesOf, solidOf, type WallPart } from '../site';

const RAD = Math.PI / 180;

/**
 * Site (x east, y north, z up) to glTF (x right, y up, z towards the viewer): east stays x, up becomes y, north becomes
 * −z.
 */
const toGltf = (xM: number, yM: number, zM: number): [number, number, number] => [xM, zM, -yM];

/**
 * Rotation of a camera (looking along −z, up +y) with a pan, tilt and roll in degrees, as a unit quaternion x, y, z, w.
 */
export function cameraQuaternion(panDeg: number, tiltDeg: number, rollDeg: number): [number, number, number, number] {
  const half = [-panDeg, tiltDeg, -rollDeg].map((deg) => (deg * RAD) / 2);
  const yaw: Quaternion = [0, Math.sin(half[0]), 0, Math.cos(half[0])];
  const pitch: Quaternion = [Math.sin(half[1]), 0, 0, Math.cos(half[1])];
  const roll: Quaternion = [0, 0, Math.sin(half[2]), Math.cos(half[2])];
  return times(times(yaw, pitch), roll);
}

type Quaternion = [number, number, number, number];

function times(a: Quaternion, b: Quaternion): Quaternion {
  return [
    a[3] * b[0] + a[0] * b[3] + a[1] * b[2] - a[2] * b[1],
    a[3] * b[1] - a[0] * b[2] + a[1] * b[3] + a[2] * b[0],
    a[3] * b[2] + a[0] * b[1] - a[1] * b[0] + a[2] * b[3],
    a[3] * b[3] - a[0] * b[0] - a[1] * b[1] - a[2] * b[2],
  ];
}

/** Plain colours of the solids in the file, linear RGB. */
const COLOURS: Record<PieceKind, [number, number, number]> = {
  figure: [0.05, 0.3, 0.22],
  dog: [0.4, 0.28, 0.18],
  car: [0.5, 0.24, 0.18],
  lorry: [0.55, 0.42, 0.2],
  motorbike: [0.4, 0.2, 0.2],
  bicycle: [0.35, 0.3, 0.3],
  scooter: [0.35, 0.3, 0.3],
  board: [0.5, 0.36, 0.2],
  boat: [0.5, 0.4, 0.28],
  bottle: [0.2, 0.34, 0.26],
  tin: [0.6, 0.36, 0.2],
  watch: [0.6, 0.55, 0.45],
  turntable: [0.5, 0.48, 0.44],
  table: [0.5, 0.36, 0.22],
  chair: [0.48, 0.34, 0.22],
  plinth: [0.66, 0.62, 0.55],
  lamp: [0.75, 0.7, 0.55],
  model: [0.6, 0.5, 0.42],
  post: [0.45, 0.3, 0.2],
  hedge: [0.28, 0.42, 0.16],
  wall: [0.75, 0.68, 0.58],
  box: [0.7, 0.62, 0.5],
  slab: [0.6, 0.54, 0.42],
  tree: [0.22, 0.36, 0.2],
  ridge: [0.42, 0.5, 0.44],
  stair: [0.58, 0.53, 0.43],
  platform: [0.5, 0.38, 0.24],
  road: [0.3, 0.29, 0.27],
  water: [0.26, 0.42, 0.46],
  terrain: [0.54, 0.52, 0.32],
  fence: [0.42, 0.32, 0.2],
  rock: [0.4, 0.38, 0.34],
  bush: [0.26, 0.4, 0.18],
};

/**
 * A shot as one glTF 2.0 file (JSON with its buffer inside): the site's solids, an animated camera, and whatever goes
 * animated as well. glTF has no animated angle of view, so `camera.perspective.yfov` holds the first frame's and the extras of
 * the camera list every frame's focal length in mm together with the frame size. Frames are the recorded ones: how they
 * are played afterwards is the cut's.
 */
export async function writePathGltf(scene: Scene): Promise<string> {
  const samples = filmShot(scene);
  const document = new Document().setLogger(new Logger(Logger.Verbosity.SILENT));
  document.getRoot().getAsset().generator = 'Gentle Arc';
  const buffer = document.createBuffer();
  const world = document.createScene(scene.shot.name);
  document.getRoot().setDefaultScene(world);
  const column = (array: Float32Array<ArrayBuffer>, type: 'SCALAR' | 'VEC3' | 'VEC4') =>
    document.createAccessor().setType(type).setArray(array).setBuffer(buffer);

  const materials = new Map<PieceKind, ReturnType<Document['createMaterial']>>();
  const materialOf = (kind: PieceKind) => {
    const known = materials.get(kind);
    if (known) return known;
    const made = document
      .createMaterial(kind)
      .setBaseColorFactor([...COLOURS[kind], 1])
      .setMetallicFactor(0)
      .setRoughnessFactor(0.9);
    materials.set(kind, made);
    return made;
  };
  let glass: ReturnType<Document['createMaterial']> | null = null;
  const glassy = () =>
    (glass ??= document
      .createMaterial('glass')
      .setBaseColorFactor([0.8, 0.85, 0.9, 0.2])
      .setAlphaMode('BLEND')
      .setDoubleSided(true)
      .setMetallicFactor(0)
      .setRoughnessFactor(0.05));
  // Whatever goes or turns goes and turns there; the subject always has its own channel.
  const going: { thing: Thing; node: Node }[] = [];
  for (const thing of scene.things) {
    const { piece } = thing;
    const node = pieceNode(document, piece, column, materialOf(piece.kind), glassy);
    world.addChild(node);
    if (thing.walks || piece === scene.subject) going.push({ thing, node });
  }

  const lens = document
    .createCamera(scene.camera.name)
    .setType('perspective')
    .setYFov(2 * Math.atan(samples.frameHeightMm / (2 * samples.focalLengthMm[0])))
    .setAspectRatio(samples.frameWidthMm / samples.frameHeightMm)
    .setZNear(0.05)
    .setZFar(2000)
    .setExtras({
      frameWidthMm: samples.frameWidthMm,
      frameHeightMm: samples.frameHeightMm,
      frameRateHz: samples.frameRateHz,
      focalLengthMm: Array.from(samples.focalLengthMm),
    });
  const camera = document
    .createNode('Camera')
    .setCamera(lens)
    .setTranslation(toGltf(samples.xM[0], samples.yM[0], samples.zM[0]))
    .setRotation(cameraQuaternion(samples.panDeg[0], samples.tiltDeg[0], samples.rollDeg[0]));
  world.addChild(camera);

  const animation = document.createAnimation(scene.shot.name);
  const times_ = column(Float32Array.from(samples.tS), 'SCALAR');
  const animate = (node: Node, path: 'translation' | 'rotation', values: Float32Array<ArrayBuffer>) => {
    const sampler = document
      .createAnimationSampler()
      .setInput(times_)
      .setOutput(column(values, path === 'rotation' ? 'VEC4' : 'VEC3'))
      .setInterpolation('LINEAR');
    animation
      .addSampler(sampler)
      .addChannel(document.createAnimationChannel().setTargetNode(node).setTargetPath(path).setSampler(sampler));
  };
  const rows = <T extends number[]>(width: number, row: (i: number) => T) => {
    const values = new Float32Array(samples.count * width);
    for (let i = 0; i < samples.count; i += 1) values.set(row(i), i * width);
    return values;
  };
  animate(
    camera,
    'translation',
    rows(3, (i) => toGltf(samples.xM[i], samples.yM[i], samples.zM[i])),
  );
  animate(
    camera,
    'rotation',
    rows(4, (i) => cameraQuaternion(samples.panDeg[i], samples.tiltDeg[i], samples.rollDeg[i])),
  );
  const spot = new Float64Array(3);
  const stance: Stance = { headingDeg: 0, leanDeg: 0, pitchDeg: 0 };
  for (const { thing, node } of going) {
    animate(
      node,
      'translation',
      rows(3, (i) => {
        thing.at(samples.tS[i], spot);
        return toGltf(spot[0], spot[1], spot[2]);
      }),
    );
    animate(
      node,
      'rotation',
      rows(4, (i) => {
        thing.stanceAt(samples.tS[i], stance);
        return cameraQuaternion(stance.headingDeg, stance.pitchDeg, stance.leanDeg);
      }),
    );
  }

  const { json, resources } = await new WebIO()
    .setLogger(new Logger(Logger.Verbosity.SILENT))
    .writeJSON(document, { basename: 'path' });
  for (const entry of json.buffers ?? [])
    if (entry.uri) entry.uri = `data:application/octet-stream;base64,${base64(resources[entry.uri])}`;
  return JSON.stringify(json);
}

function pieceNode(
  document: Document,
  piece: Piece,
  column: (array: Float32Array<ArrayBuffer>, type: 'VEC3') => ReturnType<Document['createAccessor']>,
  material: ReturnType<Document['createMaterial']>,
  glassy: () => typeof material,
): Node {
  const turned = (xyz: ArrayLike<number>) => {
    const out = new Float32Array(xyz.length);
    for (let i = 0; i < xyz.length; i += 3) out.set(toGltf(xyz[i], xyz[i + 1], xyz[i + 2]), i);
    return out;
  };
  const mesh = document.createMesh(piece.name);
  const add = ({ positions, normals }: Record<'positions' | 'normals', ArrayLike<number>>, of: typeof material) =>
    mesh.addPrimitive(
      document
        .createPrimitive()
        .setAttribute('POSITION', column(turned(positions), 'VEC3'))
        .setAttribute('NORMAL', column(turned(normals), 'VEC3'))
        .setMaterial(of),
    );
  add(solidOf(piece), material);
  const sheets = piece.kind === 'wall' ? panesOf(piece).flatMap(sheetOf) : [];
  if (sheets.length > 0) add({ positions: sheets, normals: sheets.map((_, i) => (i % 3 === 0 ? 1 : 0)) }, glassy());
  return document
    .createNode(piece.name)
    .setMesh(mesh)
    .setTranslation(toGltf(piece.xM, piece.yM, piece.zM))
    .setRotation(cameraQuaternion(piece.headingDeg, 0, 0));
}

/** A sheet of glass in the middle of its wall: two triangles, corner by corner. */
const sheetOf = ({ from, to, bottom, top }: WallPart): number[] => [
  ...[0, from, bottom, 0, to, bottom, 0, to, top],
  ...[0, from, bottom, 0, to, top, 0, from, top],
];

const BASE64 = 'ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz0123456789+/';

/** RFC 4648 base64: written here because the core has neither Node's Buffer nor the page's btoa. */
function base64(bytes: Uint8Array): string {
  const parts: string[] = [];
  for (let i = 0; i < bytes.length; i += 3) {
    const triple = (bytes[i] << 16) | ((bytes[i + 1] ?? 0) << 8) | (bytes[i + 2] ?? 0);
    parts.push(
      BASE64[(triple >> 18) & 63] +
        BASE64[(triple >> 12) & 63] +
        (i + 1 < bytes.length ? BASE64[(triple >> 6) & 63] : '=') +
        (i + 2 < bytes.length ? BASE64[triple & 63] : '='),
    );
  }
  return parts.join('');
}
