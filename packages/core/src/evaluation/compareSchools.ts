import type { CatalogueItem } from '../catalogue/index.ts';
import { type School, type SingleFailure, schools, singleFailures } from '../electrics/index.ts';
import { type Change, readBuild } from '../model/index.ts';
import { applyCommand } from './commands/applyCommand.ts';
import type { Evaluation } from './evaluate.ts';
import { type KnownBuild, variantsOf } from './variants.ts';

/** What a way to switch things comes to on a build. SI; the price in the build’s currency. */
export interface SchoolFigures {
  readonly price: number;
  readonly mass: number;
  readonly wires: number;
  readonly wireLength: number;
  readonly relays: number;
  readonly fuses: number;
  readonly stops: number;
  readonly warnings: number;
  /** failures that leave a pump running */
  readonly pumpRunsOn: number;
  /** the one failure that stops most, fuses and grounds of everything left out */
  readonly worst: SingleFailure | undefined;
}

/** A way to switch things beside the others. */
export type SchoolComparison = { readonly id: School['id']; readonly name: string } & (
  | {
      readonly possible: true;
      readonly changes: readonly Change[];
      readonly figures: SchoolFigures;
    }
  | { readonly possible: false; readonly reason: string }
);

const electric: ReadonlySet<CatalogueItem['category']> = new Set([
  'device',
  'ecu',
  'relay',
  'fuse',
  'wire',
]);

function figuresOf({ electrics, parts, findings, sneaks }: Evaluation): SchoolFigures {
  const bought = parts.parts.filter(({ item }) => electric.has(item.category));
  const total = (of: (item: CatalogueItem) => number): number =>
    bought.reduce((sum, { item, quantity }) => sum + of(item) * quantity, 0);
  const count = (sort: string): number =>
    electrics.netlist.parts.filter((part) => part.sort === sort).length;
  const switches = singleFailures(electrics.netlist).filter(
    ({ kind }) => kind === 'relay does not pull in' || kind === 'controller dead',
  );
  return {
    price: total(({ price }) => price),
    mass: total(({ mass }) => mass),
    wires: electrics.wires.length,
    wireLength: electrics.wires.reduce((sum, { task }) => sum + task.length, 0),
    relays: count('relay'),
    fuses: count('fuse'),
    stops: findings.filter(({ severity }) => severity === 'stop').length,
    warnings: findings.filter(({ severity }) => severity === 'warn').length,
    pumpRunsOn: sneaks.left.pumpRunsOn.length,
    worst: [...switches].sort((a, b) => b.stops.length - a.stops.length)[0],
  };
}

/** The schools of switching side by side, each on the whole build; a step for each. */
export function* compareSchools(known: KnownBuild): Generator<void, readonly SchoolComparison[]> {
  const { document, catalogue } = known;
  const variants = variantsOf(known);
  const { netlist, buses } = variants.present.electrics;
  const compared: SchoolComparison[] = [];
  for (const school of schools({ wired: readBuild(document), netlist, catalogue, buses })) {
    if (!school.possible) {
      compared.push(school);
      continue;
    }
    const { id, name, changes } = school;
    const command = { name: 'set-several', label: name, changes: [...changes] } as const;
    const evaluation =
      changes.length === 0
        ? variants.present
        : variants.with(applyCommand(document, command).document);
    compared.push({ id, name, possible: true, changes, figures: figuresOf(evaluation) });
    yield;
  }
  return compared;
}
