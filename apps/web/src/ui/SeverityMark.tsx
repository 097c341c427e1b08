import type { Severity } from '@brookrain/core';

const words: Record<Severity, string> = { stop: 'Stop', warn: 'Warning', note: 'Note' };

/** Severity by shape and word: filled for stop, outlined for warn, slate bar for note. */
export function SeverityMark({
  severity,
  worded = false,
}: {
  severity: Severity;
  worded?: boolean;
}) {
  return (
    <span className="inline-flex items-center gap-1.5 whitespace-nowrap">
      <svg width="14" height="14" viewBox="0 0 14 14" role="img" aria-label={words[severity]}>
        {severity === 'note' ? (
          <rect x="2" y="5.5" width="10" height="3" fill="var(--second)" />
        ) : (
          <path
            d="M7 1.2 13 7 7 12.8 1 7Z"
            fill={severity === 'stop' ? 'var(--signal)' : 'none'}
            stroke="var(--signal)"
            strokeWidth="1.6"
          />
        )}
      </svg>
      {worded && (
        <span className={severity === 'note' ? 'text-second' : 'text-signal'}>
          {words[severity]}
        </span>
      )}
    </span>
  );
}
