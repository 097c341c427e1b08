import type { Build, ReferenceProblem } from '../../model/index.ts';

/** What of the ways on the map does not hold together. Empty when all does. */
export function routeProblems({ routes, fuelCircuits, otherLines }: Build): ReferenceProblem[] {
  const led = new Set<string>();
  const lines = new Set<string>();
  for (const circuit of fuelCircuits) {
    for (const element of circuit.elements) if (element.kind === 'line') lines.add(element.id);
  }
  const shared = otherLines.flatMap(({ id }): ReferenceProblem[] =>
    lines.has(id)
      ? [{ path: ['otherLines', id], message: `a fuel line is called "${id}" already` }]
      : [],
  );
  const ways = routes.flatMap(({ id, of }): ReferenceProblem[] => {
    const field = of.kind === 'line' ? 'elementId' : 'otherLineId';
    const path = ['routes', id, 'of', field];
    const lineId = of.kind === 'line' ? of.elementId : of.otherLineId;
    if (of.kind === 'line') {
      const element = fuelCircuits
        .find((circuit) => circuit.id === of.circuitId)
        ?.elements.find((e) => e.id === lineId);
      // What is not there at all is told where references are followed.
      if (!element) return [];
      if (element.kind !== 'line') {
        return [{ path, message: `"${lineId}" is not a line: only lines are routed on the map` }];
      }
    }
    if (led.has(lineId)) return [{ path, message: `"${lineId}" has two ways` }];
    led.add(lineId);
    return [];
  });
  return [...shared, ...ways];
}
