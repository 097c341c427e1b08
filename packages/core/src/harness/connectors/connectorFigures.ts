import { type Result, byDefault, defineFormula, derive } from '../../results/index.ts';
import { harnessFigure } from '../figureNames.ts';
import type { HarnessConnector } from './connectorsOf.ts';

export const connectorWays = defineFormula({
  name: 'ways of a connector',
  notation: 'cavities that it has',
  kind: 'count',
  inputKinds: { cavities: 'count' },
  source: 'catalogue: pins of the part that it plugs into',
  compute: (i) => i.cavities,
});

export const connectorUsed = defineFormula({
  name: 'ways of a connector that are used',
  notation: 'cavities in which a wire ends',
  kind: 'count',
  inputKinds: { used: 'count' },
  source: 'netlist; the others get plugs where the connector is sealed',
  compute: (i) => i.used,
});

export const connectorFormulas = [connectorWays, connectorUsed];

/** Ways and used ways of every connector. */
export const connectorFigures = (connectors: readonly HarnessConnector[]): Result[] =>
  connectors.flatMap(({ id, name, cavities, used }) => [
    derive({
      figure: harnessFigure('connector.ways', { connector: id }),
      label: `${name}, ways`,
      formula: connectorWays,
      inputs: { cavities: byDefault(cavities.length, 'pins of its part') },
    }),
    derive({
      figure: harnessFigure('connector.used', { connector: id }),
      label: `${name}, ways used`,
      formula: connectorUsed,
      inputs: { used: byDefault(used.length, 'pins at which a wire ends') },
    }),
  ]);
