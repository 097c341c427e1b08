import { describe, expect, test } from 'vitest';
import { pumpFeedsOf } from '../../electrics/index.ts';
import { applyCommand, evaluate, withEndsAlong } from '../../evaluation/index.ts';
import { kittiwake, lantern, sampleCatalogue, sandpiper } from '../../exchange/index.ts';
import {
  type Architecture,
  type BuildDocument,
  type FuelCircuit,
  applyPatch,
  readBuild,
} from '../../model/index.ts';
import { elementKindOf, portsOf } from '../elements/elementKinds.ts';
import type { FluidResult } from '../running/fluidStage.ts';
import { architectureNotes } from './architectureNotes.ts';
import { layOutAs } from './layOut.ts';

/** So little flow, m³/s, is none: a check valve that is closed to rounding. */
const NOTHING = 1e-9;

const architectures = Object.keys(architectureNotes) as Architecture[];
const circuits = [
  ['Lantern', lantern, 'main'],
  ['Sandpiper', sandpiper, 'main'],
  ['Kittiwake', kittiwake, 'main'],
  ['Kittiwake’s second row', kittiwake, 'methanol'],
] as const;
const all = circuits.flatMap(([name, build, circuitId]) =>
  architectures.map((architecture) => [name, architecture, build, circuitId] as const),
);

function laidOut(build: BuildDocument, circuitId: string, architecture: Architecture) {
  const command = layOutAs({
    document: readBuild(build),
    circuitId,
    architecture,
    catalogue: sampleCatalogue,
  });
  const applied = applyCommand(build, withEndsAlong(build, command, sampleCatalogue));
  const read = readBuild(applied.document);
  const circuit = read.fuelCircuits.find(({ id }) => id === circuitId)!;
  return { ...applied, read, circuit };
}

/** Elements through which fuel goes from one joint to another, alone. */
const straight = (circuit: FuelCircuit) =>
  circuit.elements.flatMap((element) =>
    'from' in element && 'to' in element && element.kind !== 'pump' && portsOf(element).length === 2
      ? [element]
      : [],
  );
const fluidOf = (document: BuildDocument, circuitId: string): FluidResult =>
  evaluate(document, sampleCatalogue).fluids.find(({ design }) => design.circuit.id === circuitId)!;

