import { describe, expect, test } from 'vitest';
import { cutList, demoBuilds, sampleCatalogue } from '../exchange/index.ts';
import { makingSheet } from './making/makingSheet.ts';
import { type RecordEntry, TAKEN_BACK, standingEntries } from './record/recordEntry.ts';
import { readBuild } from '../model/index.ts';
import { vectorOf } from '../vehicle/index.ts';
import { buzzOrder, buzzOut } from './recheck/buzzOut.ts';
import { foundAtVehicle } from './recheck/foundAtVehicle.ts';
import { secondReading } from './recheck/secondReading.ts';
import { evaluated } from '../tests/evaluated.ts';

let count = 0;
const entry = (
  kind: RecordEntry['kind'],
  subject: string,
  said: RecordEntry['said'],
  corrects: string | null = null,
): RecordEntry => ({
  id: `entry-${(count += 1)}`,
  kind,
  subject,
  said,
  corrects,
  revision: 1,
  author: 'workshop',
  time: '2026-11-27T10:00:00.000Z',
});

describe('a record', () => {
  test('stands as its newest entries of each thing say, less what was taken back', () => {
    const first = entry('cut', 'a', { length: 1 });
    const second = entry('cut', 'b', { length: 2 });
    const again = entry('cut', 'a', { length: 3 });
    expect(standingEntries([first, second, again])).toEqual([second, again]);
    const back = entry('cut', 'a', TAKEN_BACK, again.id);
    expect(standingEntries([first, second, again, back])).toEqual([second]);
    expect(standingEntries([first, entry('pinned', 'a', {})])).toHaveLength(2);
  });

  test('a correction holds though it came in before what it corrects', () => {
    const wrong = entry('read', 'w', { to: 'x' });
    const right = entry('read', 'w', { to: 'y' }, wrong.id);
    expect(standingEntries([right, wrong])).toEqual([right]);
  });
});

