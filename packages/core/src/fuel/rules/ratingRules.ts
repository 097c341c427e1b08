import type { BuildCommand } from '../../model/index.ts';
import { beforePump } from '../circuits/circuitRun.ts';
import { itemAt, lookUp, newestOf, refOf, serviceOf } from '../../catalogue/index.ts';
import { deadHeadPressure } from '../../catalogue/index.ts';
import type { Cure } from '../../results/index.ts';
import type { BuildFinding } from '../../model/index.ts';
import type { FuelChecked, FuelRule } from '../checked.ts';
import type { FluidResult } from '../running/fluidStage.ts';
import { where } from './onCircuits.ts';

export const hoseRating: FuelRule = {
  id: 'hose.rating',
  source: 'every part against the highest pressure the pump can make; hose rated for the fuel',
  check: (checked) =>
    checked.fluids.flatMap((fluid) => {
      const { circuit, fuel } = fluid.design;
      const pumps = circuit.elements.filter((e) => e.kind === 'pump');
      const highest = Math.max(
        0,
        ...pumps.map((p) => deadHeadPressure(lookUp(checked.catalogue, 'pump', p.item, p.id))),
      );
      const ethanol = fuel.fuel.kind === 'methanol' ? 1 : fuel.fuel.ethanol.value;
      return circuit.elements.flatMap((element): BuildFinding[] => {
        if (!('item' in element)) return [];
        const item = itemAt(checked.catalogue, element.item);
        if (!item || !('pressureRating' in item)) return [];
        const suction = element.kind === 'line' && element.role === 'suction';
        const findings: BuildFinding[] = [];
        if (!suction && !beforePump(circuit, element.to) && highest > item.pressureRating) {
          findings.push({
            id: `rating.pressure:${element.id}`,
            rule: 'hose.rating',
            severity: 'stop',
            where: where(fluid, element.id),
            title: `${element.name}: not rated for the pump’s highest pressure`,
            because: `dead-headed, the pump reaches {highest}; ${item.designation} is rated {rating}`,
            numbers: {
              highest: { value: highest, kind: 'pressure' },
              rating: { value: item.pressureRating, kind: 'pressure' },
            },
            measured: { value: highest, kind: 'pressure' },
            limit: { value: item.pressureRating, kind: 'pressure' },
            cures: () =>
              hoseCures(
                checked,
                fluid,
                element.id,
                item.id,
                (h) => h.pressureRating >= highest && h.ethanolLimit >= ethanol,
              ),
          });
        }
        const service = (item.category === 'hose' && item.service) || 'fuel';
        const unfit = service === 'hydraulic' || (service === 'low-pressure' && !suction);
        if (unfit) {
          findings.push({
            id: `hose.service:${element.id}`,
            rule: 'hose.rating',
            severity: 'stop',
            where: where(fluid, element.id),
            title: `${element.name}: this is not a hose for injection`,
            because: `${item.designation} is made for ${serviceWords[service]}; its liner and joints are not those of a fuel hose`,
            numbers: {},
            cures: () =>
              hoseCures(
                checked,
                fluid,
                element.id,
                item.id,
                (h) => h.ethanolLimit >= ethanol && h.pressureRating >= Math.min(highest, 1e6),
              ),
          });
        }
        const inTank = pumps.some((p) => p.mounting === 'in-tank' && p.to === element.from);
        if (item.category === 'hose' && inTank && service !== 'immersed') {
          findings.push({
            id: `hose.immersed:${element.id}`,
            rule: 'hose.rating',
            severity: 'warn',
            where: where(fluid, element.id),
            title: `${element.name}: this hose is not made for use inside the tank`,
            because: `${item.designation} would have fuel inside and outside; its cover is not made for that`,
            numbers: {},
            cures: () => immersedCures(checked, fluid, element.id, item.id),
          });
        }
        if (item.category === 'hose' && ethanol > item.ethanolLimit) {
          findings.push({
            id: `hose.fuel:${element.id}`,
            rule: 'hose.rating',
            severity: 'stop',
            where: where(fluid, element.id),
            title: `${element.name}: hose is not rated for this fuel`,
            because: `${item.designation} is rated up to {limit} alcohol, the fuel has {share}`,
            numbers: {
              limit: { value: item.ethanolLimit, kind: 'ratio' },
              share: { value: ethanol, kind: 'ratio' },
            },
            measured: { value: ethanol, kind: 'ratio' },
            limit: { value: item.ethanolLimit, kind: 'ratio' },
            cures: () =>
              hoseCures(
                checked,
                fluid,
                element.id,
                item.id,
                (h) => h.ethanolLimit >= ethanol && h.pressureRating >= Math.min(highest, 1e6),
              ),
          });
        }
        return findings;
      });
    }),
};

type Hose = Extract<FuelChecked['catalogue']['items'][number], { category: 'hose' }>;

/** A hose may carry fuel under pressure outside the tank unless its data say otherwise. */
const carriesFuel = (hose: Hose): boolean => serviceOf(hose) === 'fuel';

const isRigid = (hose: Hose): boolean => hose.wall === 'rigid';

const serviceWords = {
  'low-pressure': 'vents and low pressure',
  immersed: 'use inside the tank',
  hydraulic: 'hydraulic oil',
} as const;

/** The immersed hose nearest in bore, as a cure. */
function immersedCures(
  checked: FuelChecked,
  fluid: FluidResult,
  elementId: string,
  itemId: string,
): Cure<BuildCommand>[] {
  const hoses = newestOf(checked.catalogue, 'hose');
  const bore = hoses.find((h) => h.id === itemId)?.bore ?? 8e-3;
  const best = hoses
    .filter((h) => h.service === 'immersed' && h.bore >= 0.85 * bore)
    .sort((a, b) => Math.abs(a.bore - bore) - Math.abs(b.bore - bore))[0];
  if (!best) return [{ text: 'Use a hose that is made for use inside the tank' }];
  return [
    {
      text: `Use ${best.designation}`,
      command: {
        name: 'choose-part',
        circuitId: fluid.design.circuit.id,
        elementId,
        item: refOf(best),
      },
    },
  ];
}

/** The cheapest hose near the present bore that suits, as a cure. */
function hoseCures(
  checked: FuelChecked,
  fluid: FluidResult,
  elementId: string,
  itemId: string,
  suits: (hose: Hose) => boolean,
) {
  const present = newestOf(checked.catalogue, 'hose').find((h) => h.id === itemId);
  if (!present) return [{ text: 'Choose a part with a higher rating' }];
  const suitable = newestOf(checked.catalogue, 'hose').filter(
    (h) => carriesFuel(h) && suits(h) && h.bore >= 0.85 * present.bore,
  );
  // Hose for hose, hardline for hardline, and nothing weaker than what is there, if there is one.
  const alike = suitable.filter(
    (h) => isRigid(h) === isRigid(present) && h.pressureRating >= present.pressureRating,
  );
  const size = (h: Hose): number => Math.floor(Math.abs(Math.log(h.bore / present.bore)) / 0.1);
  const best = (alike.length > 0 ? alike : suitable).sort(
    (a, b) => size(a) - size(b) || a.price - b.price,
  )[0];
  return best
    ? [
        {
          text: `Use ${best.designation}`,
          command: {
            name: 'choose-part' as const,
            circuitId: fluid.design.circuit.id,
            elementId,
            item: refOf(best),
          },
        },
      ]
    : [{ text: 'No hose in the catalogue is rated for this' }];
}
