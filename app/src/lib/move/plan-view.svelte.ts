import { select, zoom, zoomIdentity, type ZoomBehavior } from 'd3';

/** Room for the buttons over the plan's upper edge, and for the grips of a piece at its sides. */
const TOP_PX = 44;
const SIDE_PX = 30;

/** What part of the site the plan shows: pixels per metre and where the site's origin lies. Wheel, drag and pinch change it. */
export class PlanView {
  scale = $state(20);
  originX = $state(200);
  originY = $state(200);

  private behaviour: ZoomBehavior<SVGSVGElement, unknown> | null = null;
  private svg: SVGSVGElement | null = null;

  attach(svg: SVGSVGElement): () => void {
    this.svg = svg;
    this.behaviour = zoom<SVGSVGElement, unknown>()
      .scaleExtent([0.6, 400])
      .filter((event: Event) => !(event.target as Element).closest('[data-grab]') && !(event as MouseEvent).button)
      .clickDistance(5)
      .on('zoom', ({ transform }) => {
        this.scale = transform.k;
        this.originX = transform.x;
        this.originY = transform.y;
      });
    const selection = select(svg);
    selection.call(this.behaviour).on('dblclick.zoom', null);
    return () => {
      selection.on('.zoom', null);
    };
  }

  /** Shows a rectangle of the site, metres. */
  show(x0: number, y0: number, x1: number, y1: number, width: number, height: number): void {
    if (!this.svg || !this.behaviour) return;
    const free = { width: Math.max(50, width - 2 * SIDE_PX), height: Math.max(50, height - TOP_PX) };
    const scale = Math.min(120, Math.min(free.width / Math.max(1, x1 - x0), free.height / Math.max(1, y1 - y0)));
    const transform = zoomIdentity.translate(width / 2 - ((x0 + x1) / 2) * scale, TOP_PX + free.height / 2 + ((y0 + y1) / 2) * scale).scale(scale);
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
