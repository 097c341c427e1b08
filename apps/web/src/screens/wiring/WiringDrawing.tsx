import { type SizedWire, type ToldFeed, formatMeasure, valueUnder } from '@brookrain/core';
import { walkKeys } from '../../ui/walkKeys.ts';
import { useUnits } from '../../ui/preferences.ts';
import { H, type Mark, feedMarks, feedWidth, labelAt, pathOf } from './feedSheet.ts';

const styles: Record<string, { colour: string; dash?: string; letter: string }> = {
  supply: { colour: 'var(--line-supply)', letter: '+' },
  coil: { colour: 'var(--line-keyed)', dash: '9 3', letter: 'K' },
  triggered: { colour: 'var(--line-triggered)', dash: '6 2 2 2', letter: 'T' },
  ground: { colour: 'var(--line-ground)', letter: 'G' },
};

function MarkShape({ kind, at: [x, y] }: Mark) {
  switch (kind) {
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
    case 'ground':
      return (
        <path
          d={`M${x - 12} ${y}H${x + 12}M${x - 7} ${y + 5}H${x + 7}M${x - 2} ${y + 10}H${x + 2}`}
          stroke="var(--ink)"
          strokeWidth="1.5"
        />
      );
    case 'switch':
      return (
        <path
          d={`M${x - 16} ${y}h8l14 -9m-2 9h12`}
          stroke="var(--ink)"
          strokeWidth="1.5"
          fill="var(--paper)"
        />
      );
    case 'splice':
      return <circle cx={x} cy={y} r="4.5" fill="var(--ink)" />;
    case 'stud':
    case 'pin':
    case 'controller':
    case 'other':
      return (
        <circle cx={x} cy={y} r="4.5" fill="var(--paper)" stroke="var(--ink)" strokeWidth="1.5" />
      );
  }
}

/** An end of wires with its name. */
function NamedMark(mark: Mark) {
  const [x, y] = mark.at;
  const beside = mark.kind === 'ground';
  return (
    <g aria-hidden="true">
      <MarkShape {...mark} />
      {mark.name && (
        <text
          x={beside ? x - 18 : x}
          y={beside ? y + 6 : y + 28}
          textAnchor={beside ? 'end' : 'middle'}
        >
          {mark.name}
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
  const marks = feedMarks(feed, wires, ecuName);
  const sheet = feedWidth(feed);
  const { width, pumpX } = sheet;
  const ofCoil = new Set(feed.coil.flatMap((group) => group.wires.map(({ wire }) => wire.id)));
  const atEnd = (node: string) => marks.get(node)?.at ?? ([380, 345] as const);
  return (
    <svg
      viewBox={`0 0 ${width} ${H}`}
      className="w-full"
      role="listbox"
      aria-label="Wires of the pump circuit"
      tabIndex={0}
      onKeyDown={walk}
    >
      <g aria-hidden="true">
        {feed.relay && (
          <>
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
              Relay {feed.relay.id}
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
          </>
        )}
        <rect
          x={pumpX - 26}
          y="162"
          width="60"
          height="62"
          fill="var(--panel)"
          stroke="var(--ink)"
          strokeWidth="1.5"
        />
        <path d={`M${pumpX - 10} 180 ${pumpX + 14} 193 ${pumpX - 10} 206Z`} fill="var(--moss)" />
        <path d={`M${pumpX} 150V162M${pumpX} 224V235`} stroke="var(--ink)" strokeWidth="1.5" />
        <text x={pumpX + 6} y="118" textAnchor="middle">
          {pumpName}
        </text>
      </g>
      {wires.map((sized) => {
        const { from, to, role } = sized.wire;
        const ends = [atEnd(from.node), atEnd(to.node)] as const;
        const isCoilFeed = role === 'supply' && ofCoil.has(sized.wire.id);
        const style = valueUnder(styles, isCoilFeed ? 'coil' : role in styles ? role : 'supply');
        const { d, middle } = pathOf(...ends);
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
              {...labelAt(...ends, sheet)}
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
      {[
        ...new Map([...marks.values()].map((each) => [`${each.at.join()} ${each.name}`, each])),
      ].map(([key, each]) => (
        <NamedMark key={key} {...each} />
      ))}
      <text x="190" y="94" textAnchor="middle" style={{ font: '500 12px var(--font-narrow)' }}>
        {feed.mainFuse.rating} A
      </text>
      {feed.fuse && (
        <text x="418" y="94" textAnchor="middle" style={{ font: '500 12px var(--font-narrow)' }}>
          {feed.fuse.fuse.rating} A
        </text>
      )}
      <g fill="var(--second)" aria-hidden="true">
        <text x="14" y={H - 44} fill="var(--second)">
          + supply
        </text>
        <text x="80" y={H - 44} fill="var(--second)">
          K coil feed
        </text>
        <text x="152" y={H - 44} fill="var(--second)">
          T triggered
        </text>
        <text x="228" y={H - 44} fill="var(--second)">
          G ground
        </text>
      </g>
    </svg>
  );
}
