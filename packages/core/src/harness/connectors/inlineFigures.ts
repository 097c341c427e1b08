import type { SizedWire } from '../../electrics/index.ts';
import { type Result, defineFormula, derive, fromItem, together } from '../../results/index.ts';
import { packedDiameter } from '../bundles/packedBundle.ts';
import { GROMMET } from '../bundles/grommet.ts';
import { harnessFigure } from '../figureNames.ts';
import type { InlineLoad } from './inlineLoads.ts';

export const besideBore = defineFormula({
  name: 'bore beside a bulkhead connector',
  notation: 'd = thick wires packed + 2 · 4 mm; 0 where none passes',
  kind: 'length',
  inputKinds: { wires: 'length' },
  source: 'wires too thick for the contacts pass beside the connector in a grommet of their own',
  compute: (i: { wires: readonly number[] }) =>
    i.wires.length === 0 ? 0 : packedDiameter(i.wires) + 2 * GROMMET,
});

/** The bore that each connector of the harness needs beside it. */
export const inlineFigures = (
  inline: readonly InlineLoad[],
  sized: ReadonlyMap<string, SizedWire>,
): Result[] =>
  inline.map(({ part, beside }) =>
    derive({
      figure: harnessFigure('connector.beside', { connector: part.id }),
      label: `${part.name}, bore beside it for thick wires`,
      formula: besideBore,
      inputs: {
        wires: together(
          beside.flatMap(({ wire }) => {
            const size = sized.get(wire.id)?.size;
            return size ? [fromItem(size.outsideDiameter, size)] : [];
          }),
        ),
      },
    }),
  );
