import { Suspense, useCallback } from 'react';
import { Outlet, useNavigate, useParams } from 'react-router';
import { BuildProvider } from '../build/BuildProvider.tsx';
import { ConflictDialog } from './ConflictDialog.tsx';
import { ConnectionNote } from './ConnectionNote.tsx';
import { FigureDialog } from './FigureDialog.tsx';
import { Header } from './Header.tsx';
import { LadderRail } from './LadderRail.tsx';
import { OrderOfWork } from './OrderOfWork.tsx';
import { RippleBar } from './RippleBar.tsx';
import { usePlainKeys } from './shortcuts.ts';
import { screenList } from './stages.ts';

/** The frame around every stage of a build. */
export function Frame() {
  const { buildId = '' } = useParams();
  const navigate = useNavigate();
  usePlainKeys(
    useCallback(
      (key) => {
        const screen = screenList.find((s) => s.keys === key);
        if (!screen) return false;
        void navigate(`/builds/${buildId}/${screen.id}`);
        return true;
      },
      [buildId, navigate],
    ),
  );
  return (
    <BuildProvider key={buildId} id={buildId}>
      <div className="flex h-full flex-col">
        <Header />
        <ConnectionNote />
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
        <FigureDialog />
      </div>
    </BuildProvider>
  );
}
