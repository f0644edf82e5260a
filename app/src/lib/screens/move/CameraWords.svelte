<script lang="ts">
  import { mostRateHz, showAt, takeCamera, takeLens } from '@gentle-arc/core/edit';
  import {
    type Delivery,
    DeliverySchema,
    type Fact,
    factsOf,
    FIELDS,
    type Lens,
    trim,
    WaySchema,
  } from '@gentle-arc/core/model';
  import { shotSession } from '$lib/session/shot-session.svelte';
  import Choice from '$lib/ui/Choice.svelte';
  import Sentence from '$lib/ui/Sentence.svelte';
  import { choicesOf, deliveryKey } from './deliveries';
  import SetUpWords from './SetUpWords.svelte';
  import FocusWords from '$lib/views/focus/FocusWords.svelte';

  /** Camera, lens and focus; how fast it records and shows; and the shape it is delivered in. */
  const session = shotSession();
  const { shot, scene, shoot } = $derived(session);
  const kit = $derived(shoot.kit);

  const facts: Record<string, Fact> = {
    ...factsOf(WaySchema),
    ...factsOf(DeliverySchema),
    cameraId: { type: 'piece', label: 'Camera' },
    lensId: { type: 'piece', label: 'Lens' },
  };
  const rangeOf = ({ focalLengthMinMm, focalLengthMaxMm }: Lens) =>
    focalLengthMinMm === focalLengthMaxMm
      ? `${trim(focalLengthMinMm, 0)} mm`
      : `${trim(focalLengthMinMm, 0)}–${trim(focalLengthMaxMm, 0)} mm`;
  const items = $derived({
    cameraId: kit.cameras.map(({ id, name }) => ({ value: id, name })),
    lensId: kit.lenses.map((lens) => ({ value: lens.id, name: `${lens.name} (${rangeOf(lens)})` })),
  });
  const slow = $derived(shot.captureRateHz / shot.frameRateHz);
  const deliveries = $derived(choicesOf(scene.delivery));
  const deliver = (delivery: Delivery) => session.change({ ...shoot, delivery });

  function change(key: string, value: number | string, join: string | null) {
    session.changeShot((row) => {
      if (key === 'cameraId') return takeCamera(row, kit.cameras.find(({ id }) => id === value) ?? scene.camera);
      if (key === 'lensId') return takeLens(row, kit.lenses.find(({ id }) => id === value) ?? scene.lens);
      return key === 'frameRateHz' ? showAt(row, Number(value)) : { ...row, [key]: value };
    }, join);
  }
</script>

<p class="said">
  <Sentence text={'{cameraId} with {lensId}.'} {facts} values={shot} {items} onchange={change} />
  <FocusWords />
</p>
<p class="said">
  <Sentence
    text={'It records {captureRateHz} frames a second and shows {frameRateHz}'}
    {facts}
    values={shot}
    range={(key) => (key === 'captureRateHz' ? { max: mostRateHz(shot) } : {})}
    onchange={change}
  />{#if slow !== 1}
    <b>({slow > 1 ? `${trim(slow, 2)} times slower than life` : `${trim(1 / slow, 2)} times faster than life`})</b
    >{/if}<Sentence
    text={', shutter {shutterDeg}'}
    {facts}
    values={shot}
    rateHz={shot.captureRateHz}
    onchange={change}
  /> (1/{trim((360 * shot.captureRateHz) / shot.shutterDeg, 0)} s).
</p>
<p class="said">
  <Sentence
    text={'Afterwards {stabilisingPercent} of the picture is kept back for stabilising, ' +
      'and black bars cover {barsPercent} at top and bottom each.'}
    facts={FIELDS.after}
    values={shot.after}
    onchange={(key, value, join) =>
      session.changeShot((row) => ({ ...row, after: { ...row.after, [key]: Number(value) } }), join && `after.${join}`)}
  />
</p>
<SetUpWords />
<p class="said">
  The whole shoot is delivered
  <Choice
    label="Delivery shape"
    value={deliveryKey(scene.delivery)}
    items={deliveries.map((row) => ({ value: deliveryKey(row), name: row.name }))}
    onchange={(key) => {
      const chosen = deliveries.find((row) => deliveryKey(row) === key);
      if (chosen) deliver({ ...scene.delivery, widthPx: chosen.widthPx, heightPx: chosen.heightPx });
    }}
  /><Sentence
    text={', {alsoShape}.'}
    {facts}
    values={scene.delivery}
    onchange={(_, alsoShape) => deliver({ ...scene.delivery, alsoShape: alsoShape as Delivery['alsoShape'] })}
  />
</p>
