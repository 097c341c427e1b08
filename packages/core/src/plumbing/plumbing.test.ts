import { describe, expect, test } from 'vitest';
import { asCut } from '../tests/asCut.ts';
import {
  type Catalogue,
  endsFor,
  holds,
  lookUp,
  mate,
  newestOf,
  schoolsFor,
} from '../catalogue/index.ts';
import { applyCommand, withEndsAlong } from '../evaluation/index.ts';
import { demoBuilds, kittiwake, lantern, sampleCatalogue, sandpiper } from '../exchange/index.ts';
import { insertCommand } from '../fuel/index.ts';
import { type BuildCommand, type BuildDocument, readBuild, withValueAt } from '../model/index.ts';
import { changed, cool } from '../tests/trippedBuilds.ts';
import { jointState, offeredTo } from './assemblies/madeLine.ts';
import { partsOfLine } from './buying/partsOfLine.ts';
import { doesTheSame, shoppingList } from './buying/shoppingList.ts';
import { soldLengths } from './buying/soldLengths.ts';
import { stepInWords } from './card/atBench.ts';
import { lineSheet } from './card/lineSheet.ts';
import { workCard } from './card/workCard.ts';
import { upToStep } from './figures/formulas.ts';
import { changesOfEnds, proposedEnds } from './proposals/proposedEnds.ts';
import { evaluated } from '../tests/evaluated.ts';

const made = (document: BuildDocument, lineId: string, catalogue: Catalogue = sampleCatalogue) =>
  evaluated(document, catalogue).made.find((line) => line.lineId === lineId)!;
const figure = (document: BuildDocument, key: string): number =>
  evaluated(document).results.find((result) => result.key === key)!.value;
const set = (document: BuildDocument, path: string, value: unknown): BuildDocument =>
  withValueAt(document, path, value);
const ref = (id: string) => ({ id, revision: 1 });
const along = (document: BuildDocument, command: BuildCommand): BuildDocument =>
  applyCommand(document, withEndsAlong(document, command, sampleCatalogue)).document;

describe('the demos', () => {
  test.each(demoBuilds.map((demo) => [demo.id, demo.document] as const))(
    '%s is plumbed: every line has ends that fit and can be cut',
    (_id, document) => {
      const { made: lines, findings } = evaluated(document);
      expect(lines.length).toBeGreaterThan(2);
      for (const line of lines) {
        for (const end of line.ends) {
          expect(['fits', 'straight-on'], `${line.name}, ${end.side}`).toContain(
            jointState(end, line.hose),
          );
        }
        expect(line.cut, line.name).toBeDefined();
      }
      expect(findings.filter(({ where }) => where.stage === 'lines')).toEqual([]);
    },
  );

  test('Kittiwake’s branches are made alike', () => {
    const [one, two] = [made(kittiwake, 'branch-1'), made(kittiwake, 'branch-2')];
    expect(one.cut!.value).toBeCloseTo(two.cut!.value, 9);
    expect(one.ends.map(({ item }) => item?.id)).toEqual(two.ends.map(({ item }) => item?.id));
  });
});

describe('the cut length', () => {
  test('is the length between the seats less adapters, with slack, less what the ends take', () => {
    const line = made(lantern, 'feed');
    const item = (id: string) => lookUp(sampleCatalogue, 'fitting', ref(id), 'test');
    const between = line.length! - item('AB6').standing - item('AB8-6').standing;
    const exact = between * 1.02 - item('E6-0').cutOff - item('E6-90').cutOff;
    expect(line.cut!.value).toBeGreaterThanOrEqual(exact - 1e-9);
    expect(line.cut!.value - exact).toBeLessThan(0.005);
    expect((line.cut!.value / 0.005) % 1).toBeCloseTo(0, 6);
  });

  test('is rounded up to 5 mm; what is a step already stays', () => {
    expect(upToStep(0.4)).toBeCloseTo(0.4, 12);
    expect(upToStep(0.4001)).toBeCloseTo(0.405, 12);
    expect(upToStep(1.1 + 2.2)).toBeCloseTo(3.3, 12);
  });

  test('grows with slack and with what was measured', () => {
    const slack = set(lantern, 'assemblies.feed.slack', { value: 0.05, unit: '%' });
    expect(figure(slack, 'line.feed.cutLength')).toBeGreaterThan(
      figure(lantern, 'line.feed.cutLength'),
    );
    const longer = set(lantern, 'fuelCircuits.main.elements.feed.length.measured', {
      value: 4,
      unit: 'm',
    });
    expect(figure(longer, 'line.feed.cutLength')).toBeGreaterThan(3.9);
  });

  test('of a tube has no slack', () => {
    const tube = set(lantern, 'fuelCircuits.main.elements.feed.item', ref('TSS-6'));
    expect(made(tube, 'feed').slack).toBe(0);
    expect(made(tube, 'feed').shortening).toBeUndefined();
  });

  test('shortens by its data sheet at the highest pressure of any case', () => {
    const line = made(lantern, 'feed');
    expect(line.shortening!.value).toBeCloseTo((0.04 * line.pressure) / 3.4e6, 12);
    expect(line.pressure).toBeGreaterThan(300e3);
  });

  test('is not there while an end is open', () => {
    const open = set(lantern, 'assemblies.feed.to.item', null);
    expect(made(open, 'feed').cut).toBeUndefined();
    expect(jointState(made(open, 'feed').ends[1], made(open, 'feed').hose)).toBe('open');
  });
});

