import { type EcuItem, capabilityWords, lookUp, newestOf, refOf } from '../../catalogue/index.ts';
import type { BuildCommand, BuildFinding, Device } from '../../model/index.ts';
import type { Cure } from '../../results/index.ts';
import type { ElectricsChecked, ElectricsRule } from '../checked.ts';
import { type AssignmentFault, assignmentFaults } from '../pins/assignmentFaults.ts';
import { type ControllerSignal, controllerSignals, problemOf } from '../pins/problemOf.ts';
import { tooFew } from '../pins/tooFew.ts';
import { ENGINE_CONTROLLER } from '../slices/controllers.ts';

interface Unit {
  readonly id: string;
  readonly name: string;
  readonly item: EcuItem;
}

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

const signalsOf = ({ wired, electrics }: ElectricsChecked, { id, item }: Unit) =>
  controllerSignals(wired, electrics.netlist, id, item);

/** A relay whose coil an output feeds, wired so that an output draws its coil to ground instead. */
function asLowSide(device: Device, unitId: string): Cure<BuildCommand> | undefined {
  const feed = device.connections['30'];
  if (device.part.kind !== 'relay' || !feed || device.connections['86']?.to !== 'controller') {
    return undefined;
  }
  const at = (pin: string) => ['devices', device.id, 'connections', pin];
  return {
    text: `Let the ECU draw the coil of ${device.name} to ground: another base, low side`,
    command: {
      name: 'set-several',
      label: `${device.name} switched on the low side`,
      changes: [
        { path: at('86'), value: feed },
        {
          path: at('85'),
          value: { to: 'controller', controllerId: unitId, pin: '', locked: false },
        },
      ],
    },
  };
}

/** Two relays on one output: the second coil hangs on the first. */
function onOneOutput(first: Device, second: Device): Cure<BuildCommand> | undefined {
  const isFed = (device: Device): boolean =>
    device.part.kind === 'relay' && device.connections['86']?.to === 'controller';
  if (!isFed(first) || !isFed(second)) return undefined;
  return {
    text: `Put ${second.name} on the output of ${first.name}: both run together`,
    command: {
      name: 'connect-pin',
      owner: { kind: 'device', id: second.id },
      pin: '86',
      connection: { to: 'part', partId: first.id, pin: '86' },
    },
  };
}

function waysOut(
  { wired, catalogue, electrics: { netlist } }: ElectricsChecked,
  unit: Unit,
  signals: readonly ControllerSignal[],
): Cure<BuildCommand>[] {
  const devices = signals.flatMap(
    ({ partId }) => wired.devices.find(({ id }) => id === partId) ?? [],
  );
  const isFan = new Set(netlist.parts.filter(({ role }) => role === 'fan').map(({ id }) => id));
  const drives = (relay: Device): boolean =>
    wired.devices.some(
      ({ id, connections }) =>
        isFan.has(id) &&
        Object.values(connections).some((to) => to.to === 'part' && to.partId === relay.id),
    );
  const fans = devices.filter((device) => device.part.kind === 'relay' && drives(device));
  const shared = fans.flatMap((first, i) =>
    fans.slice(i + 1).flatMap((second) => onOneOutput(first, second) ?? []),
  );
  const without = new Set(
    signals.flatMap(({ partId, assigned }) => (assigned === '' ? partId : [])),
  );
  const free = [...devices]
    .sort((a, b) => Number(without.has(a.id)) - Number(without.has(b.id)))
    .flatMap((device) => asLowSide(device, unit.id) ?? []);
  const larger = newestOf(catalogue, 'ecu').find(
    (other) =>
      other.family === unit.item.family &&
      other.pins.length > unit.item.pins.length &&
      unit.id === ENGINE_CONTROLLER,
  );
  return [
    ...shared.slice(-1),
    ...free.slice(-1),
    { text: 'Add a power module on the bus that switches some of them' },
    ...(larger ? [{ text: `Take a larger unit: ${larger.designation}` }] : []),
  ];
}

/** An idle valve that is drawn open and closed, on a unit that can only do one. */
function threeWireValve(
  { wired, catalogue }: ElectricsChecked,
  signals: readonly ControllerSignal[],
): { readonly device: Device; readonly cures: Cure<BuildCommand>[] } | undefined {
  const [first] = signals;
  const device = wired.devices.find(({ id }) => id === first?.partId);
  if (!first || device?.part.kind !== 'item') return undefined;
  const item = lookUp(catalogue, 'device', device.part.item, device.id);
  const isPair = item.role === 'idle valve' && first.need.pairedWith !== undefined;
  if (!isPair || !signals.every(({ partId }) => partId === device.id)) return undefined;
  const plain = newestOf(catalogue, 'device').find(
    (other) =>
      other.role === 'idle valve' && other.pins.every(({ pairedWith }) => pairedWith === ''),
  );
  const supply = device.connections['2'];
  const fit: Cure<BuildCommand>[] =
    plain && supply
      ? [
          {
            text: `Fit ${plain.designation.toLowerCase()}`,
            command: {
              name: 'set-several',
              label: `Fit ${plain.designation}`,
              changes: [
                {
                  path: ['devices', device.id, 'part'],
                  value: { kind: 'item', item: refOf(plain) },
                },
                {
                  path: ['devices', device.id, 'connections'],
                  value: {
                    '1': supply,
                    '2': {
                      to: 'controller',
                      controllerId: ENGINE_CONTROLLER,
                      pin: '',
                      locked: false,
                    },
                  },
                },
              ],
            },
          },
        ]
      : [];
  return {
    device,
    cures: [
      ...fit,
      {
        text: 'Cap it, and hold idle by timing and the throttle stop',
        command: { name: 'set', path: ['devices', device.id, 'state'], value: 'removed' },
      },
      { text: 'Add a driver that makes both pulses of one' },
    ],
  };
}

