import { TAKEN_BACK, secondReading, standingEntries } from '@brookrain/core';
import { useState } from 'react';
import { useOpenRecord } from '../../record/RecordContext.tsx';
import { Select } from '../../ui/Select.tsx';
import { WireSwatch } from '../harness/WireSwatch.tsx';
import { Big, Buttons, Troubles } from './AtParts.tsx';
import { useMaking } from './useMaking.ts';

/** The order is shuffled once: a reading that is interrupted goes on where it was. */
export const READING_SEED = 20;

/** Chosen in place of a plug: the wire leads to none. Plugs are chosen by their id behind a mark. */
const NOWHERE = 'none';
const choiceOf = (plugId: string): string => `plug ${plugId}`;

/**
 * Wire by wire in shuffled order: where its other end is, read at the vehicle without the plan. Only
 * then it is said whether that is as planned.
 */
export function ReadingPage() {
  const { entries, say } = useOpenRecord();
  const { answer: sheet } = useMaking();
  const [chosen, setChosen] = useState('');
  const [node, setNode] = useState('');
  const [skipped, setSkipped] = useState<readonly string[]>([]);
  if (!sheet) return <p className="p-4 text-second">Opening</p>;
  const reading = secondReading(sheet, entries, READING_SEED);
  const wrong = new Set(reading.disagreements.map(({ wireId }) => wireId));
  const standing = reading.agreed + reading.disagreements.length;
  const left = reading.open;
  const next = left.find(({ wire }) => !skipped.includes(wire.id)) ?? left[0];
  const plug = sheet.plugs.find(({ id }) => choiceOf(id) === chosen);
  const last = standingEntries(entries).findLast(({ kind }) => kind === 'read');
  const lastWire = last && reading.order.find(({ wire }) => wire.id === last.subject)?.wire;
  const found = reading.disagreements.find(({ entryId }) => entryId === last?.id);
  const clear = (): void => {
    setChosen('');
    setNode('');
  };
  return (
    <main className="flex min-h-full flex-col">
      <div className="flex-1 px-4 pt-3 pb-4">
        <h1 className="text-[18px] leading-[24px] font-medium text-second">
          Second reading, {standing} of {reading.order.length}
        </h1>
        {last && lastWire && (
          <p
            role="status"
            className={`mt-2 border-l-4 pl-3 text-[17px] leading-[24px] ${found ? 'border-signal text-signal' : 'border-moss'}`}
          >
            {found
              ? `Wire ${found.number} is not as planned: from ${found.from} it should go to ${found.planned}, and was found ${found.found}${found.instead === undefined ? '' : `, where wire ${found.instead} belongs`}.`
              : `Wire ${lastWire.number} is as planned.`}
          </p>
        )}
        {next ? (
          <>
            <p className="mt-4 text-[16px] text-second">Look for the wire at</p>
            <p className="text-[26px] leading-[32px] font-semibold">
              {next.from.name}, {next.from.pin}
            </p>
            <p className="mt-1 text-[19px]">
              {next.wire.size} <WireSwatch colour={next.wire.colour} />
            </p>
            <p className="mt-4 mb-1 text-[16px] text-second">Its other end is in</p>
            <div className="space-y-3 [&_button]:min-h-12 [&_button]:text-[17px]">
              <Select
                name="Connector at the other end"
                value={chosen}
                choices={[
                  { value: '', label: 'which plug' },
                  ...sheet.plugs.map(({ id, name }) => ({ value: choiceOf(id), label: name })),
                  { value: NOWHERE, label: 'nowhere: no connection' },
                ]}
                onChoose={(choice) => {
                  setChosen(choice);
                  setNode('');
                }}
              />
              {plug && (
                <Select
                  name="Cavity at the other end"
                  value={node}
                  choices={[
                    { value: '', label: 'which cavity' },
                    ...plug.cavities.map((cavity) => ({ value: cavity.node, label: cavity.pin })),
                  ]}
                  onChoose={setNode}
                />
              )}
            </div>
          </>
        ) : (
          <p className="mt-3 text-[22px] leading-[28px]">
            {wrong.size === 0
              ? 'Every wire was read, and is as planned.'
              : `Every wire was read; ${wrong.size} ${wrong.size === 1 ? 'is' : 'are'} not as planned.`}
          </p>
        )}
        <Troubles
          title="Not as planned"
          mended="Mended: read it again"
          troubles={reading.disagreements.map((each) => ({
            id: each.wireId,
            words: `Wire ${each.number}: from ${each.from} to ${each.planned}, found ${each.found}.`,
            again: () =>
              say({
                kind: 'read',
                subject: each.wireId,
                said: TAKEN_BACK,
                corrects: each.entryId,
              }),
          }))}
        />
      </div>
      {next && (
        <Buttons>
          <Big
            disabled={left.length < 2}
            onClick={() => {
              clear();
              setSkipped([...skipped, next.wire.id]);
            }}
          >
            Later
          </Big>
          <Big
            main
            disabled={chosen !== NOWHERE && node === ''}
            onClick={() => {
              say({
                kind: 'read',
                subject: next.wire.id,
                said: { from: next.from.node, to: chosen === NOWHERE ? null : node },
              });
              clear();
            }}
          >
            Keep it
          </Big>
        </Buttons>
      )}
    </main>
  );
}
