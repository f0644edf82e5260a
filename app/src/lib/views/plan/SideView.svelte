<script lang="ts">
  import { ExpandOutline } from 'flowbite-svelte-icons';
  import { onMount, untrack } from 'svelte';
  import { changePiece } from '@gentle-arc/core/edit';
  import type { Piece } from '@gentle-arc/core/model';
  import { groundHeightM, sideOutline } from '@gentle-arc/core/site';
  import { shotSession } from '$lib/session/shot-session.svelte';
  import Choice from '$lib/ui/Choice.svelte';
  import { drag, type Drag } from '$lib/ui/drag';
  import { editing } from '$lib/ui/editing';
  import { PlanView } from './plan-view.svelte';
  import PlanZoom from './PlanZoom.svelte';
  import ScaleBar from './ScaleBar.svelte';

  /** The place from the side: how high things are, how the ground rises, how high the camera goes. */
  interface Props {
    tall: boolean;
    chosenIds: readonly string[];
    onselect: (id: string | null, also?: boolean) => void;
    onswap: () => void;
  }
  let { tall, chosenIds, onselect, onswap }: Props = $props();

  const session = shotSession();
  const { settle } = editing();
  const { shoot, shot, scene, samples, row, motion } = $derived(session);

  const FROM = { south: 0, west: 90, north: 180, east: 270 } as const;
  let from = $state<keyof typeof FROM>('south');
  /** The way that is looked, degrees from north. */
  const lookDeg = $derived(FROM[from]);
  const [right, ahead] = $derived.by(() => {
    const rad = (lookDeg * Math.PI) / 180;
    return [
      { x: Math.cos(rad), y: -Math.sin(rad) },
      { x: Math.sin(rad), y: Math.cos(rad) },
    ];
  });
  const along = (xM: number, yM: number) => xM * right.x + yM * right.y;
  const deep = (xM: number, yM: number) => xM * ahead.x + yM * ahead.y;

  const view = new PlanView();
  let svg: SVGSVGElement;
  let width = $state(480);
  let height = $state(320);
  onMount(() => {
    const detach = view.attach(svg, { ontwist: () => undefined, onsettle: settle });
    fit();
    return detach;
  });
  function fit() {
    const spots = [...samples.xM].map((x, i) => [along(x, samples.yM[i]), samples.zM[i]]);
    const about = [along(motion.pivot.xM, motion.pivot.yM), motion.pivot.zM];
    const across = [...spots.map(([x]) => x), about[0]];
    const up = [...spots.map(([, z]) => z), about[1], 0, 3];
    const [x0, x1] = [Math.min(...across) - 4, Math.max(...across) + 4];
    view.show(x0, Math.min(...up) - 0.5, x1, Math.max(...up) + 1, width, height);
  }
  $effect(() => {
    if (width && height && from) untrack(fit);
  });

  /** Farthest first, so that the nearer is drawn over it. */
  const shapes = $derived(
    scene.pieces
      .map((piece) => ({ piece, outline: sideOutline(piece, lookDeg), away: deep(piece.xM, piece.yM) }))
      .sort((a, b) => b.away - a.away),
  );
  const points = (outline: readonly (readonly [number, number])[]) =>
    outline.map(([x, z]) => `${view.x(x).toFixed(1)},${view.y(z).toFixed(1)}`).join(' ');

  /** The ground where the move turns about, cut through from side to side. */
  const profile = $derived.by(() => {
    const depth = deep(motion.pivot.xM, motion.pivot.yM);
    const [fromM, toM] = [view.toSite(0, 0).xM, view.toSite(width, 0).xM];
    const steps = 160;
    return Array.from({ length: steps + 1 }, (_, k) => {
      const at = fromM + ((toM - fromM) * k) / steps;
      return [at, groundHeightM(scene.ground, at * right.x + depth * ahead.x, at * right.y + depth * ahead.y)] as const;
    });
  });
  const path = $derived(
    Array.from({ length: 121 }, (_, k) => {
      const i = Math.round(((samples.count - 1) * k) / 120);
      return [along(samples.xM[i], samples.yM[i]), samples.zM[i]] as const;
    }),
  );

  const cm = (m: number) => Math.round(m * 100) / 100;
  let held: { id: string; dz: number } | null = null;
  const under = (event: PointerEvent) => {
    const box = svg.getBoundingClientRect();
    return view.toSite(event.clientX - box.left, event.clientY - box.top).yM;
  };
  /** Dragged up or down it stands higher or lower, in every shot. */
  const lift = (piece: Piece): Drag | null =>
    piece.locked || piece.on !== null || !chosenIds.includes(piece.id)
      ? null
      : {
          take: (event) => (held = { id: piece.id, dz: piece.zM - under(event) }),
          move: (event) => {
            if (held) raise(held.id, cm(under(event) + held.dz));
          },
          drop: (_event, moved) => {
            held = null;
            if (moved) settle();
          },
        };
  const raise = (id: string, zM: number) =>
    session.change(
      changePiece(shoot, id, (row) => ({ ...row, zM: Math.min(500, Math.max(-500, zM)) })),
      `height.${id}`,
    );
  function keys(event: KeyboardEvent, piece: Piece) {
    if (event.key === 'Enter' || event.key === ' ') onselect(piece.id, event.shiftKey || event.ctrlKey);
    else {
      const by = { ArrowUp: 0.1, ArrowDown: -0.1 }[event.key];
      if (by === undefined || piece.locked) return;
      raise(piece.id, cm(piece.zM + by * (event.shiftKey ? 10 : 1)));
    }
    event.preventDefault();
    event.stopPropagation();
  }
  const last = $derived(Math.min(row, samples.count - 1));
