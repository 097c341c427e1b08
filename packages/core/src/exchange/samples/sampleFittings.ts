import { entryAt } from '../../numerics/index.ts';
import type { FittingForm, FittingItem, SmallPartItem } from '../../catalogue/index.ts';

const fitting = (
  id: string,
  designation: string,
  form: FittingForm,
  boreMm: number,
  lossCoefficient: number,
  price: number,
): FittingItem => ({
  category: 'fitting',
  id,
  revision: 1,
  designation,
  // Hangers are listed with the other outlets of a tank.
  family: form === 'in-tank hanger' ? 'tank outlet' : form,
  mass: 0.03,
  price,
  interchange: form === 'in-tank hanger' ? 'tank outlet' : form,
  form,
  bore: boreMm / 1e3,
  lossCoefficient,
  pressureRating: 3e6,
});

/** Bore mm of fittings in a dash size: less than the hose they sit on. */
const dashBores: readonly (readonly [dash: number, mm: number])[] = [
  [4, 4.4],
  [6, 7.2],
  [8, 9.4],
  [10, 12],
  [12, 15],
  [16, 20],
];

export const sampleFittings: readonly FittingItem[] = [
  ...dashBores.flatMap(([dash, bore]) => [
    fitting(`E${dash}-0`, `Hose end −${dash} straight`, 'hose end', bore, 0.5, 6 + dash),
    fitting(`E${dash}-45`, `Hose end −${dash} 45°`, 'hose end', bore, 0.6, 9 + dash),
    fitting(`E${dash}-90`, `Hose end −${dash} 90°`, 'hose end', bore, 0.9, 10 + dash),
  ]),
  ...dashBores.flatMap(([dash, bore]) => [
    fitting(`E${dash}-30`, `Hose end −${dash} 30°`, 'hose end', bore, 0.55, 9 + dash),
    fitting(`E${dash}-60`, `Hose end −${dash} 60°`, 'hose end', bore, 0.7, 10 + dash),
    fitting(`E${dash}-120`, `Hose end −${dash} 120°`, 'hose end', bore, 1.1, 12 + dash),
    fitting(`E${dash}-150`, `Hose end −${dash} 150°`, 'hose end', bore, 1.3, 13 + dash),
    fitting(`E${dash}-180`, `Hose end −${dash} 180°`, 'hose end', bore, 1.5, 14 + dash),
    fitting(`BH${dash}`, `Bulkhead −${dash}`, 'bulkhead', bore, 0.4, 8 + dash),
    fitting(`Y${dash}`, `Y-block −${dash}`, 'Y-block', bore, 0.9, 18 + dash),
    fitting(`T${dash}`, `T −${dash}`, 'T', bore, 1.3, 14 + dash),
    fitting(`AO${dash}`, `Adapter −${dash} to metric O-ring port`, 'adapter', bore, 0.4, 6 + dash),
    fitting(`AT${dash}`, `Adapter −${dash} to taper thread`, 'adapter', 0.95 * bore, 0.5, 5 + dash),
  ]),
  ...dashBores.slice(1).map(([dash, bore], i) => {
    const [below, least] = entryAt(dashBores, i);
    return fitting(
      `AD${dash}-${below}`,
      `Adapter −${dash} to −${below}`,
      'adapter',
      least,
      // Contraction 0.5 (1 − r) on the smaller bore.
      Number((0.5 * (1 - (least / bore) ** 2)).toFixed(3)),
      7 + dash,
    );
  }),
  ...[6, 8, 10, 12].map((mm) =>
    fitting(`BB${mm}`, `Barb for ${mm} mm hose`, 'barb', mm - 2.2, 0.6, 2 + mm / 4),
  ),
  ...[5, 6, 8].map((dash) =>
    fitting(
      `FL${dash}`,
      `Flare nut and sleeve, ${dash}/16 in tube`,
      'flare',
      dash * 1.32,
      0.3,
      4 + dash / 2,
    ),
  ),
  ...[8, 10, 12].map((mm) =>
    fitting(`FR${mm}`, `Ferrule fitting, ${mm} mm tube`, 'ferrule', mm - 2, 0.3, 6 + mm / 2),
  ),
  fitting('CK6', 'Check valve −6', 'check valve', 7.2, 2, 32),
  fitting('CK8', 'Check valve −8', 'check valve', 9.4, 2, 36),
  fitting('B6', 'Tank bung −6, weld-on', 'tank outlet', 7.6, 0.8, 9),
  fitting('B8', 'Tank bung −8, weld-on', 'tank outlet', 10, 0.8, 10),
  fitting('HG8', 'In-tank hanger with −8 outlet', 'in-tank hanger', 9.4, 1.2, 96),
  fitting('HG6', 'In-tank hanger with −6 outlet', 'in-tank hanger', 7.2, 1.2, 88),
  fitting('B10', 'Tank bung −10, weld-on', 'tank outlet', 12.5, 0.8, 12),
  fitting('B12', 'Tank bung −12, weld-on', 'tank outlet', 15.5, 0.8, 14),
  fitting('OLD8', 'Tank outlet 8 mm, with draw tube', 'tank outlet', 6.2, 2.4, 0),
];

const smallPart = (
  id: string,
  designation: string,
  family: string,
  mm: readonly [least: number, most: number],
  price: number,
): SmallPartItem => ({
  category: 'small-part',
  id,
  revision: 1,
  designation,
  family,
  mass: 0.01,
  price,
  interchange: family,
  diameterMin: mm[0] / 1e3,
  diameterMax: mm[1] / 1e3,
});

export const sampleSmallParts: readonly SmallPartItem[] = [
  smallPart('EC12', 'Ear clamp 10 to 12 mm', 'ear clamp', [10, 12], 0.7),
  smallPart('EC15', 'Ear clamp 12.5 to 15 mm', 'ear clamp', [12.5, 15], 0.8),
  smallPart('EC18', 'Ear clamp 15.3 to 18 mm', 'ear clamp', [15.3, 18], 0.9),
  smallPart('EC21', 'Ear clamp 18 to 21 mm', 'ear clamp', [18, 21], 1),
  smallPart('PC12', 'Lined P-clamp 12 mm', 'P-clamp', [11, 12.5], 1.4),
  smallPart('PC16', 'Lined P-clamp 16 mm', 'P-clamp', [15, 16.5], 1.6),
  smallPart('PC20', 'Lined P-clamp 20 mm', 'P-clamp', [19, 20.5], 1.8),
  smallPart('OR14', 'Injector O-ring 14 mm', 'seal', [14, 14], 0.8),
];
