import { type ControllerPin, type DevicePin, lookUp } from '../../catalogue/index.ts';
import type { BuildFinding, Device } from '../../model/index.ts';
import type { ElectricsChecked, ElectricsRule } from '../checked.ts';
import { Joined } from '../netlist/joined.ts';
import { type NetPart, nodeOf } from '../netlist/netlist.ts';
import { sharedPartIds } from '../netlist/sharedPartIds.ts';
import { newFuse } from '../proposals/newFuse.ts';
import { connect } from './connect.ts';
import { several } from './several.ts';
import type { Connection } from '../slices/connections.ts';
import { ENGINE_CONTROLLER } from '../slices/controllers.ts';
import { liveWithKeyOff } from '../supply/liveWithKeyOff.ts';

const can = (pin: ControllerPin, capability: ControllerPin['capabilities'][number]): boolean =>
  pin.capabilities.includes(capability);

const atStud: Connection = { to: 'part', partId: sharedPartIds.stud, pin: 'stud' };

const constantFeed: ElectricsRule = {
  id: 'controller.constant-feed',
  source: 'a controller that asks for it has a constant feed, straight from the battery',
  check: (checked) => {
    const { ecu, wired, electrics } = checked;
    if (Object.keys(wired.power.ecuConnections).length === 0) return [];
    const live = liveWithKeyOff(electrics.netlist).nodes;
    return ecu.pins
      .filter((pin) => can(pin, 'supply-constant') && !live.has(nodeOf(ENGINE_CONTROLLER, pin.id)))
      .map((pin): BuildFinding => ({
        id: `controller.constant-feed:${pin.id}`,
        rule: 'controller.constant-feed',
        severity: 'warn',
        where: { stage: 'pins', controller: ENGINE_CONTROLLER },
        title: 'Controller has no constant feed',
        because: `pin ${pin.id} of ${ecu.designation} is dead with the key off: the controller forgets what it learned and cannot shut down in order`,
        numbers: {},
        cures: () => {
          const fuse = newFuse(wired, 'fuse-constant', 'Fuse, constant feed', atStud);
          return [
            several(`Feed pin ${pin.id} from the stud through its own fuse`, [
              fuse.change,
              { path: ['power', 'ecuConnections', pin.id], value: fuse.out },
            ]),
          ];
        },
      }));
  },
};

const grounds: ElectricsRule = {
  id: 'controller.grounds',
  source: 'all power grounds of a controller go to one point, on engine block or head',
  check: ({ ecu, wired }) => {
    const { ecuConnections } = wired.power;
    const [engine] = wired.grounds.filter(({ on }) => on === 'engine');
    const pins = ecu.pins.filter((pin) => can(pin, 'power-ground'));
    if (Object.keys(ecuConnections).length === 0 || pins.length === 0) return [];
    const targets = pins.map(({ id }) => ecuConnections[id]);
    const ids = new Set(targets.map((to) => (to?.to === 'ground' ? to.groundId : undefined)));
    const [only] = ids;
    const on = wired.grounds.find(({ id }) => id === only)?.on;
    if (ids.size === 1 && only !== undefined && (on === 'engine' || !engine)) return [];
    const open = pins.filter((_, i) => targets[i] === undefined).map(({ id }) => id);
    return [
      {
        id: 'controller.grounds',
        rule: 'controller.grounds',
        severity: 'warn',
        where: { stage: 'pins', controller: ENGINE_CONTROLLER },
        title: 'Controller is not grounded at one point of the engine',
        because:
          open.length > 0
            ? `power ground ${open.join(', ')} of ${ecu.designation} is not connected`
            : `the power grounds of ${ecu.designation} are ${ids.size > 1 ? 'at several points' : 'away from the engine'}: current between them and the engine shifts every reading`,
        numbers: {},
        cures: () =>
          engine
            ? [
                several(
                  `Connect all its power grounds to ${engine.name}`,
                  pins.map(({ id }) => ({
                    path: ['power', 'ecuConnections', id],
                    value: { to: 'ground', groundId: engine.id },
                  })),
                ),
              ]
            : [{ text: 'Fit a ground on the engine block and connect its power grounds there' }],
      },
    ];
  },
};

