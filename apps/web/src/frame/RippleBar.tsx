import { type RippleEntry, formatMeasure } from '@brookrain/core';
import { ChevronUp, Undo2, X } from 'lucide-react';
import { useState } from 'react';
import { useBuild } from '../build/BuildContext.ts';
import { SeverityMark } from '../ui/SeverityMark.tsx';
import { useUnits } from '../ui/preferences.ts';
import { rippleKey } from '../ui/rippleKey.ts';

const severityWords = { stop: 'stop', warn: 'warning', note: 'note' } as const;

function Entry({ entry }: { entry: RippleEntry }) {
  const [units] = useUnits();
  if (entry.type === 'figure') {
    const { kind } = entry;
    return (
      <span className="whitespace-nowrap">
        {entry.label}{' '}
        <span className="text-second">{formatMeasure({ value: entry.before, kind }, units)}</span> →{' '}
        {formatMeasure({ value: entry.after, kind }, units)}
      </span>
    );
  }
  return (
    <span className="inline-flex items-center gap-1.5 whitespace-nowrap">
      {entry.after && <SeverityMark severity={entry.after} />}
      {entry.title}{' '}
      <span className="text-second">
        {entry.after === null
          ? 'is gone'
          : entry.reopened
            ? 'is open again: worse than what was accepted'
            : entry.before === null
              ? `is a new ${severityWords[entry.after]}`
              : `was a ${severityWords[entry.before]}, is a ${severityWords[entry.after]}`}
      </span>
    </span>
  );
}

/** What an edit moved downstream, worst first; exists only when something did. */
export function RippleBar() {
  const { ripple, step, undo, dismissRipple } = useBuild();
  const [open, setOpen] = useState(false);
  if (ripple.length === 0) return null;
  return (
    <section aria-label="Ripple" className="settle relative shrink-0 bg-ink text-paper">
      {open && (
        <ul className="max-h-[50vh] overflow-y-auto bg-panel px-4 py-2 text-ink">
          {ripple.map((entry) => (
            <li key={rippleKey(entry)} className="rule py-1">
              <Entry entry={entry} />
            </li>
          ))}
        </ul>
      )}
      <div
        className="flex h-8 items-center gap-4 overflow-hidden bg-deep px-4 text-ink"
        role="status"
      >
        <span className="shrink-0 font-medium">Moved</span>
        <span className="flex min-w-0 flex-1 gap-5 overflow-hidden">
          {ripple.slice(0, 3).map((entry) => (
            <Entry key={rippleKey(entry)} entry={entry} />
          ))}
        </span>
        <button
          type="button"
          className="flex shrink-0 items-center gap-1"
          aria-expanded={open}
          onClick={() => setOpen(!open)}
        >
          <ChevronUp size={14} className={open ? 'rotate-180' : ''} aria-hidden="true" />
          {open ? 'Close' : `All ${ripple.length}`}
        </button>
        <button
          type="button"
          className="flex shrink-0 items-center gap-1"
          disabled={!undo}
          onClick={() => step('undo')}
        >
          <Undo2 size={14} aria-hidden="true" /> Undo
        </button>
        <button type="button" className="shrink-0" aria-label="Dismiss" onClick={dismissRipple}>
          <X size={14} aria-hidden="true" />
        </button>
      </div>
    </section>
  );
}
