<script lang="ts">
  import type { Move } from '@gentle-arc/core/model/move';
  import type { Delivery, Setup } from '@gentle-arc/core/model/shoot';
  import { FEATHER_SHAPES, type Shot, type Timing } from '@gentle-arc/core/model/shot';
  import { trim } from '@gentle-arc/core/model/units';
  import { recipeOf } from '@gentle-arc/core/motion/moves/index';
  import type { Kit } from '@gentle-arc/core/model/kit';
  import Choice from '$lib/parts/Choice.svelte';
  import NumberField from '$lib/parts/NumberField.svelte';

  /** The whole plan of a shot, said as sentences whose numbers can be typed over. */
  interface Props {
    setup: Setup;
    kit: Kit;
    onchange: (edit: (shot: Shot) => Shot, join: string | null) => void;
    ondeliver: (delivery: Delivery) => void;
    onsettle: () => void;
  }
  let { setup, kit, onchange, ondeliver, onsettle }: Props = $props();

  const shot = $derived(setup.shot);
  const recipe = $derived(recipeOf(shot.move));
  const lens = $derived(setup.lens);
  const isPrime = $derived(lens.focalLengthMinMm === lens.focalLengthMaxMm);

  const numbers = (move: Move) => move as unknown as Record<string, number>;
  const setMove = (key: string, value: number) => onchange((row) => ({ ...row, move: { ...row.move, [key]: value } as Move }), `move.${key}`);

  /** Sets one part of the timing; what no longer fits inside the duration lengthens it, and a shorter duration shrinks its parts. */
  function setTiming(key: keyof Timing, value: number) {
    onchange((row) => {
      const timing = { ...row.timing, [key]: value };
      const inside = timing.holdStartS + timing.featherInS + timing.featherOutS + timing.holdEndS;
      if (inside > timing.durationS) {
        if (key === 'durationS') {
          const share = timing.durationS / inside;
          for (const part of ['holdStartS', 'featherInS', 'featherOutS', 'holdEndS'] as const) timing[part] = Math.floor(timing[part] * share * 1000) / 1000;
        } else timing.durationS = Math.ceil(inside * 10) / 10;
      }
      return { ...row, timing };
    }, `timing.${key}`);
  }

  function setLens(id: string) {
    const chosen = kit.lenses.find((row) => row.id === id);
    if (chosen) onchange((row) => ({ ...row, lensId: id, focalLengthMm: Math.min(chosen.focalLengthMaxMm, Math.max(chosen.focalLengthMinMm, row.focalLengthMm)) }), null);
  }

  function setCamera(id: string) {
    const chosen = kit.cameras.find((row) => row.id === id);
    if (!chosen) return;
    const nearest = (hz: number) => chosen.frameRatesHz.reduce((a, b) => (Math.abs(b - hz) < Math.abs(a - hz) ? b : a));
    onchange((row) => ({ ...row, cameraId: id, frameRateHz: nearest(row.frameRateHz) }), null);
  }

  const SHAPES: Record<Timing['featherShape'], string> = { minimumJerk: 'softest', cosine: 'cosine', constantAcceleration: 'steady push' };
  const lensRange = (row: Kit['lenses'][number]) =>
    row.focalLengthMinMm === row.focalLengthMaxMm ? `${trim(row.focalLengthMinMm, 0)} mm` : `${trim(row.focalLengthMinMm, 0)}–${trim(row.focalLengthMaxMm, 0)} mm`;
  /** Delivered shapes: ITU-R BT.2020 and BT.709 rasters, DCI specification, and common upright and square ones. */
  const SHAPES_DELIVERED: (Delivery & { name: string })[] = [
    { name: 'wide 16:9', widthPx: 3840, heightPx: 2160 },
    { name: 'wide 1.85:1', widthPx: 3996, heightPx: 2160 },
    { name: 'wide 2.39:1', widthPx: 4096, heightPx: 1716 },
    { name: 'square', widthPx: 2160, heightPx: 2160 },
    { name: 'upright 9:16', widthPx: 2160, heightPx: 3840 },
  ];
  const deliveryKey = ({ widthPx, heightPx }: Delivery) => `${widthPx} × ${heightPx}`;
  const deliveries = $derived([
    ...(SHAPES_DELIVERED.some((row) => deliveryKey(row) === deliveryKey(setup.delivery)) ? [] : [{ ...setup.delivery, name: deliveryKey(setup.delivery) }]),
    ...SHAPES_DELIVERED,
  ]);

  const rates = $derived([...new Set([...setup.camera.frameRatesHz, shot.frameRateHz])].sort((a, b) => a - b));
</script>

