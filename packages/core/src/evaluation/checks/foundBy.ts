import type { BareFinding, BuildRule } from '../../model/index.ts';
import { presentMemory, sameValue } from '../../numerics/index.ts';
import { type Look, watched } from './watched.ts';

interface Answer {
  readonly looks: readonly Look[];
  readonly findings: readonly BareFinding[];
}

/** What the rules of a memory answered last, and which of them ran since the log was cleared. */
interface RuleMemory {
  readonly answers: Map<object, Answer>;
  readonly ran: string[];
}
const beginRules = (): RuleMemory => ({ answers: new Map(), ran: [] });

/** Ids of the rules that ran in the present memory; whoever starts a pass empties it. */
export const rulesRan = (): string[] => presentMemory().of(beginRules).ran;

/** Compares what stands in a context with what stood there; each pair of values once. */
function comparison(context: object) {
  const known = new Map<string, { before: unknown; now: unknown; same: boolean }>();
  return ({ key, at, value: before }: Look): { now: unknown; same: boolean } => {
    const last = known.get(key);
    if (last && last.before === before) return last;
    const now = at(context);
    const compared = { before, now, same: sameValue(before, now) };
    known.set(key, compared);
    return compared;
  };
}

/**
 * What rules find, without the cures. A rule runs again when something that it looked at has
 * changed by value; otherwise it finds what it found.
 */
export function foundBy<Context extends object>(
  rules: readonly BuildRule<Context>[],
  context: Context,
): BareFinding[] {
  const { answers, ran } = presentMemory().of(beginRules);
  const compare = comparison(context);
  return rules.flatMap((rule) => {
    const last = answers.get(rule);
    const looks = last?.looks.map((look) => ({ look, ...compare(look) }));
    if (last && looks?.every(({ same }) => same)) {
      // An equal value may be another object: remember that one, so that next time identity is enough.
      answers.set(rule, {
        ...last,
        looks: looks.map(({ look, now }) => (now === look.value ? look : { ...look, value: now })),
      });
      return last.findings;
    }
    ran.push(rule.id);
    const watching = watched(context);
    const findings = rule.check(watching.context).map(({ cures: _, ...finding }) => finding);
    answers.set(rule, { looks: watching.looks, findings });
    return findings;
  });
}
