import type { BareFinding, BuildFinding } from '../../model/index.ts';
import type { HarnessChecked } from '../../harness/index.ts';
import { memo, memoOfText } from '../../numerics/index.ts';
import { rules } from './rules.ts';

/** What rules find of a build, with the cures, by their ids; each rule is asked once. */
const foundByRule = memo((checked: HarnessChecked) =>
  memoOfText(
    (id: string): readonly BuildFinding[] =>
      rules.filter((rule) => rule.id === id).flatMap((rule) => rule.check(checked)),
    rules.length,
  ),
);

/** What would put a finding right: asked of the rule that found it. */
export const curesOf = (
  checked: HarnessChecked,
  finding: BareFinding,
): ReturnType<BuildFinding['cures']> =>
  foundByRule(checked)(finding.rule)
    .find(({ id }) => id === finding.id)
    ?.cures() ?? [];
