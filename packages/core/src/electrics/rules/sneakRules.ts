import { newestOf, refOf } from '../../catalogue/index.ts';
import { type BuildCommand, type BuildFinding, ORDER_STEP } from '../../model/index.ts';
import type { Cure } from '../../results/index.ts';
import { freeId, plainDevice } from '../proposals/newDevice.ts';
import type { ElectricsChecked, ElectricsRule } from '../checked.ts';
import type { KeptAlive } from '../sneak/leftAlive.ts';
import { ENGINE_CONTROLLER } from '../slices/controllers.ts';
import { singleFailure } from '../supply/singleFailures.ts';
import { connect } from './connect.ts';
import { overTheIsolator } from './isolatorCures.ts';

const wayInWords = (way: readonly { readonly name: string }[]): string =>
  way.map(({ name }) => name).join(' → ');

const path: ElectricsRule = {
  id: 'sneak.path',
  source: 'no load is live whose switch is off',
  check: ({ sneaks }) =>
    sneaks.proof.paths.flatMap((each): BuildFinding[] =>
      each.broken
        ? []
        : [
            {
              id: `sneak.path:${each.partId}`,
              rule: 'sneak.path',
              severity: 'stop',
              where: { stage: 'switching' },
              title: 'Alive while it is switched off',
              because: `${each.name} gets {volts}: ${wayInWords(each.way)}`,
              numbers: { volts: { value: each.volts, kind: 'voltage' } },
              measured: { value: each.volts, kind: 'voltage' },
              cures: () => [
                { text: `Give ${each.name} a feed or a ground that nothing else shares` },
              ],
            },
          ],
    ),
};

const whenBroken: ElectricsRule = {
  id: 'sneak.broken',
  source: 'with one fuse out or one ground open nothing comes alive that is off',
  check: ({ sneaks }) => {
    const byBroken = new Map<string, typeof sneaks.proof.paths>();
    for (const each of sneaks.proof.paths) {
      if (!each.broken) continue;
      const key = each.broken.partId;
      byBroken.set(key, [...(byBroken.get(key) ?? []), each]);
    }
    return [...byBroken].flatMap(([partId, paths]): BuildFinding[] => {
      const [worst] = [...paths].sort((a, b) => b.volts - a.volts);
      if (!worst?.broken) return [];
      const names = [...new Set(paths.map(({ name }) => name))].join(', ');
      const state = worst.broken.kind === 'fuse out' ? 'is out' : 'is open';
      return [
        {
          id: `sneak.broken:${partId}`,
          rule: 'sneak.broken',
          severity: 'note',
          where: { stage: 'switching' },
          title: `Comes alive when ${worst.broken.name} ${state}`,
          because: `${names}: up to {volts} over ${wayInWords(worst.way)}`,
          numbers: { volts: { value: worst.volts, kind: 'voltage' } },
          cures: () => [
            { text: `Check ${worst.broken?.name ?? ''} first when this happens` },
            { text: 'Give what shares it a ground of its own' },
          ],
        },
      ];
    });
  },
};

/** The relay in the way of what is kept alive, if one is. */
const relayIn = ({ electrics }: ElectricsChecked, { way }: KeptAlive): string | undefined =>
  way.find(({ partId }) =>
    electrics.netlist.parts.some(({ id, sort }) => id === partId && sort === 'relay'),
  )?.partId;

/** Feeds the coil of a relay from another wire that is live in RUN and CRANK and dead in OFF. */
function fromAnotherWire(checked: ElectricsChecked, kept: KeptAlive): Cure<BuildCommand>[] {
  const { wired } = checked;
  const relay = wired.devices.find(({ id }) => id === relayIn(checked, kept));
  const side =
    relay && (['86', '85'] as const).find((pin) => relay.connections[pin]?.to === 'signal');
  const present = side && relay.connections[side];
  if (!relay || !side || present?.to !== 'signal') return [];
  const isLive = (volts: { readonly value: number } | null): boolean => (volts?.value ?? 0) > 5;
  return wired.vehicleSignals
    .filter(
      ({ id, use, off, run, crank }) =>
        id !== present.signalId &&
        use === 'ignition feed' &&
        !isLive(off) &&
        isLive(run) &&
        isLive(crank),
    )
    .map((signal) => ({
      text: `Feed the coil of ${relay.name} from ${signal.name}, which the lamp is not on`,
      command: connect(relay, side, { to: 'signal', signalId: signal.id }),
    }));
}

