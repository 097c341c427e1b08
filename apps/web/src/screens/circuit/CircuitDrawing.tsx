import {
  type ToldFluid,
  type FuelCircuit,
  type ToldSolved,
  formatMeasure,
  fuelLabel,
  railsOf,
  tankOf,
  circuitOf,
  elementOf,
  type CircuitLayout,
  circuitSheet,
  layOutCircuit,
} from '@brookrain/core';
import { useMemo } from 'react';
import { useBuild } from '../../build/BuildContext.ts';
import { worstBy } from '../../build/worstBy.ts';
import { walkKeys } from '../../ui/walkKeys.ts';
import { useUnits } from '../../ui/preferences.ts';
import { ElementMark } from './ElementMark.tsx';
import { RailMark } from './RailMark.tsx';
import { lineStyle } from './lineStyle.ts';

type Props = {
  circuit: FuelCircuit;
  fluid: ToldFluid;
  solution: ToldSolved | undefined;
  selected: string;
  select: (id: string) => void;
};

/** The tank at the left edge, from the feed row down to the return. */
function TankMark({
  layout,
  fuel,
  selected,
}: {
  layout: CircuitLayout;
  fuel: string;
  selected: boolean;
}) {
  const { tankX, tankWidth, feedY } = circuitSheet;
  const centre = tankX + tankWidth / 2;
  return (
    <>
      <path
        d={`M${tankX} ${feedY - 34}H${tankX + tankWidth}V${layout.returnY + 26}H${tankX}Z`}
        fill="var(--panel)"
        stroke="var(--ink)"
        strokeWidth={selected ? 3 : 1.5}
      />
      <path
        d={`M${tankX + 4} ${feedY + 50}q10-6 20 0t20 0t20 0t18 0`}
        fill="none"
        stroke="var(--moss)"
        strokeWidth="1.5"
      />
      <text x={centre} y={feedY + 100} textAnchor="middle" style={{ fontSize: 13 }}>
        Tank
      </text>
      <text x={centre} y={feedY + 118} textAnchor="middle" fill="var(--second)">
        {fuel}
      </text>
    </>
  );
}

/** The engine at the right edge. */
function EngineMark({ layout }: { layout: CircuitLayout }) {
  const x = circuitSheet.railX + 20;
  return (
    <g aria-hidden="true">
      <rect
        x={x}
        y={circuitSheet.feedY + 4}
        width="62"
        height={layout.returnY - circuitSheet.feedY - 26}
        fill="var(--panel)"
        stroke="var(--ink)"
        strokeWidth="1.5"
      />
      <text x={x + 31} y={layout.returnY - 40} textAnchor="middle" style={{ fontSize: 13 }}>
        Engine
      </text>
    </g>
  );
}

/** What a filter-regulator at the tank lets back. */
function TankSideBypass({ x, flow, returnY }: { x: number; flow: string; returnY: number }) {
  const tank = circuitSheet.tankX + circuitSheet.tankWidth;
  return (
    <g aria-hidden="true">
      <path
        d={`M${x} ${circuitSheet.feedY + 12}V${returnY - 70}H${tank}`}
        fill="none"
        stroke={lineStyle.return.colour}
        strokeWidth="3"
        strokeDasharray={lineStyle.return.dash}
      />
      <text x={tank + 12} y={returnY - 78} fill="var(--second)">
        back to the tank
      </text>
      <text x={tank + 12} y={returnY - 52} style={{ fontSize: 14 }}>
        {flow}
      </text>
    </g>
  );
}

