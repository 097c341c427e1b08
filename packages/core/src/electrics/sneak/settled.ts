import { addTo } from '../../numerics/index.ts';
import { isOnBy } from '../switching/conditions.ts';
import { type SwitchTable, type SwitchTableRow } from '../switching/switchTable.ts';
import type { VehicleState } from '../switching/vehicleState.ts';
import { COIL_HOLDS, aliveAt } from './aliveAt.ts';
import type { Condensed, Gate, Taker } from './condensed.ts';
import { CondensedCircuit } from './condensedSolution.ts';

/** In what state a vehicle is left to itself. */
export interface LeftIn {
  readonly state: VehicleState;
  /** regions that wires found on the vehicle feed */
  readonly fed: ReadonlySet<string>;
  readonly isolatorOpen: boolean;
  /** a contact that does not open any more */
  readonly stuck: Gate | undefined;
}

/** What is still alive when nothing changes any more, and what is closed then. */
export interface Settled {
  readonly alive: readonly Taker[];
  readonly closed: ReadonlySet<Gate>;
  readonly volts: (region: string) => number;
}

/** Relays let go at most one after another. */
const MOST_STEPS = 40;

type Rows = ReadonlyMap<string, readonly SwitchTableRow[]>;

/** The rows of the table by the output that commands them. */
function rowsByOutput({ rows }: SwitchTable): Rows {
  const by = new Map<string, SwitchTableRow[]>();
  for (const row of rows) {
    if (row.of.command.by !== 'output') continue;
    const { controllerId, pin } = row.of.command.output;
    const key = `${controllerId} ${pin}`;
    addTo(by, key, row);
  }
  return by;
}

const acrossOf = ({ from, to }: Taker, volts: (region: string) => number): number =>
  Math.abs(volts(from) - volts(to));

/**
 * What stays alive of a vehicle in which everything was on, once its key, its engine or its isolator
 * is as it is said: relays hold until their coil has less than they let go at, controllers switch as
 * their rows say until their electronics have too little. Undefined where the circuit has no state.
 */
export class LeftAlone {
  private readonly circuit: CondensedCircuit;
  private readonly gates: readonly Gate[];
  private readonly loads: readonly Taker[];
  private readonly rows: Rows;

  constructor(
    private readonly whole: Condensed,
    table: SwitchTable,
  ) {
    this.circuit = new CondensedCircuit(whole);
    this.gates = whole.branches.filter((each): each is Gate => each.kind === 'gate');
    this.loads = whole.branches.filter((each): each is Taker => each.kind === 'load');
    this.rows = rowsByOutput(table);
  }

  settle(left: LeftIn): Settled | undefined {
    let volts = this.volts(left, new Set(this.gates));
    for (let step = 0; step < MOST_STEPS; step++) {
      if (!volts) return undefined;
      const now = volts;
      const closed = new Set(this.gates.filter((gate) => this.isClosed(gate, left, now)));
      const next = this.volts(left, closed);
      const moved =
        !next ||
        this.loads.some((load) => Math.abs(acrossOf(load, next) - acrossOf(load, now)) > 1e-6);
      volts = next;
      if (volts && !moved) {
        const reached = volts;
        const alive = this.loads.filter((load) => acrossOf(load, reached) >= aliveAt(load));
        return { alive, closed, volts: reached };
      }
    }
    return undefined;
  }

  private volts(left: LeftIn, closed: ReadonlySet<Gate>) {
    return this.circuit.volts({
      open: (gate) => !closed.has(gate),
      fed: left.fed,
      battery: true,
      generated: left.state.engineTurns ? this.whole.generated : [],
    });
  }

  private isClosed(gate: Gate, left: LeftIn, volts: (region: string) => number): boolean {
    const { part, contact } = gate;
    if (gate === left.stuck) return true;
    if (part.sort === 'relay') {
      const coil = this.loads.find(({ part: { id } }) => id === part.id);
      return coil !== undefined && acrossOf(coil, volts) >= COIL_HOLDS;
    }
    if (contact.output !== undefined) {
      const electronics = this.loads.find(
        ({ part: { id }, load }) => id === part.id && load.when !== 'always',
      );
      if (electronics && acrossOf(electronics, volts) < aliveAt(electronics)) return false;
      const rows = this.rows.get(`${part.id} ${contact.output}`);
      return !rows || rows.some(({ ways }) => isOnBy(ways, left.state));
    }
    switch (part.role) {
      case 'key switch':
        return left.state.key !== 'off';
      case 'isolator':
        return !left.isolatorOpen;
      default:
        return true;
    }
  }
}
