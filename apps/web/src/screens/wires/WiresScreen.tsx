import {
  type Severity,
  type ToldWire,
  type WireSheet,
  electricsFigure,
  entryAt,
  formatMeasure,
  refOf,
} from '@brookrain/core';
import { useMemo } from 'react';
import { useSearchParams } from 'react-router';
import { useBuild } from '../../build/BuildContext.ts';
import { worstBy } from '../../build/worstBy.ts';
import { light, useLit } from '../../build/lit.ts';
import { type Question, useWorkerAnswer } from '../../evaluation/useWorkerAnswer.ts';
import { ChoiceField } from '../../ui/ChoiceField.tsx';
import { type DataColumn, DataTable } from '../../ui/DataTable.tsx';
import { FigureRows } from '../../ui/FigureRows.tsx';
import { FindingNote } from '../../ui/FindingNote.tsx';
import { Screen } from '../../ui/Screen.tsx';
import { Select } from '../../ui/Select.tsx';
import { SeverityMark } from '../../ui/SeverityMark.tsx';
import { useUnits } from '../../ui/preferences.ts';
import { FuseAgainstWire } from '../wiring/FuseAgainstWire.tsx';
import { Criteria } from '../wiring/Criteria.tsx';
import { WhySize } from '../wiring/WhySize.tsx';
import { WireLengthField } from '../wiring/WireLengthField.tsx';
import { wireSizes } from '../wiring/wireSizes.ts';

/** A wire of the list with its figures. SI. */
type WireRow = ToldWire & Record<'number' | 'length' | 'current' | 'drop' | 'temperature', number>;

const ALL = '';
const AUTO = 'auto';
const ask: Question<string, WireSheet | undefined> = (worker, document, wireId) =>
  worker.wire(document, wireId);
const order: Readonly<Record<Severity, number>> = { stop: 0, warn: 1, note: 2 };

/** The wire that is looked at: its size by all six criteria, its length, what it comes to. */
function WireInspector({ wire, sheet }: { wire: ToldWire; sheet: WireSheet | undefined }) {
  const { catalogue, edit, evaluation } = useBuild();
  const sizes = wireSizes(catalogue);
  const findings = evaluation.findings.filter(
    ({ where }) => 'wire' in where && where.wire === wire.id,
  );
  return (
    <>
      <h2>{wire.name}</h2>
      <p className="text-[13px] text-second">
        {wire.from} to {wire.to}
        {wire.fuse !== null && `, behind the ${wire.fuse} A fuse`}
      </p>
      {findings.map((finding) => (
        <FindingNote key={finding.id} finding={finding} />
      ))}
      <div className="mt-2 space-y-1.5">
        <ChoiceField
          wide
          label="Size"
          value={
            wire.chosenByHand ? (sizes.find(({ size }) => size === wire.size)?.id ?? AUTO) : AUTO
          }
          choices={[
            {
              value: AUTO,
              label: `by the rules${wire.chosenByHand ? '' : `: ${wire.size}`}`,
            },
            ...sizes.map(({ id, size }) => ({ value: id, label: size })),
          ]}
          onChoose={(id) => {
            const size = sizes.find((each) => each.id === id);
            edit({
              name: 'choose-wire',
              wireId: wire.id,
              wireName: wire.name,
              size: size ? refOf(size) : null,
            });
          }}
        />
        {sheet && <WireLengthField key={wire.id} sized={sheet.sized} />}
      </div>
      {sheet && (
        <div className="mt-2">
          <Criteria sized={sheet.sized} />
          <WhySize {...wire} />
        </div>
      )}
      <FigureRows
        rows={(
          [
            ['Conductor', 'wire.area'],
            ['Drop along it', 'wire.drop'],
            ['Conductor temperature', 'wire.temperature'],
            ['May carry', 'wire.ampacity'],
            ['Resistance', 'wire.resistance'],
          ] as const
        ).map(([name, figure]) => [name, electricsFigure(figure, { wire: wire.id })] as const)}
      />
    </>
  );
}