const few: ElectricsRule = {
  id: 'pin.too-few',
  source: 'every signal needs a pin that can do what it asks',
  check: (checked) =>
    unitsOf(checked).flatMap((unit) => {
      const signals = signalsOf(checked, unit);
      const { problem } = problemOf(unit.item, signals);
      const byId = new Map(signals.map((signal) => [signal.id, signal]));
      const told = new Set<string>();
      return tooFew(problem).flatMap(({ signals: ids, pins }): BuildFinding[] => {
        const wanting = ids.flatMap((id) => byId.get(id) ?? []);
        const valve = pins.length === 0 ? threeWireValve(checked, wanting) : undefined;
        if (valve) {
          if (told.has(valve.device.id)) return [];
          told.add(valve.device.id);
          return [
            {
              id: `pin.three-wire-valve:${valve.device.id}`,
              rule: 'pin.too-few',
              severity: 'stop',
              where: { stage: 'pins', controller: unit.id, signal: wanting[0]?.id ?? '' },
              title: 'Idle valve of three wires, unit for two',
              because: `${valve.device.name} is drawn open and closed by two pulses against each other; ${unit.name} makes one`,
              numbers: {},
              cures: () => valve.cures,
            },
          ];
        }
        const wanted = [...new Set(wanting.map(({ need }) => need.capability))];
        const names = wanting.map(({ need }) => need.name).join('; ');
        const counts = {
          wanting: { value: wanting.length, kind: 'count' },
          pins: { value: pins.length, kind: 'count' },
        } as const;
        return [
          {
            id: `pin.too-few:${unit.id}/${wanted.join('/')}`,
            rule: 'pin.too-few',
            severity: 'stop',
            where: { stage: 'pins', controller: unit.id, signal: wanting[0]?.id ?? '' },
            title: 'Too few pins of a kind',
            because: `{wanting} signals need ${wanted.map((each) => capabilityWords[each]).join(' or ')} (${names}); ${unit.name} has {pins}`,
            numbers: counts,
            measured: counts.wanting,
            limit: counts.pins,
            cures: () => waysOut(checked, unit, wanting),
          },
        ];
      });
    }),
};

const faultWords: Readonly<Record<AssignmentFault['kind'], string>> = {
  unassigned: 'has no pin yet',
  capability: 'its pin cannot do what it asks',
  current: 'asks for more current than its pin carries',
  frequency: 'is faster than its pin',
  taken: 'share one pin',
  split: 'belong on one pin and are on several',
  pair: 'belongs on two pins that are a pair',
  timer: 'ask for different frequencies of pins that share a timer',
  total: 'together take more than their pins may carry together',
  lock: 'is not where it was settled',
};

/** Signals that have no pin, and pins that do not serve what is on them. */
const faults: ElectricsRule = {
  id: 'pin.fault',
  source: 'capability, current, frequency, pairs, timers and totals of the controller’s pins',
  check: (checked) =>
    unitsOf(checked).flatMap((unit) => {
      const signals = signalsOf(checked, unit);
      const { problem, assigned } = problemOf(unit.item, signals);
      const lacking = new Set(tooFew(problem).flatMap((each) => each.signals));
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
          title: unassigned ? 'Signal without a pin' : 'Pin does not serve its signal',
          because: `${names}: ${faultWords[fault.kind]}${fault.pins.length > 0 ? ` (${fault.pins.join(', ')})` : ''}`,
          numbers: {},
          ...figures,
          cures: () => freePins(unit, byId.get(ids[0] ?? ''), assigned),
        };
      });
    }),
};

/** Free pins that would serve a signal: the first few. */
function freePins(
  unit: Unit,
  signal: ControllerSignal | undefined,
  assigned: ReadonlyMap<string, string>,
): Cure<BuildCommand>[] {
  if (!signal) return [];
  const taken = new Set(assigned.values());
  const { need } = signal;
  const fit = unit.item.pins.filter(
    (pin) =>
      !taken.has(pin.id) &&
      pin.capabilities.includes(need.capability) &&
      (pin.current === 0 || pin.current >= need.current) &&
      (pin.frequency === 0 || pin.frequency >= need.frequency) &&
      need.pairedWith === undefined,
  );
  const cures = fit.slice(0, 2).map((pin): Cure<BuildCommand> => ({
    text: `Put ${need.name} on pin ${pin.id}`,
    command: {
      name: 'assign-pins',
      controllerId: unit.id,
      devices: signal.feedId === undefined ? { [signal.partId]: { [signal.pin]: pin.id } } : {},
      feeds: signal.feedId === undefined ? {} : { [signal.feedId]: pin.id },
    },
  }));
  return cures.length > 0 ? cures : [{ text: 'Look for pins for all signals at once' }];
}

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
            const load = loads.find((e) => e.kind === 'load' && e.from === `${id}:${pin}`);
            return isHere && load?.kind === 'load' ? own + load.current : own;
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
        because: `the sensors on ${unit.name} take {drawn}; it gives {limit}`,
        numbers: figures,
        measured: figures.drawn,
        limit: figures.limit,
        cures: () => [
          { text: 'Take some sensors to another unit, or to a reference of their own' },
        ],
      };
      return [finding];
    }),
};

/** Checks of which pins serve which signals. */
export const pinRules: readonly ElectricsRule[] = [few, faults, reference];
