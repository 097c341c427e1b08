import type { BuildDocument, Catalogue, FuelCircuit } from '../build/index.ts';
import { lookUp } from '../build/index.ts';
import { NotFound } from '../quantities/index.ts';
import { type Demand, type DemandMap, demandStage, surroundings } from '../demand/index.ts';
import { fuelProperties } from '../fuels/index.ts';
import { pressureKeeperOf } from '../hydraulics/index.ts';
import { pumpFeedStage } from '../power/index.ts';
import type { SizedPumpFeed } from '../power/index.ts';
import type { Result } from '../results/index.ts';
import {
  type InjectorCandidate,
  type PumpCandidate,
  injectorCandidates,
  pumpCandidates,
} from './candidates.ts';
import type { BuildFinding, Checked } from './checked.ts';
import type { CircuitDesign, FluidDesign, RowDesign } from './design.ts';
import { withAcceptances } from './acceptance.ts';
import { type FluidResult, fluidStage } from './fluidStage.ts';
import type { CaseNumbering } from './figures/caseResults.ts';
import { fluidResults } from './figures/fluidResults.ts';
import { rowSystemResults } from './figures/rowSystemResults.ts';
import { geometryStage } from './geometryStage.ts';
import { type Memo, createMemo } from './memo.ts';
import { rules } from './rules/index.ts';

/** The whole answer to a build: plain data, the same for the same input byte for byte. */
export interface Evaluation {
  readonly results: readonly Result[];
  readonly findings: readonly BuildFinding[];
  readonly demandMap: DemandMap;
  readonly demandPeak: Demand['peak'];
  readonly fluids: readonly FluidResult[];
  readonly feeds: readonly SizedPumpFeed[];
  readonly injectorCandidates: Readonly<Record<string, readonly InjectorCandidate[]>>;
  readonly pumpCandidates: Readonly<Record<string, readonly PumpCandidate[]>>;
  readonly lengthSources: Readonly<Record<string, 'measured' | 'typed' | 'map'>>;
}

/** Stages in the order in which they run. Each is computed again only when its input changed. */
export const stages = [
  'surroundings',
  'fuels',
  'demand',
  'geometry',
  'pump feeds',
  'fluid design',
  'fuel network',
  'figures',
  'injector candidates',
  'pump candidates',
  'checks',
] as const;

/** Numbers of the first rail and pump of a circuit, after those of the circuits before it. */
function caseNumbering(before: readonly FuelCircuit[]): CaseNumbering {
  const elements = before.flatMap((circuit) => circuit.elements);
  return {
    firstRail: 1 + elements.filter((e) => e.kind === 'injectors').length,
    firstPump: 1 + elements.filter((e) => e.kind === 'pump').length,
  };
}

function rowDesigns(
  document: BuildDocument,
  catalogue: Catalogue,
  fuels: readonly ReturnType<typeof fuelProperties>[],
): RowDesign[] {
  const rows = document.injectorRows.map((row) => {
    const circuit = document.fuelCircuits.find((c) => c.id === row.circuitId);
    const fuel = fuels.find((f) => f.fuel.id === circuit?.fuelId);
    if (!fuel) throw new NotFound(`row "${row.name}" has no circuit with a fuel`, row.id);
    const injector = lookUp(catalogue, 'injector', row.item, `injectorRows.${row.id}`);
    return {
      row,
      circuit: circuit!,
      injector,
      fuel,
      weight: row.airShare.value / fuel.stoichAirFuelRatio,
    };
  });
  const total = rows.reduce((sum, row) => sum + row.weight, 0);
  const air = rows.reduce((sum, row) => sum + row.row.airShare.value, 0);
  const always = rows.filter((row) => row.row.staging === null);
  const airAlways = always.reduce((sum, row) => sum + row.row.airShare.value, 0);
  const shares = rows.map((row) => ({
    massShare: row.weight / total,
    massShareAlone: row.row.staging === null ? (row.weight * air) / airAlways / total : 0,
  }));
  const staged = rows.filter((row) => row.row.staging !== null);
  const first = always[0];
  const joins = staged[0]?.row.staging;
  const keeper = first && pressureKeeperOf(first.circuit, catalogue);
  return rows.map(({ row, injector, fuel }, i): RowDesign => ({
    row,
    injector,
    fuel,
    ...shares[i]!,
    staging:
      joins && first
        ? {
            staged: row.staging !== null,
            rowIds: staged.map((s) => s.row.id),
            aboveDuty: joins.aboveDuty.value,
            blend: joins.blend.value,
            cycle: document.brief.cycle,
            first: {
              injector: first.injector,
              row: { count: first.row.count, shotsPerCycle: first.row.shotsPerCycle },
              massShareAlone: shares[rows.indexOf(first)]!.massShareAlone,
              fuelDensity: first.fuel.hot.density,
              nominalDifference: keeper?.setPressure ?? 3e5,
            },
          }
        : null,
  }));
}

