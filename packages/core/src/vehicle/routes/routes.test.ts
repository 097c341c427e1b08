import { describe, expect, test } from 'vitest';
import { applyCommand, evaluate, referenceProblems } from '../../evaluation/index.ts';
import { kittiwake, lantern, sampleCatalogue } from '../../exchange/index.ts';
import { layOutAs } from '../../fuel/index.ts';
import {
  type BuildDocument,
  applyPatch,
  hashOf,
  readBuild,
  withValueAt,
} from '../../model/index.ts';
import { computeFormula } from '../../results/index.ts';
import { clampCount } from './clamps.ts';
import { newCover } from './covers.ts';
import { leastBendOf } from './leastBend.ts';

const figures = (build: BuildDocument): ReadonlyMap<string, number> =>
  new Map(evaluate(build, sampleCatalogue).results.map((r) => [r.key, r.value]));
const figure = (build: BuildDocument, key: string): number => figures(build).get(key)!;
const found = (build: BuildDocument, id: string) =>
  evaluate(build, sampleCatalogue).findings.find((f) => f.id === id);
const length = 'fuelCircuits.main.elements.feed.length';
const metres = (value: number) => ({ value, unit: 'm' });

/** Every place, corner and hot pipe of a build put elsewhere. */
function moved(build: BuildDocument, to: (x: number, y: number, z: number) => number[]) {
  const change = <T extends { x: Q; y: Q; z: Q }>(at: T): T => {
    const [x, y, z] = to(at.x.value, at.y.value, at.z.value) as [number, number, number];
    return {
      ...at,
      x: { ...at.x, value: x },
      y: { ...at.y, value: y },
      z: { ...at.z, value: z },
    };
  };
  type Q = { readonly value: number; readonly unit: string };
  type Place = { readonly x: Q; readonly y: Q; readonly z: Q };
  /** A box whose corners changed places is named by its low and high corner again. */
  const boxed = <T extends { low: Place; high: Place }>(box: T): T => {
    const [low, high] = [change(box.low), change(box.high)];
    const pick = (by: (...values: number[]) => number): Place => ({
      x: { ...low.x, value: by(low.x.value, high.x.value) },
      y: { ...low.y, value: by(low.y.value, high.y.value) },
      z: { ...low.z, value: by(low.z.value, high.z.value) },
    });
    return { ...box, low: pick(Math.min), high: pick(Math.max) };
  };
  // Mirrored, what looked to the left looks to the right.
  const mirrors = to(0, 1, 0)[1]! < to(0, 0, 0)[1]!;
  const turned = ({ heading }: BuildDocument['placements'][string]) =>
    heading && mirrors ? { ...heading, value: -heading.value } : heading;
  const each = <T>(entries: Readonly<Record<string, T>>, by: (entry: T) => T) =>
    Object.fromEntries(Object.entries(entries).map(([id, entry]) => [id, by(entry)]));
  return {
    ...build,
    placements: each(build.placements, (place) => ({ ...change(place), heading: turned(place) })),
    hardPoints: each(build.hardPoints, change),
    solids: each(build.solids, (solid) => boxed(solid)),
    spaces: each(build.spaces, (space) => boxed(space)),
    movingZones: each(build.movingZones, (zone) => ({
      ...zone,
      room:
        zone.room.shape === 'box'
          ? boxed(zone.room)
          : { ...zone.room, from: change(zone.room.from), to: change(zone.room.to) },
    })),
    mountingLines: each(build.mountingLines, (line) => ({
      ...line,
      from: change(line.from),
      to: change(line.to),
    })),
    edges: each(build.edges, (edge) => ({
      ...edge,
      from: change(edge.from),
      to: change(edge.to),
    })),
    sheets: each(build.sheets, (sheet) => ({
      ...sheet,
      corner: change(sheet.corner),
      next: change(sheet.next),
      other: change(sheet.other),
      passThroughs: each(sheet.passThroughs, change),
    })),
    hotRuns: each(build.hotRuns, (run) => ({ ...run, points: each(run.points, change) })),
    routes: each(build.routes, (route) => ({ ...route, points: each(route.points, change) })),
    harness: {
      ...build.harness,
      breakouts: each(build.harness.breakouts, change),
      segments: each(build.harness.segments, (segment) => ({
        ...segment,
        points: each(segment.points, change),
      })),
    },
  };
}

