import {
  type RelayPin,
  type SizedWire,
  type Terminal,
  type ToldFeed,
  valueUnder,
  formatMeasure,
  terminalText,
} from '@brookrain/core';
import { walkKeys } from '../../ui/walkKeys.ts';
import { useUnits } from '../../ui/preferences.ts';

const W = 764;
const H = 440;

type Point = readonly [number, number];
const roleStyle: Record<string, { colour: string; dash?: string; letter: string }> = {
  supply: { colour: 'var(--line-supply)', letter: '+' },
  keyed: { colour: 'var(--line-keyed)', dash: '9 3', letter: 'K' },
  triggered: { colour: 'var(--line-triggered)', dash: '6 2 2 2', letter: 'T' },
  ground: { colour: 'var(--line-ground)', letter: 'G' },
};

const relayPins: Record<RelayPin, Point> = {
  '30': [620, 90],
  '87': [620, 150],
  '86': [580, 270],
  '85': [660, 270],
};

/** Where each kind of terminal stands on the sheet. */
function terminalAt(terminal: Terminal): Point {
  switch (terminal.of) {
    case 'battery':
      return [70, 90];
    case 'main-fuse':
      return [190, 90];
    case 'stud':
      return [310, 90];
    case 'fuse':
      return [418, 90];
    case 'relay':
      return relayPins[terminal.pin];
    case 'keyed-feed':
      return [130, 270];
    case 'inertia-switch':
      return [310, 270];
    case 'ecu':
      return [450, 345];
    case 'panel-ground':
      return [660, 350];
    case 'pump-ground':
      return [716, 410];
    case 'pump':
      return terminal.pole === '−' ? [716, 235] : [716, 150];
    case 'part':
      return [190, 345];
  }
}

/** Right-angled path between two terminals. */
function pathOf(from: Point, to: Point): { d: string; middle: Point } {
  if (from[1] === to[1] || from[0] === to[0]) {
    return {
      d: `M${from[0]} ${from[1]}L${to[0]} ${to[1]}`,
      middle: [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2],
    };
  }
  return {
    d: `M${from[0]} ${from[1]}V${to[1]}H${to[0]}`,
    middle: [(from[0] + to[0]) / 2, to[1]],
  };
}

/** The relay's box: labels stand beside it, not across its edge. */
const relayBox = { left: 556, right: 682 } as const;

/** Where the words of a wire stand, clear of the relay's box. */
function labelAt(
  from: Terminal,
  to: Terminal,
): { x: number; y: number; textAnchor: 'middle' | 'end' } {
  const [x0] = terminalAt(from);
  const [x1, y1] = terminalAt(to);
  const { middle } = pathOf(terminalAt(from), terminalAt(to));
  if (x0 === x1) return { x: x1 - 14, y: y1 - 34, textAnchor: 'end' };
  if (to.of === 'pump') return { x: W - 4, y: y1 - 14, textAnchor: 'end' };
  if (to.of === 'relay' && x0 < relayBox.left) {
    return { x: (x0 + relayBox.left) / 2, y: middle[1] - 14, textAnchor: 'middle' };
  }
  return { x: middle[0], y: middle[1] - 14, textAnchor: 'middle' };
}

/** What stands under a terminal that stands alone. */
function nameOf(terminal: Terminal, ecuName: string): string {
  switch (terminal.of) {
    case 'battery':
      return 'Battery +';
    case 'main-fuse':
      return 'Main fuse';
    case 'stud':
      return 'Stud';
    case 'fuse':
      return 'Pump fuse';
    case 'keyed-feed':
      return 'Keyed feed';
    case 'inertia-switch':
      return 'Inertia switch';
    case 'ecu':
      return `${ecuName}, ${terminal.pin}`;
    case 'panel-ground':
    case 'pump-ground':
      return 'Ground';
    case 'part':
      return terminal.name;
    case 'relay':
    case 'pump':
      return '';
  }
}

