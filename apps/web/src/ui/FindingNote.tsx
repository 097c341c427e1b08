import { type BuildFinding, fillSentence } from '@brookrain/core';
import { toast } from 'sonner';
import { useBuild } from '../build/BuildContext.ts';
import { SeverityMark } from './SeverityMark.tsx';
import { useUnits } from './preferences.ts';

/** A finding with its reason and its cures; a cure with a command is applied by its button. */
export function FindingNote({ finding }: { finding: BuildFinding }) {
  const { edit } = useBuild();
  const [units] = useUnits();
  return (
    <article className="rule py-2" data-finding={finding.id}>
      <div className="flex gap-2">
        <span className="pt-0.5">
          <SeverityMark severity={finding.severity} />
        </span>
        <div className="min-w-0">
          <p className="font-medium">{finding.title}</p>
          <p className="text-[13px] leading-[18px] text-second">
            {sentence(fillSentence(finding.because, finding.numbers, units))}
          </p>
          <div className="mt-1 flex flex-wrap gap-1.5">
            {finding.cures.map((cure) => {
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
          </div>
        </div>
      </div>
    </article>
  );
}

const sentence = (text: string): string =>
  `${text.charAt(0).toUpperCase()}${text.slice(1)}${/[.]$/.test(text) ? '' : '.'}`;

/** The findings of one screen, worst first; says so when there are none. */
export function FindingList({ where }: { where: string }) {
  const { evaluation } = useBuild();
  const findings = evaluation.findings.filter((f) => f.where.split(':')[0] === where);
  if (findings.length === 0) {
    return <p className="rule py-2 text-second">Nothing stands against it.</p>;
  }
  return (
    <div>
      {findings.map((finding) => (
        <FindingNote key={finding.id} finding={finding} />
      ))}
    </div>
  );
}
