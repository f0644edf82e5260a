<script lang="ts">
  import { type Framing, FRAMINGS, type FramingWish, frameSubject, type Side, SIDES } from '@gentle-arc/core/edit';
  import { shotSession } from '$lib/session/shot-session.svelte';
  import Choice from '$lib/ui/Choice.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';

  /** "Frame her: chest and up, on the left third": the distance or the focal length that gives it, at either end. */
  const session = shotSession();
  const subject = $derived(session.scene.subject);

  const wish = $state<FramingWish>({ end: 'start', size: 'chest', side: 'left', by: 'distance' });
  let trouble: string | null = $state(null);
  const named = (table: Record<string, { label: string }>) =>
    Object.entries(table).map(([value, { label }]) => ({ value, name: label }));

  function frame() {
    const framed = frameSubject(session.shoot, session.shot, wish);
    trouble = framed.trouble;
    if (framed.shot === session.shot) return;
    session.changeShot(() => framed.shot);
    session.seek(wish.end === 'start' ? 0 : (session.samples.screenS.at(-1) ?? 0));
  }
</script>

{#if subject}
  <p class="said">
    Frame {subject.name}
    <Choice label="Size" value={wish.size} items={named(FRAMINGS)} onchange={(v) => (wish.size = v as Framing)} />
    <Choice label="Place" value={wish.side} items={named(SIDES)} onchange={(v) => (wish.side = v as Side)} /> at
    <Choice
      label="At which end"
      value={wish.end}
      items={[
        { value: 'start', name: 'the start' },
        { value: 'end', name: 'the end' },
      ]}
      onchange={(v) => (wish.end = v as FramingWish['end'])}
    />, by
    <Choice
      label="What gives way"
      value={wish.by}
      items={[
        { value: 'distance', name: 'the distance' },
        { value: 'lens', name: 'the focal length' },
      ]}
      onchange={(v) => (wish.by = v as FramingWish['by'])}
    />. <button class="quiet-button font-semibold" onclick={frame}>Frame it so</button>
  </p>
  {#if trouble}<Trouble class="text-sm">{trouble}</Trouble>{/if}
{/if}
