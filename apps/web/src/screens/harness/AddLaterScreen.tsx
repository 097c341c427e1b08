import { type Addition, formatMeasure, newestOf } from '@brookrain/core';
import { useMemo } from 'react';
import { useSearchParams } from 'react-router';
import { useBuild } from '../../build/BuildContext.ts';
import type { AddedLater } from '../../evaluation/harnessWork.ts';
import { type Question, useWorkerAnswer } from '../../evaluation/useWorkerAnswer.ts';
import { Screen } from '../../ui/Screen.tsx';
import { Select } from '../../ui/Select.tsx';
import { useUnits } from '../../ui/preferences.ts';

const NONE = '';

const ask: Question<AddedLater, readonly Addition[]> = (worker, document, added) =>
  worker.additions(document, added);

const titles: Readonly<Record<Addition['kind'], string>> = {
  'in the harness': 'In the harness',
  'beside the harness': 'Beside the harness, by itself',
  'on another unit': 'On another unit',
};

/** A device that comes when the harness is made: three ways to wire it, the least work first. */
export function AddLaterScreen() {
  const { document: build, catalogue, edit } = useBuild();
  const [units] = useUnits();
  const [query, setQuery] = useSearchParams();
  const itemId = query.get('item') ?? NONE;
  const placementId = query.get('at') ?? NONE;
  const added = useMemo(() => ({ itemId, placementId }), [itemId, placementId]);
  const { answer: ways = [] } = useWorkerAnswer(ask, added);
  const set = (name: string, value: string): void => {
    const next = new URLSearchParams(query);
    next.set(name, value);
    setQuery(next, { replace: true });
  };
  const items = newestOf(catalogue, 'device').filter(
    ({ role }) => role !== 'connector' && role !== 'stud' && role !== 'licensed system',
  );
  const roles = [...new Set(items.map(({ role }) => role))];
  const asked = itemId !== NONE && placementId !== NONE;
  return (
    <Screen
      title="Late additions"
      lead="A device that comes when the harness is made: a free pin, room in connectors, what has to be opened, and how much work that is."
    >
      <div className="mb-3 flex flex-wrap items-center gap-2">
        <span className="w-[260px]">
          <Select
            name="What is added"
            value={itemId}
            choices={[
              { heading: '', choices: [{ value: NONE, label: 'what is added' }] },
              ...roles.map((role) => ({
                heading: role,
                choices: items
                  .filter((item) => item.role === role)
                  .map(({ id, designation }) => ({ value: id, label: designation })),
              })),
            ]}
            onChoose={(value) => set('item', value)}
          />
        </span>
        <span className="w-[230px]">
          <Select
            name="Where it sits"
            value={placementId}
            choices={[
              { value: NONE, label: 'where it sits' },
              ...build.placements.map(({ id, name }) => ({ value: id, label: name })),
            ]}
            onChoose={(value) => set('at', value)}
          />
        </span>
      </div>
      {asked &&
        ways.map((way, i) => (
          <section key={way.kind} className="rule mb-3 pt-2" aria-label={titles[way.kind]}>
            <div className="flex flex-wrap items-baseline justify-between gap-2">
              <h2>
                {i + 1}. {titles[way.kind]}
                {way.unit !== '' && `: ${way.unit}`}
              </h2>
              {way.against.length === 0 && (
                <button
                  type="button"
                  className={i === 0 ? 'act act-main' : 'act'}
                  onClick={() =>
                    edit({
                      name: 'set-several',
                      label: `Add a device: ${titles[way.kind].toLowerCase()}`,
                      changes: way.changes,
                    })
                  }
                >
                  Do it so
                </button>
              )}
            </div>
            {way.against.length > 0 ? (
              <p className="text-signal">{way.against.join('; ')}.</p>
            ) : (
              <ul className="list-disc pl-5">
                <li>
                  {formatMeasure({ value: way.work, kind: 'workTime' }, units)} of work, {way.wires}{' '}
                  {way.wires === 1 ? 'wire' : 'wires'},{' '}
                  {formatMeasure({ value: way.length, kind: 'length' }, units)} in all
                </li>
                {way.pins.map(({ signal, pin }) => (
                  <li key={pin}>
                    {signal} on pin {pin}, which is free
                  </li>
                ))}
                {way.fuse && <li>A fuse of its own, fed from where the unit’s is</li>}
                {way.connectors.map(({ name, free, wanted }) => (
                  <li key={name} className={free < wanted ? 'text-signal' : ''}>
                    {name}: {wanted} {wanted === 1 ? 'way' : 'ways'} wanted, {free} free
                    {free < wanted && ', a wider one is counted in'}
                  </li>
                ))}
                <li>
                  {way.opened.length === 0
                    ? 'No closed cover has to be opened'
                    : `To be opened: ${way.opened.join(', ')}`}
                </li>
              </ul>
            )}
          </section>
        ))}
      {!asked && (
        <p className="text-second">
          Choose what is added and where it sits. Covers that are closed are marked at their
          segment.
        </p>
      )}
    </Screen>
  );
}
