/** A packing on its way: coordinates one after the other, x and y of each circle. */
export interface Packing {
  readonly xy: Float64Array;
  readonly radius: number;
}

/** A packing without any overlap: moved apart as far as the worst overlap asks. */
export function certified(xy: Float64Array, r: Float64Array): Packing {
  const n = r.length;
  let spread = 0;
  for (let i = 0; i < n; i++) {
    for (let j = 0; j < i; j++) {
      const dx = (xy[2 * i] as number) - (xy[2 * j] as number);
      const dy = (xy[2 * i + 1] as number) - (xy[2 * j + 1] as number);
      const ask = ((r[i] as number) + (r[j] as number)) ** 2 / Math.max(1e-12, dx * dx + dy * dy);
      if (ask > spread) spread = ask;
    }
  }
  const scale = Math.sqrt(spread) * (1 + 1e-12);
  const apart = xy.map((value) => value * scale);
  let radius = 0;
  for (let i = 0; i < n; i++) {
    const out = Math.hypot(apart[2 * i] as number, apart[2 * i + 1] as number) + (r[i] as number);
    if (out > radius) radius = out;
  }
  return { xy: apart, radius };
}

/** Moved so that the wall around all is as narrow as it gets by moving alone. */
function centred(xy: Float64Array, r: Float64Array): Float64Array {
  let cx = 0;
  let cy = 0;
  // Steps towards whatever sticks out most, ever shorter, end in the middle of the least circle.
  for (let step = 1; step <= 200; step++) {
    let most = -Infinity;
    let at = 0;
    for (let i = 0; i < r.length; i++) {
      const dx = (xy[2 * i] as number) - cx;
      const dy = (xy[2 * i + 1] as number) - cy;
      const out = Math.sqrt(dx * dx + dy * dy) + (r[i] as number);
      if (out > most) {
        most = out;
        at = i;
      }
    }
    cx += ((xy[2 * at] as number) - cx) / (step + 1);
    cy += ((xy[2 * at + 1] as number) - cy) / (step + 1);
  }
  return xy.map((value, i) => value - (i % 2 === 0 ? cx : cy));
}

/** Lays circles from a place in the list on into a ring; the place of the first that is left over. */
function filled(
  r: Float64Array,
  from: number,
  far: number,
  turned: number,
  xy: Float64Array | undefined,
): number {
  let angle = turned;
  let next = from;
  for (; next >= 0; next--) {
    const half = Math.asin(Math.min(1, (r[next] as number) / far));
    if (next < from && angle + 2 * half > turned + 2 * Math.PI + 1e-9) break;
    if (xy) {
      xy[2 * next] = far * Math.cos(angle + half);
      xy[2 * next + 1] = far * Math.sin(angle + half);
    }
    angle += 2 * half;
  }
  return next;
}

/** Circles in rings around a middle one, the narrower ones inside. */
export function inRings(r: Float64Array): Packing {
  const n = r.length;
  const xy = new Float64Array(2 * n);
  // They come widest first: from the end of the list they fill the middle.
  let next = n - 1;
  let out = r[next--] as number;
  let turned = 0;
  while (next >= 0) {
    // How many lie in the ring decides how wide its widest is, and that how far out it lies.
    const begin = next;
    let widest = r[next] as number;
    for (let tries = 0; tries < 3; tries++) {
      const last = filled(r, begin, out + widest, turned, undefined);
      const most = r[Math.max(0, last + 1)] as number;
      if (most <= widest) break;
      widest = most;
    }
    next = filled(r, begin, out + widest, turned, xy);
    turned += 0.5;
    out += 2 * widest;
  }
  return certified(xy, r);
}

/** Circles one after the other, each where it lies nearest to the middle beside two others. */
export function fromMiddle(r: Float64Array): Packing {
  const n = r.length;
  const xy = new Float64Array(2 * n);
  const placed: number[] = [];
  for (let i = 0; i < n; i++) {
    const own = r[i] as number;
    if (placed.length === 0) {
      placed.push(i);
      continue;
    }
    const first = placed[0] as number;
    if (placed.length === 1) {
      xy[2 * i] = (r[first] as number) + own;
      placed.push(i);
      continue;
    }
    let bestX = 0;
    let bestY = 0;
    let least = Infinity;
    for (let a = 0; a < placed.length; a++) {
      const p = placed[a] as number;
      for (let b = 0; b < a; b++) {
        const q = placed[b] as number;
        const da = (r[p] as number) + own;
        const db = (r[q] as number) + own;
        const dx = (xy[2 * q] as number) - (xy[2 * p] as number);
        const dy = (xy[2 * q + 1] as number) - (xy[2 * p + 1] as number);
        const apart = Math.sqrt(dx * dx + dy * dy);
        if (apart > da + db || apart === 0) continue;
        const along = (da * da - db * db + apart * apart) / (2 * apart);
        const aside = Math.sqrt(Math.max(0, da * da - along * along));
        for (const side of [-1, 1]) {
          const x = (xy[2 * p] as number) + (along * dx - side * aside * dy) / apart;
          const y = (xy[2 * p + 1] as number) + (along * dy + side * aside * dx) / apart;
          const far = x * x + y * y;
          if (far >= least - 1e-12) continue;
          if (!isFree(x, y, own, placed, xy, r)) continue;
          least = far;
          bestX = x;
          bestY = y;
        }
      }
    }
    xy[2 * i] = bestX;
    xy[2 * i + 1] = bestY;
    placed.push(i);
  }
  return certified(centred(xy, r), r);
}

function isFree(
  x: number,
  y: number,
  own: number,
  placed: readonly number[],
  xy: Float64Array,
  r: Float64Array,
): boolean {
  for (const k of placed) {
    const dx = (xy[2 * k] as number) - x;
    const dy = (xy[2 * k + 1] as number) - y;
    const least = (r[k] as number) + own - 1e-9;
    if (dx * dx + dy * dy < least * least) return false;
  }
  return true;
}

/** Circles along a spiral, each a turn further. */
export function onSpiral(r: Float64Array, turn: number): Packing {
  const xy = new Float64Array(2 * r.length);
  let area = 0;
  r.forEach((own, i) => {
    const far = Math.sqrt(area);
    xy[2 * i] = far * Math.cos(i * turn);
    xy[2 * i + 1] = far * Math.sin(i * turn);
    area += own * own * 1.3;
  });
  return certified(xy, r);
}
