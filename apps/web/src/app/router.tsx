import { lazy } from 'react';
import { Navigate, createBrowserRouter } from 'react-router';
import { Frame } from '../frame/Frame.tsx';
import { BuildsScreen } from '../screens/builds/BuildsScreen.tsx';

const named = <Name extends string>(
  load: () => Promise<Record<Name, React.ComponentType>>,
  name: Name,
) => lazy(() => load().then((module) => ({ default: module[name] })));

const Brief = named(() => import('../screens/brief/BriefScreen.tsx'), 'BriefScreen');
const Demand = named(() => import('../screens/demand/DemandScreen.tsx'), 'DemandScreen');
const Injectors = named(
  () => import('../screens/injectors/InjectorsScreen.tsx'),
  'InjectorsScreen',
);
const Pump = named(() => import('../screens/pump/PumpScreen.tsx'), 'PumpScreen');
const Circuit = named(() => import('../screens/circuit/CircuitScreen.tsx'), 'CircuitScreen');
const Wiring = named(() => import('../screens/wiring/WiringScreen.tsx'), 'WiringScreen');
const Margins = named(() => import('../screens/margins/MarginsScreen.tsx'), 'MarginsScreen');
const TakeAway = named(() => import('../screens/takeaway/TakeAwayScreen.tsx'), 'TakeAwayScreen');

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