describe('clocking', () => {
  const mirrored = (document: BuildDocument): BuildDocument => {
    const turned = <Entry extends { readonly y: { readonly value: number } }>(
      entry: Entry,
    ): Entry => ({
      ...entry,
      y: { ...entry.y, value: -entry.y.value },
    });
    const opposite = (heading: { value: number; unit: string } | null) =>
      heading && { ...heading, value: -heading.value };
    const each = <Entry>(
      entries: Readonly<Record<string, Entry>>,
      change: (entry: Entry) => Entry,
    ) => Object.fromEntries(Object.entries(entries).map(([id, entry]) => [id, change(entry)]));
    return {
      ...document,
      placements: each(document.placements, (place) => ({
        ...turned(place),
        heading: opposite(place.heading as { value: number; unit: string } | null),
      })),
      routes: each(document.routes, (route) => ({ ...route, points: each(route.points, turned) })),
    };
  };

  test('is 360° less it on the mirrored vehicle, and the cut length the same', () => {
    const other = mirrored(lantern);
    const here = figure(lantern, 'line.return.clocking');
    expect(figure(other, 'line.return.clocking')).toBeCloseTo(2 * Math.PI - here, 6);
    expect(figure(other, 'line.return.cutLength')).toBeCloseTo(
      figure(lantern, 'line.return.cutLength'),
      9,
    );
  });

  test('is none where an end is straight, or where nobody says which way its seat looks', () => {
    expect(made(lantern, 'feed').clocking).toBeUndefined();
    const straight = set(lantern, 'assemblies.return.from.item', ref('E6-0'));
    expect(made(straight, 'return').clocking).toBeUndefined();
    const unsaid = set(lantern, 'placements.tank-return.pitch', null);
    expect(made(unsaid, 'return').clocking).toBeUndefined();
    expect(workCard(made(unsaid, 'return'), sampleCatalogue).clockedInPlace).toBe(true);
  });
});

describe('ends', () => {
  const hoses = newestOf(sampleCatalogue, 'hose');

  test('are made for the hoses they hold, in their size', () => {
    for (const hose of hoses) {
      for (const end of endsFor(sampleCatalogue, hose)) {
        if (end.dash > 0) expect(end.dash).toBe(hose.dash);
        expect(end.bore).toBeLessThanOrEqual(hose.bore + 1e-9);
      }
    }
    const braided = hoses.find(({ id }) => id === 'HBR-6')!;
    expect(schoolsFor(sampleCatalogue, braided)).toEqual(['reusable', 'crimped']);
    const plain = hoses.find(({ id }) => id === 'HPR-6')!;
    expect(schoolsFor(sampleCatalogue, plain)).toEqual(['push-on']);
    const immersed = hoses.find(({ id }) => id === 'HSB-5')!;
    expect(schoolsFor(sampleCatalogue, immersed)).toEqual(['barb']);
  });

  test('proposed for a line fit it, turn as it runs, and are one edit', () => {
    for (const { document } of demoBuilds) {
      for (const line of evaluated(document).made) {
        if (!line.hose) continue;
        for (const school of schoolsFor(sampleCatalogue, line.hose)) {
          const ends = proposedEnds(line, school, sampleCatalogue);
          if (!ends) continue;
          const command: BuildCommand = {
            name: 'set-several',
            label: 'ends',
            changes: changesOfEnds(line, ends, sampleCatalogue),
          };
          const after = made(applyCommand(document, command).document, line.lineId);
          for (const end of after.ends) {
            const { item, turn } = end;
            if (!item) continue;
            expect(holds(item, line.hose)).toBe(true);
            expect(item.joint).toBe(school);
            const offered = offeredTo(end);
            const seat = item.firstPort;
            if (end.partner && seat.startsWith('flare')) {
              expect(offered && seat !== 'none' && mate(offered, seat), line.name).toBe(true);
            }
            if (turn !== undefined) {
              const all = endsFor(sampleCatalogue, line.hose).filter((e) => e.joint === school);
              const off = Math.abs(item.angle - turn);
              for (const other of all) {
                expect(off).toBeLessThanOrEqual(Math.abs(other.angle - turn) + 1e-5);
              }
            }
          }
        }
      }
    }
  });

  test('cost pressure in the network', () => {
    const loss = (document: BuildDocument): number => figure(document, 'circuit.feed.pressureDrop');
    const bare = set(lantern, 'assemblies', {});
    expect(loss(lantern)).toBeGreaterThan(loss(bare));
    const elbows = set(lantern, 'assemblies.feed.from.item', ref('E6-180'));
    expect(loss(elbows)).toBeGreaterThan(loss(lantern));
  });

  test('of a line that is made give way to nothing but the fittings that hold its hose', () => {
    const loose = set(lantern, 'fuelCircuits.main.elements.feed.fittings', {
      'E6-0': { item: ref('E6-0'), count: 2 },
      CK6: { item: ref('CK6'), count: 1 },
    });
    const line = made(loose, 'feed');
    const changes = lineSheet(line, sampleCatalogue).schools[0]!.changes;
    const after = applyCommand(loose, { name: 'set-several', label: 'ends', changes }).document;
    expect(after.fuelCircuits['main']!.elements['feed']).toMatchObject({
      fittings: { CK6: { count: 1 } },
    });
    expect(
      Object.keys((after.fuelCircuits['main']!.elements['feed'] as { fittings: object }).fittings),
    ).toEqual(['CK6']);
  });
});

