import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { kittiwake, lantern, sampleCatalogue } from '../../exchange/index.ts';
import {
  type BuildDocument,
  applyPatch,
  architectures,
  hashOf,
  readBuild,
  valueAt,
} from '../../model/index.ts';
import { pumpFeedsOf } from '../../electrics/index.ts';
import { addCircuit } from '../layouts/addCircuit.ts';
import { applyCommand, referenceProblems } from '../../evaluation/index.ts';
import { insertCommand, insertable } from '../layouts/newElement.ts';
import { isThrough, pumpsOf, railsOf, runOf, waysThrough } from './circuitRun.ts';
import { layOutAs } from '../layouts/layOut.ts';
import { moveElement, removeElement } from './circuitEdits.ts';
import type { Insertable } from '../layouts/newElement.ts';

const lanternBuild = readBuild(lantern);
const circuit = lanternBuild.fuelCircuits[0]!;
const idsOf = (build: BuildDocument): string[] =>
  runOf(readBuild(build).fuelCircuits[0]!).map((step) => step.id);
const remove = (build: BuildDocument, elementId: string): BuildDocument =>
  applyCommand(build, {
    name: 'remove-element',
    circuitId: 'main',
    elementId,
    assemblies: {},
  }).document;

describe('putting in', () => {
  test.each(Object.keys(insertable) as Insertable[])('a %s comes behind its neighbour', (kind) => {
    const command = insertCommand({
      document: lanternBuild,
      circuit,
      catalogue: sampleCatalogue,
      afterId: 'feed',
      kind,
    })!;
    const { document } = applyCommand(lantern, command);
    const ids = idsOf(document);
    expect(ids[ids.indexOf('feed') + 1]).toBe(command.elementId);
    expect(ids.filter((id) => id !== command.elementId)).toEqual(idsOf(lantern));
    expect(referenceProblems(document, sampleCatalogue)).toEqual([]);
    expect(pumpFeedsOf(readBuild(document))).toHaveLength(kind === 'pump' ? 2 : 1);
  });

  test('is not possible behind the tank or the injectors', () => {
    for (const afterId of ['tank', 'injectors']) {
      expect(
        insertCommand({
          document: lanternBuild,
          circuit,
          catalogue: sampleCatalogue,
          afterId,
          kind: 'filter',
        }),
      ).toBeUndefined();
    }
  });
});

describe('taking out', () => {
  test('joins the neighbours', () => {
    const document = remove(lantern, 'coarse');
    expect(idsOf(document)).toEqual(idsOf(lantern).filter((id) => id !== 'coarse'));
    expect(referenceProblems(document, sampleCatalogue)).toEqual([]);
  });

  test('a pump beside another goes with its whole way', () => {
    const document = remove(kittiwake, 'pump-2');
    const { fuelCircuits, devices } = readBuild(document);
    const main = fuelCircuits[0]!;
    expect(pumpsOf(main).map((p) => p.id)).toEqual(['pump']);
    expect(
      main.elements.some((e) => ['pump-inlet-2', 'pump-hose-2', 'pump-y-2'].includes(e.id)),
    ).toBe(false);
    const left = new Set(devices.map(({ id }) => id));
    for (const id of ['pump-2', 'pump-2-fuse', 'pump-2-relay']) expect(left.has(id)).toBe(false);
    // What the others share with it stays.
    for (const id of ['inertia-switch', 'pump-fuse', 'pump-relay']) expect(left.has(id)).toBe(true);
    expect(document.grounds['pump-ground']).toBeDefined();
    expect(referenceProblems(document, sampleCatalogue)).toEqual([]);
  });

  test('of tank or injectors is refused with a reason', () => {
    expect(() => removeElement(circuit, 'tank')).toThrow(/stays where it is/);
    expect(() => removeElement(circuit, 'injectors')).toThrow(/stays where it is/);
    expect(() => removeElement(circuit, 'not there')).toThrow(/there is no element/);
  });

  test('a decision follows its element, and goes with it', () => {
    const moved = applyCommand(
      lantern,
      insertCommand({
        document: lanternBuild,
        circuit,
        catalogue: sampleCatalogue,
        afterId: 'tank-bung',
        kind: 'orifice',
      })!,
    ).document;
    const { path } = readBuild(moved).options[0]!.alternatives[0]!.values[0]!;
    expect(path).toEqual(['fuelCircuits', 'main', 'elements', 'tank-bung', 'item']);
    expect(valueAt(moved, path)).toEqual({ id: 'B12', revision: 1 });
    expect(remove(lantern, 'tank-bung').options).toEqual({});
  });
});

describe('moving', () => {
  test('exchanges neighbours, and back again is the same circuit', () => {
    const there = moveElement(circuit, 'coarse', 'towards-engine');
    const ids = runOf(there).map((s) => s.id);
    expect(ids.indexOf('coarse')).toBe(ids.indexOf('pump-inlet') + 1);
    const back = moveElement(there, 'coarse', 'towards-tank');
    expect(runOf(back).map((s) => s.id)).toEqual(idsOf(lantern));
  });

  test('past a joint of three is refused', () => {
    expect(() => moveElement(circuit, 'rail', 'towards-engine')).toThrow(/no neighbour/);
    expect(() => moveElement(circuit, 'tank-bung', 'towards-tank')).toThrow(/no neighbour/);
  });
});

