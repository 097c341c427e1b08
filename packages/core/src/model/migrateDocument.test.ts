import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { demoBuilds, lantern, sampleCatalogue } from '../exchange/index.ts';
import { referenceProblems } from '../evaluation/index.ts';
import { briefSpec } from '../engine/model.ts';
import { type BuildDocument, CURRENT_VERSION, documentSpec } from './document.ts';
import { completed, fieldsIn, initialOf } from './initial.ts';
import { migrateDocument, storedDocument } from './migrateDocument.ts';
import { BARE_PLACE, TANK_AS_FOUND } from '../vehicle/model.ts';
import { readBuild } from './build.ts';
import { pathById } from './migrations/recordsById.ts';
import { pathOf, withValueAt } from './path.ts';
import { placeInWords } from './placeInWords.ts';
import { hashOf } from './stableJson.ts';

type Plain = Record<string, unknown>;
interface VersionThree extends Plain {
  readonly brief: Plain;
  readonly fuels: readonly Plain[];
  readonly fuelCircuits: readonly (Plain & { readonly elements: readonly Plain[] })[];
  readonly injectorRows: readonly Plain[];
  readonly power: Plain;
}

/** A build as version 3 wrote it. */
const versionThree = (name: 'lantern' | 'kittiwake'): VersionThree => {
  const file = new URL(`../../src/tests/versionThree/${name}.json`, import.meta.url);
  return JSON.parse(readFileSync(file, 'utf8')) as VersionThree;
};

/** A build as version 5 wrote it. */
const versionFive = (name: 'lantern' | 'kittiwake'): Plain => {
  const file = new URL(`../../src/tests/versionFive/${name}.json`, import.meta.url);
  return JSON.parse(readFileSync(file, 'utf8')) as Plain;
};
type Slice = 'placements' | 'injectorRows' | 'tanks' | 'routes';
/** A build as version 6 wrote it. */
const versionSix = (name: 'lantern' | 'kittiwake'): Plain => {
  const file = new URL(`../../src/tests/versionSix/${name}.json`, import.meta.url);
  return JSON.parse(readFileSync(file, 'utf8')) as Plain;
};
/** The builds of version 5, lifted: what older versions of them become. */
const lanternOfFive = storedDocument(versionFive('lantern'));
const kittiwakeOfFive = storedDocument(versionFive('kittiwake'));

const without = (entry: Plain, ...keys: readonly string[]): Plain =>
  Object.fromEntries(Object.entries(entry).filter(([key]) => !keys.includes(key)));

/** The power of an older version as it is now: without the pumps' feeds, which are devices. */
const powerOfNow = (power: unknown): Plain => ({
  ...without(power as Plain, 'pumpFeeds'),
  ecuConnections: {},
  negativeGroundId: null,
});

/** A build whose wires nobody has led. */
const NONE: BuildDocument['harness'] = {
  school: 'taped',
  massBudget: null,
  breakouts: {},
  segments: {},
  splices: {},
  colours: {},
  bought: {},
  cut: {},
  repinned: {},
};

/** A document of which no harness is known, nor what leads through its connectors. */
const bare = (document: BuildDocument): BuildDocument => ({
  ...document,
  devices: Object.fromEntries(
    Object.entries(document.devices).map(([id, device]) => [id, { ...device, ways: {} }]),
  ),
  vehicleSignals: Object.fromEntries(
    Object.entries(document.vehicleSignals).map(([id, signal]) => [
      id,
      { ...signal, base: null, stripe: null },
    ]),
  ),
  harness: NONE,
});

/** The limits of an older version as they are now: with the shares of alternator and battery. */
const limitsOfNow = (limits: unknown): Plain => ({
  ...(limits as Plain),
  alternatorAtIdle: { value: 0.45, unit: '%' },
  alternatorHot: { value: 0.85, unit: '%' },
  batteryUsable: { value: 0.5, unit: '%' },
  thermostatOpens: { value: 355.15, unit: '°C' },
});

