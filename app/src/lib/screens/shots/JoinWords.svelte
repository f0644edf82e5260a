<script lang="ts">
  import { onDestroy } from 'svelte';
  import { withShots } from '@gentle-arc/core/edit';
  import { severity } from '@gentle-arc/core/findings';
  import { FIELDS, JOIN_KINDS, type Join, JoinSchema, numberFact, type Shot, trim } from '@gentle-arc/core/model';
  import { framesOf, kindWords } from '@gentle-arc/core/sequence';
  import { lengthOnScreenS } from '@gentle-arc/core/motion';
  import type { ShootStore } from '$lib/session/store/shoot-store.svelte';
  import Choice from '$lib/ui/Choice.svelte';
  import GradeMark from '$lib/ui/GradeMark.svelte';
  import NumberField from '$lib/ui/NumberField.svelte';
  import FrameStrip from '$lib/views/frames/FrameStrip.svelte';
  import type { ShotFrames } from '$lib/views/frames/shot-frames.svelte';
  import type { LiveBoard } from '$lib/workers/live-board.svelte';
  import type { ShownJoin } from '$lib/workers/board-messages';
  import FitCurve from './FitCurve.svelte';

  /** One join: what meets what, how, where it is cut, what of it is seen, and what would help. */
  interface Props {
    store: ShootStore;
    index: number;
    join: ShownJoin | null;
    live: LiveBoard;
    frames: ShotFrames;
    onplay: () => void;
  }
  let { store, index, join, live, frames, onplay }: Props = $props();

  const { shoot } = $derived(store);
  const from = $derived(shoot.shots[index]);
  const to = $derived(shoot.shots[index + 1]);
  const troubles = $derived((join?.findings ?? []).filter((row) => severity(row) > 0));
  const cures = $derived(
    live.cures.question?.shoot === shoot && live.cures.question.index === index ? live.cures.answer : null,
  );
  const best = $derived(
    live.best.question?.shoot === shoot && live.best.question.index === index ? live.best.answer : null,
  );

  // When a join has rested, what would help is looked for.
  let rest: ReturnType<typeof setTimeout> | undefined;
  $effect(() => {
    const question = { shoot, index };
    clearTimeout(rest);
    rest = setTimeout(() => {
      void live.cures.ask(question);
      void live.best.ask(question);
    }, 250);
  });
  onDestroy(() => clearTimeout(rest));

  const change = (shot: Shot, edit: (row: Shot) => Shot) => store.changeShot(shot.id, edit);
  const setJoin = (part: Partial<Join>) => change(from, (row) => ({ ...row, join: { ...row.join, ...part } }));

  const round = (s: number) => Math.round(s * 100) / 100;
  const lengthS = (shot: Shot) => lengthOnScreenS(shot);
  const cutOf = (shot: Shot) => {
    const { first, end, rateHz } = framesOf(shot);
    return { inS: round(first / rateHz), outS: round(end / rateHz) };
  };
  const setCut = (shot: Shot, part: { inS?: number; outS?: number }) =>
    change(shot, (row) => ({ ...row, cut: { ...cutOf(row), ...part } }));

  const least = numberFact(FIELDS.join, 'blackS');
  const kinds = JOIN_KINDS.map((value) => ({ value, name: kindWords(value) }));

  const take = (shots: readonly Shot[]) => store.change(withShots(shoot, shots));
  function takeBest() {
    if (!best) return;
    const { outS, inS } = best.best;
    take([
      { ...from, cut: { ...cutOf(from), outS: round(outS) } },
      { ...to, cut: { ...cutOf(to), inS: round(inS) } },
    ]);
  }
</script>

