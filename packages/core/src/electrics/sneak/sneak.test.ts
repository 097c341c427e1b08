import { describe, expect, test } from 'vitest';
import { demoBuilds, lantern, sampleCatalogue } from '../../exchange/index.ts';
import { type BuildDocument, readBuild, withValueAt } from '../../model/index.ts';
import { seededUniform } from '../../numerics/index.ts';
import { buildNetlist } from '../netlist/buildNetlist.ts';
import type { InnerElement, NetPart, Netlist } from '../netlist/netlist.ts';
import { partOf } from '../netlist/partOf.ts';
import { switchTable } from '../switching/switchTable.ts';
import { aliveAt } from './aliveAt.ts';
import { leftAlive } from './leftAlive.ts';
import { sneakPaths } from './sneakPaths.ts';
import { fedBy } from './sneakStage.ts';

const part = (id: string, sort: NetPart['sort'], inside: readonly InnerElement[]): NetPart =>
  partOf({ id, name: id, sort, placementId: 'p', pins: [], inside });
const load = (id: string, from: string, to: string, current: number): NetPart =>
  part(id, 'device', [
    {
      kind: 'load',
      id,
      from,
      to,
      current,
      voltage: 12,
      duty: 1,
      behaviour: 'resistive',
      when: 'at times',
    },
  ]);
const gate = (id: string, from: string, to: string, leads: 'on' | 'back' = 'on'): NetPart =>
  part(id, 'relay', [{ kind: 'contact', id, from, to, leads, resistance: 0.005 }]);
const netlistOf = (parts: readonly NetPart[]): Netlist => ({
  parts,
  wires: [],
  direct: [],
  ground: 'minus',
  unassigned: [],
  sources: [
    {
      id: 'battery',
      node: 'plus',
      negative: 'minus',
      found: false,
      signalId: undefined,
      resistance: 0.01,
      fuseRating: undefined,
    },
  ],
});
const never = (): boolean => false;

/** Volts of nodes with some gates open, by elimination of the whole matrix. */
function voltsOf(parts: readonly NetPart[], open: ReadonlySet<string>): Map<string, number> {
  const elements = parts.flatMap(({ inside }) => inside);
  const names = [...new Set(elements.flatMap(({ from, to }) => [from, to]))].filter(
    (name) => name !== 'minus',
  );
  const n = names.length;
  const at = new Map(names.map((name, i) => [name, i]));
  const matrix = names.map((_, i) =>
    Array.from({ length: n + 1 }, (__, j) => (i === j ? 1e-12 : 0)),
  );
  const stamp = (a: string, b: string, siemens: number): void => {
    const [i, j] = [at.get(a), at.get(b)];
    if (i !== undefined) matrix[i]![i]! += siemens;
    if (j !== undefined) matrix[j]![j]! += siemens;
    if (i !== undefined && j !== undefined) {
      matrix[i]![j]! -= siemens;
      matrix[j]![i]! -= siemens;
    }
  };
  for (const each of elements) {
    if (each.kind === 'load') stamp(each.from, each.to, each.current / each.voltage);
    if (each.kind === 'contact' && !open.has(each.id)) stamp(each.from, each.to, 1 / 0.005);
  }
  const plus = at.get('plus');
  if (plus !== undefined) {
    stamp('plus', 'minus', 100);
    matrix[plus]![n]! += 12.6 * 100;
  }
  for (let k = 0; k < n; k++) {
    const pivot = matrix[k]![k]!;
    for (let i = k + 1; i < n; i++) {
      const factor = matrix[i]![k]! / pivot;
      if (factor === 0) continue;
      for (let j = k; j <= n; j++) matrix[i]![j]! -= factor * matrix[k]![j]!;
    }
  }
  const volts = new Array<number>(n).fill(0);
  for (let k = n - 1; k >= 0; k--) {
    let rest = matrix[k]![n]!;
    for (let j = k + 1; j < n; j++) rest -= matrix[k]![j]! * volts[j]!;
    volts[k] = rest / matrix[k]![k]!;
  }
  return new Map([...names.map((name, i) => [name, volts[i]!] as const), ['minus', 0]]);
}

