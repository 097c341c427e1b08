import {
  type Architecture,
  type BuildCommand,
  type BuildDocument,
  type Candidates,
  type Catalogue,
  type Change,
  type Checked,
  type CuttingProblem,
  type Cure,
  type Delta,
  type ElectricCase,
  type ElectricDesign,
  type Evaluation,
  type FuelComparison,
  type AutoRouteProgress,
  type JudgedCircuit,
  type KnownBuild,
  type Ladder,
  type LineSheet,
  type LadderVariant,
  type MapPoint,
  type OperatingMap,
  type OperatingPoint,
  type PinSheet,
  type Result,
  type RouteOf,
  type RippleEntry,
  type SetAnswer,
  type ShoppingList,
  type SchoolComparison,
  type SetWish,
  type SmallestLine,
  type SchematicSheet,
  type StripLine,
  type PanelDesign,
  type SingleFailure,
  type SupplyBranch,
  type SwitchingSheet,
  type SupplyState,
  type ToldEvaluation,
  type Uncertainty,
  type UncertaintyOptions,
  type WireGain,
  type WireSheet,
  compareFuels,
  compareSchools,
  cuttingOf,
  deltaOf,
  deviceStrip,
  singleFailures,
  supplyTree,
  deviceSheet,
  drawnVehicle,
  switchingSheet,
  systemSheets,
  differences,
  endsOfOpenLines,
  judgeArchitecture,
  judgeCircuit,
  limitLadder,
  lineSheet,
  operatingMap,
  operatingPoint,
  pinSheet,
  ripple,
  rules,
  shareUnchanged,
  shoppingList,
  smallestLines,
  startCheapestSet,
  startUncertainty,
  thickerWire,
  toldEvaluation,
  readBuild,
  variantLadder,
  variantsOf,
  wireSheet,
  waysOfLine,
  placedComponents,
  shielding,
} from '@brookrain/core';
import { KeptAnswerShelf } from './answerShelf.ts';
import { harnessWork } from './harnessWork.ts';
import { longRuns, started } from './longRuns.ts';
import { openedEvaluator } from './openedEvaluator.ts';

/** Kept by a program whose name tells what is in it; while it is worked on, nothing is kept. */
const shelf =
  import.meta.env.PROD && typeof indexedDB !== 'undefined'
    ? new KeptAnswerShelf(globalThis.location.pathname)
    : undefined;
const opened = openedEvaluator(shelf);
let catalogue: Catalogue = { items: [] };
let lastDocument: BuildDocument | undefined;
let lastBuild: string | undefined;
let lastEvaluation: Evaluation | undefined;
/** what the page has, so that only what changed is sent */
let told: ToldEvaluation | undefined;

/** Candidates by the place they are judged for. */
export interface JudgedParts {
  readonly injectors: ReturnType<Candidates['injectors']>;
  readonly pumps: ReturnType<Candidates['pumps']>;
}

/** What the page is told of a build after an edit. */
export interface WorkerAnswer {
  /** leads from what was told last to what holds now */
  readonly told: Delta;
  /** what moved since the last evaluation of the same build */
  readonly ripple: readonly RippleEntry[];
  /** names of the stages that were worked out */
  readonly ran: readonly string[];
}

/** What is electric of a build; the one that was evaluated last is at hand. */
const electricsOf = (document: BuildDocument): ElectricDesign =>
  opened.now.evaluate(shareUnchanged(lastDocument, document), catalogue).electrics;

/** The evaluation of a build; the one that was evaluated last is at hand. */
const evaluationOf = (document: BuildDocument): Evaluation =>
  opened.now.evaluate(shareUnchanged(lastDocument, document), catalogue);

/** A build to compare variants of; the one that was evaluated last is known. */
const knownBuild = (document: BuildDocument): KnownBuild => ({
  document: shareUnchanged(lastDocument, document),
  catalogue,
  evaluator: opened.now,
});
/** What is asked anew after every edit while it is on the screen. */
const fuelsAsked = longRuns();
const schoolsAsked = longRuns();

