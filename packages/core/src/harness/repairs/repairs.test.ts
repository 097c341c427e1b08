import { describe, expect, test } from 'vitest';
import { contactsOf } from '../../electrics/power/wireContacts.ts';
import { applyCommand, createEvaluator } from '../../evaluation/index.ts';
import {
  HarnessLists,
  cutList,
  reelList,
  sampleCatalogue,
  sandpiper,
} from '../../exchange/index.ts';
import { type BuildDocument, migrateDocument, readBuild, withValueAt } from '../../model/index.ts';
import { wireCutTo } from './cutWires.ts';

const evaluator = createEvaluator();
const evaluated = (document: BuildDocument) => evaluator.evaluate(document, sampleCatalogue);
const mm = (value: number) => ({ value: value / 1e3, unit: 'mm' });

/** Sandpiper with every wire of its harness cut as long as it has to be. */
const allCut = ((): BuildDocument => {
  const { led } = evaluated(sandpiper);
  const cut = Object.fromEntries(
    led.wires
      .filter(({ leg }) => !leg)
      .map(({ wireId, length, needed }) => [wireId, wireCutTo(mm((needed ?? length).value * 1e3))]),
  );
  return withValueAt(sandpiper, 'harness.cut', cut);
})();
const shortIn = (document: BuildDocument) =>
  evaluated(document).findings.find(({ id }) => id === 'harness.cut-short');

describe('wires that are cut', () => {
  test('keep their length when what they lead to is moved', () => {
    const moved = withValueAt(allCut, 'placements.fan-seat.x', mm(1400));
    const before = evaluated(allCut).led.wires;
    const after = evaluated(moved).led.wires;
    for (const [i, { wireId, length, cut }] of after.entries()) {
      if (cut) expect(length.value, wireId).toBeCloseTo(before[i]!.length.value, 9);
    }
    // Their drop is that of the wire that is there, not of the one that would have to be.
    const drop = (document: BuildDocument): number =>
      evaluated(document).results.find(({ key }) => key === 'wire.fan~+.length')!.value;
    expect(drop(moved)).toBe(drop(allCut));
  });

  test('keep it also where they are led by themselves, and are cut on the list', () => {
    const { led, electrics } = evaluated(sandpiper);
    const inHarness = new Set(led.wires.map(({ wireId }) => wireId));
    const alone = electrics.netlist.wires.filter(({ id }) => !inHarness.has(id));
    expect(alone.length).toBeGreaterThan(5);
    for (const { id } of alone.slice(0, 3)) {
      const cut = evaluated(withValueAt(sandpiper, 'harness.cut', { [id]: wireCutTo(mm(345)) }));
      expect(cut.results.find(({ key }) => key === `wire.${id}.length`)!.value).toBe(0.345);
      const line = cutList(cut, {}).find(({ wire }) => wire === id)!;
      expect(line).toMatchObject({ is: 'cut', lengthIsFrom: 'as cut' });
    }
  });

  test('are told where they no longer reach, by how much, and only then', () => {
    expect(shortIn(allCut)).toBeUndefined();
    const nearer = withValueAt(allCut, 'placements.fan-seat.x', mm(1100));
    expect(shortIn(nearer)).toBeUndefined();
    const further = withValueAt(allCut, 'placements.fan-seat.x', mm(1400));
    const { numbers } = shortIn(further)!;
    const { led } = evaluated(further);
    const missing = Math.max(
      ...led.wires.map(({ needed, length }) => (needed ? needed.value - length.value : 0)),
    );
    expect(numbers['missing']!.value).toBeCloseTo(missing, 9);
    expect(missing).toBeGreaterThan(0.1);
  });

  test('are made to reach by every repair, the one of least work first', () => {
    // Onto the engine lies a loop of 80 mm: a move of 40 mm is within it.
    const near = withValueAt(allCut, 'placements.coolant-seat.z', mm(660));
    const cures = shortIn(near)!.cures();
    expect(cures[0]!.text).toMatch(/loop/u);
    for (const document of [near, withValueAt(allCut, 'placements.fan-seat.x', mm(1400))]) {
      const all = shortIn(document)!.cures();
      expect(all.length).toBeGreaterThan(1);
      for (const { command } of all) {
        expect(shortIn(applyCommand(document, command!).document)).toBeUndefined();
      }
    }
    const far = shortIn(withValueAt(allCut, 'placements.fan-seat.x', mm(1400)))!.cures();
    expect(far.some(({ text }) => text.includes('loop'))).toBe(false);
  });

  test('under a closed cover cost its opening: cutting them anew moves behind', () => {
    const further = withValueAt(allCut, 'placements.fan-seat.x', mm(1400));
    const order = (document: BuildDocument): string[] =>
      shortIn(document)!
        .cures()
        .map(({ text }) => (text.startsWith('Cut') ? 'anew' : 'splice'));
    expect(order(further)[0]).toBe('anew');
    const closed = Object.keys(allCut.harness.segments).reduce(
      (document, id) => withValueAt(document, `harness.segments.${id}.closed`, true),
      further,
    );
    expect(order(closed)[0]).toBe('splice');
  });
});

