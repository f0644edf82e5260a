<script lang="ts">
  import { MOST_MB } from '@gentle-arc/core/formats/any-file';
  import { writePartsCsv } from '@gentle-arc/core/formats/parts-csv';
  import { writePartsJson } from '@gentle-arc/core/formats/parts-json';
  import { PART_KINDS, type Part, type PartKind } from '@gentle-arc/core/model/build';
  import type { Kit } from '@gentle-arc/core/model/kit';
  import Choice from '$lib/parts/Choice.svelte';
  import { download, fileName } from '$lib/parts/download';
  import TextField from '$lib/parts/TextField.svelte';
  import NumberField from '$lib/parts/NumberField.svelte';
  import { newId } from '$lib/store/new-id';
  import { readFile } from '$lib/workers/read-file';
  import { takeDropped } from '$lib/files/takers.svelte';

  /** The kit's parts: mass, size, where their weight lies; typed, copied, taken in and out as files. */
  let {
    kit,
    shootName,
    onchange,
    onsettle,
  }: { kit: Kit; shootName: string; onchange: (kit: Kit, join: string | null) => boolean; onsettle: () => void } =
    $props();

  let problem: string | null = $state(null);
  let open: string | null = $state(null);

  const put = (part: Part, join: string | null = null) =>
    onchange({ ...kit, parts: kit.parts.map((row) => (row.id === part.id ? part : row)) }, join);
  const used = (id: string) =>
    kit.builds.filter((build) => build.parts.some(({ partId }) => partId === id)).map(({ name }) => name);
  const things = $derived([
    { value: '', name: 'nothing of the kit' },
    ...[...kit.cameras, ...kit.lenses, ...kit.filters].map(({ id, name }) => ({ value: id, name })),
  ]);
  const KIND_NAMES: Record<PartKind, string> = {
    camera: 'a camera',
    lens: 'a lens',
    filter: 'a filter',
    battery: 'a battery',
    plate: 'a plate',
    monitor: 'a monitor',
    microphone: 'a microphone',
    head: 'a head',
    weight: 'a weight',
    bag: 'a bag',
    other: 'something else',
  };

  function add(from?: Part) {
    const part: Part = {
      id: newId('part'),
      name: from ? `${from.name}, again`.slice(0, 80) : 'New part',
      kind: 'other',
      of: null,
      massG: 200,
      lengthMm: 60,
      widthMm: 60,
      heightMm: 60,
      centreForeMm: 0,
      centreSideMm: 0,
      centreUpMm: 0,
      zoomShiftMm: 0,
      ...(from ? { ...from, id: newId('part'), name: `${from.name}, again`.slice(0, 80) } : {}),
    };
    if (onchange({ ...kit, parts: [...kit.parts, part] }, null)) open = part.id;
  }

  function remove(part: Part) {
    const on = used(part.id);
    problem = on.length > 0 ? `${part.name} is on ${on.join(', ')}: take it off there first, then it can go.` : null;
    if (on.length === 0) onchange({ ...kit, parts: kit.parts.filter(({ id }) => id !== part.id) }, null);
  }

  function takeIn(parts: Part[]) {
    const known = new Set([...kit.cameras, ...kit.lenses, ...kit.filters].map(({ id }) => id));
    const fitting = parts.map((part) => (part.of !== null && !known.has(part.of) ? { ...part, of: null } : part));
    const ids = new Set(fitting.map(({ id }) => id));
    onchange({ ...kit, parts: [...kit.parts.filter(({ id }) => !ids.has(id)), ...fitting] }, null);
    problem = null;
  }
  takeDropped(() => ({ parts: takeIn }));

  async function take(event: Event & { currentTarget: HTMLInputElement }) {
    const input = event.currentTarget;
    const [file] = input.files ?? [];
    if (file) {
      const contents = await readFile(file, 'parts');
      if (typeof contents === 'string') problem = contents;
      else if (contents.kind === 'parts') takeIn(contents.parts);
    }
    input.value = '';
  }
</script>

