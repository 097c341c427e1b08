import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { grownBuild, lantern } from '../exchange/index.ts';
import { BadInput } from '../quantities/index.ts';
import type { BuildDocument } from './document.ts';
import { applyPatch, editDocument, mergeInto, putAt, removeAt } from './edit.ts';
import { hashOf } from './stableJson.ts';

const place = lantern.placements['pump']!;

describe('an edit', () => {
  test('holds what changed and nothing else', () => {
    const { document } = grownBuild();
    const path = ['placements', 'one-more'];
    const { patch, inverse } = editDocument(document, (draft) => putAt(draft, path, place));
    expect(patch).toEqual([{ op: 'add', path, value: place }]);
    expect(inverse).toEqual([{ op: 'remove', path }]);
  });

  test('keeps every part that it does not touch', () => {
    const { document } = editDocument(lantern, (draft) => putAt(draft, ['brief', 'cylinders'], 6));
    expect(document.brief.cylinders).toBe(6);
    expect(lantern.brief.cylinders).toBe(4);
    expect(document.fuelCircuits).toBe(lantern.fuelCircuits);
    expect(document.brief.boost).toBe(lantern.brief.boost);
  });

  test('that changes nothing gives the same document and no patch', () => {
    const edited = editDocument(lantern, (draft) => {
      putAt(draft, ['brief', 'boost'], { ...lantern.brief.boost });
      putAt(draft, ['fuelCircuits', 'main'], structuredClone(lantern.fuelCircuits['main']));
    });
    expect(edited.document).toBe(lantern);
    expect(edited.patch).toEqual([]);
  });

  test('is taken back by its inverse and made again by its patch, as JSON too', () => {
    const path = fc.constantFrom(
      ['brief', 'boost'],
      ['limits', 'pumpMargin'],
      ['placements', 'pump'],
      ['placements', 'new'],
      ['fuelCircuits', 'main', 'elements', 'feed', 'length'],
      ['options', 'tank-outlet', 'chosen'],
    );
    const value = fc.oneof(
      fc.integer(),
      fc.string(),
      fc.constant(null),
      fc.record({ a: fc.integer(), b: fc.array(fc.integer()) }),
    );
    fc.assert(
      fc.property(fc.array(fc.tuple(path, value), { maxLength: 5 }), (puts) => {
        const edited = editDocument(lantern, (draft) => {
          for (const [at, value] of puts) putAt(draft, at, value);
        });
        const stored = JSON.parse(JSON.stringify(edited)) as typeof edited;
        expect(hashOf(applyPatch(edited.document, stored.inverse))).toBe(hashOf(lantern));
        expect(hashOf(applyPatch(lantern, stored.patch))).toBe(hashOf(edited.document));
      }),
      { numRuns: 200 },
    );
  });

  test('made again after someone put in a neighbour lands on what it was meant for', () => {
    const own = editDocument(lantern, (draft) =>
      putAt(draft, ['fuelCircuits', 'main', 'elements', 'feed', 'name'], 'Long line'),
    );
    const theirs = editDocument(lantern, (draft) => {
      const { elements } = draft.fuelCircuits['main']!;
      elements['before'] = { ...elements['coarse']!, order: 1 };
      delete elements['fine'];
    });
    const both = applyPatch(theirs.document, own.patch);
    const { elements } = both.fuelCircuits['main']!;
    expect(elements['feed']!.name).toBe('Long line');
    expect(Object.values(elements).filter((e) => e.name === 'Long line')).toHaveLength(1);
    expect(elements['before']).toBeDefined();
    expect(elements['fine']).toBeUndefined();
  });
});

describe('putting in and taking out', () => {
  const put = (path: readonly string[], value: unknown) => () =>
    editDocument(lantern, (draft) => putAt(draft, path, value));
  const takeOut = (path: readonly string[]) => () =>
    editDocument(lantern, (draft) => removeAt(draft, path));

  test.each([
    [[]],
    [['nothing']],
    [['brief', 'nothing']],
    [['brief', 'boost', 'value', 'deeper']],
    [['fuelCircuits', 'none', 'elements', 'feed', 'name']],
    [['__proto__', 'x']],
    [['brief', 'constructor']],
  ])('nothing is put at %j', (path) => {
    expect(put(path, 1)).toThrow(BadInput);
  });

  test.each([[['brief', 'boost']], [['placements', 'none']], [['placements']], [['name']]])(
    '%j is no entry that could be taken out',
    (path) => {
      expect(takeOut(path)).toThrow(BadInput);
    },
  );

  test('entries come and go', () => {
    const added = put(['placements', 'new'], place)().document;
    expect(added.placements['new']).toEqual(place);
    const gone = editDocument(added, (draft) => removeAt(draft, ['placements', 'new'])).document;
    expect(hashOf(gone)).toBe(hashOf(lantern));
  });

  test('a kind that is replaced leaves nothing of the old one', () => {
    const path = ['fuels', 'pump-fuel'];
    const methanol = { kind: 'methanol', order: 1000, name: 'Methanol' };
    expect(put(path, methanol)().document.fuels['pump-fuel']).toEqual(methanol);
  });

  test('a patch that does not fit is refused', () => {
    const patch = [{ op: 'replace', path: ['fuels', 'none', 'name'], value: 'x' }] as const;
    expect(() => applyPatch(lantern, patch)).toThrow(BadInput);
  });
});

describe('making a draft equal to a value', () => {
  test('ends at that value, whatever it was', () => {
    const record = fc.dictionary(fc.string({ minLength: 1, maxLength: 4 }), fc.jsonValue());
    fc.assert(
      fc.property(record, record, (from, to) => {
        fc.pre(!JSON.stringify([from, to]).includes('__proto__'));
        const draft = structuredClone(from);
        mergeInto(draft, to);
        expect(draft).toEqual(to);
      }),
    );
  });

  test('touches only what differs', () => {
    const next: BuildDocument = { ...lantern, name: 'Lamp' };
    const { patch } = editDocument(lantern, (draft) => mergeInto(draft, structuredClone(next)));
    expect(patch).toEqual([{ op: 'replace', path: ['name'], value: 'Lamp' }]);
  });
});