describe('a way on the map', () => {
  test('gives the line its length in the network, unless one was typed or measured', () => {
    const routed = figure(lantern, 'line.feed.length');
    expect(figure(lantern, 'circuit.feed.length')).toBe(routed);
    expect(evaluate(lantern, sampleCatalogue).lengthSources['feed']).toBe('route');
    const typed = withValueAt(lantern, `${length}.typed`, metres(4.4));
    expect(figure(typed, 'circuit.feed.length')).toBe(4.4);
    const measured = withValueAt(typed, `${length}.measured`, metres(4.1));
    expect(figure(measured, 'circuit.feed.length')).toBe(4.1);
    const drop = (build: BuildDocument): number => figure(build, 'circuit.feed.pressureDrop');
    expect(drop(typed)).toBeGreaterThan(drop(lantern));
  });

  test('that is longer costs pressure at once', () => {
    const detour = withValueAt(lantern, 'routes.feed.points.p2.z', { value: 0.3, unit: 'mm' });
    expect(figure(detour, 'line.feed.length')).toBeGreaterThan(figure(lantern, 'line.feed.length'));
    expect(figure(detour, 'circuit.feed.pressureDrop')).toBeGreaterThan(
      figure(lantern, 'circuit.feed.pressureDrop'),
    );
    expect(figure(detour, 'line.feed.lowPoint')).toBeLessThan(
      figure(lantern, 'line.feed.lowPoint'),
    );
  });

  test('is the same on a vehicle that is mirrored or stands elsewhere', () => {
    const before = figures(lantern);
    for (const to of [
      (x: number, y: number, z: number) => [x, -y, z],
      (x: number, y: number, z: number) => [x + 1.5, y - 0.4, z],
    ]) {
      const after = figures(moved(lantern, to));
      const ids = (build: BuildDocument) =>
        evaluate(build, sampleCatalogue).findings.map((f) => f.id);
      expect(ids(moved(lantern, to))).toEqual(ids(lantern));
      for (const name of [
        'length',
        'bends',
        'bendAngle',
        'minClearance',
        'highPoint',
        'lowPoint',
      ]) {
        expect(after.get(`line.feed.${name}`), name).toBeCloseTo(
          before.get(`line.feed.${name}`)!,
          name === 'minClearance' ? 4 : 9,
        );
      }
    }
  });

  test('that cannot be run leaves its line with the estimate, and a stop', () => {
    const tight = withValueAt(lantern, 'routes.feed.points.p3.radius', { value: 2, unit: 'mm' });
    expect(found(tight, 'route.shape:feed')?.severity).toBe('stop');
    expect(evaluate(tight, sampleCatalogue).lengthSources['feed']).toBe('map');
  });
});

describe('Lantern’s feed on its short way', () => {
  const finding = found(lantern, 'route.heat:feed')!;

  test('passes 60 mm from the downpipe, which asks 100', () => {
    expect(finding.severity).toBe('warn');
    expect(finding.measured!.value).toBeCloseTo(0.06, 3);
    expect(finding.limit!.value).toBe(0.1);
    expect(finding.where).toEqual({ stage: 'map', circuit: 'main', line: 'feed' });
  });

  test('is cured by moving a corner, and by a sleeve', () => {
    const commands = finding.cures().flatMap((cure) => cure.command ?? []);
    expect(commands.length).toBeGreaterThanOrEqual(2);
    for (const command of commands) {
      const cured = applyCommand(lantern, command).document;
      expect(found(cured, 'route.heat:feed')).toBeUndefined();
    }
    const away = applyCommand(lantern, commands[0]!).document;
    expect(figure(away, 'line.feed.minClearance')).toBeGreaterThanOrEqual(0.1);
  });

  test('is a stop where it touches', () => {
    const near = [
      ['p3.y', 0.33],
      ['p4.y', 0.33],
    ].reduce(
      (build, [place, value]) =>
        withValueAt(build, `routes.feed.points.${place}`, { value, unit: 'mm' }),
      lantern,
    );
    expect(found(near, 'route.heat:feed')?.severity).toBe('stop');
  });
});

