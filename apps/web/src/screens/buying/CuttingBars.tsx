import { type CuttingProof, type ShoppingLine, benchLength } from '@brookrain/core';
import { useProof } from './useProof.ts';
import { useUnits } from '../../ui/preferences.ts';

const WIDTH = 720;
const ROW = 34;
const BAR = 20;

const DOING: Record<CuttingProof['doing'], string> = {
  pricing: 'Looking for the bound',
  filling: 'Trying plans',
  choosing: 'Choosing among the plans',
  proving: 'Ruling out anything better',
};

/** Which length is cut into what: each bought length and offcut as a bar, its pieces in order. */
export function CuttingBars({ line }: { line: ShoppingLine }) {
  const [units] = useUnits();
  const { item } = line;
  const proof = useProof(item.id);
  const plan = proof.plan ?? line.plan;
  if (!plan) return null;
  const mm = (value: number): string => benchLength(value, units);
  const longest = Math.max(...plan.lengths.map(({ length }) => length));
  const scale = (WIDTH - 120) / longest;
  const lengthOf = new Map(line.pieces.map((piece) => [piece.id, piece]));
  const height = ROW * plan.lengths.length + 4;
  return (
    <section className="rule mt-4 pt-2" aria-label={`Cutting plan of ${item.designation}`}>
      <h3>{item.designation}</h3>
      <p className="text-second">
        {mm(plan.bought)} to buy, {mm(plan.waste)} of it no piece;{' '}
        {plan.proven
          ? 'proven: nothing buys less'
          : `no plan buys less than ${mm(plan.bound)}, which is not proven to be reachable`}
      </p>
      {!plan.proven && (
        <p className="my-1">
          {proof.looking ? (
            <>
              <button type="button" className="act" onClick={proof.stop}>
                Stop looking
              </button>{' '}
              <span className="text-second" role="status">
                {proof.progress
                  ? `${DOING[proof.progress.doing]}, ${proof.progress.ways} cutting patterns so far`
                  : 'Starting'}
              </span>
            </>
          ) : (
            <button type="button" className="act" onClick={() => proof.look(plan)}>
              Prove it, or find a better one
            </button>
          )}
        </p>
      )}
      <svg
        viewBox={`0 0 ${WIDTH} ${height}`}
        width={WIDTH}
        height={height}
        className="max-w-full"
        role="img"
        aria-label={plan.lengths
          .map(
            ({ length, offcutId, pieces, rest }) =>
              `${mm(length)}${offcutId ? ', an offcut' : ''}: ${pieces
                .map((id) => `${lengthOf.get(id)?.name ?? id} ${mm(lengthOf.get(id)?.length ?? 0)}`)
                .join(', ')}; ${mm(rest)} left`,
          )
          .join('. ')}
      >
        {plan.lengths.map(({ length, offcutId, pieces }, row) => {
          let x = 110;
          const y = row * ROW + 2;
          return (
            <g key={row}>
              <text x={0} y={y + 15} className="fill-[var(--ink)] text-[13px]">
                {mm(length)}
                {offcutId ? ' offcut' : ''}
              </text>
              <rect
                x={110}
                y={y}
                width={length * scale}
                height={BAR}
                fill="none"
                stroke="var(--edge)"
                strokeDasharray="3 3"
              />
              {pieces.map((id) => {
                const piece = lengthOf.get(id);
                const width = (piece?.length ?? 0) * scale;
                const at = x;
                x += width;
                return (
                  <g key={id}>
                    <rect
                      x={at}
                      y={y}
                      width={width}
                      height={BAR}
                      fill="var(--panel)"
                      stroke="var(--ink)"
                    />
                    {width > 70 && (
                      <text x={at + 5} y={y + 14} className="fill-[var(--ink)] text-[12px]">
                        {(piece?.name ?? id).slice(0, Math.floor(width / 7))}
                      </text>
                    )}
                  </g>
                );
              })}
            </g>
          );
        })}
      </svg>
      <ul className="text-[13px]">
        {plan.lengths.map(({ length, offcutId, pieces, rest }, row) => (
          <li key={row}>
            {mm(length)}
            {offcutId ? ' (offcut)' : ''}:{' '}
            {pieces
              .map((id) => `${lengthOf.get(id)?.name ?? id} ${mm(lengthOf.get(id)?.length ?? 0)}`)
              .join(' + ')}
            ; {mm(rest)} left
          </li>
        ))}
      </ul>
    </section>
  );
}
