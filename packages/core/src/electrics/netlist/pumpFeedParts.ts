import { type Catalogue, highestPumpCurrent, lookUp } from '../../catalogue/index.ts';
import type { FuelCircuit, PowerDesign, PumpElement, PumpFeed } from '../../model/index.ts';
import { NotFound } from '../../quantities/index.ts';
import type { DerivedWire, WireRole } from './derivedWire.ts';
import { type NetPart, type NetPin, nodeOf } from './netlist.ts';
import { type PinAt, RATED, anyLug, bladeRange, endAt, partOf, rangeOf } from './partOf.ts';
import { type RelayPin, type Terminal, terminalText } from './terminal.ts';

type Contact = Pick<NetPin, 'areaMin' | 'areaMax' | 'joint'>;

const feedPin = (partId: string, pin: string, terminal: Terminal, contact: Contact): NetPin => ({
  node: nodeOf(partId, pin),
  pin,
  name: pin,
  use: 'through',
  terminal,
  ...contact,
  asks: undefined,
});

/** Ids of the parts that a pump's feed is made of. */
export const feedPartIds = (feed: Pick<PumpFeed, 'id' | 'elementId'>) => ({
  fuse: `${feed.id}-fuse`,
  relay: `${feed.id}-relay`,
  pump: `${feed.elementId}`,
  ground: `${feed.id}-ground`,
});
/** Ids of the parts that every feed shares. */
export const sharedPartIds = {
  battery: 'battery',
  mainFuse: 'main-fuse',
  stud: 'stud',
  keyedFeed: 'keyed-feed',
  inertiaSwitch: 'inertia-switch',
  panelGround: 'panel-ground',
} as const;

interface Input {
  readonly power: PowerDesign;
  readonly circuits: readonly Pick<FuelCircuit, 'id' | 'elements'>[];
  readonly catalogue: Catalogue;
  /** a pin of the engine's controller; undefined where it has none of that name */
  readonly ecuPin: (pin: string) => NetPin | undefined;
}

/** The pump that a feed is for; throws NotFound where there is none. */
function pumpOf({ circuits, catalogue }: Input, feed: PumpFeed) {
  const circuit = circuits.find((c) => c.id === feed.circuitId);
  const element = circuit?.elements.find(
    (e): e is PumpElement => e.kind === 'pump' && e.id === feed.elementId,
  );
  if (!element) throw new NotFound(`there is no pump "${feed.elementId}"`, `power.${feed.id}`);
  return { element, item: lookUp(catalogue, 'pump', element.item, `power.${feed.id}`) };
}

/** Battery, main fuse and stud: what every feed hangs on. */
function sharedParts({ power, catalogue }: Input): NetPart[] {
  const most = power.pumpFeeds.reduce<PumpFeed | undefined>(
    (best, feed) => (best && best.loadedTogether >= feed.loadedTogether ? best : feed),
    undefined,
  );
  const bundle = most
    ? {
        loadedTogether: most.loadedTogether,
        bundledAt: ['power', 'pumpFeeds', most.id, 'loadedTogether'],
      }
    : {};
  const battery = lookUp(catalogue, 'battery', power.battery, 'power.battery');
  const fuse = lookUp(catalogue, 'fuse', power.mainFuse, 'power.mainFuse');
  const { battery: batteryId, mainFuse, stud } = sharedPartIds;
  const pole = (sign: '+' | '−') =>
    feedPin(batteryId, sign, { of: 'battery', pole: sign }, { ...rangeOf(battery), joint: 'lug' });
  const side = (name: 'in' | 'out') =>
    feedPin(mainFuse, name, { of: 'main-fuse' }, { ...rangeOf(fuse), joint: 'lug' });
  return [
    partOf({
      id: batteryId,
      name: 'Battery',
      sort: 'battery',
      placementId: power.batteryPlacementId,
      pins: [pole('+'), pole('−')],
    }),
    partOf({
      id: mainFuse,
      name: 'Main fuse',
      sort: 'fuse',
      placementId: power.mainFusePlacementId,
      pins: [side('in'), side('out')],
      fuse,
      fuseStyle: fuse.style,
      ...bundle,
    }),
    partOf({
      id: stud,
      name: 'Power stud',
      sort: 'stud',
      placementId: power.studPlacementId,
      pins: [feedPin(stud, 'stud', { of: 'stud' }, anyLug)],
      ...bundle,
    }),
    partOf({
      id: sharedPartIds.keyedFeed,
      name: 'Keyed feed',
      sort: 'signal',
      placementId: power.keyedFeedPlacementId,
      pins: [
        feedPin(
          sharedPartIds.keyedFeed,
          'wire',
          { of: 'keyed-feed' },
          { ...bladeRange, joint: 'plug' },
        ),
      ],
    }),
  ];
}

