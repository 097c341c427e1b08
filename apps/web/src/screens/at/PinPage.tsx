import { type FaceSide, TAKEN_BACK } from '@brookrain/core';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { useOpenRecord } from '../../record/RecordContext.tsx';
import { CavityFace } from '../harness/CavityFace.tsx';
import { Big, Buttons, EndWork, Row, WireMarks } from './AtParts.tsx';
import { useMaking } from './useMaking.ts';
import { cavitiesToPin, pinnedIn, workDone } from './workDone.ts';

/** The plugs of the harness; then one of them, its cavities lit one by one. */
export function PinPage() {
  const { entries, say } = useOpenRecord();
  const { answer: sheet } = useMaking();
  const [query] = useSearchParams();
  const [side, setSide] = useState<FaceSide>('wire');
  if (!sheet) return <p className="p-4 text-second">Opening</p>;
  const done = workDone(entries);
  const plug = sheet.plugs.find(({ id }) => id === query.get('plug'));
  if (!plug) {
    const plugs = sheet.plugs.filter(({ cavities }) => cavities.some((c) => c.wire !== undefined));
    return (
      <main>
        <h1 className="px-4 pt-3 text-[24px] leading-[30px]">Which connector</h1>
        <ul className="mt-2 border-t-[0.75px] border-hair">
          {plugs.map((each) => {
            const left = cavitiesToPin(each, done).length;
            return (
              <Row
                key={each.id}
                to={`?plug=${encodeURIComponent(each.id)}`}
                name={each.name}
                state={left === 0 ? 'done' : `${left} to go`}
              />
            );
          })}
        </ul>
      </main>
    );
  }
  const left = cavitiesToPin(plug, done);
  const next = left[0];
  const byNumber = new Map(sheet.wires.map((wire) => [wire.number, wire]));
  const wire = next && byNumber.get(next.wire);
  const end = wire?.ends.find(({ node }) => node === next?.node);
  const own = pinnedIn(plug, done);
  const sitting = new Set(own.map(({ subject }) => subject));
  const last = own.at(-1);
  return (
    <main className="flex min-h-full flex-col">
      <div className="flex-1 px-4 pt-3 pb-4">
        <h1 className="text-[20px] leading-[26px] font-medium">{plug.name}</h1>
        <div className="[&_button]:min-h-12">
          <CavityFace
            plug={{
              name: plug.name,
              family: plug.family,
              cavities: plug.cavities.map(({ pin, wire: number }) => ({
                pin,
                wire: number ?? null,
              })),
            }}
            side={side}
            colourOf={(number) => byNumber.get(number)?.colour ?? ''}
            turn={setSide}
            lit={next?.pin}
            done={new Set(plug.cavities.flatMap((c) => (sitting.has(c.node) ? [c.pin] : [])))}
          />
        </div>
        {next && wire && end ? (
          <div className="mt-2">
            <p className="text-[16px] text-second">
              Cavity {next.pin}, {left.length} to go
            </p>
            <WireMarks wire={wire} />
            <p className="mt-1 text-[16px] leading-[22px]">{wire.name}</p>
            <EndWork end={end} title="Crimp" />
          </div>
        ) : (
          <p className="mt-3 text-[22px] leading-[28px]">
            Every contact is seated. Plug the empty cavities, close the lock.
          </p>
        )}
        {last && (
          <button
            type="button"
            className="act mt-2 h-12 px-4 text-[16px]"
            onClick={() =>
              say({ kind: 'pinned', subject: last.subject, said: TAKEN_BACK, corrects: last.id })
            }
          >
            The last one does not sit
          </button>
        )}
      </div>
      {next && wire && (
        <Buttons>
          <Big
            main
            onClick={() =>
              say({
                kind: 'pinned',
                subject: next.node,
                said: { wire: wire.id, number: wire.number },
              })
            }
          >
            It sits: pulled, it holds
          </Big>
        </Buttons>
      )}
    </main>
  );
}
