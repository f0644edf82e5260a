import { select } from 'd3-selection';
import { zoom, zoomIdentity, type ZoomBehavior } from 'd3-zoom';

/** Room for the buttons over the plan's upper edge, and for the grips of a piece at its sides. */
const TOP_PX = 44;
const SIDE_PX = 30;

/** Two fingers on the plan turn something. */
export interface Twist {
  ontwist: (byDeg: number) => void;
  onsettle: () => void;
}

/** A turn smaller than this is the unsteadiness of a pinch, degrees. */
const TWIST_FROM_DEG = 9;

/** Watches two touches and tells by how much the line between them has turned since last told, clockwise as seen. */
function watchTwist(
  svg: SVGSVGElement,
  { ontwist, onsettle }: Twist,
  onturning: (turning: boolean) => void,
): () => void {
  let from: number | null = null;
  let turning = false;
  const angleOf = ({ touches: [a, b] }: TouchEvent) =>
    (Math.atan2(b.clientY - a.clientY, b.clientX - a.clientX) * 180) / Math.PI;
  const begin = (event: TouchEvent) => {
    if (event.touches.length === 2) from = angleOf(event);
  };
  const turn = (event: TouchEvent) => {
    if (event.touches.length !== 2 || from === null) return;
    const angle = angleOf(event);
    const by = angle - from - 360 * Math.round((angle - from) / 360);
    if (!turning && Math.abs(by) < TWIST_FROM_DEG) return;
    if (!turning) {
      turning = true;
      onturning(true);
    }
    from = angle;
    ontwist(by);
  };
  const end = (event: TouchEvent) => {
    if (event.touches.length >= 2) return;
    from = null;
    if (!turning) return;
    turning = false;
    onturning(false);
    onsettle();
  };
  svg.addEventListener('touchstart', begin, { capture: true, passive: true });
  svg.addEventListener('touchmove', turn, { capture: true, passive: true });
  for (const name of ['touchend', 'touchcancel'] as const) svg.addEventListener(name, end);
  return () => {
    svg.removeEventListener('touchstart', begin, { capture: true });
    svg.removeEventListener('touchmove', turn, { capture: true });
    for (const name of ['touchend', 'touchcancel'] as const) svg.removeEventListener(name, end);
  };
}

/**
 * What part of the site the plan shows: pixels per metre and where the site's origin lies. Wheel, drag and pinch change
 * it.
 */
export class PlanView {
  scale = $state(20);
  originX = $state(200);
  originY = $state(200);

  private behaviour: ZoomBehavior<SVGSVGElement, unknown> | null = null;
  private svg: SVGSVGElement | null = null;
  private turning = false;

  /** Wheel, drag and pinch change the view; two fingers that turn go to `twist`, and the view stays while they do. */
  attach(svg: SVGSVGElement, twist: Twist): () => void {
    this.svg = svg;
    const stopTwist = watchTwist(svg, twist, (turning) => {
      if (!turning && this.turning)
        select(svg).property('__zoom', zoomIdentity.translate(this.originX, this.originY).scale(this.scale));
      this.turning = turning;
    });
    this.behaviour = zoom<SVGSVGElement, unknown>()
      .scaleExtent([0.6, 400])
      .filter((event: Event) => !(event.target as Element).closest('[data-grab]') && !(event as MouseEvent).button)
      .clickDistance(5)
      .on('zoom', ({ transform }) => {
        if (this.turning) return;
        this.scale = transform.k;
        this.originX = transform.x;
        this.originY = transform.y;
      });
    const selection = select(svg);
    selection.call(this.behaviour).on('dblclick.zoom', null);
    return () => {
      selection.on('.zoom', null);
      stopTwist();
    };
  }

  /** Shows a rectangle of the site, metres. */
  show(x0: number, y0: number, x1: number, y1: number, width: number, height: number): void {
    if (!this.svg || !this.behaviour) return;
    const free = { width: Math.max(50, width - 2 * SIDE_PX), height: Math.max(50, height - TOP_PX) };
    const scale = Math.min(120, Math.min(free.width / Math.max(1, x1 - x0), free.height / Math.max(1, y1 - y0)));
    const transform = zoomIdentity
      .translate(width / 2 - ((x0 + x1) / 2) * scale, TOP_PX + free.height / 2 + ((y0 + y1) / 2) * scale)
      .scale(scale);
    select(this.svg).call(this.behaviour.transform, transform);
  }

  by(factor: number): void {
    if (this.svg && this.behaviour) select(this.svg).call(this.behaviour.scaleBy, factor);
  }

  x(xM: number): number {
    return this.originX + xM * this.scale;
  }

  y(yM: number): number {
    return this.originY - yM * this.scale;
  }

  /** The site point under a pixel of the plan. */
  toSite(px: number, py: number): { xM: number; yM: number } {
    return { xM: (px - this.originX) / this.scale, yM: (this.originY - py) / this.scale };
  }
}
