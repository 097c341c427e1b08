import { lookUp } from '../../catalogue/index.ts';
import { elementPath, pumpDuties } from '../circuits/circuitRun.ts';
import type { BuildFinding } from '../../model/index.ts';
import type { FuelRule } from '../checked.ts';
import { atPump } from './onCircuits.ts';
import { pumpCures } from './pumpCures.ts';

export const pumpMargin: FuelRule = {
  id: 'pump.margin',
  partsDecide: true,
  source: 'pump margin at the worst point: below 0 a stop, 20 % wanted, above 100 % a note',
  check: (checked) =>
    checked.fluids.flatMap((fluid): BuildFinding[] => {
      const flow = fluid.peak;
      const wish = checked.document.limits.pumpMargin.value;
      if (!flow || (flow.margin >= wish && flow.margin <= 1)) return [];
      const short = flow.margin < wish;
      const element = pumpDuties(fluid.design.circuit).main[0];
      const nothing = flow.available === 0;
      return [
        {
          id: `pump.margin:${fluid.design.circuit.id}`,
          rule: 'pump.margin',
          severity: flow.margin < 0 ? 'stop' : short ? 'warn' : 'note',
          where: atPump(fluid, element?.id ?? ''),
          title: nothing
            ? 'No flow at peak'
            : short
              ? 'Pump has too little margin'
              : 'Pump is larger than needed',
          because: nothing
            ? 'at peak the pump does not reach rail pressure, so nothing flows; the engine needs {needed}'
            : short
              ? 'at peak it delivers {available} at rail pressure, the engine needs {needed}: margin {margin}, wanted {wish}'
              : 'margin {margin} at peak: the surplus heats the fuel and loads the return',
          numbers: {
            available: { value: flow.available, kind: 'volumeFlow' },
            needed: { value: flow.needed, kind: 'volumeFlow' },
            margin: { value: flow.margin, kind: 'ratio' },
            wish: { value: wish, kind: 'ratio' },
          },
          measured: { value: flow.margin, kind: 'ratio' },
          limit: { value: short ? wish : 1, kind: 'ratio' },
          rung: 'pump-flow',
          cures: () =>
            short ? pumpCures(checked, fluid) : [{ text: 'Fit a smaller pump or a speed control' }],
        },
      ];
    }),
};

export const pumpMounting: FuelRule = {
  id: 'pump.mounting',
  source: 'in-tank pumps need immersion, external ones gravity feed',
  check: (checked) =>
    checked.fluids.flatMap((fluid) =>
      fluid.design.circuit.elements.flatMap((element): BuildFinding[] => {
        if (element.kind !== 'pump') return [];
        const item = lookUp(checked.catalogue, 'pump', element.item, element.id);
        if (item.mounting === element.mounting) return [];
        return [
          {
            id: `pump.mounting:${element.id}`,
            rule: 'pump.mounting',
            severity: 'stop',
            where: atPump(fluid, element.id),
            title: 'Pump is not made for this mounting',
            because: `${item.designation} is an ${item.mounting} pump and is planned ${element.mounting}`,
            numbers: {},
            cures: () => [
              {
                text: `Plan it ${item.mounting}`,
                command: {
                  name: 'set',
                  path: elementPath(fluid.design.circuit, element, 'mounting'),
                  value: item.mounting,
                },
              },
            ],
          },
        ];
      }),
    ),
};

export const outsideData: FuelRule = {
  id: 'pump.outside-data',
  source: 'curves are never extended silently',
  check: (checked) =>
    checked.fluids.flatMap((fluid) =>
      Object.values(fluid.cases).flatMap(({ point, solution }): BuildFinding[] => {
        if (solution.state === 'failed') return [];
        return (
          Object.values(solution.pumps)
            // a pump that stands still has no point on its curve
            .filter((pump) => pump.outsideData && pump.voltage > 0)
            .map((pump) => ({
              id: `pump.outside-data:${pump.elementId}/${point.name}`,
              rule: 'pump.outside-data',
              severity: 'note' as const,
              where: atPump(fluid, pump.elementId),
              title: `${point.label}: pump runs outside its data sheet`,
              because: 'at {flow} and {voltage} there is no data; the figures are extrapolated',
              numbers: {
                flow: { value: pump.flow, kind: 'volumeFlow' as const },
                voltage: { value: pump.voltage, kind: 'voltage' as const },
              },
              cures: () => [{ text: 'Add data-sheet points for this voltage and flow' }],
            }))
        );
      }),
    ),
};
