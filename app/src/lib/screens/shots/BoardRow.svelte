<script lang="ts">
  import { DotsHorizontalOutline, DotsVerticalOutline } from 'flowbite-svelte-icons';
  import { dragHandle } from 'svelte-dnd-action';
  import type { PictureGrade } from '@gentle-arc/core/findings';
  import { type Shoot, type Shot, trim } from '@gentle-arc/core/model';
  import { lengthOnScreenS } from '@gentle-arc/core/motion';
  import type { BoardShot } from '@gentle-arc/core/sequence';
  import { moveHref } from '$lib/session/links';
  import GradeMark from '$lib/ui/GradeMark.svelte';
  import FrameStrip from '$lib/views/frames/FrameStrip.svelte';
  import type { ShotFrames } from '$lib/views/frames/shot-frames.svelte';
  import { DIRECTION, movesOf, purposeWords, sizeWords } from './board-words';

  /** So many shots are drawn before they are in sight. */
  const MOST_AHEAD = 80;

  /** One shot of the board: its frames, what it is, how it reads. All of it opens the shot. */
  interface Props {
    shoot: Shoot;
    shot: Shot;
    number: number;
    told: BoardShot | null;
    grade: PictureGrade | null;
    frames: ShotFrames;
    chosen: boolean;
    onchoose: (also: boolean) => void;
  }
  let { shoot, shot, number, told, grade, frames, chosen, onchoose }: Props = $props();

  const subject = $derived(shoot.site.pieces.find(({ id }) => id === shot.subjectId)?.name);
  const GRADES: Record<PictureGrade, string> = { calm: 'reads smoothly', ripple: 'ripples', jolt: 'jolts' };
</script>

<div class="row" class:chosen>
  <span class="handle" use:dragHandle aria-label="Move {shot.name}" title="Drag to another place"
    ><DotsVerticalOutline class="h-5 w-5" /></span
  >
  <a class="open" href={moveHref(shoot.id, shot.id)}>
    <span class="frames"
      ><FrameStrip {shoot} {shot} rows={told?.rows ?? null} count={3} {frames} ahead={number <= MOST_AHEAD} /></span
    >
    <span class="what">
      <span class="name"
        ><span class="number">{number}</span><b>{shot.name}</b>
        {#if grade}<span class="mark" title={GRADES[grade]}><GradeMark {grade} /></span>
          <span class="sr-only">{GRADES[grade]}</span>{/if}</span
      >
      <span class="line">
        {#if told}<span title={DIRECTION[told.direction].words}
            ><span aria-hidden="true">{DIRECTION[told.direction].sign}</span><span class="sr-only"
              >{DIRECTION[told.direction].words}</span
            ></span
          >
          {sizeWords(told)} ·{/if}
        <span class="seconds">{trim(told?.cutS ?? lengthOnScreenS(shot), 1)} s</span>
      </span>
      <span class="line soft">{movesOf(shot)}{subject ? ` · ${subject}` : ''}</span>
      {#if shot.purpose !== 'none' || shot.note}<span class="line soft"
          >{#if shot.purpose !== 'none'}<em>{purposeWords(shot)}</em>{/if}{shot.purpose !== 'none' && shot.note
            ? ' · '
            : ''}{shot.note}</span
        >{/if}
    </span>
  </a>
  <button
    class="quiet-button more"
    aria-pressed={chosen}
    aria-label="Choose {shot.name}"
    title="What can be done with it; with Shift beside what is chosen"
    onclick={(event) => onchoose(event.shiftKey || event.ctrlKey || event.metaKey)}
    ><DotsHorizontalOutline class="h-5 w-5" /></button
  >
</div>

<style>
  .row {
    display: flex;
    align-items: center;
    gap: 0.3rem;
    border-radius: 10px;
    background: var(--paper);
  }
  .row.chosen {
    background: color-mix(in srgb, var(--subject) 12%, var(--paper));
  }
  .handle {
    cursor: grab;
    color: var(--soft);
  }
  .open {
    flex: 1;
    min-width: 0;
    display: flex;
    align-items: center;
    gap: 0.9rem;
    padding: 0.25rem 0;
    border-radius: 10px;
    color: inherit;
  }
  .open:hover {
    background: color-mix(in srgb, var(--subject) 7%, transparent);
  }
  .frames {
    flex: none;
    width: 504px;
    max-width: 58%;
  }
  .what {
    display: grid;
    gap: 0.05rem;
    min-width: 0;
  }
  .name {
    display: flex;
    align-items: center;
    gap: 0.45rem;
    min-width: 0;
    font-size: 1.06rem;
  }
  .name b {
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
    font-weight: 650;
  }
  .number {
    min-width: 1.3rem;
    color: var(--soft);
    text-align: right;
  }
  .mark {
    flex: none;
  }
  .line {
    overflow: hidden;
    padding-left: 1.75rem;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  .soft {
    color: var(--soft);
    font-size: 0.93rem;
  }
  .seconds {
    font-variant-numeric: tabular-nums;
  }
  @media (max-width: 799px) {
    .row {
      align-items: flex-start;
    }
    .handle {
      padding-top: 0.4rem;
    }
    .open {
      flex-direction: column;
      align-items: stretch;
      gap: 0.3rem;
    }
    .frames {
      width: auto;
      max-width: none;
    }
    .line {
      padding-left: 0;
      white-space: normal;
    }
    .number {
      min-width: 0;
    }
  }
</style>
