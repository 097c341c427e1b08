import { expect, test } from 'vitest';
import { makingSheet } from '../commissioning/index.ts';
import { systemSheets } from '../electrics/index.ts';
import { demoBuilds, sampleCatalogue } from '../exchange/index.ts';
import { evaluated } from '../tests/evaluated.ts';
import { drawnVehicle } from './drawnVehicle.ts';

test.each(demoBuilds.map(({ document }) => [document.name, document] as const))(
  'the schematic of %s tells each wire by the number, size and colour that its label has',
  (_name, document) => {
    const evaluation = evaluated(document);
    const made = new Map(
      makingSheet({ ...evaluation, catalogue: sampleCatalogue }).wires.map((wire) => [
        wire.id,
        wire,
      ]),
    );
    const drawn = systemSheets(drawnVehicle(evaluation)).flatMap(({ wires }) => wires);
    expect(drawn).toHaveLength(made.size);
    for (const { id, label } of drawn) {
      const { number, size, colour } = made.get(id)!;
      expect(label).toEqual([String(number), `${size} ${colour}`.trimEnd()]);
    }
  },
);
