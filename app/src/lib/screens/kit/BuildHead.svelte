<script lang="ts">
  import type { Build, Kit, SupportKind } from '@gentle-arc/core/model';
  import { SUPPORT_KINDS, supportOf } from '@gentle-arc/core/supports';
  import Choice from '$lib/ui/Choice.svelte';
  import TextField from '$lib/ui/TextField.svelte';

  /** What a build is called, which rig it is for, and how another one is begun. */
  interface Props {
    build: Build;
    kit: Kit;
    onchange: (next: Build, join: string | null) => void;
    onstart: (kind: SupportKind) => void;
    oncopy: () => void;
    ondelete: () => void;
  }
  let { build, kit, onchange, onstart, oncopy, ondelete }: Props = $props();
</script>

<div class="flex flex-wrap items-baseline gap-x-3">
  <TextField
    class="build-name font-display"
    label="Name of the build"
    most={80}
    value={build.name}
    onchange={(name) => onchange({ ...build, name }, null)}
  />
  <span class="said"
    >for <Choice
      label="Rig of the build"
      value={build.rigId}
      items={kit.rigs.map(({ id, name }) => ({ value: id, name }))}
      onchange={(rigId) => onchange({ ...build, rigId }, null)}
    /></span
  >
  <span class="flex-1"></span>
  <span class="text-sm"
    ><Choice
      label="Put another together"
      value=""
      items={[
        { value: '', name: 'Put together…' },
        ...SUPPORT_KINDS.map((value) => ({ value, name: `a new ${supportOf(value).name}` })),
      ]}
      onchange={(kind) => onstart(kind as SupportKind)}
    /></span
  >
  <button class="link text-sm" onclick={oncopy}>Copy</button>
  {#if kit.builds.length > 1}<button class="link text-sm" onclick={ondelete}>Delete</button>{/if}
</div>

<style>
  div :global(.build-name) {
    min-width: 0;
    border: 0;
    padding: 0;
    background: transparent;
    color: inherit;
    font-size: 1.1rem;
    field-sizing: content;
  }
</style>
