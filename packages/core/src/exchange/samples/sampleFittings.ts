import { entryAt } from '../../numerics/index.ts';
import type { FittingItem } from '../../catalogue/index.ts';
import { dashBores, dashTorque, fitting, mm } from './fittingShorthand.ts';

/** Metric O-ring thread and pipe thread that go with a dash size. */
const threads: Readonly<Record<number, readonly [metric: number, taper: number]>> = {
  4: [10, 2],
  6: [14, 4],
  8: [16, 6],
  10: [18, 8],
  12: [22, 12],
  16: [22, 12],
};

/** From seat to seat of an adapter in a dash size, m. */
const standingOf = (dash: number): number => mm(12 + 1.2 * dash);

/** Bodies with flares on every side, and adapters from a flare to a thread, by dash size. */
const byDash = dashBores.flatMap(([dash, bore]): FittingItem[] => {
  const [metric, taper] = threads[dash] ?? [22, 12];
  const male = `flare-${dash}-male` as const;
  const torque = dashTorque[dash] ?? 0;
  const flares = { firstPort: male, secondPort: male, standing: standingOf(dash), torque };
  const onto = { ...flares, swivels: false };
  return [
    fitting(`BH${dash}`, `Bulkhead −${dash}`, 'bulkhead', [bore, 0.4, 8 + dash], flares),
    fitting(`Y${dash}`, `Y-block −${dash}`, 'Y-block', [bore, 0.9, 18 + dash], flares),
    fitting(`T${dash}`, `T −${dash}`, 'T', [bore, 1.3, 14 + dash], flares),
    fitting(
      `AO${dash}`,
      `Adapter −${dash} to M${metric} O-ring port`,
      'adapter',
      [bore, 0.4, 6 + dash],
      { ...onto, secondPort: `metric-${metric}-male` },
    ),
    fitting(
      `AT${dash}`,
      `Adapter −${dash} to taper thread`,
      'adapter',
      [0.95 * bore, 0.5, 5 + dash],
      { ...onto, secondPort: `taper-${taper}-male` },
    ),
    fitting(
      `AB${dash}`,
      `Adapter −${dash} to −${dash} O-ring port`,
      'adapter',
      [bore, 0.35, 5 + dash],
      { ...onto, secondPort: `boss-${dash}-male` },
    ),
  ];
});

/** Adapters between neighbouring dash sizes, both ways, and into a port of the size above or below. */
const betweenSizes = dashBores.slice(1).flatMap(([dash, bore], i): FittingItem[] => {
  const [below, least] = entryAt(dashBores, i);
  const torque = dashTorque[below] ?? 0;
  // Contraction 0.5 (1 − r) on the smaller bore; widening by Borda and Carnot (1 − r)².
  const share = (least / bore) ** 2;
  const narrowing = Number((0.5 * (1 - share)).toFixed(3));
  const widening = Number(((1 - share) ** 2).toFixed(3));
  const rest = { standing: standingOf(dash), torque, swivels: false };
  return [
    fitting(
      `AD${dash}-${below}`,
      `Adapter −${dash} to −${below}`,
      'adapter',
      [least, narrowing, 7 + dash],
      { ...rest, firstPort: `flare-${dash}-female`, secondPort: `flare-${below}-male` },
    ),
    fitting(
      `AD${below}-${dash}`,
      `Adapter −${below} to −${dash}`,
      'adapter',
      [least, widening, 7 + dash],
      { ...rest, firstPort: `flare-${below}-female`, secondPort: `flare-${dash}-male` },
    ),
    fitting(
      `AB${dash}-${below}`,
      `Adapter −${below} to −${dash} O-ring port`,
      'adapter',
      [least, 0.4, 6 + dash],
      { ...rest, firstPort: `flare-${below}-male`, secondPort: `boss-${dash}-male` },
    ),
    fitting(
      `AB${below}-${dash}`,
      `Adapter −${dash} to −${below} O-ring port`,
      'adapter',
      [least, 0.45, 6 + dash],
      { ...rest, firstPort: `flare-${dash}-male`, secondPort: `boss-${below}-male` },
    ),
  ];
});

const outlet = (id: string, words: string, bore: number, loss: number, price: number, to: string) =>
  fitting(id, words, 'tank outlet', [bore, loss, price], {
    secondPort: to as FittingItem['secondPort'],
    swivels: false,
  });

export const sampleFittings: readonly FittingItem[] = [
  ...byDash,
  ...betweenSizes,
  fitting('AQ6', 'Quick connector 3/8 to −6', 'adapter', [7.2, 0.6, 14], {
    firstPort: 'quick-6-female',
    secondPort: 'flare-6-male',
    standing: mm(34),
  }),
  fitting('AQ5', 'Quick connector 5/16 to −6', 'adapter', [6, 0.6, 13], {
    firstPort: 'quick-5-female',
    secondPort: 'flare-6-male',
    standing: mm(34),
  }),
  ...[6, 8].map((dash, i) =>
    fitting(
      `CK${dash}`,
      `Check valve −${dash}`,
      'check valve',
      [entryAt([7.2, 9.4], i), 2, entryAt([32, 36], i)],
      {
        firstPort: `flare-${dash}-male`,
        secondPort: `flare-${dash}-male`,
        standing: mm(60),
        torque: dashTorque[dash] ?? 0,
      },
    ),
  ),
  outlet('B6', 'Tank bung −6, weld-on', 7.6, 0.8, 9, 'flare-6-male'),
  outlet('B8', 'Tank bung −8, weld-on', 10, 0.8, 10, 'flare-8-male'),
  ...[8, 6].map((dash, i) =>
    fitting(
      `HG${dash}`,
      `In-tank hanger with −${dash} outlet`,
      'in-tank hanger',
      [entryAt([9.4, 7.2], i), 1.2, entryAt([96, 88], i)],
      { firstPort: 'barb-8-male', secondPort: `flare-${dash}-male`, swivels: false },
    ),
  ),
  outlet('B10', 'Tank bung −10, weld-on', 12.5, 0.8, 12, 'flare-10-male'),
  outlet('B12', 'Tank bung −12, weld-on', 15.5, 0.8, 14, 'flare-12-male'),
  outlet('B16', 'Tank bung −16, weld-on', 20.5, 0.8, 17, 'flare-16-male'),
  outlet('OLD8', 'Tank outlet 8 mm, with draw tube', 6.2, 2.4, 0, 'barb-8-male'),
];
