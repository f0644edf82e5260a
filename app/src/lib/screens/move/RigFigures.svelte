<script lang="ts">
  import { Modal } from 'flowbite-svelte';
  import { rigWith, THINGS, usualFigures, withThing, type Thing, type ThingList } from '@gentle-arc/core/edit';
  import { FIELDS } from '@gentle-arc/core/model';
  import { shotSession } from '$lib/session/shot-session.svelte';
  import Hole from '$lib/ui/Hole.svelte';

  /**
   * The figures of a rig and a gait, to be typed over with measured ones. They belong to the kit: every shot that uses
   * them changes.
   */
  const session = shotSession();
  const { scene, shoot } = $derived(session);
  const { rig, gait, camera, lens } = $derived(scene);
  const kit = $derived(shoot.kit);

  let open = $state(false);

  const figures = $derived([
    { list: 'rigs' as const, thing: rig, facts: FIELDS.rig, keys: Object.keys(FIELDS.rig) },
    { list: 'gaits' as const, thing: gait, facts: FIELDS.gait, keys: Object.keys(FIELDS.gait) },
    { list: 'cameras' as const, thing: camera, facts: FIELDS.camera, keys: ['readOutMs'] },
    { list: 'lenses' as const, thing: lens, facts: FIELDS.lens, keys: ['fNumberMin', 'closestFocusM'] },
  ]);
  function set(list: ThingList, key: string, value: number) {
    const own: Thing | undefined = kit[list].find(({ id }) => figures.some(({ thing }) => thing.id === id));
    if (!own) return;
    const next = list === 'rigs' ? rigWith(rig, key, value) : { ...own, [key]: value };
    session.changeKit(withThing(kit, list, next), `${list}.${key}`);
  }
  const restore = () => session.changeKit(usualFigures(kit, { rig, gait, cameraId: camera.id, lensId: lens.id }));
</script>

<button class="link" onclick={() => (open = true)}>Their figures</button>

<Modal bind:open size="md" title="{rig.name}, {gait.name}" class="bg-raised text-ink">
  <p class="leading-snug text-soft">
    Usual figures: common practice, no published source. Type over them with what you measured; every shot with this rig
    reads by them.
  </p>
  <div class="columns">
    {#each figures as { list, thing, facts, keys } (list)}
      <section aria-label="Figures of the {THINGS[list].one}">
        <h3>{thing.name}</h3>
        <div class="figures">
          {#each keys as key (key)}
            <span>{facts[key].label}</span>
            <Hole
              fact={facts[key]}
              value={(thing as unknown as Record<string, number>)[key]}
              onchange={(value: number) => set(list, key, value)}
            />
          {/each}
        </div>
      </section>
    {/each}
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
