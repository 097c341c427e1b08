import type { Assembly, ToldMadeLine } from '@brookrain/core';
import { useBuild } from '../../build/BuildContext.ts';

/** What was decided of how lines are made, by line. */
export function useAssemblies(): (line: ToldMadeLine) => Assembly | undefined {
  const { document: build } = useBuild();
  return ({ assemblyId }) => build.assemblies.find(({ id }) => id === assemblyId);
}