function feedParts(input: Input, feed: PumpFeed): NetPart[] {
  const { catalogue } = input;
  const ids = feedPartIds(feed);
  const { element, item } = pumpOf(input, feed);
  const called = element.name === '' ? element.id : element.name;
  const relay = lookUp(catalogue, 'relay', feed.relay, 'power.pumpFeeds.relay');
  const fuse = feed.fuse ? lookUp(catalogue, 'fuse', feed.fuse, 'power.pumpFeeds.fuse') : undefined;
  const bundle = {
    loadedTogether: feed.loadedTogether,
    bundledAt: ['power', 'pumpFeeds', feed.id, 'loadedTogether'],
  };
  const fuseSide = (name: 'in' | 'out') =>
    feedPin(
      ids.fuse,
      name,
      { of: 'fuse', feedId: feed.id },
      { ...(fuse ? rangeOf(fuse) : bladeRange), joint: 'holder' },
    );
  const relayPin = (pin: RelayPin) =>
    feedPin(
      ids.relay,
      pin,
      { of: 'relay', feedId: feed.id, pin },
      { ...rangeOf(relay), joint: 'holder' },
    );
  const pole = (sign: '+' | '−') =>
    feedPin(
      ids.pump,
      sign,
      { of: 'pump', elementId: feed.elementId, pole: sign },
      { ...rangeOf(item), joint: 'plug' },
    );
  const low = feed.trigger === 'low-side';
  return [
    partOf({
      id: ids.fuse,
      name: `Fuse of ${called}`,
      sort: 'fuse',
      placementId: feed.fusePlacementId,
      pins: [fuseSide('in'), fuseSide('out')],
      fuse,
      fuseStyle: 'blade',
      ...bundle,
    }),
    partOf({
      id: ids.relay,
      name: `Relay of ${called}`,
      sort: 'relay',
      placementId: feed.relayPlacementId,
      pins: (['30', '87', '86', '85'] as const).map((pin) => ({
        ...relayPin(pin),
        ...(pin === (low ? '85' : '86')
          ? {
              asks: {
                capability: feed.trigger,
                current: RATED / relay.coilResistance,
                frequency: 0,
                pairedWith: undefined,
              },
            }
          : {}),
      })),
      inside: [
        {
          kind: 'contact',
          leads: 'on',
          id: `${ids.relay} contact`,
          from: nodeOf(ids.relay, '30'),
          to: nodeOf(ids.relay, '87'),
          resistance: relay.contactResistance,
        },
        {
          kind: 'load',
          id: `${ids.relay} coil`,
          from: nodeOf(ids.relay, '86'),
          to: nodeOf(ids.relay, '85'),
          current: RATED / relay.coilResistance,
          voltage: RATED,
          duty: 1,
          behaviour: 'resistive',
          when: 'engine turning',
        },
      ],
      ...bundle,
    }),
    partOf({
      id: ids.pump,
      name: called,
      sort: 'pump',
      placementId: feed.pumpPlacementId,
      pins: [pole('+'), pole('−')],
      inside: [
        {
          kind: 'load',
          id: `${ids.pump} motor`,
          from: nodeOf(ids.pump, '+'),
          to: nodeOf(ids.pump, '−'),
          current: highestPumpCurrent(item),
          voltage: RATED,
          duty: 1,
          behaviour: 'motor',
          when: 'engine turning',
        },
      ],
      inrush: { factor: item.inrushFactor, time: item.inrushTime },
      ...bundle,
    }),
    partOf({
      id: ids.ground,
      name: `Ground of ${called}`,
      sort: 'ground',
      placementId: feed.groundPlacementId,
      pins: [feedPin(ids.ground, 'ground', { of: 'pump-ground', feedId: feed.id }, anyLug)],
    }),
    ...(low
      ? []
      : [
          partOf({
            id: `${ids.relay}-ground`,
            name: 'Panel ground',
            sort: 'ground',
            placementId: feed.relayPlacementId,
            pins: [feedPin(`${ids.relay}-ground`, 'ground', { of: 'panel-ground' }, anyLug)],
          }),
        ]),
  ];
}

const INERTIA_CONTACT = 0.01;

