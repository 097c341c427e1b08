import { type Plain, eachEntry, plain } from './plain.ts';

const text = (value: unknown): string => (typeof value === 'string' ? value : '');
const LONGEST_ID = 40;

/** Ids that are given once: one that is taken, or too long, becomes another. */
class FreshIds {
  private readonly taken: Set<string>;

  constructor(taken: readonly string[]) {
    this.taken = new Set(taken);
  }

  of(wanted: string): string {
    let id = wanted.slice(0, LONGEST_ID);
    for (let n = 2; this.taken.has(id); n++) {
      const ending = `-${n}`;
      id = `${wanted.slice(0, LONGEST_ID - ending.length)}${ending}`;
    }
    this.taken.add(id);
    return id;
  }
}

const part = (partId: string, pin: string): Plain => ({ to: 'part', partId, pin });
const ground = (groundId: string): Plain => ({ to: 'ground', groundId });
const KEYED = part('keyed-feed', 'wire');

const isItem = (device: Plain): boolean => plain(device['part'])['kind'] === 'item';

/** What a feed of version 10 became, for what spoke of it. */
interface Became {
  readonly wires: ReadonlyMap<string, string>;
  /** the pump's device by the feed's id */
  readonly feeds: ReadonlyMap<string, string>;
  /** where a field of a feed stands now, by feed and field */
  readonly paths: ReadonlyMap<string, readonly string[]>;
}

/** What was said of a feed's wires and findings, under the names they have now. */
function renamedKey(key: string, { wires, feeds }: Became): string {
  const colon = key.indexOf(':');
  const [rule, of] = [key.slice(0, colon + 1), key.slice(colon + 1)];
  return `${rule}${wires.get(of) ?? feeds.get(of) ?? of}`;
}

/** A decision whose values stand where they went; undefined where one has no place any more. */
function movedOption(option: Plain, { paths }: Became): Plain | undefined {
  let isWhole = true;
  const alternatives = eachEntry(option['alternatives'], (alternative) => {
    const values = Object.values(plain(alternative['values'])).map((value) => {
      const entry = plain(value);
      const path = Array.isArray(entry['path']) ? entry['path'].map(text) : [];
      if (path[0] !== 'power' || path[1] !== 'pumpFeeds') return { ...entry, path };
      const moved = paths.get(path.slice(2).join('/'));
      if (!moved) isWhole = false;
      return { ...entry, path: moved ?? path };
    });
    return {
      ...alternative,
      values: Object.fromEntries(values.map((value) => [value.path.join('/'), value])),
    };
  });
  return isWhole ? { ...option, alternatives } : undefined;
}

/**
 * 11: a pump, its fuse, its relay and its inertia switch are devices like any other, wired pin by
 * pin; where a pump is grounded is a ground. A feed that had no pin of its own keeps having none.
 * Devices say whether what they are screwed into is there; buses may have a name and a rate; coils
 * may say which cylinder they fire, and the brief in which order those do.
 */
