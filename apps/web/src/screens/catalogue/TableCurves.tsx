import {
  type CatalogueCategory,
  type TableRow,
  type UnitKind,
  displayUnits,
  valueUnder,
  firstOf,
  formatFigure,
  fromSI,
  inNumberFormat,
} from '@brookrain/core';
import { scaleLinear, scaleLog } from 'd3-scale';
import { line } from 'd3-shape';
import { useUnits } from '../../ui/preferences.ts';

const W = 470;
const H = 250;
const edge = { left: 52, right: 64, top: 12, bottom: 38 };

interface Axis {
  readonly key: string;
  readonly label: string;
  readonly kind: UnitKind;
}
interface Plan {
  readonly x: Axis;
  readonly y: Axis;
  /** one curve for each value of this column */
  readonly per?: Axis;
  readonly log?: boolean;
}

/** How the table of a category is drawn. */
const plans: Partial<Record<CatalogueCategory, readonly Plan[]>> = {
  pump: [
    {
      x: { key: 'pressure', label: 'pressure', kind: 'pressure' },
      y: { key: 'flow', label: 'flow', kind: 'volumeFlow' },
      per: { key: 'voltage', label: 'voltage', kind: 'voltage' },
    },
    {
      x: { key: 'pressure', label: 'pressure', kind: 'pressure' },
      y: { key: 'current', label: 'current', kind: 'current' },
      per: { key: 'voltage', label: 'voltage', kind: 'voltage' },
    },
  ],
  injector: [
    {
      x: { key: 'voltage', label: 'voltage', kind: 'voltage' },
      y: { key: 'deadTime', label: 'dead time', kind: 'time' },
      per: { key: 'pressure', label: 'pressure', kind: 'pressure' },
    },
  ],
  filter: [
    {
      x: { key: 'flow', label: 'flow', kind: 'volumeFlow' },
      y: { key: 'pressureDrop', label: 'drop', kind: 'pressure' },
    },
  ],
  'filter-regulator': [
    {
      x: { key: 'flow', label: 'flow', kind: 'volumeFlow' },
      y: { key: 'pressureDrop', label: 'drop', kind: 'pressure' },
    },
  ],
  fuse: [
    {
      x: { key: 'multiple', label: 'multiple of the rating', kind: 'count' },
      y: { key: 'slowest', label: 'slowest opening', kind: 'time' },
      log: true,
    },
  ],
};

const dashes = ['', '7 3', '2 3', '9 3 2 3', '4 2', '1 4'];

function Curves({ plan, rows }: { plan: Plan; rows: readonly TableRow[] }) {
  const [units] = useUnits();
  // Opening times span hours: they are drawn in seconds.
  const unitOf = (axis: Axis): string =>
    axis.kind === 'time' && plan.log ? 's' : displayUnits[units.system][axis.kind];
  const shown = (row: TableRow, axis: Axis): number =>
    fromSI(row[axis.key] ?? 0, axis.kind, unitOf(axis));
  const xs = rows.map((row) => shown(row, plan.x));
  const ys = rows.map((row) => shown(row, plan.y));
  const x = scaleLinear(
    [plan.per || !plan.log ? 0 : 1, Math.max(...xs)],
    [edge.left, W - edge.right],
  ).nice();
  const floor = Math.max(1e-3, Math.min(...ys));
  const y = plan.log
    ? scaleLog([floor, Math.max(...ys)], [H - edge.bottom, edge.top])
    : scaleLinear([0, Math.max(...ys)], [H - edge.bottom, edge.top]).nice();
  const groups = new Map<number, TableRow[]>();
  for (const row of rows) {
    const key = plan.per ? valueUnder(row, plan.per.key) : 0;
    groups.set(key, [...(groups.get(key) ?? []), row]);
  }
  const curves = [...groups]
    .sort(([a], [b]) => a - b)
    .map(([value, points]) => ({
      value,
      sorted: [...points].sort((a, b) => (a[plan.x.key] ?? 0) - (b[plan.x.key] ?? 0)),
    }));
  const path = line<TableRow>(
    (row) => x(shown(row, plan.x)),
    (row) => y(Math.max(plan.log ? floor : -Infinity, shown(row, plan.y))),
  );
  const figure = (value: number): string => inNumberFormat(formatFigure(value, 3), units.numbers);
  const name = `${plan.y.label} over ${plan.x.label}`;
  return (
    <svg viewBox={`0 0 ${W} ${H}`} className="w-full" role="img" aria-label={name}>
      {y.ticks(4).map((tick) => (
        <g key={tick}>
          <line
            x1={edge.left}
            x2={W - edge.right}
            y1={y(tick)}
            y2={y(tick)}
            stroke="var(--hair)"
            strokeWidth="0.75"
          />
          <text x={edge.left - 6} y={y(tick) + 4} textAnchor="end">
            {figure(tick)}
          </text>
        </g>
      ))}
      {x.ticks(5).map((tick) => (
        <text key={tick} x={x(tick)} y={H - edge.bottom + 15} textAnchor="middle">
          {figure(tick)}
        </text>
      ))}
      <line
        x1={edge.left}
        x2={W - edge.right}
        y1={H - edge.bottom}
        y2={H - edge.bottom}
        stroke="var(--edge)"
        strokeWidth="1.5"
      />
      <text x={(edge.left + W - edge.right) / 2} y={H - 6} textAnchor="middle" fill="var(--second)">
        {`${plan.x.label} ${unitOf(plan.x)}`}
      </text>
      <text
        transform={`translate(12 ${(H - edge.bottom) / 2}) rotate(-90)`}
        textAnchor="middle"
        fill="var(--second)"
      >
        {`${plan.y.label} ${unitOf(plan.y)}`}
      </text>
      {curves.map(({ value, sorted }, i) => (
        <g key={value}>
          <path
            d={path(sorted) ?? undefined}
            fill="none"
            stroke="var(--moss)"
            strokeWidth="1.5"
            strokeDasharray={dashes[i % dashes.length]}
          />
          {sorted.map((row, k) => (
            <circle
              key={k}
              cx={x(shown(row, plan.x))}
              cy={y(Math.max(plan.log ? floor : -Infinity, shown(row, plan.y)))}
              r="2"
              fill="var(--ink)"
            />
          ))}
        </g>
      ))}
      {/* Names lie over every curve, so that none runs through them. */}
      {plan.per &&
        curves.map(({ value, sorted }) => {
          // Flow curves start apart and end together, so they are named where they start.
          const named = plan.y.key === 'flow' ? firstOf(sorted) : sorted.at(-1)!;
          return (
            <text
              key={value}
              stroke="var(--paper)"
              strokeWidth="3"
              paintOrder="stroke"
              x={x(shown(named, plan.x)) + 6}
              y={y(shown(named, plan.y)) + (plan.y.key === 'flow' ? -6 : 4)}
            >
              {`${figure(fromSI(value, plan.per!.kind, unitOf(plan.per!)))} ${unitOf(plan.per!)}`}
            </text>
          );
        })}
    </svg>
  );
}

/** The data-sheet table of an item as curves. */
export function TableCurves({
  category,
  rows,
}: {
  category: CatalogueCategory;
  rows: readonly TableRow[];
}) {
  const drawn = plans[category];
  if (!drawn || rows.length < 2) return null;
  return (
    <div className="max-w-[520px]">
      {drawn.map((plan) => (
        <Curves key={plan.y.key} plan={plan} rows={rows} />
      ))}
    </div>
  );
}
