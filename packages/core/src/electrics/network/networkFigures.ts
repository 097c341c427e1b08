import { memo } from '../../numerics/index.ts';
import {
  type Origin,
  type Result,
  byDefault,
  derive,
  following,
  entered,
  fromFigure,
  fromItem,
  given,
  solvedIn,
} from '../../results/index.ts';
import { electricsFigure } from '../figureNames.ts';
import * as f from '../power/formulas.ts';
import type { SizedGroup, SizedWire } from '../power/sizeWires.ts';
import { type CriterionName, conductorLimit } from '../power/wireCriteria.ts';
import type { LoadVoltage } from './caseVoltages.ts';
import { electricCaseWords } from './electricCases.ts';
import type { SizedNetwork } from './sizeNetwork.ts';

/** The six criteria in their order. */
export const criterionNumber: Readonly<Record<CriterionName, number>> = {
  current: 1,
  'voltage drop': 2,
  'mechanical minimum': 3,
  'short circuit': 4,
  'terminal fit': 5,
  fuse: 6,
};

function heatedBy(sized: SizedWire) {
  const { size, task, origins } = sized;
  const { bundledAt } = origins;
  return {
    outsideDiameter: fromItem(size.outsideDiameter, size),
    resistancePerMetre: fromItem(size.resistancePerMetre, size),
    ambient: following(task.ambient, ['placements', origins.hottestPlaceId]),
    loadedTogether:
      bundledAt.length === 0
        ? byDefault(task.loadedTogether, 'alone')
        : bundledAt.at(-1) === 'loadedTogether'
          ? entered(task.loadedTogether, bundledAt)
          : following(task.loadedTogether, bundledAt),
  };
}

/** The figures of one wire; a starter's cable has no steady temperature. */
function figuresOfWire(sized: SizedWire, group: SizedGroup, lengths: readonly Result[]): Result[] {
  const of = { wire: sized.wire.id };
  const { size, task, origins, wire } = sized;
  const heated = heatedBy(sized);
  const brief = task.forSeconds !== undefined;
  const seconds = byDefault(task.forSeconds ?? 0, 'a start');
  const temperature = brief
    ? derive({
        figure: electricsFigure('wire.temperature', of),
        label: `${wire.name}, conductor temperature after a start`,
        formula: f.briefTemperature,
        inputs: {
          area: fromItem(size.area, size),
          ambient: heated.ambient,
          current: origins.load,
          seconds,
        },
      })
    : derive({
        figure: electricsFigure('wire.temperature', of),
        label: `${wire.name}, conductor temperature`,
        formula: f.wireTemperature,
        inputs: { ...heated, current: origins.load },
      });
  const limit = fromItem(conductorLimit(size), size);
  const resistance = derive({
    figure: electricsFigure('wire.resistance', of),
    label: `${wire.name}, resistance at its temperature`,
    formula: f.wireResistance,
    inputs: {
      resistancePerMetre: heated.resistancePerMetre,
      temperature,
      length: given(task.length, fromFigure(electricsFigure('wire.length', of))),
    },
  });
  return [
    ...lengths,
    brief
      ? derive({
          figure: electricsFigure('wire.ampacity', of),
          label: `${wire.name}, permissible current for a start`,
          formula: f.briefAmpacity,
          inputs: { area: fromItem(size.area, size), ambient: heated.ambient, limit, seconds },
        })
      : derive({
          figure: electricsFigure('wire.ampacity', of),
          label: `${wire.name}, permissible current`,
          formula: f.ampacity,
          inputs: { ...heated, limit },
        }),
    temperature,
    resistance,
    derive({
      figure: electricsFigure('wire.area', of),
      label: `${wire.name}, conductor area`,
      formula: f.wireArea,
      inputs: { area: fromItem(size.area, size) },
    }),
    derive({
      figure: electricsFigure('wire.drop', of),
      label: `${wire.name}, drop`,
      formula: f.oneDrop,
      inputs: { current: origins.load, resistance },
    }),
    derive({
      figure: electricsFigure('wire.decidedBy', of),
      label: `${wire.name}, what decided its size`,
      formula: f.decidingCriterion,
      inputs: {
        failing: byDefault(
          group.decidedBy.map((name) => criterionNumber[name]),
          'fails in the next smaller size',
        ),
      },
    }),
  ];
}

/** They are as they were while it is sized as it was. */
const ofWire = memo(figuresOfWire);

const loadOrigin = (name: string): Origin => `case:${name}`;

/** Every figure of the wiring: wires, fuses, volts at what takes current. */
export function networkFigures(network: SizedNetwork, voltages: readonly LoadVoltage[]): Result[] {
  const figures: Result[] = [];
  for (const { group } of network.runs) {
    for (const sized of group.wires) {
      figures.push(...ofWire(sized, group, network.lengths.of(sized.wire).results));
    }
  }
  const ofFuses = [...network.fuses.values()].map(({ partId, name, judged }) =>
    derive({
      figure: electricsFigure('fuse.deviceRating', { device: partId }),
      label: name,
      formula: f.catalogueRating,
      inputs: { rating: fromItem(judged.fuse.rating, judged.fuse) },
    }),
  );
  const ofLoads = voltages.map(({ partId, name, inCase, supply, back }) =>
    derive({
      figure: electricsFigure('voltage', { device: partId, case: inCase }),
      label: `${name}, volts: ${electricCaseWords[inCase]}`,
      formula: f.solvedVoltage,
      inputs: { supply: solvedIn(supply, inCase), back: given(back, loadOrigin(inCase)) },
    }),
  );
  figures.push(...ofFuses, ...ofLoads);
  return figures;
}
