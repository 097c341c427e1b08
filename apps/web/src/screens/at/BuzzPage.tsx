import { type MakingSheet, TAKEN_BACK } from '@brookrain/core';
import { useState } from 'react';
import { useOpenRecord } from '../../record/RecordContext.tsx';
import { Big, Buttons, Troubles, WireMarks } from './AtParts.tsx';
import { useBuzzOut } from './useBuzzOut.ts';
import { useMaking } from './useMaking.ts';

/** Continuity from end to end, in the order in which a probe is taken elsewhere least. */
export function BuzzPage() {
  const { answer: sheet } = useMaking();
  return sheet ? <Buzz sheet={sheet} /> : <p className="p-4 text-second">Opening</p>;
}

function Probe({ name, pin, title }: { name: string; pin: string; title: string }) {
  return (
    <div className="border-t-[0.75px] border-hair py-2">
      <p className="text-[15px] text-second">{title}</p>
      <p className="text-[30px] leading-[36px] font-semibold">{pin}</p>
      <p className="text-[19px] leading-[25px]">{name}</p>
    </div>
  );
}

function Buzz({ sheet }: { sheet: MakingSheet }) {
  const { entries, say } = useOpenRecord();
  const [skipped, setSkipped] = useState<readonly string[]>([]);
  const buzz = useBuzzOut(sheet, entries);
  const wire = buzz.open.find(({ id }) => !skipped.includes(id)) ?? buzz.open[0];
  const stop = wire && buzz.stops.find(({ wires }) => wires.includes(wire));
  const placeOf = new Map(
    sheet.plugs.flatMap((plug) =>
      plug.cavities.map(({ node }) => [node, plug.placementId] as const),
    ),
  );
  // The probe that stays comes first.
  const [stays, goes] =
    wire && placeOf.get(wire.ends[0].node) === stop?.at
      ? wire.ends
      : wire
        ? [wire.ends[1], wire.ends[0]]
        : [];
  const total = buzz.open.length + buzz.good + buzz.broken.length;
  const told = (beeps: boolean) => (): void => {
    if (wire) say({ kind: 'buzzed', subject: wire.id, said: { beeps, number: wire.number } });
  };
  return (
    <main className="flex min-h-full flex-col">
      <div className="flex-1 px-4 pt-3 pb-4">
        <h1 className="text-[18px] leading-[24px] font-medium text-second">
          Buzz out, {total - buzz.open.length} of {total}; {buzz.walks} walks in all
          {buzz.walks === buzz.least && ', the fewest there are'}
        </h1>
        <p className="mt-1 text-[16px]">Battery disconnected, both connectors unplugged.</p>
        {wire && stays && goes ? (
          <>
            <WireMarks wire={wire} />
            <p className="mt-1 mb-2 text-[16px] leading-[22px]">{wire.name}</p>
            <Probe name={stays.name} pin={stays.pin} title="One probe at" />
            <Probe name={goes.name} pin={goes.pin} title="The other at" />
          </>
        ) : (
          <p className="mt-3 text-[22px] leading-[28px]">
            {buzz.broken.length === 0
              ? 'Every wire beeps.'
              : `All were tried; ${buzz.broken.length} ${buzz.broken.length === 1 ? 'does' : 'do'} not beep.`}
          </p>
        )}
        <Troubles
          title="Do not beep"
          mended="Try it again"
          troubles={buzz.broken.map(({ wire: each, entryId }) => ({
            id: each.id,
            words: `Wire ${each.number}, ${each.name}`,
            again: () =>
              say({ kind: 'buzzed', subject: each.id, said: TAKEN_BACK, corrects: entryId }),
          }))}
        />
      </div>
      {wire && (
        <Buttons>
          <Big disabled={buzz.open.length < 2} onClick={() => setSkipped([...skipped, wire.id])}>
            Later
          </Big>
          <Big onClick={told(false)}>No beep</Big>
          <Big main onClick={told(true)}>
            It beeps
          </Big>
        </Buttons>
      )}
    </main>
  );
}
