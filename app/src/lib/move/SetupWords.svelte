<script lang="ts">
  import type { Kit } from '@gentle-arc/core/model/kit';
  import { USUAL_GAIT } from '@gentle-arc/core/model/default-rigs';
  import { ALSO_SHAPES, type Delivery } from '@gentle-arc/core/model/shoot';
  import type { Scene } from '@gentle-arc/core/scene/scene';
  import { STICK_SPEEDS, type Shot, type StickSpeed } from '@gentle-arc/core/model/shot';
  import { trim } from '@gentle-arc/core/model/units';
  import BuildNeed from '$lib/kit/BuildNeed.svelte';
  import Choice from '$lib/parts/Choice.svelte';
  import NumberField from '$lib/parts/NumberField.svelte';
  import { choicesOf, deliveryKey } from './deliveries';
  import FocusWords from './FocusWords.svelte';
  import RigFigures from './RigFigures.svelte';

  /** What is carried by whom, how fast it records and shows, and the shape it is delivered in, as sentences. */
  interface Props {
    scene: Scene;
    shootId: string;
    /** At the end of the shot. */
    subjectDistanceM: number;
    kit: Kit;
    onchange: (edit: (shot: Shot) => Shot, join: string | null) => void;
    onkit: (kit: Kit, join: string | null) => void;
    ondeliver: (delivery: Delivery) => void;
    onsettle: () => void;
  }
  let { scene, shootId, subjectDistanceM, kit, onchange, onkit, ondeliver, onsettle }: Props = $props();

  const shot = $derived(scene.shot);
  const lens = $derived(scene.lens);
  const isPrime = $derived(lens.focalLengthMinMm === lens.focalLengthMaxMm);
  /** Bodies differ in how they shake; each number is one of them. */
  const shakes = $derived(scene.gait.shakeDeg * scene.rig.shakeShare > 0 || scene.gait.bobMm * scene.rig.bobShare > 0);
  const sticks = $derived(scene.rig.kind === 'drone' || scene.rig.kind === 'gimbal');
  const deliveries = $derived(choicesOf(scene.delivery));

  function setLens(id: string) {
    const chosen = kit.lenses.find((row) => row.id === id);
    if (chosen)
      onchange(
        (row) => ({
          ...row,
          lensId: id,
          focalLengthMm: Math.min(chosen.focalLengthMaxMm, Math.max(chosen.focalLengthMinMm, row.focalLengthMm)),
          fNumber: Math.max(row.fNumber, chosen.fNumberMin),
        }),
        null,
      );
  }

  function setCamera(id: string) {
    const chosen = kit.cameras.find((row) => row.id === id);
    if (!chosen) return;
    const most = chosen.frameRatesHz.reduce((a, b) => Math.max(a, b));
    onchange(
      (row) => ({
        ...row,
        cameraId: id,
        frameRateHz: Math.min(most, row.frameRateHz),
        captureRateHz: Math.min(most, row.captureRateHz),
      }),
      null,
    );
  }

  /** A rig is carried as its kind usually is. */
  function setRig(rigId: string) {
    const chosen = kit.rigs.find((row) => row.id === rigId);
    if (!chosen) return;
    const usual = kit.gaits.find((row) => row.id === USUAL_GAIT[chosen.kind]);
    onchange(
      (row) => ({ ...row, rigId, gaitId: chosen.kind === scene.rig.kind || !usual ? row.gaitId : usual.id }),
      null,
    );
  }

  /** Shown frames keep to what is recorded when both were the same; otherwise slow motion stays slow. */
  const setCapture = (hz: number) => onchange((row) => ({ ...row, captureRateHz: hz }), 'capture');
  const setShown = (hz: number) =>
    onchange(
      (row) => ({
        ...row,
        frameRateHz: hz,
        captureRateHz: row.captureRateHz === row.frameRateHz ? hz : row.captureRateHz,
      }),
      'rate',
    );

  const ALSO_NAMES: Record<Delivery['alsoShape'], string> = {
    none: 'in no other shape',
    upright: 'and cut upright later',
    wide: 'and cut wide later',
    square: 'and cut square later',
  };
  const slow = $derived(shot.captureRateHz / shot.frameRateHz);
  const lensRange = (row: Kit['lenses'][number]) =>
    row.focalLengthMinMm === row.focalLengthMaxMm
      ? `${trim(row.focalLengthMinMm, 0)} mm`
      : `${trim(row.focalLengthMinMm, 0)}–${trim(row.focalLengthMaxMm, 0)} mm`;
