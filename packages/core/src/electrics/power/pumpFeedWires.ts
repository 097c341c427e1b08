import type { Catalogue, PumpItem } from '../../catalogue/index.ts';
import type { PowerDesign, PumpFeed, WireDecision } from '../../model/index.ts';
import { lookUp } from '../../catalogue/index.ts';
import { type Joint, type RelayPin, type Terminal, terminalText } from './terminal.ts';

/** Where a wire ends: a terminal at a place, with the conductor areas m² it takes. */
export interface WireEnd {
  readonly terminal: Terminal;
  readonly placementId: string;
  readonly areaMin: number;
  readonly areaMax: number;
  readonly joint: Joint;
}

export type WireGroup = 'main' | 'pumpFeed' | 'trigger';

/** A wire derived from the design; its id comes from its two ends and stays. */
export interface DerivedWire {
  readonly id: string;
  readonly name: string;
  readonly group: WireGroup;
  readonly role: 'supply' | 'keyed' | 'triggered' | 'ground';
  readonly feedId: string;
  readonly from: WireEnd;
  readonly to: WireEnd;
  readonly decision: WireDecision | undefined;
}

const anyLug = { areaMin: 0.3e-6, areaMax: 70e-6, joint: 'lug' as const };

type Ranged = { readonly wireAreaMin: number; readonly wireAreaMax: number };
const range = (item: Ranged) => ({ areaMin: item.wireAreaMin, areaMax: item.wireAreaMax });

const studOf = (power: PowerDesign): WireEnd => ({
  terminal: { of: 'stud' },
  placementId: power.studPlacementId,
  ...anyLug,
});

const wireMaker =
  (power: PowerDesign, feedId: string) =>
  (
    name: string,
    group: WireGroup,
    role: DerivedWire['role'],
    from: WireEnd,
    to: WireEnd,
  ): DerivedWire => {
    const id = `${terminalText(from.terminal)}~${terminalText(to.terminal)}`.replaceAll(' ', '-');
    const decision = power.wireDecisions.find((d) => d.wireId === id);
    return { id, name, group, role, feedId, from, to, decision };
  };

/** The wires every pump feed shares: battery to main fuse to stud. */
export function mainWires(input: { power: PowerDesign; catalogue: Catalogue }): DerivedWire[] {
  const { power, catalogue } = input;
  const battery: WireEnd = {
    terminal: { of: 'battery' },
    placementId: power.batteryPlacementId,
    ...range(lookUp(catalogue, 'battery', power.battery, 'power.battery')),
    joint: 'lug',
  };
  const mainFuse: WireEnd = {
    terminal: { of: 'main-fuse' },
    placementId: power.mainFusePlacementId,
    ...range(lookUp(catalogue, 'fuse', power.mainFuse, 'power.mainFuse')),
    joint: 'lug',
  };
  const wire = wireMaker(power, '');
  return [
    wire('Battery to main fuse', 'main', 'supply', battery, mainFuse),
    wire('Main fuse to stud', 'main', 'supply', mainFuse, studOf(power)),
  ];
}

/** The wires of one pump feed from the stud to pump and ground, with its trigger circuit. */
export function pumpFeedWires(input: {
  power: PowerDesign;
  feed: PumpFeed;
  pump: PumpItem;
  fuse: Ranged;
  catalogue: Catalogue;
}): DerivedWire[] {
  const { power, feed, pump, catalogue } = input;
  const relay = lookUp(catalogue, 'relay', feed.relay, 'power.pumpFeeds.relay');
  const ecu = lookUp(catalogue, 'ecu', power.ecu, 'power.ecu');
  const pumpEnd = (pole: '+' | '−'): WireEnd => ({
    terminal: { of: 'pump', elementId: feed.elementId, pole },
    placementId: feed.pumpPlacementId,
    ...range(pump),
    joint: 'plug',
  });
  const ends = {
    stud: studOf(power),
    fuse: {
      terminal: { of: 'fuse', feedId: feed.id },
      placementId: feed.fusePlacementId,
      ...range(input.fuse),
      joint: 'holder',
    },
    relay: (pin: RelayPin): WireEnd => ({
      terminal: { of: 'relay', feedId: feed.id, pin },
      placementId: feed.relayPlacementId,
      ...range(relay),
      joint: 'holder',
    }),
    pumpPlus: pumpEnd('+'),
    pumpMinus: pumpEnd('−'),
    ground: {
      terminal: { of: 'pump-ground', feedId: feed.id },
      placementId: feed.groundPlacementId,
      ...anyLug,
    },
    panelGround: {
      terminal: { of: 'panel-ground' },
      placementId: feed.relayPlacementId,
      ...anyLug,
    },
    keyed: {
      terminal: { of: 'keyed-feed' },
      placementId: power.keyedFeedPlacementId,
      areaMin: 0.3e-6,
      areaMax: 6e-6,
      joint: 'plug',
    },
    inertia: {
      terminal: { of: 'inertia-switch' },
      placementId: feed.inertiaPlacementId,
      areaMin: 0.3e-6,
      areaMax: 2.5e-6,
      joint: 'plug',
    },
    ecu: {
      terminal: { of: 'ecu', pin: ecu.pumpPin },
      placementId: power.ecuPlacementId,
      ...range(ecu),
      joint: 'plug',
    },
  } satisfies Record<string, WireEnd | ((pin: RelayPin) => WireEnd)>;
  const wire = wireMaker(power, feed.id);
  const coilFeed = feed.trigger === 'low-side' ? ends.keyed : ends.ecu;
  const coilSwitched =
    feed.trigger === 'low-side'
      ? wire('Coil to ECU', 'trigger', 'triggered', ends.relay('85'), ends.ecu)
      : wire('Coil to ground', 'trigger', 'ground', ends.relay('85'), ends.panelGround);
  const supplyRole = feed.trigger === 'low-side' ? 'keyed' : 'triggered';
  const coilSupply = feed.inertiaSwitch
    ? [
        wire('Coil feed to inertia switch', 'trigger', supplyRole, coilFeed, ends.inertia),
        wire('Inertia switch to coil', 'trigger', supplyRole, ends.inertia, ends.relay('86')),
      ]
    : [wire('Coil feed', 'trigger', supplyRole, coilFeed, ends.relay('86'))];
  return [
    wire('Stud to pump fuse', 'main', 'supply', ends.stud, ends.fuse),
    wire('Fuse to relay', 'pumpFeed', 'supply', ends.fuse, ends.relay('30')),
    wire('Relay to pump', 'pumpFeed', 'triggered', ends.relay('87'), ends.pumpPlus),
    wire('Pump to ground', 'pumpFeed', 'ground', ends.pumpMinus, ends.ground),
    ...coilSupply,
    coilSwitched,
  ];
}
