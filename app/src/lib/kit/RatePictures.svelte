<script lang="ts">
  import type { Camera } from '@gentle-arc/core/model/kit';
  import NumberField from '$lib/parts/NumberField.svelte';

  /** Pictures of another size that a camera writes from a frame rate on, as sentences. */
  interface Props {
    camera: Camera;
    onchange: (picturesFrom: Camera['picturesFrom'], join: string | null) => void;
    onsettle: () => void;
  }
  let { camera, onchange, onsettle }: Props = $props();

  const MOST = 8;
  const rows = $derived(camera.picturesFrom);
  type Key = keyof Camera['picturesFrom'][number];
  const set = (i: number, key: Key, value: number) =>
    onchange(
      rows.map((row, k) => (k === i ? { ...row, [key]: key === 'fromHz' ? value : Math.round(value) } : row)),
      `pictures.${camera.id}.${i}.${key}`,
    );
  function add() {
    const last = rows[rows.length - 1];
    const fromHz = last ? Math.min(2000, last.fromHz * 2) : Math.max(60, ...camera.frameRatesHz.slice(-1));
    onchange([...rows, { fromHz, widthPx: last?.widthPx ?? 1920, heightPx: last?.heightPx ?? 1080 }], null);
  }
</script>

{#each rows as row, i (i)}
  From
  <NumberField
    label="{camera.name}, rate {i + 1} of another picture"
    value={row.fromHz}
    unit="hz"
    min={1}
    max={2000}
    step={1}
    onchange={(value) => set(i, 'fromHz', value)}
    {onsettle}
  />
  frames a second it writes
  <NumberField
    label="{camera.name}, pixels wide from rate {i + 1}"
    value={row.widthPx}
    unit="plain"
    min={160}
    max={20000}
    step={1}
    onchange={(value) => set(i, 'widthPx', value)}
    {onsettle}
  />
  by
  <NumberField
    label="{camera.name}, pixels high from rate {i + 1}"
    value={row.heightPx}
    unit="plain"
    min={120}
    max={20000}
    step={1}
    onchange={(value) => set(i, 'heightPx', value)}
    {onsettle}
  /><button
    class="away"
    aria-label="{camera.name}, without the picture from rate {i + 1}"
    onclick={() =>
      onchange(
        rows.filter((_, k) => k !== i),
        null,
      )}>×</button
  >.
{/each}
{#if rows.length < MOST}<button class="link" onclick={add}
    >{rows.length === 0 ? 'It writes smaller pictures at high rates' : 'and another'}</button
  >{/if}
