import { paintOf } from './wirePaint.ts';

/** The colour of a wire as a short piece of it, with its words. */
export function WireSwatch({ colour }: { colour: string }) {
  const [base, stripe] = paintOf(colour);
  return (
    <span className="inline-flex items-center gap-1.5 whitespace-nowrap">
      <svg width="22" height="9" aria-hidden="true">
        <rect x="0.5" y="0.5" width="21" height="8" fill={base} stroke="var(--edge)" />
        {stripe !== undefined && <rect x="1" y="3.25" width="20" height="2.5" fill={stripe} />}
      </svg>
      {colour.replace('/', ' / ')}
    </span>
  );
}
