import { Suspense, lazy, useCallback, useMemo, useState } from 'react';
import { Outlet } from 'react-router';
import { FollowLists } from './FollowLists.tsx';
import { PaletteContext } from './PaletteContext.ts';
import { SkipLink } from './SkipLink.tsx';
import { usePlainKeys } from './shortcuts.ts';

const Palette = lazy(() => import('./Palette.tsx').then((m) => ({ default: m.Palette })));
const HelpSheet = lazy(() => import('./HelpSheet.tsx').then((m) => ({ default: m.HelpSheet })));

/** Around every page: what opens over it, and what follows other windows. */
export function Root() {
  const [over, setOver] = useState<'palette' | 'help'>();
  const control = useMemo(
    () => ({ openPalette: () => setOver('palette'), openHelp: () => setOver('help') }),
    [],
  );
  usePlainKeys(
    useCallback((key) => {
      if (key !== '.' && key !== 'F1') return false;
      setOver(key === '.' ? 'palette' : 'help');
      return true;
    }, []),
  );
  const close = useCallback(() => setOver(undefined), []);
  return (
    <PaletteContext value={control}>
      <SkipLink />
      <FollowLists />
      <Suspense fallback={<p className="p-4 text-second">Opening</p>}>
        <Outlet />
      </Suspense>
      <Suspense>
        {over === 'palette' && <Palette close={close} />}
        {over === 'help' && <HelpSheet close={close} />}
      </Suspense>
    </PaletteContext>
  );
}