</script>

<div class="plan on-plan" class:tall bind:clientWidth={width} bind:clientHeight={height}>
  <!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_noninteractive_element_interactions -->
  <svg
    bind:this={svg}
    {width}
    {height}
    role="application"
    aria-label="The place from the side"
    onclick={() => onselect(null)}
  >
    {#each shapes as { piece, outline } (piece.id)}
      <polygon
        class="piece {piece.kind}"
        class:subject={piece.id === shot.subjectId}
        class:chosen={chosenIds.includes(piece.id)}
        points={points(outline)}
        data-grab={chosenIds.includes(piece.id) && !piece.locked ? '' : undefined}
        data-piece={piece.id}
        role="button"
        tabindex="0"
        aria-label={piece.name}
        use:drag={lift(piece)}
        onclick={(event) => {
          event.stopPropagation();
          onselect(piece.id, event.shiftKey || event.ctrlKey || event.metaKey);
        }}
        onkeydown={(event) => keys(event, piece)}><title>{piece.name}</title></polygon
      >
    {/each}
    <polyline class="ground" points={points(profile)} />
    <polyline class="track" points={points(path)} />
    <circle class="camera" cx={view.x(along(samples.xM[last], samples.yM[last]))} cy={view.y(samples.zM[last])} r="6" />
    <ScaleBar {view} {width} {height} north={false} />
  </svg>
  <PlanZoom {view} onfit={fit} />
  <p class="from">
    <button class="quiet-button" onclick={onswap} aria-label="Plan and picture change places"
      ><ExpandOutline class="h-4 w-4" /></button
    >
    Seen from the <Choice
      label="Seen from"
      value={from}
      items={Object.keys(FROM).map((value) => ({ value, name: value }))}
      onchange={(value) => (from = value as keyof typeof FROM)}
    />
  </p>
</div>

<style>
  .plan {
    position: relative;
    height: 100%;
    min-height: 12rem;
    overflow: hidden;
    border-radius: 10px;
    background: var(--sun);
  }
  .plan.tall {
    flex: 1;
    height: auto;
  }
  svg {
    display: block;
    touch-action: none;
    user-select: none;
  }
  .piece {
    fill: color-mix(in srgb, var(--hairline) 70%, var(--paper));
    fill-opacity: 0.75;
    stroke: var(--soft);
    stroke-width: 1px;
    cursor: pointer;
  }
  .piece[data-grab] {
    cursor: ns-resize;
  }
  .hedge,
  .bush,
  .tree {
    fill: color-mix(in srgb, #9db06f 75%, var(--paper));
  }
  .ridge,
  .terrain {
    fill-opacity: 0.35;
    stroke-opacity: 0.4;
  }
  .figure {
    fill: color-mix(in srgb, var(--near) 70%, var(--ink));
  }
  .subject {
    fill: var(--subject);
    fill-opacity: 1;
  }
  .chosen {
    stroke: var(--subject);
    stroke-width: 2.5px;
  }
  .ground {
    fill: none;
    stroke: var(--ink);
    stroke-width: 2;
    pointer-events: none;
  }
  .track {
    fill: none;
    stroke: var(--near);
    stroke-width: 2.5;
    pointer-events: none;
  }
  .camera {
    fill: var(--ink);
    stroke: var(--raised);
    pointer-events: none;
  }
  .from {
    position: absolute;
    top: 6px;
    left: 6px;
    padding: 0 0.8rem 0 0;
    border-radius: 999px;
    background: color-mix(in srgb, var(--raised) 86%, transparent);
    font-size: 0.9rem;
  }
  @media (max-width: 799px) {
    .plan.tall {
      flex: none;
      height: 60dvh;
    }
  }
</style>
