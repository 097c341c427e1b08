import { stateOf } from '../hydraulics/solveCircuit.ts';
import { beforePump } from '../circuits/circuitRun.ts';
import { lookUp, newestOf, refOf } from '../../catalogue/index.ts';
import type { BuildFinding } from '../../model/index.ts';
import type { FuelRule } from '../checked.ts';
import { onSolved, where } from './onCircuits.ts';

const FILTER_CLEAN_DROP = 35e3;

export const filters: FuelRule = {
  id: 'filter.choice',
  source:
    'coarse before the pump, fine after it, medium rated for the fuel; clean drop up to 35 kPa',
  check: onSolved('peakPower', (checked, fluid, _at, solution) => {
    const findings: BuildFinding[] = [];
    const { circuit, fuel } = fluid.design;
    const ethanol = fuel.fuel.kind === 'methanol' ? 1 : fuel.fuel.ethanol.value;
    for (const element of circuit.elements) {
      if (element.kind !== 'filter' && element.kind !== 'filter-regulator') continue;
      const item = lookUp(checked.catalogue, element.kind, element.item, element.id);
      const drop = stateOf(solution, element.id).pressureDrop;
      if (drop > FILTER_CLEAN_DROP && element.state === 'clean') {
        findings.push({
          id: `filter.drop:${element.id}`,
          rule: 'filter.choice',
          severity: 'warn',
          where: where(fluid, element.id),
          title: 'Pressure drop of the clean filter is high',
          because: 'the clean filter drops {drop}; up to {limit} is usual',
          numbers: {
            drop: { value: drop, kind: 'pressure' },
            limit: { value: FILTER_CLEAN_DROP, kind: 'pressure' },
          },
          measured: { value: drop, kind: 'pressure' },
          limit: { value: FILTER_CLEAN_DROP, kind: 'pressure' },
          cures: () => [{ text: 'Fit a filter with more area' }],
        });
      }
      const feedsPump = beforePump(circuit, element.to);
      if (feedsPump && item.fineness < 40e-6) {
        findings.push({
          id: `filter.before-pump:${element.id}`,
          rule: 'filter.choice',
          severity: 'stop',
          where: where(fluid, element.id),
          title: 'Fine filter before the pump',
          because:
            'a {fineness} filter on the suction side starves the pump; use a coarse one there',
          numbers: { fineness: { value: item.fineness, kind: 'length' } },
          cures: () =>
            newestOf(checked.catalogue, 'filter')
              .filter((c) => c.fineness >= 100e-6)
              .slice(0, 1)
              .map((coarse) => ({
                text: `Fit ${coarse.designation} there`,
                command: {
                  name: 'choose-part' as const,
                  circuitId: circuit.id,
                  elementId: element.id,
                  item: refOf(coarse),
                },
              })),
        });
      }
      if (ethanol > item.ethanolLimit) {
        findings.push({
          id: `filter.media:${element.id}`,
          rule: 'filter.choice',
          severity: 'stop',
          where: where(fluid, element.id),
          title: `${element.name}: filter medium is not rated for this fuel`,
          because: `${item.designation} is rated up to {limit} alcohol, the fuel has {share}`,
          numbers: {
            limit: { value: item.ethanolLimit, kind: 'ratio' },
            share: { value: ethanol, kind: 'ratio' },
          },
          measured: { value: ethanol, kind: 'ratio' },
          limit: { value: item.ethanolLimit, kind: 'ratio' },
          cures: () =>
            newestOf(checked.catalogue, item.category)
              .filter(
                (c) =>
                  (!('setPressure' in c && 'setPressure' in item) ||
                    c.setPressure === item.setPressure) &&
                  c.ethanolLimit >= ethanol &&
                  c.fineness <= 4 * item.fineness &&
                  c.fineness >= item.fineness,
              )
              .slice(0, 1)
              .map((rated) => ({
                text: `Fit ${rated.designation}, rated for alcohol`,
                command: {
                  name: 'choose-part' as const,
                  circuitId: circuit.id,
                  elementId: element.id,
                  item: refOf(rated),
                },
              })),
        });
      }
    }
    return findings;
  }),
};
