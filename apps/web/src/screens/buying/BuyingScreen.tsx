import {
  type ShoppingLine,
  type ShoppingList,
  benchLength,
  counters,
  formatMeasure,
  toolInWords,
} from '@brookrain/core';
import { useState } from 'react';
import { useBuild } from '../../build/BuildContext.ts';
import { type Question, useWorkerAnswer } from '../../evaluation/useWorkerAnswer.ts';
import { type DataColumn, DataTable } from '../../ui/DataTable.tsx';
import { Screen } from '../../ui/Screen.tsx';
import { Tabs } from '../../ui/Tabs.tsx';
import { useUnits } from '../../ui/preferences.ts';
import { AtHand } from './AtHand.tsx';
import { CuttingBars } from './CuttingBars.tsx';

const ask: Question<null, ShoppingList> = (worker, document) => worker.shopping(document);

type View = 'list' | 'cutting';

/** How much of a part: pieces, or length in the reader’s unit. */
function useAmount(): (value: number, unit: ShoppingLine['unit']) => string {
  const [units] = useUnits();
  return (value, unit) => (unit === 'piece' ? `${value}` : benchLength(value, units));
}

/** The parts of one counter. */
function Counter({ name, lines }: { name: string; lines: readonly ShoppingLine[] }) {
  const { document: build } = useBuild();
  const amount = useAmount();
  const columns: readonly DataColumn<ShoppingLine>[] = [
    {
      key: 'part',
      label: 'Part',
      text: true,
      shown: 'always',
      sortBy: ({ item }) => item.designation,
      cell: ({ item, substitutes }) => (
        <>
          <span className={item.category === 'hose' ? 'whitespace-nowrap' : ''}>
            {item.designation}
          </span>
          {substitutes.length > 0 && (
            <span className="block text-[12px] text-second">
              on the shelf, does the same: {substitutes.map((s) => s.designation).join(', ')}
            </span>
          )}
        </>
      ),
    },
    {
      key: 'needed',
      shown: 'always',
      label: 'Needed',
      sortBy: ({ needed }) => needed,
      cell: ({ needed, unit }) => amount(needed, unit),
    },
    {
      key: 'spare',
      label: 'Spare',
      shown: 'always',
      wideOnly: true,
      cell: ({ spare }) => (spare > 0 ? spare : ''),
    },
    {
      key: 'atHand',
      shown: 'always',
      label: 'At hand',
      wideOnly: true,
      cell: ({ atHand }) => (atHand > 0 ? atHand : ''),
    },
    {
      key: 'buy',
      shown: 'always',
      label: 'Buy',
      sortBy: ({ buy }) => buy,
      cell: ({ buy, unit }) => (
        <strong className="font-medium">{buy > 0 ? amount(buy, unit) : 'nothing'}</strong>
      ),
    },
    {
      key: 'price',
      shown: 'always',
      label: build.currency,
      sortBy: ({ price }) => price,
      cell: ({ price }) => price.toFixed(2),
    },
    {
      key: 'blocks',
      shown: 'always',
      label: 'Waits for it',
      text: true,
      wideOnly: true,
      cell: ({ buy, usedFor }) => (
        <span className="text-[13px]">
          {buy === 0 ? '' : usedFor.slice(0, 3).join('; ')}
          {buy > 0 && usedFor.length > 3 ? ` and ${usedFor.length - 3} more` : ''}
        </span>
      ),
    },
  ];
  return (
    <section className="rule mt-4 pt-2" aria-label={name}>
      <h2>{name}</h2>
      <DataTable label={name} rows={lines} columns={columns} keyOf={({ item }) => item.id} />
    </section>
  );
}

/** Everything that is still missing for the whole build, by counter, and how hoses are cut. */
export function BuyingScreen() {
  const { id, document: build } = useBuild();
  const [units] = useUnits();
  const [view, setView] = useState<View>('list');
  const work = useWorkerAnswer(ask, null);
  const { answer: list } = work;
  const base = `/api/builds/${encodeURIComponent(id)}`;
  const kilograms = (value: number): string => formatMeasure({ value, kind: 'mass' }, units, 3);
  return (
    <Screen
      title="Buying"
      lead="Everything still to buy in one trip: by counter, less what is on the shelf, hose cut from the lengths it is sold in."
      inspector={<AtHand />}
      work={work}
    >
      {list && (
        <>
          <p className="mb-2">
            <strong className="font-medium">
              {list.price.toFixed(2)} {build.currency}
            </strong>{' '}
            to buy; as built it weighs {kilograms(list.mass)}.{' '}
            <a href={`${base}/buying.pdf?units=${units.system}`}>List as PDF</a>
            {' · '}
            <a href={`${base}/buying.csv`}>CSV</a>
          </p>
          <Tabs
            label="What is shown"
            value={view}
            choices={[
              { value: 'list', label: 'One-trip list' },
              { value: 'cutting', label: 'Cutting plan' },
            ]}
            onChoose={setView}
          />
          {view === 'list' &&
            counters
              .map((name) => ({ name, lines: list.lines.filter((l) => l.counter === name) }))
              .filter(({ lines }) => lines.length > 0)
              .map(({ name, lines }) => <Counter key={name} name={name} lines={lines} />)}
          {view === 'list' && list.missing.length > 0 && (
            <section className="rule mt-4 pt-2" aria-label="Not in the catalogue">
              <h2>Not in the catalogue</h2>
              <ul>
                {list.missing.map(({ words, count, usedFor }, i) => (
                  <li key={i}>
                    {count} × {words} <span className="text-second">for {usedFor}</span>
                  </li>
                ))}
              </ul>
            </section>
          )}
          {view === 'list' && list.tools.length > 0 && (
            <section className="rule mt-4 pt-2" aria-label="Tools">
              <h2>Tools for the sensors’ seats</h2>
              <ul>
                {list.tools.map(({ tool, thread, diameter, usedFor }) => (
                  <li key={`${tool} ${thread}`}>
                    {toolInWords({ tool, thread, diameter }, units)}{' '}
                    <span className="text-second">for {usedFor.join(', ')}</span>
                  </li>
                ))}
              </ul>
            </section>
          )}
          {view === 'cutting' &&
            list.lines
              .filter(({ item }) => item.category === 'hose')
              .map((line) =>
                line.plan ? (
                  <CuttingBars key={line.item.id} line={line} />
                ) : (
                  <p key={line.item.id} className="mt-3 text-signal">
                    {line.item.designation}: a piece is longer than any length it is sold in.
                  </p>
                ),
              )}
        </>
      )}
    </Screen>
  );
}
