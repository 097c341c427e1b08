import { type BatteryItem, type Catalogue, lookUp } from '../../catalogue/index.ts';
import type { Limits } from '../../model/index.ts';
import {
  type Result,
  type Sourced,
  derive,
  entered,
  following,
  fromItem,
  solvedIn,
  together,
} from '../../results/index.ts';
import type { StoredPower } from '../model.ts';
import { electricsFigure } from '../figureNames.ts';
import type { NetPart } from '../netlist/netlist.ts';
import { type ElectricCase, electricCaseWords, electricCases } from '../network/electricCases.ts';
import type { ElectricDesign } from '../network/electricStage.ts';
import { ENGINE_CONTROLLER } from '../slices/controllers.ts';
import * as f from './formulas.ts';
import { liveWithKeyOff } from './liveWithKeyOff.ts';

/** What of the limits the budget reads. */
export type SupplyLimits = Pick<Limits, 'alternatorAtIdle' | 'alternatorHot' | 'batteryUsable'>;
type Share = 'alternatorAtIdle' | 'alternatorHot';

/** Cases in which the engine turns, with what keeps an alternator from giving all it has. */
const charging: Readonly<Partial<Record<ElectricCase, readonly Share[]>>> = {
  idle: ['alternatorAtIdle'],
  cruiseHot: ['alternatorHot'],
  worst: ['alternatorAtIdle', 'alternatorHot'],
};

/** One case: what is taken, and what is given while the engine turns. A, s. */
export interface SupplyCase {
  readonly inCase: ElectricCase;
  readonly load: number;
  /** undefined: nothing charges in it */
  readonly available: number | undefined;
  /** more given than taken, as a share of what is taken */
  readonly margin: number | undefined;
  /** how long the battery makes up for what is short; undefined: nothing is, or its size is not known */
  readonly covers: number | undefined;
}

/** What a vehicle takes and is given, and what is left of its battery. */
export interface SupplyBudget {
  readonly cases: readonly SupplyCase[];
  readonly battery: BatteryItem;
  /** what charges it */
  readonly generators: readonly NetPart[];
  /** A with the key off */
  readonly drain: number;
  /** days until it no longer cranks; undefined: nothing drains it, or its size is not known */
  readonly daysUntilFlat: number | undefined;
  readonly results: readonly Result[];
}

/** Where the build says what a part is. */
const ownerPath = ({ id, sort }: NetPart): readonly string[] => {
  if (sort !== 'controller') return ['devices', id, 'part'];
  return id === ENGINE_CONTROLLER ? ['power', 'ecu'] : ['controllers', id, 'item'];
};

/** Less is nothing, A. */
const NOTHING = 1e-9;

/** Loads and alternator in every case, battery and drain. Throws NotFound for an unknown battery. */
export function supplyStage(input: {
  readonly electrics: Pick<ElectricDesign, 'netlist' | 'cases'>;
  readonly power: Pick<StoredPower, 'battery'>;
  readonly limits: SupplyLimits;
  readonly catalogue: Catalogue;
}): SupplyBudget {
  const { electrics, power, limits, catalogue } = input;
  const { netlist } = electrics;
  const battery = lookUp(catalogue, 'battery', power.battery, 'power.battery');
  const generators = netlist.parts.filter(
    ({ role, outputs }) => (role === 'alternator' || role === 'stator') && outputs.length > 0,
  );
  const rated = together(
    generators.flatMap(({ id, outputs }) =>
      outputs.map(({ current }): Sourced<number> => following(current, ['devices', id, 'part'])),
    ),
  );
  const capacity = fromItem(battery.capacity, battery);
  const usable = entered(limits.batteryUsable, ['limits', 'batteryUsable']);
  const results: Result[] = [];
  const note = (result: Result): Result => {
    results.push(result);
    return result;
  };
  const cases = electricCases.flatMap((inCase): SupplyCase[] => {
    const solved = electrics.cases[inCase];
    if (solved.state !== 'solved') return [];
    const words = electricCaseWords[inCase];
    const of = { case: inCase };
    const load = note(
      derive({
        figure: electricsFigure('load.total', of),
        label: `Load, ${words}`,
        formula: f.totalLoad,
        inputs: {
          sources: together(
            netlist.sources.map(({ id }) => solvedIn(Math.abs(solved.amps.get(id) ?? 0), inCase)),
          ),
        },
      }),
    );
    const shares = charging[inCase];
    if (!shares || generators.length === 0 || load.value <= NOTHING) {
      return [
        { inCase, load: load.value, available: undefined, margin: undefined, covers: undefined },
      ];
    }
    const available = note(
      derive({
        figure: electricsFigure('alternator.available', of),
        label: `Alternator delivers, ${words}`,
        formula: f.available,
        inputs: {
          rated,
          shares: together(shares.map((share) => entered(limits[share], ['limits', share]))),
        },
      }),
    );
    const margin = note(
      derive({
        figure: electricsFigure('alternator.margin', of),
        label: `Alternator margin, ${words}`,
        formula: f.margin,
        inputs: { available, load },
      }),
    );
    const covers =
      margin.value < 0 && battery.capacity > 0
        ? note(
            derive({
              figure: electricsFigure('battery.covers', of),
              label: `Battery makes up, ${words}`,
              formula: f.covers,
              inputs: { capacity, usable, load, available },
            }),
          )
        : undefined;
    return [
      {
        inCase,
        load: load.value,
        available: available.value,
        margin: margin.value,
        covers: covers?.value,
      },
    ];
  });
  const { drains } = liveWithKeyOff(netlist);
  const drain = note(
    derive({
      figure: electricsFigure('battery.drain'),
      label: 'Drain with the key off',
      formula: f.drain,
      inputs: {
        loads: together(
          drains.map(({ part, load }) => following(load.current * load.duty, ownerPath(part))),
        ),
      },
    }),
  );
  const days =
    drain.value > NOTHING && battery.capacity > 0
      ? note(
          derive({
            figure: electricsFigure('battery.daysUntilFlat'),
            label: 'Battery lasts with the key off',
            formula: f.untilFlat,
            inputs: { capacity, usable, drain },
          }),
        )
      : undefined;
  return {
    cases,
    battery,
    generators,
    drain: drain.value,
    daysUntilFlat: days?.value,
    results,
  };
}
