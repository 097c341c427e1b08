import { describe, test } from 'vitest';
import { asCut } from '../../tests/asCut.ts';
import { changed, cool, withPart } from '../../tests/trippedBuilds.ts';
import { type Turn, expectTurn } from '../../tests/turningPoint.ts';

const mm = (value: number) => ({ value: value / 1e3, unit: 'mm' });
const asMade = (of: 'feed' | 'return', made: object) =>
  changed(...cool, [`assemblies.${of}.asMade`, made]);

const turns: Record<string, Turn> = {
  'an end stands what its circuit reaches': {
    finding: 'joint.rating:feed/from',
    build: () => changed(...cool),
    catalogue: (pascal) => withPart('E6-0', { pressureRating: pascal }),
    between: [1e6, 2e5],
    says: ['nothing', 'stop'],
    at: 'limit',
  },
  'a hose is not made up shorter than four of its outsides': {
    finding: 'hose.too-short:pump-outlet',
    build: (x) => changed(...cool, ['placements.fine-filter.x', mm(x)]),
    between: [900, 790],
    says: ['nothing', 'warn'],
    // Four outsides are 62.8 mm; hose is cut in steps of 5.
    at: 0.06,
  },
  'slack makes up for what a hose shortens by under pressure': {
    finding: 'hose.shortens:feed',
    build: (share) => changed(...cool, ['assemblies.feed.slack', { value: share, unit: '%' }]),
    between: [0.02, 0],
    says: ['nothing', 'warn'],
    at: 'limit',
  },
  'a hose that was cut reaches to where it ends now': {
    finding: 'hose.reach:feed',
    build: (cut) => asMade('feed', asCut('feed', cut)),
    between: [3370, 3200],
    says: ['nothing', 'stop'],
    // Half a millimetre is not told.
    at: 0.0005,
  },
  'and hangs when it is 30 mm, or 5 %, longer than it would be cut': {
    finding: 'hose.hangs:feed',
    build: (cut) => asMade('feed', asCut('feed', cut)),
    between: [3400, 3700],
    says: ['nothing', 'warn'],
    at: 'limit',
  },
  'its ends may be turned 15° against one another': {
    finding: 'hose.twisted:return',
    build: (degrees) => asMade('return', asCut('return', 4195, degrees)),
    between: [264, 200],
    says: ['nothing', 'warn'],
    at: (15 * Math.PI) / 180,
  },
};

describe('of lines as they are made a check changes its mind where its limit is:', () => {
  test.each(Object.entries(turns))('%s', (_words, turn) => expectTurn(turn));
});