describe('any row of edits', () => {
  const edit = fc.record({
    what: fc.constantFrom('insert', 'remove', 'move'),
    at: fc.nat(40),
    kind: fc.constantFrom(...(Object.keys(insertable) as Insertable[])),
    direction: fc.constantFrom('towards-tank' as const, 'towards-engine' as const),
  });

  test('leaves a circuit that can be referred to, and undoes to the same document', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(lantern, kittiwake),
        fc.array(edit, { maxLength: 6 }),
        (start, edits) => {
          let document = start;
          for (const { what, at, kind, direction } of edits) {
            const build = readBuild(document);
            const now = build.fuelCircuits[0]!;
            const through = now.elements.filter(isThrough);
            const element = through[at % through.length]!;
            const common = { circuitId: now.id, elementId: element.id };
            const command =
              what === 'insert'
                ? insertCommand({
                    document: build,
                    circuit: now,
                    catalogue: sampleCatalogue,
                    afterId: element.id,
                    kind,
                  })!
                : what === 'remove'
                  ? ({ name: 'remove-element', ...common, assemblies: {} } as const)
                  : ({ name: 'move-element', ...common, direction, assemblies: {} } as const);
            let applied;
            try {
              applied = applyCommand(document, command);
            } catch {
              continue;
            }
            const undone = applyPatch(applied.document, applied.inverse);
            expect(hashOf(undone)).toBe(hashOf(document));
            // What may not go (last pump, regulator) the references refuse.
            if (referenceProblems(applied.document, sampleCatalogue).length === 0) {
              document = applied.document;
            }
          }
          const end = readBuild(document).fuelCircuits[0]!;
          const known = new Set(end.nodes.map((n) => n.id));
          for (const step of waysThrough(end)) {
            expect(known.has(step.from) && known.has(step.to)).toBe(true);
          }
        },
      ),
      { numRuns: 60 },
    );
  });
});

describe('layouts', () => {
  test.each(architectures)('%s refers to nothing that is not there', (architecture) => {
    for (const document of [lantern, kittiwake]) {
      for (const { id } of readBuild(document).fuelCircuits) {
        const command = layOutAs({
          document: readBuild(document),
          circuitId: id,
          architecture,
          catalogue: sampleCatalogue,
        });
        const laid = applyCommand(document, command).document;
        expect(referenceProblems(laid, sampleCatalogue)).toEqual([]);
        const build = readBuild(laid);
        const now = build.fuelCircuits.find((c) => c.id === id)!;
        expect(now.architecture).toBe(architecture);
        expect(railsOf(now).length).toBeGreaterThan(0);
        const fed = pumpFeedsOf(build).filter((f) => f.circuitId === id);
        expect(fed.map((f) => f.elementId).sort()).toEqual(
          pumpsOf(now)
            .map((p) => p.id)
            .sort(),
        );
      }
    }
  });

  test('there and back keeps the parts', () => {
    const other = applyCommand(
      lantern,
      layOutAs({
        document: lanternBuild,
        circuitId: 'main',
        architecture: 'surge-tank',
        catalogue: sampleCatalogue,
      }),
    ).document;
    const laidBack = applyCommand(
      other,
      layOutAs({
        document: readBuild(other),
        circuitId: 'main',
        architecture: 'return-after-rail',
        catalogue: sampleCatalogue,
      }),
    ).document;
    const back = readBuild(laidBack).fuelCircuits[0]!;
    const itemOf = (id: string, of = back): unknown => {
      const element = of.elements.find((e) => e.id === id)!;
      return 'item' in element ? element.item : undefined;
    };
    for (const id of ['tank-bung', 'coarse', 'pump', 'fine', 'feed', 'rail', 'regulator']) {
      expect(itemOf(id), id).toEqual(itemOf(id, circuit));
    }
  });

  test('a second fuel brings circuit, row, feed and fuel, and goes with them again', () => {
    const { document } = applyCommand(
      lantern,
      addCircuit({
        document: lanternBuild,
        catalogue: sampleCatalogue,
        fuel: { id: 'x', kind: 'methanol', name: 'Methanol' },
        architecture: 'return-after-rail',
      }),
    );
    const added = readBuild(document);
    expect(referenceProblems(document, sampleCatalogue)).toEqual([]);
    expect(added.fuelCircuits).toHaveLength(2);
    expect(added.injectorRows.reduce((sum, r) => sum + r.airShare.value, 0)).toBeCloseTo(1, 12);
    expect(added.injectorRows[1]!.staging).not.toBeNull();
    const removed = applyCommand(document, {
      name: 'remove-circuit',
      circuitId: added.fuelCircuits[1]!.id,
    }).document;
    const gone = readBuild(removed);
    expect(gone.fuelCircuits).toHaveLength(1);
    expect(gone.fuels).toHaveLength(1);
    expect(gone.injectorRows.map((r) => r.id)).toEqual(['primary']);
    expect(pumpFeedsOf(gone)).toHaveLength(1);
    expect(gone.devices.map(({ id }) => id)).toEqual(lanternBuild.devices.map(({ id }) => id));
  });
});
