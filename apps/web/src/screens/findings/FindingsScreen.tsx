import type { ToldFinding, Severity } from '@brookrain/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { useBuild } from '../../build/BuildContext.ts';
import { stageList } from '../../frame/stages.ts';
import { FindingNote } from '../../ui/FindingNote.tsx';
import { Screen } from '../../ui/Screen.tsx';
import { SeverityMark } from '../../ui/SeverityMark.tsx';
import { Select } from '../../ui/Select.tsx';
import { Tick } from '../../ui/Tick.tsx';

type Kind = Severity | 'accepted';
const kinds: readonly { kind: Kind; name: string }[] = [
  { kind: 'stop', name: 'Stops' },
  { kind: 'warn', name: 'Warnings' },
  { kind: 'note', name: 'Notes' },
  { kind: 'accepted', name: 'Accepted' },
];
const kindOf = (finding: ToldFinding): Kind => (finding.accepted ? 'accepted' : finding.severity);

/** Everything that is wrong or tight in one place: filtered, explained, cured, accepted. */
export function FindingsScreen() {
  const { id, evaluation, document: build } = useBuild();
  const [hidden, setHidden] = useState<ReadonlySet<Kind>>(new Set());
  const [stage, setStage] = useState('all');
  const [text, setText] = useState('');
  const counted = (kind: Kind): number =>
    evaluation.findings.filter((f) => kindOf(f) === kind).length;
  const wanted = text.trim().toLowerCase();
  const shown = evaluation.findings.filter(
    (f) =>
      !hidden.has(kindOf(f)) &&
      (stage === 'all' || f.where.stage === stage) &&
      (wanted === '' || `${f.title} ${f.because}`.toLowerCase().includes(wanted)),
  );
  const toggle = (kind: Kind): void => {
    const next = new Set(hidden);
    if (!next.delete(kind)) next.add(kind);
    setHidden(next);
  };
  const present = new Set<string>(evaluation.findings.map((f) => f.where.stage));
  const ended = build.acceptances.filter(
    (a) => !evaluation.findings.some((f) => f.id === a.findingId),
  );
  return (
    <Screen
      title="Findings"
      lead={
        evaluation.findings.length === 0
          ? 'Nothing is wrong or tight.'
          : 'Everything that is wrong or tight, worst first. A cure is one click and can be undone.'
      }
    >
      <div className="mb-2 flex flex-wrap items-center gap-x-4 gap-y-2">
        {kinds.map(({ kind, name }) => (
          <Tick key={kind} checked={!hidden.has(kind)} onChange={() => toggle(kind)}>
            {name} <span className="text-second">{counted(kind)}</span>
          </Tick>
        ))}
        <Select
          name="Stage"
          className="w-[150px]!"
          value={stage}
          choices={[
            { value: 'all', label: 'all stages' },
            ...stageList
              .filter((s) => present.has(s.id))
              .map((s) => ({ value: s.id, label: s.name })),
          ]}
          onChoose={setStage}
        />
        <input
          aria-label="Words in the finding"
          placeholder="words in it"
          className="field w-[150px]"
          value={text}
          onChange={(event) => setText(event.target.value)}
        />
      </div>
      <div className="max-w-[780px] border-t-[1.5px] border-ink">
        {shown.map((finding) => {
          const at = stageList.find((s) => s.id === finding.where.stage);
          return (
            <div key={finding.id} className="grid grid-cols-[1fr_110px] gap-4 max-[700px]:block">
              <FindingNote finding={finding} explained />
              <p className="rule py-2 text-right text-[13px] max-[700px]:hidden">
                {at && (
                  <Link className="underline" to={`/builds/${id}/${at.id}`}>
                    {at.name}
                  </Link>
                )}
                {finding.rung && (
                  <>
                    <br />
                    <Link className="underline" to={`/builds/${id}/margins?rung=${finding.rung}`}>
                      on the ladder
                    </Link>
                  </>
                )}
              </p>
            </div>
          );
        })}
        {shown.length === 0 && evaluation.findings.length > 0 && (
          <p className="py-3 text-second">None of them is of this kind.</p>
        )}
      </div>
      {ended.length > 0 && (
        <section className="mt-6 max-w-[780px]">
          <h2>Accepted once, no longer found</h2>
          <ul>
            {ended.map((a) => (
              <li key={a.findingId} className="rule flex gap-2 py-1 text-[13px]">
                <SeverityMark severity="note" />
                <span>
                  {a.title}: {a.reason} <span className="text-second">({a.author})</span>
                </span>
              </li>
            ))}
          </ul>
        </section>
      )}
    </Screen>
  );
}
