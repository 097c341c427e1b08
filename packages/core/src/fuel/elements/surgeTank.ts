import type { SurgeTankElement } from '../../model/index.ts';
import { surgeTankBranches } from '../hydraulics/surgeTankBranches.ts';
import type { ElementKindEntry } from './elementKind.ts';

/** A surge tank that is full: what comes in leaves to the pump or runs over. */
export const surgeTank: ElementKindEntry<SurgeTankElement> = {
  category: null,
  ports: ['inlet', 'outlet', 'returnNode', 'overflow'],
  ways: [
    ['inlet', 'outlet'],
    ['returnNode', 'overflow'],
  ],
  branches: (element, { heights, fluid }) =>
    surgeTankBranches(element, heights, fluid).map((way) => ({ ...way, model: () => way.model })),
  state: (element, { pressure, flow }) => ({
    id: element.id,
    massFlow: flow(`${element.id}~lift`),
    inletPressure: pressure(element.inlet),
    outletPressure: pressure(element.outlet),
    pressureDrop: 0,
    overflow: flow(`${element.id}~over`),
  }),
};