/** Every wire of the vehicle: sized, protected, judged; by what it belongs to. */
export function WiresScreen() {
  const { evaluation } = useBuild();
  const [units] = useUnits();
  const [query, setQuery] = useSearchParams();
  const lit = useLit();
  const of = query.get('of') ?? lit.wireId;
  const part = query.get('part') ?? ALL;
  const finding = query.get('finding') ?? ALL;
  const { wires: told, wireFigures } = evaluation;
  const wires = useMemo(
    () =>
      told.map((wire, i) => ({
        ...wire,
        number: i + 1,
        length: entryAt(wireFigures.length, i),
        current: entryAt(wireFigures.current, i),
        drop: entryAt(wireFigures.drop, i),
        temperature: entryAt(wireFigures.temperature, i),
      })),
    [told, wireFigures],
  );
  const trouble = useMemo(
    () => worstBy(evaluation.findings, (where) => ('wire' in where ? where.wire : undefined)),
    [evaluation.findings],
  );
  const set = (key: string, value: string): void => {
    const next = new URLSearchParams(query);
    if (key === 'of') light({ wireId: value });
    if (value === ALL) next.delete(key);
    else next.set(key, value);
    setQuery(next, { replace: true });
  };
  const rows = wires.filter(
    ({ id, ends }) =>
      (part === ALL || ends.includes(part)) &&
      (finding === ALL || (finding === 'any' ? trouble.has(id) : trouble.get(id) === finding)),
  );
  const selected = rows.find(({ id }) => id === of) ?? rows[0];
  const { answer: sheet } = useWorkerAnswer(ask, selected?.id ?? '');
  const columns = useMemo((): readonly DataColumn<WireRow>[] => {
    const measure = (value: number, kind: 'length' | 'current' | 'voltage' | 'temperature') =>
      formatMeasure({ value, kind }, units);
    return [
      {
        key: 'wire',
        label: 'Wire',
        text: true,
        shown: 'always',
        sortBy: ({ name }) => name,
        cell: ({ name }) => name,
      },
      {
        key: 'number',
        label: 'No.',
        sortBy: ({ number }) => number,
        cell: ({ number }) => number,
      },
      {
        key: 'from',
        label: 'From',
        text: true,
        shown: false,
        sortBy: (w) => w.from,
        cell: (w) => w.from,
      },
      {
        key: 'to',
        label: 'To',
        text: true,
        wideOnly: true,
        sortBy: (w) => w.to,
        cell: (w) => w.to,
      },
      {
        key: 'role',
        label: 'Carries',
        text: true,
        wideOnly: true,
        sortBy: (w) => w.role,
        cell: (w) => w.role,
      },
      {
        key: 'size',
        label: 'Size',
        sortBy: ({ area }) => area,
        cell: ({ size, chosenByHand }) => `${size}${chosenByHand ? ', by hand' : ''}`,
      },
      {
        key: 'length',
        label: 'Length',
        sortBy: (w) => w.length,
        cell: (w) => measure(w.length, 'length'),
      },
      {
        key: 'current',
        label: 'Current',
        wideOnly: true,
        sortBy: (w) => w.current,
        cell: (w) => measure(w.current, 'current'),
      },
      {
        key: 'drop',
        label: 'Drop',
        wideOnly: true,
        sortBy: (w) => w.drop,
        cell: (w) => measure(w.drop, 'voltage'),
      },
      {
        key: 'gets',
        label: 'Gets',
        shown: false,
        sortBy: (w) => w.temperature,
        cell: (w) => measure(w.temperature, 'temperature'),
      },
      {
        key: 'fuse',
        label: 'Fuse',
        wideOnly: true,
        sortBy: ({ fuse }) => fuse ?? 0,
        cell: ({ fuse }) => (fuse === null ? '–' : measure(fuse, 'current')),
      },
      {
        key: 'decided',
        label: 'Decided by',
        text: true,
        shown: false,
        sortBy: ({ decidedBy }) => decidedBy[0] ?? '',
        cell: ({ decidedBy, noSizePasses }) =>
          noSizePasses ? 'no size passes' : decidedBy.join(', '),
      },
      {
        key: 'state',
        label: 'State',
        text: true,
        sortBy: ({ id }) => order[trouble.get(id) ?? 'note'] + (trouble.has(id) ? 0 : 1),
        cell: ({ id }) => {
          const severity = trouble.get(id);
          return severity ? (
            <SeverityMark severity={severity} worded />
          ) : (
            <span className="text-moss">✓</span>
          );
        },
      },
    ];
  }, [units, trouble]);
  const ends = [...new Set(wires.flatMap((wire) => wire.ends))];
  const nameOf = (id: string): string => evaluation.partNames[id] ?? id;
  const total = rows.reduce((sum, { length }) => sum + length, 0);
  return (
    <Screen
      title="Wires"
      lead="Every wire of the vehicle: what it carries, what protects it, and which of six criteria decided its size."
      inspector={selected && <WireInspector wire={selected} sheet={sheet} />}
    >
      <div className="flex flex-wrap items-center gap-2">
        <Select
          name="Wires of"
          value={part}
          choices={[
            { value: ALL, label: 'of everything' },
            ...ends
              .map((id) => ({ value: id, label: `of ${nameOf(id)}` }))
              .sort((a, b) => a.label.localeCompare(b.label)),
          ]}
          onChoose={(value) => set('part', value)}
          className="w-[240px]"
        />
        <Select
          name="Wires with"
          value={finding}
          choices={[
            { value: ALL, label: 'with any state' },
            { value: 'any', label: 'with a finding' },
            { value: 'stop', label: 'with a stop' },
            { value: 'warn', label: 'with a warning' },
          ]}
          onChoose={(value) => set('finding', value)}
          className="w-[160px]"
        />
        <span className="text-second">
          {rows.length} {rows.length === 1 ? 'wire' : 'wires'},{' '}
          {formatMeasure({ value: total, kind: 'length' }, units)} in all
        </span>
      </div>
      {rows.length === 0 ? (
        <p className="mt-2 text-second">No wire is like that.</p>
      ) : (
        <DataTable
          label="Wires"
          rows={rows}
          columns={columns}
          keyOf={({ id }) => id}
          selected={selected?.id}
          onSelect={(id) => set('of', id)}
        />
      )}
      {sheet && selected && <FuseAgainstWire sized={sheet.sized} inrush={sheet.inrush} />}
    </Screen>
  );
}