describe('a hose that is exchanged', () => {
  const path = ['fuelCircuits', 'main', 'elements', 'feed', 'item'];
  const states = (document: BuildDocument, lineId: string) => {
    const line = made(document, lineId);
    return line.ends.map((end) => jointState(end, line.hose));
  };

  test('takes its ends and adapters along, in one edit that is taken back in one', () => {
    const command = withEndsAlong(
      lantern,
      { name: 'set', path, value: ref('HBR-8') },
      sampleCatalogue,
    );
    const { document } = applyCommand(lantern, command);
    expect(made(document, 'feed').ends.map(({ item }) => item?.id)).toEqual(['E8-0', 'E8-90']);
    expect(states(document, 'feed')).toEqual(['fits', 'fits']);
    expect(evaluated(document).findings.filter((f) => f.where.stage === 'lines')).toEqual([]);
  });

  test('of another make gets ends of that make, of the same angles', () => {
    const document = along(lantern, { name: 'set', path, value: ref('HBP-6') });
    expect(made(document, 'feed').ends.map(({ item }) => item?.id)).toEqual(['EP6-0', 'EP6-90']);
  });

  test.each([
    ['tank-bung', 'filter', 'suction'],
    ['pump-outlet', 'pump', 'pump-outlet'],
    ['fine', 'fitting', 'feed'],
  ] as const)('so do the lines beside what is put in behind %s: a %s', (afterId, kind, lineId) => {
    const build = readBuild(lantern);
    const command = insertCommand({
      document: build,
      circuit: build.fuelCircuits[0]!,
      catalogue: sampleCatalogue,
      afterId,
      kind,
    })!;
    expect(states(applyCommand(lantern, command).document, lineId)).toContain('unlike');
    expect(states(along(lantern, command), lineId)).not.toContain('unlike');
  });

  test('so do the lines of an element that is moved along', () => {
    const command = {
      name: 'move-element',
      circuitId: 'main',
      elementId: 'pump',
      direction: 'towards-engine',
      assemblies: {},
    } as const;
    expect(states(applyCommand(lantern, command).document, 'pump-outlet')).toContain('unlike');
    expect(states(along(lantern, command), 'pump-outlet')).not.toContain('unlike');
  });

  test('a part with other ports gets other adapters', () => {
    const document = along(lantern, {
      name: 'choose-part',
      circuitId: 'main',
      elementId: 'pump',
      item: ref('P520X'),
    });
    expect(states(document, 'pump-inlet')).toEqual(['fits', 'fits']);
    expect(made(document, 'pump-outlet').ends[0].adapters.map(({ id }) => id)).toEqual(['AB8-6']);
  });

  test('every other edit is left as it is, the same object', () => {
    for (const command of [
      { name: 'set', path: ['brief', 'cylinders'], value: 6 },
      { name: 'set', path, value: ref('HBR-6') },
      { name: 'set', path: ['assemblies', 'feed', 'to', 'item'], value: ref('E6-0') },
      { name: 'set', path: ['nothing', 'there'], value: 1 },
    ] satisfies BuildCommand[]) {
      expect(withEndsAlong(lantern, command, sampleCatalogue)).toBe(command);
    }
  });
});

