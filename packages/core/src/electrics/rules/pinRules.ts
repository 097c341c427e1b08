import { capabilityOf, lookUp } from '../../catalogue/index.ts';
import { memo } from '../../numerics/index.ts';
import type { BuildFinding } from '../../model/index.ts';
import type { ElectricsChecked, ElectricsRule } from '../checked.ts';
import { nodeOf } from '../netlist/netlist.ts';
import { type AssignmentFault, assignmentFaults } from '../pins/assignmentFaults.ts';
import { controllerSignals, problemOf } from '../pins/problemOf.ts';
import { firingOrder } from '../pins/firingOrder.ts';
import { outOfSequence } from '../pins/outOfSequence.ts';
import { tooFew } from '../pins/tooFew.ts';
import { ENGINE_CONTROLLER } from '../slices/controllers.ts';
import { freePins, waysOut } from './pinCures.ts';
import type { Unit } from './unit.ts';
import { threeWireValve } from './valveCures.ts';

/** The controllers that say what their pins can do. */
function unitsOf({ wired, catalogue, ecu }: ElectricsChecked): Unit[] {
  const engine = { id: ENGINE_CONTROLLER, name: ecu.designation, item: ecu };
  const others = wired.controllers.map(({ id, name, item }) => ({
    id,
    name,
    item: lookUp(catalogue, 'ecu', item, `controllers.${id}.item`),
  }));
  return [engine, ...others].filter(({ item }) => item.pins.length > 0);
}

/** The signals of a unit as they stand, and which sets of them want more pins than it has. */
const standingAt = memo(
  (
    item: Unit['item'],
    id: string,
    netlist: ElectricsChecked['electrics']['netlist'],
    devices: ElectricsChecked['wired']['devices'],
    power: ElectricsChecked['wired']['power'],
    firing: string,
    cylinders: number,
  ) => {
    const order = firingOrder(firing, cylinders);
    const signals = controllerSignals({ devices, power }, netlist, id, item, order);
    const { problem, assigned } = problemOf(item, signals);
    return { signals, problem, assigned, few: tooFew(problem) };
  },
);

/** Units with how their signals stand. */
const unitsWithSignals = (checked: ElectricsChecked) => {
  const { wired, electrics, document } = checked;
  const { firingOrder: firing, cylinders } = document.brief;
  return unitsOf(checked).map((unit) => ({
    unit,
    standing: standingAt(
      unit.item,
      unit.id,
      electrics.netlist,
      wired.devices,
      wired.power,
      firing,
      cylinders,
    ),
  }));
};

const few: ElectricsRule = {
  id: 'pin.too-few',
  source: 'every signal needs a pin that can do what it asks',
  check: (checked) =>
    unitsWithSignals(checked).flatMap(({ unit, standing: { signals, assigned, few: sets } }) => {
      const byId = new Map(signals.map((signal) => [signal.id, signal]));
      const told = new Set<string>();
      return sets.flatMap(({ signals: ids, pins }): BuildFinding[] => {
        const wanting = ids.flatMap((id) => byId.get(id) ?? []);
        const valve =
          pins.length === 0 ? threeWireValve(checked, unit, wanting, assigned) : undefined;
        if (valve) {
          if (told.has(valve.device.id)) return [];
          told.add(valve.device.id);
          return [
            {
              id: `pin.three-wire-valve:${valve.device.id}`,
              rule: 'pin.too-few',
              severity: 'stop',
              where: { stage: 'pins', controller: unit.id, signal: wanting[0]?.id ?? '' },
              title: '3-wire idle valve on a 2-wire output',
              because: `${valve.device.name} needs two complementary PWM signals; ${unit.name} has one`,
              numbers: {},
              cures: valve.cures,
            },
          ];
        }
        const wanted = [...new Set(wanting.map(({ need }) => need.capability))];
        const names = wanting.map(({ need }) => need.name).join('; ');
        const counts = {
          wanting: { value: wanting.length, kind: 'count' },
          pins: { value: pins.length, kind: 'count' },
        } as const;
        const id = `pin.too-few:${unit.id}/${wanted.join('/')}`;
        // A second set that wants the same is told when the first has found its way out.
        if (told.has(id)) return [];
        told.add(id);
        return [
          {
            id,
            rule: 'pin.too-few',
            severity: 'stop',
            where: { stage: 'pins', controller: unit.id, signal: wanting[0]?.id ?? '' },
            title: 'Too few pins of one kind',
            because: `{wanting} signals need ${wanted.map((each) => capabilityOf(each).words).join(' or ')} (${names}); ${unit.name} has {pins}`,
            numbers: counts,
            measured: counts.wanting,
            limit: counts.pins,
            cures: () => waysOut(checked, unit, wanting, wanting.length - pins.length),
          },
        ];
      });
    }),
};

const faultWords: Readonly<Record<AssignmentFault['kind'], string>> = {
  unassigned: 'has no pin yet',
  capability: 'its pin lacks the capability it needs',
  current: 'needs more current than its pin carries',
  frequency: 'has a higher frequency than its pin can handle',
  taken: 'share one pin',
  split: 'must share one pin and are on several',
  pair: 'needs the two pins of a pair',
  timer: 'need different frequencies on pins that share a timer',
  total: 'together take more than their pins may carry together',
  lock: 'is not on the pin it is locked to',
};