{#if from && to}
  <section aria-label="Join" class="words">
    <div class="pair">
      <figure>
        <FrameStrip {shoot} shot={from} rows={join ? [join.fromRow] : null} count={1} {frames} width={190} />
        <figcaption>{index + 1} {from.name}, last frame</figcaption>
      </figure>
      <figure>
        <FrameStrip {shoot} shot={to} rows={join ? [join.toRow] : null} count={1} {frames} width={190} />
        <figcaption>{index + 2} {to.name}, first frame</figcaption>
      </figure>
    </div>
    <p>
      They meet <Choice
        label={String(JoinSchema.shape.kind.meta()?.label)}
        value={from.join.kind}
        items={kinds}
        onchange={(value) => setJoin({ kind: value as Join['kind'] })}
      />{#if from.join.kind === 'black'}
        for <NumberField
          label="Black for"
          unit="s"
          min={least.min}
          max={least.max}
          step={least.step}
          value={from.join.blackS}
          onchange={(blackS) => setJoin({ blackS })}
        />{/if}. The first is left at <NumberField
        label="Cut out at"
        unit="s"
        min={round(cutOf(from).inS + 0.1)}
        max={round(lengthS(from))}
        step={0.1}
        value={cutOf(from).outS}
        onchange={(outS) => setCut(from, { outS })}
      />
      of {trim(lengthS(from), 1)} s, the second comes in at <NumberField
        label="Cut in at"
        unit="s"
        min={0}
        max={Math.max(0, round(cutOf(to).outS - 0.1))}
        step={0.1}
        value={cutOf(to).inS}
        onchange={(inS) => setCut(to, { inS })}
      />.
    </p>
    <p><button class="quiet-button" onclick={onplay}>Play this join over and over</button></p>
    {#if join}
      <ul aria-label="What of the cut is seen">
        {#each join.findings as finding (finding.id + finding.sentence)}
          <li>
            <p class="finding"><span class="mark"><GradeMark grade={finding.grade} /></span>{finding.sentence}</p>
            {#if severity(finding) > 0}
              <p class="reason">{finding.reason}</p>
              {#each (cures ?? []).filter(({ findingId }) => findingId === finding.id) as cure (cure.instruction)}
                <button class="cure" onclick={() => take(cure.shots)}>
                  <b>{cure.instruction}</b>: {cure.effect}{#if cure.costs.length > 0}
                    <span class="cost"
                      >; but {cure.costs[0]}{cure.costs.length > 1 ? ` And ${cure.costs.length - 1} more.` : ''}</span
                    >{/if}
                </button>
              {/each}
            {/if}
          </li>
        {/each}
      </ul>
      {#if troubles.length > 0 && cures === null}<p class="reason" role="status">
          {live.cures.problem ?? 'Trying what would help…'}
        </p>{/if}
      {#if best}
        <FitCurve {best} />
        <p>
          Their motions fit best when the first is left at <b>{trim(best.best.outS, 2)} s</b> and the second comes in at
          <b>{trim(best.best.inS, 2)} s</b>.
          <button class="quiet-button" onclick={takeBest}>Cut there</button>
        </p>
      {/if}
    {/if}
  </section>
{/if}

<style>
  .words {
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    gap: 0.5rem;
  }
  .pair {
    display: grid;
    grid-template-columns: repeat(2, minmax(0, 1fr));
    gap: 0.5rem;
  }
  figcaption {
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
    color: var(--soft);
    font-size: 0.88rem;
  }
  li {
    padding: 0.15rem 0;
  }
  .finding {
    display: flex;
    gap: 0.5rem;
    line-height: 1.3;
  }
  .mark {
    flex: none;
    padding-top: 0.15rem;
  }
  .reason {
    padding-left: 2.2rem;
    color: var(--soft);
    font-size: 0.93rem;
    line-height: 1.3;
  }
  .cure {
    display: block;
    width: calc(100% - 2.2rem);
    margin: 0.25rem 0 0 2.2rem;
    padding: 0.35rem 0.7rem;
    border-radius: 9px;
    background: var(--raised);
    box-shadow: inset 0 0 0 1px var(--hairline);
    text-align: left;
    line-height: 1.3;
    cursor: pointer;
  }
  .cure:hover {
    box-shadow: inset 0 0 0 1.5px var(--subject);
  }
  .cost {
    color: var(--soft);
  }
  @media (pointer: coarse) {
    .cure {
      min-height: 2.75rem;
    }
  }
  .words :global(.quiet-button) {
    box-shadow: inset 0 0 0 1px var(--hairline);
  }
</style>
