<script lang="ts">
  import { resolve } from '$app/paths';
  import { page } from '$app/state';
  import Mark from '$lib/ui/Mark.svelte';
</script>

<main class="mx-auto max-w-xl p-8">
  <Mark />
  <h1 class="mt-4 font-display text-3xl">
    {page.status === 404 ? 'There is nothing at this address' : 'That did not work'}
  </h1>
  <p class="mt-3 leading-relaxed text-soft">
    {page.status === 404
      ? 'The address may have been typed wrongly, or lead to something that was moved.'
      : `The page could not be shown (${page.error?.message ?? page.status}). What you made lies in this browser as it was.`}
  </p>
  <p class="mt-5"><a class="link font-semibold" href={resolve('/')}>Back to all shoots</a></p>
</main>
