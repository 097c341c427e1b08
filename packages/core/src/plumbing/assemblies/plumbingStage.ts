import { type Catalogue, type HoseItem, lookUp } from '../../catalogue/index.ts';
import { circuitScope, fuelFigure, solvedCases } from '../../fuel/index.ts';
import type { FluidResult } from '../../fuel/index.ts';
import type {
  Assembly,
  AssemblyEnd,
  FuelCircuit,
  LineElement,
  LineRoute,
  OtherLine,
} from '../../model/index.ts';
import { type Sourced, fromFigure, fromResult, given } from '../../results/index.ts';
import {
  type MapOutput,
  type RoutedLine,
  lineClasses,
  placeKey,
  portKey,
  routeFigure,
} from '../../vehicle/index.ts';
import { type Partner, partnerAt } from '../joints/partnerAt.ts';
import type { PortCode } from '../../catalogue/index.ts';
import { type Port } from '../../vehicle/index.ts';
import type { BareLine } from './bareLine.ts';
import { lineAsMade } from './lineAsMade.ts';
import type { MadeEnd, MadeLine } from './madeLine.ts';
import { assemblyOf } from './withEnds.ts';

/** Everything that lines are made from. */
export interface PlumbingInput {
  readonly assemblies: readonly Assembly[];
  readonly circuits: readonly FuelCircuit[];
  readonly otherLines: readonly OtherLine[];
  readonly fluids: readonly Pick<FluidResult, 'design' | 'cases'>[];
  readonly routes: readonly LineRoute[];
  readonly map: Pick<MapOutput, 'lines'>;
  readonly ports: Readonly<Record<string, Port>>;
  readonly catalogue: Catalogue;
}

/** The highest gauge pressure Pa in a circuit over all cases that have a solution, and in which it is. */
export function highestPressure({ cases }: Pick<FluidResult, 'cases'>): {
  readonly pressure: number;
  readonly pressureIn: string | undefined;
} {
  let highest: { pressure: number; pressureIn: string | undefined } = {
    pressure: 0,
    pressureIn: undefined,
  };
  for (const [pressureIn, { solution }] of solvedCases(cases)) {
    if (solution.state !== 'converged') continue;
    const pressure = Math.max(...Object.values(solution.pressures));
    if (pressure > highest.pressure) highest = { pressure, pressureIn };
  }
  return highest;
}

/** A rail is bought or drilled as one piece: it is no line that gets ends. */
export const isRail = (line: LineElement, hose: HoseItem): boolean =>
  line.role === 'other' && hose.wall === 'rigid';

const NO_END: AssemblyEnd = { item: null, onto: null, adapters: [] };

/** A port that the build says itself. */
const said = (port: PortCode): Partner => ({
  port,
  elementId: undefined,
  name: '',
  hoses: 1,
  takes: 1,
});

interface EndInput {
  readonly side: 'from' | 'to';
  readonly placementId: string;
  readonly stored: AssemblyEnd;
  readonly partner: Partner | undefined;
  readonly port: Port | undefined;
  readonly routed: RoutedLine | undefined;
  readonly catalogue: Catalogue;
}

function madeEnd({ side, placementId, stored, routed, catalogue, ...end }: EndInput): MadeEnd {
  const turn = routeFigure(side === 'from' ? 'line.startTurn' : 'line.endTurn', {
    line: routed?.lineId ?? '',
  });
  return {
    side,
    placementId,
    item: stored.item ? lookUp(catalogue, 'fitting', stored.item, 'assemblies') : undefined,
    adapters: stored.adapters.map(({ item }) => lookUp(catalogue, 'fitting', item, 'assemblies')),
    partner: stored.onto ? said(stored.onto) : end.partner,
    port: end.port,
    turn: routed?.results.find(({ key }) => key === turn.key)?.value,
  };
}

