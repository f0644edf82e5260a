<script lang="ts">
  import type { Scene } from '@gentle-arc/core/scene';
  import type { Samples } from '@gentle-arc/core/motion';
  import { isInFrame, type Streak, streaker, subjectInFrame } from '@gentle-arc/core/image';
  import type { About } from '@gentle-arc/core/findings';

  /**
   * What a chosen finding is about, drawn over the picture: how far still things go about this moment (the dot leads),
   * or the subject.
   */
  interface Props {
    scene: Scene;
    samples: Samples;
    row: number;
    about: About;
  }
  let { scene, samples, row, about }: Props = $props();

  const streaksAt = $derived(streaker(scene, samples));
  const subject = $derived(subjectInFrame(samples, scene));
  const layers = $derived(
    about === 'near' || about === 'layers'
      ? about === 'near'
        ? (['near'] as const)
        : (['near', 'far'] as const)
      : about === 'far'
        ? (['far'] as const)
        : [],
  );
  const x = (u: number) => (u + 0.5) * 100;
  const y = (v: number) => (0.5 - v) * 100;
  const longEnough = ({ fromU, fromV, toU, toV }: Streak) => Math.hypot(toU - fromU, toV - fromV) > 0.002;
  const box = $derived.by(() => {
    if (about !== 'subject' || !scene.subject || !isInFrame(subject, row)) return null;
    const [half, top, base] = [
      Math.max(0.012, subject.halfWidth[row] * 1.15),
      subject.topV[row] + 0.015,
      subject.baseV[row] - 0.015,
    ];
    return {
      left: x(subject.u[row] - half),
      right: x(subject.u[row] + half),
      top: y(Math.max(top, base)),
      bottom: y(Math.min(top, base)),
    };
  });
</script>

<svg viewBox="0 0 100 100" preserveAspectRatio="none" aria-hidden="true" data-about={about}>
  {#each layers as layer (layer)}
    {#each streaksAt(row, layer).filter(longEnough) as streak, i (i)}
      <path class="under" d="M{x(streak.fromU)} {y(streak.fromV)}L{x(streak.toU)} {y(streak.toV)}" />
      <path class={layer} d="M{x(streak.fromU)} {y(streak.fromV)}L{x(streak.toU)} {y(streak.toV)}" />
      <path class="{layer} tip" d="M{x(streak.toU)} {y(streak.toV)}h0" />
    {/each}
  {/each}
  {#if box}
    <path class="under" d="M{box.left} {box.top}H{box.right}V{box.bottom}H{box.left}Z" />
    <path class="subject" d="M{box.left} {box.top}H{box.right}V{box.bottom}H{box.left}Z" />
  {/if}
  {#if about === 'frame'}<path class="frame" d="M0.4 0.7H99.6V99.3H0.4Z" />{/if}
</svg>

<style>
  svg {
    position: absolute;
    inset: 0;
    width: 100%;
    height: 100%;
    pointer-events: none;
  }
  path {
    fill: none;
    stroke-width: 3px;
    stroke-linecap: round;
    stroke-linejoin: round;
    vector-effect: non-scaling-stroke;
  }
  .under {
    stroke: #fffdf8;
    stroke-opacity: 0.75;
    stroke-width: 5.5px;
  }
  .tip {
    stroke-width: 7px;
  }
  .near {
    stroke: #b4531f;
  }
  .far {
    stroke: #33597d;
  }
  .subject {
    stroke: #0e5a4a;
  }
  .frame {
    stroke: #b4531f;
    stroke-dasharray: 9 6;
  }
</style>
