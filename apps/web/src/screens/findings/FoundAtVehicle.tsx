import { type MakingSheet, type RecordEntry, secondReading } from '@brookrain/core';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { api } from '../../api/client.ts';
import { useBuild } from '../../build/BuildContext.ts';
import { READING_SEED } from '../at/ReadingPage.tsx';
import { useBuzzOut } from '../at/useBuzzOut.ts';
import { useMaking } from '../at/useMaking.ts';

const none: readonly RecordEntry[] = [];

/** What was read or buzzed out at the vehicle and is not as planned: from the record, not the design. */
export function FoundAtVehicle() {
  const { id } = useBuild();
  const { data } = useQuery({ queryKey: ['record', id], queryFn: () => api.record(id) });
  const { answer: sheet } = useMaking();
  const entries = data?.entries ?? none;
  return sheet && entries.length > 0 ? <Found sheet={sheet} entries={entries} /> : null;
}

function Found({ sheet, entries }: { sheet: MakingSheet; entries: readonly RecordEntry[] }) {
  const { id } = useBuild();
  const { disagreements } = secondReading(sheet, entries, READING_SEED);
  const { broken } = useBuzzOut(sheet, entries);
  if (disagreements.length + broken.length === 0) return null;
  return (
    <section className="mb-4 border-l-4 border-signal pl-3" aria-label="Found at the vehicle">
      <h2>Found at the vehicle</h2>
      <ul className="mt-1 space-y-1">
        {disagreements.map((each) => (
          <li key={each.wireId}>
            <span className="font-medium text-signal">Stop</span> Wire {each.number}, {each.name}:
            from {each.from} it should lead to {each.planned}, and was found {each.found}
            {each.instead !== undefined && `, where wire ${each.instead} belongs`}.{' '}
            <Link className="underline" to={`/at/${id}/read`}>
              Read it again once it is mended
            </Link>
          </li>
        ))}
        {broken.map(({ wire }) => (
          <li key={wire.id}>
            <span className="font-medium text-signal">Stop</span> Wire {wire.number}, {wire.name}:
            no beep from end to end.{' '}
            <Link className="underline" to={`/at/${id}/buzz`}>
              Try it again once it is mended
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}
