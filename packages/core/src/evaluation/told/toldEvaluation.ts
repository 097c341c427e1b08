import type { NearComponent, NextTape, RoutedLine } from '../../vehicle/index.ts';
import { type JointState, type MadeEnd, type MadeLine, jointState } from '../../plumbing/index.ts';
import {
  type ElectricDesign,
  type BusChain,
  type SizedPumpFeed,
  type WireRole,
  terminalText,
} from '../../electrics/index.ts';
import type {
  CaseName,
  CircuitSolution,
  FluidResult,
  RunningPoint,
  SolvedCase,
} from '../../fuel/index.ts';
import { type ToldHarness, toldHarness } from './toldHarness.ts';
import type { BareFinding, FuelCircuit, Fuel, InjectorRow } from '../../model/index.ts';
import type { FigureRef, Result } from '../../results/index.ts';
import type { Evaluation } from '../evaluate.ts';

/** A figure without its working; that is asked for when a person wants to see it. */
export type ToldFigure = Omit<Result, 'working' | keyof FigureRef>;

/** A solution without what the next solve would start from. */
export type ToldSolution = CircuitSolution extends infer S
  ? S extends { readonly warm: unknown }
    ? Omit<S, 'warm'>
    : S
  : never;
/** What holds at a solved point. */
export type ToldSolved = Extract<ToldSolution, { readonly state: 'converged' }>;
/** A named case as it was solved. */
export interface ToldCase {
  readonly point: RunningPoint;
  readonly solution: ToldSolution;
}

/** What of a solved circuit screens show. */
export interface ToldFluid {
  readonly cases: Readonly<Record<CaseName, ToldCase>> & { readonly pumpLost?: ToldCase };
  readonly design: {
    readonly circuit: FuelCircuit;
    readonly fuel: { readonly fuel: Fuel; readonly hot: { readonly density: number } };
    readonly rows: readonly { readonly row: InjectorRow }[];
  };
}

/** A pump feed without the workings of its figures. */
export type ToldFeed = Omit<SizedPumpFeed, 'results'>;

/** A line on the map without the workings of its figures. */
export type ToldLine = Omit<RoutedLine, 'results' | 'length' | 'check' | 'bendLoss'>;

/** A line as it is made: what it is, and what its joints come to. */
export interface ToldMadeLine extends Pick<MadeLine, 'lineId' | 'of' | 'name' | 'circuitId'> {
  readonly assemblyId: string | undefined;
  readonly ends: readonly ToldEnd[];
}

/** One end of it: what stands there, and what its joint comes to. */
export interface ToldEnd extends Pick<MadeEnd, 'side' | 'placementId' | 'partner' | 'turn'> {
  readonly state: JointState;
}

/** A wire as lists show it. SI. */
export interface ToldWire {
  readonly id: string;
  readonly name: string;
  readonly role: WireRole;
  readonly from: string;
  readonly to: string;
  readonly partId: string;
  /** parts at its ends: what it is found by */
  readonly ends: readonly string[];
  readonly size: string;
  readonly area: number;
  readonly chosenByHand: boolean;
  /** rating of the fuse that protects it, A */
  readonly fuse: number | null;
  readonly decidedBy: readonly string[];
  readonly noSizePasses: boolean;
}

/** What is measured of every wire, in the order of the wires: columns cross in few bytes. SI. */
export interface ToldWireFigures {
  readonly length: readonly number[];
  readonly current: readonly number[];
  readonly drop: readonly number[];
  readonly temperature: readonly number[];
}

const toldWireFigures = ({ wires }: ElectricDesign): ToldWireFigures => ({
  length: wires.map(({ task }) => task.length),
  current: wires.map(({ task }) => task.load),
  drop: wires.map(({ drop }) => drop),
  temperature: wires.map(({ temperature }) => temperature),
});

