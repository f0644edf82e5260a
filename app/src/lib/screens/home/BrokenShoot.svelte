<script lang="ts">
  import Trouble from '$lib/ui/Trouble.svelte';
  import { goto } from '$app/navigation';
  import { resolve } from '$app/paths';
  import { salvageShoot, type Salvage } from '@gentle-arc/core/formats';
  import { openHref } from '$lib/session/links';
  import { download, fileName } from '$lib/ui/download';
  import { saveShoot, type Listed } from '$lib/session/store/database';
  import { newId } from '$lib/session/store/new-id';
  import { storageTrouble } from '$lib/session/store/trouble';

  /**
   * A shoot that lies here and cannot be read: taken away as it is, or opened as far as it can be read, beside what
   * lies here.
   */
  let { broken }: { broken: Extract<Listed, { shoot: null }> } = $props();

  let salvage: Salvage | null = $state.raw(null);
  let problem: string | null = $state(null);

  const takeAway = () =>
    download(
      `${fileName(broken.name)}.json`,
      'application/json',
      typeof broken.raw === 'string' ? broken.raw : JSON.stringify(broken.raw ?? null, null, 2),
    );

  function look() {
    salvage = salvageShoot(broken.raw);
    if (!salvage) problem = 'Nothing of it can be read. Export it as it is: somebody may be able to mend the file.';
  }

  async function open() {
    if (!salvage) return;
    const shoot = { ...salvage.shoot, id: newId('shoot'), name: `${broken.name.slice(0, 100)} (what could be read)` };
    try {
      await saveShoot({ shoot, rev: null, past: [], future: [] });
      await goto(openHref(shoot));
    } catch (error) {
      problem = storageTrouble(error);
    }
  }
</script>

<main class="mx-auto max-w-2xl p-8">
  <h1 class="font-display text-3xl">“{broken.name}” cannot be read</h1>
  <Trouble class="mt-4">{broken.problem}</Trouble>
  {#if problem}<Trouble class="mt-2">{problem}</Trouble>{/if}
  {#if salvage}
    <h2 class="mt-6 font-display text-xl">What is left out or set anew</h2>
    <ul class="mt-2 list-disc pl-6 leading-snug">
      {#each salvage.left.slice(0, 40) as sentence, i (i)}<li class="py-0.5 break-words">{sentence}</li>{/each}
    </ul>
    {#if salvage.left.length > 40}<p class="text-soft">And {salvage.left.length - 40} more.</p>{/if}
    <p class="mt-4">
      <button class="solid-button" onclick={open}>Open it as a shoot of its own</button>
      <span class="ml-2 text-soft">What lies here stays as it is.</span>
    </p>
  {:else}
    <p class="mt-5 flex flex-wrap gap-3">
      <button class="solid-button" onclick={look}>Open what can be read</button>
      <button class="quiet-button font-semibold" onclick={takeAway}>Export it as it is</button>
    </p>
  {/if}
  <p class="mt-6"><a class="link" href={resolve('/')}>Back to all shoots</a></p>
</main>
