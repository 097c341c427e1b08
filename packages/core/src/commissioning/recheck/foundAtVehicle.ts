import type { MadeWire, MakingSheet } from '../making/makingSheet.ts';
import type { RecordEntry } from '../record/recordEntry.ts';
import { buzzedWires } from './buzzOut.ts';
import { whatWasRead } from './secondReading.ts';

/** What was found at the vehicle and is not as planned: from the record, not from the design. */
export interface FoundAtVehicle {
  /** what was tried and on which wire: stays the same while it stands */
  readonly id: string;
  /** by what it was found, which is also how it is tried again */
  readonly foundBy: 'read' | 'buzz';
  readonly severity: 'stop';
  readonly title: string;
  readonly because: string;
}

const named = ({ number, name }: Pick<MadeWire, 'number' | 'name'>): string =>
  `Wire ${number}, ${name}`;

/** Every wire that was read or buzzed out and is not where the plan has it, by its number. */
export function foundAtVehicle(
  sheet: MakingSheet,
  entries: readonly RecordEntry[],
): readonly FoundAtVehicle[] {
  const swapped = whatWasRead(sheet, entries).disagreements.map((each) => ({
    number: each.number,
    found: {
      id: `read:${each.wireId}`,
      foundBy: 'read',
      severity: 'stop',
      title: `${named(each)} is not where it belongs`,
      because:
        `from ${each.from} it should go to ${each.planned}, and was found ${each.found}` +
        (each.instead === undefined ? '' : `, where wire ${each.instead} belongs`),
    } satisfies FoundAtVehicle,
  }));
  const broken = buzzedWires(sheet.wires, entries).broken.map(({ wire }) => ({
    number: wire.number,
    found: {
      id: `buzz:${wire.id}`,
      foundBy: 'buzz',
      severity: 'stop',
      title: `${named(wire)} does not beep from end to end`,
      because: 'it is broken, or not where the plan has its ends',
    } satisfies FoundAtVehicle,
  }));
  return [...swapped, ...broken].sort((a, b) => a.number - b.number).map(({ found }) => found);
}
