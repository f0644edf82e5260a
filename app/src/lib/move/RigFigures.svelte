<script lang="ts">
  import { Modal } from 'flowbite-svelte';
  import { DEFAULT_GAITS, DEFAULT_RIGS, usualRig } from '@gentle-arc/core/model/default-rigs';
  import { DEFAULT_KIT } from '@gentle-arc/core/model/defaults';
  import type { Camera, Gait, Kit, Lens, Rig } from '@gentle-arc/core/model/kit';
  import type { Scene } from '@gentle-arc/core/scene/scene';
  import NumberField from '$lib/parts/NumberField.svelte';
  import type { Unit } from '$lib/parts/quantities';

  /**
   * The figures of a rig and a gait, to be typed over with measured ones. They belong to the kit: every shot that uses
   * them changes.
   */
  interface Props {
    scene: Scene;
    kit: Kit;
    onkit: (kit: Kit, join: string | null) => void;
    onsettle: () => void;
  }
  let { scene, kit, onkit, onsettle }: Props = $props();

  const { rig, gait, camera, lens } = $derived(scene);

  let open = $state(false);

  interface Row<T> {
    key: keyof T & string;
    label: string;
    unit: Unit;
    min: number;
    max: number;
    step: number;
  }
  const rigRows: Row<Rig>[] = [
    { key: 'travelM', label: 'Longest travel', unit: 'm', min: 0, max: 5000, step: 0.1 },
    { key: 'heightMinM', label: 'Lens at least this high', unit: 'm', min: 0, max: 500, step: 0.05 },
    { key: 'heightMaxM', label: 'Lens at most this high', unit: 'm', min: 0, max: 500, step: 0.1 },
    { key: 'speedMaxMps', label: 'Steady up to', unit: 'mps', min: 0, max: 60, step: 0.1 },
    { key: 'climbMaxMps', label: 'Climbs up to', unit: 'mps', min: 0, max: 30, step: 0.1 },
    { key: 'accelerationMaxMps2', label: 'Gains up to, each second', unit: 'mps', min: 0.05, max: 50, step: 0.1 },
    { key: 'panRateMaxDegps', label: 'Pans at up to', unit: 'degps', min: 1, max: 1000, step: 5 },
    { key: 'tiltRateMaxDegps', label: 'Tilts at up to', unit: 'degps', min: 1, max: 1000, step: 5 },
    { key: 'tiltMinDeg', label: 'Tilts down to', unit: 'deg', min: -90, max: 90, step: 5 },
    { key: 'tiltMaxDeg', label: 'Tilts up to', unit: 'deg', min: -90, max: 90, step: 5 },
    { key: 'rollMaxDeg', label: 'Rolls either way to', unit: 'deg', min: 0, max: 360, step: 5 },
    { key: 'bankMaxDeg', label: 'Banks up to (0: does not)', unit: 'deg', min: 0, max: 80, step: 1 },
    { key: 'armM', label: 'Arm, pole or rope (0: none)', unit: 'm', min: 0, max: 50, step: 0.1 },
    { key: 'clearM', label: 'Room it needs about the lens', unit: 'm', min: 0, max: 10, step: 0.05 },
    { key: 'slowShare', label: 'Slow stick, part of the limits', unit: 'plain', min: 0.01, max: 1, step: 0.05 },
    { key: 'normalShare', label: 'Normal stick, part of the limits', unit: 'plain', min: 0.01, max: 1, step: 0.05 },
    { key: 'runMin', label: 'One go lasts, minutes (0: no end)', unit: 'plain', min: 0, max: 1000, step: 1 },
    { key: 'bobShare', label: 'Part of the body’s bob that gets through', unit: 'plain', min: 0, max: 2, step: 0.05 },
    { key: 'shakeShare', label: 'Part of its shaking that gets through', unit: 'plain', min: 0, max: 2, step: 0.01 },
  ];
  const gaitRows: Row<Gait>[] = [
    { key: 'stepRateHz', label: 'Steps a second', unit: 'plain', min: 0.1, max: 60, step: 0.1 },
    { key: 'bobMm', label: 'Up and down, peak to peak', unit: 'size', min: 0, max: 500, step: 1 },
    { key: 'swayMm', label: 'Side to side', unit: 'size', min: 0, max: 500, step: 1 },
    { key: 'leanDeg', label: 'Lean from side to side', unit: 'tenth', min: 0, max: 45, step: 0.1 },
    { key: 'usualMps', label: 'At this speed (0: at any)', unit: 'mps', min: 0, max: 30, step: 0.1 },
    { key: 'shakeDeg', label: 'Tremor of the hands', unit: 'tenth', min: 0, max: 20, step: 0.1 },
  ];
  const cameraRows: Row<Camera>[] = [
    { key: 'readOutMs', label: 'Read out from first line to last, ms', unit: 'plain', min: 0, max: 200, step: 1 },
  ];
  const lensRows: Row<Lens>[] = [
    { key: 'fNumberMin', label: 'Widest opening, f/', unit: 'plain', min: 0.5, max: 45, step: 0.1 },
    { key: 'closestFocusM', label: 'Focuses from', unit: 'm', min: 0, max: 50, step: 0.01 },
  ];
  const numbers = (row: Rig | Gait | Camera | Lens) => row as unknown as Record<string, number>;

  const setRig = (change: Partial<Rig>, join: string | null) =>
    onkit({ ...kit, rigs: kit.rigs.map((row) => (row.id === rig.id ? { ...row, ...change } : row)) }, join);
  const setGait = (change: Partial<Gait>, join: string | null) =>
    onkit({ ...kit, gaits: kit.gaits.map((row) => (row.id === gait.id ? { ...row, ...change } : row)) }, join);

  const setCamera = (change: Partial<Camera>, join: string | null) =>
    onkit({ ...kit, cameras: kit.cameras.map((row) => (row.id === camera.id ? { ...row, ...change } : row)) }, join);
  const setLens = (change: Partial<Lens>, join: string | null) =>
    onkit({ ...kit, lenses: kit.lenses.map((row) => (row.id === lens.id ? { ...row, ...change } : row)) }, join);

  /** Lowest stays below highest: the other one gives way. */
  function setRigNumber(key: string, value: number) {
    const change: Record<string, number> = { [key]: value };
    if (key === 'heightMinM' && value > rig.heightMaxM) change.heightMaxM = value;
    if (key === 'heightMaxM' && value < rig.heightMinM) change.heightMinM = value;
    if (key === 'tiltMinDeg' && value > rig.tiltMaxDeg) change.tiltMaxDeg = value;
    if (key === 'tiltMaxDeg' && value < rig.tiltMinDeg) change.tiltMinDeg = value;
    setRig(change as Partial<Rig>, `rig.${key}`);
  }

  function restore() {
    const known = DEFAULT_RIGS.find((row) => row.id === rig.id) ?? usualRig(rig.kind, { id: rig.id, name: rig.name });
    const usualGait = DEFAULT_GAITS.find((row) => row.id === gait.id);
    const usualCamera = DEFAULT_KIT.cameras.find((row) => row.id === camera.id);
    const usualLens = DEFAULT_KIT.lenses.find((row) => row.id === lens.id);
    onkit(
      {
        ...kit,
        cameras: kit.cameras.map((row) =>
          row.id === camera.id && usualCamera ? { ...row, readOutMs: usualCamera.readOutMs } : row,
        ),
        lenses: kit.lenses.map((row) =>
          row.id === lens.id && usualLens
            ? { ...row, fNumberMin: usualLens.fNumberMin, closestFocusM: usualLens.closestFocusM }
            : row,
        ),
        rigs: kit.rigs.map((row) => (row.id === rig.id ? { ...known, name: rig.name } : row)),
        gaits: kit.gaits.map((row) => (row.id === gait.id && usualGait ? { ...usualGait, name: gait.name } : row)),
      },
      null,
    );
  }
