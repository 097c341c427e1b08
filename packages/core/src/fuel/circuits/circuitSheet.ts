import { lastOf } from '../../numerics/index.ts';
import type { FuelCircuit } from '../../model/index.ts';
import { type RunStep, fuelRun, pathBetween, railsOf, tankOf, waysThrough } from './circuitRun.ts';

/** Size of the sheet and where its bands lie. */
export const circuitSheet = {
  width: 764,
  feedY: 118,
  laneGap: 78,
  returnY: 352,
  tankX: 14,
  tankWidth: 86,
  railX: 676,
} as const;

/** One step of the run with its place on the circuitSheet. */
export interface PlacedStep {
  readonly step: RunStep;
  readonly x0: number;
  readonly x1: number;
  readonly y: number;
  /** 0 for the main run, 1 and up for what runs beside it, −1 for the way back */
  readonly lane: number;
  /** position in its row, for labels that take turns */
  readonly order: number;
}

/** A plain joint between rows: no element, only a way down. */
export interface Drop {
  readonly x: number;
  readonly y0: number;
  readonly y1: number;
}

/** A rail at the engine. */
export interface PlacedRail {
  readonly elementId: string;
  readonly x: number;
  readonly y0: number;
  readonly y1: number;
  /** a plain line goes on from its end down to here */
  readonly leavesTo: number | undefined;
}

/** Length of one of several rails on the circuitSheet. */
const RAIL_LENGTH = 58;

export interface CircuitLayout {
  readonly steps: readonly PlacedStep[];
  readonly drops: readonly Drop[];
  readonly rails: readonly PlacedRail[];
  readonly height: number;
  readonly returnY: number;
}

interface Point {
  readonly x: number;
  readonly y: number;
}

const weights: Partial<Record<RunStep['element']['kind'], number>> = {
  line: 1.6,
  fitting: 0.7,
  orifice: 0.8,
};
const weight = (step: RunStep): number => weights[step.element.kind] ?? 1.3;

/**
 * Lays a circuit out from tank to engine: the main run in one row, what runs beside it in rows
 * below, the way back in the last row. Pure: the same circuit gives the same circuitSheet.
 */
