import { type ReactNode, useRef } from 'react';
import { NavLink } from 'react-router';
import { Brand } from './Brand.tsx';
import { Tools } from './Tools.tsx';
import { useJumpFocus } from './jumpFocus.ts';

const pages = [
  { to: '/', name: 'Builds' },
  { to: '/catalogue', name: 'Catalogue' },
  { to: '/guide', name: 'Guide' },
  { to: '/words', name: 'Words' },
] as const;

type Props = {
  title: string;
  lead?: ReactNode;
  children: ReactNode;
  /** as wide as the window, for tables */
  wide?: boolean;
};

/** A page outside of a build. */
export function Page({ title, lead, children, wide = false }: Props) {
  const main = useRef<HTMLElement>(null);
  useJumpFocus(main);
  return (
    <div className="flex h-full flex-col">
      <header className="flex h-10 shrink-0 items-center gap-3 border-b-[1.5px] border-ink px-3 max-[600px]:gap-1">
        <Brand />
        <nav aria-label="Pages" className="flex h-full items-stretch overflow-x-auto">
          {pages.map(({ to, name }) => (
            <NavLink
              key={to}
              to={to}
              end={to === '/'}
              className={({ isActive }) =>
                `flex items-center border-y-[3px] border-t-transparent px-2.5 max-[600px]:px-1.5 ${isActive ? 'border-b-moss font-medium' : 'border-b-transparent text-second hover:text-ink'}`
              }
            >
              {name}
            </NavLink>
          ))}
        </nav>
        <span className="flex-1" />
        <Tools />
      </header>
      <main ref={main} className="min-h-0 flex-1 overflow-y-auto" tabIndex={0}>
        <div className={`px-5 py-4 ${wide ? '' : 'mx-auto max-w-[960px]'}`}>
          <h1>{title}</h1>
          {lead && <p className="mb-3 text-second">{lead}</p>}
          {children}
        </div>
      </main>
    </div>
  );
}