/** The fuel run from tank to engine and back, with live pressure and flow at each element. */
export function CircuitDrawing({ circuit, fluid, solution, selected, select }: Props) {
  const { evaluation } = useBuild();
  const [units] = useUnits();
  const layout = useMemo(() => layOutCircuit(circuit), [circuit]);
  const tank = tankOf(circuit);
  const rails = railsOf(circuit);
  const ids = [tank?.id, ...layout.steps.map((p) => p.step.id), ...rails.map((r) => r.id)];
  const order = [...new Set(ids.filter((id): id is string => id !== undefined))];
  const walk = walkKeys(order, selected, select);
  const density = fluid.design.fuel.hot.density;
  const pressure = (value: number): string => formatMeasure({ value, kind: 'pressure' }, units);
  const flow = (massFlow: number): string =>
    formatMeasure({ value: massFlow / density, kind: 'volumeFlow' }, units);
  const troubled = worstBy(
    evaluation.findings.filter(({ severity }) => severity !== 'note'),
    (where) => (circuitOf(where) === circuit.id ? elementOf(where) : undefined),
  );
  const rows = new Map<number, number>();
  for (const { lane } of layout.steps) rows.set(lane, (rows.get(lane) ?? 0) + 1);
  const atTank = layout.steps.find((p) => p.step.element.kind === 'filter-regulator');
  // Where it has a return line of its own, that is drawn as any other.
  const isDirect =
    atTank?.step.element.kind === 'filter-regulator' &&
    atTank.step.element.returnNode === tank?.returnNode;
  const bypass = atTank && solution?.elements[`${atTank.step.id}~bypass`];
  const injectorsOn = (railId: string): number => {
    const rail = rails.find((r) => r.id === railId);
    const row = fluid.design.rows.find((r) => r.row.id === rail?.rowId);
    const shared = rails.filter((r) => r.rowId === rail?.rowId).length;
    // More than twelve would not be told apart.
    return Math.min(12, Math.max(1, Math.round((row?.row.count ?? 1) / shared)));
  };
  const pick = (id: string, name: string) => ({
    role: 'option' as const,
    'aria-selected': selected === id,
    'aria-label': name,
    className: 'cursor-pointer',
    onClick: () => select(id),
  });
  return (
    <svg
      viewBox={`0 0 ${circuitSheet.width} ${layout.height}`}
      className="w-full"
      role="listbox"
      aria-label="Fuel run from tank to engine"
      tabIndex={0}
      onKeyDown={walk}
    >
      {tank && (
        <g {...pick(tank.id, tank.name)}>
          <TankMark
            layout={layout}
            fuel={fuelLabel(fluid.design.fuel.fuel)}
            selected={selected === tank.id}
          />
        </g>
      )}
      <EngineMark layout={layout} />
      {layout.drops.map((drop, i) => (
        <line
          key={i}
          x1={drop.x}
          x2={drop.x}
          y1={drop.y0}
          y2={drop.y1}
          {...(atTank && !isDirect && drop.y1 === layout.returnY
            ? {
                stroke: lineStyle.return.colour,
                strokeWidth: 3,
                strokeDasharray: lineStyle.return.dash,
              }
            : { stroke: 'var(--ink)', strokeWidth: 1.5 })}
        />
      ))}
      {layout.rails.map((rail) => (
        <g
          key={rail.elementId}
          {...pick(rail.elementId, rails.find((r) => r.id === rail.elementId)!.name)}
        >
          <RailMark
            rail={rail}
            count={injectorsOn(rail.elementId)}
            selected={selected === rail.elementId}
            state={solution?.elements[rail.elementId]}
            alone={rails.length === 1}
            pressure={pressure}
            flow={flow}
          />
        </g>
      ))}
      {layout.steps.map((placed) => {
        const { step } = placed;
        return (
          <g key={`${step.id}:${step.from}`} {...pick(step.id, step.name)}>
            <ElementMark
              placed={placed}
              inRow={rows.get(placed.lane)!}
              state={solution?.elements[step.id]}
              selected={selected === step.id}
              trouble={troubled.get(step.id)}
              pressure={pressure}
              flow={flow}
            />
          </g>
        );
      })}
      {atTank && isDirect && (
        <TankSideBypass
          x={(atTank.x0 + atTank.x1) / 2}
          flow={bypass ? flow(bypass.massFlow) : ''}
          returnY={layout.returnY}
        />
      )}
      {layout.steps.map(({ step, x1, y }) => (
        <circle key={`node-${step.id}:${step.from}`} cx={x1} cy={y} r="2.5" fill="var(--ink)" />
      ))}
    </svg>
  );
}