function TerminalShape({ terminal, at: [x, y] }: { terminal: Terminal; at: Point }) {
  switch (terminal.of) {
    case 'main-fuse':
    case 'fuse':
      return (
        <rect
          x={x - 17}
          y={y - 8}
          width="34"
          height="16"
          fill="var(--paper)"
          stroke="var(--ink)"
          strokeWidth="1.5"
        />
      );
    case 'battery':
      return (
        <path
          d={`M${x - 14} ${y - 14}V${y + 14}M${x - 22} ${y - 7}V${y + 7}`}
          stroke="var(--ink)"
          strokeWidth="3"
        />
      );
    case 'panel-ground':
    case 'pump-ground':
      return (
        <path
          d={`M${x - 12} ${y}H${x + 12}M${x - 7} ${y + 5}H${x + 7}M${x - 2} ${y + 10}H${x + 2}`}
          stroke="var(--ink)"
          strokeWidth="1.5"
        />
      );
    case 'inertia-switch':
      return (
        <path
          d={`M${x - 16} ${y}h8l14 -9m-2 9h12`}
          stroke="var(--ink)"
          strokeWidth="1.5"
          fill="var(--paper)"
        />
      );
    case 'stud':
    case 'relay':
    case 'pump':
    case 'keyed-feed':
    case 'part':
    case 'ecu':
      return (
        <circle cx={x} cy={y} r="4.5" fill="var(--paper)" stroke="var(--ink)" strokeWidth="1.5" />
      );
  }
}

/** A terminal with its name. */
function TerminalMark({ terminal, ecuName }: { terminal: Terminal; ecuName: string }) {
  const at = terminalAt(terminal);
  const [x, y] = at;
  const name = nameOf(terminal, ecuName);
  const ground = terminal.of === 'panel-ground' || terminal.of === 'pump-ground';
  return (
    <g aria-hidden="true">
      <TerminalShape terminal={terminal} at={at} />
      {name && (
        <text
          x={ground ? x - 18 : x}
          y={ground ? y + 6 : y + 28}
          textAnchor={ground ? 'end' : 'middle'}
        >
          {name}
        </text>
      )}
    </g>
  );
}

type Props = {
  feed: ToldFeed;
  wires: readonly SizedWire[];
  selected: string;
  select: (wireId: string) => void;
  troubled: ReadonlyMap<string, 'stop' | 'warn' | 'note'>;
  ecuName: string;
  pumpName: string;
};

