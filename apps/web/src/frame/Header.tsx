import { Moon, Redo2, Sun, Undo2 } from 'lucide-react';
import { useEffect } from 'react';
import { Link } from 'react-router';
import { useBuild } from '../build/BuildContext.ts';
import { useTheme, useUnits } from '../ui/preferences.ts';

const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement && /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName);

/** Theme and units, kept on this device. */
export function Preferences() {
  const [theme, setTheme] = useTheme();
  const [units, setUnits] = useUnits();
  return (
    <>
      <button
        type="button"
        className="px-2"
        onClick={() => setUnits(units === 'metric' ? 'us' : 'metric')}
        aria-label={`Units: ${units === 'metric' ? 'metric' : 'US'}. Change`}
      >
        {units === 'metric' ? 'metric' : 'US units'}
      </button>
      <button
        type="button"
        className="px-2"
        onClick={() => setTheme(theme === 'dark' ? 'light' : 'dark')}
        aria-label={theme === 'dark' ? 'Light screen' : 'Dark screen'}
      >
        {theme === 'dark' ? (
          <Sun size={16} aria-hidden="true" />
        ) : (
          <Moon size={16} aria-hidden="true" />
        )}
      </button>
    </>
  );
}

/** Name of the build, undo and redo, preferences. */
export function Header() {
  const { document: build, revision, undo, redo, step, settling } = useBuild();
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (!(event.ctrlKey || event.metaKey) || isTyping(event.target)) return;
      const key = event.key.toLowerCase();
      if (key !== 'z' && key !== 'y') return;
      event.preventDefault();
      step(key === 'y' || event.shiftKey ? 'redo' : 'undo');
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [step]);
  return (
    <header className="flex h-10 shrink-0 items-center gap-3 border-b-[1.5px] border-ink px-3">
      <Link to="/" className="flex items-center gap-2" aria-label="Brookrain, all builds">
        <svg width="20" height="20" viewBox="0 0 32 32" aria-hidden="true">
          <path
            d="M3 22c5-5 9 4 13 0s8-5 13 0"
            fill="none"
            stroke="var(--moss)"
            strokeWidth="3.4"
          />
          <path d="M9 5v9M16 2v12M23 5v9" stroke="var(--ink)" strokeWidth="2.6" />
        </svg>
        <span className="text-second max-[600px]:hidden">Brookrain</span>
      </Link>
      <span className="truncate text-[16px] font-medium">{build.name}</span>
      <span className="text-[13px] text-second max-[600px]:hidden">
        revision {revision}
        {settling ? ', working it out' : ''}
      </span>
      <span className="flex-1" />
      <button
        type="button"
        className="flex items-center gap-1 px-1 disabled:text-second disabled:opacity-60"
        disabled={!undo}
        title={undo ? `Undo: ${undo} (Ctrl Z)` : 'Nothing to undo'}
        onClick={() => step('undo')}
      >
        <Undo2 size={16} aria-hidden="true" /> Undo
      </button>
      <button
        type="button"
        className="flex items-center gap-1 px-1 disabled:text-second disabled:opacity-60"
        disabled={!redo}
        title={redo ? `Redo: ${redo} (Ctrl Shift Z)` : 'Nothing to redo'}
        onClick={() => step('redo')}
      >
        <Redo2 size={16} aria-hidden="true" /> Redo
      </button>
      <Preferences />
    </header>
  );
}
