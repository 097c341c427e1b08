import { type ReactNode, useRef } from 'react';
import { useJumpFocus } from '../frame/jumpFocus.ts';
import { Worded } from './Worded.tsx';

type Props = {
  title: string;
  /** one line on what is decided here */
  lead: ReactNode;
  children: ReactNode;
  inspector?: ReactNode;
};

/** A stage: the drawing in the middle, the inspector beside it. */
export function Screen({ title, lead, children, inspector }: Props) {
  const main = useRef<HTMLElement>(null);
  useJumpFocus(main);
  return (
    <div className="flex h-full min-h-0 max-[900px]:block">
      <main ref={main} className="min-w-0 flex-1 overflow-y-auto px-4 pb-4 pt-3" tabIndex={-1}>
        <h1>{title}</h1>
        <p className="mb-3 text-second">
          {typeof lead === 'string' ? <Worded text={lead} /> : lead}
        </p>
        {children}
      </main>
      {inspector && (
        <aside
          aria-label="Inspector"
          tabIndex={0}
          className="w-[300px] shrink-0 overflow-y-auto bg-panel px-3 pb-4 pt-3 max-[900px]:w-auto"
        >
          {inspector}
        </aside>
      )}
    </div>
  );
}
