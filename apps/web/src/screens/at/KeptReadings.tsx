import { type UnitKind, formatMeasure, pathText } from '@brookrain/core';
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
      const { value } = (command.value ?? { value: null }) as { value: number | null };
      say({ kind: 'measured', subject: pathText(command.path), said: { value } });
    }
    return outcome;
  };
  return <BuildContext value={{ ...build, edit }}>{children}</BuildContext>;
}

/** Every reading of some places, the newest first: what was measured once stays told. */
export function Readings({ of, kind }: { of: readonly ReadingPlace[]; kind: UnitKind }) {
  const { entries } = useOpenRecord();
  const [units] = useUnits();
  const names = new Map(of.map(({ path, name }) => [pathText(path), name]));
  const own = entries.filter((entry) => entry.kind === 'measured' && names.has(entry.subject));
  if (own.length === 0) return null;
  const told = (value: unknown): string =>
    typeof value === 'number' ? formatMeasure({ value, kind }, units) : 'taken out';
  return (
    <section className="mt-5" aria-label="Readings">
      <h2 className="text-[18px]">Readings</h2>
      <ul className="mt-1 border-t-[0.75px] border-hair">
        {own.toReversed().map(({ id, subject, said, time, author }) => (
          <li key={id} className="flex flex-wrap justify-between gap-x-4 py-2 text-[17px]">
            <span>
              {names.get(subject)}: {told(said['value'])}
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
