import type { Build, ReferenceProblem } from '../../model/index.ts';

/** What of the ways on the map does not hold together. Empty when all does. */
export function routeProblems({ routes, fuelCircuits }: Build): ReferenceProblem[] {
  const led = new Set<string>();
  return routes.flatMap(({ id, circuitId, elementId }): ReferenceProblem[] => {
    const path = ['routes', id, 'elementId'];
    const element = fuelCircuits
      .find((circuit) => circuit.id === circuitId)
      ?.elements.find((e) => e.id === elementId);
    // What is not there at all is told where references are followed.
    if (!element) return [];
    if (element.kind !== 'line') {
      return [{ path, message: `"${elementId}" is no line: only lines are led over the map` }];
    }
    if (led.has(elementId)) return [{ path, message: `"${elementId}" has two ways` }];
    led.add(elementId);
    return [];
  });
}