/** What fires or injects: coils, and injectors, which are no item of the catalogue with a role. */
const firesOrInjects = ({ sort, role }: NetPart): boolean =>
  role === 'ignition coil' || (sort === 'device' && role === undefined);

const sharedFeed: ElectricsRule = {
  id: 'feed.shared',
  source: 'coils and injectors have fused feeds of their own, separate from the controller’s',
  check: (checked) => {
    const { electrics, ecu, wired } = checked;
    const joined = new Joined();
    for (const { from, to } of electrics.netlist.direct) joined.join(from.node, to.node);
    const supplies = new Set(
      ecu.pins
        .filter((pin) => can(pin, 'supply-switched'))
        .map(({ id }) => joined.rootOf(nodeOf(ENGINE_CONTROLLER, id))),
    );
    return wired.devices.flatMap((fuse): BuildFinding[] => {
      if (fuse.part.kind !== 'fuse' || fuse.state === 'removed') return [];
      const region = joined.rootOf(nodeOf(fuse.id, 'out'));
      const from = fuse.connections['in'];
      if (!supplies.has(region) || !from) return [];
      const shared = electrics.netlist.parts.filter(
        (part) =>
          firesOrInjects(part) &&
          part.inside.some((e) => e.kind === 'load' && joined.rootOf(e.from) === region),
      );
      if (shared.length === 0) return [];
      const ids = new Set(shared.map(({ id }) => id));
      return [
        {
          id: `feed.shared:${fuse.id}`,
          rule: 'feed.shared',
          severity: 'warn',
          where: { stage: 'devices', device: fuse.id },
          title: 'Coils or injectors share the controller’s fuse',
          because: `${fuse.name} feeds the controller and ${shared.map(({ name }) => name).join(', ')}: a short in one of them shuts the controller down`,
          numbers: {},
          cures: () => {
            const own = newFuse(wired, 'fuse-fired', 'Fuse, coils and injectors', from);
            return [
              several('Fit a fuse of their own, fed from the same point', [
                own.change,
                ...wired.devices
                  .filter(({ id }) => ids.has(id))
                  .flatMap(({ id, connections }) =>
                    Object.entries(connections)
                      .filter(([, to]) => to.to === 'part' && to.partId === fuse.id)
                      .map(([pin]) => ({
                        path: ['devices', id, 'connections', pin],
                        value: own.out,
                      })),
                  ),
              ]),
            ];
          },
        },
      ];
    });
  },
};

/** Where a fuse leads on to a ground, if it does. */
const groundBehind = ({ connections }: Device): Connection | undefined =>
  Object.values(connections).find(({ to }) => to === 'ground');

const inReturn: ElectricsRule = {
  id: 'fuse.in-return',
  source:
    'no fuse in a ground return: when it blows, everything grounded through it loses its ground',
  check: ({ wired }) =>
    wired.devices.flatMap((fuse): BuildFinding[] => {
      const ground = groundBehind(fuse);
      if (fuse.part.kind !== 'fuse' || fuse.state === 'removed' || !ground) return [];
      const users = wired.devices.flatMap(({ id, name, connections }) =>
        Object.entries(connections).flatMap(([pin, to]) =>
          to.to === 'part' && to.partId === fuse.id ? [{ id, name, pin }] : [],
        ),
      );
      return [
        {
          id: `fuse.in-return:${fuse.id}`,
          rule: 'fuse.in-return',
          severity: 'stop',
          where: { stage: 'devices', device: fuse.id },
          title: 'Fuse in a ground return',
          because: `${fuse.name} is connected to a ground${users.length > 0 ? ` and carries the return of ${users.map(({ name }) => name).join(', ')}` : ''}`,
          numbers: {},
          cures: () => [
            several('Connect them straight to the ground and remove the fuse', [
              ...users.map(({ id, pin }) => ({
                path: ['devices', id, 'connections', pin],
                value: ground,
              })),
              { path: ['devices', fuse.id, 'state'], value: 'removed' },
              { path: ['devices', fuse.id, 'connections'], value: {} },
            ]),
          ],
        },
      ];
    }),
};

