import { packedBundle, packedDiameter } from './packedBundle.ts';

/** Pitch of a layer in its outside diameters. */
export const LAY_PITCH = 10;

/** One layer of a bundle that is laid: which wires lie in it, and how it is twisted. */
export interface Layer {
  /** by their place in the list that was given */
  readonly wires: readonly number[];
  /** filler wires that complete it, each as wide as its widest wire */
  readonly fillers: number;
  readonly fillerDiameter: number;
  /** under and over it, m */
  readonly inner: number;
  readonly outer: number;
  /** m along the bundle for one turn; 0: it lies straight */
  readonly pitch: number;
  readonly lay: 'straight' | 'left' | 'right';
  /** how much longer its wires are than the bundle: 1 / cos α, tan α = π · D / pitch */
  readonly factor: number;
}

/** A bundle laid in layers, from the middle outwards. */
export interface LaidBundleLayers {
  readonly layers: readonly Layer[];
  readonly diameter: number;
}

/** Up to so many wires are one group around nothing. */
const GROUP = 5;

const layFactor = (pitchCircle: number, pitch: number): number =>
  pitch > 0 ? Math.sqrt(1 + ((Math.PI * pitchCircle) / pitch) ** 2) : 1;

/** Insulation gives so much where wires are laid tightly. */
const SQUEEZE = 1.025;

/**
 * Half the angle that a wire takes in a layer, rad, around something of a diameter: cut through,
 * a wire that is laid is wider than it is, by its lay.
 */
const halfAngle = (wire: number, inner: number, widest: number): number => {
  const slanted = layFactor(inner + widest, LAY_PITCH * (inner + 2 * widest)) / SQUEEZE;
  return Math.asin(Math.min(1, (wire * Math.max(1, slanted)) / (inner + widest)));
};

/**
 * Wires of some outside diameters m laid in twisted layers: the widest in the middle, then layer by
 * layer, each twisted against the one under it, fillers where a layer is not full. Alike ones come
 * to 1, 6, 12, 18 and so on.
 */
export function concentricLayers(diameters: readonly number[]): LaidBundleLayers {
  const order = diameters.map((_, i) => i);
  order.sort((a, b) => (diameters[b] ?? 0) - (diameters[a] ?? 0) || a - b);
  const widthOf = (wire: number | undefined): number =>
    wire === undefined ? 0 : (diameters[wire] ?? 0);
  if (order.length === 0) return { layers: [], diameter: 0 };
  if (order.length <= GROUP) {
    const outer = packedDiameter(diameters);
    const pitch = order.length === 1 ? 0 : LAY_PITCH * outer;
    const group: Layer = {
      wires: order,
      fillers: 0,
      fillerDiameter: 0,
      inner: 0,
      outer,
      pitch,
      lay: order.length === 1 ? 'straight' : 'right',
      factor: layFactor(outer - widthOf(order[0]), pitch),
    };
    return { layers: [group], diameter: outer };
  }
  const [core = 0] = order;
  const layers: Layer[] = [
    {
      wires: [core],
      fillers: 0,
      fillerDiameter: 0,
      inner: 0,
      outer: widthOf(core),
      pitch: 0,
      lay: 'straight',
      factor: 1,
    },
  ];
  let inner = widthOf(core);
  for (let next = 1; next < order.length;) {
    // They come widest first: the first of a layer says how far out it lies.
    const widest = widthOf(order[next]);
    const wires: number[] = [];
    let angle = 0;
    for (; next < order.length; next++) {
      const half = halfAngle(widthOf(order[next]), inner, widest);
      if (wires.length > 0 && angle + 2 * half > 2 * Math.PI + 1e-9) break;
      wires.push(order[next] ?? 0);
      angle += 2 * half;
    }
    const fillers = Math.floor(
      (2 * Math.PI - angle + 1e-9) / (2 * halfAngle(widest, inner, widest)),
    );
    const outer = inner + 2 * widest;
    const pitch = LAY_PITCH * outer;
    layers.push({
      wires,
      fillers,
      fillerDiameter: fillers > 0 ? widest : 0,
      inner,
      outer,
      pitch,
      lay: layers.length % 2 === 1 ? 'right' : 'left',
      factor: layFactor(inner + widest, pitch),
    });
    inner = outer;
  }
  return { layers, diameter: inner };
}

/** A wire or a filler of a laid bundle, as it is drawn: m from the middle. */
export interface LaidCircle {
  /** undefined: a filler */
  readonly wire: number | undefined;
  readonly diameter: number;
  readonly x: number;
  readonly y: number;
}

/** Where the wires and fillers of a laid bundle lie when it is cut through. */
export function laidCircles(diameters: readonly number[]): readonly LaidCircle[] {
  if (diameters.length <= GROUP) {
    return packedBundle(diameters).centres.map(([x, y], wire): LaidCircle => ({
      wire,
      diameter: diameters[wire] ?? 0,
      x,
      y,
    }));
  }
  const { layers } = concentricLayers(diameters);
  return layers.flatMap((layer): LaidCircle[] => {
    const { wires, fillers, fillerDiameter, inner } = layer;
    const all = [
      ...wires.map((wire) => ({
        wire: wire as number | undefined,
        diameter: diameters[wire] ?? 0,
      })),
      ...Array.from({ length: fillers }, () => ({ wire: undefined, diameter: fillerDiameter })),
    ];
    if (inner === 0 && all.length === 1) return all.map((each) => ({ ...each, x: 0, y: 0 }));
    const widest = Math.max(...all.map(({ diameter }) => diameter));
    const halves = all.map(({ diameter }) => halfAngle(diameter, inner, widest));
    const left = 2 * Math.PI - 2 * halves.reduce((sum, half) => sum + half, 0);
    const gap = Math.max(0, left) / all.length;
    let angle = 0;
    return all.map((each, i): LaidCircle => {
      const half = halves[i] ?? 0;
      const at = angle + half;
      angle += 2 * half + gap;
      const far = (inner + widest) / 2;
      return { ...each, x: far * Math.cos(at), y: far * Math.sin(at) };
    });
  });
}
