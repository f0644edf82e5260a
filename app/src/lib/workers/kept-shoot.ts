import { patched, type ShootPatch } from '@gentle-arc/core/edit';
import { problemsIn, type Shoot, type Shot } from '@gentle-arc/core/model';

/** What a worker that keeps the shoot is told first: the shoot, and from then on what changed. */
export interface KeepsShoot {
  sync(patch: ShootPatch): Promise<void>;
}

/** The shoot as a worker has it. What comes in is checked here, once; what did not change is not checked again. */
export class KeptShoot implements KeepsShoot {
  private now: Shoot | null = null;

  async sync(patch: ShootPatch): Promise<void> {
    const next = patched(this.now, patch);
    const [problem] = problemsIn(next);
    if (problem) throw new RangeError(problem.sentence);
    this.now = next;
  }

  get shoot(): Shoot {
    if (!this.now) throw new RangeError('No shoot has come yet.');
    return this.now;
  }

  shot(shotId: string): Shot {
    const shot = this.shoot.shots.find(({ id }) => id === shotId);
    if (!shot) throw new RangeError(`No shot ${shotId} in this shoot.`);
    return shot;
  }
}
