import type { Reason, Verdict as VerdictName } from '@brookrain/core';
import { fillSentence } from '@brookrain/core';
import { useUnits } from './preferences.ts';

/** Verdict on a candidate by mark and word. */
export function Verdict({ verdict }: { verdict: VerdictName }) {
  const mark = { fits: '✓', oversized: '+', tight: '~', 'does not fit': '✕' }[verdict];
  const colour = {
    fits: 'text-moss',
    oversized: 'text-ink',
    tight: 'text-ink',
    'does not fit': 'text-second',
  }[verdict];
  return (
    <span className={`whitespace-nowrap ${colour}`}>
      <span aria-hidden="true" className="inline-block w-4 font-medium">
        {mark}
      </span>
      {verdict}
    </span>
  );
}

/** Why a candidate fits or does not. */
export function Reasons({ reasons }: { reasons: readonly Reason[] }) {
  const [units] = useUnits();
  return (
    <ul className="space-y-1">
      {reasons.map((reason) => {
        const text = fillSentence(reason.text, reason.numbers, units);
        return <li key={reason.text}>{`${text.charAt(0).toUpperCase()}${text.slice(1)}.`}</li>;
      })}
    </ul>
  );
}