<section aria-label="Parts of the kit">
  <h2 class="font-display text-xl">Parts of the kit</h2>
  {#if problem}<p role="alert" class="my-2 border-l-4 border-near bg-raised px-3 py-2">{problem}</p>{/if}
  <div class="flex flex-wrap gap-x-4 gap-y-1 py-1">
    <button class="link font-semibold" onclick={() => add()}>Add a part</button>
    <label class="link"
      >Take in a file (CSV or JSON, up to {MOST_MB.parts} MB)<input
        class="sr-only"
        type="file"
        accept=".csv,.json,text/csv,application/json"
        aria-label="Parts file"
        onchange={take}
      /></label
    >
    <button
      class="link"
      onclick={() => download(`${fileName(shootName)}-parts.csv`, 'text/csv', writePartsCsv(kit.parts))}>As CSV</button
    >
    <button
      class="link"
      onclick={() => download(`${fileName(shootName)}-parts.json`, 'application/json', writePartsJson(kit.parts))}
      >As JSON</button
    >
  </div>
  <ul class="parts">
    {#each kit.parts as part (part.id)}
      <li>
        <p class="flex items-baseline gap-2">
          <button
            class="link flex-1 text-left"
            aria-expanded={open === part.id}
            onclick={() => (open = open === part.id ? null : part.id)}><b>{part.name}</b></button
          >
          <NumberField
            label="Mass of {part.name}"
            value={part.massG}
            unit="g"
            min={0.1}
            max={100000}
            step={10}
            onchange={(massG) => put({ ...part, massG }, `part.mass.${part.id}`)}
            {onsettle}
          />
        </p>
        {#if open === part.id}
          <p class="said">
            <TextField
              label="Name of {part.name}"
              most={80}
              value={part.name}
              onchange={(name) => put({ ...part, name })}
            />,
            <Choice
              label="Kind of {part.name}"
              value={part.kind}
              items={PART_KINDS.map((value) => ({ value, name: KIND_NAMES[value] }))}
              onchange={(kind) => put({ ...part, kind: kind as PartKind })}
            />, being
            <Choice
              label="{part.name} is"
              value={part.of ?? ''}
              items={things}
              onchange={(of) => put({ ...part, of: of === '' ? null : of })}
            />.
            {#each [{ key: 'lengthMm', said: 'long' }, { key: 'widthMm', said: 'wide' }, { key: 'heightMm', said: 'high' }] as const as { key, said } (key)}<NumberField
                label="{part.name} {said}"
                value={part[key]}
                unit="size"
                min={1}
                max={3000}
                step={1}
                onchange={(value) => put({ ...part, [key]: value }, `part.${key}.${part.id}`)}
                {onsettle}
              />
              {said},
            {/each}
            its weight
            {#each [{ key: 'centreForeMm', said: 'forward' }, { key: 'centreSideMm', said: 'right' }, { key: 'centreUpMm', said: 'up' }] as const as { key, said } (key)}<NumberField
                label="Weight of {part.name} {said}"
                value={part[key]}
                unit="size"
                min={-3000}
                max={3000}
                step={1}
                onchange={(value) => put({ ...part, [key]: value }, `part.${key}.${part.id}`)}
                {onsettle}
              />
              {said},
            {/each}of its middle{#if part.kind === 'lens'}; zoomed all the way in it goes <NumberField
                label="Zoom shift of {part.name}"
                value={part.zoomShiftMm}
                unit="size"
                min={-500}
                max={500}
                step={1}
                onchange={(zoomShiftMm) => put({ ...part, zoomShiftMm }, `part.zoom.${part.id}`)}
                {onsettle}
              /> forward{/if}.
            <button class="link" onclick={() => add(part)}>Copy</button>
            <button class="link" onclick={() => remove(part)}>Delete</button>
          </p>
        {/if}
      </li>
    {/each}
  </ul>
</section>

<style>
  .parts {
    columns: 17rem;
    column-gap: 2rem;
  }
  .parts li {
    break-inside: avoid;
    padding: 0.15rem 0;
  }
</style>