</script>

<p class="said">
  <Choice
    label="Camera"
    value={shot.cameraId}
    items={kit.cameras.map((row) => ({ value: row.id, name: row.name }))}
    onchange={setCamera}
  />
  with <Choice
    label="Lens"
    value={shot.lensId}
    items={kit.lenses.map((row) => ({ value: row.id, name: `${row.name} (${lensRange(row)})` }))}
    onchange={setLens}
  />
  at {#if isPrime && shot.focalLengthMm === lens.focalLengthMinMm}<b>{trim(shot.focalLengthMm, 0)} mm</b
    >{:else}<NumberField
      label="Focal length"
      value={shot.focalLengthMm}
      unit="mm"
      min={lens.focalLengthMinMm}
      max={lens.focalLengthMaxMm}
      step={1}
      onchange={(v) => onchange((row) => ({ ...row, focalLengthMm: v }), 'focal')}
      {onsettle}
    />{/if}
  on <Choice
    label="Rig"
    value={shot.rigId}
    items={kit.rigs.map((row) => ({ value: row.id, name: row.name }))}
    onchange={setRig}
  />, going with
  <Choice
    label="Gait"
    value={shot.gaitId}
    items={kit.gaits.map((row) => ({ value: row.id, name: row.name }))}
    onchange={(gaitId) => onchange((row) => ({ ...row, gaitId }), null)}
  />{#if shakes}, body number
    <NumberField
      label="Body number"
      value={shot.bodySeed}
      unit="plain"
      min={0}
      max={999999}
      step={1}
      onchange={(v) => onchange((row) => ({ ...row, bodySeed: Math.round(v) }), 'body')}
      {onsettle}
    />{/if}{#if sticks}, at
    <Choice
      label="Stick speed"
      value={shot.stick}
      items={STICK_SPEEDS.map((value) => ({ value, name: value }))}
      onchange={(stick) => onchange((row) => ({ ...row, stick: stick as StickSpeed }), null)}
    /> stick speed{/if}. <RigFigures {scene} {kit} {onkit} {onsettle} />
  <BuildNeed {kit} {shot} {shootId} />
</p>
<p class="said">
  It records <NumberField
    label="Capture rate"
    value={shot.captureRateHz}
    unit="hz"
    min={1}
    max={2000}
    step={1}
    onchange={setCapture}
    {onsettle}
  /> frames a second and shows
  <NumberField
    label="Frame rate"
    value={shot.frameRateHz}
    unit="hz"
    min={1}
    max={1000}
    step={1}
    onchange={setShown}
    {onsettle}
  />{#if slow !== 1}
    <b>({slow > 1 ? `${trim(slow, 2)} times slower than life` : `${trim(1 / slow, 2)} times faster than life`})</b
    >{/if}, shutter
  <NumberField
    label="Shutter"
    value={shot.shutterDeg}
    unit="shutter"
    rateHz={shot.captureRateHz}
    min={1}
    max={360}
    step={5}
    onchange={(v) => onchange((row) => ({ ...row, shutterDeg: v }), 'shutter')}
    {onsettle}
  />
  (1/{trim((360 * shot.captureRateHz) / shot.shutterDeg, 0)} s). <FocusWords
    {scene}
    {subjectDistanceM}
    {onchange}
    {onsettle}
  />
</p>
<p class="said">
  The whole shoot is delivered
  <Choice
    label="Delivery shape"
    value={deliveryKey(scene.delivery)}
    items={deliveries.map((row) => ({ value: deliveryKey(row), name: row.name }))}
    onchange={(key) => {
      const chosen = deliveries.find((row) => deliveryKey(row) === key);
      if (chosen) ondeliver({ ...scene.delivery, widthPx: chosen.widthPx, heightPx: chosen.heightPx });
    }}
  />,
  <Choice
    label="Also cut as"
    value={scene.delivery.alsoShape}
    items={ALSO_SHAPES.map((value) => ({ value, name: ALSO_NAMES[value] }))}
    onchange={(alsoShape) => ondeliver({ ...scene.delivery, alsoShape: alsoShape as Delivery['alsoShape'] })}
  />.
</p>
