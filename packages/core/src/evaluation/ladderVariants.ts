import { type Build, type BuildDocument, type Fuel, writeFuel } from '../model/index.ts';
import { pumpDuties } from '../fuel/index.ts';
import { fuelLabel, petrolReidOf, reidOfBlend } from '../engine/index.ts';
import { quantity } from '../quantities/index.ts';
import { type Ladder, type Loss, limitLadder } from './ladder.ts';
import { type KnownBuild, variantsOf } from './variants.ts';

/** Another ladder of the same build: something lost, or another fuel in the first circuit. */
export interface LadderVariant {
  readonly id: string;
  readonly label: string;
  readonly loss: Loss;
  /** fuels by id that take the place of those of the build */
  readonly fuels: readonly Fuel[];
}

const SUMMER_PETROL = 60e3;

/** Reid value Pa of the petrol in a fuel; summer petrol where there is none in it. */
const petrolIn = (fuel: Fuel): number =>
  fuel.kind === 'petrol-ethanol' && fuel.ethanol.value < 1
    ? petrolReidOf(fuel.reidVapourPressure.value, fuel.ethanol.value)
    : SUMMER_PETROL;

/** The petrol of a fuel with another share of ethanol. */
const blend = (fuel: Fuel, ethanol: number, name: string): Fuel => ({
  id: fuel.id,
  kind: 'petrol-ethanol',
  name,
  ethanol: quantity(100 * ethanol, 'ratio', '%'),
  reidVapourPressure: { value: reidOfBlend(ethanol, petrolIn(fuel)), unit: 'kPa' },
  ethanolLowest: null,
});

/** Fuels that are compared: E10, E85 and methanol in place of one of the build. */
export function otherFuels(fuel: Fuel): Fuel[] {
  const others: Fuel[] = [
    blend(fuel, 0, 'Petrol without ethanol'),
    blend(fuel, 0.1, 'E10'),
    blend(fuel, 0.3, 'E30'),
    blend(fuel, 0.85, 'E85'),
    { id: fuel.id, kind: 'methanol', name: 'Methanol' },
  ];
  return others.filter((other) => fuelLabel(other) !== fuelLabel(fuel));
}

/** The ladders that a build can be climbed by, besides its own. */
export function ladderVariants(document: Build): LadderVariant[] {
  const lost = document.fuelCircuits.flatMap((circuit) => {
    const { main } = pumpDuties(circuit);
    return main.length < 2 ? [] : main;
  });
  const staged = document.injectorRows.filter((row) => row.staging !== null);
  const first = document.fuels[0];
  return [
    ...lost.map((pump) => ({
      id: `pump-lost:${pump.id}`,
      label: `${pump.name} lost`,
      loss: { lostPump: pump.id },
      fuels: [],
    })),
    ...staged.map((row) => ({
      id: `row-lost:${row.id}`,
      label: `${row.name} lost`,
      loss: { lostRow: row.id },
      fuels: [],
    })),
    ...(first ? otherFuels(first) : []).map((fuel) => ({
      id: `fuel:${fuelLabel(fuel)}`,
      label: `On ${fuelLabel(fuel)}`,
      loss: {},
      fuels: [fuel],
    })),
  ];
}

/** The build with the fuels of a variant. */
export const withFuels = (document: BuildDocument, fuels: readonly Fuel[]): BuildDocument => ({
  ...document,
  fuels: Object.fromEntries(
    Object.entries(document.fuels).map(([id, fuel]) => {
      const other = fuels.find((f) => f.id === id);
      return [id, other ? writeFuel(other, fuel.order) : fuel];
    }),
  ),
});

/** Climbs the ladder of a variant. */
export function variantLadder(known: KnownBuild, { fuels, loss }: LadderVariant): Ladder {
  const document = fuels.length > 0 ? withFuels(known.document, fuels) : known.document;
  const evaluator = variantsOf(known).evaluator();
  return limitLadder(evaluator.check(document, known.catalogue), loss);
}
