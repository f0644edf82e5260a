<script lang="ts">
  import { Modal } from 'flowbite-svelte';
  import { listedShortcuts } from './shortcuts.svelte';

  /** The keys that work where one is. */
  let { onclose }: { onclose: () => void } = $props();

  const SHOWN: Record<string, string> = { ' ': 'Space', ArrowLeft: '←', ArrowRight: '→' };
</script>

<Modal open {onclose} size="sm" title="Keys" class="bg-raised text-ink">
  <dl class="keys">
    {#each listedShortcuts() as shortcut (shortcut.does)}
      <dt>
        <kbd
          >{shortcut.ctrl ? 'Ctrl ' : ''}{shortcut.shown ??
            SHOWN[shortcut.key] ??
            (shortcut.key.length === 1 ? shortcut.key.toUpperCase() : shortcut.key)}</kbd
        >
      </dt>
      <dd>{shortcut.does}</dd>
    {/each}
  </dl>
</Modal>

<style>
  .keys {
    display: grid;
    grid-template-columns: max-content 1fr;
    gap: 0.4rem 1rem;
  }
  kbd {
    padding: 0.1rem 0.5rem;
    border: 1px solid var(--hairline);
    border-radius: 6px;
    font: inherit;
    font-weight: 650;
  }
</style>
