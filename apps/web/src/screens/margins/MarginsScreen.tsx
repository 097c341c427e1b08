import { type Severity, formatMeasure, reachedRungs, lowerFirst } from '@brookrain/core';
import { Link, useLocation, useSearchParams } from 'react-router';
import { openFindings } from '../../frame/stages.ts';
import { useBuild } from '../../build/BuildContext.ts';
import { FindingNote } from '../../ui/FindingNote.tsx';
import { Screen } from '../../ui/Screen.tsx';
import { useUnits } from '../../ui/preferences.ts';
import { VariantLadder } from './VariantLadder.tsx';
import { UncertaintyPanel } from './UncertaintyPanel.tsx';

const headings: Record<Severity, string> = { stop: 'Stops', warn: 'Warnings', note: 'Notes' };

/** The honest capability of the build, and everything wrong or tight in one place. */
export function MarginsScreen() {
  const { id, evaluation, ladder } = useBuild();
  const { state } = useLocation() as { state: { proposed?: readonly string[] } | null };
  const [units] = useUnits();
  const [query] = useSearchParams();
  const marked = query.get('rung');
  const first = reachedRungs(ladder)[0];
  const lead = !first
    ? 'No check fails over the range that was tried.'
    : first.always
      ? `${first.label} fails at any power: cure it first.`
      : `As designed this is good for ${formatMeasure({ value: first.power, kind: 'power' }, units)}; then ${lowerFirst(first.label)} is the limit.`;
  return (
    <Screen title="Margins" lead={lead}>
      <div className="grid grid-cols-[minmax(340px,460px)_1fr] gap-8 max-[900px]:grid-cols-1">
        <div>
          <VariantLadder marked={marked} />
          <UncertaintyPanel />
        </div>
        <div>
          {state?.proposed && (
            <section
              aria-label="What was proposed"
              className="mb-4 border-l-[3px] border-moss pl-3"
            >
              <h2>A first design, proposed from your answers</h2>
              <ul className="list-disc pl-5">
                {state.proposed.map((text) => (
                  <li key={text}>{text}</li>
                ))}
              </ul>
              <p className="mt-1">
                Go through the stages on the left and make it yours, beginning with the{' '}
                <Link className="underline" to={`/builds/${id}/brief`}>
                  brief
                </Link>
                .
              </p>
            </section>
          )}
          {evaluation.findings.length === 0 && (
            <p>Nothing is wrong or tight. The ladder shows what margin is left.</p>
          )}
          {(['stop', 'warn', 'note'] as const).map((severity) => {
            const findings = openFindings(evaluation.findings).filter(
              (f) => f.severity === severity,
            );
            if (findings.length === 0) return null;
            return (
              <section key={severity} className="mb-4">
                <h2>
                  {headings[severity]}{' '}
                  <span className="font-normal text-second">{findings.length}</span>
                </h2>
                {findings.map((finding) => (
                  <FindingNote key={finding.id} finding={finding} />
                ))}
              </section>
            );
          })}
          {evaluation.findings.length > 0 && (
            <Link className="underline" to={`/builds/${id}/findings`}>
              All findings, explained
            </Link>
          )}
        </div>
      </div>
    </Screen>
  );
}
