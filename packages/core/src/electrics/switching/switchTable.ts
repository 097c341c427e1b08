import type { Build, SwitchRow } from '../../model/index.ts';
import type { Netlist } from '../netlist/netlist.ts';
import { type Ways, switchingWays } from './conditions.ts';
import { type Switch, switchKey, switchesOf } from './switches.ts';
import { takenWays } from './takenWays.ts';

/** When a switch is on: as it was entered, as it is taken to be, or as its coil is wired. */
export interface SwitchTableRow {
  readonly key: string;
  readonly of: Switch;
  readonly source: 'entered' | 'taken' | 'wired';
  /** the row of the build; undefined: none was entered */
  readonly rowId: string | undefined;
  readonly ways: Ways;
  /** s */
  readonly prime: number;
  readonly afterRun: number;
  /** what it switches, A */
  readonly current: number;
}

/** Every switch of a netlist with when it is on, in the order of the netlist; rows without their switch apart. */
export interface SwitchTable {
  readonly rows: readonly SwitchTableRow[];
  readonly parked: readonly SwitchRow[];
}

/** Whether a switch follows a temperature. */
const isByTemperature = (ways: Ways): boolean =>
  ways.some((conditions) => conditions.some(({ kind }) => kind === 'temperature'));

/** When everything that is switched is on. */
export function switchTable(input: {
  readonly netlist: Netlist;
  readonly switching: Build['switching'];
  /** K at which the thermostat opens */
  readonly thermostatOpens: number;
}): SwitchTable {
  const { netlist, switching, thermostatOpens } = input;
  const entered = new Map(switching.map((row) => [switchKey(row), row]));
  const coolantId = netlist.parts.find(({ role }) => role === 'coolant temperature')?.id;
  const switches = switchesOf(netlist);
  let fans = 0;
  const rows = switches.map((each): SwitchTableRow => {
    const key = switchKey(each);
    const row = entered.get(key);
    const current = each.loads.reduce((sum, { load }) => sum + load.current * load.duty, 0);
    const common = { key, of: each, current };
    if (each.command.by === 'wiring') {
      return { ...common, source: 'wired', rowId: row?.id, ways: [], prime: 0, afterRun: 0 };
    }
    if (row) {
      const [prime, afterRun] = [row.prime.value, row.afterRun.value];
      return {
        ...common,
        source: 'entered',
        rowId: row.id,
        ways: switchingWays(row),
        prime,
        afterRun,
      };
    }
    const taken = takenWays({ loads: each.loads, coolantId, thermostatOpens, before: fans });
    if (isByTemperature(taken.ways)) fans += 1;
    return { ...common, source: 'taken', rowId: undefined, ...taken, afterRun: 0 };
  });
  const known = new Set(switches.map(switchKey));
  return { rows, parked: switching.filter((row) => !known.has(switchKey(row))) };
}
