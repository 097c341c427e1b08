import { Suspense } from 'react';
import { Outlet, useParams } from 'react-router';
import { BuildProvider } from '../build/BuildProvider.tsx';
import { ConflictDialog } from './ConflictDialog.tsx';
import { Header } from './Header.tsx';
import { LadderRail } from './LadderRail.tsx';
import { OrderOfWork } from './OrderOfWork.tsx';
import { RippleBar } from './RippleBar.tsx';

/** The frame around every stage of a build. */
export function Frame() {
  const { buildId = '' } = useParams();
  return (
    <BuildProvider key={buildId} id={buildId}>
      <div className="flex h-full flex-col">
        <Header />
        <div className="flex min-h-0 flex-1 max-[900px]:flex-col">
          <OrderOfWork />
          <div className="min-h-0 min-w-0 flex-1 max-[900px]:overflow-y-auto">
            <Suspense fallback={<p className="p-4 text-second">Opening</p>}>
              <Outlet />
            </Suspense>
          </div>
          <LadderRail />
        </div>
        <RippleBar />
        <ConflictDialog />
      </div>
    </BuildProvider>
  );
}
