import {
  HalfFloatType,
  LinearSRGBColorSpace,
  MeshBasicMaterial,
  NoBlending,
  NormalBlending,
  NoToneMapping,
  PCFShadowMap,
  PerspectiveCamera,
  WebGLRenderTarget,
  WebGLRenderer,
} from 'three';
import { FullScreenQuad } from 'three/examples/jsm/postprocessing/Pass.js';
import type { Scene } from '@gentle-arc/core/scene';
import type { Samples } from '@gentle-arc/core/motion';
import { depthOfField } from '@gentle-arc/core/optics';
import type { Flown } from '@gentle-arc/core/model';
import { type CameraPose, poseSamples } from '@gentle-arc/core/rehearse';
import { focusPlaneM, lookOfMany, momentAt, openingRadiusM, openRows } from '@gentle-arc/core/image';
import { PaperScene } from './paper-scene';
import { depthTint, depthTone, focusTone } from './scene-look';
import { lookPast, nudge, standAt } from './through-lens';

/** What one picture shows. */
export interface View {
  scene: Scene;
  samples: Samples;
  row: number;
  /** The samples are not the plan's: this way was flown instead. */
  flown?: Flown | null;
  /** The camera is led by hand at this moment: it is here, whatever the row. */
  live?: LivePose | null;
}

/** A camera at a moment of action. */
export type LivePose = CameraPose & { tS: number };

/** What is drawn of a view: a camera that is led by hand stands alone. */
export const drawnView = (view: View): View =>
  view.live ? { ...view, samples: poseSamples(view.scene, view.live, view.live.tS), row: 0 } : view;

/** Where it is shown, and how large in pixels of the page. */
export interface Paper {
  canvas: HTMLCanvasElement | OffscreenCanvas;
  width: number;
  height: number;
}

/** How it is shown: blurred by the lens, blurred by motion, in a tone that tells what is sharp. */
export interface Blur {
  lens: boolean;
  motion: boolean;
  tone: boolean;
}

export interface FilmOptions {
  /** There is no graphics processor: edges are smoothed at rest only, by laying looks together. */
  software: boolean;
  /** Drawn as cheaply as can be: several pictures without a graphics processor. */
  simple: boolean;
  shadows: boolean;
  /** Pixels drawn for each of the page at rest. */
  dpr: number;
  /** The canvas is itself the one sheet that is shown; otherwise each picture is handed to its sheet. */
  direct: boolean;
}

type PaperContext = CanvasRenderingContext2D | OffscreenCanvasRenderingContext2D;

/** Looks that a blurred frame is laid together from: few while it plays, many at rest. */
const LOOKS_PLAYING = 8;
const LOOKS_AT_REST = 64;
/** Without a graphics processor edges are smoothed by so many. */
const LOOKS_SMOOTH = 4;
/** At rest a few at a time: what is asked for meanwhile is not kept waiting. Without a graphics processor one. */
const LOOKS_AT_ONCE = 2;

/** Whether all is drawn is asked so often, ms: asking stops whoever draws. */
const ASKED_MS = 4;

/** Pixels drawn for each of the page while several pictures play without a graphics processor. */
const PLAYED_DPR = 0.45;

/**
 * Draws pictures of one site, one after the other, and hands each to its paper: a browser shows several small sheets
 * far quicker than it runs several renderers.
 */
export class Film {
  private readonly renderer: WebGLRenderer;
  private readonly paper: PaperScene;
  private readonly camera = new PerspectiveCamera();
  /** Where the camera would stand without the body under it. */
  private readonly plain = new PerspectiveCamera();
  private readonly look = new WebGLRenderTarget(1, 1, { type: HalfFloatType });
  /** What has been laid together so far, one for each view. */
  private readonly means: WebGLRenderTarget[] = [];
  private readonly lay = new FullScreenQuad(
    new MeshBasicMaterial({
      map: this.look.texture,
      transparent: true,
      blending: NormalBlending,
      depthTest: false,
      depthWrite: false,
    }),
  );
  private readonly printed = new MeshBasicMaterial({ blending: NoBlending, depthTest: false, depthWrite: false });
  private readonly print = new FullScreenQuad(this.printed);
  private places: { y: number; width: number; height: number }[] = [];
  private views: readonly View[] = [];
  private papers: readonly Paper[] = [];
  private blur: Blur = { lens: false, motion: false, tone: false };
  private playing = false;
  private laid = 0;
  private wanted = 1;
  /** Shadows are those of another moment. */
  private stale = true;
  private ready = false;
  /** Of how large it is drawn. */
  private scale = 1;

