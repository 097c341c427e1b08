import { defineFormula } from '../../results/index.ts';
import { heatGivenOff, resistanceAt } from '../../electrics/index.ts';
import { findRoot, sum } from '../../numerics/index.ts';
import { concentricLayers } from './concentricLayers.ts';
import { packedDiameter } from './packedBundle.ts';

const product = (a: readonly number[], b: readonly number[]): number =>
  a.reduce((total, each, i) => total + each * (b[i] ?? 0), 0);

export const bundleDiameter = defineFormula({
  name: 'diameter of a bundle',
  notation: 'D = least circle around all wires, found by packing',
  kind: 'length',
  inputKinds: { wires: 'length' },
  source:
    'circles packed without overlap; 1.2 · √Σd² is only a quick check for four wires and more',
  compute: (i: { wires: readonly number[] }) => packedDiameter(i.wires),
});

export const layeredDiameter = defineFormula({
  name: 'diameter of a bundle in layers',
  notation: 'D = d core + 2 · Σ d layer',
  kind: 'length',
  inputKinds: { wires: 'length' },
  source:
    'twisted in layers around the widest, fillers where a layer is not full: 1, 6, 12, 18 of alike ones',
  compute: (i: { wires: readonly number[] }) => concentricLayers(i.wires).diameter,
});

export const coveredDiameter = defineFormula({
  name: 'outside diameter of a covered bundle',
  notation: 'D = d + 2 · t',
  kind: 'length',
  inputKinds: { bundle: 'length', walls: 'length' },
  source: 'bundle with its cover',
  compute: (i: { bundle: number; walls: readonly number[] }) => i.bundle + 2 * sum(i.walls),
});

export const leastBundleBend = defineFormula({
  name: 'least bend of a bundle',
  notation: 'r = n · D',
  kind: 'length',
  inputKinds: { diameter: 'length', times: 'ratio' },
  source: 'six outside diameters where it lies still, ten where it moves',
  compute: (i) => i.times * i.diameter,
});

export const wireCount = defineFormula({
  name: 'wires in a segment',
  notation: 'n',
  kind: 'count',
  inputKinds: { wires: 'length' },
  source: 'every wire whose way runs through it',
  compute: (i: { wires: readonly number[] }) => i.wires.length,
});

export const coverSize = defineFormula({
  name: 'size of a sleeve',
  notation: 'smallest that takes the bundle',
  kind: 'length',
  inputKinds: { nominal: 'length' },
  source: 'catalogue: grips the bundle and takes it',
  compute: (i) => i.nominal,
});

/** W/m·K across a bundle of wires: copper, insulation and the air between them. */
const ACROSS = 0.25;

export const bundleTemperature = defineFormula({
  name: 'hottest inside a bundle',
  notation: 'T = T skin + P / (4π · 0.25 W/m·K); P(T) = Σ I² · R′(T) leaves the skin',
  kind: 'temperature',
  inputKinds: {
    diameter: 'length',
    ambient: 'temperature',
    currents: 'current',
    perMetre: 'resistancePerLength',
  },
  source:
    'everything on at once; skin by natural convection (Churchill and Chu 1975) and radiation; a round body warmed evenly inside',
  compute: (i: {
    diameter: number;
    ambient: number;
    currents: readonly number[];
    perMetre: readonly number[];
  }) => {
    const at20 = i.currents.reduce((all, amps, k) => all + amps ** 2 * (i.perMetre[k] ?? 0), 0);
    if (at20 === 0 || i.diameter === 0) return i.ambient;
    const skin = (inside: number): number =>
      inside - resistanceAt(at20, inside) / (4 * Math.PI * ACROSS);
    const short = (inside: number): number =>
      heatGivenOff(i.diameter, skin(inside), i.ambient) - resistanceAt(at20, inside);
    const most = i.ambient + 2000;
    return short(most) < 0 ? most : findRoot({ low: i.ambient, high: most, of: short });
  },
});

/** Ties of a laced bundle are no further apart, m. */
export const LACED_EVERY = 0.06;

export const tiesOfLacing = defineFormula({
  name: 'ties of a laced bundle',
  notation: 'n = ⌈l / 60 mm⌉ + 1',
  kind: 'count',
  inputKinds: { length: 'length' },
  source: 'bundles without a cover are tied every 60 mm, and at both ends',
  compute: (i) => Math.ceil(i.length / LACED_EVERY - 1e-9) + 1,
});

