<script lang="ts">
  import { shotSession } from '$lib/session/shot-session.svelte';
  import { FIELDS, sayLength, trim } from '@gentle-arc/core/model';
  import { putMeasured } from '@gentle-arc/core/edit';
  import { newId } from '$lib/session/store/new-id';
  import Hole from '$lib/ui/Hole.svelte';
  import { notice } from '$lib/ui/notice.svelte';
  import { distanceFromShareM, frameSizeMm, shareAtDistance, stacked, stackRatio } from '@gentle-arc/core/optics';
  import { groundHeightM, groundPieces, roomM } from '@gentle-arc/core/site';
  import PhotoMeasure from './PhotoMeasure.svelte';
  import { preferences } from '$lib/ui/preferences.svelte';

  /** Distances from sizes in the picture, and how far back two things look alike. */
  const session = shotSession();
  const { shoot, shot, scene, samples } = $derived(session);
  const { changeBench: onbench } = session;

  const frame = $derived(frameSizeMm(scene.camera, scene.delivery));
  const length = (m: number) => sayLength(m, preferences.units);
  const subjectM = $derived(scene.subject?.heightM ?? 1.7);

  const bench = $derived(shot.bench);
  const share = $derived(bench.fillsPercent);
  const knownM = $derived(bench.knownHeightM ?? subjectM);
  const awayM = $derived(distanceFromShareM(knownM, share / 100, shot.focalLengthMm, frame.heightMm));
  const fills = $derived(shareAtDistance(knownM, bench.distanceM, shot.focalLengthMm, frame.heightMm));
  const stack = $derived(stacked(bench.apartM, 1 + bench.alikePercent / 100, knownM, share / 100, frame.heightMm));
  /** How far one can go straight back from where the shot starts. */
  const back = $derived.by(() => {
    if (!scene.subject) return null;
    const [dx, dy] = [samples.xM[0] - samples.subjectXM[0], samples.yM[0] - samples.subjectYM[0]];
    const from = { xM: samples.xM[0], yM: samples.yM[0] };
    const groundM = groundHeightM(groundPieces(scene.pieces), from.xM, from.yM);
    const room = roomM(scene.pieces, from, (Math.atan2(dx, dy) * 180) / Math.PI, groundM);
    return { ...room, mostM: Math.hypot(dx, dy) + room.roomM };
  });
  /** What was measured stands on the plan from now on, in the direction that the camera looks at the playhead. */
  function put(awayM: number) {
    const at = { xM: samples.xM[session.row], yM: samples.yM[session.row], panDeg: samples.panDeg[session.row] };
    if (session.change(putMeasured(shoot, newId('piece'), at, { awayM, heightM: knownM })))
      notice.say(`It stands ${length(awayM)} before the camera now, as a post ${length(knownM)} high: see Scout.`);
  }
  const reach = $derived(shoot.kit.lenses.reduce((most, lens) => Math.max(most, lens.focalLengthMaxMm), 0));
</script>

<section aria-label="Distances">
  <h2 class="font-display text-xl">How far</h2>
  <p class="said">
    Something <Hole
      fact={FIELDS.bench.knownHeightM}
      value={knownM}
      onchange={(knownHeightM: number) => onbench({ knownHeightM }, 'bench.known')}
    /> high that fills
    <Hole
      fact={FIELDS.bench.fillsPercent}
      value={share}
      onchange={(fillsPercent: number) => onbench({ fillsPercent }, 'bench.fills')}
    /> of the frame height at {trim(shot.focalLengthMm, 0)} mm is
    <b>{length(awayM)}</b> away. At <Hole
      fact={FIELDS.bench.distanceM}
      value={bench.distanceM}
      onchange={(distanceM: number) => onbench({ distanceM }, 'bench.distance')}
    /> it fills
    <b>{trim(fills * 100, 0)}%</b>.
  </p>
  <p class="said">
    Two such things <Hole
      fact={FIELDS.bench.apartM}
      value={bench.apartM}
      onchange={(apartM: number) => onbench({ apartM }, 'bench.apart')}
    /> one behind the other look next to each other (sizes within <Hole
      fact={FIELDS.bench.alikePercent}
      value={bench.alikePercent}
      onchange={(alikePercent: number) => onbench({ alikePercent }, 'bench.alike')}
    />) from
    <b>{length(stack.toNearerM)}</b>
    on, with
    <b>{trim(stack.focalLengthMm, 0)} mm</b> for the nearer to fill {trim(share, 0)}% of the height.
    {#if stack.focalLengthMm > reach}The kit’s longest is {trim(reach, 0)} mm: from there the nearer looks {trim(
        stackRatio((knownM * reach) / ((share / 100) * frame.heightMm), bench.apartM),
        2,
      )} times as large as the other.{/if}
    {#if back}
      {#if back.piece && back.roomM < 0.1}Behind the camera stands {back.piece.name}: there is no way back.{:else}Behind
        the camera {back.piece
          ? `there are ${length(back.roomM)} before ${back.piece.name} stands in the way`
          : 'is open ground'}: {back.mostM >= stack.toNearerM
          ? 'far enough.'
          : `at most ${length(back.mostM)} from ${scene.subject?.name}, where the nearer looks ${trim(stackRatio(back.mostM, bench.apartM), 2)} times as large.`}{/if}
    {/if}
  </p>
  <PhotoMeasure
    shootId={shoot.id}
    {bench}
    {onbench}
    {knownM}
    focalLengthMm={shot.focalLengthMm}
    onput={put}
    sensor={{ widthMm: scene.camera.sensorWidthMm, heightMm: scene.camera.sensorHeightMm }}
  />
</section>