const toldWires = ({ runs, netlist, wires }: ElectricDesign): ToldWire[] => {
  const partOf = new Map(
    netlist.parts.flatMap(({ id, pins }) => pins.map(({ node }) => [node, id] as const)),
  );
  const groupOf = new Map(
    runs.flatMap(({ group }) => group.wires.map(({ wire }) => [wire.id, group] as const)),
  );
  return wires.map(({ wire, size, task, chosenByHand }) => ({
    id: wire.id,
    name: wire.name,
    role: wire.role,
    from: terminalText(wire.from.terminal),
    to: terminalText(wire.to.terminal),
    partId: wire.partId,
    ends: [wire.from.node, wire.to.node].flatMap((node) => partOf.get(node) ?? []),
    size: size.size,
    area: size.area,
    chosenByHand,
    fuse: task.protection?.rating ?? null,
    decidedBy: groupOf.get(wire.id)?.decidedBy ?? [],
    noSizePasses: groupOf.get(wire.id)?.noSizePasses ?? false,
  }));
};

/** What leaves a part least where it sits. */
export interface ToldComponent {
  readonly componentId: string;
  readonly nearest: NearComponent | undefined;
}

/** What of an evaluation screens show. Plain data, small enough to cross on every edit. */
export interface ToldEvaluation extends Pick<
  Evaluation,
  'demandMap' | 'demandPeak' | 'lengthSources'
> {
  readonly findings: readonly BareFinding[];
  readonly figures: Readonly<Record<string, ToldFigure>>;
  readonly fluids: readonly ToldFluid[];
  readonly feeds: readonly ToldFeed[];
  /** every wire of the vehicle */
  readonly wires: readonly ToldWire[];
  readonly wireFigures: ToldWireFigures;
  /** names of the parts that wires end at, by id: devices, units, splices, what is shared */
  readonly partNames: Readonly<Record<string, string>>;
  readonly buses: readonly BusChain[];
  readonly lines: readonly ToldLine[];
  readonly components: readonly ToldComponent[];
  readonly made: readonly ToldMadeLine[];
  readonly nextTape: NextTape | undefined;
  readonly harness: ToldHarness;
}

function toldCase({ point, solution }: SolvedCase): ToldCase {
  if (solution.state === 'failed') return { point, solution };
  const { warm: _, ...rest } = solution;
  return { point, solution: rest };
}

function told(fluid: FluidResult): ToldFluid {
  const { circuit, fuel, rows } = fluid.design;
  const cases = Object.entries(fluid.cases).map(([name, solved]) => [name, toldCase(solved)]);
  return {
    cases: Object.fromEntries(cases) as ToldFluid['cases'],
    design: {
      circuit,
      fuel: { fuel: fuel.fuel, hot: { density: fuel.hot.density } },
      rows: rows.map(({ row }) => ({ row })),
    },
  };
}

const toldMade = ({
  lineId,
  of,
  name,
  circuitId,
  assembly,
  hose,
  ends,
}: MadeLine): ToldMadeLine => ({
  lineId,
  of,
  name,
  circuitId,
  assemblyId: assembly?.id,
  ends: ends.map((end) => ({
    side: end.side,
    placementId: end.placementId,
    partner: end.partner,
    turn: end.turn,
    state: jointState(end, hose),
  })),
});

/** What of an evaluation screens show. */
export function toldEvaluation(evaluation: Evaluation): ToldEvaluation {
  const { findings, demandMap, demandPeak, lengthSources } = evaluation;
  return {
    findings: findings.map(({ cures: _, ...finding }) => finding),
    demandMap,
    demandPeak,
    lengthSources,
    figures: Object.fromEntries(
      evaluation.results.map(({ key, label, value, kind }) => [key, { label, value, kind }]),
    ),
    fluids: evaluation.fluids.map(told),
    feeds: evaluation.feeds.map(({ results: _, ...feed }) => feed),
    wires: toldWires(evaluation.electrics),
    wireFigures: toldWireFigures(evaluation.electrics),
    partNames: Object.fromEntries(
      evaluation.electrics.netlist.parts.map(({ id, name }) => [id, name]),
    ),
    buses: evaluation.electrics.buses,
    made: evaluation.made.map(toldMade),
    nextTape: evaluation.map.nextTape,
    harness: toldHarness(evaluation),
    components: evaluation.map.components.map(({ component, nearest }) => ({
      componentId: component.id,
      nearest,
    })),
    lines: evaluation.map.lines.map(
      ({ results: _, length: __, check: ___, bendLoss: ____, ...line }) => line,
    ),
  };
}