export const spliceSegment = defineFormula({
  name: 'segment of a splice',
  notation: 'its place in the list of segments',
  kind: 'count',
  inputKinds: { number: 'count' },
  source: 'where the splice was put',
  compute: (i) => i.number,
});

export const totalLength = defineFormula({
  name: 'wire in the harness',
  notation: 'Σ L',
  kind: 'length',
  inputKinds: { wires: 'length' },
  source: 'every wire as it is cut',
  compute: (i: { wires: readonly number[] }) => sum(i.wires),
});

export const lowerBoundRatio = defineFormula({
  name: 'way of the wires over the lower bound',
  notation: 'Σ way / Σ straight from end to end',
  kind: 'ratio',
  inputKinds: { ways: 'length', straight: 'length' },
  source: 'no harness can be shorter than its wires drawn straight',
  compute: (i: { ways: readonly number[]; straight: readonly number[] }) =>
    sum(i.straight) > 0 ? sum(i.ways) / sum(i.straight) : 1,
});

export const harnessMass = defineFormula({
  name: 'mass of the harness',
  notation: 'Σ L · m wire + Σ l · m cover + Σ n · m end + contacts of looms · 1 g',
  kind: 'mass',
  inputKinds: {
    wires: 'length',
    perMetre: 'mass',
    covered: 'length',
    coverPerMetre: 'mass',
    ends: 'count',
    eachEnd: 'mass',
    ofLooms: 'count',
  },
  source:
    'catalogue; ends are housings, contacts, seals, lugs, splices and boots as on the parts list; a contact of a bought loom with its share of the plug 1 g',
  compute: (i: {
    wires: readonly number[];
    perMetre: readonly number[];
    covered: readonly number[];
    coverPerMetre: readonly number[];
    ends: readonly number[];
    eachEnd: readonly number[];
    ofLooms: number;
  }) =>
    product(i.wires, i.perMetre) +
    product(i.covered, i.coverPerMetre) +
    product(i.ends, i.eachEnd) +
    i.ofLooms * 1e-3,
});

export const harnessCost = defineFormula({
  name: 'price of the harness',
  notation: 'Σ L · p wire + Σ l · p cover + Σ n · p end + Σ p loom',
  kind: 'count',
  inputKinds: {
    wires: 'length',
    perMetre: 'count',
    covered: 'length',
    coverPerMetre: 'count',
    ends: 'count',
    eachEnd: 'count',
    looms: 'count',
  },
  source:
    'catalogue, materials without what is bought over; looms that are bought at what was paid',
  compute: (i: {
    wires: readonly number[];
    perMetre: readonly number[];
    covered: readonly number[];
    coverPerMetre: readonly number[];
    ends: readonly number[];
    eachEnd: readonly number[];
    looms: readonly number[];
  }) =>
    product(i.wires, i.perMetre) +
    product(i.covered, i.coverPerMetre) +
    product(i.ends, i.eachEnd) +
    sum(i.looms),
});

export const harnessHours = defineFormula({
  name: 'hours to build the harness',
  notation:
    't = wires · 4 min + contacts · 1.5 min + splices · 8 min + Σ l · t cover + legs · 6 min + legs changed · 20 min',
  kind: 'workTime',
  inputKinds: {
    wires: 'count',
    contacts: 'count',
    splices: 'count',
    covered: 'length',
    perMetre: 'workTime',
    legs: 'count',
    changed: 'count',
  },
  source:
    'cutting, labelling, crimping, laying; covering by its kind; legs of looms are laid and tied',
  compute: (i: {
    wires: number;
    contacts: number;
    splices: number;
    covered: readonly number[];
    perMetre: readonly number[];
    legs: number;
    changed: number;
  }) =>
    i.wires * 240 +
    i.contacts * 90 +
    i.splices * 480 +
    product(i.covered, i.perMetre) +
    i.legs * 360 +
    i.changed * 1200,
});

export const bundleFormulas = [
  bundleDiameter,
  layeredDiameter,
  coveredDiameter,
  leastBundleBend,
  wireCount,
  coverSize,
  bundleTemperature,
  tiesOfLacing,
  spliceSegment,
  totalLength,
  lowerBoundRatio,
  harnessMass,
  harnessCost,
  harnessHours,
];