export function layOutCircuit(circuit: FuelCircuit): CircuitLayout {
  const tank = tankOf(circuit);
  const rails = railsOf(circuit);
  const { feed, back } = fuelRun(circuit);
  const railNodes = new Set(rails.map((rail) => rail.node));
  const start = circuitSheet.tankX + circuitSheet.tankWidth;
  const steps: PlacedStep[] = [];
  const drops: Drop[] = [];
  const at = new Map<string, Point>();
  const placed = new Set<string>();
  const keyOf = (step: RunStep): string => `${step.id}:${step.from}`;

  const put = (
    run: readonly RunStep[],
    row: { from: number; to: number; y: number; lane: number },
  ): void => {
    const total = run.reduce((sum, step) => sum + weight(step), 0);
    let x0 = row.from;
    run.forEach((step, order) => {
      const x1 = x0 + ((row.to - row.from) * weight(step)) / total;
      steps.push({ step, x0, x1, y: row.y, lane: row.lane, order });
      placed.add(keyOf(step));
      if (!at.has(step.from)) at.set(step.from, { x: x0, y: row.y });
      if (!at.has(step.to)) at.set(step.to, { x: x1, y: row.y });
      const { element } = step;
      if (element.kind === 'filter-regulator' && !at.has(element.returnNode)) {
        at.set(element.returnNode, { x: (x0 + x1) / 2, y: row.y });
      }
      x0 = x1;
    });
  };

  if (tank) at.set(tank.outlet, { x: start, y: circuitSheet.feedY });
  put(feed, { from: start, to: circuitSheet.railX, y: circuitSheet.feedY, lane: 0 });

  // Ways that lead on to a rail or back into the main run, each in a row of its own.
  const ways = waysThrough(circuit);
  const backKeys = new Set(back.map(keyOf));
  /** Rails stand a little apart, so that what leaves one passes beside the next. */
  const railX = (node: string): number =>
    circuitSheet.railX -
    16 *
      Math.max(
        0,
        rails.findIndex((rail) => rail.node === node),
      );
  let lane = 0;
  for (;;) {
    const first = ways.find(
      (step) =>
        !placed.has(keyOf(step)) &&
        !backKeys.has(keyOf(step)) &&
        at.has(step.from) &&
        !railNodes.has(step.from) &&
        !isBackOnly(circuit, step, railNodes, tank?.returnNode),
    );
    if (!first) break;
    const chain = [first];
    for (let end = first.to; !at.has(end) && !railNodes.has(end);) {
      const next = ways.find((step) => step.from === end && !placed.has(keyOf(step)));
      if (!next) break;
      chain.push(next);
      end = next.to;
    }
    lane += 1;
    const from = at.get(first.from)!;
    const last = lastOf(chain);
    const y = circuitSheet.feedY + lane * circuitSheet.laneGap;
    const end = at.get(last.to);
    const to = Math.max(end?.x ?? railX(last.to), from.x + 60);
    drops.push({ x: from.x, y0: from.y, y1: y });
    put(chain, { from: from.x, to, y, lane });
    if (end) drops.push({ x: end.x, y0: end.y, y1: y });
  }
  const returnY = Math.max(
    circuitSheet.returnY,
    circuitSheet.feedY + (lane + 1) * circuitSheet.laneGap + 60,
  );

  // The way back: over a surge tank it comes to stand under itself.
  const surgeAt = back.findIndex((step) => step.element.kind === 'surge-tank');
  const surgeX = steps.find((s) => s.step.element.kind === 'surge-tank');
  const backFrom = back[0] ? (at.get(back[0].from)?.x ?? circuitSheet.railX) : circuitSheet.railX;
  const placeBack = (run: readonly RunStep[], from: number): void => {
    if (surgeAt >= 0 && surgeX && run === back) {
      put(run.slice(0, surgeAt), { from, to: surgeX.x1, y: returnY, lane: -1 });
      put(run.slice(surgeAt, surgeAt + 1), {
        from: surgeX.x1,
        to: surgeX.x0,
        y: returnY,
        lane: -1,
      });
      put(run.slice(surgeAt + 1), { from: surgeX.x0, to: start, y: returnY, lane: -1 });
    } else put(run, { from, to: start, y: returnY, lane: -1 });
  };
  if (back.length > 0) placeBack(back, backFrom);

  // What else returns: from a T before the rails, or from further rails to where the rails join.
  for (;;) {
    const first = ways.find((step) => !placed.has(keyOf(step)) && at.has(step.from));
    if (!first) break;
    const chain = [first];
    for (let end = first.to; !at.has(end) && end !== tank?.returnNode;) {
      const next = ways.find((step) => step.from === end && !placed.has(keyOf(step)));
      if (!next) break;
      chain.push(next);
      end = next.to;
    }
    const from = at.get(first.from)!;
    const end = at.get(lastOf(chain).to);
    const fromX = Math.min(from.x, circuitSheet.railX);
    if (end) {
      // Below one that is there already.
      const taken = steps.some((s) => s.lane === -2);
      const y = returnY - circuitSheet.laneGap * (taken ? 0.05 : 0.75);
      put(chain, { from: fromX, to: Math.min(end.x, fromX - 60), y, lane: -2 });
      drops.push({ x: fromX, y0: from.y + (railNodes.has(first.from) ? RAIL_LENGTH : 0), y1: y });
      drops.push({ x: Math.min(end.x, fromX - 60), y0: y, y1: end.y });
    } else if (lastOf(chain).to !== tank?.returnNode) {
      // A way that ends, or waits for another rail to join it.
      const y = returnY - circuitSheet.laneGap * 0.75;
      put(chain, { from: fromX, to: fromX - 150, y, lane: -2 });
      drops.push({ x: fromX, y0: from.y, y1: y });
    } else {
      put(chain, { from: fromX, to: start, y: returnY, lane: -1 });
      drops.push({ x: fromX, y0: from.y, y1: returnY });
    }
  }

  const backBegins = back[0]?.from;
  return {
    steps,
    drops,
    height: returnY + 78,
    returnY,
    rails: rails.map((rail) => {
      const point = at.get(rail.node) ?? { x: circuitSheet.railX, y: circuitSheet.feedY };
      const toBack = rail.node === backBegins;
      const alone = rails.length === 1;
      return {
        elementId: rail.id,
        x: railX(rail.node),
        y0: point.y,
        y1: alone ? (toBack ? returnY : returnY - 34) : point.y + RAIL_LENGTH,
        leavesTo: toBack && !alone ? returnY : undefined,
      };
    }),
  };
}

const leadsToRail = (circuit: FuelCircuit, node: string, rails: ReadonlySet<string>): boolean =>
  rails.has(node) || [...rails].some((rail) => pathBetween(circuit, node, rail).length > 0);

const leadsBack = (circuit: FuelCircuit, node: string, tankReturn: string): boolean =>
  pathBetween(circuit, node, tankReturn).length > 0;

/** A step after which fuel can only go back to the tank. */
const isBackOnly = (
  circuit: FuelCircuit,
  step: RunStep,
  rails: ReadonlySet<string>,
  tankReturn: string | undefined,
): boolean =>
  !leadsToRail(circuit, step.to, rails) &&
  tankReturn !== undefined &&
  (step.to === tankReturn || leadsBack(circuit, step.to, tankReturn));