describe('a hose that is cut', () => {
  const cutTo = (mm: number): BuildDocument =>
    set(changed(...cool), 'assemblies.feed.asMade', asCut('feed', mm));

  test('reaches by what it is longer than the bare way', () => {
    const line = made(cutTo(3370), 'feed');
    const item = (id: string) => lookUp(sampleCatalogue, 'fitting', ref(id), 'test');
    const exact =
      line.length! -
      item('AB6').standing -
      item('AB8-6').standing -
      item('E6-0').cutOff -
      item('E6-90').cutOff;
    expect(line.reach!.value).toBeCloseTo(3.37 - exact, 9);
  });

  test('says what no longer reaches once its end moves away, and nothing while it does', () => {
    const stops = (document: BuildDocument): string[] =>
      evaluated(document)
        .findings.filter(({ severity, where }) => severity === 'stop' && where.stage === 'lines')
        .map(({ id }) => id);
    expect(stops(cutTo(3370))).toEqual([]);
    const moved = set(cutTo(3370), 'placements.fine-filter.x', { value: 0.7, unit: 'mm' });
    expect(stops(moved)).toContain('hose.reach:feed');
    const finding = evaluated(moved).findings.find(({ id }) => id === 'hose.reach:feed')!;
    expect(finding.measured!.value).toBeGreaterThan(0.05);
  });
});

describe('a work card', () => {
  const card = workCard(made(lantern, 'return'), sampleCatalogue);
  const words = card.steps.map((step) => `${step.title}: ${stepInWords(step, 'metric')}`);

  test('leads from the string to the test and the torque, in a maker’s order', () => {
    const order = [/^Measure/, /^Cut/, /^Check the liner/, /^End A/, /^Clock/, /^End B/, /^Flush/];
    const places = order.map((each) => words.findIndex((step) => each.test(step)));
    expect(places).toEqual([...places].sort((a, b) => a - b));
    expect(places).not.toContain(-1);
    expect(words.find((step) => step.startsWith('Cut'))).toContain('4195 mm');
    expect(words.filter((step) => step.includes('nut of the line')).join()).toContain('20 N·m');
    expect(words.join()).not.toMatch(/[{}]/);
  });

  test('tests at one and a half times the highest pressure, within the weakest part', () => {
    const { pressure } = made(lantern, 'return');
    expect(card.testPressure).toBeCloseTo(1.5 * pressure, 6);
    const weak: Catalogue = {
      items: sampleCatalogue.items.map((item) =>
        item.id === 'AB6' ? ({ ...item, pressureRating: 450e3 } as typeof item) : item,
      ),
    };
    expect(workCard(made(lantern, 'return', weak), weak).testPressure).toBe(450e3);
    expect(workCard(made(sandpiper, 'vent'), sampleCatalogue).testPressure).toBeUndefined();
  });

  test('reads in inches for who reads so', () => {
    const cut = card.steps.find(({ title }) => title === 'Cut')!;
    expect(stepInWords(cut, 'us')).toContain('165.16 in');
  });
});

