import type { Catalogue, CatalogueItem } from '../catalogue/index.ts';
import { type School, type SingleFailure, schools, singleFailures } from '../electrics/index.ts';
import { type BuildDocument, type Change, readBuild } from '../model/index.ts';
import { applyCommand } from './commands/applyCommand.ts';
import { type Evaluation, evaluate } from './evaluate.ts';

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
    ({ kind }) => kind === 'relay does not pull' || kind === 'controller dead',
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

/** The schools of switching side by side, each evaluated on the whole build. */
export function compareSchools(
  document: BuildDocument,
  catalogue: Catalogue,
): readonly SchoolComparison[] {
  const present = evaluate(document, catalogue);
  const { netlist, buses } = present.electrics;
  return schools({ wired: readBuild(document), netlist, catalogue, buses }).map(
    (school): SchoolComparison => {
      if (!school.possible) return school;
      const { id, name, changes } = school;
      const changed =
        changes.length === 0
          ? present
          : evaluate(
              applyCommand(document, { name: 'set-several', label: name, changes: [...changes] })
                .document,
              catalogue,
            );
      return { id, name, possible: true, changes, figures: figuresOf(changed) };
    },
  );
}
