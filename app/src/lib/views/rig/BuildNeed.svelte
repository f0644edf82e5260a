<script lang="ts">
  import { kitHref } from '$lib/session/links';
  import type { Kit, Shot } from '@gentle-arc/core/model';
  import { needOf } from '@gentle-arc/core/supports';

  /** Which build a shot takes, and what has to be balanced again for it. */
  let { kit, shot, shootId }: { kit: Kit; shot: Shot; shootId: string } = $props();

  const need = $derived(needOf(kit, shot));
  const href = $derived(kitHref(shootId, need.build?.id));
</script>

{#if need.build}
  <!-- eslint-disable-next-line svelte/no-navigation-without-resolve -- resolved above, with a query -->
  Put together as <a class="link font-semibold" {href}>{need.build.name}</a>{#if need.changes.length > 0}, with {need.changes
      .map(({ said }) => said)
      .join(', ')}: balance again
    {need.changes
      .map(({ redo }) => redo)
      .filter((redo) => redo !== 'nothing')
      .join('; ') || 'nothing'}{need.minutes > 0 ? `, about ${need.minutes} min` : ''}{/if}.
{/if}
