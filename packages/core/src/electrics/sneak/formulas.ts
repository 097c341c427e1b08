import { defineFormula } from '../../results/index.ts';

const count = (name: string, notation: string, source: string) =>
  defineFormula({
    name,
    notation,
    kind: 'count',
    inputKinds: { found: 'count' },
    source,
    compute: (i) => i.found,
  });

export const sneakCount = count(
  'sneak paths',
  'n = loads alive while off, once for the whole circuit and once for each part broken',
  'every region off, every key position, every fuse out and every ground open',
);

export const sneakSituations = count(
  'situations looked at',
  'n = Σ regions that can be off · key positions · (1 + fuses + grounds)',
  'each stands for every position of the other switches: more closed contacts make more ways',
);

export const runningOn = count(
  'failures that leave a pump running',
  'n = contacts and outputs that keep a pump on if they stay closed',
  'key off, engine standing, one contact at a time',
);

export const sneakFormulas = [sneakCount, sneakSituations, runningOn];
