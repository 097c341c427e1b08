import { lookUp } from '../../catalogue/index.ts';
import { type SolvedCircuit, stateOf } from '../hydraulics/solveCircuit.ts';
import type { LineElement, BuildFinding } from '../../model/index.ts';
import type { FuelRule } from '../checked.ts';
import type { FluidResult, SolvedCase } from '../running/fluidStage.ts';
import { coolerPumpCure } from './coolerPumpCure.ts';
import { fuelInWords, hotCases } from './hotFuel.ts';
import { onSolved, where } from './onCircuits.ts';
import { lowerPumpCure } from './lowerPumpCure.ts';
import { largerHoseCure } from './swapCure.ts';

const SUCTION_VELOCITY = 1;
const SUCTION_VELOCITY_HOT_PETROL = 0.6;
const HOT_FUEL = 273.15 + 50;

/** The hot case in which something at a pump is least. */
function worstOf(
  fluid: FluidResult,
  head: (solution: SolvedCircuit) => number,
): { head: number; at: SolvedCase; solution: SolvedCircuit } | undefined {
  const all = hotCases.flatMap((name) => {
    const at = fluid.cases[name];
    const { solution } = at;
    return solution.state === 'converged' ? [{ at, solution, head: head(solution) }] : [];
  });
  return all.sort((a, b) => a.head - b.head)[0];
}

export const suctionHead: FuelRule = {
  id: 'suction.head',
  source: 'inlet pressure above vapour pressure: need by data sheet, default 10 kPa',
  check: (checked) =>
    checked.fluids.flatMap((fluid) =>
      fluid.design.circuit.elements.flatMap((element): BuildFinding[] => {
        if (element.kind !== 'pump') return [];
        const item = lookUp(checked.catalogue, 'pump', element.item, element.id);
        const ambient = checked.design.demand.engine.ambientPressure;
        const headIn = (s: SolvedCircuit, boiling = fluid.boiling) =>
          stateOf(s, element.id).inletPressure + ambient - boiling.vapourPressureAbsolute;
        const worst = worstOf(fluid, headIn);
        if (!worst) return [];
        const { head, at, solution } = worst;
        const need = item.inletHeadNeeded;
        if (head >= need) return [];
        const larger = () =>
          fluid.design.circuit.elements
            .filter((e): e is LineElement => e.kind === 'line' && e.role === 'suction')
            .flatMap((line) =>
              largerHoseCure({
                checked,
                fluid,
                lineId: line.id,
                hose: lookUp(checked.catalogue, 'hose', line.item, line.id),
                at,
                cured: (s) => headIn(s) >= need,
              }),
            );
        return [
          {
            id: `suction.head:${element.id}`,
            rule: 'suction.head',
            severity: head < 0 ? 'stop' : 'warn',
            where: where(fluid, element.id),
            title: head < 0 ? 'Fuel boils at the pump inlet' : 'Pump inlet is close to boiling',
            because: `${fluid.design.circuit.name}: the inlet pressure is {head} above vapour pressure, ${at.point.label.toLowerCase()}, ${fuelInWords(fluid.boiling)}; the pump needs {need}`,
            numbers: {
              head: { value: head, kind: 'pressure' },
              need: { value: need, kind: 'pressure' },
              temperature: { value: fluid.boiling.temperature, kind: 'temperature' },
            },
            measured: { value: head, kind: 'pressure' },
            limit: { value: need, kind: 'pressure' },
            rung: 'suction',
            cures: () => {
              const cures = [
                ...lowerPumpCure({
                  checked,
                  fluid,
                  pump: element,
                  at,
                  cured: (s) => headIn(s) >= need,
                }),
                ...larger(),
                ...coolerPumpCure(checked, fluid, (boiling) => headIn(solution, boiling) >= need),
              ];
              return cures.length > 0
                ? cures
                : [
                    {
                      text: 'Mount the pump lower and nearer the tank, enlarge outlet and strainer, or keep the fuel cooler: with the regulator before the rail, the engine’s heat stays out of the tank',
                    },
                  ];
            },
          },
        ];
      }),
    ),
};

export const suctionVelocity: FuelRule = {
  id: 'suction.velocity',
  source: 'suction at most 1.0 m/s, 0.6 m/s for hot petrol',
  check: onSolved('peakPower', (checked, fluid, at, solution) => {
    const { fuel } = fluid.design;
    const mostlyPetrol = fuel.fuel.kind === 'petrol-ethanol' && fuel.fuel.ethanol.value < 0.5;
    const limit =
      mostlyPetrol && fluid.boiling.temperature > HOT_FUEL
        ? SUCTION_VELOCITY_HOT_PETROL
        : SUCTION_VELOCITY;
    return fluid.design.circuit.elements.flatMap((line): BuildFinding[] => {
      if (line.kind !== 'line' || line.role !== 'suction') return [];
      const value = stateOf(solution, line.id).velocity!;
      if (value <= limit) return [];
      return [
        {
          id: `suction.velocity:${line.id}`,
          rule: 'suction.velocity',
          severity: 'warn',
          where: where(fluid, line.id),
          title: 'Suction line is too small',
          because: 'fuel flows at {velocity} in the suction line; {limit} is the most',
          numbers: {
            velocity: { value, kind: 'velocity' },
            limit: { value: limit, kind: 'velocity' },
          },
          measured: { value, kind: 'velocity' },
          limit: { value: limit, kind: 'velocity' },
          cures: () =>
            largerHoseCure({
              checked,
              fluid,
              lineId: line.id,
              hose: lookUp(checked.catalogue, 'hose', line.item, line.id),
              at,
              cured: (s) => stateOf(s, line.id).velocity! <= limit,
            }),
        },
      ];
    });
  }),
};
