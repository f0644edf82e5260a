<script lang="ts">
  import { moveHref } from '$lib/session/links';
  import { goto } from '$app/navigation';
  import {
    ArrowDownOutline,
    ArrowUpOutline,
    DotsVerticalOutline,
    FileCopyOutline,
    TrashBinOutline,
  } from 'flowbite-svelte-icons';
  import { dragHandle, dragHandleZone } from 'svelte-dnd-action';
  import { addShot, duplicateShot, removeShot, shiftShot } from '@gentle-arc/core/edit';
  import { legsOf, type Shot, trim } from '@gentle-arc/core/model';
  import { lengthOnScreenS, RECIPES } from '@gentle-arc/core/motion';
  import TextField from '$lib/ui/TextField.svelte';
  import MovePicture from '$lib/views/move-picture/MovePicture.svelte';
  import { newId } from '$lib/session/store/new-id';
  import type { ShootStore } from '$lib/session/store/shoot-store.svelte';

  let { store }: { store: ShootStore } = $props();

  /** The order while a row is being dragged; the shoot's own order otherwise. */
  let dragged: Shot[] | null = $state.raw(null);
  const rows = $derived(dragged ?? store.shoot.shots);

  const put = (shots: Shot[]) => store.change({ ...store.shoot, shots });
  const href = (shot: Shot) => moveHref(store.shoot.id, shot.id);
  const subject = (shot: Shot) => store.shoot.site.pieces.find((piece) => piece.id === shot.subjectId)?.name;

  /** How long the audience sees it. */
  const titleOf = (shot: Shot) =>
    legsOf(shot)
      .map(({ move }, i) => (i === 0 ? RECIPES[move.kind].title : RECIPES[move.kind].title.toLowerCase()))
      .join(', then ');

  function add() {
    const id = newId('shot');
    if (store.change(addShot(store.shoot, id))) void goto(moveHref(store.shoot.id, id));
  }
  const duplicate = (i: number) => store.change(duplicateShot(store.shoot, i, newId('shot')));
  const shift = (i: number, by: number) => store.change(shiftShot(store.shoot, i, by));
  const remove = (i: number) => store.change(removeShot(store.shoot, i));

  const total = $derived(store.shoot.shots.reduce((sum, shot) => sum + lengthOnScreenS(shot), 0));
</script>

<main class="mx-auto max-w-4xl px-4 py-4 md:px-8">
  <div class="flex flex-wrap items-baseline justify-between gap-3">
    <h1 class="font-display text-3xl">Shots</h1>
    <p class="text-soft">{rows.length} {rows.length === 1 ? 'shot' : 'shots'}, {trim(total, 1)} s in all</p>
  </div>
  {#if rows.length === 0}
    <p class="mt-6 text-soft">No shots yet. Add the first: you will see it through the lens at once.</p>
  {/if}
  <ol
    class="mt-4 divide-y divide-hairline"
    aria-label="Shots in order"
    use:dragHandleZone={{ items: rows, flipDurationMs: 120, dropTargetStyle: {} }}
    onconsider={(event: CustomEvent<{ items: Shot[] }>) => (dragged = event.detail.items)}
    onfinalize={(event: CustomEvent<{ items: Shot[] }>) => {
      put(event.detail.items);
      dragged = null;
    }}
  >
    {#each rows as shot, i (shot.id)}
      <li class="flex items-center gap-1 bg-paper py-2 md:gap-3">
        <span
          class="cursor-grab px-1 text-soft"
          use:dragHandle
          aria-label="Move {shot.name}"
          title="Drag to another place"><DotsVerticalOutline class="h-5 w-5" /></span
        >
        <span class="w-4 text-right text-soft md:w-6">{i + 1}</span>
        <a href={href(shot)} class="shrink-0" aria-label="Open {shot.name}"><MovePicture kind={shot.move.kind} /></a>
        <div class="min-w-0 flex-1">
          <TextField
            class="w-full truncate rounded border-0 bg-transparent p-0 font-semibold"
            label="Name of shot {i + 1}"
            most={120}
            value={shot.name}
            onchange={(name) => store.changeShot(shot.id, (row) => ({ ...row, name }))}
          />
          <p class="truncate text-sm text-soft">
            {titleOf(shot)}{subject(shot) ? ` · ${subject(shot)}` : ''} · {trim(lengthOnScreenS(shot), 1)} s · {trim(
              shot.focalLengthMm,
              0,
            )} mm
          </p>
        </div>
        <a class="quiet-button hidden font-semibold md:inline-flex" href={href(shot)} aria-label="Plan {shot.name}"
          >Plan</a
        >
        <span class="hidden md:contents">
          <button
            class="quiet-button"
            disabled={i === 0}
            onclick={() => shift(i, -1)}
            aria-label="Earlier: {shot.name}"
            title="Earlier"><ArrowUpOutline class="h-5 w-5" /></button
          >
          <button
            class="quiet-button"
            disabled={i === rows.length - 1}
            onclick={() => shift(i, 1)}
            aria-label="Later: {shot.name}"
            title="Later"><ArrowDownOutline class="h-5 w-5" /></button
          >
        </span>
        <button class="quiet-button" onclick={() => duplicate(i)} aria-label="Duplicate {shot.name}" title="Duplicate"
          ><FileCopyOutline class="h-5 w-5" /></button
        >
        <button
          class="quiet-button"
          onclick={() => remove(i)}
          aria-label="Delete {shot.name}"
          title="Delete (can be undone)"><TrashBinOutline class="h-5 w-5" /></button
        >
      </li>
    {/each}
  </ol>
  <button class="main-button mt-5" onclick={add}>Add a shot</button>
</main>
