import { type ReelLine, benchLength } from '@brookrain/core';
import { useMemo } from 'react';
import { type Question, useWorkerAnswer } from '../../evaluation/useWorkerAnswer.ts';
import { type DataColumn, DataTable } from '../../ui/DataTable.tsx';
import { useUnits } from '../../ui/preferences.ts';
import { WireSwatch } from './WireSwatch.tsx';

const ask: Question<null, readonly ReelLine[]> = (worker, document) => worker.reels(document);
const keyOf = ({ size, colour }: ReelLine): string => `${size} ${colour}`;

/** What is bought of each wire, a colour from a length of its own, and which wires come from which length. */
export function Reels() {
  const [units] = useUnits();
  const { answer } = useWorkerAnswer(ask, null);
  const columns = useMemo((): readonly DataColumn<ReelLine>[] => {
    const metres = (value: number): string => benchLength(value, units);
    return [
      {
        key: 'size',
        label: 'Size',
        text: true,
        shown: 'always',
        cell: ({ size }) => <span className="whitespace-nowrap">{size}</span>,
      },
      {
        key: 'colour',
        label: 'Colour',
        text: true,
        shown: 'always',
        sortBy: ({ colour }) => colour,
        cell: ({ colour }) => <WireSwatch colour={colour} />,
      },
      { key: 'wires', label: 'Wires', sortBy: ({ wires }) => wires, cell: ({ wires }) => wires },
      {
        key: 'length',
        label: 'In all',
        sortBy: ({ length }) => length,
        cell: ({ length }) => metres(length),
      },
      {
        key: 'bought',
        label: 'Buy',
        shown: 'always',
        sortBy: ({ bought }) => bought,
        cell: ({ bought }) => <strong className="font-medium">{metres(bought)}</strong>,
      },
      {
        key: 'from',
        label: 'Wires cut from each length',
        text: true,
        wideOnly: true,
        cell: ({ lengths }) => (
          <ul>
            {lengths.map(({ length, wires, rest }) => (
              <li key={wires.join(' ')}>
                {metres(length)}: {wires.join(', ')}
                {rest > 0 && <span className="text-second">; {metres(rest)} left</span>}
              </li>
            ))}
          </ul>
        ),
      },
    ];
  }, [units]);
  if (!answer) return <p className="text-second">Opening</p>;
  if (answer.length === 0) return <p>Every wire is cut.</p>;
  return <DataTable label="Reels" rows={answer} columns={columns} keyOf={keyOf} />;
}