function inertiaSwitch(feeds: readonly PumpFeed[]): NetPart[] {
  const first = feeds.find((feed) => feed.inertiaSwitch);
  if (!first) return [];
  const { inertiaSwitch: id } = sharedPartIds;
  const contact = { areaMin: 0.3e-6, areaMax: 2.5e-6, joint: 'plug' as const };
  return [
    partOf({
      id,
      name: 'Inertia switch',
      sort: 'switch',
      role: 'inertia switch',
      placementId: first.inertiaPlacementId,
      pins: (['in', 'out'] as const).map((pin) =>
        feedPin(id, pin, { of: 'inertia-switch' }, contact),
      ),
      loadedTogether: first.loadedTogether,
      bundledAt: ['power', 'pumpFeeds', first.id, 'loadedTogether'],
      inside: [
        {
          kind: 'contact',
          leads: 'on',
          id: `${id} contact`,
          from: nodeOf(id, 'in'),
          to: nodeOf(id, 'out'),
          resistance: INERTIA_CONTACT,
        },
      ],
    }),
  ];
}

/**
 * The parts of the pumps' feeds, from the battery on, and the wires between them; the engine's
 * controller is given.
 */
export function pumpFeedParts(input: Input & { readonly controller: NetPart }): {
  readonly parts: NetPart[];
  readonly wires: DerivedWire[];
} {
  const { power, controller } = input;
  const feeds = power.pumpFeeds;
  const parts = [
    ...sharedParts(input),
    ...inertiaSwitch(feeds),
    ...feeds.flatMap((feed) => feedParts(input, feed)),
  ];
  const byNode = new Map(
    [...parts, controller].flatMap((each) =>
      each.pins.map((pin) => [pin.node, { part: each, pin }] as const),
    ),
  );
  const at = (partId: string, pin: string) => {
    const found = byNode.get(nodeOf(partId, pin));
    if (!found) throw new NotFound(`there is no pin ${pin} of ${partId}`, partId);
    return found;
  };
  const wires = new Map<string, DerivedWire>();
  const wire = (
    name: string,
    role: WireRole,
    from: PinAt,
    to: PinAt,
    feedId: string,
    partId: string,
  ): void => {
    const id = `${terminalText(from.pin.terminal)}~${terminalText(to.pin.terminal)}`.replaceAll(
      ' ',
      '-',
    );
    if (wires.has(id)) return;
    const decision = power.wireDecisions.find((d) => d.wireId === id);
    wires.set(id, { id, name, role, partId, feedId, from: endAt(from), to: endAt(to), decision });
  };
  const { battery, mainFuse, stud, keyedFeed, inertiaSwitch: inertia } = sharedPartIds;
  wire('Battery to main fuse', 'supply', at(battery, '+'), at(mainFuse, 'in'), '', mainFuse);
  wire('Main fuse to stud', 'supply', at(mainFuse, 'out'), at(stud, 'stud'), '', stud);
  const ecu = lookUp(input.catalogue, 'ecu', power.ecu, 'power.ecu');
  for (const feed of feeds) {
    const ids = feedPartIds(feed);
    const relay = (pin: RelayPin) => at(ids.relay, pin);
    const on = (name: string, role: WireRole, a: PinAt, b: PinAt, of: string) =>
      wire(name, role, a, b, feed.id, of);
    on('Stud to pump fuse', 'supply', at(stud, 'stud'), at(ids.fuse, 'in'), ids.fuse);
    on('Fuse to relay', 'supply', at(ids.fuse, 'out'), relay('30'), ids.relay);
    on('Relay to pump', 'triggered', relay('87'), at(ids.pump, '+'), ids.pump);
    on('Pump to ground', 'ground', at(ids.pump, '−'), at(ids.ground, 'ground'), ids.pump);
    const low = feed.trigger === 'low-side';
    const pin = input.ecuPin(feed.triggerPin) ?? input.ecuPin(ecu.pumpPin);
    if (!pin) throw new NotFound(`the ECU has no pin ${ecu.pumpPin}`, `power.${feed.id}`);
    const trigger = { part: controller, pin };
    const coilFeed = low ? at(keyedFeed, 'wire') : trigger;
    const role = low ? 'keyed' : 'triggered';
    if (feed.inertiaSwitch) {
      on('Coil feed to inertia switch', role, coilFeed, at(inertia, 'in'), inertia);
      on('Inertia switch to coil', role, at(inertia, 'out'), relay('86'), ids.relay);
    } else on('Coil feed', role, coilFeed, relay('86'), ids.relay);
    if (low) on('Coil to ECU', 'triggered', relay('85'), trigger, ids.relay);
    else
      on('Coil to ground', 'ground', relay('85'), at(`${ids.relay}-ground`, 'ground'), ids.relay);
  }
  return { parts, wires: [...wires.values()] };
}