describe.each(demoBuilds.map(({ document }) => [document.name, document] as const))(
  'what is made of %s',
  (_, document) => {
    const evaluation = evaluated(document);
    const { led, harness, electrics } = evaluation;
    const sheet = makingSheet({ led, harness, electrics, catalogue: sampleCatalogue });

    test('are the wires of the cut list, as long, in one size and colour after another', () => {
      const list = cutList(evaluation, {}).filter(({ is }) => is !== 'a piece put in');
      const own = sheet.wires.filter(({ isBought }) => !isBought);
      expect(own.map(({ number }) => number)).toEqual(list.map(({ number }) => number));
      own.forEach((wire, i) => {
        expect(wire.length).toBe(list[i]!.length);
        expect(wire.colour).toBe(list[i]!.colour);
        expect(wire.isCut).toBe(list[i]!.is === 'cut');
      });
    });

    test('says the sleeve of every splice that wires end in', () => {
      const sleeves = harness.ends.parts.filter(({ item }) => item.form === 'splice');
      const splices = electrics.netlist.parts.filter(({ sort }) => sort === 'splice');
      const spliced = sheet.wires.flatMap(({ ends }) =>
        ends.filter(({ work }) => work === 'splice'),
      );
      for (const { id, pins } of splices) {
        const nodes = new Set(pins.map(({ node }) => node));
        const told = new Set(spliced.flatMap(({ node, part }) => (nodes.has(node) ? [part] : [])));
        const sleeve = sleeves.find(({ partId }) => partId === id);
        expect([...told]).toEqual([sleeve!.item.designation]);
      }
    });

    test('has every end of every wire, with what the catalogue has for it', () => {
      const cavities = new Map(
        sheet.plugs.flatMap(({ cavities: own }) =>
          own.map(({ node, wire }) => [node, wire] as const),
        ),
      );
      for (const { ends, number, isBought } of sheet.wires) {
        for (const { node, work, part } of ends) {
          expect(cavities.has(node)).toBe(work === 'crimp a contact');
          if (work === 'crimp a contact') {
            expect(cavities.get(node)).toBeDefined();
            // What comes with a loom is crimped already.
            if (!isBought) expect(part, `${number} ${node}`).toBeDefined();
          }
        }
      }
    });

    test('is read in an order of its own: shuffled, each wire once, the same when it is asked again', () => {
      const { order } = secondReading(sheet, [], 7);
      expect(secondReading(sheet, [], 7).order.map(({ wire }) => wire.id)).toEqual(
        order.map(({ wire }) => wire.id),
      );
      expect(new Set(order.map(({ wire }) => wire.id)).size).toBe(order.length);
      const inPlan = [...order].sort((a, b) => a.wire.number - b.wire.number);
      expect(order.map(({ wire }) => wire.id)).not.toEqual(inPlan.map(({ wire }) => wire.id));
      expect(secondReading(sheet, [], 8).order[0]!.wire.id).not.toBe(order[0]!.wire.id);
    });

    test('two wires that were swapped in a plug are found by the second reading, and nothing else', () => {
      const { order } = secondReading(sheet, [], 7);
      const [a, b] = order.filter(
        ({ to }, _i, all) => all.filter((other) => other.to.name === to.name).length > 1,
      );
      const swapped = order.find((other) => other !== a && other.to.name === a!.to.name) ?? b!;
      const entries = order.map(({ wire, from, to }) =>
        entry('read', wire.id, {
          from: from.node,
          to:
            wire.id === a!.wire.id
              ? swapped.to.node
              : wire.id === swapped.wire.id
                ? a!.to.node
                : to.node,
        }),
      );
      const reading = secondReading(sheet, entries, 7);
      expect(reading.open).toEqual([]);
      expect(reading.agreed).toBe(order.length - 2);
      expect(reading.disagreements.map(({ wireId }) => wireId).sort()).toEqual(
        [a!.wire.id, swapped.wire.id].sort(),
      );
      const told = reading.disagreements.find(({ wireId }) => wireId === a!.wire.id)!;
      expect(told.instead).toBe(swapped.wire.number);
      const found = foundAtVehicle(sheet, [
        ...entries,
        entry('buzzed', a!.wire.id, { beeps: false }),
        entry('buzzed', swapped.wire.id, { beeps: true }),
      ]);
      expect(found.map(({ id }) => id).sort()).toEqual(
        [`read:${a!.wire.id}`, `read:${swapped.wire.id}`, `buzz:${a!.wire.id}`].sort(),
      );
      expect(found.find(({ id }) => id === `read:${a!.wire.id}`)?.because).toContain(
        `where wire ${swapped.wire.number} belongs`,
      );
      expect(foundAtVehicle(sheet, [])).toEqual([]);
      // Mended, it is read again.
      const back = entry('read', a!.wire.id, TAKEN_BACK, told.entryId);
      expect(secondReading(sheet, [...entries, back], 7).open.map(({ wire }) => wire.id)).toEqual([
        a!.wire.id,
      ]);
    });

    test('is buzzed out wire by wire, each once, with fewer walks than by their numbers', () => {
      const placeAt = new Map(
        sheet.plugs.flatMap(({ placementId, cavities }) =>
          cavities.map(({ node }) => [node, placementId] as const),
        ),
      );
      const places = new Map(readBuild(document).placements.map((p) => [p.id, vectorOf(p)]));
      const whereIs = (id: string) => places.get(id);
      const way = buzzOrder(sheet, placeAt, whereIs);
      const fresh = buzzOut(way, []);
      const { order } = secondReading(sheet, [], 7);
      expect(fresh.open.map(({ id }) => id).sort()).toEqual(
        order.map(({ wire }) => wire.id).sort(),
      );
      for (const { at, other, wires } of fresh.stops) {
        for (const { ends } of wires) {
          expect(ends.map(({ node }) => placeAt.get(node)).sort()).toEqual([at, other].sort());
        }
      }
      // Both probes go somewhere at first; then at least one goes at each stop that is another.
      expect(fresh.walks).toBeGreaterThanOrEqual(fresh.stops.length);
      let here: (string | undefined)[] = [];
      let byNumber = 0;
      for (const { ends } of [...fresh.open].sort((a, b) => a.number - b.number)) {
        const now = ends.map(({ node }) => placeAt.get(node));
        byNumber += [...new Set(now)].filter((place) => !here.includes(place)).length;
        here = now;
      }
      expect(fresh.walks).toBeLessThan(byNumber);
      // None takes fewer: it is the bound.
      expect(fresh.walks).toBe(fresh.least);
      const [first, second] = fresh.open;
      const said = buzzOut(way, [
        entry('buzzed', first!.id, { beeps: true }),
        entry('buzzed', second!.id, { beeps: false }),
      ]);
      expect(said.good).toBe(1);
      expect(said.broken.map(({ wire }) => wire.id)).toEqual([second!.id]);
      expect(said.open.map(({ id }) => id)).toEqual(fresh.open.slice(2).map(({ id }) => id));
    });

    test('a wire that leads nowhere, or is read from an end it does not have, is told', () => {
      const { order } = secondReading(sheet, [], 7);
      const [first, second] = order;
      const entries = [
        entry('read', first!.wire.id, { from: first!.from.node, to: null }),
        entry('read', second!.wire.id, { from: first!.from.node, to: second!.to.node }),
      ];
      const { disagreements } = secondReading(sheet, entries, 7);
      expect(disagreements).toHaveLength(2);
      const numbers = disagreements.map(({ number }) => number);
      expect(numbers).toEqual([...numbers].sort((a, b) => a - b));
      const of = (wireId: string) => disagreements.find((each) => each.wireId === wireId);
      expect(of(first!.wire.id)).toMatchObject({ found: 'to go nowhere' });
      expect(of(second!.wire.id)).toMatchObject({ from: '' });
    });
  },
);
