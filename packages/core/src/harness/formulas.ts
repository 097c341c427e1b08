import { legFormulas } from './bought/formulas.ts';
import { bundleFormulas } from './bundles/formulas.ts';
import { passThroughFormulas } from './bundles/passThroughs.ts';
import { connectorFormulas } from './connectors/connectorFigures.ts';
import { besideBore } from './connectors/inlineFigures.ts';
import { lengthFormulas } from './lengths/formulas.ts';

export const harnessFormulas = [
  ...lengthFormulas,
  ...legFormulas,
  ...bundleFormulas,
  ...connectorFormulas,
  besideBore,
  ...passThroughFormulas,
];
