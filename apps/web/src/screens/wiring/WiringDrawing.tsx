import { type SizedPumpFeed, type SizedWire, formatMeasure } from '@brookrain/core';
import { useWalk } from '../../ui/useWalk.ts';
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

/** Where each kind of terminal stands on the sheet. */
function terminalAt(terminal: string): Point {
  if (terminal.startsWith('battery')) return [70, 90];
  if (terminal === 'main fuse') return [190, 90];
  if (terminal === 'power stud') return [310, 90];
  if (terminal.endsWith(' fuse')) return [430, 90];
  if (terminal.endsWith('relay 30')) return [545, 90];
  if (terminal.endsWith('relay 87')) return [545, 150];
  if (terminal.endsWith('relay 86')) return [495, 270];
  if (terminal.endsWith('relay 85')) return [595, 270];
  if (terminal === 'keyed feed') return [130, 270];
  if (terminal === 'inertia switch') return [310, 270];
  if (terminal.startsWith('ECU')) return [700, 330];
  if (terminal === 'panel ground') return [595, 360];
  if (terminal.endsWith('ground')) return [700, 400];
  return terminal.endsWith('−') ? [700, 235] : [700, 150];
}

/** Right-angled path between two terminals. */
function pathOf(from: Point, to: Point): { d: string; middle: Point } {
  if (from[1] === to[1] || from[0] === to[0]) {
    return { d: `M${from[0]} ${from[1]}L${to[0]} ${to[1]}`, middle: [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2] };
  }
  return {
    d: `M${from[0]} ${from[1]}V${to[1]}H${to[0]}`,
    middle: [(from[0] + to[0]) / 2, to[1]],
  };
}

const below: Record<string, string> = {
  'battery +': 'Battery +',
  'main fuse': 'Main fuse',
  'power stud': 'Stud',
  'keyed feed': 'Keyed feed',
  'inertia switch': 'Inertia switch',
};

/** Labels under the terminals that stand alone. */
function TerminalMark({ terminal, ecuName }: { terminal: string; ecuName: string }) {
  const [x, y] = terminalAt(terminal);
  const name = below[terminal] ?? (terminal.startsWith('ECU') ? `${ecuName}, ${terminal.slice(4)}` : terminal.endsWith(' fuse') ? 'Pump fuse' : terminal.endsWith('ground') ? 'Ground' : '');
  const fuse = terminal.endsWith('fuse');
  return (
    <g aria-hidden="true">
      {fuse ? (
        <rect x={x - 17} y={y - 8} width="34" height="16" fill="var(--paper)" stroke="var(--ink)" strokeWidth="1.5" />
      ) : terminal.startsWith('battery') ? (
        <path d={`M${x - 14} ${y - 14}V${y + 14}M${x - 22} ${y - 7}V${y + 7}`} stroke="var(--ink)" strokeWidth="3" />
      ) : terminal.endsWith('ground') ? (
        <path d={`M${x - 12} ${y}H${x + 12}M${x - 7} ${y + 5}H${x + 7}M${x - 2} ${y + 10}H${x + 2}`} stroke="var(--ink)" strokeWidth="1.5" />
      ) : terminal === 'inertia switch' ? (
        <path d={`M${x - 16} ${y}h8l14 -9m-2 9h12`} stroke="var(--ink)" strokeWidth="1.5" fill="var(--paper)" />
      ) : (
        <circle cx={x} cy={y} r="4.5" fill="var(--paper)" stroke="var(--ink)" strokeWidth="1.5" />
      )}
      {name && (
        <text x={terminal.endsWith('ground') ? x - 18 : x} y={terminal.endsWith('ground') ? y + 6 : y + 28} textAnchor={terminal.endsWith('ground') ? 'end' : 'middle'}>
          {name}
        </text>
      )}
    </g>
  );
}

type Props = {
  feed: SizedPumpFeed;
  wires: readonly SizedWire[];
  selected: string;
  select: (wireId: string) => void;
  troubled: ReadonlyMap<string, 'stop' | 'warn' | 'note'>;
  ecuName: string;
  pumpName: string;
};

