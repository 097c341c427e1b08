import { quantity as q } from '../../quantities/index.ts';
import { newestOf } from '../../catalogue/index.ts';
import type { Catalogue } from '../../catalogue/index.ts';
import { beforePump, pumpDuties, railsOf, tankOf } from '../circuits/circuitRun.ts';
import {
  type Build,
  type FuelCircuit,
  type ItemRef,
  type LineElement,
  type LineRole,
  USUAL_HEAT_LOSS,
} from '../../model/index.ts';
import { alcoholShare } from './alcoholShare.ts';
import type { CircuitPartChoices } from './circuitDraft.ts';
import { type LineChoice, unknownLength } from './circuitParts.ts';
import { neededItem, pickItem } from './pickItem.ts';

/** Parts of a circuit: those it has, and for the rest the usual ones of the catalogue. */
export function partChoices(input: {
  document: Build;
  circuit: FuelCircuit;
  catalogue: Catalogue;
}): CircuitPartChoices {
  const { document, circuit, catalogue } = input;
  const fuel = document.fuels.find((f) => f.id === circuit.fuelId);
  const alcohol = alcoholShare(fuel);
  const tank = tankOf(circuit);
  const { main } = pumpDuties(circuit);
  const pump = main[0];
  const lines = circuit.elements.filter((e): e is LineElement => e.kind === 'line');
  const filters = circuit.elements.filter((e) => e.kind === 'filter');
  const hoses = newestOf(catalogue, 'hose').filter(
    (h) =>
      (h.service ?? 'fuel') === 'fuel' && h.ethanolLimit >= alcohol && h.pressureRating >= 0.9e6,
  );
  const immersed = newestOf(catalogue, 'hose').filter((h) => h.service === 'immersed');
  const fittings = newestOf(catalogue, 'fitting');
  const regulators = newestOf(catalogue, 'regulator');
  const pumps = newestOf(catalogue, 'pump');
  const regulator = circuit.elements.find((e) => e.kind === 'regulator');
  const atTank = circuit.elements.find((e) => e.kind === 'filter-regulator');
  const outlet = circuit.elements.find(
    (e) => e.kind === 'fitting' && (e.from === tank?.outlet || e.name === 'Tank outlet'),
  );
  const choiceOf = (line: LineElement | undefined, bore: number): LineChoice =>
    line
      ? { item: line.item, length: line.length, fittings: line.fittings }
      : {
          item: neededItem(
            pickItem(
              hoses,
              (h) => h.material === (alcohol > 0.3 ? 'PTFE' : 'rubber'),
              (h) => Math.abs(Math.log(h.bore / bore)),
            ) ??
              pickItem(
                hoses,
                () => true,
                (h) => Math.abs(Math.log(h.bore / bore)),
              ),
            'fuel hose',
          ),
          length: unknownLength,
          fittings: [],
        };
  const ofRole = (role: LineRole, at: 'first' | 'last' = 'first'): LineElement | undefined => {
    const found = lines.filter((l) => l.role === role);
    return at === 'first' ? found[0] : found[found.length - 1];
  };
  const q025 = { typed: q(0.25, 'length', 'm'), measured: null };
  const short = (choice: LineChoice): LineChoice => ({
    ...choice,
    length: q025,
  });
  const named = (id: string): LineElement | undefined =>
    lines.find((l) => l.id.endsWith(id)) ?? undefined;
  const feed = choiceOf(named('feed') ?? ofRole('feed', 'last'), 8.7e-3);
  const suction = choiceOf(ofRole('suction'), 14e-3);
  const fits = (item: { ethanolLimit: number }): boolean => item.ethanolLimit >= alcohol;
  const setPressure =
    (regulator?.kind === 'regulator' && regulator.setPressure) ||
    (pump?.control?.kind === 'pressure' && pump.control.target) ||
    q(300, 'pressure', 'kPa');
  const high = setPressure.value >= 200e3 ? setPressure : q(300, 'pressure', 'kPa');
  const bore = (ref: ItemRef): number => hoses.find((h) => h.id === ref.id)?.bore ?? 8.7e-3;
  const yFor = (hose: ItemRef): ItemRef =>
    neededItem(
      pickItem(
        fittings,
        (f) => f.form === 'Y-block',
        (f) => Math.abs(f.bore - 0.9 * bore(hose)),
      ),
      'Y-block',
    );
  const coarse = filters.find((f) => beforePump(circuit, f.to));
  const fine = filters.find((f) => !beforePump(circuit, f.to));
  const filterItems = newestOf(catalogue, 'filter');
  const filterAt = (ref: ItemRef) => filterItems.find((f) => f.id === ref.id);
  const filterFits = (ref: ItemRef): boolean => fits(filterAt(ref) ?? { ethanolLimit: 0 });
  const isStrainer = (ref: ItemRef): boolean => filterAt(ref)?.form === 'strainer';
  const pumpOf = (mounting: 'in-tank' | 'external', duty: 'main' | 'lift'): ItemRef | undefined =>
    pickItem(
      pumps,
      (p) => p.mounting === mounting && p.duty === duty,
      (p) => p.price,
    );
  const external = pumps.find((p) => p.id === pump?.item.id)?.mounting !== 'in-tank';
  const perRail = document.brief.cylinders >= 6 ? 2 : 1;
  return {
    id: circuit.id,
    name: circuit.name,
    fuelId: circuit.fuelId,
    rowId: railsOf(circuit)[0]?.rowId ?? '',
    tank: tank ?? {
      name: 'Tank',
      pressure: q(0, 'pressure', 'kPa'),
      fuelLevel: q(80, 'length', 'mm'),
      usableVolume: q(50, 'volume', 'L'),
      heatLoss: USUAL_HEAT_LOSS,
    },
    outlet:
      outlet?.kind === 'fitting' && external
        ? outlet.item
        : neededItem(
            pickItem(
              fittings,
              (f) => f.form === 'tank outlet',
              (f) => -f.bore,
            ),
            'tank outlet',
          ),
    coarseFilter:
      coarse?.kind === 'filter' && !isStrainer(coarse.item) && filterFits(coarse.item)
        ? coarse.item
        : neededItem(
            pickItem(
              filterItems,
              (f) => f.fineness >= 100e-6 && f.form === 'in-line',
              (f) => f.price,
            ),
            'coarse filter',
          ),
    strainer: neededItem(
      pickItem(
        filterItems,
        (f) => f.fineness >= 100e-6 && f.form === 'strainer',
        (f) => f.price,
      ) ??
        pickItem(
          filterItems,
          (f) => f.fineness >= 100e-6,
          (f) => f.price,
        ),
      'strainer',
    ),
    hanger: neededItem(
      pickItem(
        fittings,
        (f) => f.form === 'in-tank hanger',
        (f) => f.price,
      ) ??
        pickItem(
          fittings,
          (f) => f.form === 'tank outlet',
          (f) => f.price,
        ),
      'in-tank hanger',
    ),
    pump: external && pump ? pump.item : neededItem(pumpOf('external', 'main'), 'external pump'),
    inTankPump:
      !external && pump ? pump.item : neededItem(pumpOf('in-tank', 'main'), 'in-tank pump'),
    liftPump: neededItem(pumpOf('external', 'lift') ?? pumpOf('external', 'main'), 'lift pump'),
    mounting: 'external',
    wear: pump?.wear ?? q(10, 'ratio', '%'),
    fineFilter:
      fine?.kind === 'filter' && filterFits(fine.item)
        ? fine.item
        : neededItem(
            pickItem(
              filterItems,
              (f) => f.fineness <= 40e-6 && fits(f),
              (f) => f.price,
            ),
            'fine filter',
          ),
    filterRegulator:
      atTank?.kind === 'filter-regulator'
        ? atTank.item
        : neededItem(
            pickItem(newestOf(catalogue, 'filter-regulator'), fits, (f) =>
              Math.abs(f.setPressure - high.value),
            ) ??
              pickItem(
                newestOf(catalogue, 'filter-regulator'),
                () => true,
                (f) => Math.abs(f.setPressure - high.value),
              ),
            'filter-regulator',
          ),
    regulator:
      regulator?.kind === 'regulator' && setPressure === high
        ? regulator.item
        : neededItem(
            pickItem(
              regulators,
              (r) => r.setMin <= high.value && r.setMax >= high.value,
              (r) => Math.abs(Math.log(r.bypassMax / (400e-3 / 3600))),
            ),
            'return regulator',
          ),
    lowRegulator: neededItem(
      pickItem(
        regulators,
        () => true,
        (r) => r.setMin,
      ),
      'return regulator',
    ),
    setPressure: high,
    lowPressure: q(
      Math.max(100, (regulators.map((r) => r.setMin).sort((a, b) => a - b)[0] ?? 0) / 1e3),
      'pressure',
      'kPa',
    ),
    manifoldRatio:
      regulator?.kind === 'regulator' && setPressure === high
        ? regulator.manifoldRatio
        : q(1, 'ratio', ''),
    surgeVolume: q(2, 'volume', 'L'),
    leastShare: q(35, 'ratio', '%'),
    yBlock: yFor(feed.item),
    inletYBlock: yFor(suction.item),
    suction,
    pumpInlet: named('pump-inlet') ? choiceOf(named('pump-inlet'), 14e-3) : short(suction),
    pumpOutlet: named('pump-outlet') ? choiceOf(named('pump-outlet'), 8.7e-3) : short(feed),
    pumpHose: {
      item:
        pickItem(
          immersed,
          (h) => h.ethanolLimit >= alcohol && h.pressureRating >= 0.7e6,
          (h) => Math.abs(Math.log(h.bore / 8e-3)),
        ) ?? choiceOf(undefined, 8e-3).item,
      length: q025,
      fittings: [],
    },
    feed,
    branch: short({ ...feed, fittings: [] }),
    rail: choiceOf(named('rail') ?? named('rail-1') ?? ofRole('other'), 11.1e-3),
    back: choiceOf(ofRole('return'), bore(feed.item)),
    rails: perRail,
  };
}