  constructor(
    private readonly canvas: HTMLCanvasElement | OffscreenCanvas,
    private readonly options: FilmOptions,
  ) {
    const { simple, shadows, software } = options;
    // Nothing is seen through a picture: laying it on the page is cheaper then. three.js would ask for one that is.
    const asked = { alpha: false, antialias: !software, powerPreference: 'high-performance' } as const;
    const context = (canvas as OffscreenCanvas).getContext('webgl2', asked) ?? undefined;
    this.renderer = new WebGLRenderer({ canvas, context });
    this.paper = new PaperScene(simple);
    // The simple look mixes colours as they are shown.
    if (simple) this.renderer.outputColorSpace = LinearSRGBColorSpace;
    this.renderer.toneMapping = NoToneMapping;
    this.renderer.shadowMap.enabled = shadows;
    this.renderer.shadowMap.type = PCFShadowMap;
    this.renderer.shadowMap.autoUpdate = false;
    this.camera.rotation.order = 'YXZ';
    this.plain.rotation.order = 'YXZ';
    this.camera.near = 0.05;
    this.camera.far = 1500;
  }

  /** `dim`: for a dark stage. `tint`: depth runs from warm to cool. */
  setLook(dim: boolean, tint: boolean): void {
    this.paper.setLight(dim);
    depthTone.value = tint ? 1 : 0;
  }

  /**
   * Draws each view on its paper, in so many pixels for each of a fine picture (`scale`, up to 1); whether they would
   * become finer by drawing on. `hurried`: there is no time for shadows and surfaces.
   */
  show(
    views: readonly View[],
    papers: readonly Paper[],
    blur: Blur,
    playing: boolean,
    scale = 1,
    hurried = false,
  ): boolean {
    Object.assign(this, { views, papers, blur, playing, scale });
    const blurred = blur.lens || blur.motion;
    this.paper.hurry(hurried ? { toned: blur.tone || depthTone.value > 0, blurred } : null);
    if (views.length === 0) return false;
    const moved = this.paper.setSite(views[0].scene);
    const walked = this.paper.walkTo(momentAt(views[0].samples, views[0].row).tS);
    // Shadows that nobody looks up are drawn when somebody does.
    this.stale ||= moved || walked;
    if (this.stale && !hurried) {
      this.renderer.shadowMap.needsUpdate = true;
      this.stale = false;
    }
    this.laid = 0;
    const { software, simple } = this.options;
    const smooth = software && !simple && !playing && !hurried ? LOOKS_SMOOTH : 1;
    this.wanted = blurred ? (playing ? LOOKS_PLAYING : LOOKS_AT_REST) : smooth;
    if (blurred && playing) return this.refine(LOOKS_PLAYING);
    // A plain look first: something is there at once.
    this.layOut();
    this.renderer.setRenderTarget(null);
    views.forEach((view, i) => {
      this.placeAt(i);
      this.draw(view, this.places[i].height, null);
    });
    this.hand();
    return this.wanted > 1;
  }

  /** Lays some more looks over those there are; whether more would follow. */
  refine(looks = this.options.software ? 1 : LOOKS_AT_ONCE): boolean {
    const { renderer, views } = this;
    const to = Math.min(this.wanted, this.laid + looks);
    this.layOut();
    views.forEach((view, i) => {
      const { width, height } = this.places[i];
      this.look.setSize(width, height);
      const mean = (this.means[i] ??= new WebGLRenderTarget(1, 1, { type: HalfFloatType, depthBuffer: false }));
      mean.setSize(this.look.width, this.look.height);
      for (let k = this.laid; k < to; k += 1) {
        renderer.setRenderTarget(this.look);
        this.draw(view, height, k);
        renderer.autoClear = false;
        renderer.setRenderTarget(mean);
        (this.lay.material as MeshBasicMaterial).opacity = 1 / (k + 1);
        this.lay.render(renderer);
        renderer.autoClear = true;
      }
      this.printed.map = mean.texture;
      renderer.setRenderTarget(null);
      this.placeAt(i);
      this.print.render(renderer);
    });
    this.hand();
    this.laid = to;
    return this.laid < this.wanted;
  }