<section aria-label="Move">
  <p class="said">
    <b>{recipe.title}</b>
    {#if shot.move.kind === 'dollyZoom' || shot.move.kind === 'push'}along the line to{:else if shot.move.kind === 'arc'}round{:else}past{/if}
    <Choice
      label="Subject"
      value={shot.subjectId ?? ''}
      items={[{ value: '', name: 'no subject' }, ...setup.pieces.map((piece) => ({ value: piece.id, name: piece.name }))]}
      onchange={(id) => onchange((row) => ({ ...row, subjectId: id || null }), null)}
    />:
    {#each recipe.parameters as parameter, i (parameter.key)}
      {i > 0 ? ', ' : ''}<span class="whitespace-nowrap"
        >{parameter.label}
        <NumberField
          value={numbers(shot.move)[parameter.key]}
          label={parameter.label}
          unit={parameter.unit}
          min={parameter.min}
          max={parameter.max}
          step={parameter.step}
          onchange={(value) => setMove(parameter.key, value)}
          {onsettle}
        /></span
      >{/each}.
  </p>
  <p class="said">
    It takes <NumberField label="Duration" value={shot.timing.durationS} unit="s" min={0.2} max={600} step={0.5} onchange={(v) => setTiming('durationS', v)} {onsettle} />: holds
    <NumberField label="Hold at the start" value={shot.timing.holdStartS} unit="s" min={0} max={300} step={0.1} onchange={(v) => setTiming('holdStartS', v)} {onsettle} />, feathers
    in over
    <NumberField label="Feather in" value={shot.timing.featherInS} unit="s" min={0} max={300} step={0.1} onchange={(v) => setTiming('featherInS', v)} {onsettle} />, out over
    <NumberField label="Feather out" value={shot.timing.featherOutS} unit="s" min={0} max={300} step={0.1} onchange={(v) => setTiming('featherOutS', v)} {onsettle} />
    (<Choice
      label="Feather shape"
      value={shot.timing.featherShape}
      items={FEATHER_SHAPES.map((value) => ({ value, name: SHAPES[value] }))}
      onchange={(value) => onchange((row) => ({ ...row, timing: { ...row.timing, featherShape: value as Timing['featherShape'] } }), null)}
    />), holds
    <NumberField label="Hold at the end" value={shot.timing.holdEndS} unit="s" min={0} max={300} step={0.1} onchange={(v) => setTiming('holdEndS', v)} {onsettle} />.
  </p>
  <p class="said">
    The camera
    <Choice
      label="Aim"
      value={shot.aim.mode}
      items={[
        { value: 'subject', name: 'turns with the subject' },
        { value: 'locked', name: 'never turns' },
      ]}
      onchange={(mode) => onchange((row) => ({ ...row, aim: { ...row.aim, mode: mode as Shot['aim']['mode'] } }), null)}
    />, the subject
    <NumberField
      label="Subject across the frame, % right of the middle"
      value={Math.round(shot.aim.place.u * 1000) / 10}
      unit="plain"
      min={-50}
      max={50}
      step={1}
      onchange={(v) => onchange((row) => ({ ...row, aim: { ...row.aim, place: { ...row.aim.place, u: v / 100 } } }), 'aim.u')}
      {onsettle}
    />% right and
    <NumberField
      label="Subject up the frame, % above the middle"
      value={Math.round(shot.aim.place.v * 1000) / 10}
      unit="plain"
      min={-50}
      max={50}
      step={1}
      onchange={(v) => onchange((row) => ({ ...row, aim: { ...row.aim, place: { ...row.aim.place, v: v / 100 } } }), 'aim.v')}
      {onsettle}
    />% up from the middle.
  </p>
  <p class="said">
    <Choice label="Camera" value={shot.cameraId} items={kit.cameras.map((row) => ({ value: row.id, name: row.name }))} onchange={setCamera} />
    with <Choice label="Lens" value={shot.lensId} items={kit.lenses.map((row) => ({ value: row.id, name: `${row.name} (${lensRange(row)})` }))} onchange={setLens} />
    at {#if isPrime && shot.focalLengthMm === lens.focalLengthMinMm}<b>{trim(shot.focalLengthMm, 0)} mm</b>{:else}<NumberField
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
      onchange={(rigId) => onchange((row) => ({ ...row, rigId }), null)}
    />,
    <Choice
      label="Frame rate"
      value={String(shot.frameRateHz)}
      items={rates.map((hz) => ({ value: String(hz), name: `${hz}` }))}
      onchange={(hz) => onchange((row) => ({ ...row, frameRateHz: Number(hz) }), null)}
    /> frames a second, shutter
    <NumberField
      label="Shutter"
      value={shot.shutterDeg}
      unit="deg"
      min={1}
      max={360}
      step={5}
      onchange={(v) => onchange((row) => ({ ...row, shutterDeg: v }), 'shutter')}
      {onsettle}
    />. The whole shoot is delivered
    <Choice
      label="Delivery shape"
      value={deliveryKey(setup.delivery)}
      items={deliveries.map((row) => ({ value: deliveryKey(row), name: row.name }))}
      onchange={(key) => {
        const chosen = deliveries.find((row) => deliveryKey(row) === key);
        if (chosen) ondeliver({ widthPx: chosen.widthPx, heightPx: chosen.heightPx });
      }}
    />.
  </p>
</section>

<style>
  .said {
    line-height: 1.75;
    font-size: 0.95rem;
  }
  .said + .said {
    margin-top: 0.2rem;
  }
</style>
