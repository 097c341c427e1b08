import { applyCommand, kittiwake, lantern, mapSlices, specAt, documentSpec } from '@brookrain/core';
import { describe, expect, test } from 'vitest';
import { addPoint } from './addPoint.ts';
import { handlesOf, movesTo } from './handles.ts';
import { outlineChange } from './outlineChange.ts';
import { type Selection, readSelection, sameSelection, selectionText } from './selection.ts';

const things = mapSlices.flatMap((slice) =>
  Object.keys(lantern[slice]).map((id): Selection => ({ kind: 'thing', slice, id })),
);

describe('what is looked at', () => {
  test.each([...things, { kind: 'vehicle' }, { kind: 'line', id: 'feed' }] as const)(
    'stands in the address and is read again: %j',
    (selection) => {
      expect(sameSelection(readSelection(selectionText(selection)), selection)).toBe(true);
    },
  );
});

describe('every place of a thing', () => {
  test.each(things)('of %j can be moved, as one edit of what moved, and back', (selection) => {
    const corrected = applyCommand(lantern, outlineChange(lantern)).document;
    const handles = handlesOf(corrected, selection);
    if (selection.kind === 'thing' && selection.slice !== 'otherLines') {
      expect(handles.length).toBeGreaterThan(0);
    }
    for (const handle of handles) {
      const [x, y, z] = handle.at;
      const changes = movesTo(corrected, handle, [x, y, z + 0.005]);
      expect(changes).toHaveLength(1);
      for (const { path } of changes) {
        expect(specAt(documentSpec, path, corrected)?.type).toBe('quantity');
      }
      const moved = applyCommand(corrected, { name: 'set-several', label: 'Move', changes });
      const again = handlesOf(moved.document, selection).find(
        (other) => other.path.join() === handle.path.join(),
      )!;
      expect(again.at).toEqual([x, y, z + 0.005]);
      expect(movesTo(corrected, handle, handle.at)).toEqual([]);
    }
  });

  test('of an outline that was corrected are its points, which have no side', () => {
    const corrected = applyCommand(lantern, outlineChange(lantern)).document;
    const [first] = handlesOf(corrected, { kind: 'vehicle' });
    const changes = movesTo(corrected, first!, [1, 0.5, 2]);
    expect(changes.map(({ path }) => path.at(-1))).toEqual(['x', 'z']);
  });
});

describe('a further corner', () => {
  const selection = { kind: 'line', id: 'feed' } as const;
  const list = { path: ['routes', 'feed', 'points'], least: 0, radius: 0.1 };

  test.each([0, 1, 2])('goes half way between %i and the one after it', (index) => {
    const handles = handlesOf(lantern, selection);
    const { path, value } = addPoint(lantern, list, handles, index);
    const { document } = applyCommand(lantern, { name: 'set', path, value });
    const after = handlesOf(document, selection);
    expect(after).toHaveLength(handles.length + 1);
    const [a, b] = [handles[index]!.at, handles[index + 1]!.at];
    after[index + 1]!.at.forEach((at, k) => expect(at).toBeCloseTo((a[k]! + b[k]!) / 2, 3));
  });

  test('of a way without corners goes half way between its ends', () => {
    const bare = { kind: 'line', id: 'suction' } as const;
    const ends = [
      [0, 0, 0],
      [1, 2, 0.5],
    ] as const;
    const { value } = addPoint(
      kittiwake,
      { ...list, path: ['routes', 'suction', 'points'], ends },
      handlesOf(kittiwake, bare),
      -1,
    );
    expect(value).toMatchObject({ x: { value: 0.5 }, y: { value: 1 }, z: { value: 0.25 } });
  });
});
