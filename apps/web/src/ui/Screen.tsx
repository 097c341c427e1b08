import { type ReactNode, useRef } from 'react';
import { useJumpFocus } from '../frame/jumpFocus.ts';
import { Worded } from './Worded.tsx';

type Props = {
  title: string;
  /** one line on what is decided here */
  lead: ReactNode;
  children: ReactNode;
  inspector?: ReactNode;
  /** what is shown rests on work that is not done yet, or that failed */
  work?: { readonly waiting: boolean; readonly failed: string | undefined };
};

/** A stage: the drawing in the middle, the inspector beside it. */
export function Screen({ title, lead, children, inspector, work }: Props) {
  const main = useRef<HTMLElement>(null);
  useJumpFocus(main);
  return (
    <div className="flex h-full min-h-0 max-[900px]:block">
      <main ref={main} className="min-w-0 flex-1 overflow-y-auto px-4 pb-4 pt-3" tabIndex={-1}>
        <h1>{title}</h1>
        <p className="mb-3 text-second">
          {typeof lead === 'string' ? <Worded text={lead} /> : lead}
        </p>
        {work?.failed !== undefined && (
          <p role="alert" className="text-signal">
            This could not be calculated: {work.failed}
          </p>
        )}
        {work?.waiting && <p role="status">Working it out …</p>}
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
