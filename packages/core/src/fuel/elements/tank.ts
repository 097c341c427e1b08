import type { TankElement } from '../../model/index.ts';
import { GRAVITY } from '../hydraulics/fluid.ts';
import type { ElementKindEntry } from './elementKind.ts';

/** A tank: surface pressure plus the fuel above its outlet. */
export const tank: ElementKindEntry<TankElement> = {
  category: null,
  ports: ['outlet', 'returnNode'],
  ways: [],
  fixedNodes: (element, fluid) => {
    const surface = element.pressure.value;
    const above = fluid.density * GRAVITY * element.fuelLevel.value;
    const outlet = { id: element.outlet, fixedPressure: surface + above };
    return element.returnNode === element.outlet
      ? [outlet]
      : [outlet, { id: element.returnNode, fixedPressure: surface }];
  },
};
