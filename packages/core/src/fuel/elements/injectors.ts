import type { InjectorsElement } from '../../model/index.ts';
import { drawBranch } from '../hydraulics/drawBranch.ts';
import type { ElementKindEntry } from './elementKind.ts';

/** The injectors of a row on a rail: they draw what the engine asks. */
export const injectors: ElementKindEntry<InjectorsElement> = {
  category: null,
  ports: ['node'],
  ways: [],
  branches: ({ id, node }, { conditions }) => {
    const draw = conditions.draws[id] ?? { demand: 0, staticCoefficient: 1 };
    const model = drawBranch({ ...draw, manifoldGauge: conditions.manifoldGauge });
    return [{ id, from: node, to: null, model: () => model }];
  },
  state: ({ id, node }, { conditions, pressure, flow }) => {
    const rail = pressure(node);
    return {
      id,
      massFlow: flow(id),
      inletPressure: rail,
      outletPressure: conditions.manifoldGauge,
      pressureDrop: rail - conditions.manifoldGauge,
    };
  },
};
