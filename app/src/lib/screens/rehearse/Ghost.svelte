<script lang="ts">
  import { CAMERA_SIZE, type InPicture, project, writeCamera } from '@gentle-arc/core/optics';
  import type { LivePose } from '$lib/views/picture/film';

  /** Where the plan's frame is, seen through the camera that hands lead: at the subject's distance. */
  interface Props {
    pose: LivePose;
    plan: LivePose;
    frameWidthMm: number;
    frameHeightMm: number;
    distanceM: number;
  }
  let { pose, plan, frameWidthMm, frameHeightMm, distanceM }: Props = $props();

  const W = 1000;
  const high = $derived((W * frameHeightMm) / frameWidthMm);
  const corners = $derived.by(() => {
    const [mine, its] = [new Float64Array(CAMERA_SIZE), new Float64Array(CAMERA_SIZE)];
    const write = (out: Float64Array, at: LivePose) =>
      writeCamera(out, 0, at.xM, at.yM, at.zM, at.panDeg, at.tiltDeg, at.rollDeg, at.focalLengthMm, frameWidthMm);
    write(mine, pose);
    write(its, plan);
    const out: InPicture = { u: 0, w: 0, depthM: 0 };
    const scale = (frameWidthMm / plan.focalLengthMm) ** 2;
    const half = frameHeightMm / frameWidthMm / 2;
    const seen = [
      [-0.5, half],
      [0.5, half],
      [0.5, -half],
      [-0.5, -half],
      [0, 0],
    ].map(([u, w]) => {
      const [right, up] = [u * distanceM * scale, w * distanceM * scale];
      const along = (origin: number, axis: number) =>
        origin + its[axis] * right + its[4 + axis] * up + its[8 + axis] * distanceM;
      project(mine, 0, along(plan.xM, 0), along(plan.yM, 1), along(plan.zM, 2), out);
      return out.depthM > 0.05 ? { x: W / 2 + out.u * W, y: high / 2 - out.w * W } : null;
    });
    return seen.every((row) => row !== null) ? seen : null;
  });
</script>

<svg viewBox="0 0 {W} {high}" class="ghost" aria-hidden="true">
  {#if corners}
    <polygon
      points={corners
        .slice(0, 4)
        .map(({ x, y }) => `${x},${y}`)
        .join(' ')}
    />
    <path d="M{corners[4].x - 18} {corners[4].y} h36 M{corners[4].x} {corners[4].y - 18} v36" />
  {/if}
</svg>

<style>
  .ghost {
    position: absolute;
    inset: 0;
    width: 100%;
    height: 100%;
    pointer-events: none;
  }
  polygon,
  path {
    fill: none;
    stroke: var(--near);
    stroke-width: 4;
    stroke-dasharray: 16 10;
    opacity: 0.9;
  }
  path {
    stroke-dasharray: none;
  }
</style>
