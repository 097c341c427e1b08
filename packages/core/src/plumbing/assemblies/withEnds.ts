import type { Assembly, AssemblyEnd, EndUse, FuelCircuit, Path } from '../../model/index.ts';

function usesOf({ item, adapters }: AssemblyEnd, path: Path): EndUse[] {
  return [
    ...(item ? [{ item, path: [...path, 'item'] }] : []),
    ...adapters.map((adapter) => ({
      item: adapter.item,
      path: [...path, 'adapters', adapter.id, 'item'],
    })),
  ];
}

/** The ends and adapters of an assembly, with where the build says so. */
export const endsOfAssembly = (assembly: Assembly): readonly EndUse[] =>
  (['from', 'to'] as const).flatMap((side) =>
    usesOf(assembly[side], ['assemblies', assembly.id, side]),
  );

/** The assembly of a line of a circuit; undefined where nothing was decided of it. */
export const assemblyOf = (
  assemblies: readonly Assembly[],
  circuitId: string,
  elementId: string,
): Assembly | undefined =>
  assemblies.find(
    ({ of }) => of.kind === 'line' && of.circuitId === circuitId && of.elementId === elementId,
  );

/** Circuits whose lines carry the ends and adapters that they are made with. */
export const withEnds = (
  circuits: readonly FuelCircuit[],
  assemblies: readonly Assembly[],
): readonly FuelCircuit[] =>
  assemblies.length === 0
    ? circuits
    : circuits.map((circuit) => ({
        ...circuit,
        elements: circuit.elements.map((element) => {
          if (element.kind !== 'line') return element;
          const assembly = assemblyOf(assemblies, circuit.id, element.id);
          return assembly ? { ...element, ends: endsOfAssembly(assembly) } : element;
        }),
      }));
