import { type BuildDocument, applyCommand, withEndsAlong } from '@brookrain/core';
import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { useSearchParams } from 'react-router';
import { api } from '../../api/client.ts';
import { useBuild } from '../../build/BuildContext.ts';
import { Screen } from '../../ui/Screen.tsx';
import { DifferenceList } from './DifferenceList.tsx';
import { InputDifferences } from './InputDifferences.tsx';
import { useDifferences } from './useDifferences.ts';
import { type Choice, type ChoiceGroup, Select } from '../../ui/Select.tsx';

interface Side {
  readonly name: string;
  readonly document: BuildDocument | undefined;
  readonly failed?: string | undefined;
}

/** So many other builds are offered to compare with. */
const MOST_BUILDS = 100;

/** The version that a choice names: this build now, a revision, an alternative, another build. */
function useSide(choice: string): Side {
  const { id, document: build, stored, catalogue } = useBuild();
  const [kind, first = '', second = ''] = choice.split(':');
  const revision = useQuery({
    queryKey: ['revision', id, Number(first)],
    queryFn: () => api.revision(id, Number(first)),
    enabled: kind === 'revision',
  });
  const other = useQuery({
    queryKey: ['build', first],
    queryFn: () => api.build(first),
    enabled: kind === 'build',
  });
  // One object for as long as the build stands: comparing starts anew with another.
  const decided = useMemo((): Side | undefined => {
    const option = kind === 'option' ? build.options.find((o) => o.id === first) : undefined;
    const alternative = option?.alternatives.find((a) => a.id === second);
    if (!option || !alternative) return undefined;
    const { name } = alternative;
    if (option.chosen === second) return { name, document: stored };
    const decide = {
      name: 'decide',
      optionId: first,
      alternativeId: second,
      assemblies: {},
    } as const;
    return {
      name,
      document: applyCommand(stored, withEndsAlong(stored, decide, catalogue)).document,
    };
  }, [build, stored, catalogue, kind, first, second]);
  if (kind === 'revision') {
    return {
      name: `revision ${first}`,
      document: revision.data?.document,
      failed: revision.error?.message,
    };
  }
  if (kind === 'build') {
    return {
      name: other.data?.document.name ?? first,
      document: other.data?.document,
      failed: other.error?.message,
    };
  }
  return decided ?? { name: 'now', document: stored };
}

function SideChoice({
  label,
  value,
  choose,
}: {
  label: string;
  value: string;
  choose: (value: string) => void;
}) {
  const { id, document: build, revision } = useBuild();
  const builds = useQuery({ queryKey: ['builds'], queryFn: api.builds });
  const revisions = useQuery({ queryKey: ['revisions', id], queryFn: () => api.revisions(id) });
  // The newest page of its history, and the builds that were worked on last.
  const sides: (Choice | ChoiceGroup)[] = [
    { value: 'now', label: 'This build now' },
    ...build.options.map((option) => ({
      heading: `Decision: ${option.title}`,
      choices: option.alternatives.map((a) => ({
        value: `option:${option.id}:${a.id}`,
        label: `${a.name}${a.id === option.chosen ? ' (chosen)' : ''}`,
      })),
    })),
    {
      heading: 'Earlier revisions',
      choices: (revisions.data ?? [])
        .filter((r) => r.number < revision)
        .map((r) => ({ value: `revision:${r.number}`, label: `${r.number}: after ${r.words}` })),
    },
    {
      heading: 'Other builds',
      choices: (builds.data ?? [])
        .filter((b) => b.id !== id)
        .sort((a, b) => b.updatedAt.localeCompare(a.updatedAt))
        .slice(0, MOST_BUILDS)
        .map((b) => ({ value: `build:${b.id}`, label: b.name })),
    },
  ];
  return (
    <div className="min-w-0 flex-1">
      <label htmlFor={`side-${label}`} className="text-[13px] text-second">
        {label}
      </label>
      <Select
        id={`side-${label}`}
        value={value}
        choices={sides.filter((s) => !('heading' in s) || s.choices.length > 0)}
        onChoose={choose}
      />
    </div>
  );
}

/** Two versions side by side: what is entered and what comes out differently, ranked. */
export function CompareScreen() {
  const { document: build } = useBuild();
  const [query, setQuery] = useSearchParams();
  const option = build.options[0];
  const unchosen = option?.alternatives.find((a) => a.id !== option.chosen);
  const usual = unchosen && option ? `option:${option.id}:${unchosen.id}` : 'now';
  const choices = [query.get('left') ?? 'now', query.get('right') ?? usual] as const;
  const left = useSide(choices[0]);
  const right = useSide(choices[1]);
  const differences = useDifferences(left.document, right.document);
  const failed = left.failed ?? right.failed;
  const names = [left.name, right.name] as const;
  const choose = (side: 'left' | 'right') => (value: string) =>
    setQuery({ left: choices[0], right: choices[1], [side]: value }, { replace: true });
  return (
    <Screen
      title="Compare"
      lead="This build, an earlier revision, the other option of a decision, or another build."
    >
      <div className="flex max-w-[860px] gap-4">
        <SideChoice label="Left" value={choices[0]} choose={choose('left')} />
        <SideChoice label="Right" value={choices[1]} choose={choose('right')} />
      </div>
      {failed && (
        <p role="alert" className="mt-3 text-signal">
          {failed}
        </p>
      )}
      {left.document && right.document && (
        <div className="mt-5 max-w-[860px]">
          <section>
            <h2>Entered</h2>
            <InputDifferences before={left.document} after={right.document} names={names} />
          </section>
          <section className="mt-5" aria-busy={differences.state === 'working'}>
            <h2>What comes out</h2>
            {differences.state === 'working' && <p className="text-second">Working it out</p>}
            {differences.state === 'failed' && (
              <p role="alert" className="text-signal">
                {differences.reason}
              </p>
            )}
            {differences.state === 'done' && (
              <DifferenceList entries={differences.entries} names={names} />
            )}
          </section>
        </div>
      )}
    </Screen>
  );
}
