import type { VideoSample } from 'mediabunny';
import { drawnWidthPx, type GreyFrame, greyOf, greyOfLuma } from '@gentle-arc/core/take';

/** Of these every picture begins with its luma, a byte a pixel. */
const LUMA_FIRST = new Set<string | null>(['I420', 'I422', 'I444', 'NV12']);

/** Makes pictures of one clip grey and small enough to be followed. */
export class ClipPictures {
  private bytes = new Uint8Array(0);
  private paper: OffscreenCanvasRenderingContext2D | null = null;

  /** As wide and high as the clip is shown; a picture of another size is drawn so large. */
  constructor(
    private readonly widthPx: number,
    private readonly heightPx: number,
  ) {}

  /** Null where it has to be drawn and this browser gives no sheet for that. */
  async greyOf(sample: VideoSample): Promise<GreyFrame | null> {
    return (await this.read(sample)) ?? this.drawn(sample);
  }

  /** As it is written, where it is shown as it is written; that saves its colours and drawing it. */
  private async read(sample: VideoSample): Promise<GreyFrame | null> {
    const { format, visibleRect, rotation, flip, colorSpace } = sample;
    const asWritten =
      rotation === 0 &&
      !flip &&
      [sample.displayWidth, visibleRect.width].every((px) => px === this.widthPx) &&
      [sample.displayHeight, visibleRect.height].every((px) => px === this.heightPx);
    if (!asWritten || !LUMA_FIRST.has(format)) return null;
    const size = sample.allocationSize();
    if (this.bytes.length < size) this.bytes = new Uint8Array(size);
    const [{ offset, stride }] = await sample.copyTo(this.bytes);
    return greyOfLuma({
      pixels: this.bytes.subarray(offset),
      strideBytes: stride,
      widthPx: this.widthPx,
      heightPx: this.heightPx,
      fullRange: colorSpace.fullRange ?? false,
    });
  }

  private drawn(sample: VideoSample): GreyFrame | null {
    const share = drawnWidthPx(this.widthPx) / this.widthPx;
    const [width, height] = [this.widthPx, this.heightPx].map((px) => Math.max(32, Math.round(px * share)));
    if (this.paper?.canvas.width !== width || this.paper.canvas.height !== height)
      this.paper = new OffscreenCanvas(width, height).getContext('2d', { willReadFrequently: true, alpha: false });
    if (!this.paper) return null;
    sample.draw(this.paper, 0, 0, width, height);
    return greyOf(this.paper.getImageData(0, 0, width, height).data, width, height, 4);
  }
}