/** Loads that are alive in some state in which all that feeds them, or leads them back, is open. */
function byBruteForce(parts: readonly NetPart[]): Set<string> {
  const gates = parts.filter(({ sort }) => sort === 'relay').flatMap(({ inside }) => inside);
  const found = new Set<string>();
  for (let bits = 0; bits < 2 ** gates.length; bits++) {
    const open = new Set(gates.filter((_, i) => (bits >> i) % 2 === 1).map(({ id }) => id));
    const volts = voltsOf(parts, open);
    for (const each of parts) {
      const [own] = each.inside;
      if (own?.kind !== 'load') continue;
      const isOpen = (feeders: readonly InnerElement[]): boolean =>
        feeders.every(({ id }) => open.has(id));
      const feeds = gates.filter(
        (g) => g.kind === 'contact' && g.leads === 'on' && g.to === own.from,
      );
      const backs = gates.filter(
        (g) => g.kind === 'contact' && g.leads === 'back' && g.from === own.to,
      );
      const off =
        (own.from !== 'plus' && own.from !== 'minus' && isOpen(feeds)) ||
        (own.to !== 'minus' && own.to !== 'plus' && backs.length > 0 && isOpen(backs));
      const across = Math.abs(volts.get(own.from)! - volts.get(own.to)!);
      if (off && across >= aliveAt({ part: each, load: own })) found.add(own.id);
    }
  }
  return found;
}

/** A small circuit: gates from the battery and between rails, loads between any two nodes. */
function randomParts(seed: number): NetPart[] {
  const uniform = seededUniform(seed);
  const pick = <T>(from: readonly T[]): T => from[Math.floor(uniform() * from.length)]!;
  const nodes = ['a', 'b', 'c', 'd'];
  const parts: NetPart[] = [];
  const gates = 1 + Math.floor(uniform() * 5);
  for (let i = 0; i < gates; i++) {
    const back = uniform() < 0.3;
    const from = back ? pick(nodes) : pick(['plus', 'plus', ...nodes]);
    const to = back ? 'minus' : pick(nodes.filter((node) => node !== from));
    parts.push(gate(`g${String(i)}`, from, to, back ? 'back' : 'on'));
  }
  const loads = 2 + Math.floor(uniform() * 5);
  for (let i = 0; i < loads; i++) {
    const from = pick(['plus', ...nodes]);
    const to = pick(['minus', 'minus', ...nodes].filter((node) => node !== from));
    parts.push(load(`l${String(i)}`, from, to, 0.1 + 5 * uniform()));
  }
  return parts;
}

describe('the search for sneak paths', () => {
  test('finds what trying every state finds, on 300 random circuits', () => {
    let withSome = 0;
    for (let seed = 1; seed <= 300; seed++) {
      const parts = randomParts(seed);
      const proof = sneakPaths({ netlist: netlistOf(parts), isFed: never, breaks: false });
      const expected = [...byBruteForce(parts)].sort();
      expect(proof.paths.map(({ loadId }) => loadId).sort(), `seed ${String(seed)}`).toEqual(
        expected,
      );
      if (expected.length > 0) withSome += 1;
    }
    expect(withSome).toBeGreaterThan(60);
    expect(withSome).toBeLessThan(295);
  });

  test('a lamp that lost its ground finds another through a lamp that is off', () => {
    // Both lamps return over one joint that leads nowhere; the second one has a horn beside it.
    const parts = [
      gate('s1', 'plus', 'a'),
      gate('s2', 'plus', 'b'),
      load('lamp', 'a', 'joint', 5),
      load('other', 'b', 'joint', 5),
      load('horn', 'b', 'minus', 5),
    ];
    const { paths } = sneakPaths({ netlist: netlistOf(parts), isFed: never, breaks: false });
    // three alike in a row
    for (const id of ['other', 'horn']) {
      const path = paths.find(({ loadId }) => loadId === id)!;
      expect(path.volts).toBeCloseTo(12.6 / 3, 1);
    }
    expect(paths.find(({ loadId }) => loadId === 'horn')!.way.map(({ partId }) => partId)).toEqual([
      's1',
      'lamp',
      'other',
      'horn',
    ]);
  });

  test('loads beside each other on one relay are dead when it is open', () => {
    const parts = [gate('s', 'plus', 'a'), ...[1, 2, 3].map((i) => load(`l${i}`, 'a', 'minus', i))];
    expect(sneakPaths({ netlist: netlistOf(parts), isFed: never }).paths).toEqual([]);
  });

  test('the demos have none while nothing is broken, and every path ends in what it says', () => {
    for (const { document } of demoBuilds) {
      const build = readBuild(document);
      const netlist = buildNetlist({ document: build, catalogue: sampleCatalogue });
      const proof = sneakPaths({ netlist, isFed: fedBy(build.vehicleSignals) });
      expect(proof.situations).toBeGreaterThan(100);
      expect(proof.paths.filter(({ broken }) => !broken)).toEqual([]);
      for (const { way, partId, volts } of proof.paths) {
        expect(way.some((step) => step.partId === partId)).toBe(true);
        expect(volts).toBeLessThanOrEqual(12.7);
      }
    }
  });
});

