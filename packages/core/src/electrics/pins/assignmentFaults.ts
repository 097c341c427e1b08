import { firstOf, addTo } from '../../numerics/index.ts';
import {
  type AllocationProblem,
  type Assignment,
  type OutputNeed,
  type PinOffer,
  outputsOf,
} from './allocationProblem.ts';

/** What is wrong with where signals are put. */
export interface AssignmentFault {
  readonly kind:
    | 'unassigned'
    | 'capability'
    | 'current'
    | 'frequency'
    | 'taken'
    | 'split'
    | 'pair'
    | 'timer'
    | 'total'
    | 'lock';
  readonly signals: readonly string[];
  readonly pins: readonly string[];
  /** what is asked for and what there is, A or Hz, where it is a figure */
  readonly asked?: number;
  readonly limit?: number;
}

function faultsOfOutput(
  { signals, current, frequency }: OutputNeed,
  assigned: Assignment,
  pins: ReadonlyMap<string, PinOffer>,
): AssignmentFault[] {
  const ids = signals.map(({ id }) => id);
  const taken = [...new Set(ids.map((id) => assigned.get(id)))];
  if (taken.length > 1) {
    return [{ kind: 'split', signals: ids, pins: taken.flatMap((pin) => pin ?? []) }];
  }
  const pin = pins.get(taken[0] ?? '');
  if (!pin) return [{ kind: 'unassigned', signals: ids, pins: [] }];
  const faults: AssignmentFault[] = [];
  const incapable = signals.filter(({ capability }) => !pin.capabilities.includes(capability));
  if (incapable.length > 0) {
    faults.push({ kind: 'capability', signals: incapable.map(({ id }) => id), pins: [pin.id] });
  }
  const over = (kind: 'current' | 'frequency', asked: number, limit: number): void => {
    if (asked > limit + 1e-9) faults.push({ kind, signals: ids, pins: [pin.id], asked, limit });
  };
  over('current', current, pin.currentLimit);
  over('frequency', frequency, pin.frequencyLimit);
  for (const { id, locked, pairedWith } of signals) {
    if (locked !== undefined && locked !== pin.id) {
      faults.push({ kind: 'lock', signals: [id], pins: [pin.id, locked] });
    }
    const other = pairedWith === undefined ? undefined : assigned.get(pairedWith);
    if (pairedWith !== undefined && (other === undefined || other !== pin.pairedWith)) {
      faults.push({ kind: 'pair', signals: [id, pairedWith], pins: [pin.id] });
    }
  }
  return faults;
}

/** Everything that is wrong with an assignment, made by hand or by a search; empty where it holds. */
export function assignmentFaults(
  problem: AllocationProblem,
  assigned: Assignment,
): AssignmentFault[] {
  const pins = new Map(problem.pins.map((pin) => [pin.id, pin]));
  const outputs = outputsOf(problem);
  const faults = outputs.flatMap((output) => faultsOfOutput(output, assigned, pins));
  const on = new Map<string, OutputNeed[]>();
  for (const output of outputs) {
    const pin = assigned.get(firstOf(output.signals).id);
    if (pin !== undefined) addTo(on, pin, output);
  }
  const idsOf = (members: readonly OutputNeed[]): string[] =>
    members.flatMap(({ signals }) => signals.map(({ id }) => id));
  for (const [pin, members] of on) {
    if (members.length > 1) faults.push({ kind: 'taken', signals: idsOf(members), pins: [pin] });
  }
  const timers = new Map<string, Map<number, OutputNeed[]>>();
  for (const [pin, members] of on) {
    const timer = pins.get(pin)?.timer;
    if (timer === undefined) continue;
    const rates = timers.get(timer) ?? new Map<number, OutputNeed[]>();
    for (const output of members) {
      if (output.frequency > 0) {
        addTo(rates, output.frequency, output);
      }
    }
    timers.set(timer, rates);
  }
  for (const rates of timers.values()) {
    const members = [...rates.values()].flat();
    if (rates.size > 1) {
      const at = members.flatMap(({ signals }) => assigned.get(firstOf(signals).id) ?? []);
      faults.push({ kind: 'timer', signals: idsOf(members), pins: at });
    }
  }
  for (const total of problem.totals) {
    const members = total.pins.flatMap((pin) => on.get(pin) ?? []);
    const asked = members.reduce((sum, { current }) => sum + current, 0);
    if (asked > total.current + 1e-9) {
      faults.push({
        kind: 'total',
        signals: idsOf(members),
        pins: total.pins,
        asked,
        limit: total.current,
      });
    }
  }
  return faults;
}
