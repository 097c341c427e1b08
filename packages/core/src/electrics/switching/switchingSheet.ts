import { type ElectricCase, electricCases } from '../network/electricCases.ts';
import type { LeftAlive } from '../sneak/leftAlive.ts';
import type { SneakProof } from '../sneak/sneakPaths.ts';
import type { Sneaks } from '../sneak/sneakStage.ts';
import { type Ways, isOnBy } from './conditions.ts';
import type { Netlist } from '../netlist/netlist.ts';
import { type SingleFailure, singleFailures } from '../supply/singleFailures.ts';
import type { SwitchTable, SwitchTableRow } from './switchTable.ts';
import type { Command } from './switches.ts';
import { stateIn } from './vehicleState.ts';

/** One switch as a page shows it. */
export interface SwitchLine {
  readonly key: string;
  readonly partId: string;
  readonly pin: string;
  readonly name: string;
  readonly kind: 'relay' | 'output';
  readonly command: Command;
  readonly source: SwitchTableRow['source'];
  readonly rowId: string | undefined;
  readonly ways: Ways;
  readonly prime: number;
  readonly afterRun: number;
  readonly current: number;
  /** names of what hangs on it */
  readonly loads: readonly string[];
  /** undefined where the wiring decides */
  readonly on: Readonly<Record<ElectricCase, boolean>> | undefined;
}

/** When everything is on, and what is alive that should not be: plain data. */
export interface SwitchingSheet {
  readonly lines: readonly SwitchLine[];
  readonly parked: readonly {
    readonly id: string;
    readonly partId: string;
    readonly pin: string;
  }[];
  readonly proof: SneakProof;
  readonly left: LeftAlive;
  /** failures that leave a fan standing that something else leaves on */
  readonly fansOff: readonly SingleFailure[];
}

const lineOf = ({ of, ...row }: SwitchTableRow): SwitchLine => {
  const on = electricCases.map((inCase) => [inCase, isOnBy(row.ways, stateIn[inCase])] as const);
  return {
    ...row,
    partId: of.partId,
    pin: of.pin,
    name: of.name,
    kind: of.kind,
    command: of.command,
    loads: [...new Set(of.loads.map(({ part: { name } }) => name))],
    on:
      row.source === 'wired'
        ? undefined
        : (Object.fromEntries(on) as Record<ElectricCase, boolean>),
  };
};

/** Every failure by which a fan no longer runs, with the fans alone. */
function fansOffBy(netlist: Netlist): readonly SingleFailure[] {
  const fans = new Set(netlist.parts.flatMap(({ id, role }) => (role === 'fan' ? [id] : [])));
  return singleFailures(netlist).flatMap((failure) => {
    const stops = failure.stops.filter(({ partId }) => fans.has(partId));
    return stops.length > 0 ? [{ ...failure, stops }] : [];
  });
}

/** The lines of a table. */
export const switchLines = ({ rows }: SwitchTable): readonly SwitchLine[] => rows.map(lineOf);

/** What a page shows of when things are on. */
export const switchingSheet = (
  table: SwitchTable,
  { proof, left }: Sneaks,
  netlist: Netlist,
): SwitchingSheet => ({
  fansOff: fansOffBy(netlist),
  lines: switchLines(table),
  parked: table.parked.map(({ id, partId, pin }) => ({ id, partId, pin })),
  proof,
  left,
});