describe('what stays alive', () => {
  const leftOf = (document: BuildDocument, catalogue = sampleCatalogue) => {
    const build = readBuild(document);
    const netlist = buildNetlist({ document: build, catalogue });
    const table = switchTable({ netlist, switching: build.switching, thermostatOpens: 355.15 });
    return leftAlive({ netlist, table, isFed: fedBy(build.vehicleSignals) });
  };
  const changed = (...changes: readonly (readonly [readonly string[], unknown])[]): BuildDocument =>
    changes.reduce((document, [path, value]) => withValueAt(document, path, value), lantern);
  const lampOn = (signalId: string, relayPin: object) =>
    changed(
      [['devices', 'alternator', 'part'], { kind: 'item', item: { id: 'DV-ALT-1', revision: 1 } }],
      [['devices', 'tachometer', 'part'], { kind: 'item', item: { id: 'DV-LAMP-T', revision: 1 } }],
      [
        ['devices', 'tachometer', 'connections'],
        {
          '+': { to: 'signal', signalId },
          '−': { to: 'part', partId: 'alternator', pin: 'L' },
        },
      ],
      [['devices', 'gearbox-relay', 'connections', '86'], relayPin],
    );

  test('a charge lamp holds the relay that is on its wire', () => {
    const kept = leftOf(lampOn('ign-brown', { to: 'signal', signalId: 'ign-brown' })).keyOff;
    expect(kept.map(({ partId }) => partId)).toContain('gearbox-controller');
    expect(kept[0]!.volts).toBeGreaterThan(12);
  });

  test('and lets it go where the lamp passes too little for its coil', () => {
    // 10 mA at 13.5 V is 1350 Ω: before a coil of a tenth of that it leaves less than 1.2 of 14 V.
    const small = {
      items: sampleCatalogue.items.map((item) =>
        item.category === 'device' && item.id === 'DV-LAMP-T'
          ? { ...item, pins: item.pins.map((pin) => ({ ...pin, current: pin.current / 50 })) }
          : item,
      ),
    };
    const lamp = lampOn('ign-brown', { to: 'signal', signalId: 'ign-brown' });
    expect(leftOf(lamp, small).keyOff).toEqual([]);
    expect(leftOf(lamp).keyOff).not.toEqual([]);
  });

  test('and lets it go where the relay is on another wire', () => {
    expect(leftOf(lampOn('ign-brown', { to: 'signal', signalId: 'ign-black' })).keyOff).toEqual([]);
  });

  test('only a relay that sticks leaves the pump of Lantern running', () => {
    const left = leftOf(lantern);
    expect(left.pumpsOn).toEqual([]);
    expect(left.pumpRunsOn.map(({ partId, kind }) => [partId, kind])).toEqual([
      ['pump-relay', 'contact sticks'],
    ]);
  });

  test('with its coil fed all the time an output that stays on leaves it running too', () => {
    const constant = changed([
      ['devices', 'inertia-switch', 'connections', 'in'],
      { to: 'part', partId: 'fuse-socket', pin: 'out' },
    ]);
    const left = leftOf(constant);
    expect(left.pumpsOn).toEqual([]);
    expect(left.pumpRunsOn.map(({ partId, kind, pin }) => [partId, kind, pin]).sort()).toEqual([
      ['ecu', 'output stays on', 'B07'],
      ['pump-relay', 'contact sticks', ''],
    ]);
  });

  test('an isolator of one pole leaves the engine running, a second pole stops it', () => {
    const onePole = changed(
      [['devices', 'isolator', 'part'], { kind: 'item', item: { id: 'DV-ISO', revision: 1 } }],
      [['devices', 'isolator', 'connections'], { in: { to: 'part', partId: 'battery', pin: '+' } }],
      [['devices', 'main-relay', 'connections', '85'], { to: 'ground', groundId: 'panel-stud' }],
    );
    const coils = (document: BuildDocument) =>
      leftOf(document).isolated!.filter(({ partId }) => partId.startsWith('coil-')).length;
    expect(coils(onePole)).toBe(4);
    expect(coils(lantern)).toBe(0);
  });

  test('an alternator behind the isolator is parted from the battery by it, before it is not', () => {
    expect(leftOf(lantern).isolatorParts).toBe(false);
    const behind = changed([
      ['devices', 'fuse-alternator', 'connections', 'in'],
      { to: 'part', partId: 'isolator', pin: 'out' },
    ]);
    expect(leftOf(behind).isolatorParts).toBe(true);
  });
});
