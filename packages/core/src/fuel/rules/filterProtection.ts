import { type Catalogue, lookUp } from '../../catalogue/index.ts';
import type { BuildCommand, BuildFinding, FuelCircuit } from '../../model/index.ts';
import type { Cure } from '../../results/index.ts';
import type { FuelChecked, FuelRule } from '../checked.ts';
import { type RunStep, leadsTo, pumpDuties, railsOf, tankOf } from '../circuits/circuitRun.ts';
import { insertCommand } from '../layouts/newElement.ts';

/** Coarsest filter that still protects injectors, m: 40 µm is usual for alcohols. */
const FINE = 40e-6;

/** Fineness m of a step that filters. */
function finenessOf(catalogue: Catalogue, { element }: RunStep): number | undefined {
  if (element.kind !== 'filter' && element.kind !== 'filter-regulator') return undefined;
  return lookUp(catalogue, element.kind, element.item, element.id).fineness;
}

/** Cure that puts a filter behind an element, where the catalogue has one for that place. */
function filterBehind(
  checked: FuelChecked,
  circuit: FuelCircuit,
  afterId: string | undefined,
): Cure<BuildCommand>[] {
  if (afterId === undefined) return [];
  const { document, catalogue, wired } = checked;
  const command = insertCommand({
    document: { ...document, devices: wired.devices },
    circuit,
    catalogue,
    afterId,
    kind: 'filter',
  });
  const after = circuit.elements.find((e) => e.id === afterId);
  return command ? [{ text: `Insert a filter after ${after?.name ?? afterId}`, command }] : [];
}

/** Dirt that reaches pump or injectors because no filter stands in its way. */
export const filterProtection: FuelRule = {
  id: 'filter.protection',
  source:
    'coarse before the pump and fine after it; a fine one alone will do with an in-tank sock; a coarse one alone is not enough for injectors',
  check: (checked) =>
    checked.document.fuelCircuits.flatMap((circuit): BuildFinding[] => {
      const tank = tankOf(circuit);
      if (!tank) return [];
      const reachedPast = (to: string, stopsAt: (fineness: number) => boolean): boolean =>
        leadsTo(circuit, tank.outlet, to, (step) => {
          const fineness = finenessOf(checked.catalogue, step);
          return fineness === undefined || !stopsAt(fineness);
        });
      const bare = (to: string): boolean => reachedPast(to, () => true);
      const { main, lift } = pumpDuties(circuit);
      const findings: BuildFinding[] = [];
      const rail = railsOf(circuit).find((r) => reachedPast(r.node, (f) => f <= FINE));
      if (rail) {
        const none = bare(rail.node);
        findings.push({
          id: `filter.injectors:${circuit.id}`,
          rule: 'filter.protection',
          severity: none ? 'stop' : 'warn',
          where: { stage: 'circuit', circuit: circuit.id, element: rail.id },
          title: none ? 'No filter before the injectors' : 'No fine filter before the injectors',
          because: none
            ? 'fuel reaches the injectors without passing any filter: the first dirt from the tank blocks them'
            : 'only coarse filters protect the injectors: use one of {fine} or finer',
          numbers: { fine: { value: FINE, kind: 'length' } },
          cures: () => {
            const cures = filterBehind(
              checked,
              circuit,
              main.length === 1 ? main[0]?.id : undefined,
            );
            return cures.length > 0
              ? cures
              : [{ text: 'Insert a fine filter where the pumps join' }];
          },
        });
      }
      const pump = [...lift, ...main].find((p) => p.mounting === 'external' && bare(p.from));
      if (pump) {
        const before = circuit.elements.find((e) => 'to' in e && e.to === pump.from);
        findings.push({
          id: `filter.pump:${circuit.id}`,
          rule: 'filter.protection',
          severity: 'warn',
          where: { stage: 'circuit', circuit: circuit.id, element: pump.id },
          title: 'No filter before the pump',
          because: `dirt from the tank goes through the ${pump.name.toLowerCase()}: a 100 µm filter before it costs little pressure`,
          numbers: {},
          cures: () => {
            const cures = filterBehind(checked, circuit, before?.id);
            return cures.length > 0 ? cures : [{ text: 'Insert a coarse filter before it' }];
          },
        });
      }
      return findings;
    }),
};
