import {
  type CatalogueCategory,
  type CatalogueItem,
  type Measure,
  type PumpItem,
  firstOf,
} from '@brookrain/core';

/** A figure that a list shows although no single field holds it. */
export interface Headline {
  readonly label: string;
  readonly measure: (item: CatalogueItem) => Measure | undefined;
}

const USUAL_VOLTAGE = 13.5;

/** The curve nearest to the usual running voltage. */
const usualCurve = (pump: PumpItem) =>
  firstOf(
    [...pump.curves].sort(
      (a, b) => Math.abs(a.voltage - USUAL_VOLTAGE) - Math.abs(b.voltage - USUAL_VOLTAGE),
    ),
  );

const ofPump =
  (read: (pump: PumpItem) => Measure) =>
  (item: CatalogueItem): Measure | undefined =>
    item.category === 'pump' ? read(item) : undefined;
const most = (values: readonly number[]): number => Math.max(...values);

const pumpHeadlines: readonly Headline[] = [
  {
    label: 'Free flow',
    measure: ofPump((pump) => ({
      value: most(usualCurve(pump).points.map((p) => p.flow)),
      kind: 'volumeFlow',
    })),
  },
  {
    label: 'Dead-head',
    measure: ofPump((pump) => ({
      value: most(usualCurve(pump).points.map((p) => p.pressure)),
      kind: 'pressure',
    })),
  },
  {
    label: 'Current, most',
    measure: ofPump((pump) => ({
      value: most(usualCurve(pump).points.map((p) => p.current)),
      kind: 'current',
    })),
  },
];

/** Headlines of a category, beside its fields. */
export const headlinesOf = (category: CatalogueCategory): readonly Headline[] =>
  category === 'pump' ? pumpHeadlines : [];
