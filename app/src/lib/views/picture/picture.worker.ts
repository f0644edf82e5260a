import * as Comlink from 'comlink';
import { PictureDesk } from './picture-desk';
import { ShowMessageSchema, StartMessageSchema, type PictureWorker } from './picture-messages';

let desk: PictureDesk | null = null;
const atWork = (): PictureDesk => {
  if (!desk) throw new RangeError('The drawing has not been started.');
  return desk;
};

const worker: PictureWorker = {
  async start(message) {
    const { many, dpr } = StartMessageSchema.parse(message);
    const canvas = new OffscreenCanvas(1, 1);
    const gl = canvas.getContext('webgl2');
    if (!gl) return false;
    const info = gl.getExtension('WEBGL_debug_renderer_info');
    const renderer = info ? String(gl.getParameter(info.UNMASKED_RENDERER_WEBGL)) : '';
    gl.getExtension('WEBGL_lose_context')?.loseContext();
    desk = new PictureDesk({ many, dpr, software: /swiftshader|llvmpipe|software/i.test(renderer) });
    return true;
  },
  async sheet(name, canvas) {
    atWork().put(name, canvas);
  },
  async drop(name) {
    desk?.drop(name);
  },
  async show(message) {
    return atWork().show(ShowMessageSchema.parse(message));
  },
  async still(name, widthPx) {
    return atWork().still(name, widthPx);
  },
};

Comlink.expose(worker);
