import { describe, expect, test } from 'vitest';
import { applyCommand, createEvaluator } from '../../evaluation/index.ts';
import { cutList, sampleCatalogue, sandpiper } from '../../exchange/index.ts';
import { type BuildDocument, withValueAt } from '../../model/index.ts';

const evaluator = createEvaluator();
const evaluated = (document: BuildDocument) => evaluator.evaluate(document, sampleCatalogue);
const mm = (value: number) => ({ value: value / 1e3, unit: 'mm' });

/** Sandpiper with every wire of its harness cut as long as it has to be. */
const allCut = ((): BuildDocument => {
  const { led } = evaluated(sandpiper);
  const cut = Object.fromEntries(
    led.wires
      .filter(({ leg }) => !leg)
      .map(({ wireId, length, needed }) => [
        wireId,
        { length: mm((needed ?? length).value * 1e3) },
      ]),
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
      const cut = evaluated(withValueAt(sandpiper, 'harness.cut', { [id]: { length: mm(345) } }));
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