describe('a piece that is spliced into a wire that was cut too short', () => {
  const moved = withValueAt(allCut, 'placements.fan-seat.x', mm(1400));
  const cure = shortIn(moved)!
    .cures()
    .find(({ text }) => text.startsWith('Splice'))!;
  const mended = evaluated(applyCommand(moved, cure.command!).document);
  const before = evaluated(moved);
  const longer = mended.led.cut.filter(({ spliced }) => spliced.value > 0);
  const ohm = (of: typeof mended, id: string): number =>
    contactsOf(of.electrics.wires.find(({ wire }) => wire.id === id)!);

  test('adds two crimps to its resistance, and to that of no other', () => {
    expect(longer.length).toBeGreaterThan(0);
    const ids = new Set(longer.map(({ wireId }) => wireId));
    for (const { wire, size } of mended.electrics.wires) {
      const crimps = ids.has(wire.id) ? 2 * (1e-3 / (size.area * 1e6)) : 0;
      expect(ohm(mended, wire.id) - ohm(before, wire.id), wire.id).toBeCloseTo(crimps, 12);
    }
  });

  test('is a splice on the parts list, and a line of the cut list beside what it is put into', () => {
    const splices = ({ harness }: typeof mended): number =>
      harness.ends.parts
        .filter(({ item }) => item.form === 'splice')
        .reduce((all, { quantity }) => all + quantity, 0);
    expect(splices(mended) - splices(before)).toBe(longer.length);
    const lines = cutList(mended, {});
    for (const { wireId, length, spliced } of longer) {
      const [cut, piece] = ['cut', 'a piece put in'].map((is) =>
        lines.find((line) => line.wire === wireId && line.is === is),
      );
      const first = length.value - spliced.value;
      expect(cut!.length).toBeGreaterThan(first - 1e-9);
      expect(cut!.length).toBeLessThan(first + 0.01 + 1e-9);
      // 60 mm of it lie beside the wire at the splice.
      expect(piece!.length).toBeGreaterThan(spliced.value + 0.06 - 1e-9);
      expect(piece!.length).toBeLessThan(spliced.value + 0.07 + 1e-9);
    }
    const lists = new HarnessLists({
      evaluation: mended,
      build: readBuild(applyCommand(moved, cure.command!).document),
      catalogue: sampleCatalogue,
    });
    const numbers = new Map(lines.map(({ wire, number }) => [wire, String(number)]));
    const joints = lists.joints().filter(({ joint }) => joint.startsWith('Piece put into'));
    expect(joints.map(({ wires }) => wires).sort()).toEqual(
      longer.map(({ wireId }) => numbers.get(wireId)).sort(),
    );
    for (const { sleeve, together } of joints) {
      expect(sleeve).not.toBe('');
      expect(together).toBeGreaterThan(0);
    }
    const stillToCut = reelList(mended).reduce((all, { wires }) => all + wires, 0);
    const open = lines.filter(({ is }) => is === 'to cut').length;
    expect(stillToCut).toBe(open + longer.length);
  });

  test('grows when the wire is mended once more', () => {
    const [one] = longer;
    const document = applyCommand(moved, cure.command!).document;
    const again = withValueAt(document, 'placements.fan-seat.x', mm(1500));
    const second = shortIn(again)!
      .cures()
      .find(({ text }) => text.startsWith('Splice'))!;
    const { led } = evaluated(applyCommand(again, second.command!).document);
    const now = led.cut.find(({ wireId }) => wireId === one!.wireId)!;
    expect(now.spliced.value - one!.spliced.value).toBeCloseTo(
      now.length.value - one!.length.value,
      9,
    );
    expect(now.length.value).toBeGreaterThan(one!.length.value + 0.05);
  });

  test('is not in a wire that an older file says is cut', () => {
    const older = {
      version: 16,
      harness: { cut: { 'air~1': { length: mm(670) } } },
    };
    const lifted = migrateDocument(older) as { version: number; harness: { cut: unknown } };
    expect(lifted.version).toBeGreaterThanOrEqual(17);
    expect(lifted.harness.cut).toEqual({ 'air~1': wireCutTo(mm(670)) });
  });
});

describe('a leg of a loom that is made longer', () => {
  const extended = evaluated(
    withValueAt(sandpiper, 'harness.bought.stator-loom.legs.fuse.changed', mm(150)),
  );
  const before = evaluated(sandpiper);
  const inLeg = extended.led.wires.filter(({ leg }) => leg?.legId === 'fuse');

  test('has a splice in each of its wires, with its crimps and its part', () => {
    expect(inLeg.length).toBeGreaterThan(0);
    for (const { wireId } of inLeg) {
      const of = ({ electrics }: typeof before) =>
        electrics.wires.find(({ wire }) => wire.id === wireId)!;
      const { area } = of(extended).size;
      expect(contactsOf(of(extended)) - contactsOf(of(before))).toBeCloseTo(
        2e-3 / (area * 1e6),
        12,
      );
    }
    const hours = (evaluation: typeof before) =>
      evaluation.results.find(({ key }) => key === 'harness.hours')!.value;
    expect(hours(extended)).toBeGreaterThan(hours(before));
  });

  test('needs the wire of its pieces, which the list of parts has', () => {
    const metres = ({ parts }: typeof before, id: string): number =>
      parts.parts.find(({ item }) => item.id === id)?.quantity ?? 0;
    const { size } = extended.electrics.wires.find(({ wire }) => wire.id === inLeg[0]!.wireId)!;
    const same = inLeg.filter(
      ({ wireId }) =>
        extended.electrics.wires.find(({ wire }) => wire.id === wireId)!.size.id === size.id,
    );
    expect(metres(extended, size.id) - metres(before, size.id)).toBeCloseTo(
      same.length * (0.15 + 0.06),
      9,
    );
  });
});
