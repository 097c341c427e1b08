import {
  type FoundAtVehicle,
  type Reading,
  type Severity,
  type BareFinding,
  formatMeasure,
} from '@brookrain/core';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { useBuild } from '../../build/BuildContext.ts';
import { stageList } from '../../frame/stages.ts';
import { useFoundAtVehicle } from '../../record/useFoundAtVehicle.ts';
import { type DataColumn, DataTable } from '../../ui/DataTable.tsx';
import { FindingNote } from '../../ui/FindingNote.tsx';
import { FoundNote } from '../../ui/FoundNote.tsx';
import { Screen } from '../../ui/Screen.tsx';
import { SeverityMark } from '../../ui/SeverityMark.tsx';
import { Select } from '../../ui/Select.tsx';
import { Tick } from '../../ui/Tick.tsx';
import { useUnits } from '../../ui/preferences.ts';

type Kind = Severity | 'accepted';
const kinds: readonly { kind: Kind; name: string }[] = [
  { kind: 'stop', name: 'Stops' },
  { kind: 'warn', name: 'Warnings' },
  { kind: 'note', name: 'Notes' },
  { kind: 'accepted', name: 'Accepted' },
];
/** What a rule found in the design, or somebody at the vehicle. */
type Row = BareFinding | FoundAtVehicle;
const isTold = (row: Row): row is BareFinding => 'rule' in row;
const kindOf = (row: Row): Kind => (isTold(row) && row.accepted ? 'accepted' : row.severity);
const stageOf = (row: Row): string => (isTold(row) ? row.where.stage : 'readings');

/** How far what was measured lies beyond its limit, as a share of the limit. */
const beyond = (row: Row): number | undefined => {
  const { measured, limit } = isTold(row) ? row : {};
  return measured && limit && limit.value !== 0
    ? Math.abs(measured.value - limit.value) / Math.abs(limit.value)
    : undefined;
};

const columnsFor = (id: string, units: Reading): readonly DataColumn<Row>[] => [
  {
    key: 'finding',
    label: 'Finding',
    text: true,
    shown: 'always',
    sortBy: (f) => kinds.findIndex(({ kind }) => kind === kindOf(f)),
    cell: (f) => (
      <div className="max-w-[760px] [&>article]:border-0">
        {isTold(f) ? <FindingNote finding={f} explained /> : <FoundNote found={f} />}
      </div>
    ),
  },
  {
    key: 'stage',
    wideOnly: true,
    label: 'Stage',
    text: true,
    sortBy: (f) => stageList.findIndex((s) => s.id === stageOf(f)),
    cell: (f) => {
      const at = stageList.find((s) => s.id === stageOf(f));
      return (
        at && (
          <Link className="whitespace-nowrap underline" to={`/builds/${id}/${at.id}`}>
            {at.name}
          </Link>
        )
      );
    },
  },
  {
    key: 'rung',
    wideOnly: true,
    label: 'Ladder',
    text: true,
    sortBy: (f) => (isTold(f) ? f.rung : undefined),
    cell: (f) =>
      isTold(f) &&
      f.rung && (
        <Link className="whitespace-nowrap underline" to={`/builds/${id}/margins?rung=${f.rung}`}>
          on the ladder
        </Link>
      ),
  },
  {
    key: 'measured',
    wideOnly: true,
    label: 'Measured',
    shown: false,
    cell: (f) => isTold(f) && f.measured && formatMeasure(f.measured, units),
  },
  {
    key: 'limit',
    wideOnly: true,
    label: 'Limit',
    shown: false,
    cell: (f) => isTold(f) && f.limit && formatMeasure(f.limit, units),
  },
  {
    key: 'beyond',
    wideOnly: true,
    label: 'Beyond',
    sortBy: beyond,
    cell: (f) => {
      const share = beyond(f);
      return share === undefined ? '' : formatMeasure({ value: share, kind: 'ratio' }, units, 2);
    },
  },
];

/** Everything that is wrong or tight in one place: filtered, explained, cured, accepted. */
export function FindingsScreen() {
  const { id, evaluation, document: build } = useBuild();
  const [hidden, setHidden] = useState<ReadonlySet<Kind>>(new Set());
  const [stage, setStage] = useState('all');
  const [text, setText] = useState('');
  const [units] = useUnits();
  const columns = useMemo(() => columnsFor(id, units), [id, units]);
  const found = useFoundAtVehicle();
  const all = useMemo(
    (): readonly Row[] => [...found, ...evaluation.findings],
    [found, evaluation],
  );
  const counted = (kind: Kind): number => all.filter((f) => kindOf(f) === kind).length;
  const wanted = text.trim().toLowerCase();
  const shown = all.filter(
    (f) =>
      !hidden.has(kindOf(f)) &&
      (stage === 'all' || stageOf(f) === stage) &&
      (wanted === '' || `${f.title} ${f.because}`.toLowerCase().includes(wanted)),
  );
  const toggle = (kind: Kind): void => {
    const next = new Set(hidden);
    if (!next.delete(kind)) next.add(kind);
    setHidden(next);
  };
  const present = new Set(all.map(stageOf));
  const ended = build.acceptances.filter(
    (a) => !evaluation.findings.some((f) => f.id === a.findingId),
  );
  return (
    <Screen
      title="Findings"
      lead={
        all.length === 0
          ? 'Nothing is wrong or tight.'
          : 'Everything that is wrong or tight, worst first. A cure is one click and can be undone.'
      }
    >
      <div className="mb-2 flex flex-wrap items-center gap-x-4 gap-y-2">
        {kinds.map(({ kind, name }) => (
          <Tick key={kind} checked={!hidden.has(kind)} onChange={() => toggle(kind)}>
            {name} <span className="text-second">{counted(kind)}</span>
          </Tick>
        ))}
        <Select
          name="Stage"
          className="w-[150px]!"
          value={stage}
          choices={[
            { value: 'all', label: 'all stages' },
            ...stageList
              .filter((s) => present.has(s.id))
              .map((s) => ({ value: s.id, label: s.name })),
          ]}
          onChoose={setStage}
        />
        <input
          aria-label="Words in the finding"
          placeholder="words in it"
          className="field w-[150px]"
          value={text}
          onChange={(event) => setText(event.target.value)}
        />
      </div>
      {shown.length > 0 && (
        <DataTable label="Findings" rows={shown} columns={columns} keyOf={(f) => f.id} />
      )}
      {shown.length === 0 && all.length > 0 && (
        <p className="py-3 text-second">None of them is of this kind.</p>
      )}
      {ended.length > 0 && (
        <section className="mt-6 max-w-[780px]">
          <h2>Accepted once, no longer found</h2>
          <ul>
            {ended.map((a) => (
              <li key={a.findingId} className="rule flex gap-2 py-1 text-[13px]">
                <SeverityMark severity="note" />
                <span>
                  {a.title}: {a.reason} <span className="text-second">({a.author})</span>
                </span>
              </li>
            ))}
          </ul>
        </section>
      )}
    </Screen>
  );
}