/** What is wrong with where a pin of a device is fed from: 5 V on 12, or 12 on 5. */
function wrongFeed(
  { catalogue, wired, ecu }: ElectricsChecked,
  pin: DevicePin,
  to: Connection | undefined,
): 'five on twelve' | 'twelve on five' | undefined {
  if (pin.use === 'reference-5v') {
    return to?.to === 'part' || to?.to === 'signal' ? 'five on twelve' : undefined;
  }
  if (pin.use !== 'supply' || to?.to !== 'controller') return undefined;
  const unit = wired.controllers.find(({ id }) => id === to.controllerId);
  const item = unit ? lookUp(catalogue, 'ecu', unit.item, `controllers.${unit.id}`) : ecu;
  const target = item.pins.find(({ id }) => id === to.pin);
  return target && can(target, 'reference-5v') ? 'twelve on five' : undefined;
}

/** The smallest fuse that feeds something with the key on. */
function smallestFuse({ wired, electrics }: ElectricsChecked): Device | undefined {
  const ratings = new Map(
    electrics.fuses.map(({ partId, judged }) => [partId, judged.fuse.rating]),
  );
  const byRelay = new Set(
    electrics.netlist.parts.flatMap(({ id, sort }) => (sort === 'relay' ? [id] : [])),
  );
  const behindRelay = wired.devices.filter(({ part, state, connections }) => {
    const from = connections['in'];
    return (
      part.kind === 'fuse' && state !== 'removed' && from?.to === 'part' && byRelay.has(from.partId)
    );
  });
  const rating = ({ id }: Device): number => ratings.get(id) ?? Infinity;
  return [...behindRelay].sort((a, b) => rating(a) - rating(b))[0];
}

const references: ElectricsRule = {
  id: 'reference.on-supply',
  source: 'a 5 V reference feeds 5 V sensors and nothing else',
  check: (checked) =>
    checked.wired.devices.flatMap((device): BuildFinding[] => {
      if (device.part.kind !== 'item' || device.state === 'removed') return [];
      const item = lookUp(checked.catalogue, 'device', device.part.item, `devices.${device.id}`);
      return item.pins.flatMap((pin): BuildFinding[] => {
        const wrong = wrongFeed(checked, pin, device.connections[pin.id]);
        if (!wrong) return [];
        const five = wrong === 'five on twelve';
        const reference = checked.ecu.pins.find((each) => can(each, 'reference-5v'));
        const fuse = five ? undefined : smallestFuse(checked);
        return [
          {
            id: `reference.on-supply:${device.id}~${pin.id}`,
            rule: 'reference.on-supply',
            severity: 'stop',
            where: { stage: 'devices', device: device.id },
            title: five ? '5 V sensor is fed with 12 V' : '12 V part is fed from the 5 V reference',
            because: five
              ? `${device.name} is a 5 V part: on 12 V it reads too high and fails early`
              : `${device.name} pulls the reference down for every sensor`,
            numbers: {},
            cures: () => {
              const to: Connection | undefined = five
                ? reference && {
                    to: 'controller',
                    controllerId: ENGINE_CONTROLLER,
                    pin: reference.id,
                    locked: false,
                  }
                : fuse && { to: 'part', partId: fuse.id, pin: 'out' };
              return to
                ? [
                    {
                      text: five
                        ? `Feed it from the 5 V of the controller, pin ${reference?.id ?? ''}`
                        : `Feed it from ${fuse?.name ?? ''}`,
                      command: connect(device, pin.id, to),
                    },
                  ]
                : [{ text: five ? 'Feed it from a 5 V reference' : 'Feed it through a fuse' }];
            },
          },
        ];
      });
    }),
};

/** Checks of how controllers, coils, injectors and sensors are fed and grounded. */
export const feedRules: readonly ElectricsRule[] = [
  constantFeed,
  grounds,
  sharedFeed,
  inReturn,
  references,
];
