<script lang="ts">
  import { drag, type Drag } from '$lib/ui/drag';
  import { editing } from '$lib/ui/editing';
  import type { Build } from '@gentle-arc/core/model';
  import { draggedTo, type DrawingGrip, type Drawn, type RigView } from '@gentle-arc/core/supports';

  /** One view of the rig to scale. Parts and pivots can be dragged, or moved with the arrow keys by a millimetre. */
  interface Props {
    build: Build;
    view: RigView;
    /** It is turned about its pivot by this much, as when it swings. */
    swayDeg?: number;
    onchange: (build: Build, join: string) => void;
  }
  let { build, view, swayDeg = 0, onchange }: Props = $props();

  const { settle } = editing();

  let svg: SVGSVGElement | undefined = $state();
  let width = $state(400);
  let height = $state(300);
  let held: { handle: DrawingGrip; build: Build; view: RigView['name']; from: [number, number] } | null = null;
  /** While something is dragged, the scale stands still. */
  let frame: { x: number; y: number; perPx: number } | null = $state(null);

  const corners = (shape: Drawn): [number, number][] =>
    shape.form === 'line'
      ? shape.points
      : shape.form === 'dot'
        ? [[shape.xMm, shape.yMm]]
        : [
            [shape.xMm - shape.widthMm / 2, shape.yMm - shape.heightMm / 2],
            [shape.xMm + shape.widthMm / 2, shape.yMm + shape.heightMm / 2],
          ];
  const fitted = $derived.by(() => {
    const points = view.shapes.flatMap(corners);
    const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
    const [left, right, low, high] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
    const perPx = Math.max((right - left) / Math.max(60, width - 56), (high - low) / Math.max(60, height - 48), 0.2);
    return { x: (left + right) / 2 - (width / 2) * perPx, y: (low + high) / 2 + (height / 2) * perPx, perPx };
  });
  const at = $derived(frame ?? fitted);
  const px = (xMm: number) => (xMm - at.x) / at.perPx;
  const py = (yMm: number) => (at.y - yMm) / at.perPx;
  /** A bar of a round length that fits into a quarter of the picture. */
  const bar = $derived([1000, 500, 200, 100, 50, 20].find((mm) => mm / at.perPx < width / 4) ?? 10);
  /** A box has its name in it where that fits and nothing is drawn over it. */
  const named = (shape: Drawn, i: number): boolean =>
    shape.form === 'box' &&
    (shape.ink === 'part' || shape.ink === 'weight') &&
    shape.widthMm / at.perPx > 46 &&
    shape.heightMm / at.perPx > 17 &&
    !view.shapes
      .slice(i + 1)
      .some(
        (over) =>
          over.form === 'box' &&
          Math.abs(over.xMm - shape.xMm) < (over.widthMm + shape.widthMm * 0.6) / 2 &&
          Math.abs(over.yMm - shape.yMm) < over.heightMm / 2,
      );

  function place(event: PointerEvent): [number, number] {
    const box = svg?.getBoundingClientRect();
    return [at.x + (event.clientX - (box?.left ?? 0)) * at.perPx, at.y - (event.clientY - (box?.top ?? 0)) * at.perPx];
  }
  const dragOf = (handle: DrawingGrip | null): Drag | null =>
    handle && {
      take: (event) => {
        frame = fitted;
        held = { handle, build, view: view.name, from: place(event) };
      },
      move: (event) => {
        if (held) onchange(draggedTo(held.build, held.view, held.handle, held.from, place(event)), 'kit.drag');
      },
      drop: () => {
        held = null;
        frame = null;
        settle();
      },
    };
  function keys(event: KeyboardEvent, shape: Drawn & { xMm: number; yMm: number }, handle: DrawingGrip) {
    const by = event.shiftKey ? 10 : 1;
    const to = { ArrowLeft: [-by, 0], ArrowRight: [by, 0], ArrowUp: [0, by], ArrowDown: [0, -by] }[event.key];
    if (!to) return;
    event.preventDefault();
    event.stopPropagation();
    onchange(
      draggedTo(build, view.name, handle, [shape.xMm, shape.yMm], [shape.xMm + to[0], shape.yMm + to[1]]),
      `kit.keys.${view.name}.${JSON.stringify(handle)}`,
    );
  }

  /** What can be taken hold of answers to pointer and keys. */
  const grip = (shape: Drawn & { xMm: number; yMm: number; handle: DrawingGrip | null }) => {
    const { handle } = shape;
    return handle === null
      ? {}
      : {
          role: 'button',
          tabindex: 0,
          'aria-label': `Move ${shape.name}`,
          onkeydown: (event: KeyboardEvent) => keys(event, shape, handle),
        };
  };
</script>

