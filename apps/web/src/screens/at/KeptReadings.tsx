import {
  type Quantity,
  type RecordSaid,
  type UnitKind,
  echoQuantity,
  formatMeasure,
  pathText,
} from '@brookrain/core';
import type { ReactNode } from 'react';
import { BuildContext, useBuild } from '../../build/BuildContext.ts';
import { useOpenRecord } from '../../record/RecordContext.tsx';
import { useUnits } from '../../ui/preferences.ts';
import { shownTime } from '../../ui/shownTime.ts';

/** Where a reading stands in the build, and what it is called there. */
export interface ReadingPlace {
  readonly path: readonly string[];
  readonly name: string;
}

/** What is typed in here goes into the build, and into the record as a reading of its own. */
export function KeptReadings({ children }: { children: ReactNode }) {
  const build = useBuild();
  const { say } = useOpenRecord();
  const edit: typeof build.edit = (command) => {
    const outcome = build.edit(command);
    if (outcome.ok && command.name === 'set') {
      const typed = command.value as Quantity | null;
      const said: RecordSaid = typed ? { value: typed.value, unit: typed.unit } : { value: null };
      say({ kind: 'measured', subject: pathText(command.path), said });
    }
    return outcome;
  };
  return <BuildContext value={{ ...build, edit }}>{children}</BuildContext>;
}

/** Every reading of some places, the newest first: what was measured once stays told. */
export function Readings({ of, kind }: { of: readonly ReadingPlace[]; kind: UnitKind }) {
  const { entries } = useOpenRecord();
  const [units] = useUnits();
  const { numbers } = units;
  const names = new Map(of.map(({ path, name }) => [pathText(path), name]));
  const own = entries.filter((entry) => entry.kind === 'measured' && names.has(entry.subject));
  if (own.length === 0) return null;
  const told = ({ value, unit }: RecordSaid): string => {
    if (typeof value !== 'number') return 'removed';
    // Told as it was read off the tape or the meter.
    return typeof unit === 'string'
      ? echoQuantity({ value, unit }, kind, numbers)
      : formatMeasure({ value, kind }, units);
  };
  return (
    <section className="mt-5" aria-label="Readings">
      <h2 className="text-[18px]">Readings</h2>
      <ul className="mt-1 border-t-[0.75px] border-hair">
        {own.toReversed().map(({ id, subject, said, time, author }) => (
          <li key={id} className="flex flex-wrap justify-between gap-x-4 py-2 text-[17px]">
            <span>
              {names.get(subject)}: {told(said)}
            </span>
            <span className="text-second">
              {shownTime(time)}
              {author !== '' && `, ${author}`}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
