import type { DrawnPlace } from '../../vehicle/index.ts';

/** A place along a drawn segment and beside it, mm. */
export class Along {
  readonly length: number;
  private readonly u: DrawnPlace;

  constructor(
    readonly from: DrawnPlace,
    readonly to: DrawnPlace,
  ) {
    this.length = Math.hypot(to[0] - from[0], to[1] - from[1]);
    this.u = [(to[0] - from[0]) / this.length, (to[1] - from[1]) / this.length];
  }

  at(along: number, beside = 0): DrawnPlace {
    const [x, y] = this.u;
    return [this.from[0] + along * x - beside * y, this.from[1] + along * y + beside * x];
  }

  /** The middle of a box beside a place along it, so much off; mm. */
  boxBeside(share: number, side: 1 | -1, wide: number, high: number, off: number): DrawnPlace {
    const [x, y] = this.u;
    const upwards = x >= 0 ? side : -side;
    const away = off + (Math.abs(y) * wide + Math.abs(x) * high) / 2;
    return this.at(share * this.length, upwards * away);
  }
}
