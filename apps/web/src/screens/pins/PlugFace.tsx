import type { PinUseOnSheet } from '@brookrain/core';

const STEP = 44;
const ROW = 40;

type Props = {
  plug: string;
  pins: readonly PinUseOnSheet[];
  /** seen from where the wires come in: left and right are the other way round */
  fromWires: boolean;
  selected: string | undefined;
  select: (pinId: string) => void;
};

/** The face of a plug with its cavities, taken, free or in trouble. */
export function PlugFace({ plug, pins, fromWires, selected, select }: Props) {
  const columns = Math.max(...pins.map(({ pin }) => pin.column));
  const rows = Math.max(...pins.map(({ pin }) => pin.row));
  const width = columns * STEP + 12;
  const height = rows * ROW + 12;
  const at = (column: number): number => (fromWires ? columns - column : column - 1) * STEP + 6;
  return (
    <figure className="mt-3">
      <figcaption className="text-[13px] text-second">
        Plug {plug}, {pins.length} cavities
      </figcaption>
      <svg
        viewBox={`0 0 ${width} ${height}`}
        style={{ maxWidth: width }}
        className="w-full"
        role="listbox"
        aria-label={`Cavities of connector ${plug}`}
      >
        <rect
          x="1"
          y="1"
          width={width - 2}
          height={height - 2}
          rx="6"
          fill="var(--panel)"
          stroke="var(--edge)"
        />
        {pins.map(({ pin, uses, troubled }) => {
          const x = at(pin.column);
          const y = (pin.row - 1) * ROW + 6;
          const taken = uses.length > 0;
          const words = `${pin.id}, ${pin.name}: ${taken ? uses.join(', ') : 'free'}`;
          return (
            <g
              key={pin.id}
              role="option"
              tabIndex={0}
              aria-selected={pin.id === selected}
              aria-label={words}
              className="cursor-pointer"
              onClick={() => select(pin.id)}
              onKeyDown={(event) => {
                if (event.key === 'Enter' || event.key === ' ') {
                  event.preventDefault();
                  select(pin.id);
                }
              }}
            >
              <title>{words}</title>
              <rect
                x={x + 2}
                y={y + 2}
                width={STEP - 4}
                height={ROW - 4}
                rx="3"
                fill={taken ? 'var(--wash)' : 'var(--paper)'}
                stroke={
                  troubled ? 'var(--signal)' : pin.id === selected ? 'var(--moss)' : 'var(--edge)'
                }
                strokeWidth={troubled || pin.id === selected ? 2.5 : 0.75}
              />
              <text x={x + STEP / 2} y={y + ROW / 2 + 4} textAnchor="middle">
                {pin.id}
              </text>
              {!taken && (
                <path
                  d={`M${x + STEP / 2 - 4} ${y + ROW - 9}h8`}
                  stroke="var(--second)"
                  strokeWidth="1"
                />
              )}
            </g>
          );
        })}
      </svg>
    </figure>
  );
}
