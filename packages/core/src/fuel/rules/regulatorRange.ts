import { stateOf } from '../hydraulics/solveCircuit.ts';
import { elementPath } from '../circuits/circuitRun.ts';
import type { BuildFinding } from '../../model/index.ts';
import type { FuelRule } from '../checked.ts';
import { regulatorOf } from '../running/solvePoint.ts';
import { onSolved, where } from './onCircuits.ts';

export const regulatorRange: FuelRule = {
  id: 'regulator.range',
  partsDecide: true,
  source: 'set pressure and bypass within the regulator’s range',
  check: onSolved('hotIdle', (checked, fluid, _at, solution) => {
    const item = regulatorOf(fluid.design, checked.catalogue);
    if (!item) return [];
    const findings: BuildFinding[] = [];
    const set = item.setPressure;
    if (item.adjustable && (set < item.setMin || set > item.setMax)) {
      const nearest = Math.min(item.setMax, Math.max(item.setMin, set));
      findings.push({
        id: `regulator.range:${item.elementId}`,
        rule: 'regulator.range',
        severity: 'stop',
        where: where(fluid, item.elementId),
        title: 'Set pressure is outside the regulator’s range',
        because: `${item.designation} can be set from {least} to {most}; {set} is planned`,
        numbers: {
          least: { value: item.setMin, kind: 'pressure' },
          most: { value: item.setMax, kind: 'pressure' },
          set: { value: set, kind: 'pressure' },
        },
        measured: { value: set, kind: 'pressure' },
        limit: { value: nearest, kind: 'pressure' },
        cures: () => [
          {
            text: 'Set it to the nearest pressure it can regulate',
            command: {
              name: 'set',
              path: elementPath(fluid.design.circuit, { id: item.elementId }, 'setPressure'),
              value: { value: nearest, unit: 'kPa' },
            },
          },
        ],
      });
    }
    const bypass = stateOf(solution, item.branchId).massFlow / fluid.design.fuel.hot.density;
    if (bypass > item.bypassMax || bypass < item.bypassMin) {
      findings.push({
        id: `regulator.bypass:${item.elementId}`,
        rule: 'regulator.range',
        severity: 'warn',
        where: where(fluid, item.elementId),
        title: 'Bypass at idle is outside the regulator’s range',
        because: '{bypass} returns at hot idle; it regulates from {least} to {most}',
        numbers: {
          bypass: { value: bypass, kind: 'volumeFlow' },
          least: { value: item.bypassMin, kind: 'volumeFlow' },
          most: { value: item.bypassMax, kind: 'volumeFlow' },
        },
        measured: { value: bypass, kind: 'volumeFlow' },
        limit: {
          value: bypass > item.bypassMax ? item.bypassMax : item.bypassMin,
          kind: 'volumeFlow',
        },
        cures: () => [{ text: 'Choose a regulator of another size' }],
      });
    }
    return findings;
  }),
};
