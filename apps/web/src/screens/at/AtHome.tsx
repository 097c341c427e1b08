import { type MakingSheet, secondReading } from '@brookrain/core';
import { ChevronRight } from 'lucide-react';
import { Link } from 'react-router';
import { useBuild } from '../../build/BuildContext.ts';
import { useOpenRecord } from '../../record/RecordContext.tsx';
import { READING_SEED } from './ReadingPage.tsx';
import { useBuzzOut } from './useBuzzOut.ts';
import { useMaking } from './useMaking.ts';
import { cavitiesToPin, wiresToCut, workDone } from './workDone.ts';

function Way({ to, name, state }: { to: string; name: string; state: string }) {
  return (
    <li className="border-b-[0.75px] border-hair">
      <Link to={to} className="flex min-h-16 items-center gap-3 px-4 py-2">
        <span className="flex-1">
          <span className="block text-[20px] leading-[26px] font-medium">{name}</span>
          <span className="block text-[16px] text-second">{state}</span>
        </span>
        <ChevronRight size={24} aria-hidden />
      </Link>
    </li>
  );
}

/** What is done at the vehicle, and how far each has come. */
export function AtHome() {
  const { answer: sheet } = useMaking();
  return sheet ? <Ways sheet={sheet} /> : <p className="p-4 text-second">Opening</p>;
}

function Ways({ sheet }: { sheet: MakingSheet }) {
  const { id, document: build, evaluation } = useBuild();
  const { entries } = useOpenRecord();
  const buzz = useBuzzOut(sheet, entries);
  const done = workDone(entries);
  const made = sheet.wires.filter(({ isBought }) => !isBought).length;
  const left = wiresToCut(sheet, done).length;
  const plugs = sheet.plugs.filter((plug) => plug.cavities.some(({ wire }) => wire !== undefined));
  const open = plugs.filter((plug) => cavitiesToPin(plug, done).length > 0).length;
  const reading = secondReading(sheet, entries, READING_SEED);
  const read = reading.agreed + reading.disagreements.length;
  return (
    <main>
      <h1 className="px-4 pt-3 text-[24px] leading-[30px]">At the vehicle</h1>
      <ul className="mt-2 border-t-[0.75px] border-hair">
        <Way to="cut" name="Next wire to cut" state={`${made - left} of ${made} wires are cut`} />
        <Way
          to="pin"
          name="Pin the connectors"
          state={`${plugs.length - open} of ${plugs.length} connectors are done`}
        />
        <Way
          to="buzz"
          name="Buzz out"
          state={
            buzz.broken.length > 0
              ? `${buzz.good} beep, ${buzz.broken.length} ${buzz.broken.length === 1 ? 'does' : 'do'} not`
              : `${buzz.good} of ${buzz.good + buzz.open.length} wires beep`
          }
        />
        <Way
          to="read"
          name="Second reading"
          state={
            reading.disagreements.length > 0
              ? `${read} of ${reading.order.length} read, ${reading.disagreements.length} not as planned`
              : `${read} of ${reading.order.length} wires read`
          }
        />
        <Way
          to="measure"
          name="Measure"
          state={`${build.vehicleSignals.length} vehicle wires, ${build.harness.segments.length} lengths`}
        />
        <Way
          to={`/builds/${id}/cards`}
          name="Work cards of hoses"
          state={`${evaluation.made.length} lines`}
        />
      </ul>
    </main>
  );
}
