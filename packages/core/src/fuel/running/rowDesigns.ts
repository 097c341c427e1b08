import type { FuelProperties } from '../../engine/index.ts';
import { type Catalogue, lookUp } from '../../catalogue/index.ts';
import { NotFound } from '../../quantities/index.ts';
import type { Cycle, FuelCircuit, InjectorRow } from '../../model/index.ts';
import { pressureKeeperOf } from '../hydraulics/pressureKeeper.ts';
import type { RowDesign, StagingDesign } from './design.ts';

/** Δp Pa that is taken where nothing says what pressure is kept. */
const USUAL_DIFFERENCE = 3e5;

type Bare = Pick<RowDesign, 'row' | 'injector' | 'fuel'> & {
  readonly circuit: FuelCircuit;
  /** air share over stoichiometric ratio: the measure of its fuel */
  readonly weight: number;
};

/** Sum of a number over some rows. */
const sumOf = (rows: readonly Bare[], of: (row: Bare) => number): number =>
  rows.reduce((sum, row) => sum + of(row), 0);

/** Every injector row with its part, its fuel and its share of the engine's fuel. */
export function rowDesigns(input: {
  rows: readonly InjectorRow[];
  circuits: readonly FuelCircuit[];
  fuels: readonly FuelProperties[];
  cycle: Cycle;
  catalogue: Catalogue;
}): RowDesign[] {
  const { catalogue } = input;
  const rows = input.rows.map((row): Bare => {
    const circuit = input.circuits.find((c) => c.id === row.circuitId);
    const fuel = input.fuels.find((f) => f.fuel.id === circuit?.fuelId);
    if (!circuit || !fuel) throw new NotFound('a row has no circuit with a fuel', row.id);
    const injector = lookUp(catalogue, 'injector', row.item, `injectorRows.${row.id}`);
    const weight = row.airShare.value / fuel.stoichAirFuelRatio;
    return { row, injector, fuel, circuit, weight };
  });
  const always = rows.filter((row) => row.row.staging === null);
  const airOf = (row: Bare): number => row.row.airShare.value;
  const total = sumOf(rows, (row) => row.weight);
  const takenOver = sumOf(rows, airOf) / sumOf(always, airOf);
  const aloneOf = (row: Bare): number =>
    row.row.staging === null ? (row.weight * takenOver) / total : 0;
  const staging = stagingOf(rows, always[0], aloneOf, input.cycle, catalogue);
  return rows.map((row) => ({
    row: row.row,
    injector: row.injector,
    fuel: row.fuel,
    massShare: row.weight / total,
    massShareAlone: aloneOf(row),
    staging: staging && { ...staging, staged: row.row.staging !== null },
  }));
}

/** How the staged rows join, from the first that works always; null where none is staged. */
function stagingOf(
  rows: readonly Bare[],
  first: Bare | undefined,
  aloneOf: (row: Bare) => number,
  cycle: Cycle,
  catalogue: Catalogue,
): Omit<StagingDesign, 'staged'> | null {
  const staged = rows.filter((row) => row.row.staging !== null);
  const joins = staged[0]?.row.staging;
  if (!joins || !first) return null;
  const { id, count, shotsPerCycle } = first.row;
  return {
    rowIds: staged.map((s) => s.row.id),
    aboveDuty: joins.aboveDuty.value,
    blend: joins.blend.value,
    cycle,
    first: {
      injector: first.injector,
      row: { id, count, shotsPerCycle },
      massShareAlone: aloneOf(first),
      fuelDensity: first.fuel.hot.density,
      nominalDifference:
        pressureKeeperOf(first.circuit, catalogue)?.setPressure ?? USUAL_DIFFERENCE,
    },
  };
}
