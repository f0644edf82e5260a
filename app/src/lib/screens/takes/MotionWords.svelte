<script lang="ts">
  import { onDestroy } from 'svelte';
  import { changeTake, countTake } from '@gentle-arc/core/edit';
  import { RECORDED_BY, type Recorded, type Shot, type Take } from '@gentle-arc/core/model';
  import { DEVICES, type Mount, MOUNTS } from '@gentle-arc/core/take';
  import { newId } from '$lib/session/store/new-id';
  import type { ShootStore } from '$lib/session/store/shoot-store.svelte';
  import Choice from '$lib/ui/Choice.svelte';
  import FilePicker from '$lib/ui/FilePicker.svelte';
  import { preferences } from '$lib/ui/preferences.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import type { LiveTake } from '$lib/workers/live-take.svelte';
  import type { TakenIn } from '$lib/workers/take-messages';
  import ColumnsWords from './ColumnsWords.svelte';
  import { DeviceRunner } from './device-runner.svelte';
  import { PhoneRecorder } from './phone-recorder.svelte';

  /** Where a recording comes from: this phone, a device that pretends, or a file. */
  interface Props {
    store: ShootStore;
    shot: Shot | null;
    take: Take | null;
    live: LiveTake;
    onmade: (id: string) => void;
  }
  let { store, shot, take, live, onmade }: Props = $props();

  const phone = new PhoneRecorder();
  const runner = new DeviceRunner();
  let said: string | null = $state(null);
  let notes: string[] = $state.raw([]);
  let mount = $state<Mount>('upright');
  let file = $state.raw<{ name: string; text: string; names: string[] } | null>(null);
  let busy = $state(false);
  const MOST_MB = 60;

  onDestroy(() => {
    phone.stop();
    runner.stop();
  });

  /** Lays a recording on the take that is open, or on a new one where that has one already. */
  function keep(recorded: Recorded) {
    if (!shot) return;
    let next = store.shoot;
    let id = take && !take.recorded && take.shotId === shot.id ? take.id : null;
    if (id === null) {
      id = newId('take');
      next = countTake(next, shot.id, id, new Date().toISOString());
    }
    if (store.change(changeTake(next, id, { recorded }))) onmade(id);
  }

  async function takeIn(ask: () => Promise<TakenIn>): Promise<boolean> {
    busy = true;
    said = null;
    notes = [];
    try {
      const answer = await ask();
      if ('refused' in answer) {
        said = answer.refused;
        if (file && answer.names.length > 0) file = { ...file, names: answer.names };
        return false;
      }
      notes = answer.notes;
      keep(answer.recorded);
      return true;
    } catch (error) {
      said = (error as Error).message;
      return false;
    } finally {
      busy = false;
    }
  }

  async function fromFile(chosen: File) {
    if (chosen.size > MOST_MB * 1024 * 1024) {
      said = `“${chosen.name.slice(0, 60)}” has ${Math.round(chosen.size / 1024 / 1024)} MB; recordings of up to ${MOST_MB} MB are read.`;
      return;
    }
    file = { name: chosen.name, text: await chosen.text(), names: [] };
    await readFile({}, {});
  }
  async function readFile(columns: Record<string, string>, inUnits: Record<string, string>) {
    if (!file || !shot) return;
    const { name, text } = file;
    const shotId = shot.id;
    const { units } = preferences;
    const done = await takeIn(() =>
      live.takeInFile(store.shoot, { shotId, units, name, text, columns, inUnits, mount: 'asCamera' }),
    );
    if (done) file = null;
  }

  async function fromPhone() {
    if (phone.recording) {
      const record = phone.finish(mount);
      if (record && shot) {
        const shotId = shot.id;
        await takeIn(() => live.takeIn(store.shoot, shotId, preferences.units, record));
      }
      return;
    }
    said = await phone.start();
  }

  async function run(kind: string) {
    const device = DEVICES.find((row) => row.kind === kind);
    if (!device || !shot) return;
    said = null;
    const { record, why } = await runner.run(device, store.shoot, shot);
    const shotId = shot.id;
    if (record) await takeIn(() => live.takeIn(store.shoot, shotId, preferences.units, record));
    if (why) said = why;
  }
</script>

<section class="word-pane" aria-label="Record motion">
  {#if !shot}
    <p class="said">Its plan is not in the shoot any more: nothing can be held against it.</p>
  {:else}
    <h2>This phone, fixed to the rig</h2>
    <p class="said">
      It lies <Choice
        label="How the phone lies"
        value={mount}
        items={Object.entries(MOUNTS).map(([value, name]) => ({ value, name }))}
        onchange={(value) => (mount = value as Mount)}
      />. Hold still for two seconds, make the move, hold still again.
    </p>
    <p>
      <button class="main-button" disabled={busy || runner.running !== null} onclick={() => void fromPhone()}
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
            disabled={busy || phone.recording || (runner.running !== null && runner.running !== device.kind)}
            onclick={() => (runner.running === device.kind ? runner.stop() : void run(device.kind))}
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
      <FilePicker label="A recording" accept=".csv,.txt,.gpx,text/csv" onfile={fromFile}>Open a CSV or GPX</FilePicker>:
      time with gyroscope and accelerometer, angles, places, a carriage’s way, or focus; also what Export writes as a
      camera path.
    </p>
    {#if file && file.names.length > 1}
      <ColumnsWords names={file.names} onread={(columns, inUnits) => void readFile(columns, inUnits)} />
    {/if}
    {#if busy}<p role="status">Laying it on the plan…</p>{/if}
    {#if said}<Trouble>{said}</Trouble>{/if}
    {#each notes as note (note)}<Trouble>{note}</Trouble>{/each}
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
