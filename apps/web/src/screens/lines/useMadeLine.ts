import type { ToldMadeLine } from '@brookrain/core';
import { useSearchParams } from 'react-router';
import { useBuild } from '../../build/BuildContext.ts';

/** The line that is looked at, and how another one is picked; undefined where there are none. */
export function useMadeLine(): {
  readonly line: ToldMadeLine | undefined;
  pick(lineId: string): void;
} {
  const { evaluation } = useBuild();
  const [query, setQuery] = useSearchParams();
  const asked = query.get('of');
  const faulty = evaluation.findings.find(({ where }) => where.stage === 'lines')?.where;
  const usual = faulty?.stage === 'lines' ? faulty.line : undefined;
  const { made } = evaluation;
  return {
    line:
      made.find(({ lineId }) => lineId === asked) ??
      made.find(({ lineId }) => lineId === usual) ??
      made[0],
    pick: (lineId) => setQuery({ of: lineId }, { replace: true }),
  };
}
