import { type Object3D, SpotLight } from 'three';
import { luxOfEv } from '@gentle-arc/core/light';
import type { Scene } from '@gentle-arc/core/scene';
import { partOf } from '@gentle-arc/core/site';
import { patternSheet } from './pattern-sheet';
import { LIGHT } from './scene-look';

const RAD = Math.PI / 180;

/** More lamps are not drawn with their light, and none brighter than this beside the rest. */
const MOST_LAMPS = 6;
const MOST_TIMES = 60;

/** A lamp farther from what the shot is about, m, is not missed; nor one weaker at 1 m than these shares of the light. */
const LAMP_REACH_M = 40;
const SEEN_LAMP = { inside: 0.05, outside: 0.2 };

/** Lamps as cones of light, as strong beside the rest as they are beside the light that the shot reckons with. */
export class LampLights {
  private readonly lamps: SpotLight[] = [];

  /** `site`: what they stand on. */
  constructor(private readonly site: Object3D) {}

  /** Puts them where they stand; whether their light is missed about a place of the site, m, where it is left out. */
  place(setup: Scene, about: { xM: number; yM: number; zM: number }, isIndoors: boolean): boolean {
    for (const lamp of this.lamps.splice(0)) this.site.remove(lamp, lamp.target);
    const around = luxOfEv(setup.shot.light.ev100);
    let isLit = false;
    for (const { piece, walks } of setup.things) {
      if (piece.kind !== 'lamp' || walks || this.lamps.length === MOST_LAMPS) continue;
      const bulb = partOf(piece, 'light');
      const half = Math.min(89, piece.beamDeg / 2) * RAD;
      const light = new SpotLight(LIGHT.lamp, LIGHT.sunStrength * Math.min(MOST_TIMES, piece.luxAt1M / around));
      light.angle = half;
      light.penumbra = piece.softness === 'soft' ? 0.8 : 0.2;
      light.decay = 2;
      light.position.set(piece.xM, piece.yM, piece.zM + bulb.upM);
      const [heading, tilt] = [piece.headingDeg * RAD, piece.tiltDeg * RAD];
      light.target.position.set(
        piece.xM + Math.sin(heading) * Math.cos(tilt),
        piece.yM + Math.cos(heading) * Math.cos(tilt),
        piece.zM + bulb.upM + Math.sin(tilt),
      );
      if (piece.pattern !== 'none') {
        light.map = patternSheet(piece.pattern);
        light.shadow.mapSize.set(512, 512);
        light.shadow.bias = -0.002;
      }
      const near = Math.hypot(piece.xM - about.xM, piece.yM - about.yM, piece.zM - about.zM) < LAMP_REACH_M;
      isLit ||= near && piece.luxAt1M > around * SEEN_LAMP[isIndoors ? 'inside' : 'outside'];
      this.lamps.push(light);
      this.site.add(light, light.target);
    }
    return isLit;
  }

  /** Only what casts shadows has a pattern. */
  castShadows(cast: boolean): void {
    for (const lamp of this.lamps) if (lamp.map) lamp.castShadow = cast;
  }
}
