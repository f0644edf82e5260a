<script lang="ts">
  import { AIM_MODES, type Aim, type AimMode } from '@gentle-arc/core/model/shot';
  import { trim } from '@gentle-arc/core/model/units';
  import Choice from '$lib/parts/Choice.svelte';
  import NumberField from '$lib/parts/NumberField.svelte';

  /** Who turns the camera and how it runs after them, as a sentence. `led`: the move itself says where to look. */
  interface Props {
    aim: Aim;
    led: boolean;
    /** How far the subject leaves its place under each, frame widths. */
    drifts: Record<AimMode, number> | null;
    onaim: (change: Partial<Aim>, join: string | null) => void;
    onsettle: () => void;
  }
  let { aim, led, drifts, onaim, onsettle }: Props = $props();

  const MODES: Record<AimMode, string> = {
    subject: 'tracks the subject',
    locked: 'is locked on one bearing',
    panFollow: 'follows the hand in pan',
    panTiltFollow: 'follows in pan and tilt',
    allFollow: 'follows on all axes, horizon free',
  };
  /** Each with what it leaves on screen for this very shot. */
  function nameOf(mode: AimMode): string {
    const drift = drifts?.[mode];
    if (drift === undefined) return MODES[mode];
    return `${MODES[mode]} (${drift === Infinity ? 'loses the subject' : drift < 0.001 ? 'no drift' : `drift ${trim(drift * 100, drift < 0.095 ? 1 : 0)}%`})`;
  }
</script>

<p class="said">
  The camera {#if led}looks as the move says{:else}<Choice
      label="Aim"
      value={aim.mode}
      items={AIM_MODES.map((value) => ({ value, name: nameOf(value) }))}
      onchange={(mode) => onaim({ mode: mode as AimMode }, null)}
    />{/if}, the subject
  <NumberField
    label="Subject across the frame, % right of the middle"
    value={Math.round(aim.place.u * 1000) / 10}
    unit="percent"
    min={-50}
    max={50}
    step={1}
    onchange={(v) => onaim({ place: { ...aim.place, u: v / 100 } }, 'aim.u')}
    {onsettle}
  /> right and
  <NumberField
    label="Subject up the frame, % above the middle"
    value={Math.round(aim.place.v * 1000) / 10}
    unit="percent"
    min={-50}
    max={50}
    step={1}
    onchange={(v) => onaim({ place: { ...aim.place, v: v / 100 } }, 'aim.v')}
    {onsettle}
  /> up from the middle. It runs
  <NumberField
    label="Smoothing time"
    value={aim.smoothingS}
    unit="s"
    min={0}
    max={5}
    step={0.05}
    onchange={(smoothingS) => onaim({ smoothingS }, 'aim.smoothing')}
    {onsettle}
  /> behind, does not stir within
  <NumberField
    label="Dead band"
    value={aim.deadBandDeg}
    unit="tenth"
    min={0}
    max={45}
    step={0.5}
    onchange={(deadBandDeg) => onaim({ deadBandDeg }, 'aim.deadBand')}
    {onsettle}
  />, and turns at most
  <NumberField
    label="Turning limit"
    value={aim.rateMaxDegps}
    unit="degps"
    min={1}
    max={1000}
    step={10}
    onchange={(rateMaxDegps) => onaim({ rateMaxDegps }, 'aim.rate')}
    {onsettle}
  />.
</p>
