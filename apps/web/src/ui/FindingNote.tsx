import { type BareFinding, fillSentence, formatMeasure } from '@brookrain/core';
import { useState } from 'react';
import { toast } from 'sonner';
import { useBuild } from '../build/BuildContext.ts';
import { useCures } from '../evaluation/useCures.ts';
import { AcceptFinding } from './AcceptFinding.tsx';
import { SeverityMark } from './SeverityMark.tsx';
import { Worded } from './Worded.tsx';
import { useUnits } from './preferences.ts';
import { shownTime } from './shownTime.ts';

/** A finding with its reason and its cures; a cure with a command is applied by its button. */
export function FindingNote({
  finding,
  explained = false,
}: {
  finding: BareFinding;
  /** with its numbers and where its limit comes from */
  explained?: boolean;
}) {
  const { edit } = useBuild();
  const [units] = useUnits();
  const [accepting, setAccepting] = useState(false);
  const { accepted, reopened } = finding;
  const cures = useCures(finding.id);
  return (
    <article className="rule py-2" data-finding={finding.id}>
      <div className="flex gap-2">
        <span className="pt-0.5">
          <SeverityMark severity={accepted ? 'note' : finding.severity} />
        </span>
        <div className="min-w-0">
          <p className="font-medium">{finding.title}</p>
          <p className="text-[13px] leading-[18px] text-second">
            <Worded text={sentence(fillSentence(finding.because, finding.numbers, units))} />
          </p>
          {explained && <Explanation finding={finding} />}
          {accepted && (
            <p className="mt-1 border-l-[3px] border-moss pl-2 text-[13px]">
              Accepted by {accepted.author}, {shownTime(accepted.time)}: {accepted.reason}
            </p>
          )}
          {reopened && (
            <p className="mt-1 border-l-[3px] border-signal pl-2 text-[13px]">
              Open again: it is worse than when {reopened.author} accepted it ({reopened.reason}).
            </p>
          )}
          <div className="mt-1 flex flex-wrap gap-1.5">
            {cures.map((cure) => {
              const { command } = cure;
              return command ? (
                <button
                  key={cure.text}
                  type="button"
                  className="act text-[13px]"
                  onClick={() => {
                    const outcome = edit(command);
                    if (!outcome.ok) toast.error(outcome.issues[0]?.message ?? 'Not possible');
                  }}
                >
                  {cure.text}
                </button>
              ) : (
                <p key={cure.text} className="text-[13px]">
                  {cure.text}.
                </p>
              );
            })}
            {finding.severity === 'warn' && !accepted && !accepting && (
              <button type="button" className="act text-[13px]" onClick={() => setAccepting(true)}>
                Accept with a reason
              </button>
            )}
            {(accepted ?? reopened) && (
              <button
                type="button"
                className="act text-[13px]"
                onClick={() => edit({ name: 'withdraw-acceptance', findingId: finding.id })}
              >
                Withdraw the acceptance
              </button>
            )}
          </div>
          {accepting && <AcceptFinding finding={finding} close={() => setAccepting(false)} />}
        </div>
      </div>
    </article>
  );
}

/** What was measured against what, and where the limit comes from. */
function Explanation({ finding }: { finding: BareFinding }) {
  const { sources } = useBuild();
  const [units] = useUnits();
  const { measured, limit } = finding;
  const source = sources[finding.rule];
  return (
    <p className="mt-0.5 text-[13px] text-second">
      {measured && limit && (
        <>
          <span className="text-ink">{formatMeasure(measured, units)}</span> against{' '}
          {formatMeasure(limit, units)}.{' '}
        </>
      )}
      {source && sentence(source)}
    </p>
  );
}

const sentence = (text: string): string =>
  `${text.charAt(0).toUpperCase()}${text.slice(1)}${/[.]$/.test(text) ? '' : '.'}`;

/** The findings of one screen, worst first; says so when there are none. */
export function FindingList({ where }: { where: BareFinding['where']['stage'] }) {
  const { evaluation } = useBuild();
  const findings = evaluation.findings.filter((f) => f.where.stage === where);
  if (findings.length === 0) {
    return <p className="rule py-2 text-second">No findings.</p>;
  }
  return (
    <div>
      {findings.map((finding) => (
        <FindingNote key={finding.id} finding={finding} />
      ))}
    </div>
  );
}