</script>

<button class="link" onclick={() => (open = true)}>Their figures</button>

<Modal bind:open size="md" title="{rig.name}, {gait.name}" class="bg-raised text-ink">
  <p class="leading-snug text-soft">
    Usual figures: common practice, no published source. Type over them with what you measured; every shot with this rig
    reads by them.
  </p>
  <div class="columns">
    {#snippet figures(
      rows: Row<Rig>[] | Row<Gait>[] | Row<Camera>[] | Row<Lens>[],
      of: Rig | Gait | Camera | Lens,
      put: (key: string, value: number) => void,
    )}
      {#each rows as row (row.key)}
        <span>{row.label}</span>
        <NumberField
          label={row.label}
          value={numbers(of)[row.key]}
          unit={row.unit}
          min={row.min}
          max={row.max}
          step={row.step}
          onchange={(value) => put(row.key, value)}
          {onsettle}
        />
      {/each}
    {/snippet}
    <section aria-label="Figures of the rig">
      <h3>{rig.name}</h3>
      <div class="figures">{@render figures(rigRows, rig, setRigNumber)}</div>
    </section>
    <section aria-label="Figures of the gait">
      <h3>{gait.name}</h3>
      <div class="figures">
        {@render figures(gaitRows, gait, (key, value) => setGait({ [key]: value }, `gait.${key}`))}
      </div>
    </section>
    <section aria-label="Figures of camera and lens">
      <h3>{camera.name}</h3>
      <div class="figures">
        {@render figures(cameraRows, camera, (key, value) => setCamera({ [key]: value }, `camera.${key}`))}
      </div>
      <h3 class="mt-3">{lens.name}</h3>
      <div class="figures">
        {@render figures(lensRows, lens, (key, value) => setLens({ [key]: value }, `lens.${key}`))}
      </div>
    </section>
  </div>
  <button class="link" onclick={restore}>Back to the usual figures</button>
</Modal>

<style>
  .columns {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(16rem, 1fr));
    gap: 1.2rem;
  }
  .figures {
    display: grid;
    grid-template-columns: 1fr auto;
    gap: 0.15rem 0.8rem;
    align-items: baseline;
    font-size: 0.95rem;
  }
  h3 {
    font-weight: 650;
    margin-bottom: 0.3rem;
  }
</style>
