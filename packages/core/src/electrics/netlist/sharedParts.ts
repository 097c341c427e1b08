import { type Catalogue, lookUp } from '../../catalogue/index.ts';
import type { Device, PowerDesign } from '../../model/index.ts';
import type { DerivedWire } from './derivedWire.ts';
import { type NetPart, type NetPin, nodeOf } from './netlist.ts';
import { type PinAt, anyLug, bladeRange, endAt, partOf, rangeOf } from './partOf.ts';
import { sharedPartIds } from './sharedPartIds.ts';
import { type Terminal, terminalText } from './terminal.ts';

type Contact = Pick<NetPin, 'areaMin' | 'areaMax' | 'joint'>;

const through = (partId: string, pin: string, terminal: Terminal, contact: Contact): NetPin => ({
  node: nodeOf(partId, pin),
  pin,
  name: pin,
  use: 'through',
  terminal,
  ...contact,
  asks: undefined,
});

/** The pump whose wires have the most company: those of the trunk have as much. */
function bundleOf(devices: readonly Device[]): Partial<NetPart> {
  const pumps = devices.filter(({ part }) => part.kind === 'pump');
  const most = pumps.reduce<Device | undefined>(
    (best, each) => (best && best.loadedTogether >= each.loadedTogether ? best : each),
    undefined,
  );
  return most
    ? { loadedTogether: most.loadedTogether, bundledAt: ['devices', most.id, 'loadedTogether'] }
    : {};
}

/** Battery, main fuse, stud and the keyed feed, with the cables from the battery to the stud. */
export function sharedParts(input: {
  readonly power: PowerDesign;
  readonly devices: readonly Device[];
  readonly catalogue: Catalogue;
}): { readonly parts: NetPart[]; readonly wires: DerivedWire[] } {
  const { power, devices, catalogue } = input;
  const bundle = bundleOf(devices);
  const item = lookUp(catalogue, 'battery', power.battery, 'power.battery');
  const fuse = lookUp(catalogue, 'fuse', power.mainFuse, 'power.mainFuse');
  const { battery: batteryId, mainFuse: fuseId, stud: studId, keyedFeed: keyedId } = sharedPartIds;
  const pole = (sign: '+' | '−') =>
    through(batteryId, sign, { of: 'battery', pole: sign }, { ...rangeOf(item), joint: 'lug' });
  const side = (name: 'in' | 'out') =>
    through(fuseId, name, { of: 'main-fuse' }, { ...rangeOf(fuse), joint: 'lug' });
  const battery = partOf({
    id: batteryId,
    name: 'Battery',
    sort: 'battery',
    placementId: power.batteryPlacementId,
    pins: [pole('+'), pole('−')],
  });
  const mainFuse = partOf({
    id: fuseId,
    name: 'Main fuse',
    sort: 'fuse',
    placementId: power.mainFusePlacementId,
    pins: [side('in'), side('out')],
    fuse,
    fuseStyle: fuse.style,
    ...bundle,
  });
  const stud = partOf({
    id: studId,
    name: 'Power stud',
    sort: 'stud',
    placementId: power.studPlacementId,
    pins: [through(studId, 'stud', { of: 'stud' }, anyLug)],
    ...bundle,
  });
  const keyedFeed = partOf({
    id: keyedId,
    name: 'Keyed feed',
    sort: 'signal',
    placementId: power.keyedFeedPlacementId,
    pins: [through(keyedId, 'wire', { of: 'keyed-feed' }, { ...bladeRange, joint: 'plug' })],
  });
  const wire = (name: string, from: PinAt, to: PinAt): DerivedWire => {
    const ends = [from, to].map(({ pin }) => terminalText(pin.terminal).replaceAll(' ', '-'));
    const id = ends.join('~');
    return {
      id,
      name,
      role: 'supply',
      partId: to.part.id,
      from: endAt(from),
      to: endAt(to),
      decision: power.wireDecisions.find((decided) => decided.wireId === id),
    };
  };
  const [plus, into, outOf, onto] = [battery.pins[0], ...mainFuse.pins, stud.pins[0]];
  const wires =
    plus && into && outOf && onto
      ? [
          wire('Battery to main fuse', { part: battery, pin: plus }, { part: mainFuse, pin: into }),
          wire('Main fuse to stud', { part: mainFuse, pin: outOf }, { part: stud, pin: onto }),
        ]
      : [];
  return { parts: [battery, mainFuse, stud, keyedFeed], wires };
}