export function pumpsAsDevices(document: Plain): Plain {
  const power = plain(document['power']);
  const { pumpFeeds, ...restOfPower } = power;
  const feeds = Object.entries(plain(pumpFeeds))
    .map(([id, feed]) => ({ id, feed: plain(feed) }))
    .sort((a, b) => Number(a.feed['order']) - Number(b.feed['order']));
  const devices: Record<string, Plain> = {};
  const grounds: Record<string, Plain> = {};
  // What is screwed in anew was not said to have its seat yet.
  const present = eachEntry(document['devices'], (device) => ({
    ...device,
    cylinder: null,
    seat: device['state'] === 'new' && isItem(device) ? 'tapped' : 'there',
  }));
  const ids = new FreshIds([...Object.keys(present), ...Object.keys(plain(document['grounds']))]);
  const became = {
    wires: new Map<string, string>(),
    feeds: new Map<string, string>(),
    paths: new Map<string, readonly string[]>(),
  };
  const groundAt = new Map<string, string>();
  const cutOffs = new Map<string, string>();
  let order = Math.max(0, ...Object.values(present).map((each) => Number(plain(each)['order'])));
  let groundOrder = Math.max(
    0,
    ...Object.values(plain(document['grounds'])).map((each) => Number(plain(each)['order'])),
  );
  const put = (id: string, device: Plain): void => {
    order += 1000;
    devices[id] = { order, state: 'new', replacedBy: '', seat: 'there', cylinder: null, ...device };
  };
  for (const { id, feed } of feeds) {
    const circuit = plain(plain(document['fuelCircuits'])[text(feed['circuitId'])]);
    const elementId = text(feed['elementId']);
    const called = text(plain(plain(circuit['elements'])[elementId])['name']);
    const name = called === '' ? elementId : called.slice(0, 60);
    const { loadedTogether } = feed;
    const isLow = feed['trigger'] !== 'high-side';
    const place = text(feed['groundPlacementId']);
    let groundId = groundAt.get(place);
    if (groundId === undefined) {
      groundId = ids.of(`${id}-ground`);
      groundAt.set(place, groundId);
      groundOrder += 1000;
      grounds[groundId] = {
        order: groundOrder,
        name: `Ground, ${name}`,
        on: 'chassis',
        placementId: place,
        strapTo: null,
        resistance: null,
      };
    }
    const isCut = feed['inertiaSwitch'] === true;
    const side = isLow ? 'low' : 'high';
    let cutOff = cutOffs.get(side);
    if (isCut && cutOff === undefined) {
      cutOff = ids.of('inertia-switch');
      cutOffs.set(side, cutOff);
      put(cutOff, {
        name: 'Inertia switch',
        part: { kind: 'cut-off' },
        placementId: feed['inertiaPlacementId'],
        loadedTogether,
        connections: isLow ? { in: KEYED } : { out: ground(groundId) },
      });
    }
    const before = isCut ? cutOff : undefined;
    const fuse = ids.of(`${id}-fuse`);
    const relay = ids.of(`${id}-relay`);
    const pump = ids.of(elementId);
    const ecu = { to: 'controller', controllerId: 'ecu', pin: feed['triggerPin'], locked: false };
    put(fuse, {
      name: `Fuse, ${name}`,
      part: { kind: 'fuse', item: feed['fuse'] },
      placementId: feed['fusePlacementId'],
      loadedTogether,
      connections: { in: part('stud', 'stud') },
    });
    put(relay, {
      name: `Relay, ${name}`,
      part: { kind: 'relay', item: feed['relay'] },
      placementId: feed['relayPlacementId'],
      loadedTogether,
      connections: {
        '30': part(fuse, 'out'),
        ...(isLow
          ? { '86': before === undefined ? KEYED : part(before, 'out'), '85': ecu }
          : { '86': ecu, '85': before === undefined ? ground(groundId) : part(before, 'in') }),
      },
    });
    put(pump, {
      name,
      part: { kind: 'pump', circuitId: feed['circuitId'], elementId },
      placementId: feed['pumpPlacementId'],
      loadedTogether,
      connections: { '+': part(relay, '87'), '−': ground(groundId) },
    });
    const wires: readonly (readonly [string, string])[] = [
      [`power-stud~${id}-fuse`, `${fuse}~in`],
      [`${id}-fuse~${id}-relay-30`, `${relay}~30`],
      [`${id}-relay-87~${elementId}-+`, `${pump}~+`],
      [`${elementId}-−~${id}-ground`, `${pump}~−`],
      [`keyed-feed~${id}-relay-86`, `${relay}~86`],
      [`inertia-switch~${id}-relay-86`, `${relay}~${isLow ? '86' : '85'}`],
      [`${id}-relay-85~panel-ground`, `${relay}~85`],
    ];
    for (const [old, now] of wires) became.wires.set(old, now);
    if (before !== undefined) became.wires.set('keyed-feed~inertia-switch', `${before}~in`);
    became.feeds.set(id, pump);
    became.paths.set(`${id}/fuse`, ['devices', fuse, 'part', 'item']);
    became.paths.set(`${id}/relay`, ['devices', relay, 'part', 'item']);
    for (const [field, of] of [
      ['fusePlacementId', fuse],
      ['relayPlacementId', relay],
      ['pumpPlacementId', pump],
    ] as const) {
      became.paths.set(`${id}/${field}`, ['devices', of, 'placementId']);
    }
  }
  const decisions = Object.entries(plain(power['wireDecisions']));
  // The wire from the coil to the controller was called after the controller's pin.
  const renamedWire = (old: string): string => {
    const known = became.wires.get(old);
    if (known !== undefined) return known;
    const coil = feeds.find(({ id }) => old.startsWith(`${id}-relay-85~ECU-`));
    const pump = coil && became.feeds.get(coil.id);
    const above = pump === undefined ? undefined : plain(plain(devices[pump])['connections'])['+'];
    return above === undefined ? old : `${text(plain(above)['partId'])}~85`;
  };
  return {
    ...document,
    version: 11,
    brief: { ...plain(document['brief']), firingOrder: '' },
    power: {
      ...restOfPower,
      wireDecisions: Object.fromEntries(decisions.map(([id, made]) => [renamedWire(id), made])),
    },
    devices: { ...present, ...devices },
    grounds: { ...plain(document['grounds']), ...grounds },
    buses: {},
    acceptances: Object.fromEntries(
      Object.entries(plain(document['acceptances'])).map(([key, made]) => [
        renamedKey(key, became),
        made,
      ]),
    ),
    options: Object.fromEntries(
      Object.entries(plain(document['options'])).flatMap(([id, option]) => {
        const moved = movedOption(plain(option), became);
        return moved ? [[id, moved]] : [];
      }),
    ),
  };
}
