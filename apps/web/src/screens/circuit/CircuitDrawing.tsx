import {
  type CircuitElement,
  type FuelCircuit,
  type SolvedCircuit,
  type ThroughElement,
  formatMeasure,
  fuelLabel,
  fuelRun,
} from '@brookrain/core';
import { useBuild } from '../../build/BuildContext.ts';
import { walkKeys } from '../../ui/walkKeys.ts';
import { useUnits } from '../../ui/preferences.ts';
import { lineStyle } from './lineStyle.ts';

const W = 764;
const H = 430;
const FEED_Y = 118;
const RETURN_Y = 352;
const TANK = { x: 14, width: 86 };
const ENGINE_X = W - 94;

/** Symbols in the product's own hand, drawn around (0, 0). */
function Symbol({ element, selected }: { element: CircuitElement; selected: boolean }) {
  const stroke = selected ? 3 : 1.5;
  const common = { fill: 'var(--paper)', stroke: 'var(--ink)', strokeWidth: stroke };
  switch (element.kind) {
    case 'fitting':
      return <path d="M-4-8V8M4-8V8" stroke="var(--ink)" strokeWidth={stroke} />;
    case 'filter':
      return (
        <g>
          <path d="M-13-10H13L9 10H-9Z" {...common} />
          <path d="M-6-5V5M0-5V5M6-5V5" stroke="var(--ink)" strokeWidth="0.75" />
        </g>
      );
    case 'pump':
      return (
        <g>
          <rect x="-16" y="-16" width="32" height="32" {...common} />
          <path d="M-7-8 9 0-7 8Z" fill="var(--moss)" />
        </g>
      );
    case 'regulator':
      return (
        <g>
          <path d="M-14-11 0 0-14 11ZM14-11 0 0 14 11Z" {...common} />
          <path d="M0 0V-19M-7-19H7" stroke="var(--ink)" strokeWidth="1.5" />
        </g>
      );
    case 'filter-regulator':
      return (
        <g>
          <path d="M-16-12H16V12H-16Z" {...common} />
          <path d="M-11-6V6M-6-6V6" stroke="var(--ink)" strokeWidth="0.75" />
          <path d="M-1-6 6 0-1 6ZM13-6 6 0 13 6Z" fill="var(--ink)" />
        </g>
      );
    default:
      return null;
  }
}

interface Placed {
  readonly element: ThroughElement;
  readonly x0: number;
  readonly x1: number;
  readonly y: number;
}

/** Lays the run out: tank to engine above, engine to tank below; long elements get more room. */
function layOut(circuit: FuelCircuit): { placed: Placed[]; railX: number } {
  const { feed, back } = fuelRun(circuit);
  const weight = (e: ThroughElement): number =>
    e.kind === 'line' ? 1.6 : e.kind === 'fitting' ? 0.7 : 1.3;
  const place = (
    elements: readonly ThroughElement[],
    from: number,
    to: number,
    y: number,
  ): Placed[] => {
    const total = elements.reduce((sum, e) => sum + weight(e), 0);
    let x = from;
    return elements.map((element) => {
      const x0 = x;
      x += ((to - from) * weight(element)) / total;
      return { element, x0, x1: x, y };
    });
  };
  const start = TANK.x + TANK.width;
  return {
    placed: [
      ...place(feed, start, ENGINE_X + 6, FEED_Y),
      ...place(back, ENGINE_X + 6, start, RETURN_Y),
    ],
    railX: ENGINE_X + 6,
  };
}

type Props = {
  circuit: FuelCircuit;
  solution: SolvedCircuit | undefined;
  selected: string;
  select: (id: string) => void;
};