/** The pump's circuit from battery to ground with its trigger, every wire with size and length. */
export function WiringDrawing({ feed, wires, selected, select, troubled, ecuName, pumpName }: Props) {
  const [units] = useUnits();
  const walk = useWalk(wires.map((w) => w.wire.id), selected, select);
  const terminals = [...new Set(wires.flatMap((w) => [w.wire.from.terminal, w.wire.to.terminal]))];
  return (
    <svg viewBox={`0 0 ${W} ${H}`} className="w-full" role="listbox" aria-label="Wires of the pump circuit" tabIndex={0} onKeyDown={walk}>
      <g aria-hidden="true">
        <rect x="470" y="58" width="150" height="232" fill="var(--panel)" stroke="var(--edge)" strokeWidth="0.75" />
        <text x="478" y="74">Relay {feed.feed.relay.id}</text>
        <text x="555" y="94">30</text>
        <text x="555" y="154">87</text>
        <text x="490" y="292" textAnchor="end">86</text>
        <text x="602" y="292">85</text>
        <path d="M545 94V110L558 138M545 138V150" stroke="var(--ink)" strokeWidth="1.5" fill="none" />
        <path d="M495 270V225H520M570 225H595V270" stroke="var(--ink)" strokeWidth="1.5" fill="none" />
        <rect x="520" y="212" width="50" height="26" fill="var(--paper)" stroke="var(--ink)" strokeWidth="1.5" />
        <text x="545" y="229" textAnchor="middle">coil</text>
        <path d="M545 212V130" stroke="var(--edge)" strokeWidth="0.75" strokeDasharray="3 3" />
        <rect x="668" y="150" width="64" height="85" fill="var(--panel)" stroke="var(--ink)" strokeWidth="1.5" />
        <path d="M690 180 714 192 690 204Z" fill="var(--moss)" />
        <text x="700" y="140" textAnchor="middle">{pumpName}</text>
      </g>
      {wires.map((sized) => {
        const style = roleStyle[sized.wire.role]!;
        const { d, middle } = pathOf(terminalAt(sized.wire.from.terminal), terminalAt(sized.wire.to.terminal));
        const isSelected = selected === sized.wire.id;
        const trouble = troubled.get(sized.wire.id);
        const vertical = terminalAt(sized.wire.from.terminal)[0] === terminalAt(sized.wire.to.terminal)[0];
        const label = `${sized.size.size}, ${formatMeasure({ value: sized.task.length, kind: 'length' }, units)}`;
        return (
          <g key={sized.wire.id} role="option" aria-selected={isSelected} aria-label={`${sized.wire.name}, ${label}`} className="cursor-pointer" onClick={() => select(sized.wire.id)}>
            <path d={d} fill="none" stroke="transparent" strokeWidth="26" />
            {isSelected && <path d={d} fill="none" stroke="var(--wash)" strokeWidth="13" />}
            <path d={d} fill="none" stroke={style.colour} strokeWidth={isSelected ? 4 : 2.5} strokeDasharray={style.dash} />
            <rect x={middle[0] - 7} y={middle[1] - 8} width="14" height="16" fill="var(--paper)" stroke={style.colour} strokeWidth="0.75" />
            <text x={middle[0]} y={middle[1] + 4} textAnchor="middle">{style.letter}</text>
            <text x={vertical ? middle[0] - 14 : middle[0]} y={vertical ? middle[1] + 4 : middle[1] - 14} textAnchor={vertical ? 'end' : 'middle'} style={isSelected ? { font: '500 12px var(--font-narrow)' } : undefined}>
              {label}
            </text>
            {trouble && (
              <path d={`M${middle[0] + 16} ${middle[1] - 5}l5 5l-5 5l-5 -5Z`} fill={trouble === 'stop' ? 'var(--signal)' : 'none'} stroke="var(--signal)" strokeWidth="1.5" />
            )}
          </g>
        );
      })}
      {terminals.map((terminal) => (
        <TerminalMark key={terminal} terminal={terminal} ecuName={ecuName} />
      ))}
      <text x="190" y="76" textAnchor="middle" style={{ font: '500 13px var(--font-sans)' }}>{feed.mainFuse.rating} A</text>
      <text x="430" y="76" textAnchor="middle" style={{ font: '500 13px var(--font-sans)' }}>{feed.fuse.fuse.rating} A</text>
      <g fill="var(--second)" aria-hidden="true">
        <text x="14" y={H - 44} fill="var(--second)">+ supply</text>
        <text x="80" y={H - 44} fill="var(--second)">K keyed</text>
        <text x="140" y={H - 44} fill="var(--second)">T triggered</text>
        <text x="216" y={H - 44} fill="var(--second)">G ground</text>
      </g>
    </svg>
  );
}
