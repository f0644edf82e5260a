/** The picture is told apart so finely where it is kept in which places something could be followed. */
export const PLACES = { across: 48, down: 32 } as const;

/**
 * In which places of the picture something could be followed, at moments of a clip that are equally far apart, the first
 * and the last half as far from its ends: a bit a place from the upper left, row after row, in base64. Bare walls, clear
 * skies and edges have nothing that can be followed.
 */
export type FollowedPlaces = readonly string[];

const COUNT = PLACES.across * PLACES.down;
const MOST_MOMENTS = 400;

/** Gathers them picture by picture. */
export class FollowedPlacesCounter {
  private readonly pictures: Uint8Array[] = [];

  constructor(private readonly aspect: number) {}

  add(flows: readonly { u: number; w: number }[]): void {
    const bits = new Uint8Array(COUNT / 8);
    for (const { u, w } of flows) {
      const place = placeOf(u, w, this.aspect);
      if (place >= 0) bits[place >> 3] |= 128 >> (place & 7);
    }
    this.pictures.push(bits);
  }

  /** A picture all of which is known. */
  addEverywhere(): void {
    this.pictures.push(new Uint8Array(COUNT / 8).fill(255));
  }

  moments(): FollowedPlaces {
    const { pictures } = this;
    const count = Math.min(MOST_MOMENTS, pictures.length);
    return Array.from({ length: count }, (_, k) =>
      btoa(String.fromCharCode(...pictures[Math.floor(momentShare(k, count) * pictures.length)])),
    );
  }
}

/** Where in a clip a moment of so many lies, 0 to 1. */
export const momentShare = (moment: number, moments: number): number => (moment + 0.5) / moments;

/** Whether something could be followed in a place, by its number, at one moment. */
export function wasFollowed(moment: string): (place: number) => boolean {
  const bits = atob(moment);
  return (place) => ((bits.charCodeAt(place >> 3) >> (7 - (place & 7))) & 1) === 1;
}

/** The number of the place at u and w, from the upper left, row after row; −1 beside the picture. */
export function placeOf(u: number, w: number, aspect: number): number {
  const x = Math.floor((u + 0.5) * PLACES.across);
  const y = Math.floor((0.5 - w * aspect) * PLACES.down);
  return x < 0 || y < 0 || x >= PLACES.across || y >= PLACES.down ? -1 : y * PLACES.across + x;
}
