<script lang="ts">
  import { tickOff } from '@gentle-arc/core/edit';
  import { FIELDS, numberFact } from '@gentle-arc/core/model';
  import { SEEN_SIDES, SEEN_SIZES, tickOf } from '@gentle-arc/core/sequence';
  import type { ShootStore } from '$lib/session/store/shoot-store.svelte';
  import Choice from '$lib/ui/Choice.svelte';
  import GradeMark from '$lib/ui/GradeMark.svelte';
  import NumberField from '$lib/ui/NumberField.svelte';
  import type { Story } from '$lib/workers/board-messages';

  /** The film as a whole: what it comes to, and what of whom nobody has covered yet. */
  interface Props {
    store: ShootStore;
    story: Story | null;
    /** More of it is still to come. */
    looking: boolean;
    coverOf: string | null;
    oncover: (id: string) => void;
    onshow: (number: number) => void;
  }
  let { store, story, looking, coverOf, oncover, onshow }: Props = $props();

  const { shoot } = $derived(store);
  const facts = numberFact(FIELDS.story, 'handlesS');
  const coverage = $derived(story?.coverage ?? null);
  const subjects = $derived(
    shoot.site.pieces
      .filter(({ id }) => shoot.shots.some(({ subjectId }) => subjectId === id))
      .map(({ id, name }) => ({ value: id, name })),
  );
  const open = $derived(coverage?.cells.filter(({ numbers, ticked }) => numbers.length === 0 && !ticked).length ?? 0);
  const SIDE_WORDS: Record<(typeof SEEN_SIDES)[number], string> = {
    front: 'from before',
    left: 'its left',
    right: 'its right',
    behind: 'from behind',
    above: 'from above',
  };
</script>

<section aria-label="The film" class="words">
  {#if looking}<p class="soft" role="status">Looking at the film…</p>{/if}
  <ul>
    {#each story?.findings ?? [] as finding (finding.id + finding.sentence)}
      <li>
        <span class="mark"><GradeMark grade={finding.grade} /></span>
        <span
          >{finding.sentence}
          {#if finding.numbers.length > 0}<button class="link" onclick={() => onshow(finding.numbers[0])}>Show</button
            >{/if}</span
        >
      </li>
    {/each}
  </ul>
  <p>
    Film <NumberField
      label={facts.label}
      unit={facts.unit}
      min={facts.min}
      max={facts.max}
      step={facts.step}
      value={shoot.story.handlesS}
      onchange={(handlesS) => store.change({ ...shoot, story: { ...shoot.story, handlesS } }, 'handles')}
    /> more before and after what is in the cut.
  </p>
  {#if coverage}
    <h2>
      What is seen of <Choice
        label="Whose coverage"
        value={coverOf ?? coverage.subjectId}
        items={subjects}
        onchange={oncover}
      />
    </h2>
    <table>
      <thead>
        <tr
          ><th class="sides" scope="col">side</th>{#each SEEN_SIZES as size (size)}<th scope="col">{size}</th
            >{/each}</tr
        >
      </thead>
      <tbody>
        {#each SEEN_SIDES as side (side)}
          <tr>
            <th scope="row">{SIDE_WORDS[side]}</th>
            {#each coverage.cells.filter((cell) => cell.side === side) as { size, numbers, ticked } (size)}
              <td>
                {#if numbers.length > 0}
                  <button
                    class="shots"
                    onclick={() => onshow(numbers[0])}
                    aria-label="{SIDE_WORDS[side]}, {size}: {numbers.length}, shots {numbers.join(', ')}"
                    title="Shots {numbers.join(', ')}">{numbers.length}</button
                  >
                {:else}
                  <button
                    class="tick"
                    aria-pressed={ticked}
                    aria-label="{SIDE_WORDS[side]}, {size}: {ticked ? 'ticked off' : 'not covered'}"
                    title={ticked ? 'Ticked off: press to untick' : 'Nobody has covered this: press to tick it off'}
                    onclick={() => store.change(tickOff(shoot, tickOf(coverage.subjectId, side, size)))}
                    >{ticked ? '✓' : ''}</button
                  >
                {/if}
              </td>
            {/each}
          </tr>
        {/each}
      </tbody>
    </table>
    <p class="soft">Numbers: how many shots show it. {open} squares are open; tick off what you do not need.</p>
  {/if}
</section>

<style>
  .words {
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    gap: 0.6rem;
  }
  li {
    display: flex;
    gap: 0.5rem;
    padding: 0.15rem 0;
    line-height: 1.3;
  }
  .mark {
    flex: none;
    padding-top: 0.15rem;
  }
  .soft {
    color: var(--soft);
    font-size: 0.93rem;
  }
  .link {
    color: var(--subject);
    text-decoration: underline;
    cursor: pointer;
  }
  h2 {
    font-weight: 650;
  }
  table {
    width: 100%;
    table-layout: fixed;
    font-size: 0.92rem;
  }
  th {
    font-weight: 400;
    color: var(--soft);
  }
  .sides {
    width: 5.6rem;
  }
  th[scope='row'] {
    text-align: left;
    white-space: nowrap;
  }
  td {
    padding: 1px;
  }
  td button {
    width: 100%;
    min-height: 1.9rem;
    border-radius: 7px;
    cursor: pointer;
  }
  .shots {
    background: color-mix(in srgb, var(--subject) 26%, var(--paper));
    font-weight: 650;
  }
  .tick {
    box-shadow: inset 0 0 0 1.5px var(--hairline);
    color: var(--soft);
  }
  .tick:hover {
    box-shadow: inset 0 0 0 1.5px var(--subject);
  }
</style>
