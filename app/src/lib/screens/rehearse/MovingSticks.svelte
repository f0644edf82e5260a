<script lang="ts">
  import type { Controls, Track } from '@gentle-arc/core/rehearse';
  import { layoutOf } from '@gentle-arc/core/rehearse';
  import { shotSession } from '$lib/session/shot-session.svelte';

  /** What hands have hold of, as it moves at a moment: sticks and wheel, joystick, handle, ring, carriage, feet. */
  let { controls, tS }: { controls: Controls; tS: number } = $props();

  const session = shotSession();
  const layout = $derived(layoutOf(session.shoot.practice.layout));
  const at = (track: Track | undefined) =>
    track ? track.rows[Math.min(track.rows.length - 1, Math.max(0, Math.round(tS * controls.rateHz)))] : 0;
  const by = $derived(Object.fromEntries(controls.tracks.map((track) => [track.id, track])));
  const value = $derived((id: string) => Math.max(-1, Math.min(1, at(by[id]))));
  const stick = $derived((side: 'left' | 'right') => ({
    x: layout.turn === side ? value('turn') : value('right'),
    y: layout.forward === side ? value('forward') : value('up'),
    across: layout.turn === side ? 'turn' : 'sideways',
    along: layout.forward === side ? 'forward' : 'up',
  }));
  const dials = $derived(
    controls.tracks.filter(({ id }) => !['forward', 'right', 'up', 'turn', 'tilt', 'pan', 'feet'].includes(id)),
  );
  const foot = $derived(by.feet ? at(by.feet) : 0);
</script>

<div class="sticks">
  {#if controls.drone}
    {#each ['left', 'right'] as const as side (side)}
      {@const { x, y, across, along } = stick(side)}
      <svg
        viewBox="0 0 120 142"
        role="img"
        aria-label="{side} stick: {along} {Math.round(y * 100)}%, {across} {Math.round(x * 100)}%"
      >
        <circle cx="60" cy="60" r="56" class="well" />
        <path d="M60 12 V108 M12 60 H108" class="cross" />
        <line x1="60" y1="60" x2={60 + x * 44} y2={60 - y * 44} class="lever" />
        <circle cx={60 + x * 44} cy={60 - y * 44} r="14" class="knob" />
        <text x="60" y="138">{side}: {along}, {across}</text>
      </svg>
    {/each}
    <svg viewBox="0 0 44 142" class="narrow" role="img" aria-label="Tilt wheel {Math.round(value('tilt') * 100)}%">
      <rect x="12" y="8" width="20" height="104" rx="10" class="well" />
      <rect x="8" y={54 - value('tilt') * 40} width="28" height="12" rx="5" class="knob" />
      <text x="22" y="138">wheel</text>
    </svg>
  {:else}
    {#if by.pan || by.tilt}
      <svg viewBox="0 0 120 142" role="img" aria-label="Joystick">
        <circle cx="60" cy="60" r="56" class="well" />
        <circle cx="60" cy="60" r={56 * session.shoot.practice.deadBandShare} class="dead" />
        <line x1="60" y1="60" x2={60 + value('pan') * 44} y2={60 - value('tilt') * 44} class="lever" />
        <circle cx={60 + value('pan') * 44} cy={60 - value('tilt') * 44} r="14" class="knob" />
        <text x="60" y="138">joystick</text>
      </svg>
    {/if}
    {#each dials as track (track.id)}
      <svg viewBox="0 0 120 142" role="img" aria-label={track.name}>
        <circle cx="60" cy="60" r="50" class="well" />
        <path
          d="M60 60 L{60 + 46 * Math.sin(value(track.id) * 2.2)} {60 - 46 * Math.cos(value(track.id) * 2.2)}"
          class="lever"
        />
        <circle cx="60" cy="60" r="7" class="knob" />
        <text x="60" y="128">{track.name.split(',')[0]}</text>
        <text x="60" y="141" class="soft">{track.full}</text>
      </svg>
    {/each}
    {#if by.feet}
      <svg viewBox="0 0 120 142" role="img" aria-label="Feet">
        <ellipse cx="40" cy={foot < 0 ? 56 : 66} rx="15" ry="34" class="sole" class:down={foot < 0} />
        <ellipse cx="80" cy={foot > 0 ? 56 : 66} rx="15" ry="34" class="sole" class:down={foot > 0} />
        <text x="60" y="128">feet</text>
        <text x="60" y="141" class="soft">{foot < 0 ? 'left' : foot > 0 ? 'right' : ''}</text>
      </svg>
    {/if}
  {/if}
  {#if controls.tracks.length === 0}<p class="text-soft">No hand moves.</p>{/if}
</div>

<style>
  .sticks {
    flex: 1;
    display: flex;
    flex-wrap: wrap;
    gap: 0.6rem;
    justify-content: center;
  }
  svg {
    overflow: visible;
    width: 7.2rem;
  }
  .narrow {
    width: 2.7rem;
  }
  .well {
    fill: var(--sun);
    stroke: var(--hairline);
    stroke-width: 2;
  }
  .dead {
    fill: var(--hairline);
  }
  .cross {
    stroke: var(--hairline);
  }
  .lever {
    stroke: var(--subject);
    stroke-width: 5;
    stroke-linecap: round;
  }
  .knob,
  .sole.down {
    fill: var(--subject);
  }
  .sole {
    fill: var(--hairline);
  }
  text {
    font-size: 12px;
    text-anchor: middle;
    fill: var(--ink);
  }
  .soft {
    fill: var(--soft);
  }
</style>