/** Lantern as version 2 wrote it. */
const versionTwo = (): Plain => {
  const three = versionThree('lantern');
  return {
    ...without(three, 'shelf'),
    version: 2,
    brief: without(three.brief, 'cruisePower', 'cruiseRoadSpeed'),
    fuels: three.fuels.map((fuel) => without(fuel, 'ethanolLowest')),
    fuelCircuits: three.fuelCircuits.map((circuit) => ({
      ...circuit,
      elements: circuit.elements.map((element) => without(element, 'usableVolume', 'control')),
    })),
    injectorRows: three.injectorRows.map((row) =>
      without(row, 'staging', 'ballast', 'measuredFlows'),
    ),
  };
};

/** Lantern as version 1 wrote it. */
const versionOne = (): Plain => ({
  ...without(versionTwo(), 'acceptances', 'displayUnits'),
  version: 1,
});

const usualLoss = { value: 10, unit: 'W/K' };
const tanks = ['main.elements.tank', 'methanol.elements.methanol-tank'] as const;
/** A build whose tanks lose heat as usual: no version before 5 knew how they lose it. */
const withUsualLoss = (build: BuildDocument): BuildDocument =>
  tanks.reduce((document, tank) => {
    const path = `fuelCircuits.${tank}.heatLoss`;
    return build.fuelCircuits[tank.split('.')[0]!]
      ? withValueAt(document, path, usualLoss)
      : document;
  }, build);

/** Lantern as it was before anything ran over a map: the length of its feed was typed. */
const unmapped: BuildDocument = {
  ...withValueAt(lanternOfFive, 'fuelCircuits.main.elements.feed.length.typed', {
    value: 4.4,
    unit: 'm',
  }),
  hotRuns: {},
  routes: {},
};

/** What no older version knew: the name of Lantern's tank tells 85 L, its cruise is not known. */
const asLifted = withValueAt(
  withUsualLoss({ ...unmapped, brief: { ...unmapped.brief, cruisePower: null } }),
  'fuelCircuits.main.elements.tank.usableVolume',
  { value: 0.085, unit: 'L' },
);

/** The last version of which a step is written by hand: later fields add themselves. */
const LAST_WRITTEN = 17;
const withLaterFields = <Value>(document: Value): Value =>
  completed(documentSpec, document, ({ since }) => (since ?? 1) > LAST_WRITTEN);

describe('fields that add themselves', () => {
  const later = fieldsIn(documentSpec).filter(({ since }) => (since ?? 1) > LAST_WRITTEN);

  test('each says what it is at first, and the version is that of the newest', () => {
    expect(later.length).toBeGreaterThan(0);
    expect(later.filter((field) => initialOf(field) === undefined)).toEqual([]);
    expect(CURRENT_VERSION).toBe(Math.max(...later.map(({ since }) => since!)));
  });

  test('are in a document of the version before as they are at first, and nothing else moves', () => {
    const { protectionTemperature: _, ...brief } = lantern.brief;
    const before = { ...lantern, version: LAST_WRITTEN, brief };
    const protectionTemperature = initialOf(briefSpec.fields.protectionTemperature);
    expect(migrateDocument(before)).toEqual({
      ...lantern,
      brief: { ...brief, protectionTemperature },
    });
  });

  test('what is there already is kept, in documents and in what somebody says', () => {
    const hotter = { value: 390, unit: '°C' };
    const own = { ...lantern, brief: { ...lantern.brief, protectionTemperature: hotter } };
    expect(completed(documentSpec, own)).toBe(own);
    const { version: _, ...unversioned } = own;
    const older = { ...unversioned, version: LAST_WRITTEN };
    expect((migrateDocument(older) as BuildDocument).brief.protectionTemperature).toBe(hotter);
  });
});

