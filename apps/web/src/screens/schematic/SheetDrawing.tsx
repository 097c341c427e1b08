import {
  type Ink,
  type InkOf,
  type PlacedSheet,
  type WireRole,
  schematicInk,
  schematicSizes,
} from '@brookrain/core';
import { memo, useMemo } from 'react';
import type { Lit } from '../../build/lit.ts';

/** A letter is at least so high on the screen, px, and so high where there is room for it. */
const LETTER = 9.3;
const EASY_LETTER = 10.5;
const LARGEST = 1.7;
/** A sheet is rather so high, px, than larger than its letters have to be. */
const TALL = 590;
/** Room around a sheet, in its unit. */
const AROUND = 6;

const sameThing = (of: InkOf, lit: Lit): boolean =>
  of.kind === 'wire' ? of.id === lit.wireId : of.id === lit.partId;

/** Hues of wires by what they carry, beside their strokes. */
const hues: Readonly<Record<WireRole, string>> = {
  supply: 'var(--line-supply)',
  triggered: 'var(--line-triggered)',
  ground: 'var(--line-ground)',
  signal: 'var(--line-feed)',
  'sensor ground': 'var(--second)',
  reference: 'var(--line-keyed)',
  bus: 'var(--line-suction)',
  shield: 'var(--second)',
};

function Stroke({ ink, role, lit }: { ink: Ink; role: WireRole | undefined; lit: boolean }) {
  const own = role && ink.kind === 'line' ? hues[role] : 'var(--ink)';
  const colour = lit && ink.kind === 'text' ? 'var(--moss)' : own;
  switch (ink.kind) {
    case 'line':
      return (
        <polyline
          points={ink.points.map((point) => point.join(',')).join(' ')}
          fill="none"
          stroke={colour}
          strokeWidth={lit ? Math.max(2, ink.weight * 1.5) : ink.weight}
          strokeDasharray={ink.dash.join(' ') || undefined}
        />
      );
    case 'circle':
      return (
        <circle
          cx={ink.at[0]}
          cy={ink.at[1]}
          r={ink.radius}
          fill={ink.filled ? colour : 'none'}
          stroke={colour}
          strokeWidth={0.9}
        />
      );
    case 'text':
      return (
        <text
          x={ink.at[0]}
          y={ink.at[1]}
          textAnchor={ink.anchor}
          fontWeight={ink.bold || lit ? 600 : 400}
          fill={colour}
          style={{ fontSize: schematicSizes.letter }}
        >
          {ink.text}
        </text>
      );
  }
}

/** A sheet as it is drawn; what is lit stands out, a press lights a part or a wire. */
export const SheetDrawing = memo(function SheetDrawing({
  sheet,
  lit,
  pick,
}: {
  sheet: PlacedSheet;
  lit: Lit;
  pick: (of: InkOf) => void;
}) {
  const groups = useMemo(() => {
    const made = new Map<string, { of: InkOf; ink: Ink[] }>();
    for (const ink of schematicInk(sheet)) {
      const key = `${ink.of.kind} ${ink.of.id}`;
      const group = made.get(key) ?? { of: ink.of, ink: [] };
      made.set(key, group);
      group.ink.push(ink);
    }
    return [...made.values()];
  }, [sheet]);
  const roles = useMemo(() => new Map(sheet.wires.map(({ id, role }) => [id, role])), [sheet]);
  const [width, height] = [sheet.width + 2 * AROUND, sheet.height + 2 * AROUND];
  return (
    <div className="overflow-auto border border-hair" tabIndex={0} aria-label="Sheet, scrolls">
      <svg
        viewBox={`${-AROUND} ${-AROUND} ${width} ${height}`}
        style={{
          width: '100%',
          minWidth: (width * LETTER) / schematicSizes.letter,
          maxWidth:
            width * Math.min(LARGEST, Math.max(EASY_LETTER / schematicSizes.letter, TALL / height)),
        }}
        role="img"
        aria-label={`${sheet.title}: ${String(sheet.wires.length)} wires`}
      >
        {groups.map(({ of, ink }) => {
          const isLit = sameThing(of, lit);
          return (
            <g
              key={`${of.kind} ${of.id}`}
              className="cursor-pointer"
              onClick={() => pick(of)}
              data-lit={isLit || undefined}
            >
              {ink.map((each, i) => (
                <g key={i}>
                  {each.kind === 'line' && (of.kind === 'wire' || each.weight > 1) && (
                    <polyline
                      points={each.points.map((point) => point.join(',')).join(' ')}
                      fill="none"
                      stroke={isLit ? 'var(--moss)' : 'transparent'}
                      strokeOpacity={0.4}
                      strokeLinejoin="round"
                      strokeWidth={9}
                    />
                  )}
                  <Stroke ink={each} role={roles.get(of.id)} lit={isLit} />
                </g>
              ))}
            </g>
          );
        })}
      </svg>
    </div>
  );
});