  /**
   * Draws a hurried frame that nobody sees, for when nobody waits for a picture: what draws it is made with its first
   * use, and that takes as long as several pictures.
   */
  getReady(): void {
    const [mean] = this.means;
    if (this.ready || !mean || !this.options.software || this.options.simple) return;
    this.ready = true;
    this.paper.hurry({ toned: false, blurred: false });
    this.renderer.compile(this.paper.scene, this.camera);
    this.renderer.setRenderTarget(null);
    this.placeAt(0);
    this.draw(this.views[0], this.places[0].height, null);
    this.paper.hurry(null);
    this.printed.map = mean.texture;
    this.print.render(this.renderer);
  }

  /** Resolves when everything that was asked of the graphics is drawn: only then is known what a frame costs. */
  async drawn(): Promise<void> {
    const gl = this.renderer.getContext() as WebGL2RenderingContext;
    const fence = gl.fenceSync(gl.SYNC_GPU_COMMANDS_COMPLETE, 0);
    gl.flush();
    while (fence && gl.clientWaitSync(fence, 0, 0) === gl.TIMEOUT_EXPIRED)
      await new Promise((resolve) => setTimeout(resolve, ASKED_MS));
    gl.deleteSync(fence);
  }

  dispose(): void {
    for (const target of [this.look, ...this.means]) target.dispose();
    this.lay.dispose();
    this.print.dispose();
    this.renderer.dispose();
  }

  /** Gives each paper its place on the one canvas, one above the other, in pixels. */
  private layOut(): void {
    const { simple, dpr: fine } = this.options;
    const dpr = (simple && this.playing ? PLAYED_DPR : fine) * this.scale;
    let y = 0;
    this.places = this.papers.map(({ width, height }) => {
      const place = { y, width: Math.max(1, Math.floor(width * dpr)), height: Math.max(1, Math.floor(height * dpr)) };
      y += place.height;
      return place;
    });
    const width = Math.max(1, ...this.places.map((place) => place.width));
    if (width !== this.canvas.width || y !== this.canvas.height) this.renderer.setSize(width, y, false);
  }

  private placeAt(i: number): void {
    const { y, width, height } = this.places[i];
    // Counted from below there, from above on the sheets.
    this.renderer.setViewport(0, this.canvas.height - y - height, width, height);
    this.renderer.setScissor(0, this.canvas.height - y - height, width, height);
    this.renderer.setScissorTest(true);
  }

  /** Several pictures are drawn on one canvas and each is laid on its sheet. */
  private hand(): void {
    if (this.options.direct) return;
    this.papers.forEach(({ canvas }, i) => {
      const { y, width, height } = this.places[i];
      if (canvas.width !== width || canvas.height !== height) Object.assign(canvas, { width, height });
      const context = canvas.getContext('2d', { alpha: false }) as PaperContext | null;
      context?.drawImage(this.canvas, 0, y, width, height, 0, 0, width, height);
    });
  }

  /** One view as it is, or as one of the looks that it is laid together from. */
  private draw({ scene, samples, row }: View, heightPx: number, k: number | null): void {
    const { camera, renderer, blur } = this;
    const look = k === null ? null : lookOfMany(k, this.wanted);
    const at = look && blur.motion ? row + look.share * openRows(scene, samples, row) : row;
    const moment = momentAt(samples, at);
    // Pictures beside each other may be of different moments.
    if ((look && blur.motion) || this.views.length > 1) this.paper.walkTo(moment.tS);
    standAt(camera, moment, samples);
    if (scene.carries && samples.plain) {
      this.paper.walkTo(moment.tS);
      standAt(this.plain, momentAt(samples.plain, at), samples);
      this.paper.shakeCarrier(this.plain, camera);
    }
    const planeM = focusPlaneM(samples, row, (scene.part?.heightM ?? 0) / 2);
    const opticalMm = moment.focalLengthMm / samples.crop[row];
    if (look) {
      if (blur.lens) {
        const radiusM = openingRadiusM(opticalMm, scene.shot.fNumber, planeM);
        lookPast(camera, look.x * radiusM, look.y * radiusM, planeM);
      }
      nudge(camera, (2 * look.pixelX) / this.look.width, (2 * look.pixelY) / this.look.height);
    }
    depthTint.value = samples.subjectDistanceM[row];
    const confusionMm = (scene.limits.confusionShare * samples.frameWidthMm) / samples.crop[row];
    const sharp = depthOfField(opticalMm, scene.shot.fNumber, confusionMm, planeM);
    focusTone.value.set(blur.tone ? 1 : 0, sharp.nearM, Math.min(1e6, sharp.farM));
    this.paper.lookFrom(camera, heightPx);
    renderer.render(this.paper.scene, camera);
  }
}
