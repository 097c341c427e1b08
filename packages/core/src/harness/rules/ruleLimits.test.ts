import { describe, test } from 'vitest';
import { sandpiper } from '../../exchange/index.ts';
import { type BuildDocument, withValueAt } from '../../model/index.ts';
import type { Change } from '../../tests/trippedBuilds.ts';
import { type Turn, expectTurn } from '../../tests/turningPoint.ts';

const mm = (value: number) => ({ value: value / 1e3, unit: 'mm' });
const changed = (...changes: readonly Change[]): BuildDocument =>
  changes.reduce((document, [path, value]) => withValueAt(document, path, value), sandpiper);
const leg = 'harness.bought.stator-loom.legs.fuse.length';
const turns: Record<string, Turn> = {
  'a harness is within the mass that was allowed': {
    finding: 'harness.mass',
    build: (kilograms) => changed(['harness.massBudget', { value: kilograms, unit: 'kg' }]),
    between: [9, 0.5],
    says: ['nothing', 'warn'],
    at: 'limit',
  },
  'a leg of a bought loom reaches, with 60 mm to be joined over': {
    finding: 'leg.short:stator-loom/fuse',
    build: (length) => changed([leg, mm(length)]),
    between: [900, 700],
    says: ['nothing', 'warn'],
    at: 'limit',
  },
  'and has no more left over than folds away': {
    finding: 'leg.long:stator-loom/fuse',
    build: (length) => changed([leg, mm(length)]),
    between: [900, 1400],
    says: ['nothing', 'note'],
    at: 0.15,
  },
  'a segment bends no tighter than its bundle may': {
    finding: 'segment.bend:right-rail',
    build: (radius) => changed(['harness.segments.right-rail.points.c1.radius', mm(radius)]),
    between: [90, 20],
    says: ['nothing', 'warn'],
    at: 'limit',
  },
  'a bundle keeps 12 mm clear of an edge': {
    finding: 'segment.edge:tail',
    build: (y) =>
      changed(
        ['edges.tank-strap.from', { x: mm(100), y: mm(y), z: mm(800) }],
        ['edges.tank-strap.to', { x: mm(100), y: mm(y), z: mm(850) }],
      ),
    between: [-300, -236],
    says: ['nothing', 'warn'],
    at: 0.012,
  },
  'a wire that is cut reaches to its ends as they are now': {
    finding: 'harness.cut-short',
    build: (length) => changed(['harness.cut.air~1.length', mm(length)]),
    between: [670, 600],
    says: ['nothing', 'warn'],
    // A micrometre is rounding.
    at: 1e-6,
  },
};

describe('of a harness a check changes its mind where its limit is:', () => {
  test.each(Object.entries(turns))('%s', (_words, turn) => expectTurn(turn));
});
