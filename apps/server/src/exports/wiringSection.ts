import {
  type Evaluation,
  type Measure,
  type UnitSystem,
  expectedReadings,
  formatMeasure,
  wireList,
} from '@brookrain/core';
import type { SheetPage } from './sheetPage.ts';

const m = (value: number, kind: Measure['kind']): Measure => ({ value, kind });

/** Volts and amps that a pump should show in a case, as far as it is solved. */
function pumpShows(
  evaluation: Evaluation,
  pumpId: string,
  caseName: 'hotIdle' | 'peakPower',
  units: UnitSystem,
): string {
  for (const fluid of evaluation.fluids) {
    const reading = expectedReadings(fluid).find((r) => r.name === caseName);
    const pump = reading?.pumps?.find((p) => p.pumpId === pumpId);
    if (pump) {
      return `${formatMeasure(m(pump.voltage, 'voltage'), units)}, ${formatMeasure(m(pump.current, 'current'), units)}`;
    }
  }
  return '';
}

/** Every fuse of the vehicle. */
function fuses(sheet: SheetPage, { electrics }: Evaluation, units: UnitSystem): void {
  sheet.table(
    [
      { title: 'Fuse', width: 130 },
      { title: 'For', width: 245 },
      { title: 'Carries', width: 70, align: 'right' },
      { title: 'Fitted', width: 70 },
    ],
    electrics.fuses.map(({ name, judged, load }) => [
      judged.fuse.designation,
      name,
      formatMeasure(m(load.running, 'current'), units),
      '',
    ]),
  );
}

/** Feeds of the pumps: relays, fuses, what is to be measured, and every wire. */
export function wiringSection(sheet: SheetPage, evaluation: Evaluation, units: UnitSystem): void {
  const names = new Map(
    evaluation.fluids.flatMap(({ design }) => design.circuit.elements.map((e) => [e.id, e.name])),
  );
  const nameOf = (pumpId: string): string => names.get(pumpId) ?? pumpId;
  sheet.heading('Pump wiring');
  sheet.table(
    [
      { title: 'Pump', width: 80 },
      { title: 'Relay', width: 70 },
      { title: 'Coil', width: 110 },
      { title: 'Drop', width: 60, align: 'right' },
      { title: 'At hot idle', width: 68 },
      { title: 'At peak', width: 67 },
      { title: 'V, A read', width: 60 },
    ],
    evaluation.feeds.map(({ feed, relay, pumpGroup, coilCurrent }) => [
      nameOf(feed.elementId),
      relay?.designation ?? 'none',
      `${feed.trigger ?? 'not'} by the ECU, ${formatMeasure(m(coilCurrent, 'current'), units)}; inertia switch ${feed.cutOffId === undefined ? 'none' : 'in the coil feed'}`,
      `${formatMeasure(m(pumpGroup.drop, 'voltage'), units)} of ${formatMeasure(m(pumpGroup.dropLimit, 'voltage'), units)}`,
      pumpShows(evaluation, feed.elementId, 'hotIdle', units),
      pumpShows(evaluation, feed.elementId, 'peakPower', units),
      '',
    ]),
  );
  fuses(sheet, evaluation, units);
  sheet.table(
    [
      { title: 'Wire', width: 125 },
      { title: 'From', width: 90 },
      { title: 'To', width: 90 },
      { title: 'Size', width: 50, align: 'right' },
      { title: 'Length', width: 95, align: 'right' },
      { title: 'Checked', width: 65 },
    ],
    wireList(evaluation).map((line) => [
      line.name,
      line.from,
      line.to,
      line.size,
      `${formatMeasure(m(line.length, 'length'), units)}, ${line.lengthIsFrom === 'map' ? 'estimate' : line.lengthIsFrom}`,
      '',
    ]),
  );
}