const worker = {
  setCatalogue(next: Catalogue): void {
    catalogue = next;
  },
  /** Where the limit of each rule comes from, by rule id. */
  sources(): Readonly<Record<string, string>> {
    return Object.fromEntries(rules.map((rule) => [rule.id, rule.source]));
  },
  /** Takes up what was kept of a build, before it is evaluated for the first time. */
  open: (build: string): Promise<void> => opened.open(build),
  evaluate(build: string, document: BuildDocument): WorkerAnswer {
    const shared = shareUnchanged(lastDocument, document);
    const evaluation = opened.now.evaluate(shared, catalogue);
    const moved = lastBuild === build && lastEvaluation ? ripple(lastEvaluation, evaluation) : [];
    lastDocument = shared;
    lastBuild = build;
    lastEvaluation = evaluation;
    const now = toldEvaluation(evaluation);
    const delta = deltaOf(told, now);
    told = now;
    const { ran } = opened.now;
    opened.keepSoon();
    return { told: delta, ripple: moved, ran };
  },
  /** The limit ladder of a build: asked for once its evaluation has been shown. */
  ladder(document: BuildDocument): Ladder {
    return limitLadder(checkedOf(document));
  },
  /** What would put a finding of the build evaluated last right. */
  cures(findingId: string): readonly Cure<BuildCommand>[] {
    return lastEvaluation?.findings.find((f) => f.id === findingId)?.cures() ?? [];
  },
  /** Every part of the catalogue judged in its place. */
  candidates(document: BuildDocument): JudgedParts {
    const { candidates } = checkedOf(document);
    return { injectors: candidates.injectors(), pumps: candidates.pumps() };
  },
  /** One line as it is made: its card, and the ends it may be given. */
  line(document: BuildDocument, lineId: string): LineSheet | undefined {
    const line = checkedOf(document).made.find((each) => each.lineId === lineId);
    return line && lineSheet(line, catalogue);
  },
  /** The ends that every open line would be given, as one edit; undefined where none is open. */
  allEnds(document: BuildDocument): readonly Change[] {
    return endsOfOpenLines(checkedOf(document).made, catalogue);
  },
  /** What has to be bought for the whole build. */
  shopping(document: BuildDocument): ShoppingList {
    const { shelf, offcuts } = readBuild(document);
    const { parts } = opened.now.evaluate(shareUnchanged(lastDocument, document), catalogue);
    return shoppingList({ ...parts, shelf, offcuts, catalogue });
  },
  /** A figure of the build evaluated last, with its working. */
  working(key: string): Result | undefined {
    return lastEvaluation?.results.find((result) => result.key === key);
  },
  /** What is different downstream between two documents, ranked. */
  compare(before: BuildDocument, after: BuildDocument): readonly RippleEntry[] {
    const { with: evaluated } = variantsOf(knownBuild(lastDocument ?? before));
    return differences(evaluated(before), evaluated(after), {
      // The cases say much of the same again; the figures at peak and idle stand for them.
      figures: (result) => !('case' in result.of),
    });
  },
};

const DRAWS_AT_ONCE = 100;
const TRIES_AT_ONCE = 40;
const sameLine = (a: RouteOf, b: RouteOf): boolean => JSON.stringify(a) === JSON.stringify(b);

/** What separate calls start from; the evaluator knows the build that is open. */
const checkedOf = (document: BuildDocument): Checked =>
  opened.now.check(shareUnchanged(lastDocument, document), catalogue);

