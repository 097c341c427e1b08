import { TAKEN_BACK, formatMeasure } from '@brookrain/core';
import { useState } from 'react';
import { useOpenRecord } from '../../record/RecordContext.tsx';
import { useUnits } from '../../ui/preferences.ts';
import { Big, Buttons, EndWork, WireMarks } from './AtParts.tsx';
import { useMaking } from './useMaking.ts';
import { wiresToCut, workDone } from './workDone.ts';

/** The next wire to cut: its length in figures that are read from afar, what is done at its ends. */
export function CutPage() {
  const { entries, say } = useOpenRecord();
  const { answer: sheet } = useMaking();
  const [units] = useUnits();
  const [skipped, setSkipped] = useState<readonly string[]>([]);
  if (!sheet) return <p className="p-4 text-second">Opening</p>;
  const done = workDone(entries);
  const left = wiresToCut(sheet, done);
  const ahead = left.filter(({ id }) => !skipped.includes(id));
  const wire = ahead[0] ?? left[0];
  const last = [...done.cut.values()].at(-1);
  const before = last && sheet.wires.find(({ id }) => id === last.subject);
  return (
    <main className="flex min-h-full flex-col">
      <div className="flex-1 px-4 pt-3 pb-4">
        <h1 className="text-[18px] leading-[24px] font-medium text-second">
          {wire ? `Next wire, ${left.length} to go` : 'Next wire'}
        </h1>
        {!wire && <p className="mt-3 text-[22px] leading-[28px]">Every wire is cut.</p>}
        {wire && (
          <>
            <WireMarks wire={wire} />
            <p className="mt-1 text-[16px] leading-[22px]">{wire.name}</p>
            <p className="my-2 text-[54px] leading-[60px] font-semibold" aria-label="Cut to">
              {formatMeasure({ value: wire.length, kind: 'length' }, units)}
            </p>
            <p className="mb-2 text-[16px] text-second">Mark both ends with {wire.number}.</p>
            <EndWork end={wire.ends[0]} title="One end" />
            <EndWork end={wire.ends[1]} title="The other" />
          </>
        )}
        {last && before && (
          <p className="mt-3 text-[16px]">
            Wire {before.number} was cut.{' '}
            <button
              type="button"
              className="act h-12 px-4 text-[16px]"
              onClick={() =>
                say({ kind: 'cut', subject: last.subject, said: TAKEN_BACK, corrects: last.id })
              }
            >
              It was not
            </button>
          </p>
        )}
      </div>
      {wire && (
        <Buttons>
          <Big
            disabled={left.length < 2}
            onClick={() => setSkipped(ahead.length > 1 ? [...skipped, wire.id] : [])}
          >
            Later
          </Big>
          <Big
            main
            onClick={() =>
              say({
                kind: 'cut',
                subject: wire.id,
                said: { length: wire.length, number: wire.number },
              })
            }
          >
            It is cut
          </Big>
        </Buttons>
      )}
    </main>
  );
}
