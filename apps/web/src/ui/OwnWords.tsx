import { disagreementInWords, wordsAgainstBrief } from '@brookrain/core';
import { useBuild } from '../build/BuildContext.ts';
import { SeverityMark } from './SeverityMark.tsx';

/** Where the build's own words, which are printed, say another thing than its brief. */
export function OwnWords() {
  const { document: build } = useBuild();
  const { brief, description } = build;
  const found = wordsAgainstBrief(
    { ...brief, description },
    { ...brief, displacement: brief.displacement.value },
  );
  return found.map((disagreement) => (
    <p key={`${disagreement.field} ${disagreement.says}`} className="flex gap-2 py-1 text-[13px]">
      <span className="pt-0.5">
        <SeverityMark severity="warn" />
      </span>
      {disagreementInWords(disagreement)}
    </p>
  ));
}
