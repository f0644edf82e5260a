<script lang="ts">
  import { type Camera, FIELDS } from '@gentle-arc/core/model';
  import Hole from '$lib/ui/Hole.svelte';

  /** Pictures of another size that a camera writes from a frame rate on, as sentences. */
  interface Props {
    camera: Camera;
    onchange: (picturesFrom: Camera['picturesFrom'], join: string | null) => void;
  }
  let { camera, onchange }: Props = $props();

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
  <Hole
    fact={FIELDS.picture.fromHz}
    value={row.fromHz}
    label="{camera.name}, rate {i + 1} of another picture"
    onchange={(value: number) => set(i, 'fromHz', value)}
  />
  frames a second it writes
  <Hole
    fact={FIELDS.picture.widthPx}
    value={row.widthPx}
    label="{camera.name}, pixels wide from rate {i + 1}"
    onchange={(value: number) => set(i, 'widthPx', value)}
  />
  by
  <Hole
    fact={FIELDS.picture.heightPx}
    value={row.heightPx}
    label="{camera.name}, pixels high from rate {i + 1}"
    onchange={(value: number) => set(i, 'heightPx', value)}
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
