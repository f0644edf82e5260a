<script lang="ts">
  import type { SitePlace } from '@gentle-arc/core/model';
  import { onDestroy } from 'svelte';
  import type { LitWish } from '@gentle-arc/core/reading';
  import { LiveScout } from '$lib/workers/live-scout.svelte';
  import { shotSession } from '$lib/session/shot-session.svelte';
  import Choice from '$lib/ui/Choice.svelte';

  /** When on the day the subject is lit as it is wished. */
  interface Props {
    place: SitePlace;
    day: string;
    onpick: (time: string) => void;
  }
  let { place, day, onpick }: Props = $props();

  const session = shotSession();
  let wish: LitWish = $state({ side: 'any', from: 'left', atMostDeg: 15 });
  const name = $derived(session.scene.subject?.name ?? '');
  const scout = new LiveScout();
  onDestroy(() => scout.close());
  const { lit } = scout;
  $effect(() => {
    const { shoot, shot } = session;
    if (session.scene.subject) void lit.ask({ shoot, shotId: shot.id, place: { ...place }, day, wish: { ...wish } });
  });
  const found = $derived(lit.answer);
  const SIDES: Record<LitWish['side'], string> = {
    any: 'from anywhere',
    front: 'from the front',
    'three-quarter': 'three-quarter',
    side: 'from the side',
    rim: 'as a rim',
    behind: 'from behind',
  };
</script>

<p class="said">
  When is {name} lit <Choice
    label="Side of the light"
    value={wish.side}
    items={Object.entries(SIDES).map(([value, words]) => ({ value, name: words }))}
    onchange={(side) => (wish.side = side as LitWish['side'])}
  />, <Choice
    label="Hand of the light"
    value={wish.from}
    items={[
      { value: 'any', name: 'either hand' },
      { value: 'left', name: 'from the left' },
      { value: 'right', name: 'from the right' },
    ]}
    onchange={(from) => (wish.from = from as LitWish['from'])}
  />, <Choice
    label="Height of the light"
    value={String(wish.atMostDeg)}
    items={[
      { value: '90', name: 'at any height' },
      { value: '15', name: 'low' },
      { value: '40', name: 'not high' },
    ]}
    onchange={(deg) => (wish.atMostDeg = Number(deg))}
  />?
  {#if lit.problem}
    {lit.problem}
  {:else if found === null}
    <span class="text-soft" role="status">Looking through the day…</span>
  {:else if found.length === 0}
    <b>Not on this day</b>, with all that stands around.
  {:else}
    {#each found as { from, to }, i (from)}{i > 0 ? ', ' : ''}<button
        class="link font-semibold"
        title="Film it then"
        onclick={() => onpick(from)}>{from}–{to}</button
      >{/each}.
  {/if}
</p>