/** Everything the checks look at; the ladder starts from the same. */
function check(
  document: BuildDocument,
  catalogue: Catalogue,
  memo: Memo,
): Checked & { evaluation: Evaluation } {
  const around = memo('surroundings', [document.brief], () => surroundings(document));
  const fuels = memo('fuels', [document.fuels, around], () =>
    document.fuels.map((fuel, i) =>
      fuelProperties({
        fuel,
        prefix: i === 0 ? 'fuel' : `fuel.${fuel.id}`,
        at: `fuels.${i}`,
        hottest: around.hottestFuel,
      }),
    ),
  );
  const rows = memo(
    'rows',
    [document.injectorRows, document.brief, document.fuelCircuits, fuels, catalogue],
    () => rowDesigns(document, catalogue, fuels),
  );
  const demand = memo(
    'demand',
    [document.brief, document.demand, document.limits, rows, around],
    () => demandStage({ document, around, rowFuels: rows.map((row) => row.fuel) }),
  );
  const geometry = memo('geometry', [document.fuelCircuits, document.placements], () =>
    document.fuelCircuits.map((_, circuitIndex) => geometryStage({ document, circuitIndex })),
  );
  const feeds = memo(
    'pump feeds',
    [
      document.power,
      document.limits,
      document.brief,
      document.placements,
      document.fuelCircuits,
      catalogue,
    ],
    () => pumpFeedStage({ document, catalogue }),
  );
  const design = memo(
    'fluid design',
    [demand, rows, geometry, feeds, fuels, document.fuelCircuits, document.limits, catalogue],
    (): FluidDesign => ({
      document,
      catalogue,
      demand,
      circuits: document.fuelCircuits.map((circuit, i): CircuitDesign => {
        const fuel = fuels.find((f) => f.fuel.id === circuit.fuelId);
        if (!fuel) throw new NotFound(`circuit "${circuit.name}" has no fuel`, circuit.id);
        return {
          circuit,
          fuel,
          rows: rows.filter((row) => row.row.circuitId === circuit.id),
          heights: geometry[i]!.heights,
          lengths: geometry[i]!.lengths,
          seriesResistances: Object.fromEntries(
            feeds
              .filter((f) => f.feed.circuitId === circuit.id)
              .map((f) => [f.feed.elementId, f.seriesResistance]),
          ),
        };
      }),
    }),
  );
  const fluids = memo('fuel network', [design], () => fluidStage(design));
  const results = memo('figures', [around, fuels, demand, geometry, feeds, fluids], () => [
    around.ambientPressure,
    around.chargeTemperature,
    around.hottestFuel,
    ...fuels.flatMap((f) => f.results),
    ...demand.results,
    ...geometry.flatMap((g) => g.results),
    ...feeds.flatMap((f) => f.results),
    ...rowSystemResults(design),
    ...fluids.flatMap((fluid, i) =>
      fluidResults(design, fluid, i, caseNumbering(document.fuelCircuits.slice(0, i))),
    ),
  ]);
  const ecu = lookUp(catalogue, 'ecu', document.power.ecu, 'power.ecu');
  const injectors = memo('injector candidates', [design, ecu], () =>
    Object.fromEntries(
      design.circuits.flatMap((circuit) =>
        circuit.rows.map((row) => [
          row.row.id,
          injectorCandidates(design, circuit, row, ecu.injectorDriver),
        ]),
      ),
    ),
  );
  const pumps = memo('pump candidates', [design], () =>
    Object.fromEntries(
      design.circuits.flatMap((circuit) =>
        circuit.circuit.elements
          .filter((e) => e.kind === 'pump')
          .map((e) => [e.id, pumpCandidates(design, circuit, e.id)]),
      ),
    ),
  );
  const checked: Checked = {
    document,
    catalogue,
    design,
    fluids,
    feeds,
    injectorCandidates: injectors,
    pumpCandidates: pumps,
    ecu,
    results: new Map(results.map((r) => [r.key, r])),
  };
  const findings = memo('checks', [document, results, injectors, pumps, ecu], () => {
    const order = { stop: 0, warn: 1, note: 2 };
    const found = rules
      .flatMap((rule) => rule.check(checked))
      .sort((a, b) => order[a.severity] - order[b.severity]);
    return withAcceptances(found, document.acceptances);
  });
  return {
    ...checked,
    evaluation: {
      results,
      findings,
      demandMap: demand.map,
      demandPeak: demand.peak,
      fluids,
      feeds,
      injectorCandidates: injectors,
      pumpCandidates: pumps,
      lengthSources: Object.assign({}, ...geometry.map((g) => g.lengthSources)),
    },
  };
}

export interface Evaluator {
  /** Evaluates a build; stages whose input is the same object as last time are not run again. */
  evaluate(document: BuildDocument, catalogue: Catalogue): Evaluation;
  /** What the ladder and other separate calls start from. */
  check(document: BuildDocument, catalogue: Catalogue): Checked;
}

/** An evaluator with its own memory of the last build it saw. */
export function createEvaluator(): Evaluator {
  const memo = createMemo();
  return {
    evaluate: (document, catalogue) => check(document, catalogue, memo).evaluation,
    check: (document, catalogue) => check(document, catalogue, memo),
  };
}

/** One evaluation without memory. Throws NotFound when the build refers to what is not there. */
export function evaluate(document: BuildDocument, catalogue: Catalogue): Evaluation {
  return createEvaluator().evaluate(document, catalogue);
}