describe('documents of older versions', () => {
  test.each([
    [1, versionOne()],
    [2, versionTwo()],
  ])('version %i becomes the current version and means the same', (_version, old) => {
    const lifted = storedDocument(old);
    expect(lifted.version).toBe(CURRENT_VERSION);
    expect(hashOf(lifted)).toBe(hashOf(asLifted));
    expect(referenceProblems(lifted, sampleCatalogue)).toEqual([]);
  });

  test('version 3 becomes the current version: the same builds, by id', () => {
    expect(hashOf(storedDocument(versionThree('lantern')))).toBe(hashOf(withUsualLoss(unmapped)));
    const lifted = storedDocument(versionThree('kittiwake'));
    expect(Object.keys(lifted.fuelCircuits)).toEqual(Object.keys(kittiwakeOfFive.fuelCircuits));
    expect(lifted.fuelCircuits).toEqual(withUsualLoss(kittiwakeOfFive).fuelCircuits);
    expect(referenceProblems(lifted, sampleCatalogue)).toEqual([]);
  });

  test.each(['lantern', 'kittiwake'] as const)(
    'version 4 becomes the current version: %s with tanks that lose heat as usual',
    (name) => {
      const file = new URL(`../../src/tests/versionFour/${name}.json`, import.meta.url);
      const four = JSON.parse(readFileSync(file, 'utf8')) as Plain;
      expect(four['version']).toBe(4);
      expect(hashOf(storedDocument(four))).toBe(
        hashOf(withUsualLoss(name === 'lantern' ? unmapped : kittiwakeOfFive)),
      );
    },
  );

  test.each(['lantern', 'kittiwake'] as const)(
    'version 5 becomes the current version: %s on a vehicle of usual size, its ways as they were',
    (name) => {
      const five = versionFive(name) as Plain & {
        readonly routes: Readonly<Record<string, Plain>>;
        readonly placements: Readonly<Record<string, Plain>>;
      };
      expect(five['version']).toBe(5);
      const lifted = storedDocument(five);
      expect(referenceProblems(lifted, sampleCatalogue)).toEqual([]);
      expect(lifted.vehicle.kind).toBe('car');
      for (const [id, { circuitId, elementId, sleeve, ...route }] of Object.entries(five.routes)) {
        expect(lifted.routes[id]).toEqual({
          ...route,
          of: { kind: 'line', circuitId, elementId },
          flexible: false,
          covers: sleeve === true ? { sleeve: expect.anything() } : {},
          clamps: {},
        });
      }
      for (const [id, place] of Object.entries(five.placements)) {
        expect(lifted.placements[id]).toEqual({
          ...place,
          movesWithEngine: false,
          ...BARE_PLACE,
        });
      }
      expect(lifted.fuelCircuits).toEqual(five['fuelCircuits']);
    },
  );

  test.each(['lantern', 'kittiwake'] as const)(
    'version 6 becomes the current version: %s with parts that look forward, nothing else moved',
    (name) => {
      const six = versionSix(name) as Plain & Record<Slice, Readonly<Record<string, Plain>>>;
      expect(six['version']).toBe(6);
      const lifted = storedDocument(six);
      expect(referenceProblems(lifted, sampleCatalogue)).toEqual([]);
      for (const [id, place] of Object.entries(six.placements)) {
        expect(lifted.placements[id]).toEqual({ ...place, ...BARE_PLACE });
      }
      for (const [id, row] of Object.entries(six.injectorRows)) {
        expect(lifted.injectorRows[id]).toEqual({ ...row, seating: null });
      }
      for (const [id, tank] of Object.entries(six.tanks)) {
        expect(lifted.tanks[id]).toEqual({ ...TANK_AS_FOUND, ...tank });
      }
      expect(lifted.solids).toEqual(six['solids']);
      expect(lifted.power).toEqual(powerOfNow(six['power']));
    },
  );

  test.each(['lantern', 'kittiwake'] as const)(
    'version 7 becomes the current version: %s without lines as they are made, nothing else moved',
    (name) => {
      const file = new URL(`../../src/tests/versionSeven/${name}.json`, import.meta.url);
      const seven = JSON.parse(readFileSync(file, 'utf8')) as Plain & Record<'shelf', object>;
      expect(seven['version']).toBe(7);
      const lifted = storedDocument(seven);
      expect(referenceProblems(lifted, sampleCatalogue)).toEqual([]);
      expect(lifted.assemblies).toEqual({});
      expect(lifted.offcuts).toEqual({});
      expect(Object.keys(lifted.shelf)).toEqual(Object.keys(seven.shelf));
      expect(lifted.routes).toEqual(seven['routes']);
      expect(lifted.fuelCircuits).toEqual(seven['fuelCircuits']);
    },
  );

  test('a hose that version 8 knew as cut is cut of the hose and with the ends that it had', () => {
    const file = new URL('../../src/tests/versionEight/lantern.json', import.meta.url);
    const eight = JSON.parse(readFileSync(file, 'utf8')) as Plain &
      Record<'placements', Readonly<Record<string, Plain>>>;
    expect(eight['version']).toBe(8);
    const lifted = storedDocument(eight);
    expect(referenceProblems(lifted, sampleCatalogue)).toEqual([]);
    expect(lifted.assemblies['feed']?.asMade).toEqual({
      cut: { value: 3.37, unit: 'mm' },
      clocking: null,
      hose: { id: 'HBR-6', revision: 1 },
      from: lifted.assemblies['feed']?.from.item,
      to: lifted.assemblies['feed']?.to.item,
    });
    expect(lifted.assemblies['return']?.asMade).toBeNull();
    for (const [id, place] of Object.entries(eight.placements)) {
      const fixing = place['fixing'] as Plain | null;
      expect(lifted.placements[id]?.fixing).toEqual(fixing && { ...fixing, drilled: null });
    }
  });

  test.each(['lantern', 'kittiwake'] as const)(
    'version 9 becomes the current version: %s with the devices of its pumps, nothing else moved',
    (name) => {
      const file = new URL(`../../src/tests/versionNine/${name}.json`, import.meta.url);
      const nine = JSON.parse(readFileSync(file, 'utf8')) as Plain;
      expect(nine['version']).toBe(9);
      const lifted = storedDocument(nine);
      expect(referenceProblems(lifted, sampleCatalogue)).toEqual([]);
      const { version: _, power, brief, limits, ...rest } = nine;
      const { devices, grounds, ...others } = lifted;
      const expected = {
        ...rest,
        version: CURRENT_VERSION,
        brief: { ...(brief as Plain), firingOrder: '' },
        limits: limitsOfNow(limits),
        power: powerOfNow(power),
        controllers: {},
        vehicleSignals: {},
        buses: {},
        panels: {},
        switching: {},
        harness: NONE,
      };
      expect(others).toEqual(withLaterFields(expected));
      // All that is wired are its pumps.
      const kinds = new Set(Object.values(devices).map(({ part }) => part.kind));
      expect(kinds).toEqual(new Set(['pump', 'fuse', 'relay', 'cut-off']));
      expect(Object.keys(grounds)).toHaveLength(1);
    },
  );

  test('version 11 gets the shares of alternator and battery, and nothing else moves', () => {
    for (const { document } of demoBuilds) {
      const {
        alternatorAtIdle: _,
        alternatorHot: __,
        batteryUsable: ___,
        thermostatOpens: ____,
        ...limits
      } = document.limits;
      const { panels: _____, switching: ______, harness: _______, ...older } = document;
      const eleven = { ...older, version: 11, limits };
      expect(storedDocument(eleven)).toEqual({ ...bare(document), switching: {} });
    }
  });

  test('version 12 gets a table of what is switched, still empty, and when the thermostat opens', () => {
    for (const { document } of demoBuilds) {
      const { thermostatOpens, ...limits } = document.limits;
      const { switching: _, harness: __, ...older } = document;
      expect(thermostatOpens).toEqual({ value: 355.15, unit: '°C' });
      expect(storedDocument({ ...older, version: 12, limits })).toEqual({
        ...bare(document),
        switching: {},
      });
    }
  });

  test('version 13 knows no limit of the positions that its fuses sit in', () => {
    for (const { document } of demoBuilds) {
      const devices = Object.fromEntries(
        Object.entries(document.devices).map(([id, { positionLimit: _, ...older }]) => [id, older]),
      );
      const { harness: _, ...older } = document;
      const lifted = storedDocument({ ...older, version: 13, devices });
      expect(lifted).toEqual(bare(document));
    }
  });

  test('version 14 knows no harness, and nothing else moves', () => {
    for (const { document } of demoBuilds) {
      const { harness: _, ...older } = document;
      const lifted = storedDocument({ ...older, version: 14 });
      expect(lifted).toEqual(bare(document));
      expect(referenceProblems(lifted, sampleCatalogue)).toEqual([]);
    }
  });

  test('version 15 knows nothing of connectors, bought looms, cut wires and kept plugs', () => {
    for (const { document } of demoBuilds) {
      const devices = Object.fromEntries(
        Object.entries(document.devices).map(([id, { ways: _, ...older }]) => [id, older]),
      );
      const { bought: _, cut: __, repinned: ___, ...harness } = document.harness;
      const segments = Object.fromEntries(
        Object.entries(harness.segments).map(([id, { closed: ____, ...older }]) => [id, older]),
      );
      const older = { ...document, version: 15, devices, harness: { ...harness, segments } };
      expect(storedDocument(older)).toEqual({
        ...bare(document),
        harness: { ...document.harness, bought: {}, cut: {}, repinned: {} },
      });
    }
  });

  test('a sleeve over a line of version 6 becomes a cover over all of it', () => {
    const six = versionSix('lantern') as Plain & Record<Slice, Readonly<Record<string, Plain>>>;
    const routes = { ...six.routes, feed: { ...six.routes['feed'], sleeve: true } };
    const lifted = storedDocument({ ...six, routes });
    expect(readBuild(lifted).routes.find(({ id }) => id === 'feed')?.covers).toMatchObject([
      { kind: 'heat-sleeve', from: null, to: null },
    ]);
    expect(lifted.routes['return']?.covers).toEqual({});
  });

  test('what was accepted, decided about wires and laid on the shelf is kept by its own key', () => {
    const three = versionThree('lantern');
    const accepted = { title: 't', reason: 'in the hills', author: 'M', time: 'x', measured: 1 };
    const size = { id: 'W10', revision: 1 };
    const length = { typed: null, measured: { value: 2, unit: 'm' } };
    const lifted = storedDocument({
      ...three,
      acceptances: [{ findingId: 'suction.head:pump', ...accepted }],
      power: { ...three.power, wireDecisions: [{ wireId: 'a~b', size, length }] },
      shelf: [{ id: 'F10A', revision: 1 }],
    });
    expect(lifted.acceptances).toEqual({ 'suction.head:pump': accepted });
    expect(lifted.power.wireDecisions).toEqual({ 'a~b': { size, length } });
    expect(lifted.shelf).toEqual({ F10A: { item: { id: 'F10A', revision: 1 }, count: 1 } });
  });

  test('a path by positions becomes the path by ids of what stood there', () => {
    const three = versionThree('lantern');
    expect(pathById(three, 'fuelCircuits.0.elements.1.item')).toEqual([
      'fuelCircuits',
      'main',
      'elements',
      'tank-bung',
      'item',
    ]);
    expect(pathById(three, 'placements.3.x')).toEqual(['placements', 'pump', 'x']);
    expect(pathById(three, 'fuels.7.name')).toBeNull();
  });

  test('the current version is left as it is, the same object', () => {
    expect(migrateDocument(lantern)).toBe(lantern);
  });

  test.each([
    [null],
    [7],
    ['x'],
    [[1]],
    [{ version: 0 }],
    [{ version: 'one' }],
    [{ version: 1.5 }],
  ])('%j is not touched, for the checks to refuse', (value) => {
    expect(migrateDocument(value)).toBe(value);
  });

  test('a version of the future is not touched', () => {
    const later = { ...lantern, version: 99 };
    expect(migrateDocument(later)).toBe(later);
  });
});

describe('places in words', () => {
  test.each([
    ['brief.boost.value', 'boost'],
    ['brief.power.value', 'power'],
    ['power.mainFuse', 'main fuse'],
    ['fuelCircuits.main.elements.tank-bung.item', 'Tank outlet, part'],
    ['options.tank-outlet.chosen', 'Tank outlet, chosen'],
    ['injectorRows.primary.count', 'Primary injectors, count'],
    ['limits.pumpMargin', 'pump margin'],
    ['fuelCircuits.main.nodes.tank-out.placementId', 'joint at Tank, 85 L steel, place'],
    ['fuelCircuits.main.elements.feed.from', 'Feed line, begins'],
    ['injectorRows.primary.circuitId', 'Primary injectors, circuit'],
    ['name', 'name'],
  ])('%s reads %s', (path, words) => {
    expect(placeInWords(lantern, pathOf(path))).toBe(words);
  });

  test('a place that is not there is named by its fields', () => {
    expect(placeInWords(lantern, ['brief', 'notThere', 'deeper'])).toBe('not there, deeper');
  });
});
