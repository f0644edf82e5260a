<script lang="ts">
  import { asOnSite, bringOrLeave, changePiece, stagePiece, withRidersOf } from '@gentle-arc/core/edit';
  import { FIELDS, type Piece, stagedIn } from '@gentle-arc/core/model';
  import { shotSession } from '$lib/session/shot-session.svelte';
  import Choice from '$lib/ui/Choice.svelte';

  /** What of a piece is the same in every shot, and what is changed in this one alone. */
  interface Props {
    piece: Piece;
    /** As it is in this shot. */
    here: Piece;
  }
  let { piece, here }: Props = $props();

  const session = shotSession();
  const { shoot, shot } = $derived(session);
  const staged = $derived(stagedIn(shot, piece.id));
  const differs = $derived(shot.staging.some(({ pieceId }) => pieceId === piece.id));
  /** What the shot is about stays, and so does what it stands on. */
  const needed = $derived(shot.subjectId !== null && withRidersOf(shoot, piece.id).includes(shot.subjectId));
  const bring = (there: boolean) => session.change(bringOrLeave(shoot, shot.id, piece.id, there));
  const stage = (change: Parameters<typeof stagePiece>[3]) =>
    session.change(stagePiece(shoot, shot.id, piece.id, change));

  const poses = $derived(
    FIELDS.figure.pose?.type === 'choice'
      ? Object.entries(FIELDS.figure.pose.names).map(([value, name]) => ({ value, name }))
      : [],
  );
  type Pose = NonNullable<typeof staged.pose>;
  function pose(value: string) {
    if (session.onlyHere || staged.pose !== null) stage({ pose: value as Pose });
    else
      session.change(
        changePiece(shoot, piece.id, (row) => (row.kind === 'figure' ? { ...row, pose: value as Pose } : row)),
      );
  }
  /** What this shot says for itself, in words. */
  const own = $derived(
    [
      staged.place && 'where it is',
      staged.headingDeg !== null && 'which way it faces',
      staged.pose !== null && 'its pose',
      staged.alone && 'that it stands by itself',
      !staged.there && 'that it is not there',
    ].filter((said): said is string => typeof said === 'string'),
  );
</script>

<p class="leading-8">
  {#if here.kind === 'figure'}
    It
    <Choice label="Pose" value={here.pose} items={poses} onchange={pose} />.
  {/if}
  Pieces are shared by all shots. Moved, turned{here.kind === 'figure' ? ' or posed' : ''}, it changes
  <span class="whitespace-nowrap" role="group" aria-label="Where it changes"
    ><button class="which" aria-pressed={!session.onlyHere} onclick={() => (session.onlyHere = false)}
      >in every shot</button
    ><button class="which" aria-pressed={session.onlyHere} onclick={() => (session.onlyHere = true)}
      >in this one only</button
    ></span
  >.
  {#if differs}
    <span class="text-soft">This shot has its own say of {own.join(', ')}.</span>
    <button class="link" onclick={() => session.change(asOnSite(shoot, shot.id, piece.id))}
      >As in the other shots</button
    >
  {/if}
  {#if staged.there && !needed}
    <button class="link" onclick={() => bring(false)}>Leave it out of this shot</button>
  {:else if !staged.there}
    <button class="link" onclick={() => bring(true)}>Bring it into this shot</button>
  {/if}
  {#if piece.on !== null}
    <button class="link" onclick={() => stage({ alone: !staged.alone })}
      >{staged.alone ? 'On it in this shot too' : 'By itself in this shot'}</button
    >
  {/if}
</p>

<style>
  .which {
    padding: 0 0.5rem;
    border-radius: 999px;
    color: var(--soft);
    cursor: pointer;
  }
  .which[aria-pressed='true'] {
    background: color-mix(in srgb, var(--subject) 14%, transparent);
    color: var(--ink);
    font-weight: 650;
  }
  @media (pointer: coarse) {
    .which {
      min-height: 2.75rem;
    }
  }
</style>
