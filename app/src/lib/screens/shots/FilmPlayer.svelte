<script lang="ts">
  import { ExpandOutline, PauseSolid, PlaySolid } from 'flowbite-svelte-icons';
  import type { Shoot } from '@gentle-arc/core/model';
  import { filmSeconds, type FilmStretch, shownAt, Tellings } from '@gentle-arc/core/sequence';
  import { shortcuts } from '$lib/ui/shortcuts.svelte';
  import Picture from '$lib/views/picture/Picture.svelte';
  import type { FilmHead } from './film-head.svelte';

  /** The film from the plans, in real time: the picture, and under it all shots with their cuts. */
  interface Props {
    shoot: Shoot;
    film: readonly FilmStretch[];
    head: FilmHead;
    /** The film is still to come. */
    looking: boolean;
    /** The film as it was before the join was changed can be played too. */
    was: boolean | null;
    onwas: (was: boolean) => void;
    onclose: () => void;
  }
  let { shoot, film, head, looking, was, onwas, onclose }: Props = $props();

  const tellings = new Tellings(6);
  const shown = $derived(shownAt(film, head.filmS));
  /** The last shot that was seen stays behind the black. */
  const index = $derived.by(() => {
    if (!shown) return null;
    if (shown.stretch.index !== null) return shown.stretch.index;
    return film[film.indexOf(shown.stretch) - 1]?.index ?? null;
  });
  const told = $derived(index === null || !shoot.shots[index] ? null : tellings.tell(shoot, shoot.shots[index]));
  const dark = $derived(shown?.stretch.index === null);
  const lengthS = $derived(filmSeconds(film));
  let figure: HTMLElement | undefined = $state();
  let bar: HTMLElement | undefined = $state();

  $effect(() => head.fit(film));

  // The next shot is made ready before its cut.
  $effect(() => {
    if (!shown || !head.playing) return;
    const next = film[film.indexOf(shown.stretch) + 1];
    if (!next || next.index === null || next.fromS - head.filmS > 0.7) return;
    const shot = shoot.shots[next.index];
    if (shot) tellings.tell(shoot, shot);
  });

  const clock = (s: number) => `${Math.floor(s / 60)}:${(s % 60).toFixed(1).padStart(4, '0')}`;

  function scrub(event: PointerEvent) {
    if (!bar || (event.type === 'pointermove' && event.buttons === 0)) return;
    const box = bar.getBoundingClientRect();
    bar.setPointerCapture(event.pointerId);
    head.pause();
    head.to(((event.clientX - box.left) / box.width) * lengthS);
  }
  function keys(event: KeyboardEvent) {
    const by = { ArrowLeft: -1, ArrowRight: 1, PageDown: -24, PageUp: 24 }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    event.stopPropagation();
    head.step(by);
  }
  shortcuts(() => [
    { key: ' ', shown: 'Space', does: 'Play or pause the film', press: () => head.toggle() },
    { key: 'ArrowLeft', shown: '← →', does: 'A frame back or on', press: () => head.step(-1) },
    { key: 'ArrowRight', does: 'A frame back or on', press: () => head.step(1) },
    { key: ',', shown: ', .', does: 'To the cut before or after', press: () => head.toCut(-1) },
    { key: '.', does: 'To the cut before or after', press: () => head.toCut(1) },
    { key: 'f', does: 'Full screen', press: () => void figure?.requestFullscreen() },
    { key: 'Escape', does: 'Back to the board', when: () => document.fullscreenElement === null, press: onclose },
  ]);
</script>

