import type { BuildFinding } from '../../model/index.ts';
import type { FuelRule } from '../checked.ts';
import { where } from './onCircuits.ts';

export const unsolved: FuelRule = {
  id: 'circuit.unsolved',
  source: 'a solve that does not converge returns no numbers',
  check: (checked) =>
    checked.fluids.flatMap((fluid) =>
      Object.values(fluid.cases).flatMap(({ point, solution }): BuildFinding[] =>
        solution.state === 'failed'
          ? [
              {
                id: `circuit.unsolved:${fluid.design.circuit.id}/${point.name}`,
                rule: 'circuit.unsolved',
                severity: 'stop',
                where: where(fluid, solution.where),
                title: `${point.label}: the circuit could not be solved`,
                because: solution.reason,
                numbers: {},
                cures: () => [
                  {
                    text: 'Check how the elements are connected, and the data of the named element',
                  },
                ],
              },
            ]
          : [],
      ),
    ),
};
