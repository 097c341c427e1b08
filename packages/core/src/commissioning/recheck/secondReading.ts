import { seededUniform } from '../../numerics/index.ts';
import type { MadeWire, MakingSheet } from '../making/makingSheet.ts';
import { type RecordEntry, standingEntries } from '../record/recordEntry.ts';

/** A wire that is read at the vehicle: from the end that is told to the one that is looked for. */
export interface ReadWire {
  readonly wire: MadeWire;
  readonly from: MadeWire['ends'][number];
  readonly to: MadeWire['ends'][number];
}

/** What was found at the vehicle and is not what was planned. */
export interface ReadDisagreement {
  readonly wireId: string;
  readonly number: number;
  readonly name: string;
  /** where it was read from, where it should lead to, and how it was found: “at …” */
  readonly from: string;
  readonly planned: string;
  readonly found: string;
  /** the wire that should be where this one was found */
  readonly instead: number | undefined;
  readonly entryId: string;
}

/** What the wires that were read so far came to. */
export interface WhatWasRead {
  readonly agreed: number;
  /** by the number of the wire */
  readonly disagreements: readonly ReadDisagreement[];
}

/** How far a second reading has come. */
export interface SecondReading extends WhatWasRead {
  /** wires between two cavities, shuffled: what is next does not say where it leads */
  readonly order: readonly ReadWire[];
  /** those of them that were not read yet */
  readonly open: readonly ReadWire[];
}

const inPlug = ({ work }: MadeWire['ends'][number]): boolean => work === 'crimp a contact';
const endText = ({ name, pin }: { readonly name: string; readonly pin: string }): string =>
  pin === '' ? name : `${name}, ${pin}`;

/**
 * The wires of a harness in an order that has nothing to do with the plan, and what was said of them
 * so far. The same seed gives the same order.
 */
export function secondReading(
  sheet: MakingSheet,
  entries: readonly RecordEntry[],
  seed: number,
): SecondReading {
  const random = seededUniform(seed);
  const order = readable(sheet)
    .map((wire) => ({ wire, key: random(), turned: random() < 0.5 }))
    .sort((a, b) => a.key - b.key)
    .map(({ wire, turned }): ReadWire => {
      const [a, b] = wire.ends;
      return turned ? { wire, from: b, to: a } : { wire, from: a, to: b };
    });
  const read = readEntries(entries);
  const open = order.filter(({ wire }) => !read.has(wire.id));
  return { order, open, ...whatWasRead(sheet, entries) };
}

/** Wires between two cavities: of others nobody can be asked where they lead. */
const readable = ({ wires }: MakingSheet): MadeWire[] =>
  wires.filter(({ ends }) => ends.every(inPlug));

/** What stands of the reading of each wire. */
const readEntries = (entries: readonly RecordEntry[]) =>
  new Map(
    standingEntries(entries).flatMap((entry) =>
      entry.kind === 'read' ? [[entry.subject, entry] as const] : [],
    ),
  );

/** Which wires were read where the plan has them, and which were not. */
export function whatWasRead(sheet: MakingSheet, entries: readonly RecordEntry[]): WhatWasRead {
  const cavities = new Map(
    sheet.plugs.flatMap(({ name, cavities: own }) =>
      own.map((cavity) => [cavity.node, { name, ...cavity }] as const),
    ),
  );
  const read = readEntries(entries);
  let agreed = 0;
  const disagreements: ReadDisagreement[] = [];
  for (const wire of readable(sheet)) {
    const entry = read.get(wire.id);
    if (!entry) continue;
    const [from, found] = [entry.said['from'], entry.said['to']];
    const start = wire.ends.find(({ node }) => node === from);
    const planned = wire.ends.find(({ node }) => node !== from);
    if (start && planned && planned.node === found) {
      agreed += 1;
      continue;
    }
    const there = typeof found === 'string' ? cavities.get(found) : undefined;
    disagreements.push({
      wireId: wire.id,
      number: wire.number,
      name: wire.name,
      from: start ? endText(start) : '',
      planned: planned ? endText(planned) : '',
      found: there ? `at ${endText(there)}` : 'to go nowhere',
      instead: there?.wire === wire.number ? undefined : there?.wire,
      entryId: entry.id,
    });
  }
  return { agreed, disagreements: disagreements.sort((a, b) => a.number - b.number) };
}
