import type { Shoot } from '@gentle-arc/core/model';

/**
 * Shoots that the browser would not keep: they live as long as this page is not left, and can be taken away as files.
 */
const unkept = new Map<string, Shoot>();

export const keepInMemory = (shoot: Shoot): void => void unkept.set(shoot.id, shoot);
export const forgetMemory = (id: string): void => void unkept.delete(id);
export const fromMemory = (id: string): Shoot | null => unkept.get(id) ?? null;
export const allInMemory = (): Shoot[] => [...unkept.values()];