/** Signals that have no pin, and pins that do not serve what is on them. */
const faults: ElectricsRule = {
  id: 'pin.fault',
  source: 'capability, current, frequency, pairs, timers and totals of the controller’s pins',
  check: (checked) =>
    unitsWithSignals(checked).flatMap(({ unit, standing }) => {
      const { signals, problem, assigned } = standing;
      const lacking = new Set(standing.few.flatMap((each) => each.signals));
      const byId = new Map(signals.map((signal) => [signal.id, signal]));
      const open = assignmentFaults(problem, assigned).filter(
        // What has no pin because there are too few is told with those that want the same.
        ({ kind, signals: ids }) =>
          !((kind === 'unassigned' || kind === 'pair') && ids.some((id) => lacking.has(id))),
      );
      return open.map((fault): BuildFinding => {
        const ids = fault.signals;
        const names = ids.map((id) => byId.get(id)?.need.name ?? id).join('; ');
        const unassigned = fault.kind === 'unassigned';
        const kind = fault.kind === 'frequency' ? 'frequency' : 'current';
        const figures =
          fault.asked !== undefined && fault.limit !== undefined
            ? {
                measured: { value: fault.asked, kind } as const,
                limit: { value: fault.limit, kind } as const,
              }
            : {};
        return {
          id: `pin.${fault.kind}:${ids[0] ?? unit.id}`,
          rule: 'pin.fault',
          severity: unassigned ? 'warn' : 'stop',
          where: { stage: 'pins', controller: unit.id, signal: ids[0] ?? '' },
          title: unassigned ? 'Signal without a pin' : 'Pin does not suit its signal',
          because: `${names}: ${faultWords[fault.kind]}${fault.pins.length > 0 ? ` (${fault.pins.join(', ')})` : ''}`,
          numbers: {},
          ...figures,
          cures: () => freePins(unit, byId.get(ids[0] ?? ''), assigned),
        };
      });
    }),
};

/** Injectors or coils on outputs that fire in another order than their cylinders. */
const sequence: ElectricsRule = {
  id: 'pin.sequence',
  source:
    'output n belongs to cylinder n, or to the n-th cylinder to fire, as the maker of the unit defines it',
  check: (checked) =>
    unitsWithSignals(checked).flatMap(({ unit, standing: { signals } }): BuildFinding[] => {
      const first = signals.find(({ need }) => need.group !== undefined);
      const isUnknown =
        unit.item.sequence === 'firing order' &&
        first !== undefined &&
        first.need.position === undefined;
      if (isUnknown) {
        return [
          {
            id: `pin.sequence-unknown:${unit.id}`,
            rule: 'pin.sequence',
            severity: 'warn',
            where: { stage: 'pins', controller: unit.id, signal: first.id },
            title: 'Firing order is not known',
            because: `output n of ${unit.name} belongs to the n-th cylinder to fire: without the firing order the wires cannot be assigned`,
            numbers: {},
            cures: () => [{ text: 'Enter the firing order in the brief' }],
          },
        ];
      }
      return outOfSequence(unit.item, signals).map(({ group, signals: inOrder, belongs }) => {
        const devices: Record<string, Record<string, string>> = {};
        for (const { id, partId, pin } of inOrder) {
          devices[partId] = { ...devices[partId], [pin]: belongs.get(id) ?? '' };
        }
        const words = inOrder.map(({ id, need }) => `${need.name} on ${belongs.get(id) ?? ''}`);
        return {
          id: `pin.sequence:${unit.id}/${inOrder[0]?.id ?? group}`,
          rule: 'pin.sequence',
          severity: 'stop',
          where: { stage: 'pins', controller: unit.id, signal: inOrder[0]?.id ?? '' },
          title: 'Outputs do not follow the firing order',
          because: `${unit.name} orders its outputs by ${unit.item.sequence}; wired like this, spark or fuel goes to the wrong cylinder. Correct: ${words.join('; ')}`,
          numbers: {},
          cures: () => [
            {
              text: 'Move each to its own output',
              command: { name: 'assign-pins', controllerId: unit.id, devices },
            },
          ],
        };
      });
    }),
};

/** More taken from the 5 V of a controller than it gives. */
const reference: ElectricsRule = {
  id: 'reference.overload',
  source: 'load of the 5 V reference within its limit',
  check: (checked) =>
    unitsOf(checked).flatMap((unit) => {
      const { referenceTotal } = unit.item;
      if (referenceTotal === 0) return [];
      const pins = new Set(
        unit.item.pins
          .filter(({ capabilities }) => capabilities.includes('reference-5v'))
          .map(({ id }) => id),
      );
      const parts = new Map(checked.electrics.netlist.parts.map((part) => [part.id, part]));
      const drawn = checked.wired.devices.reduce((sum, { id, state, connections }) => {
        if (state === 'removed') return sum;
        const loads = parts.get(id)?.inside ?? [];
        return (
          sum +
          Object.entries(connections).reduce((own, [pin, target]) => {
            const isHere =
              target.to === 'controller' && target.controllerId === unit.id && pins.has(target.pin);
            if (!isHere) return own;
            const node = nodeOf(id, pin);
            const load = loads.find((e) => e.kind === 'load' && e.from === node);
            return load?.kind === 'load' ? own + load.current : own;
          }, 0)
        );
      }, 0);
      if (drawn <= referenceTotal + 1e-9) return [];
      const figures = {
        drawn: { value: drawn, kind: 'current' },
        limit: { value: referenceTotal, kind: 'current' },
      } as const;
      const finding: BuildFinding = {
        id: `reference.overload:${unit.id}`,
        rule: 'reference.overload',
        severity: 'stop',
        where: { stage: 'pins', controller: unit.id },
        title: '5 V reference is overloaded',
        because: `the sensors on ${unit.name} draw {drawn}; it delivers {limit}`,
        numbers: figures,
        measured: figures.drawn,
        limit: figures.limit,
        cures: () => [
          { text: 'Move some sensors to another unit, or to a reference of their own' },
        ],
      };
      return [finding];
    }),
};

/** Checks of which pins serve which signals. */
export const pinRules: readonly ElectricsRule[] = [few, faults, sequence, reference];
