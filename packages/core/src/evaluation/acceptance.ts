import type { Acceptance, BareFinding } from '../model/index.ts';

/** Getting worse by less than this share of what was accepted does not open a finding again. */
const TOLERANCE = 0.01;

function isWorse(finding: BareFinding, accepted: number | null): boolean {
  const now = finding.measured?.value;
  if (now === undefined || accepted === null) return false;
  const limit = finding.limit?.value ?? accepted;
  const direction = finding.worse ?? (now >= limit ? 'higher' : 'lower');
  const worsening = direction === 'higher' ? now - accepted : accepted - now;
  return worsening > TOLERANCE * Math.max(Math.abs(accepted), Math.abs(now));
}

/**
 * Marks findings that a person accepted. An acceptance holds for a warning or note as bad as it
 * was then; a stop, or numbers worse by more than 1 %, opens the finding again.
 */
export function withAcceptances<Finding extends BareFinding>(
  findings: readonly Finding[],
  acceptances: readonly Acceptance[],
): Finding[] {
  const byFinding = new Map(acceptances.map((a) => [a.findingId, a]));
  return findings.map((finding) => {
    const known = byFinding.get(finding.id);
    if (!known) return finding;
    const { reason, author, time, measured } = known;
    const record = { reason, author, time, measured };
    return finding.severity === 'stop' || isWorse(finding, measured)
      ? { ...finding, reopened: record }
      : { ...finding, accepted: record };
  });
}
