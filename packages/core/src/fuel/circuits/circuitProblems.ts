import type { Build, CircuitElement, FuelCircuit, ReferenceProblem } from '../../model/index.ts';
import { pumpsOf, railsOf, tankOf } from './circuitRun.ts';

const keepsPressure = (element: CircuitElement): boolean =>
  element.kind === 'regulator' ||
  element.kind === 'filter-regulator' ||
  element.kind === 'dead-head-regulator' ||
  (element.kind === 'pump' && element.control?.kind === 'pressure');

/** What a circuit must have to be one, and does not. */
function lackingIn(circuit: FuelCircuit): string[] {
  const needs = [
    ['a tank', tankOf(circuit) !== undefined],
    ['a pump', pumpsOf(circuit).length > 0],
    ['a regulator, or a pump that is driven by pressure', circuit.elements.some(keepsPressure)],
    ['injectors', railsOf(circuit).length > 0],
  ] as const;
  return needs.filter(([, there]) => !there).map(([what]) => `a circuit needs ${what}`);
}

/** What of the fuel circuits, rows and feeds does not hold together. Empty when all does. */
export function circuitProblems(document: Build): ReferenceProblem[] {
  const problems: ReferenceProblem[] = [];
  const seen = new Set<string>();
  for (const circuit of document.fuelCircuits) {
    const at = ['fuelCircuits', circuit.id, 'elements'];
    for (const message of lackingIn(circuit)) problems.push({ path: at, message });
    if (circuit.elements.filter((e) => e.kind === 'tank').length > 1) {
      problems.push({ path: at, message: 'a circuit has one tank' });
    }
    for (const element of circuit.elements) {
      const here = [...at, element.id];
      // Findings and figures name an element by its id alone.
      if (seen.has(element.id)) {
        problems.push({ path: here, message: `"${element.id}" is used twice` });
      }
      seen.add(element.id);
      if ('from' in element && element.from === element.to) {
        problems.push({
          path: [...here, 'to'],
          message: 'an element cannot end where it starts',
        });
      }
      if (element.kind === 'filter-regulator' && element.returnNode === element.to) {
        problems.push({
          path: [...here, 'returnNode'],
          message: 'the way back cannot be the way forward',
        });
      }
    }
  }
  const [first] = document.injectorRows;
  if (first && document.injectorRows.every((row) => row.staging !== null)) {
    problems.push({
      path: ['injectorRows', first.id, 'staging'],
      message: 'one row must work always',
    });
  }
  const wired = new Set<string>();
  for (const { id, part } of document.devices) {
    if (part.kind !== 'pump') continue;
    const { circuitId, elementId } = part;
    const path = ['devices', id, 'part', 'elementId'];
    const element = document.fuelCircuits
      .find((circuit) => circuit.id === circuitId)
      ?.elements.find((e) => e.id === elementId);
    if (!element) continue;
    if (element.kind !== 'pump') {
      problems.push({ path, message: `there is no pump "${elementId}" in that circuit` });
    } else if (wired.has(elementId)) {
      problems.push({ path, message: `"${elementId}" is a device already` });
    }
    wired.add(elementId);
  }
  return problems;
}