describe('room from heat', () => {
  const run = 'hotRuns.downpipe';
  test('is twice as much from a turbine, none from a cool surface', () => {
    const margin = (build: BuildDocument): number => figure(build, 'line.feed.heatMargin');
    const turbine = withValueAt(lantern, `${run}.part`, 'turbine');
    expect(margin(lantern) - margin(turbine)).toBeCloseTo(0.1, 12);
    const alone = { ...lantern, hotRuns: { downpipe: lantern.hotRuns['downpipe']! } };
    const cool = withValueAt(alone, `${run}.temperature`, { value: 320, unit: '°C' });
    expect(margin(cool)).toBeCloseTo(margin(alone) + 0.1, 12);
    const sleeved = withValueAt(lantern, 'routes.feed.covers', { s1: newCover('heat-sleeve') });
    expect(margin(sleeved) - margin(lantern)).toBeCloseTo(0.05, 12);
  });

  test('is measured from skin to skin', () => {
    const thin = withValueAt(lantern, `${run}.diameter`, { value: 0.043, unit: 'mm' });
    expect(figure(thin, 'line.feed.minClearance')).toBeCloseTo(
      figure(lantern, 'line.feed.minClearance') + 0.01,
      9,
    );
  });
});

describe('a line may be bent', () => {
  test.each([
    ['plain', 6, 0.014, 0.065],
    ['plain', 8, 0.017, 0.09],
    ['convoluted', 16, 0.03, 0.19],
    ['rigid', 6, 0.01, 0.025],
  ])('%s −%i, %d m outside: inside radius %d m', (wall, dash, outsideDiameter, least) => {
    expect(leastBendOf({ wall, dash, outsideDiameter, bendRadius: 0 })).toBeCloseTo(least, 12);
  });
});

describe('clamps and certainty', () => {
  test.each([
    [0.2, 0.45, 1],
    [0.24, 0.45, 1],
    [0.5, 0.45, 2],
    [0.69, 0.45, 2],
    [0.7, 0.45, 3],
    [3.71, 0.45, 9],
    [3.71, 0.6, 7],
  ])('%d m with %d m between them take %i', (metres_, pitch, count) => {
    expect(computeFormula(clampCount, { length: metres_, pitch })).toBe(count);
  });

  test('a length that was typed or measured is known to 5 mm, one from the map to 80', () => {
    expect(figure(lantern, 'line.feed.uncertainty')).toBeCloseTo(0.08, 12);
    const typed = withValueAt(lantern, `${length}.typed`, metres(4.4));
    expect(figure(typed, 'line.feed.uncertainty')).toBeCloseTo(0.005, 12);
  });

  test('a tape reading at one end makes its length surer, once the place stands there', () => {
    const both = Math.sqrt((0.005 ** 2 + 0.08 ** 2) / 2);
    expect(figure(lantern, 'line.suction.uncertainty')).toBeCloseTo(both, 12);
    const off = withValueAt(lantern, 'placements.tank-outlet.x', { value: -0.47, unit: 'mm' });
    expect(figure(off, 'line.suction.uncertainty')).toBeCloseTo(0.08, 12);
    expect(figure(off, 'hardPoint.tank-outlet.off')).toBeCloseTo(0.02, 12);
  });

  test('the tape measurement that settles most is at the place where most lines are unsure', () => {
    const next = (build: BuildDocument) => evaluate(build, sampleCatalogue).map.nextTape!;
    const first = next(lantern);
    expect(first.lines.length).toBeGreaterThan(1);
    const { x, y, z } = lantern.placements[first.placementId]!;
    const point = {
      placementId: first.placementId,
      x,
      y,
      z,
      uncertainty: { value: 0.01, unit: 'mm' },
      from: '',
    };
    const measured = { ...lantern, hardPoints: { ...lantern.hardPoints, next: point } };
    const sum = (build: BuildDocument): number =>
      [...figures(build)]
        .filter(([key]) => /^line\..*\.uncertainty$/.test(key))
        .reduce((all, [, value]) => all + value, 0);
    expect(sum(lantern) - sum(measured)).toBeCloseTo(first.settles, 9);
    expect(next(measured).placementId).not.toBe(first.placementId);
    expect(next(measured).settles).toBeLessThanOrEqual(first.settles + 1e-12);
  });

  test('the lowest of all lines is told', () => {
    expect(figure(lantern, 'map.lowestPoint')).toBe(figure(lantern, 'line.feed.lowPoint'));
  });
});

