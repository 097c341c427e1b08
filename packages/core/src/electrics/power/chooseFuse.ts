import { lastOf } from '../../numerics/index.ts';
import type { FuseItem } from '../../catalogue/index.ts';
import { deratedRating, inrushDamage } from './fuseCurve.ts';

export interface FuseLoad {
  /** continuous current A */
  readonly running: number;
  readonly inrushFactor: number;
  readonly inrushTime: number;
  /** ambient of the fuse K */
  readonly ambient: number;
}

export interface FuseJudgement {
  readonly fuse: FuseItem;
  readonly whenHot: number;
  /** 1.25 × continuous */
  readonly needed: number;
  readonly carriesLoad: boolean;
  readonly inrushDamage: number;
  readonly ridesThrough: boolean;
}

/** How a fuse does on a load: 1.25 × continuous when hot, and inrush against the fast edge. */
export function judgeFuse(fuse: FuseItem, load: FuseLoad): FuseJudgement {
  const whenHot = deratedRating(fuse.rating, load.ambient);
  const needed = 1.25 * load.running;
  const damage = inrushDamage({
    fuse,
    running: load.running,
    factor: load.inrushFactor,
    time: load.inrushTime,
  });
  return {
    fuse,
    whenHot,
    needed,
    carriesLoad: whenHot >= needed,
    inrushDamage: damage,
    ridesThrough: damage < 1,
  };
}

/** The smallest fuse that carries the load and rides through; the largest if none does. */
export function chooseFuse(fuses: readonly FuseItem[], load: FuseLoad): FuseJudgement {
  const rising = [...fuses].sort((a, b) => a.rating - b.rating);
  for (const fuse of rising) {
    // What does not carry the load need not be asked whether it rides through the inrush.
    if (deratedRating(fuse.rating, load.ambient) < 1.25 * load.running) continue;
    const judged = judgeFuse(fuse, load);
    if (judged.ridesThrough) return judged;
  }
  return judgeFuse(lastOf(rising), load);
}
