import {
  type RunsOn,
  type SingleFailure,
  type SneakPath,
  type SwitchingSheet,
  electricsFigure,
  formatMeasure,
} from '@brookrain/core';
import { ArrowRight } from 'lucide-react';
import { Link, useParams } from 'react-router';
import { type DataColumn, DataTable } from '../../ui/DataTable.tsx';
import { FigureRows } from '../../ui/FigureRows.tsx';
import { useUnits } from '../../ui/preferences.ts';

/** The parts that a current passes, drawn from its feed to its return; what is alive by it stands out. */
function Way({ path }: { path: SneakPath }) {
  const { id = '' } = useParams();
  const device = (partId: string): string =>
    `/builds/${encodeURIComponent(id)}/devices?of=${encodeURIComponent(partId)}`;
  return (
    <ol className="flex flex-wrap items-center gap-1" aria-label={`Path to ${path.name}`}>
      <li className="text-second">battery</li>
      {path.way.map(({ partId, name }, i) => (
        <li key={`${partId} ${String(i)}`} className="flex items-center gap-1">
          <ArrowRight size={14} aria-hidden className="shrink-0 text-second" />
          <Link
            to={device(partId)}
            className={`border px-1.5 py-0.5 ${
              partId === path.partId ? 'border-2 border-signal font-medium' : 'border-edge'
            }`}
          >
            {name}
          </Link>
        </li>
      ))}
      <li className="flex items-center gap-1 text-second">
        <ArrowRight size={14} aria-hidden className="shrink-0" /> ground
      </li>
    </ol>
  );
}

/** Every load that is alive while it is off, with how, and what its current passes. */
function Paths({ paths }: { paths: readonly SneakPath[] }) {
  const [units] = useUnits();
  return (
    <ul className="mt-1 space-y-2">
      {paths.map((path) => (
        <li key={`${path.broken?.partId ?? ''} ${path.loadId}`}>
          <p>
            <span className="font-medium">{path.name}</span> gets{' '}
            {formatMeasure({ value: path.volts, kind: 'voltage' }, units)}, key in{' '}
            {path.position.toUpperCase()}
            {path.broken
              ? `, with ${path.broken.name} ${path.broken.kind === 'fuse out' ? 'out' : 'open'}`
              : ''}
          </p>
          <Way path={path} />
        </li>
      ))}
    </ul>
  );
}

const runsOnColumns: readonly DataColumn<RunsOn>[] = [
  {
    key: 'part',
    label: 'When this stays closed',
    text: true,
    cell: (r) => r.name,
    sortBy: (r) => r.name,
  },
  {
    key: 'kind',
    label: 'How',
    text: true,
    cell: (r) => `${r.kind}${r.pin === '' ? '' : `, ${r.pin}`}`,
    sortBy: (r) => r.kind,
  },
  {
    key: 'pumps',
    label: 'Runs on',
    text: true,
    cell: (r) => r.pumps.map(({ name }) => name).join(', '),
  },
];

const fansColumns: readonly DataColumn<SingleFailure>[] = [
  { key: 'part', label: 'When this fails', text: true, cell: (f) => f.name, sortBy: (f) => f.name },
  { key: 'kind', label: 'How', text: true, cell: (f) => f.kind, sortBy: (f) => f.kind },
  {
    key: 'fans',
    label: 'Stays off',
    text: true,
    cell: (f) => f.stops.map(({ name }) => name).join(', '),
    sortBy: (f) => f.stops.length,
  },
];

/** What is alive where it should be dead: a search over every state, and what a contact that sticks does. */
export function SneakProofView({ sheet }: { sheet: SwitchingSheet }) {
  const { proof, left, fansOff } = sheet;
  const whole = proof.paths.filter(({ broken }) => !broken);
  const broken = proof.paths.filter((path) => path.broken);
  return (
    <section className="mt-6" aria-label="Sneak paths">
      <h2>Sneak paths</h2>
      <p className="max-w-[720px] text-[13px] text-second">
        Everything that can be off, in every position of the key, with the circuit whole, with each
        fuse out and with each ground open. More closed contacts make more paths, so each situation
        covers every position of the other switches.
      </p>
      <div className="max-w-[420px]">
        <FigureRows
          title=""
          rows={[
            ['Alive while off', electricsFigure('sneakPaths.count')],
            ['Situations looked at', electricsFigure('sneakPaths.states')],
            ['Failures that leave a pump running', electricsFigure('failures.pumpRunsOn')],
          ]}
        />
      </div>
      <h3 className="mt-3">The circuit whole</h3>
      {whole.length === 0 ? <p>None: what is off is dead.</p> : <Paths paths={whole} />}
      <h3 className="mt-3">With one fuse out or one ground open</h3>
      {broken.length === 0 ? <p>None comes alive.</p> : <Paths paths={broken} />}
      {left.isolated && (
        <>
          <h3 className="mt-3">With the isolator open, the engine running</h3>
          <p className="max-w-[720px]">
            {left.isolated.length === 0
              ? 'What runs the engine is dead: it stops.'
              : `Alive: ${left.isolated.map(({ name }) => name).join(', ')}.`}{' '}
            {left.isolatorParts
              ? 'The alternator joins behind it and is parted from the battery.'
              : 'The alternator stays joined to the battery.'}
          </p>
        </>
      )}
      {left.pumpRunsOn.length > 0 && (
        <>
          <h3 className="mt-3">What leaves a pump running, key off and engine standing</h3>
          <DataTable
            label="Failures that leave a pump running"
            rows={left.pumpRunsOn}
            columns={runsOnColumns}
            keyOf={(each) => `${each.partId} ${each.pin}`}
          />
        </>
      )}
      {fansOff.length > 0 && (
        <>
          <h3 className="mt-3">What leaves a fan off</h3>
          <DataTable
            label="Failures that leave a fan off"
            rows={fansOff}
            columns={fansColumns}
            keyOf={({ partId }) => partId}
          />
        </>
      )}
    </section>
  );
}
