import {
  type BuildDocument,
  type Catalogue,
  createEvaluator,
  firstOf,
  movedHarness,
  placedComponents,
  readBuild,
  waysOfLine,
  withValueAt,
} from '@brookrain/core';

/** An edit over and over, ms: soon after the program began, and once it has been in use. */
export interface EditTimes {
  readonly soon: number;
  readonly inUse: number;
}

const UNKNOWN: EditTimes = { soon: Infinity, inUse: Infinity };

/** Milliseconds of work on the map of a build. */
export interface MapTimes {
  /** an evaluation after a place was moved */
  readonly move: EditTimes;
  /** an evaluation after a corner of a line was moved */
  readonly corner: EditTimes;
  /** an evaluation after a breakout of the harness was moved */
  readonly breakout: EditTimes;
  /** lengths of the harness while a breakout of it is dragged */
  readonly dragged: number;
  /** ways of its longest line: until the first is offered, and until all are */
  readonly firstWay: number;
  readonly allWays: number;
}

/** So many edits of one kind: what runs again and again is compiled well by then. */
const EDITS = 80;

const median = (times: number[]): number =>
  times.sort((a, b) => a - b)[Math.floor(times.length / 2)] ?? Infinity;

const timed = (work: () => void): number => {
  const start = performance.now();
  work();
  return performance.now() - start;
};

/** Measures edits of the map, and the search for ways of the longest line that has one. */
export function mapTimes(document: BuildDocument, catalogue: Catalogue): MapTimes {
  const evaluator = createEvaluator();
  const checked = evaluator.check(document, catalogue);
  const build = readBuild(document);
  const edited = (path: string, from: number): EditTimes => {
    const times = Array.from({ length: EDITS }, (_, k) =>
      timed(() => {
        const value = { value: from + (k + 1) * 1e-3, unit: 'mm' };
        evaluator.evaluate(withValueAt(document, path, value), catalogue);
      }),
    );
    return { soon: median(times.slice(4, 16)), inUse: median(times.slice(-24)) };
  };
  const place = firstOf(build.placements);
  const breakout = firstOf(build.harness.breakouts);
  const { netlist } = checked.electrics;
  const dragged = (id: string, from: number): number =>
    median(
      Array.from({ length: 16 }, (_, k) =>
        timed(() => {
          const value = { value: from + (k + 1) * 1e-3, unit: 'mm' };
          const { harness, placements, hardPoints } = readBuild(
            withValueAt(document, `harness.breakouts.${id}.x`, value),
          );
          movedHarness(checked.led, { netlist, harness, placements, hardPoints });
        }),
      ).slice(4),
    );
  const bent = build.routes.find(({ points }) => points.length > 0);
  const corner = bent && firstOf(bent.points);
  const longest = [...checked.map.lines]
    .filter(({ circuitId, path }) => circuitId !== undefined && path !== undefined)
    .sort((a, b) => (b.path?.length ?? 0) - (a.path?.length ?? 0))[0];
  const route = build.routes.find(({ id }) => id === longest?.routeId);
  const lines = { ...build, circuits: build.fuelCircuits, catalogue };
  const looked = [1, 2, 3].map(() => {
    if (!route) return { first: Infinity, all: Infinity };
    const start = performance.now();
    const search = waysOfLine({
      of: route.of,
      sleeve: false,
      lines: { ...lines, ports: placedComponents(lines).ports },
      map: checked.map,
      vehicle: checked.vehicle,
    });
    let first: number | undefined;
    for (let step = search.next(); !step.done; step = search.next()) {
      if (step.value.ways.length > 0) first ??= performance.now() - start;
    }
    const all = performance.now() - start;
    return { first: first ?? all, all };
  });
  return {
    move: edited(`placements.${place.id}.z`, place.z.value),
    breakout: breakout ? edited(`harness.breakouts.${breakout.id}.x`, breakout.x.value) : UNKNOWN,
    dragged: breakout ? dragged(breakout.id, breakout.x.value) : Infinity,
    corner:
      bent && corner ? edited(`routes.${bent.id}.points.${corner.id}.x`, corner.x.value) : UNKNOWN,
    firstWay: median(looked.map(({ first }) => first)),
    allWays: median(looked.map(({ all }) => all)),
  };
}