<section aria-label="The film" class="player" bind:this={figure}>
  <div class="picture">
    {#if told && shown}
      <Picture
        scene={told.scene}
        samples={told.samples}
        row={Math.min(told.samples.count - 1, dark ? told.frames.end - 1 : shown.row)}
        playing={head.playing}
      />
      {#if dark}<div class="black"></div>{/if}
    {:else}<p class="why" role="status">
        {shoot.shots.length === 0
          ? 'There are no shots to play yet.'
          : looking
            ? 'Looking at the film…'
            : 'There is no film to play.'}
      </p>{/if}
  </div>
  <div
    class="bar"
    bind:this={bar}
    role="slider"
    tabindex="0"
    aria-label="Time in the film"
    aria-valuemin={0}
    aria-valuemax={Math.round(lengthS * 10) / 10}
    aria-valuenow={Math.round(head.filmS * 10) / 10}
    aria-valuetext="{clock(head.filmS)} of {clock(lengthS)}{index === null
      ? ''
      : `, shot ${index + 1}, ${shoot.shots[index]?.name}`}"
    onpointerdown={scrub}
    onpointermove={scrub}
    onkeydown={keys}
  >
    {#each film as stretch (stretch.fromS)}
      <i
        class:black={stretch.index === null}
        class:now={stretch === shown?.stretch}
        style="left: {(100 * stretch.fromS) / lengthS}%; width: {(100 * (stretch.toS - stretch.fromS)) / lengthS}%"
        title={stretch.index === null ? 'black' : `${stretch.index + 1} ${shoot.shots[stretch.index]?.name}`}
      ></i>
    {/each}
    {#if head.loop}
      <em
        style="left: {(100 * head.loop.fromS) / lengthS}%; width: {(100 * (head.loop.toS - head.loop.fromS)) /
          lengthS}%"
      ></em>
    {/if}
    <b style="left: {(100 * head.filmS) / Math.max(1e-6, lengthS)}%"></b>
  </div>
  <div class="controls">
    <button class="main-button" onclick={() => head.toggle()} aria-label={head.playing ? 'Pause' : 'Play'}
      >{#if head.playing}<PauseSolid class="h-5 w-5" />{:else}<PlaySolid class="h-5 w-5" />{/if}</button
    >
    <span class="clock">{clock(head.filmS)} / {clock(lengthS)}</span>
    <span class="name"
      >{#if index !== null && !dark}<b>{index + 1}</b> {shoot.shots[index]?.name}{:else if dark}black{/if}</span
    >
    {#if head.loop}<button class="quiet-button" aria-pressed="true" onclick={() => (head.loop = null)}
        >Over and over</button
      >{/if}
    {#if was !== null}<button class="quiet-button" aria-pressed={was} onclick={() => onwas(!was)}>As it was</button
      >{/if}
    <button class="quiet-button" aria-pressed={head.clicks} onclick={() => (head.clicks = !head.clicks)}>Clicks</button>
    <button
      class="quiet-button"
      onclick={() => void figure?.requestFullscreen()}
      aria-label="Full screen"
      title="Full screen (F)"><ExpandOutline class="h-5 w-5" /></button
    >
    <button class="quiet-button" onclick={onclose}>Back to the board</button>
  </div>
</section>

<style>
  .player {
    display: flex;
    flex-direction: column;
    gap: 0.5rem;
    min-height: 0;
    background: var(--paper);
  }
  .picture {
    position: relative;
  }
  .player:fullscreen {
    justify-content: center;
    padding: 1rem;
  }
  .player:fullscreen :global(.frame) {
    width: min(100%, 86dvh * var(--aspect));
  }
  .picture .black {
    position: absolute;
    inset: 0;
    background: #050606;
  }
  .why {
    padding: 6rem 1rem;
    border-radius: 10px;
    background: var(--sun);
    text-align: center;
    color: var(--soft);
  }
  .bar {
    position: relative;
    height: 2.1rem;
    border-radius: 8px;
    background: var(--sun);
    overflow: hidden;
    touch-action: none;
    cursor: pointer;
  }
  .bar i {
    position: absolute;
    inset-block: 0;
    border-right: 1.5px solid var(--paper);
    background: color-mix(in srgb, var(--subject) 22%, var(--paper));
  }
  .bar i.now {
    background: color-mix(in srgb, var(--subject) 48%, var(--paper));
  }
  .bar i.black {
    background: #050606;
  }
  .bar em {
    position: absolute;
    inset-block: 0;
    box-shadow: inset 0 0 0 2px var(--far);
  }
  .bar b {
    position: absolute;
    inset-block: 0;
    width: 3px;
    margin-left: -1.5px;
    background: var(--near);
  }
  .controls {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0.3rem 0.6rem;
  }
  .clock {
    font-variant-numeric: tabular-nums;
  }
  .name {
    flex: 1;
    min-width: 6rem;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
</style>
