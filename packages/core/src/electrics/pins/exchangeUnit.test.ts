import { describe, expect, test } from 'vitest';
import { type EcuItem, lookUp, newestOf } from '../../catalogue/index.ts';
import { applyCommand, evaluate, referenceProblems } from '../../evaluation/index.ts';
import { lantern, sampleCatalogue } from '../../exchange/index.ts';
import { readBuild } from '../../model/index.ts';
import { exchangeUnit } from './exchangeUnit.ts';

const leat = newestOf(sampleCatalogue, 'ecu').find(({ id }) => id === 'LEAT34')!;
const weir = newestOf(sampleCatalogue, 'ecu').find(({ id }) => id === 'WEIR60')!;
const fewHighSide = 'pin.too-few:ecu/high-side';

/** The larger unit with so many outputs more that feed from the high side. */
function withHighSide(count: number): EcuItem {
  let left = count;
  return {
    ...weir,
    id: `WEIR-H${count}`,
    designation: `Weir with ${count} more`,
    highSideTotal: 0,
    pins: weir.pins.map((pin) => {
      const plain = pin.capabilities.length === 1 && pin.capabilities[0] === 'low-side';
      if (!plain || left === 0) return pin;
      left -= 1;
      return { ...pin, capabilities: ['high-side'], current: 5 };
    }),
  };
}

const curesWith = (...units: readonly EcuItem[]) => {
  const catalogue = { items: [...sampleCatalogue.items, ...units] };
  const { findings } = evaluate(lantern, catalogue);
  const finding = findings.find(({ id }) => id === fewHighSide)!;
  const larger = finding.cures().filter(({ text }) => text.startsWith('Fit a larger unit'));
  return { catalogue, larger };
};

describe('a larger unit', () => {
  test('is no way out where it has no more of what is wanting', () => {
    expect(curesWith().larger).toEqual([]);
    expect(curesWith(withHighSide(1)).larger).toEqual([]);
  });

  test('is one where it has, with every signal on a pin of it, and the finding is gone', () => {
    const { catalogue, larger } = curesWith(withHighSide(6));
    expect(larger.map(({ text }) => text)).toEqual(['Fit a larger unit: Weir with 6 more']);
    const { document } = applyCommand(lantern, larger[0]!.command!);
    expect(referenceProblems(document, catalogue)).toEqual([]);
    const before = evaluate(lantern, catalogue).findings.filter((f) => f.severity === 'stop');
    const { findings } = evaluate(document, catalogue);
    const stops = findings.filter((f) => f.severity === 'stop').map(({ id }) => id);
    expect(stops).not.toContain(fewHighSide);
    for (const id of stops) expect(before.map((f) => f.id)).toContain(id);
    expect(findings.filter(({ rule }) => rule === 'pin.fault')).toEqual([]);
    // Nothing is left on a pin that the new unit does not have, or that cannot do it.
    const unit = lookUp(catalogue, 'ecu', document.power.ecu, 'test');
    const pins = new Set(unit.pins.map(({ id }) => id));
    for (const { connections } of Object.values(document.devices)) {
      for (const to of Object.values(connections)) {
        if (to.to === 'controller' && to.pin !== '') expect(pins.has(to.pin)).toBe(true);
      }
    }
    expect(document.power.ecu.id).toBe('WEIR-H6');
  });

  test('keeps its supplies and grounds where those of the old one were', () => {
    const { electrics } = evaluate(lantern, sampleCatalogue);
    const wired = readBuild(lantern);
    const changes = exchangeUnit({
      wired,
      netlist: electrics.netlist,
      from: leat,
      to: withHighSide(6),
      must: [],
      order: undefined,
    })!;
    const own = changes.find(({ path }) => path.at(-1) === 'ecuConnections')!.value as Record<
      string,
      unknown
    >;
    const old = Object.values(wired.power.ecuConnections);
    const capable = weir.pins.filter(({ capabilities }) =>
      capabilities.some((each) => each === 'power-ground' || each.startsWith('supply')),
    );
    for (const { id } of capable) expect(own[id]).toBeDefined();
    for (const target of Object.values(own)) expect(old).toContainEqual(target);
  });
});