describe('a line that is taken out', () => {
  test('takes its way with it, and the edit is undone with both', () => {
    const command = {
      name: 'remove-element',
      circuitId: 'main',
      elementId: 'feed',
      assemblies: {},
    } as const;
    const { document, inverse } = applyCommand(lantern, command);
    const { feed: _, ...others } = lantern.routes;
    expect(document.routes).toEqual(others);
    expect(referenceProblems(document, sampleCatalogue)).toEqual([]);
    expect(hashOf(applyPatch(document, inverse))).toBe(hashOf(lantern));
  });

  test('a line laid out anew within one place has no way any more', () => {
    const command = layOutAs({
      document: readBuild(lantern),
      circuitId: 'main',
      architecture: 'surge-tank',
      catalogue: sampleCatalogue,
    });
    const { document } = applyCommand(lantern, command);
    expect(document.routes['rail']).toBeUndefined();
    expect(document.routes['feed']).toEqual(lantern.routes['feed']);
    const { findings } = evaluate(document, sampleCatalogue);
    expect(findings.filter((f) => f.rule === 'route.shape')).toEqual([]);
  });

  test('other edits of the circuit leave the way alone', () => {
    const command = {
      name: 'remove-element',
      circuitId: 'main',
      elementId: 'fine',
      assemblies: {},
    } as const;
    expect(applyCommand(lantern, command).document.routes).toEqual(lantern.routes);
  });

  test('with its circuit goes every way of it, and no other', () => {
    const { document } = applyCommand(kittiwake, {
      name: 'remove-circuit',
      circuitId: 'methanol',
    });
    const left = Object.values(document.routes).map(({ of }) => of);
    expect(left.some((of) => of.kind === 'line' && of.circuitId === 'methanol')).toBe(false);
    expect(left).toContainEqual({ kind: 'line', circuitId: 'main', elementId: 'feed' });
    expect(left).toContainEqual({ kind: 'other', otherLineId: 'methanol-vent' });
    expect(referenceProblems(document, sampleCatalogue)).toEqual([]);
  });
});

describe('a way that cannot be one is refused', () => {
  const problems = (of: BuildDocument['routes'][string]['of']) => {
    const { return: _, ...routes } = lantern.routes;
    const two = { ...lantern.routes['feed']!, of };
    return referenceProblems({ ...lantern, routes: { ...routes, two } }, sampleCatalogue);
  };
  const line = (elementId: string, circuitId = 'main') =>
    ({ kind: 'line', circuitId, elementId }) as const;

  test('where its line has one already, is not a line, or is not there', () => {
    expect(problems(line('feed'))).toEqual([
      { path: ['routes', 'two', 'of', 'elementId'], message: '"feed" has two ways' },
    ]);
    expect(problems(line('pump'))[0]!.message).toContain('is not a line');
    expect(problems(line('nothing'))[0]!.message).toContain('there is no line "nothing"');
    expect(problems(line('feed', 'other'))[0]!.path).toEqual(['routes', 'two', 'of', 'circuitId']);
    expect(problems(line('return'))).toEqual([]);
    expect(problems({ kind: 'other', otherLineId: 'vent' })[0]!.message).toContain('two ways');
    expect(problems({ kind: 'other', otherLineId: 'none' })[0]!.message).toContain('"none"');
  });

  test('where another line has the id of a fuel line', () => {
    const otherLines = { ...lantern.otherLines, feed: lantern.otherLines['vent']! };
    expect(referenceProblems({ ...lantern, otherLines }, sampleCatalogue)).toEqual([
      { path: ['otherLines', 'feed'], message: 'a fuel line is called "feed" already' },
    ]);
  });
});
