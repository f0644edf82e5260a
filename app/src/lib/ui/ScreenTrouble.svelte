<script lang="ts">
  import Trouble from './Trouble.svelte';
  import { resolve } from '$app/paths';

  /** A screen that could not be drawn: what happened, and ways out. */
  let { error, reset, shootHref = null }: { error: unknown; reset: () => void; shootHref?: string | null } = $props();
</script>

<main class="mx-auto max-w-xl p-8">
  <h1 class="font-display text-3xl">This screen stumbled</h1>
  <Trouble class="mt-4">
    It could not be drawn ({(error as Error)?.message?.slice(0, 160) ?? 'no reason is known'}). What you made is kept as
    it was.
  </Trouble>
  <p class="mt-4 flex flex-wrap gap-4">
    <button class="link font-semibold" onclick={reset}>Try again</button>
    {#if shootHref}<a class="link" href={shootHref}>To the shots</a>{/if}
    <a class="link" href={resolve('/')}>All shoots</a>
  </p>
</main>