/** The pump's circuit from battery to ground with its trigger, every wire with size and length. */
export function WiringDrawing({
  feed,
  wires,
  selected,
  select,
  troubled,
  ecuName,
  pumpName,
}: Props) {
  const [units] = useUnits();
  const walk = walkKeys(
    wires.map((w) => w.wire.id),
    selected,
    select,
  );
  const terminals = new Map(
    wires
      .flatMap((w) => [w.wire.from.terminal, w.wire.to.terminal])
      .map((terminal) => [terminalText(terminal), terminal]),
  );
  return (
    <svg
      viewBox={`0 0 ${W} ${H}`}
      className="w-full"
      role="listbox"
      aria-label="Wires of the pump circuit"
      tabIndex={0}
      onKeyDown={walk}
    >
      <g aria-hidden="true">
        <rect
          x="556"
          y="62"
          width="126"
          height="216"
          fill="var(--panel)"
          stroke="var(--edge)"
          strokeWidth="0.75"
        />
        <text x="619" y="54" textAnchor="middle">
          Relay {feed.feed.relay.id}
        </text>
        <text x="630" y="94">
          30
        </text>
        <text x="608" y="154" textAnchor="end">
          87
        </text>
        <text x="588" y="266">
          86
        </text>
        <text x="652" y="266" textAnchor="end">
          85
        </text>
        <path
          d="M620 94V108L606 136M620 138V150"
          stroke="var(--ink)"
          strokeWidth="1.5"
          fill="none"
        />
        <path
          d="M580 270V215H595M645 215H660V270"
          stroke="var(--ink)"
          strokeWidth="1.5"
          fill="none"
        />
        <rect
          x="595"
          y="202"
          width="50"
          height="26"
          fill="var(--paper)"
          stroke="var(--ink)"
          strokeWidth="1.5"
        />
        <text x="620" y="219" textAnchor="middle">
          coil
        </text>
        <path d="M612 202V126" stroke="var(--edge)" strokeWidth="0.75" strokeDasharray="3 3" />
        <rect
          x="690"
          y="162"
          width="60"
          height="62"
          fill="var(--panel)"
          stroke="var(--ink)"
          strokeWidth="1.5"
        />
        <path d="M706 180 730 193 706 206Z" fill="var(--moss)" />
        <path d="M716 150V162M716 224V235" stroke="var(--ink)" strokeWidth="1.5" />
        <text x="722" y="118" textAnchor="middle">
          {pumpName}
        </text>
      </g>
      {wires.map((sized) => {
        const style = valueUnder(roleStyle, sized.wire.role);
        const { d, middle } = pathOf(
          terminalAt(sized.wire.from.terminal),
          terminalAt(sized.wire.to.terminal),
        );
        const isSelected = selected === sized.wire.id;
        const trouble = troubled.get(sized.wire.id);
        const label = `${sized.size.size}, ${formatMeasure({ value: sized.task.length, kind: 'length' }, units)}`;
        return (
          <g
            key={sized.wire.id}
            role="option"
            aria-selected={isSelected}
            aria-label={`${sized.wire.name}, ${label}`}
            className="cursor-pointer"
            onClick={() => select(sized.wire.id)}
          >
            <path d={d} fill="none" stroke="transparent" strokeWidth="26" />
            {isSelected && <path d={d} fill="none" stroke="var(--wash)" strokeWidth="13" />}
            <path
              d={d}
              fill="none"
              stroke={style.colour}
              strokeWidth={isSelected ? 4 : 2.5}
              strokeDasharray={style.dash}
            />
            <rect
              x={middle[0] - 7}
              y={middle[1] - 8}
              width="14"
              height="16"
              fill="var(--paper)"
              stroke={style.colour}
              strokeWidth="0.75"
            />
            <text x={middle[0]} y={middle[1] + 4} textAnchor="middle">
              {style.letter}
            </text>
            <text
              {...labelAt(sized.wire.from.terminal, sized.wire.to.terminal)}
              style={isSelected ? { font: '500 12px var(--font-narrow)' } : undefined}
            >
              {label}
            </text>
            {trouble && (
              <path
                d={`M${middle[0] + 16} ${middle[1] - 5}l5 5l-5 5l-5 -5Z`}
                fill={trouble === 'stop' ? 'var(--signal)' : 'none'}
                stroke="var(--signal)"
                strokeWidth="1.5"
              />
            )}
          </g>
        );
      })}
      {[...terminals].map(([text, terminal]) => (
        <TerminalMark key={text} terminal={terminal} ecuName={ecuName} />
      ))}
      <text x="190" y="94" textAnchor="middle" style={{ font: '500 12px var(--font-narrow)' }}>
        {feed.mainFuse.rating} A
      </text>
      <text x="418" y="94" textAnchor="middle" style={{ font: '500 12px var(--font-narrow)' }}>
        {feed.fuse.fuse.rating} A
      </text>
      <g fill="var(--second)" aria-hidden="true">
        <text x="14" y={H - 44} fill="var(--second)">
          + supply
        </text>
        <text x="80" y={H - 44} fill="var(--second)">
          K keyed
        </text>
        <text x="140" y={H - 44} fill="var(--second)">
          T triggered
        </text>
        <text x="216" y={H - 44} fill="var(--second)">
          G ground
        </text>
      </g>
    </svg>
  );
}
