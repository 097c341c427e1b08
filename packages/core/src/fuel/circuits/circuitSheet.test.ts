import { applyCommand } from '../../evaluation/index.ts';
import { kittiwake, lantern, sampleCatalogue, sandpiper } from '../../exchange/index.ts';
import { type FuelCircuit, architectures, readBuild } from '../../model/index.ts';
import { layOutAs } from '../layouts/index.ts';
import { railsOf, waysThrough } from './circuitRun.ts';
import { describe, expect, test } from 'vitest';
import { circuitSheet, layOutCircuit } from './circuitSheet.ts';

const circuits: (readonly [string, FuelCircuit])[] = [lantern, sandpiper, kittiwake].flatMap(
  (document) =>
    architectures.map((architecture) => {
      const build = readBuild(document);
      const circuitId = build.fuelCircuits[0]!.id;
      const command = layOutAs({
        document: build,
        circuitId,
        architecture,
        catalogue: sampleCatalogue,
      });
      const laid = readBuild(applyCommand(document, command).document).fuelCircuits[0]!;
      return [`${document.name}, ${architecture}`, laid] as const;
    }),
);

describe.each(circuits)('%s on its sheet', (_name, circuit) => {
  const layout = layOutCircuit(circuit);

  test('has every way once, inside the sheet, with room to be hit', () => {
    const keys = layout.steps.map(({ step }) => `${step.id}:${step.from}`);
    expect(new Set(keys).size).toBe(keys.length);
    expect([...keys].sort()).toEqual(
      waysThrough(circuit)
        .map((step) => `${step.id}:${step.from}`)
        .sort(),
    );
    for (const { x0, x1, y } of layout.steps) {
      expect(Math.min(x0, x1)).toBeGreaterThanOrEqual(
        circuitSheet.tankX + circuitSheet.tankWidth - 1e-9,
      );
      expect(Math.max(x0, x1)).toBeLessThanOrEqual(circuitSheet.railX + 1e-9);
      expect(Math.abs(x1 - x0)).toBeGreaterThan(8);
      expect(y).toBeGreaterThan(0);
      expect(y).toBeLessThan(layout.height);
    }
  });

  test('has every rail at the engine, none on another', () => {
    expect(layout.rails.map((r) => r.elementId)).toEqual(railsOf(circuit).map((r) => r.id));
    const places = layout.rails.map((r) => `${r.x}/${r.y0}`);
    expect(new Set(places).size).toBe(places.length);
    for (const rail of layout.rails) expect(rail.y1).toBeGreaterThan(rail.y0);
  });

  test('rows do not lie on each other', () => {
    const { steps } = layout;
    for (const a of steps) {
      for (const b of steps) {
        if (a === b || a.y !== b.y) continue;
        const overlap =
          Math.min(Math.max(a.x0, a.x1), Math.max(b.x0, b.x1)) -
          Math.max(Math.min(a.x0, a.x1), Math.min(b.x0, b.x1));
        expect(overlap, `${a.step.id} and ${b.step.id}`).toBeLessThan(1e-6);
      }
    }
  });
});
