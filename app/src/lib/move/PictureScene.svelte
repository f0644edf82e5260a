<script lang="ts">
  import { T, useThrelte } from '@threlte/core';
  import { Color, DirectionalLight, Fog, Object3D, PerspectiveCamera } from 'three';
  import type { Piece } from '@gentle-arc/core/model/piece';
  import type { Setup } from '@gentle-arc/core/model/shoot';
  import type { Samples } from '@gentle-arc/core/motion/sample';
  import { WALK_STEP_S, walkAt } from '@gentle-arc/core/motion/walk';
  import { preferences } from '$lib/store/preferences.svelte';
  import { depthTint, geometryOf, groundMaterial, materialOf } from './scene-look';

  let { setup, samples, row }: { setup: Setup; samples: Samples; row: number } = $props();

  const { scene, invalidate, renderer } = useThrelte();
  const camera = new PerspectiveCamera();
  camera.rotation.order = 'YXZ';
  camera.near = 0.05;
  camera.far = 1500;

  /** Several pictures share their materials: each says how far its subject is just before it is drawn. */
  let subjectM = 5;
  scene.onBeforeRender = () => (depthTint.value = subjectM);

  const RAD = Math.PI / 180;
  const SUN = { x: -32, y: 42, z: 26 };
  const SHADOW_REACH_M = 34;

  const sun = new DirectionalLight('#fff0d2', 2.3);
  sun.castShadow = true;
  sun.shadow.mapSize.set(2048, 2048);
  sun.shadow.bias = -0.0006;
  sun.shadow.normalBias = 0.04;
  Object.assign(sun.shadow.camera, { left: -SHADOW_REACH_M, right: SHADOW_REACH_M, top: SHADOW_REACH_M, bottom: -SHADOW_REACH_M, near: 1, far: 160 });
  const sunTarget = new Object3D();
  sun.target = sunTarget;
  renderer.shadowMap.autoUpdate = false;

  $effect(() => {
    const sky = new Color(preferences.light === 'dim' ? '#56656c' : '#dde7ea');
    scene.background = sky;
    scene.fog = new Fog(sky, 60, 420);
    invalidate();
  });

  /** Where a piece stands at the playhead. */
  const walks = $derived(new Map(setup.shot.walks.map((walk) => [walk.pieceId, walkAt(walk.points)])));
  const spot = new Float64Array(3);
  function placeOf(piece: Piece, at: number): { position: [number, number, number]; headingDeg: number } {
    const walk = walks.get(piece.id);
    if (!walk) return { position: [piece.xM, piece.yM, piece.zM], headingDeg: piece.headingDeg };
    const tS = samples.tS[Math.min(at, samples.count - 1)];
    walk(tS + WALK_STEP_S / 2, spot);
    const [aheadX, aheadY] = spot;
    walk(tS - WALK_STEP_S / 2, spot);
    const [dx, dy] = [aheadX - spot[0], aheadY - spot[1]];
    walk(tS, spot);
    const headingDeg = Math.hypot(dx, dy) > 0.05 ? Math.atan2(dx, dy) / RAD : piece.headingDeg;
    return { position: [spot[0], spot[1], spot[2]], headingDeg };
  }

  $effect(() => {
    const i = Math.min(row, samples.count - 1);
    camera.position.set(samples.xM[i], samples.zM[i], -samples.yM[i]);
    camera.rotation.set(samples.tiltDeg[i] * RAD, -samples.panDeg[i] * RAD, -samples.rollDeg[i] * RAD);
    camera.fov = (2 * Math.atan(samples.frameHeightMm / (2 * samples.focalLengthMm[i]))) / RAD;
    camera.aspect = samples.frameWidthMm / samples.frameHeightMm;
    camera.updateProjectionMatrix();
    subjectM = samples.subjectDistanceM[i];
    invalidate();
  });

  $effect(() => {
    const target = setup.subject ?? { xM: samples.xM[0], yM: samples.yM[0], zM: 0 };
    sunTarget.position.set(target.xM, target.zM, -target.yM);
    sun.position.set(target.xM + SUN.x, target.zM + SUN.y, -target.yM + SUN.z);
    sunTarget.updateMatrixWorld();
  });

  $effect(() => {
    // Shadows change with the pieces, and with the playhead only where somebody walks.
    if (setup.pieces && (setup.shot.walks.length === 0 || row >= 0)) {
      renderer.shadowMap.needsUpdate = true;
      invalidate();
    }
  });
</script>

<T is={camera} makeDefault manual />
<T.HemisphereLight args={['#eef3f6', '#d8c8a4', 1.75]} />
<T is={sun} />
<T is={sunTarget} />

<!-- The site has z up; three.js has y up. -->
<T.Group rotation.x={-Math.PI / 2}>
  <T.Mesh receiveShadow material={groundMaterial}>
    <T.PlaneGeometry args={[3000, 3000]} />
  </T.Mesh>
  {#each setup.pieces as piece (piece.id)}
    {@const place = placeOf(piece, walks.has(piece.id) ? row : 0)}
    <T.Mesh
      geometry={geometryOf(piece)}
      material={materialOf(piece.kind, piece.id === setup.subject?.id)}
      position={place.position}
      rotation.z={-place.headingDeg * RAD}
      castShadow={piece.kind !== 'ridge'}
      receiveShadow
      dispose={false}
    />
  {/each}
</T.Group>
