<script lang="ts">
  import Trouble from '$lib/ui/Trouble.svelte';
  import FilePicker from '$lib/ui/FilePicker.svelte';
  import { addPart, changePart, removePart, takeInParts } from '@gentle-arc/core/edit';
  import { FIELDS, type Kit, type Part, PART_KINDS, type PartKind } from '@gentle-arc/core/model';
  import Hole from '$lib/ui/Hole.svelte';
  import { MOST_MB, writePartsCsv, writePartsJson } from '@gentle-arc/core/formats';
  import Choice from '$lib/ui/Choice.svelte';
  import { download, fileName } from '$lib/ui/download';
  import TextField from '$lib/ui/TextField.svelte';
  import { newId } from '$lib/session/store/new-id';
  import { readFile } from '$lib/workers/read-file';
  import { takeDropped } from '$lib/session/files/takers.svelte';

  /** The kit's parts: mass, size, where their weight lies; typed, copied, taken in and out as files. */
  let {
    kit,
    shootName,
    onchange,
  }: { kit: Kit; shootName: string; onchange: (kit: Kit, join: string | null) => boolean } = $props();

  let problem: string | null = $state(null);
  let open: string | null = $state(null);

  const put = (part: Part, join: string | null = null) => onchange(changePart(kit, part), join);
  const things = $derived([
    { value: '', name: 'nothing of the kit' },
    ...[...kit.cameras, ...kit.lenses, ...kit.filters].map(({ id, name }) => ({ value: id, name })),
  ]);
  const SIZES = [
    { key: 'lengthMm', said: 'long' },
    { key: 'widthMm', said: 'wide' },
    { key: 'heightMm', said: 'high' },
  ] as const;
  /** Where the weight lies from the middle. */
  const CENTRES = [
    { key: 'centreForeMm', said: 'forward' },
    { key: 'centreSideMm', said: 'right' },
    { key: 'centreUpMm', said: 'up' },
  ] as const;
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
    const id = newId('part');
    if (onchange(addPart(kit, id, from), null)) open = id;
  }
  function remove(part: Part) {
    const next = removePart(kit, part);
    problem = typeof next === 'string' ? next : null;
    if (typeof next !== 'string') onchange(next, null);
  }
  function takeIn(parts: Part[]) {
    onchange(takeInParts(kit, parts), null);
    problem = null;
  }
  takeDropped(() => ({ parts: takeIn }));

  async function take(file: File) {
    const contents = await readFile(file, 'parts');
    if (typeof contents === 'string') problem = contents;
    else if (contents.kind === 'parts') takeIn(contents.parts);
  }
</script>

<section aria-label="Parts of the kit">
  <h2 class="font-display text-xl">Parts of the kit</h2>
  {#if problem}<Trouble class="my-2">{problem}</Trouble>{/if}
  <div class="flex flex-wrap gap-x-4 gap-y-1 py-1">
    <button class="link font-semibold" onclick={() => add()}>Add a part</button>
    <FilePicker label="Parts file" accept=".csv,.json,text/csv,application/json" onfile={take}
      >Take in a file (CSV or JSON, up to {MOST_MB.parts} MB)</FilePicker
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
          <Hole
            fact={FIELDS.part.massG}
            value={part.massG}
            label="Mass of {part.name}"
            onchange={(massG: number) => put({ ...part, massG }, `part.mass.${part.id}`)}
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
            {#each SIZES as { key, said } (key)}<Hole
                fact={FIELDS.part[key]}
                value={part[key]}
                label="{part.name} {said}"
                onchange={(value: number) => put({ ...part, [key]: value }, `part.${key}.${part.id}`)}
              />
              {`${said}, `}
            {/each}
            its weight
            {#each CENTRES as { key, said } (key)}<Hole
                fact={FIELDS.part[key]}
                value={part[key]}
                label="Weight of {part.name} {said}"
                onchange={(value: number) => put({ ...part, [key]: value }, `part.${key}.${part.id}`)}
              />
              {`${said}, `}
            {/each}of its middle; it carries up to <Hole
              fact={FIELDS.part.carriesG}
              value={part.carriesG}
              label="{part.name} carries up to"
              onchange={(carriesG: number) => put({ ...part, carriesG }, `part.carries.${part.id}`)}
            />{part.carriesG === 0 ? ' (0: not said)' : ''}{#if part.kind === 'lens'}; zoomed all the way in it goes <Hole
                fact={FIELDS.part.zoomShiftMm}
                value={part.zoomShiftMm}
                label="Zoom shift of {part.name}"
                onchange={(zoomShiftMm: number) => put({ ...part, zoomShiftMm }, `part.zoom.${part.id}`)}
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
