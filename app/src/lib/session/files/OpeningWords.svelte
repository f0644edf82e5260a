<script lang="ts">
  import Trouble from '../../ui/Trouble.svelte';
  import { Modal, Toast } from 'flowbite-svelte';
  import { sayDifferences } from '@gentle-arc/core/model';
  import { opening } from './opening.svelte';

  /**
   * What is said of files, wherever they were chosen or dropped; and the question when another state of a shoot lies
   * here.
   */
  const question = $derived(opening.question);
</script>

{#if opening.problem}
  <Trouble onclose={() => (opening.problem = null)}>{opening.problem}</Trouble>
{/if}

{#if opening.said}
  <div class="fixed right-5 bottom-5 z-40">
    <Toast dismissable={false} class="rounded-xl bg-raised text-ink shadow-lg">
      <span role="status">{opening.said.text}</span>
      {#if opening.said.undo}<button class="quiet-button ml-3 font-semibold underline" onclick={opening.said.undo}
          >Undo</button
        >{/if}
      <button class="quiet-button ml-1" onclick={() => (opening.said = null)}>Close</button>
    </Toast>
  </div>
{/if}

<Modal
  title="“{question?.shoot.name ?? ''}” is here already"
  bind:open={() => question !== null, (open) => !open && (opening.question = null)}
  class="bg-raised text-ink"
  size="sm"
>
  {#if question}
    <p class="leading-snug">The file and what lies in this browser differ. {sayDifferences(question.differences, 5)}</p>
    <div class="mt-4 flex flex-wrap gap-3">
      <button class="solid-button" onclick={() => opening.answer('both')}>Keep both</button>
      <button class="quiet-button font-semibold" onclick={() => opening.answer('replace')}>Replace what is here</button>
      <button class="quiet-button" onclick={() => (opening.question = null)}>Open neither</button>
    </div>
    {#if question.here}<p class="mt-3 text-sm text-soft">
        Replaced is not lost: Undo in the shoot brings back what was here.
      </p>{/if}
  {/if}
</Modal>
