<script lang="ts">
  import { changeTake } from '@gentle-arc/core/edit';
  import { RECORDED_BY, type Shot, type Take } from '@gentle-arc/core/model';
  import { DEVICES, type Mount, MOUNTS } from '@gentle-arc/core/take';
  import { takeDropped } from '$lib/session/files/takers.svelte';
  import type { ShootStore } from '$lib/session/store/shoot-store.svelte';
  import Choice from '$lib/ui/Choice.svelte';
  import FilePicker from '$lib/ui/FilePicker.svelte';
  import { keepPreferences, preferences } from '$lib/ui/preferences.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import ColumnsWords from './ColumnsWords.svelte';
  import type { Recordings } from './recordings.svelte';

  /** Where a recording comes from: this phone, a device that pretends, or a file. */
  interface Props {
    store: ShootStore;
    shot: Shot | null;
    take: Take | null;
    recordings: Recordings;
  }
  let { store, shot, take, recordings }: Props = $props();

  const { phone, runner } = $derived(recordings);
  takeDropped(() => ({ recording: shot ? (file) => void recordings.openFile(file, shot, take) : null }));
</script>

<section class="word-pane" aria-label="Record motion">
  {#if !shot}
    <p class="said">Its plan is not in the shoot any more: nothing can be held against it.</p>
  {:else}
    <h2>This phone, fixed to the rig</h2>
    <p class="said">
      It lies <Choice
        label="How the phone lies"
        value={preferences.phoneLies}
        items={Object.entries(MOUNTS).map(([value, name]) => ({ value, name }))}
        onchange={(value) => {
          preferences.phoneLies = value as Mount;
          keepPreferences();
        }}
      />. Hold still for two seconds, make the move, hold still again.
    </p>
    <p>
      <button
        class="main-button"
        disabled={recordings.busy || runner.running !== null}
        onclick={() => void recordings.withPhone(shot, take)}
        >{phone.recording ? `Stop, after ${phone.seconds.toFixed(0)} s` : 'Record with this phone'}</button
      >
    </p>
    <h2>Devices that pretend</h2>
    <p class="text-sm text-soft">
      None of them exists: they take this plan, carry it out not quite right, and say what they did.
    </p>
    <ul class="devices">
      {#each DEVICES as device (device.kind)}
        <li>
          <button
            class="quiet-button framed"
            disabled={recordings.busy || phone.recording || (runner.running !== null && runner.running !== device.kind)}
            onclick={() =>
              runner.running === device.kind ? runner.stop() : void recordings.withDevice(device.kind, shot, take)}
            >{runner.running === device.kind ? `Stop the ${device.name.toLowerCase()}` : device.name}</button
          >
          <span class="text-sm"
            >{runner.running === device.kind
              ? `${runner.seconds.toFixed(1)} s, battery ${Math.round(runner.batteryShare * 100)}%`
              : device.does}</span
          >
        </li>
      {/each}
    </ul>
    <h2>A file</h2>
    <p class="said">
      <FilePicker
        label="A recording"
        accept=".csv,.txt,.gpx,text/csv"
        onfile={(file) => recordings.openFile(file, shot, take)}>Open a CSV or GPX</FilePicker
      >: time with gyroscope and accelerometer, angles, places, a carriage’s way, or focus; also what Export writes as a
      camera path.
    </p>
    {#if recordings.file && recordings.file.names.length > 1}
      <ColumnsWords
        names={recordings.file.names}
        onread={(columns, inUnits) => void recordings.readFile(columns, inUnits)}
      />
    {/if}
    {#if recordings.busy}<p role="status">Laying it on the plan…</p>{/if}
    {#if recordings.said}<Trouble>{recordings.said}</Trouble>{/if}
    {#each recordings.notes as note (note)}<Trouble>{note}</Trouble>{/each}
    {#if take?.recorded}
      <h2>On this take</h2>
      <p class="said">
        Recorded by {RECORDED_BY[take.recorded.by]}{take.recorded.by === 'file' ? `, “${take.recorded.name}”` : ''}.
        <button class="link" onclick={() => store.change(changeTake(store.shoot, take.id, { recorded: null }))}
          >Remove the recording</button
        >
      </p>
    {/if}
  {/if}
</section>

<style>
  .devices {
    display: grid;
    gap: 0.4rem;
  }
  .devices li {
    display: flex;
    align-items: center;
    gap: 0.6rem;
  }
  .devices button {
    flex-shrink: 0;
    min-width: 8.2rem;
  }
</style>
