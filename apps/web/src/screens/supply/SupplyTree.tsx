import { type SupplyBranch, type SupplyState, formatMeasure } from '@brookrain/core';
import type { KeyboardEvent } from 'react';
import { Link } from 'react-router';
import { useBuild } from '../../build/BuildContext.ts';
import { light, useLit } from '../../build/lit.ts';
import { type Question, useWorkerAnswer } from '../../evaluation/useWorkerAnswer.ts';
import { useUnits } from '../../ui/preferences.ts';

/** Less reads as nothing, A. */
const NOTHING = 5e-4;
/** A line is so many px thick: thicker by the root of what flows, at most seven. */
const thickness = (amps: number | undefined): number =>
  amps === undefined || amps < NOTHING ? 1 : Math.min(7, 1 + Math.sqrt(amps) * 0.55);

const ask: Question<SupplyState, readonly SupplyBranch[]> = (worker, document, state) =>
  worker.supplyTree(document, state);

/** Whether something flows to a branch or to what hangs on it; with the key off, whether it is live. */
const isUsed = ({ live, takes, branches }: SupplyBranch): boolean =>
  live ?? ((takes ?? 0) >= NOTHING || branches.some(isUsed));

/** Arrows walk the parts in the order in which they stand. */
function walk(event: KeyboardEvent<HTMLElement>): void {
  const links = [...event.currentTarget.querySelectorAll<HTMLElement>('a[data-part]')];
  const at = links.findIndex((link) => link === document.activeElement);
  const step = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
  const next = step === 0 ? undefined : links[at + step];
  if (at < 0 || !next) return;
  event.preventDefault();
  next.focus();
}

/** Where a part is looked at closely. */
function placeOf({ sort, partId }: SupplyBranch, devices: ReadonlySet<string>): string {
  if (devices.has(partId)) return `../devices?of=${encodeURIComponent(partId)}`;
  return sort === 'controller' ? '../pins' : '../devices';
}

function Branch({
  branch,
  all,
  devices,
}: {
  branch: SupplyBranch;
  all: boolean;
  devices: ReadonlySet<string>;
}) {
  const [units] = useUnits();
  const isLit = useLit().partId === branch.partId;
  const measure = (value: number, kind: 'voltage' | 'length' | 'current' | 'drain') =>
    formatMeasure({ value, kind }, units);
  const { wire, volts, rating, live } = branch;
  const shown = all ? branch.branches : branch.branches.filter(isUsed);
  const dead = live === false;
  const current = wire?.current ?? 0;
  return (
    <li>
      <div
        className={`flex min-h-8 items-center gap-2 border-b border-hair py-0.5 ${dead ? 'text-second' : ''} ${isLit ? 'bg-panel font-medium' : ''}`}
      >
        {wire && (
          <span
            aria-hidden="true"
            className={`w-4 shrink-0 ${dead ? 'border-dashed border-edge' : 'border-moss'}`}
            style={{ borderTopWidth: thickness(wire.current) }}
          />
        )}
        <span className="min-w-0 flex-1">
          <Link
            to={placeOf(branch, devices)}
            relative="path"
            data-part={branch.partId}
            onClick={() => light({ partId: branch.partId })}
            className="hover:underline"
          >
            {branch.name}
          </Link>{' '}
          <span className="text-[12px] text-second">{branch.pin}</span>
          {rating !== undefined && (
            <span className="ml-1.5 border border-edge px-1 text-[12px]">
              {measure(rating, 'current')}
            </span>
          )}
        </span>
        {wire ? (
          <Link
            to={`../wires?of=${encodeURIComponent(wire.id)}`}
            relative="path"
            className="w-[118px] shrink-0 text-right text-[13px] text-second hover:underline max-[600px]:hidden"
          >
            {wire.size}, {measure(wire.length, 'length')}
          </Link>
        ) : (
          <span className="w-[118px] shrink-0 max-[600px]:hidden" />
        )}
        {live === undefined ? (
          <>
            <span className="w-[68px] shrink-0 text-right">
              {wire && current >= NOTHING ? measure(current, 'current') : ''}
            </span>
            <span className="w-[62px] shrink-0 text-right">
              {volts === undefined ? '–' : measure(volts, 'voltage')}
            </span>
          </>
        ) : (
          <span className="w-[134px] shrink-0 text-right">
            {live
              ? (branch.takes ?? 0) > 0
                ? `takes ${measure(branch.takes ?? 0, 'drain')}`
                : 'live'
              : 'dead'}
          </span>
        )}
      </div>
      {shown.length > 0 && (
        <ul className="ml-3 border-l border-edge pl-0 max-[600px]:ml-1.5">
          {shown.map((each) => (
            <Branch key={each.node} branch={each} all={all} devices={devices} />
          ))}
        </ul>
      )}
    </li>
  );
}

/** Everything that is fed, on what it hangs: line by line, each a bit further in. */
export function SupplyTree({ state, all }: { state: SupplyState; all: boolean }) {
  const { document: build } = useBuild();
  const { answer, failed } = useWorkerAnswer(ask, state);
  const devices = new Set(build.devices.map(({ id }) => id));
  if (failed !== undefined) return <p className="mt-3 text-second">{failed}</p>;
  if (!answer) return null;
  return (
    <nav aria-label="What feeds what" className="mt-2" onKeyDown={walk}>
      <div
        aria-hidden="true"
        className="flex gap-2 border-b border-edge text-[12px] text-second [&>*]:shrink-0"
      >
        <span className="min-w-0 flex-1">Part, pin, fuse</span>
        <span className="w-[118px] text-right max-[600px]:hidden">Wire to it</span>
        {state === 'keyOff' ? (
          <span className="w-[134px] text-right">With the key off</span>
        ) : (
          <>
            <span className="w-[68px] text-right">Current</span>
            <span className="w-[62px] text-right">Voltage</span>
          </>
        )}
      </div>
      <ul>
        {answer.map((branch) => (
          <Branch key={branch.node} branch={branch} all={all} devices={devices} />
        ))}
      </ul>
    </nav>
  );
}