<figure aria-label={view.name} bind:clientWidth={width} bind:clientHeight={height}>
  <svg bind:this={svg} {width} {height} aria-label="{build.name}, {view.name.toLowerCase()}">
    <g transform="rotate({swayDeg} {px(0)} {py(0)})">
      {#each view.shapes as shape, i (i)}
        {#if shape.form === 'box'}
          <g
            class="box {shape.ink}"
            class:held={shape.handle !== null}
            {...grip(shape)}
            use:drag={dragOf(shape.handle)}
            transform="rotate({-shape.turnDeg} {px(shape.xMm)} {py(shape.yMm)})"
          >
            <title>{shape.name}</title>
            {#if shape.handle}<rect
                class="reach"
                x={px(shape.xMm - shape.widthMm / 2)}
                y={py(shape.yMm) - Math.max(11, shape.heightMm / at.perPx / 2)}
                width={Math.max(2, shape.widthMm / at.perPx)}
                height={Math.max(22, shape.heightMm / at.perPx)}
              />{/if}
            <rect
              x={px(shape.xMm - shape.widthMm / 2)}
              y={py(shape.yMm + shape.heightMm / 2)}
              width={Math.max(2, shape.widthMm / at.perPx)}
              height={Math.max(2, shape.heightMm / at.perPx)}
              rx={shape.ink === 'part' ? Math.min(6, shape.heightMm / at.perPx / 3) : 2}
            />
            {#if named(shape, i)}<text
                x={px(shape.xMm)}
                y={py(shape.yMm) + 4}
                text-anchor="middle"
                textLength={shape.name.length * 6.2 > shape.widthMm / at.perPx - 8
                  ? shape.widthMm / at.perPx - 8
                  : undefined}
                lengthAdjust="spacingAndGlyphs">{shape.name}</text
              >{/if}
          </g>
        {:else if shape.form === 'line'}
          <polyline
            class={shape.ink}
            points={[...shape.points, ...(shape.closed ? [shape.points[0]] : [])]
              .map(([x, y]) => `${px(x)},${py(y)}`)
              .join(' ')}><title>{shape.name}</title></polyline
          >
        {:else}
          <g class={shape.ink} class:held={shape.handle !== null} {...grip(shape)} use:drag={dragOf(shape.handle)}>
            <title>{shape.name}</title>
            {#if shape.ink === 'centre'}
              <circle cx={px(shape.xMm)} cy={py(shape.yMm)} r="7" class="ring" />
              <path
                d="M{px(shape.xMm)} {py(shape.yMm) - 11}V{py(shape.yMm) + 11}M{px(shape.xMm) - 11} {py(shape.yMm)}H{px(
                  shape.xMm,
                ) + 11}"
                class="ring"
              />
            {:else}
              <circle cx={px(shape.xMm)} cy={py(shape.yMm)} r={shape.ink === 'handle' ? 9 : 6} />
              {#if shape.handle}<circle cx={px(shape.xMm)} cy={py(shape.yMm)} r="18" class="reach" />{/if}
            {/if}
          </g>
        {/if}
      {/each}
    </g>
    <g class="scale" transform="translate(12 {height - 10})">
      <path d="M0 -5V0H{bar / at.perPx}V-5" />
      <text x={bar / at.perPx + 6} y="0">{bar >= 1000 ? `${bar / 1000} m` : `${bar} mm`}</text>
    </g>
  </svg>
  <figcaption>{view.name}</figcaption>
</figure>

<style>
  figure {
    position: relative;
    min-width: 0;
    min-height: 0;
    overflow: hidden;
    background: var(--sun);
    border-radius: 14px;
    touch-action: pan-y;
  }
  svg {
    display: block;
  }
  figcaption {
    position: absolute;
    top: 0.4rem;
    left: 0.8rem;
    font-size: 0.85rem;
    color: var(--soft);
  }
  .held {
    cursor: grab;
    touch-action: none;
  }
  .held:focus-visible {
    outline: 3px solid var(--far);
    outline-offset: 2px;
  }
  .box rect {
    stroke: var(--ink);
    stroke-width: 1.3;
  }
  .box.part rect {
    fill: color-mix(in srgb, var(--subject) 22%, var(--raised));
    stroke: var(--subject);
  }
  .box.rig rect {
    fill: color-mix(in srgb, var(--soft) 45%, var(--raised));
    stroke: var(--soft);
  }
  .box.weight rect {
    fill: color-mix(in srgb, var(--near) 55%, var(--raised));
    stroke: var(--near);
  }
  .box.held:hover rect {
    stroke-width: 2.6;
  }
  .box text {
    font-size: 11px;
    fill: var(--ink);
    pointer-events: none;
  }
  polyline {
    /* What is drawn over a grip does not hide it from the hand. */
    pointer-events: none;
    fill: none;
    stroke: var(--soft);
    stroke-width: 4;
    stroke-linecap: round;
    stroke-linejoin: round;
  }
  polyline.ground {
    stroke: var(--hairline);
    stroke-width: 3;
  }
  polyline.edge {
    stroke: var(--near);
    stroke-width: 2;
    fill: color-mix(in srgb, var(--near) 10%, transparent);
  }
  polyline.plumb {
    stroke: var(--far);
    stroke-width: 1.5;
    stroke-dasharray: 5 5;
  }
  polyline.away {
    stroke: var(--far);
    stroke-width: 1.5;
    stroke-dasharray: 2 6;
  }
  .centre .ring {
    fill: none;
    stroke: var(--near);
    stroke-width: 2.2;
  }
  .pivot circle,
  .handle circle {
    fill: var(--ink);
    stroke: var(--raised);
    stroke-width: 2;
  }
  .handle circle {
    fill: var(--subject);
  }
  .box.held rect.reach,
  circle.reach {
    fill: transparent;
    stroke: none;
  }
  .scale path {
    fill: none;
    stroke: var(--soft);
    stroke-width: 1.5;
  }
  .scale text {
    font-size: 11px;
    fill: var(--soft);
  }
</style>