describe.each(all)('%s laid out as %s', (_name, architecture, build, circuitId) => {
  const laid = laidOut(build, circuitId, architecture);
  const { circuit } = laid;

  test('is whole: every port is a joint, and every joint leads on', () => {
    expect(circuit.architecture).toBe(architecture);
    const ids = circuit.elements.map(({ id }) => id);
    expect(new Set(ids).size).toBe(ids.length);
    const joints = new Map(circuit.nodes.map(({ id }) => [id, 0]));
    for (const element of circuit.elements) {
      for (const [port, node] of portsOf(element)) {
        expect(joints.has(node), `${element.id} ${port}`).toBe(true);
        joints.set(node, joints.get(node)! + 1);
      }
    }
    // A tank's return may be left open; everything else is an end of two things at least.
    const tank = circuit.elements.find(({ kind }) => kind === 'tank')!;
    const open = new Set(portsOf(tank).map(([, node]) => node));
    const loose = [...joints].filter(([node, ends]) => ends < 2 && !open.has(node));
    expect(loose).toEqual([]);
  });

  test('stands on the map, and its pumps are wired', () => {
    const places = new Set(laid.read.placements.map(({ id }) => id));
    for (const { placementId } of circuit.nodes) {
      if (placementId !== undefined) expect(places.has(placementId)).toBe(true);
    }
    const pumps = circuit.elements.filter(({ kind }) => kind === 'pump').map(({ id }) => id);
    const fed = pumpFeedsOf(laid.read)
      .filter((feed) => feed.circuitId === circuitId)
      .map(({ elementId }) => elementId);
    expect([...fed].sort()).toEqual([...pumps].sort());
    expect(pumps.length).toBeGreaterThanOrEqual(
      architecture === 'twin-pumps' || architecture === 'surge-tank' ? 2 : 1,
    );
  });

  test('feeds the same rows, and is taken back whole', () => {
    const rowsOf = ({ elements }: FuelCircuit) =>
      [...new Set(elements.flatMap((e) => (e.kind === 'injectors' ? [e.rowId] : [])))].sort();
    const before = readBuild(build).fuelCircuits.find(({ id }) => id === circuitId)!;
    expect(rowsOf(circuit)).toEqual(rowsOf(before));
    expect(applyPatch(laid.document, laid.inverse)).toEqual(build);
  });

  test('holds to the laws in every case', () => {
    const { cases, design } = fluidOf(laid.document, circuitId);
    const density = design.fuel.hot.density;
    const height = new Map(
      circuit.nodes.map(({ id, placementId }) => [
        id,
        laid.read.placements.find((place) => place.id === placementId)?.z.value,
      ]),
    );
    for (const { point, solution } of Object.values(cases)) {
      if (solution.state !== 'converged') throw new Error(`${point.name} is not solved`);
      const scale = Math.max(1e-4, point.massFlow);
      const left = new Map<string, number>();
      const touched = new Set<string>();
      for (const element of straight(circuit)) {
        const solved = solution.elements[element.id];
        if (!solved) continue;
        const { massFlow, pressureDrop, inletPressure, outletPressure } = solved;
        left.set(element.from, (left.get(element.from) ?? 0) - massFlow);
        left.set(element.to, (left.get(element.to) ?? 0) + massFlow);
        // Friction is against the flow, whichever way it goes.
        if (['line', 'fitting', 'filter'].includes(element.kind)) {
          expect(pressureDrop * massFlow).toBeGreaterThanOrEqual(-1e-9);
        }
        // What is lost and what is lifted make up the difference of the ends.
        const [from, to] = [height.get(element.from), height.get(element.to)];
        if (
          element.kind === 'line' &&
          from !== undefined &&
          to !== undefined &&
          point.name !== 'crankingCold'
        ) {
          const weight = density * 9.80665 * (to - from);
          expect(Math.abs(inletPressure - outletPressure - pressureDrop - weight)).toBeLessThan(
            5 + 2e-3 * Math.abs(weight),
          );
        }
      }
      // What comes to a joint leaves it, but where something else takes, gives or stores.
      for (const element of circuit.elements) {
        const passes =
          'from' in element && element.kind !== 'pump' && portsOf(element).length === 2;
        if (!passes) for (const [, node] of portsOf(element)) touched.add(node);
      }
      for (const [node, rest] of left) {
        if (!touched.has(node)) expect(Math.abs(rest) / scale, node).toBeLessThan(1e-5);
      }
      for (const pump of Object.values(solution.pumps)) {
        expect(pump.voltage).toBeLessThanOrEqual(point.systemVoltage + 1e-9);
        expect(pump.flow).toBeGreaterThanOrEqual(-NOTHING);
      }
    }
  });

  test('draws from its tank what it brings back and what the engine takes', () => {
    const tank = circuit.elements.find((e) => e.kind === 'tank')!;
    const { point, solution } = fluidOf(laid.document, circuitId).cases.peakPower;
    if (solution.state !== 'converged') throw new Error('peak power is not solved');
    // Told where all that fuel comes out of and goes back into has two ends and no store.
    const whole = circuit.elements.every(
      (e) =>
        ['tank', 'injectors'].includes(e.kind) ||
        (e.kind === 'pump' ? e.from !== tank.outlet : portsOf(e).length === 2 && 'from' in e),
    );
    if (!whole || laid.read.injectorRows.length > 1) return;
    const leaving = (node: string): number =>
      straight(circuit).reduce((sum, element) => {
        const flow = solution.elements[element.id]?.massFlow ?? 0;
        return sum + (element.from === node ? flow : 0) - (element.to === node ? flow : 0);
      }, 0);
    const taken = leaving(tank.outlet) + (tank.returnNode ? leaving(tank.returnNode) : 0);
    const injected = circuit.elements
      .filter(({ kind }) => kind === 'injectors')
      .reduce((sum, { id }) => sum + solution.elements[id]!.massFlow, 0);
    expect(taken / injected).toBeCloseTo(1, 4);
    // As much as the engine takes, but where injectors that stay open give no more.
    expect(injected).toBeLessThanOrEqual(point.massFlow * (1 + 1e-6));
  });
});

test('each kind of element that a layout uses has its entry', () => {
  for (const [, architecture, build, circuitId] of all) {
    for (const element of laidOut(build, circuitId, architecture).circuit.elements) {
      expect(elementKindOf(element)).toBeDefined();
    }
  }
});
