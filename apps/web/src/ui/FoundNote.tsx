import type { FoundAtVehicle } from '@brookrain/core';
import { Link } from 'react-router';
import { useBuild } from '../build/BuildContext.ts';
import { SeverityMark } from './SeverityMark.tsx';
import { Worded } from './Worded.tsx';

/** What was found at the vehicle, with the page on which it is tried again. */
export function FoundNote({ found }: { found: FoundAtVehicle }) {
  const { id } = useBuild();
  return (
    <article className="rule flex gap-2 py-2" data-finding={found.id}>
      <span className="pt-0.5">
        <SeverityMark severity={found.severity} />
      </span>
      <div className="min-w-0">
        <p className="font-medium">{found.title}</p>
        <p className="text-[13px] leading-[18px] text-second">
          Found at the vehicle: <Worded text={`${found.because}.`} />
        </p>
        <Link className="text-[13px] underline" to={`/at/${id}/${found.foundBy}`}>
          {found.foundBy === 'read'
            ? 'Read it again once it is mended'
            : 'Try it again once it is mended'}
        </Link>
      </div>
    </article>
  );
}
