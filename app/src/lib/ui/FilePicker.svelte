<script lang="ts">
  import type { HTMLButtonAttributes } from 'svelte/elements';

  /** A button that lets one file be chosen; the words on it are its content. Without words it is opened from elsewhere. */
  interface Props extends Omit<HTMLButtonAttributes, 'onclick'> {
    /** What the file is, for who cannot see the button. */
    label: string;
    /** Endings and types, as the browser's own picker knows them. */
    accept: string;
    onfile: (file: File) => void | Promise<void>;
  }
  let { label, accept, onfile, children, class: look = 'link', ...rest }: Props = $props();

  let input: HTMLInputElement;
  export const open = () => input.click();

  async function take(chosen: HTMLInputElement) {
    const [file] = chosen.files ?? [];
    if (file) await onfile(file);
    // The same name can be chosen again once the file is mended; the screen may have been left by then.
    chosen.value = '';
  }
</script>

{#if children}<button class={look} {...rest} onclick={open}>{@render children()}</button>{/if}
<input
  bind:this={input}
  class="sr-only"
  type="file"
  {accept}
  aria-label={label}
  tabindex="-1"
  onchange={(event) => void take(event.currentTarget)}
/>