/** The fuel run from tank to engine and back, with live pressure and flow at each element. */
export function CircuitDrawing({ circuit, solution, selected, select }: Props) {
  const { evaluation } = useBuild();
  const [units] = useUnits();
  const { placed, railX } = layOut(circuit);
  const returns = placed.some((p) => p.y === RETURN_Y);
  const atTank = placed.find((p) => p.element.kind === 'filter-regulator');
  const bypass = atTank && solution?.elements[`${atTank.element.id}~bypass`];
  const tank = circuit.elements.find((e) => e.kind === 'tank');
  const injectors = circuit.elements.find((e) => e.kind === 'injectors');
  const row = evaluation.fluids[0]!.design.rows.find(
    (r) => injectors?.kind === 'injectors' && r.row.id === injectors.rowId,
  );
  // As many as the row has; more than twelve would not be told apart.
  const drawn = Math.min(12, row?.row.count ?? 1);
  const order = [tank?.id ?? '', ...placed.map((p) => p.element.id), injectors?.id ?? ''].filter(
    Boolean,
  );
  const walk = walkKeys(order, selected, select);
  const pressure = (value: number): string => formatMeasure({ value, kind: 'pressure' }, units);
  const density = evaluation.fluids[0]!.design.fuel.hot.density;
  const flow = (massFlow: number): string =>
    formatMeasure({ value: massFlow / density, kind: 'volumeFlow' }, units);
  const troubled = new Map(
    evaluation.findings
      .filter((f) => f.where.startsWith('circuit:') && f.severity !== 'note' && !f.accepted)
      .map((f) => [f.where.split('/')[1], f.severity]),
  );
  const pick = (id: string) => ({
    role: 'option' as const,
    'aria-selected': selected === id,
    className: 'cursor-pointer',
    onClick: () => select(id),
  });
  return (
    <svg
      viewBox={`0 0 ${W} ${H}`}
      className="w-full"
      role="listbox"
      aria-label="Fuel run from tank to engine"
      tabIndex={0}
      onKeyDown={walk}
    >
      {tank && (
        <g {...pick(tank.id)} aria-label={tank.name}>
          <path
            d={`M${TANK.x} ${FEED_Y - 34}H${TANK.x + TANK.width}V${RETURN_Y + 26}H${TANK.x}Z`}
            fill="var(--panel)"
            stroke="var(--ink)"
            strokeWidth={selected === tank.id ? 3 : 1.5}
          />
          <path
            d={`M${TANK.x + 4} ${FEED_Y + 50}q10-6 20 0t20 0t20 0t18 0`}
            fill="none"
            stroke="var(--moss)"
            strokeWidth="1.5"
          />
          <text
            x={TANK.x + TANK.width / 2}
            y={FEED_Y + 100}
            textAnchor="middle"
            style={{ fontSize: 13 }}
          >
            Tank
          </text>
          <text
            x={TANK.x + TANK.width / 2}
            y={FEED_Y + 118}
            textAnchor="middle"
            fill="var(--second)"
          >
            {fuelLabel(evaluation.fluids[0]!.design.fuel.fuel)}
          </text>
        </g>
      )}
      <g aria-hidden="true">
        <rect
          x={ENGINE_X + 26}
          y={FEED_Y + 22}
          width="62"
          height={RETURN_Y - FEED_Y - 44}
          fill="var(--panel)"
          stroke="var(--ink)"
          strokeWidth="1.5"
        />
        <text x={ENGINE_X + 57} y={RETURN_Y - 40} textAnchor="middle" style={{ fontSize: 13 }}>
          Engine
        </text>
      </g>
      {injectors && (
        <g {...pick(injectors.id)} aria-label={injectors.name}>
          <line
            x1={railX}
            x2={railX}
            y1={FEED_Y}
            y2={returns ? RETURN_Y : RETURN_Y - 34}
            stroke="var(--line-feed)"
            strokeWidth="5"
          />
          {Array.from({ length: drawn }, (_, i) => {
            const y = (FEED_Y + RETURN_Y) / 2 + (i - (drawn - 1) / 2) * Math.min(34, 130 / drawn);
            return (
              <path
                key={i}
                d={`M${railX} ${y}h12l8 -5v10l-8 -5`}
                fill={selected === injectors.id ? 'var(--moss)' : 'var(--paper)'}
                stroke="var(--ink)"
                strokeWidth="1.5"
              />
            );
          })}
          {solution && (
            <>
              <text
                x={railX - 10}
                y={FEED_Y + 74}
                textAnchor="end"
                style={{ fontSize: 12 }}
                fill="var(--second)"
              >
                rail
              </text>
              <text
                x={railX - 10}
                y={FEED_Y + 92}
                textAnchor="end"
                style={{ font: '500 15px var(--font-sans)' }}
              >
                {pressure(solution.elements[injectors.id]!.inletPressure)}
              </text>
              <text
                x={railX - 10}
                y={FEED_Y + 112}
                textAnchor="end"
                style={{ fontSize: 12 }}
                fill="var(--second)"
              >
                injected
              </text>
              <text x={railX - 10} y={FEED_Y + 130} textAnchor="end" style={{ fontSize: 14 }}>
                {flow(solution.elements[injectors.id]!.massFlow)}
              </text>
            </>
          )}
        </g>
      )}
      {placed.map(({ element, x0, x1, y }, n) => {
        const middle = (x0 + x1) / 2;
        const state = solution?.elements[element.id];
        const style = element.kind === 'line' ? lineStyle[element.role] : undefined;
        const isSelected = selected === element.id;
        const trouble = troubled.get(element.id);
        // Labels stand in two heights so that neighbours do not touch.
        const labelY = y === FEED_Y ? y - (n % 2 === 0 ? 62 : 34) : y + (n % 2 === 0 ? 34 : 62);
        const showValue = state && element.kind !== 'fitting';
        return (
          <g key={element.id} {...pick(element.id)} aria-label={element.name}>
            <rect
              x={Math.min(x0, x1)}
              y={y - 26}
              width={Math.abs(x1 - x0)}
              height="52"
              fill="transparent"
            />
            <line
              x1={x0}
              x2={x1}
              y1={y}
              y2={y}
              stroke={style?.colour ?? 'var(--ink)'}
              strokeWidth={isSelected && style ? 5 : style ? 3 : 1.5}
              strokeDasharray={style?.dash}
            />
            {style ? (
              <g>
                <rect
                  x={middle - 8}
                  y={y - 9}
                  width="16"
                  height="18"
                  fill="var(--paper)"
                  stroke={style.colour}
                  strokeWidth={isSelected ? 3 : 1.5}
                />
                <text
                  x={middle}
                  y={y + 5}
                  textAnchor="middle"
                  style={{ font: '500 13px var(--font-sans)' }}
                >
                  {style.letter}
                </text>
              </g>
            ) : (
              <g transform={`translate(${middle} ${y})`}>
                <Symbol element={element} selected={isSelected} />
              </g>
            )}
            <line
              x1={middle}
              x2={middle}
              y1={y === FEED_Y ? y - 20 : y + 20}
              y2={y === FEED_Y ? labelY + 18 : labelY - 12}
              stroke="var(--hair)"
              strokeWidth="0.75"
            />
            <text
              x={middle}
              y={labelY}
              textAnchor="middle"
              style={isSelected ? { font: '500 12px var(--font-narrow)' } : undefined}
            >
              {element.name.replace(/^(Fuel|Pressure) /, '').replace(/^./, (c) => c.toUpperCase())}
            </text>
            {showValue && (
              <text x={middle} y={labelY + 14} textAnchor="middle" fill="var(--second)">
                {element.kind === 'pump'
                  ? `+${pressure(-state.pressureDrop)}`
                  : element.kind === 'regulator'
                    ? flow(state.massFlow)
                    : `−${pressure(Math.max(0, state.pressureDrop))}`}
              </text>
            )}
            {trouble && (
              <path
                d={`M${middle + 20} ${y - 20}l5 5l-5 5l-5 -5Z`}
                fill={trouble === 'stop' ? 'var(--signal)' : 'none'}
                stroke="var(--signal)"
                strokeWidth="1.5"
              />
            )}
          </g>
        );
      })}
      {atTank && (
        <g aria-hidden="true">
          <path
            d={`M${(atTank.x0 + atTank.x1) / 2} ${FEED_Y + 12}V${RETURN_Y - 70}H${TANK.x + TANK.width}`}
            fill="none"
            stroke={lineStyle.return.colour}
            strokeWidth="3"
            strokeDasharray={lineStyle.return.dash}
          />
          <text x={TANK.x + TANK.width + 12} y={RETURN_Y - 78} fill="var(--second)">
            back to the tank
          </text>
          {bypass && (
            <text x={TANK.x + TANK.width + 12} y={RETURN_Y - 52} style={{ fontSize: 14 }}>
              {flow(bypass.massFlow)}
            </text>
          )}
        </g>
      )}
      {solution &&
        placed.slice(0, -1).map(({ element, x1, y }, i) => {
          const next = placed[i + 1]!;
          if (next.y !== y) return null;
          return (
            <g key={`node-${element.id}`} aria-hidden="true">
              <circle cx={x1} cy={y} r="2.5" fill="var(--ink)" />
            </g>
          );
        })}
    </svg>
  );
}