const keyOff: ElectricsRule = {
  id: 'backfeed.key-off',
  source: 'with the key off nothing keeps controller or ignition alive',
  check: (checked) => {
    const [first, ...others] = checked.sneaks.left.keyOff;
    if (!first) return [];
    const rest =
      others.length > 0 ? `, and with it ${others.map(({ name }) => name).join(', ')}` : '';
    return [
      {
        id: `backfeed.key-off:${first.partId}`,
        rule: 'backfeed.key-off',
        severity: 'stop',
        where: { stage: 'switching' },
        title: 'The engine goes on with the key off',
        because: `${first.name} keeps {volts} over ${wayInWords(first.way)}${rest}`.slice(0, 600),
        numbers: { volts: { value: first.volts, kind: 'voltage' } },
        measured: { value: first.volts, kind: 'voltage' },
        cures: () => [
          ...fromAnotherWire(checked, first),
          { text: 'Put a diode into the wire of the charge lamp, or feed the lamp by itself' },
        ],
      },
    ];
  },
};

/** Whether an engine keeps running: something still fires or injects. */
const stillRuns = ({ electrics }: ElectricsChecked, kept: readonly KeptAlive[]): boolean => {
  const parts = new Map(electrics.netlist.parts.map((part) => [part.id, part]));
  const alive = kept.map(({ partId }) => parts.get(partId));
  const fires = alive.some((part) => part?.role === 'ignition coil');
  const hasCoils = electrics.netlist.parts.some(({ role }) => role === 'ignition coil');
  return fires || (!hasCoils && alive.some((part) => part?.id === ENGINE_CONTROLLER));
};

const isolatorRunsOn: ElectricsRule = {
  id: 'isolator.runs-on',
  source:
    'the isolator cuts what feeds controller or ignition: a charging alternator goes on feeding them',
  check: (checked) => {
    const kept = checked.sneaks.left.isolated;
    const [first] = kept ?? [];
    if (!kept || !first || !stillRuns(checked, kept)) return [];
    return [
      {
        id: 'isolator.runs-on',
        rule: 'isolator.runs-on',
        severity: 'stop',
        where: { stage: 'switching' },
        title: 'The engine runs on with the isolator open',
        because: `${first.name} keeps {volts} over ${wayInWords(first.way)}`,
        numbers: { volts: { value: first.volts, kind: 'voltage' } },
        measured: { value: first.volts, kind: 'voltage' },
        cures: () => [
          ...overTheIsolator(checked, relayIn(checked, first)),
          { text: 'Lead the feed of the controller over the isolator' },
        ],
      },
    ];
  },
};

/** The battery's side of an isolator that joins it to what charges, for the cable of the alternator. */
function toTheBattery({ wired, supply }: ElectricsChecked): Cure<BuildCommand>[] {
  return supply.generators.flatMap(({ id }): Cure<BuildCommand>[] => {
    const generator = wired.devices.find((device) => device.id === id);
    const [target] = Object.values(generator?.connections ?? {}).filter(
      (each) => each.to === 'part',
    );
    const fuse =
      target?.to === 'part'
        ? wired.devices.find((device) => device.id === target.partId)
        : undefined;
    const intoFuse = fuse?.part.kind === 'fuse' ? fuse : undefined;
    const from = intoFuse?.connections['in'];
    const isolator =
      from?.to === 'part' ? wired.devices.find((device) => device.id === from.partId) : undefined;
    const before = isolator?.connections['in'];
    if (!intoFuse || !before) return [];
    return [
      {
        text: `Lead ${intoFuse.name} to the battery’s side of ${isolator.name}`,
        command: connect(intoFuse, 'in', before),
      },
    ];
  });
}

const isolatorLoadDump: ElectricsRule = {
  id: 'isolator.load-dump',
  source: 'an alternator never runs into an open battery',
  check: (checked) =>
    checked.sneaks.left.isolatorParts
      ? [
          {
            id: 'isolator.load-dump',
            rule: 'isolator.load-dump',
            severity: 'stop',
            where: { stage: 'switching' },
            title: 'The isolator parts the alternator from the battery',
            because:
              'opened while the engine runs, it lets the alternator’s voltage shoot up into everything that is on',
            numbers: {},
            cures: () => [
              ...toTheBattery(checked),
              { text: 'Cut the alternator’s field with the same isolator' },
            ],
          },
        ]
      : [],
};

const batteryLoadDump: ElectricsRule = {
  id: 'battery.load-dump',
  source: 'a battery that cuts itself off leaves the alternator without one',
  check: ({ supply, catalogue }) => {
    const { battery, generators } = supply;
    if (!battery.cutsItselfOff || generators.length === 0) return [];
    const others = newestOf(catalogue, 'battery').filter(
      (each) => !each.cutsItselfOff && each.interchange === battery.interchange,
    );
    return [
      {
        id: 'battery.load-dump',
        rule: 'battery.load-dump',
        severity: 'warn',
        where: { stage: 'supply' },
        title: 'The battery may cut itself off while it is charged',
        because: `${battery.designation} opens by itself when it is too full or too cold: ${generators[0]?.name ?? ''} then charges into nothing`,
        numbers: {},
        cures: () => [
          ...others.map((each) => ({
            text: `Fit ${each.designation}`,
            command: { name: 'set' as const, path: ['power', 'battery'], value: refOf(each) },
          })),
          {
            text: 'Fit a clamp across the output, and a regulator that shuts down without a battery',
          },
        ],
      },
    ];
  },
};

