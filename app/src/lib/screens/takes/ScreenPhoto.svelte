<script lang="ts">
  import { MOST_PHOTO_LETTERS, type Take } from '@gentle-arc/core/model';
  import FilePicker from '$lib/ui/FilePicker.svelte';
  import { notice } from '$lib/ui/notice.svelte';
  import { smallPicture } from '$lib/ui/small-picture';

  /** A picture of the screen, kept small with the take. */
  let { take, onchange }: { take: Take; onchange: (photo: string | null) => void } = $props();

  async function attach(file: File) {
    const made = await smallPicture(file, MOST_PHOTO_LETTERS);
    if (typeof made === 'string') notice.say(made);
    else onchange(made.image);
  }
</script>

{#if take.photo}
  <span class="photo">
    <img src={take.photo} alt="Of this take" />
    <button class="away" aria-label="Remove the picture" onclick={() => onchange(null)}>×</button>
  </span>
{:else}
  <FilePicker label="A picture of the screen" accept="image/*" onfile={attach}
    >Attach a picture of the screen</FilePicker
  >
{/if}

<style>
  .photo {
    display: inline-flex;
    align-items: flex-start;
  }
  img {
    max-height: 6rem;
    border-radius: 0.4rem;
  }
</style>
