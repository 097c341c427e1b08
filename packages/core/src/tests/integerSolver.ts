import * as highs from 'highs';
import { type ProgramSolver, solverByText } from '../numerics/index.ts';

/** Its types tell of the module as the browser gets it; here the loader is what it gives out. */
const load = highs.default as unknown as typeof highs.default.default;

/** The solver of integer programs. */
export async function integerSolver(): Promise<ProgramSolver> {
  const solver = await load();
  return solverByText((text, options) => solver.solve(text, options));
}
