import { describe, expect, test } from 'vitest';
import { kittiwake, lantern, sampleCatalogue, sandpiper } from '../exchange/index.ts';
import type { BuildDocument } from '../model/index.ts';
import { applyCommand } from './commands/applyCommand.ts';
import { type SchoolComparison, compareSchools } from './compareSchools.ts';
import { referenceProblems } from './references.ts';
import { finished, memo } from '../numerics/index.ts';
import { evaluated, knownBuild } from '../tests/evaluated.ts';

type Possible = Extract<SchoolComparison, { possible: true }>;
const schoolsOf = memo((document: BuildDocument) => finished(compareSchools(knownBuild(document))));
const schoolOf = (document: BuildDocument, id: SchoolComparison['id']): Possible => {
  const school = schoolsOf(document).find((each) => each.id === id)!;
  if (!school.possible) throw new Error(school.reason);
  return school;
};
const taken = ({ changes, name }: Possible, document: BuildDocument): BuildDocument =>
  applyCommand(document, { name: 'set-several', label: name, changes: [...changes] }).document;

describe('the schools of switching', () => {
  test('as it is: what the evaluation of the build says', () => {
    const { figures } = schoolOf(sandpiper, 'present');
    const { electrics, findings } = evaluated(sandpiper);
    expect(figures.wires).toBe(electrics.wires.length);
    expect(figures.fuses).toBe(
      electrics.netlist.parts.filter(({ sort }) => sort === 'fuse').length,
    );
    expect(figures.warnings).toBe(findings.filter(({ severity }) => severity === 'warn').length);
    expect(figures.worst!.name).toBe('Rill 18');
  });

  test('the kept box saves its relays and fuses, and moves nothing else', () => {
    const [present, box] = (['present', 'kept'] as const).map((id) => schoolOf(lantern, id));
    expect(box!.figures.price).toBeLessThan(present!.figures.price);
    expect(box!.figures.mass).toBeLessThan(present!.figures.mass);
    expect({ ...box!.figures, price: 0, mass: 0 }).toEqual({
      ...present!.figures,
      price: 0,
      mass: 0,
    });
    const again = schoolsOf(taken(box!, lantern));
    expect(again.find(({ id }) => id === 'kept')).toMatchObject({
      possible: false,
      reason: 'all relays and fuses are kept already',
    });
  });

  test('a module takes the relays that a controller commands, and leaves main relay and starter', () => {
    const module = schoolOf(kittiwake, 'module');
    const changed = taken(module, kittiwake);
    expect(referenceProblems(changed, sampleCatalogue)).toEqual([]);
    const state = (id: string) => changed.devices[id]!.state;
    expect(['pump-relay', 'pump-2-relay', 'methanol-pump-relay'].map(state)).toEqual([
      'removed',
      'removed',
      'removed',
    ]);
    expect(['main-relay', 'starter-relay'].map(state)).toEqual(['new', 'new']);
    expect(module.figures.stops).toBe(0);
    expect(module.figures.relays).toBe(schoolOf(kittiwake, 'present').figures.relays - 3);
  });

  test('says why where no module can be fitted', () => {
    for (const document of [lantern, sandpiper]) {
      const module = schoolsOf(document).find(({ id }) => id === 'module');
      expect(module).toMatchObject({ possible: false });
    }
  });
});