/** Metres of a line that run in heat sleeves. */
function sleevedLength({ routes }: PlumbingInput, routed: RoutedLine | undefined): number {
  const route = routes.find(({ id }) => id === routed?.routeId);
  const whole = routed?.path?.length ?? 0;
  return (route?.covers ?? [])
    .filter(({ kind }) => kind === 'heat-sleeve')
    .reduce((sum, { from, to }) => sum + (to?.value ?? whole) - (from?.value ?? 0), 0);
}

/** The lines of a circuit that get ends. */
function circuitLines(input: PlumbingInput, index: number): BareLine[] {
  const { circuits, fluids, map, ports, catalogue, assemblies } = input;
  const circuit = circuits[index];
  const fluid = fluids[index];
  if (!circuit || !fluid) return [];
  const highest = highestPressure(fluid);
  const placeOf = new Map(circuit.nodes.map((node) => [node.id, node.placementId]));
  return circuit.elements.flatMap((line): BareLine[] => {
    if (line.kind !== 'line') return [];
    const hose = lookUp(catalogue, 'hose', line.item, line.id);
    if (isRail(line, hose)) return [];
    const assembly = assemblyOf(assemblies, circuit.id, line.id);
    const routed = map.lines.find((l) => l.lineId === line.id && l.circuitId === circuit.id);
    const end = (side: 'from' | 'to'): MadeEnd =>
      madeEnd({
        side,
        placementId: placeOf.get(line[side]) ?? '',
        stored: assembly?.[side] ?? NO_END,
        partner: partnerAt(circuit, line[side], catalogue),
        port: ports[portKey(circuit.id, line[side])],
        routed,
        catalogue,
      });
    const figure = fuelFigure('element.length', {
      ...circuitScope(index, circuit.id),
      element: line.id,
    });
    const value = fluid.design.lengths[line.id];
    return [
      {
        lineId: line.id,
        of: { kind: 'line', circuitId: circuit.id, elementId: line.id },
        // Two circuits have lines of the same name.
        name: index === 0 ? line.name : `${line.name}, ${circuit.name.toLowerCase()}`,
        circuitId: circuit.id,
        suction: line.role === 'suction',
        hose,
        loose: line.fittings,
        assembly,
        ends: [end('from'), end('to')],
        length: value === undefined ? undefined : given(value, fromFigure(figure)),
        routed,
        sleeved: sleevedLength(input, routed),
        ...highest,
      },
    ];
  });
}

/** The lines beside the fuel circuits that are hose or tube. */
const otherMade = (input: PlumbingInput): BareLine[] =>
  input.otherLines.flatMap((line): BareLine[] => {
    if (!line.item) return [];
    const { map, ports, catalogue } = input;
    const hose = lookUp(catalogue, 'hose', line.item, line.id);
    const assembly = input.assemblies.find(
      ({ of }) => of.kind === 'other' && of.otherLineId === line.id,
    );
    const routed = map.lines.find((l) => l.lineId === line.id && l.circuitId === undefined);
    const end = (side: 'from' | 'to'): MadeEnd => {
      const placementId = side === 'from' ? line.fromPlacementId : line.toPlacementId;
      return madeEnd({
        side,
        placementId,
        stored: assembly?.[side] ?? NO_END,
        partner: undefined,
        port: ports[placeKey(placementId)],
        routed,
        catalogue,
      });
    };
    const length: Sourced<number> | undefined = routed?.length && fromResult(routed.length);
    return [
      {
        lineId: line.id,
        of: { kind: 'other', otherLineId: line.id },
        name: line.name,
        circuitId: undefined,
        suction: line.use === 'oil-suction',
        hose,
        loose: [],
        assembly,
        ends: [end('from'), end('to')],
        length,
        routed,
        sleeved: sleevedLength(input, routed),
        pressure: lineClasses[line.use].pressure,
        pressureIn: undefined,
      },
    ];
  });

/** Every line that is hose or tube, as it is made. Nothing is chosen here. */
export const plumbingStage = (input: PlumbingInput): readonly MadeLine[] =>
  [...input.circuits.flatMap((_, index) => circuitLines(input, index)), ...otherMade(input)].map(
    lineAsMade,
  );
