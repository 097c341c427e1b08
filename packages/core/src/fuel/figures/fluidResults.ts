import type { Result } from '../../results/index.ts';
import type { NamedDesign } from '../running/design.ts';
import type { FluidResult } from '../running/fluidStage.ts';
import type { FigureContext } from './figureContext.ts';
import { circuitScope } from '../figureNames.ts';
import { elementResults } from './elementResults.ts';
import { pumpResults } from './pumpResults.ts';
import { rowResults } from './rowResults.ts';
import { edgeResults } from './edgeResults.ts';
import { type CaseNumbering, caseResults } from './caseResults.ts';
import { storageResults } from './storageResults.ts';
import { gaugeResults } from './gaugeResults.ts';

/** Every figure of one solved circuit, with its working. */
export function fluidResults(
  design: NamedDesign,
  result: FluidResult,
  circuitIndex: number,
  numbering: CaseNumbering,
): Result[] {
  const circuit = result.design;
  const context: FigureContext = {
    design,
    circuit,
    scope: circuitScope(circuitIndex, circuit.circuit.id),
  };
  const peak = result.cases.peakPower.solution;
  const cases = caseResults(context, result, numbering);
  if (peak.state === 'failed') return [...gaugeResults(context, result), ...cases];
  const single = design.document.injectorRows.length === 1;
  return [
    ...elementResults(context, peak),
    ...pumpResults(context, result, peak),
    ...circuit.rows.flatMap((row) => rowResults(context, result, row, single)),
    ...edgeResults(context, result, peak),
    ...gaugeResults(context, result),
    ...storageResults(context, result),
    ...cases,
  ];
}
