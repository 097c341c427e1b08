import { lazy } from 'react';
import { Navigate, createBrowserRouter } from 'react-router';
import { Frame } from '../frame/Frame.tsx';
import { BuildsScreen } from '../screens/builds/BuildsScreen.tsx';

const named = <Name extends string>(
  load: () => Promise<Record<Name, React.ComponentType>>,
  name: Name,
  stage: string,
) => {
  // The stage in the address is fetched at once, beside the build itself.
  if (location.pathname.endsWith(`/${stage}`)) void load();
  return lazy(() => load().then((module) => ({ default: module[name] })));
};

const Brief = named(() => import('../screens/brief/BriefScreen.tsx'), 'BriefScreen', 'brief');
const Demand = named(() => import('../screens/demand/DemandScreen.tsx'), 'DemandScreen', 'demand');
const Injectors = named(
  () => import('../screens/injectors/InjectorsScreen.tsx'),
  'InjectorsScreen',
  'injectors',
);
const Pump = named(() => import('../screens/pump/PumpScreen.tsx'), 'PumpScreen', 'pump');
const Circuit = named(
  () => import('../screens/circuit/CircuitScreen.tsx'),
  'CircuitScreen',
  'circuit',
);
const Wiring = named(() => import('../screens/wiring/WiringScreen.tsx'), 'WiringScreen', 'wiring');
const Margins = named(
  () => import('../screens/margins/MarginsScreen.tsx'),
  'MarginsScreen',
  'margins',
);
const TakeAway = named(
  () => import('../screens/takeaway/TakeAwayScreen.tsx'),
  'TakeAwayScreen',
  'take-away',
);

export const router = createBrowserRouter([
  { path: '/', Component: BuildsScreen },
  {
    path: '/builds/:buildId',
    Component: Frame,
    children: [
      { index: true, element: <Navigate to="brief" replace /> },
      { path: 'brief', Component: Brief },
      { path: 'demand', Component: Demand },
      { path: 'injectors', Component: Injectors },
      { path: 'pump', Component: Pump },
      { path: 'circuit', Component: Circuit },
      { path: 'wiring', Component: Wiring },
      { path: 'margins', Component: Margins },
      { path: 'take-away', Component: TakeAway },
    ],
  },
  { path: '*', element: <Navigate to="/" replace /> },
]);