const pumpRunsOn: ElectricsRule = {
  id: 'pump.runs-on',
  source: 'the pump stops with the key',
  check: ({ sneaks, electrics }) =>
    sneaks.left.pumpsOn.map((partId): BuildFinding => ({
      id: `pump.runs-on:${partId}`,
      rule: 'pump.runs-on',
      severity: 'stop',
      where: { stage: 'switching' },
      title: 'The pump runs with the key off',
      because: `${electrics.netlist.parts.find(({ id }) => id === partId)?.name ?? partId} is alive with the key off and the engine standing`,
      numbers: {},
      cures: () => [{ text: 'Switch it by a relay that the controller commands' }],
    })),
};

/** Puts a switch into the feed of a relay's coil. */
function interlock({ wired, catalogue }: ElectricsChecked, relayId: string): Cure<BuildCommand>[] {
  const relay = wired.devices.find(({ id }) => id === relayId);
  const before = relay?.connections['86'];
  const item = newestOf(catalogue, 'device').find(
    ({ role, pins }) =>
      role === 'switch' &&
      pins.length === 2 &&
      pins.some(({ behaviour, use }) => behaviour === 'contact' && use === 'supply'),
  );
  const [feed, end] = item?.pins ?? [];
  if (!relay || !before || before.to === 'controller' || !item || !feed || !end) return [];
  const id = freeId(wired, 'start-interlock');
  const text = `Put a clutch or neutral switch into the coil of ${relay.name}`;
  return [
    {
      text,
      command: {
        name: 'set-several',
        label: text,
        changes: [
          {
            path: ['devices', id],
            value: {
              ...plainDevice,
              order: ORDER_STEP * (wired.devices.length + 1),
              name: 'Start interlock, clutch or neutral',
              part: { kind: 'item', item: refOf(item) },
              placementId: relay.placementId,
              connections: { [feed.id]: before },
            },
          },
          {
            path: ['devices', relay.id, 'connections', '86'],
            value: { to: 'part', partId: id, pin: end.id },
          },
        ],
      },
    },
  ];
}

const starter: ElectricsRule = {
  id: 'starter.interlock',
  source: 'the starter turns by its own relay, and only in neutral or with the clutch down',
  check: (checked) =>
    checked.sneaks.left.startsInGear.map((relayId): BuildFinding => ({
      id: `starter.interlock:${relayId}`,
      rule: 'starter.interlock',
      severity: 'warn',
      where: { stage: 'switching', switch: relayId },
      title: 'The starter turns in gear',
      because: `${checked.electrics.netlist.parts.find(({ id }) => id === relayId)?.name ?? relayId}: no clutch or neutral switch lies in its coil’s way, and no controller commands it`,
      numbers: {},
      cures: () => [
        ...interlock(checked, relayId),
        { text: 'Lead the coil over the clutch or neutral switch' },
      ],
    })),
};

/** So many parts that stop with one box are worth a word. */
const MANY = 5;
/** So many of them are named. */
const NAMED = 10;

const oneBox: ElectricsRule = {
  id: 'controller.one-box',
  source: 'a module that takes the place of relays is one box to fail: what stops with it is known',
  check: ({ electrics, switching }) => {
    const boxes = new Set(
      switching.rows.flatMap(({ of }) =>
        of.kind === 'output' && of.partId !== ENGINE_CONTROLLER ? [of.partId] : [],
      ),
    );
    return electrics.netlist.parts.flatMap((part): BuildFinding[] => {
      const failure = boxes.has(part.id) ? singleFailure(electrics.netlist, part) : undefined;
      if (!failure || failure.stops.length < MANY) return [];
      const names = failure.stops.slice(0, NAMED).map(({ name }) => name);
      const rest = failure.stops.length - names.length;
      return [
        {
          id: `controller.one-box:${part.id}`,
          rule: 'controller.one-box',
          severity: 'note',
          where: { stage: 'supply' },
          title: `${part.name} is one box to fail`,
          because: `with it stop ${names.join(', ')}${rest > 0 ? ` and ${String(rest)} more` : ''}`,
          numbers: {},
          measured: { value: failure.stops.length, kind: 'count' },
          limit: { value: MANY, kind: 'count' },
          cures: () => [
            { text: 'Carry one that is set the same, with its list of settings' },
            { text: 'Leave what the engine needs to run on relays of its own' },
          ],
        },
      ];
    });
  },
};

/** Checks of what is alive where it should be dead. */
export const sneakRules: readonly ElectricsRule[] = [
  path,
  keyOff,
  isolatorRunsOn,
  isolatorLoadDump,
  batteryLoadDump,
  pumpRunsOn,
  starter,
  whenBroken,
  oneBox,
];
