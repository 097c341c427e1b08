import { Redo2, Undo2 } from 'lucide-react';
import { useEffect } from 'react';
import { Link } from 'react-router';
import { useBuild } from '../build/BuildContext.ts';
import { Brand } from './Brand.tsx';
import { Tools } from './Tools.tsx';
import { isTyping } from './shortcuts.ts';

/** Name of the build, undo and redo, tools. */
export function Header() {
  const { id, document: build, revision, undo, redo, step, settling } = useBuild();
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
    <header className="flex h-10 shrink-0 items-center gap-3 border-b-[1.5px] border-ink px-3 max-[600px]:gap-1.5">
      <Brand />
      <span className="truncate text-[16px] font-medium">{build.name}</span>
      <Link
        to={`/builds/${id}/history`}
        className="whitespace-nowrap text-[13px] text-second underline decoration-hair underline-offset-2 max-[600px]:hidden"
      >
        revision {revision}
      </Link>
      <span
        className="whitespace-nowrap text-[13px] text-second max-[600px]:hidden"
        aria-live="polite"
      >
        {settling ? 'working it out' : ''}
      </span>
      <span className="flex-1" />
      <button
        type="button"
        className="flex items-center gap-1 px-1 disabled:text-second disabled:opacity-60"
        disabled={!undo}
        title={undo ? `Undo: ${undo} (Ctrl Z)` : 'Nothing to undo'}
        onClick={() => step('undo')}
      >
        <Undo2 size={16} aria-hidden="true" /> <span className="max-[600px]:sr-only">Undo</span>
      </button>
      <button
        type="button"
        className="flex items-center gap-1 px-1 disabled:text-second disabled:opacity-60"
        disabled={!redo}
        title={redo ? `Redo: ${redo} (Ctrl Shift Z)` : 'Nothing to redo'}
        onClick={() => step('redo')}
      >
        <Redo2 size={16} aria-hidden="true" /> <span className="max-[600px]:sr-only">Redo</span>
      </button>
      <Tools />
    </header>
  );
}
