<script lang="ts">
  import { MOST_PHOTO_LETTERS, type Take } from '@gentle-arc/core/model';
  import { clipStrip } from '$lib/ui/clip-strip';
  import FilePicker from '$lib/ui/FilePicker.svelte';
  import { notice } from '$lib/ui/notice.svelte';
  import { smallPicture } from '$lib/ui/small-picture';

  /** A picture of the screen, kept small with the take; of a clip of the screen, eight stills. */
  let { take, onchange }: { take: Take; onchange: (takeId: string, photo: string | null) => void } = $props();

  let reading = $state(false);
  let large = $state(false);

  async function attach(file: File) {
    // Another take may be looked at before it is read.
    const { id } = take;
    reading = true;
    const isClip = file.type.startsWith('video/') || /\.(mp4|mov|webm|mkv|m4v)$/i.test(file.name);
    const made = await (isClip ? clipStrip : smallPicture)(file, MOST_PHOTO_LETTERS);
    reading = false;
    if (typeof made === 'string') notice.say(made);
    else onchange(id, made.image);
  }
</script>

{#if take.photo}
  <span class="photo" class:large>
    <button
      class="show"
      aria-pressed={large}
      aria-label="{large ? 'Show small' : 'Show large'} what is attached"
      onclick={() => (large = !large)}><img src={take.photo} alt="Of this take" /></button
    >
    <button class="away" aria-label="Remove the picture" onclick={() => onchange(take.id, null)}>×</button>
  </span>
{:else if reading}
  <span role="status">Reading it…</span>
{:else}
  <FilePicker label="A picture or a clip of the screen" accept="image/*,video/*" onfile={attach}
    >Attach a picture or a clip of the screen</FilePicker
  >
{/if}

<style>
  .photo {
    display: inline-flex;
    align-items: flex-start;
  }
  .photo.large {
    display: flex;
    flex-basis: 100%;
  }
  .show {
    min-width: 0;
    cursor: zoom-in;
  }
  .large .show {
    cursor: zoom-out;
  }
  img {
    max-height: 6rem;
    border-radius: 0.4rem;
  }
  .large img {
    max-height: 80dvh;
    max-width: 100%;
  }
</style>
