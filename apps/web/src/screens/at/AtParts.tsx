import type { MadeWire, WireEndWork } from '@brookrain/core';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { WireSwatch } from '../harness/WireSwatch.tsx';

/** What a wire is recognised by: number, size, colour. */
export function WireMarks({ wire }: { wire: MadeWire }) {
  return (
    <div className="flex items-baseline gap-4">
      <span className="text-[44px] leading-[48px] font-semibold">{wire.number}</span>
      <span className="text-[22px] leading-[28px]">
        {wire.size}
        <br />
        <WireSwatch colour={wire.colour} />
      </span>
    </div>
  );
}

const verbs: Readonly<Record<WireEndWork['work'], string>> = {
  'crimp a contact': 'Contact',
  'crimp a ring': 'Ring',
  'crimp a blade': 'Blade',
  splice: 'Into a splice',
};

/** What is done at an end of a wire. */
export function EndWork({ end, title }: { end: WireEndWork; title: string }) {
  return (
    <div className="border-t-[0.75px] border-hair py-2">
      <p className="text-[15px] text-second">{title}</p>
      <p className="text-[20px] leading-[26px] font-medium">
        {end.name}
        {end.pin !== '' && `, ${end.pin}`}
      </p>
      <p className="text-[16px] leading-[22px]">
        {end.part ?? verbs[end.work]}
        {end.seal !== undefined && `; ${end.seal}`}
        {end.pullOff > 0 && `; holds ${end.pullOff} N`}
      </p>
    </div>
  );
}

/** The buttons of a page at the vehicle: where a thumb reaches them. */
export const Buttons = ({ children }: { children: ReactNode }) => (
  <div className="sticky bottom-0 flex gap-3 border-t-[1.5px] border-ink bg-paper px-4 py-3">
    {children}
  </div>
);

/** A large button: done with cold hands. */
export function Big({
  main = false,
  disabled = false,
  onClick,
  children,
}: {
  main?: boolean;
  disabled?: boolean;
  onClick: () => void;
  children: ReactNode;
}) {
  return (
    <button
      type="button"
      disabled={disabled}
      onClick={onClick}
      className={`act h-14 text-center text-[19px] font-medium ${main ? 'act-main flex-[2]' : 'flex-1'}`}
    >
      {children}
    </button>
  );
}

/** A row of a list that leads on, as high as a thumb is wide. */
export const Row = ({ to, name, state }: { to: string; name: string; state: string }) => (
  <li className="border-b-[0.75px] border-hair">
    <Link to={to} className="flex min-h-14 items-center gap-3 px-4 py-2">
      <span className="flex-1 text-[19px] leading-[24px]">{name}</span>
      <span className="text-right text-[16px] text-second">{state}</span>
    </Link>
  </li>
);

/** What went wrong, each with a button for when it is mended. */
export function Troubles({
  title,
  mended,
  troubles,
}: {
  title: string;
  mended: string;
  troubles: readonly { readonly id: string; readonly words: string; readonly again: () => void }[];
}) {
  if (troubles.length === 0) return null;
  return (
    <section className="mt-5" aria-label={title}>
      <h2 className="text-[18px]">{title}</h2>
      <ul>
        {troubles.map(({ id, words, again }) => (
          <li key={id} className="border-t-[0.75px] border-hair py-2 text-[16px]">
            {words}{' '}
            <button type="button" className="act h-12 px-4" onClick={again}>
              {mended}
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