const longWork = {
  /** Draws what is not known exactly; undefined when it was cancelled or asked for anew. */
  async uncertainty(
    document: BuildDocument,
    options: UncertaintyOptions,
    onProgress: (done: number) => void,
  ): Promise<Uncertainty | undefined> {
    const going = started.begin();
    const run = startUncertainty(checkedOf(document), options);
    while (run.done < run.total) {
      run.step(DRAWS_AT_ONCE);
      onProgress(run.done);
      if (!(await going.goesOn())) return undefined;
    }
    return run.outcome();
  },
  /** The circuits over the demand map. */
  operatingMap(document: BuildDocument): OperatingMap {
    return operatingMap(checkedOf(document));
  },
  /** One point of the map with its whole solution. */
  operatingPoint(document: BuildDocument, circuitIndex: number, at: MapPoint): OperatingPoint {
    return operatingPoint(checkedOf(document), circuitIndex, at);
  },
  /** Another ladder of a build: something lost, or another fuel. */
  variantLadder(document: BuildDocument, variant: LadderVariant): Ladder {
    return variantLadder(knownBuild(document), variant);
  },
  /** A circuit as it is, and laid out in another way, on the same demand. */
  judgeCircuit(
    document: BuildDocument,
    circuitId: string,
    architecture: Architecture | undefined,
  ): JudgedCircuit {
    return architecture
      ? judgeArchitecture(knownBuild(document), circuitId, architecture)
      : judgeCircuit(knownBuild(document), circuitId);
  },
  /** The fuel of a build beside the usual others. */
  compareFuels(document: BuildDocument): Promise<FuelComparison[] | undefined> {
    return fuelsAsked.through(compareFuels(knownBuild(document)));
  },
  /** Relays, module or kept box side by side. */
  compareSchools(document: BuildDocument): Promise<readonly SchoolComparison[] | undefined> {
    return schoolsAsked.through(compareSchools(knownBuild(document)));
  },
  /** What the next wire sizes in each pump's feed would buy. */
  thickerWire(document: BuildDocument): Readonly<Record<string, readonly WireGain[]>> {
    const checked = checkedOf(document);
    return Object.fromEntries(checked.feeds.map((f) => [f.feed.id, thickerWire(checked, f)]));
  },
  /** The pins of a controller, and what is on them. */
  pins(document: BuildDocument, controllerId: string): PinSheet | undefined {
    const build = readBuild(document);
    const { netlist } = electricsOf(document);
    return pinSheet({ document: build, netlist, catalogue, controllerId });
  },
  /** One wire to be looked at closely. */
  wire(document: BuildDocument, wireId: string): WireSheet | undefined {
    return wireSheet(electricsOf(document), wireId);
  },
  /** The plate of relays and fuses; undefined without any. */
  panel(document: BuildDocument): PanelDesign | undefined {
    return checkedOf(document).panel;
  },
  /** When everything is on, and what is alive that should not be. */
  switching(document: BuildDocument): SwitchingSheet {
    const { switching, sneaks, electrics } = checkedOf(document);
    return switchingSheet(switching, sneaks, electrics.netlist);
  },
  /** The schematic, a sheet or more for each system. */
  schematic(document: BuildDocument): readonly SchematicSheet[] {
    return systemSheets(drawnVehicle(evaluationOf(document)));
  },
  /** One part with everything on the way to what feeds it. */
  deviceSheet(document: BuildDocument, partId: string): SchematicSheet | undefined {
    return deviceSheet(drawnVehicle(evaluationOf(document)), partId);
  },
  /** What each single failure of a fuse, ground, relay or controller stops. */
  singleFailures(document: BuildDocument): readonly SingleFailure[] {
    return singleFailures(electricsOf(document).netlist);
  },
  /** The tree of supplies, with the volts and amps of a state. */
  supplyTree(document: BuildDocument, state: SupplyState): readonly SupplyBranch[] {
    return supplyTree(electricsOf(document), state);
  },
  /** A device from the end backwards, with the volts of a case. */
  strip(
    document: BuildDocument,
    { deviceId, inCase }: { deviceId: string; inCase: ElectricCase },
  ): readonly StripLine[] {
    return deviceStrip(electricsOf(document), deviceId, inCase);
  },
  /** The smallest hose that does it for each line of a circuit. */
  smallestLines(document: BuildDocument, circuitIndex: number): SmallestLine[] {
    return smallestLines(checkedOf(document), circuitIndex);
  },
  /** What is to be cut of a hose, and from what; undefined where nothing is. */
  cutting(document: BuildDocument, hoseId: string): CuttingProblem | undefined {
    const { parts } = opened.now.evaluate(shareUnchanged(lastDocument, document), catalogue).parts;
    const need = parts.find(({ item }) => item.id === hoseId);
    return need?.item.category === 'hose'
      ? cuttingOf(need.item, need.pieces, readBuild(document).offcuts)
      : undefined;
  },
  /** Looks for the cheapest set of parts; undefined when it was cancelled or asked for anew. */
  async cheapestSet(
    document: BuildDocument,
    wish: SetWish,
    onProgress: (tried: number, combinations: number) => void,
  ): Promise<SetAnswer | undefined> {
    const going = started.begin();
    const search = startCheapestSet(checkedOf(document), wish);
    while (!search.answer) {
      search.step(TRIES_AT_ONCE);
      onProgress(search.tried, search.combinations);
      if (!(await going.goesOn())) return undefined;
    }
    return search.answer;
  },
  /** Looks for ways of a line over the map; undefined when it was cancelled or asked for anew. */
  ways(
    document: BuildDocument,
    of: RouteOf,
    onProgress: (progress: AutoRouteProgress) => void,
  ): Promise<AutoRouteProgress['ways'] | undefined> {
    const { map, vehicle } = checkedOf(document);
    const build = readBuild(document);
    const search = waysOfLine({
      of,
      sleeve: build.routes.some(
        (route) => shielding(route.covers).sleeve && sameLine(route.of, of),
      ),
      lines: {
        ...build,
        circuits: build.fuelCircuits,
        catalogue,
        ports: placedComponents({ ...build, circuits: build.fuelCircuits, catalogue }).ports,
      },
      map,
      vehicle,
    });
    return started.through(search, onProgress);
  },
  cancelRun: () => started.leave(),
};

/** Everything the page asks of the worker; it knows the build that was evaluated last. */
export const evaluationWork = {
  ...worker,
  ...longWork,
  ...harnessWork(
    evaluationOf,
    knownBuild,
    () => catalogue,
    () => lastDocument,
  ),
};
export type EvaluationWork = typeof evaluationWork;
