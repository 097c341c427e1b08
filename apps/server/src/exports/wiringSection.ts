import {
  type Catalogue,
  type Evaluation,
  type Measure,
  type UnitSystem,
  expectedReadings,
  firstOf,
  formatMeasure,
  lookUp,
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

/** Every fuse with what it feeds. */
function fuses(sheet: SheetPage, evaluation: Evaluation, nameOf: (pumpId: string) => string): void {
  const first = evaluation.feeds[0];
  if (!first) return;
  const coilFuses = [
    ...new Set(
      evaluation.feeds.flatMap(
        (feed) => firstOf(feed.trigger.wires).task.protection?.designation ?? [],
      ),
    ),
  ];
  sheet.table(
    [
      { title: 'Fuse', width: 130 },
      { title: 'Feeds', width: 315 },
      { title: 'Fitted', width: 70 },
    ],
    [
      [
        first.mainFuse.designation,
        `everything behind the stud: ${evaluation.feeds.map((f) => nameOf(f.feed.elementId)).join(', ')}`,
        '',
      ],
      ...evaluation.feeds.map((feed) => [
        feed.fuse.fuse.designation,
        `${nameOf(feed.feed.elementId)} over its relay`,
        '',
      ]),
      ...coilFuses.map((fuse) => [
        fuse,
        `keyed feed of the relay ${evaluation.feeds.length > 1 ? 'coils' : 'coil'}`,
        '',
      ]),
    ],
  );
}

/** Feeds of the pumps: relays, fuses, what is to be measured, and every wire. */
export function wiringSection(
  sheet: SheetPage,
  evaluation: Evaluation,
  catalogue: Catalogue,
  units: UnitSystem,
): void {
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
    evaluation.feeds.map(({ feed, pumpGroup, coilCurrent }) => [
      nameOf(feed.elementId),
      lookUp(catalogue, 'relay', feed.relay, feed.id).designation,
      `${feed.trigger} by the ECU, ${formatMeasure(m(coilCurrent, 'current'), units)}; inertia switch ${feed.inertiaSwitch ? 'in the coil feed' : 'none'}`,
      `${formatMeasure(m(pumpGroup.drop, 'voltage'), units)} of ${formatMeasure(m(pumpGroup.dropLimit, 'voltage'), units)}`,
      pumpShows(evaluation, feed.elementId, 'hotIdle', units),
      pumpShows(evaluation, feed.elementId, 'peakPower', units),
      '',
    ]),
  );
  fuses(sheet, evaluation, nameOf);
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