describe('what is bought', () => {
  const input = (document: BuildDocument) => {
    const { parts } = evaluated(document);
    const { shelf, offcuts } = readBuild(document);
    return { ...parts, shelf, offcuts, catalogue: sampleCatalogue };
  };
  const lineOf = (document: BuildDocument, id: string) =>
    shoppingList(input(document)).lines.find(({ item }) => item.id === id)!;

  test('counts a part once for each use, the ways of a Y-block as one', () => {
    expect(lineOf(kittiwake, 'Y12').needed).toBe(1);
    expect(lineOf(kittiwake, 'Y10').needed).toBe(2);
    expect(lineOf(kittiwake, 'EP8-60').needed).toBe(2);
    expect(figure(kittiwake, 'parts.EP8-60.count')).toBe(2);
  });

  test('adds a spare to fittings used four times or more, a tenth to what is lost in crimping', () => {
    const lost = ['contact', 'seal', 'cavity plug', 'lug'];
    for (const { document } of demoBuilds) {
      for (const { item, needed, spare } of shoppingList(input(document)).lines) {
        const isLost = item.category === 'plug-part' && lost.includes(item.form);
        const ofFitting = item.category === 'fitting' && needed >= 4 ? 1 : 0;
        expect(spare, item.id).toBe(isLost ? Math.ceil(needed / 10) : ofFitting);
      }
    }
  });

  test('takes the shelf and offcuts off', () => {
    const { buy } = lineOf(lantern, 'AB6');
    const shelved = set(lantern, 'shelf', { AB6: { item: ref('AB6'), count: 3 } });
    expect(lineOf(shelved, 'AB6').buy).toBe(buy - 3);
    const plenty = set(lantern, 'shelf', { AB6: { item: ref('AB6'), count: 50 } });
    expect(lineOf(plenty, 'AB6').buy).toBe(0);
    const rest = set(lantern, 'offcuts', {
      o1: { item: ref('HBR-6'), length: { value: 5, unit: 'mm' } },
    });
    expect(lineOf(rest, 'HBR-6').buy).toBeLessThan(lineOf(lantern, 'HBR-6').buy);
    expect(figure(rest, 'hose.HBR-6.bought')).toBeCloseTo(lineOf(rest, 'HBR-6').buy, 9);
  });

  test('buys hose in lengths that are sold, and its figures say the same', () => {
    const { item, plan, needed } = lineOf(lantern, 'HBR-6');
    if (item.category !== 'hose') throw new Error('no hose');
    const sold = soldLengths(item, { step: 0.5, upTo: 10 });
    for (const { length } of plan!.lengths) expect(sold).toContain(length);
    expect(figure(lantern, 'hose.HBR-6.total')).toBeCloseTo(needed, 9);
    expect(figure(lantern, 'hose.HBR-6.waste')).toBeCloseTo(plan!.bought - needed, 9);
  });

  test('has what making uses up once, sealant only where a thread is taper', () => {
    expect(lineOf(lantern, 'OL100').needed).toBe(1);
    expect(lineOf(lantern, 'CP6').needed).toBe(1);
    // Its oil sender has a taper thread of its own.
    expect(lineOf(lantern, 'SE50').needed).toBe(1);
    const parallel = set(lantern, 'devices.oil-pressure.state', 'kept');
    expect(lineOf(parallel, 'SE50')).toBeUndefined();
    const taper = set(parallel, 'assemblies.other-vent.from', {
      item: ref('BB10'),
      onto: 'taper-6-female',
      adapters: {},
    });
    expect(lineOf(taper, 'SE50').needed).toBe(1);
  });

  test('has a grommet for every hole that wears one, by its bore', () => {
    const holes = readBuild(lantern).sheets.flatMap(({ passThroughs }) =>
      passThroughs.filter(({ fitted }) => fitted === 'grommet'),
    );
    expect(holes.length).toBeGreaterThan(0);
    const { parts, missing } = input(lantern);
    const listed = parts
      .filter(({ item }) => item.category === 'small-part' && item.form === 'grommet')
      .reduce((sum, { quantity }) => sum + quantity, 0);
    const lacking = missing.filter(({ words }) => words.startsWith('grommet')).length;
    expect(listed + lacking).toBe(holes.length);
  });

  test('adds up', () => {
    const list = shoppingList(input(kittiwake));
    expect(list.price).toBeCloseTo(
      list.lines.reduce((sum, line) => sum + line.price, 0),
      2,
    );
    expect(list.mass).toBeGreaterThan(10);
    expect(list.missing).toEqual([]);
  });

  test('names what on the shelf does the same: as good, never less', () => {
    const item = (id: string) => sampleCatalogue.items.find((each) => each.id === id)!;
    const better = { ...item('E6-90'), id: 'OWN', pressureRating: 5e6 } as ReturnType<typeof item>;
    const worse = { ...better, pressureRating: 1e6 } as ReturnType<typeof item>;
    expect(doesTheSame(item('E6-90'), better, sampleCatalogue)).toBe(true);
    expect(doesTheSame(item('E6-90'), worse, sampleCatalogue)).toBe(false);
    expect(doesTheSame(item('E6-90'), item('E6-45'), sampleCatalogue)).toBe(false);
    expect(doesTheSame(item('E6-90'), item('E6-90'), sampleCatalogue)).toBe(false);
  });

  test('holds barbs with clamps for their pressure, lines with clamps for their size', () => {
    const words = (document: BuildDocument, lineId: string): string =>
      partsOfLine(made(document, lineId), sampleCatalogue)
        .map(({ words: each, count }) => `${count} ${each}`)
        .join(', ');
    expect(words(sandpiper, 'pump-hose')).toContain('2 Injection clamp 13 to 15 mm');
    expect(words(sandpiper, 'vent')).toContain('2 Worm clamp');
    expect(words(lantern, 'return')).toContain('10 Lined P-clamp 16 mm');
  });
});
