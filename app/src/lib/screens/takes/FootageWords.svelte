<script lang="ts">
  import { onDestroy } from 'svelte';
  import { changeTake } from '@gentle-arc/core/edit';
  import { type Shot, type Take, trim } from '@gentle-arc/core/model';
  import { takeDropped } from '$lib/session/files/takers.svelte';
  import type { ShootStore } from '$lib/session/store/shoot-store.svelte';
  import FilePicker from '$lib/ui/FilePicker.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import { ShotFrames } from '$lib/views/frames/shot-frames.svelte';
  import type { LiveClip } from '$lib/workers/live-clip.svelte';
  import type { Footage } from './footage.svelte';
  import { laidOn } from './recordings.svelte';

  /** A clip from the camera, measured on this device; and the measuring tried on a film of our own. */
  interface Props {
    store: ShootStore;
    shot: Shot | null;
    take: Take | null;
    liveClip: LiveClip;
    footage: Footage;
    onmade: (id: string) => void;
  }
  let { store, shot, take, liveClip, footage, onmade }: Props = $props();

  const frames = new ShotFrames();
  onDestroy(() => {
    frames.callOff();
    frames.close();
  });
  const busy = $derived(liveClip.share !== null || footage.filming !== null);

  async function measure(file: File) {
    if (!shot) return;
    footage.said = null;
    const found = await liveClip.measure(store.shoot, {
      file,
      name: file.name,
      shotId: shot.id,
      own: false,
    });
    if (typeof found === 'string') {
      footage.said = found;
      return;
    }
    const { next, id } = laidOn(store.shoot, shot, take, { clip: found.clip });
    footage.measured = { takeId: id, found };
    if (store.change(next)) onmade(id);
  }
  takeDropped(() => ({ clip: shot && !busy ? (file) => void measure(file) : null }));
  const share = (value: number | null) => (value === null ? 'nothing' : `${trim(value * 100, 1)}%`);
</script>

<section class="word-pane" aria-label="Measure footage">
  <h2>A clip from the camera</h2>
  {#if shot}
    <p class="said">
      <FilePicker label="A clip" accept="video/*,.mp4,.mov,.webm,.mkv" onfile={measure} disabled={busy}
        >Open a clip</FilePicker
      > of this shot. It is measured here: nothing of it leaves this device, and only its motion is kept with the take.
    </p>
  {/if}
  {#if liveClip.share !== null}
    <p role="status">
      Measuring: {trim(liveClip.share * 100, 0)}%
      <button class="link" onclick={() => liveClip.callOff()}>Call it off</button>
    </p>
  {/if}
  {#if footage.said}<Trouble>{footage.said}</Trouble>{/if}
  {#if take?.clip}
    <p class="said">
      “{take.clip.name}” is with this take: {trim(take.clip.durationS, 1)} s, {take.clip.widthPx} × {take.clip
        .heightPx}.
      <button class="link" onclick={() => store.change(changeTake(store.shoot, take.id, { clip: null }))}
        >Remove its motion</button
      >
    </p>
  {/if}
  {#if shot}
    <h2>How far this can be trusted</h2>
    <p class="said">
      The plan can be filmed as it is drawn, made worse by compression, noise and a shutter that rolls, and measured:
      what comes out is held against what is known.
      <button class="link" disabled={busy} onclick={() => void footage.tryOnOwnFilm(store.shoot, shot, frames)}
        >Try it on our own film</button
      >
    </p>
    {#if footage.filming}
      <p role="status">
        Filming: {footage.filming.done} of {footage.filming.of} frames
        <button class="link" onclick={() => frames.callOff()}>Call it off</button>
      </p>
    {/if}
    {#if footage.tried?.shotId === shot.id && footage.tried.found.asFilmed}
      {@const { asFilmed, summary, tookS } = footage.tried.found}
      <p role="status" class="said">
        Of what was foretold this was measured: of how the whole picture moves <b>{share(asFilmed.whole)}</b> (how it
        goes by {share(asFilmed.shift)}, how it grows {share(asFilmed.grows)}), of near things
        <b>{share(asFilmed.near)}</b>, of far ones <b>{share(asFilmed.far)}</b>. {summary.frames} frames in
        {trim(tookS, 0)} s.
        {#if Object.values(asFilmed).includes(null)}“Nothing”: it moves too little, or grows more than it goes by, to be
          told.{/if}
      </p>
    {/if}
  {/if}
</section>
