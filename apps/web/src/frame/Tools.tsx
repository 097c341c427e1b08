import { CircleHelp, Moon, Search, Settings, Sun } from 'lucide-react';
import { Suspense, lazy } from 'react';
import { Link } from 'react-router';
import { useTheme } from '../ui/preferences.ts';
import { usePalette } from './PaletteContext.ts';

// The list is opened seldom: it comes after what the page is about.
const UnitChoice = lazy(() =>
  import('./UnitChoice.tsx').then((module) => ({ default: module.UnitChoice })),
);

/** What stands in every header: find, units, light or dark, settings, help. */
export function Tools() {
  const [theme, setTheme] = useTheme();
  const { openPalette, openHelp } = usePalette();
  return (
    <>
      <button
        type="button"
        className="flex items-center gap-1.5 px-1"
        title="Find anything (.)"
        onClick={openPalette}
      >
        <Search size={16} aria-hidden="true" />
        <span className="max-[1100px]:sr-only">Find</span>
      </button>
      <span className="max-[700px]:hidden">
        <Suspense fallback={<span className="inline-block w-[136px]" />}>
          <UnitChoice />
        </Suspense>
      </span>
      <button
        type="button"
        className="px-1"
        onClick={() => setTheme(theme === 'dark' ? 'light' : 'dark')}
        aria-label={theme === 'dark' ? 'Light screen' : 'Dark screen'}
      >
        {theme === 'dark' ? (
          <Sun size={16} aria-hidden="true" />
        ) : (
          <Moon size={16} aria-hidden="true" />
        )}
      </button>
      <Link to="/settings" className="px-1" aria-label="Settings" title="Settings">
        <Settings size={16} aria-hidden="true" />
      </Link>
      <button type="button" className="px-1" aria-label="Help" title="Help (F1)" onClick={openHelp}>
        <CircleHelp size={16} aria-hidden="true" />
      </button>
    </>
  );
}
