import { firstOf } from '../../numerics/index.ts';
import { lookUp, newestOf, refOf } from '../../catalogue/index.ts';
import { elementPath, pumpDuties } from '../circuits/circuitRun.ts';
import { type SolvedCircuit, stateOf } from '../hydraulics/solveCircuit.ts';
import type { BuildFinding } from '../../model/index.ts';
import type { FuelRule } from '../checked.ts';
import type { CircuitDesign } from '../running/design.ts';
import type { RunningPoint } from '../running/runningPoint.ts';
import { circuitMassFlow } from '../running/solvePoint.ts';
import { onSolved, atPump, where } from './onCircuits.ts';
import { solveWith } from './swapCure.ts';

/** A lift pump gives at least so many times the engine's peak flow. */
export const LIFT_RATIO = 1.1;

/** A surge tank that lasts so long at peak is not emptied on the road, s. */
const LONG_ENOUGH = 60;

/** How long a surge tank lasts at a solved point, s; infinite while its lift pumps keep up. */
export function surgeLasts(circuit: CircuitDesign, point: RunningPoint, s: SolvedCircuit): number {
  const { surge, lift } = pumpDuties(circuit.circuit);
  if (!surge) return Infinity;
  const given = lift.reduce((sum, pump) => sum + stateOf(s, pump.id).massFlow, 0);
  const deficit = (circuitMassFlow(circuit, point) - given) / circuit.fuel.hot.density;
  return deficit > 0 ? surge.volume.value / deficit : Infinity;
}

/** Whether a surge tank runs empty before a pull at peak is over. */
export const surgeFails = (
  circuit: CircuitDesign,
  point: RunningPoint,
  s: SolvedCircuit,
): boolean => surgeLasts(circuit, point, s) < LONG_ENOUGH;

export const surgeLift: FuelRule = {
  id: 'surge.lift',
  source: 'lift flow at least 1.1 times peak engine flow, or the surge volume runs down',
  check: onSolved('peakPower', (checked, fluid, at, solution): BuildFinding[] => {
    const { surge, lift } = pumpDuties(fluid.design.circuit);
    if (!surge || lift.length === 0) return [];
    const engine = circuitMassFlow(fluid.design, at.point);
    const ratioIn = (s: SolvedCircuit): number =>
      lift.reduce((sum, pump) => sum + stateOf(s, pump.id).massFlow, 0) / engine;
    const ratio = ratioIn(solution);
    if (ratio >= LIFT_RATIO) return [];
    const lasts = surgeLasts(fluid.design, at.point, solution);
    const empties = Number.isFinite(lasts);
    const first = firstOf(lift);
    const larger = newestOf(checked.catalogue, 'pump')
      .filter((item) => item.mounting === first.mounting && item.id !== first.item.id)
      .sort((a, b) => a.price - b.price)
      .find((item) => {
        const solved = solveWith(checked, fluid, first.id, refOf(item), at);
        return solved !== undefined && ratioIn(solved) >= LIFT_RATIO;
      });
    return [
      {
        id: `surge.lift:${fluid.design.circuit.id}`,
        rule: 'surge.lift',
        severity: surgeFails(fluid.design, at.point, solution) ? 'stop' : 'warn',
        where: where(fluid, first.id),
        title: empties ? 'Surge tank runs empty at peak' : 'Lift pump has little margin',
        because: empties
          ? 'at peak it delivers {ratio} of the engine’s flow: the surge tank lasts {seconds}'
          : 'at peak it delivers {ratio} of the engine’s flow; {limit} keeps the surge tank full',
        numbers: {
          ratio: { value: ratio, kind: 'ratio' },
          limit: { value: LIFT_RATIO, kind: 'ratio' },
          ...(empties ? { seconds: { value: lasts, kind: 'duration' as const } } : {}),
        },
        measured: { value: ratio, kind: 'ratio' },
        limit: { value: LIFT_RATIO, kind: 'ratio' },
        worse: 'lower',
        cures: () =>
          larger
            ? [
                {
                  text: `Fit lift pump ${larger.designation}`,
                  command: {
                    name: 'choose-part',
                    circuitId: fluid.design.circuit.id,
                    elementId: first.id,
                    item: refOf(larger),
                  },
                },
              ]
            : [{ text: 'Fit a larger lift pump, or two in parallel' }],
      },
    ];
  }),
};

const LEAST_SECONDS = 5;

/** How long a starving pickup is bridged. */
export const surgeVolume: FuelRule = {
  id: 'surge.volume',
  source: 'the surge volume covers the longest starvation of the pickup at peak flow',
  check: onSolved('peakPower', (_checked, fluid, at): BuildFinding[] => {
    const { surge } = pumpDuties(fluid.design.circuit);
    if (!surge) return [];
    const flow = circuitMassFlow(fluid.design, at.point) / fluid.design.fuel.hot.density;
    const seconds = surge.volume.value / flow;
    if (seconds >= LEAST_SECONDS) return [];
    const litres = Math.ceil(LEAST_SECONDS * flow * 1e4) / 1e4;
    return [
      {
        id: `surge.volume:${surge.id}`,
        rule: 'surge.volume',
        severity: 'warn',
        where: where(fluid, surge.id),
        title: 'Surge tank is small',
        because: 'at peak it bridges {seconds} without fuel at the pickup; plan for {limit}',
        numbers: {
          seconds: { value: seconds, kind: 'duration' },
          limit: { value: LEAST_SECONDS, kind: 'duration' },
        },
        measured: { value: seconds, kind: 'duration' },
        limit: { value: LEAST_SECONDS, kind: 'duration' },
        worse: 'lower',
        cures: () => [
          {
            text: 'Plan a larger surge tank',
            command: {
              name: 'set',
              path: elementPath(fluid.design.circuit, surge, 'volume'),
              value: { value: litres, unit: 'L' },
            },
          },
        ],
      },
    ];
  }),
};

/** A surge tank whose main pump is a lift pump, or the other way round. */
export const liftDuty: FuelRule = {
  id: 'pump.duty',
  source: 'lift pumps make little pressure; main pumps belong before the engine',
  check: (checked) =>
    checked.fluids.flatMap((fluid): BuildFinding[] =>
      pumpDuties(fluid.design.circuit).main.flatMap((pump): BuildFinding[] => {
        const item = lookUp(checked.catalogue, 'pump', pump.item, pump.id);
        if (item.duty === 'main') return [];
        const bestMain = () =>
          checked.candidates
            .pumps()
            [pump.id]?.find((c) => c.item.duty === 'main' && c.verdict !== 'does not fit');
        return [
          {
            id: `pump.duty:${pump.id}`,
            rule: 'pump.duty',
            severity: 'stop',
            where: atPump(fluid, pump.id),
            title: 'Lift pump feeds the engine',
            because: `${item.designation} is made to fill a surge tank; it does not make injection pressure`,
            numbers: {},
            cures: () => {
              const best = bestMain();
              return best
                ? [
                    {
                      text: `Fit pump ${best.item.designation}`,
                      command: {
                        name: 'choose-part',
                        circuitId: fluid.design.circuit.id,
                        elementId: pump.id,
                        item: refOf(best.item),
                      },
                    },
                  ]
                : [{ text: 'Choose a main pump' }];
            },
          },
        ];
      }),
    ),
};
