import { lazy } from 'react';
import { Navigate, createBrowserRouter } from 'react-router';
import { ErrorPage } from '../frame/ErrorPage.tsx';
import { Root } from '../frame/Root.tsx';

const named = <Name extends string>(
  load: () => Promise<Record<Name, React.ComponentType>>,
  name: Name,
  address: RegExp,
) => {
  // The page in the address is fetched at once, beside its data.
  if (address.test(location.pathname)) void load();
  return lazy(() => load().then((module) => ({ default: module[name] })));
};
const stage = (id: string): RegExp => new RegExp(`/builds/[^/]+/${id}$`);

const Builds = named(() => import('../screens/builds/BuildsScreen.tsx'), 'BuildsScreen', /^\/$/);
const Start = named(() => import('../screens/start/StartScreen.tsx'), 'StartScreen', /^\/new$/);
const Guide = named(() => import('../screens/guide/GuideScreen.tsx'), 'GuideScreen', /^\/guide/);
const Words = named(() => import('../screens/words/WordsScreen.tsx'), 'WordsScreen', /^\/words/);
const Settings = named(
  () => import('../screens/settings/SettingsScreen.tsx'),
  'SettingsScreen',
  /^\/settings/,
);
const Catalogue = named(
  () => import('../screens/catalogue/CatalogueScreen.tsx'),
  'CatalogueScreen',
  /^\/catalogue/,
);
const Item = named(() => import('../screens/catalogue/ItemScreen.tsx'), 'ItemScreen', /^$/);
const Editor = named(() => import('../screens/catalogue/ItemEditor.tsx'), 'ItemEditor', /^$/);
const BringIn = named(
  () => import('../screens/catalogue/BringInScreen.tsx'),
  'BringInScreen',
  /^$/,
);

const Frame = named(() => import('../frame/Frame.tsx'), 'Frame', /^\/builds\//);
const Brief = named(
  () => import('../screens/brief/BriefScreen.tsx'),
  'BriefScreen',
  stage('brief'),
);
const Demand = named(
  () => import('../screens/demand/DemandScreen.tsx'),
  'DemandScreen',
  stage('demand'),
);
const Injectors = named(
  () => import('../screens/injectors/InjectorsScreen.tsx'),
  'InjectorsScreen',
  stage('injectors'),
);
const Pump = named(() => import('../screens/pump/PumpScreen.tsx'), 'PumpScreen', stage('pump'));
const Circuit = named(
  () => import('../screens/circuit/CircuitScreen.tsx'),
  'CircuitScreen',
  stage('circuit'),
);
const Wiring = named(
  () => import('../screens/wiring/WiringScreen.tsx'),
  'WiringScreen',
  stage('wiring'),
);
const Devices = named(
  () => import('../screens/devices/DevicesScreen.tsx'),
  'DevicesScreen',
  stage('devices'),
);
const Supply = named(
  () => import('../screens/supply/SupplyScreen.tsx'),
  'SupplyScreen',
  stage('supply'),
);
const Switching = named(
  () => import('../screens/switching/SwitchingScreen.tsx'),
  'SwitchingScreen',
  stage('switching'),
);
const Schematic = named(
  () => import('../screens/schematic/SchematicScreen.tsx'),
  'SchematicScreen',
  stage('schematic'),
);
const Schools = named(
  () => import('../screens/schools/SchoolsScreen.tsx'),
  'SchoolsScreen',
  stage('schools'),
);
const Panel = named(
  () => import('../screens/panel/PanelScreen.tsx'),
  'PanelScreen',
  stage('panel'),
);
const Harness = named(
  () => import('../screens/harness/HarnessScreen.tsx'),
  'HarnessScreen',
  stage('harness'),
);
const Places = named(
  () => import('../screens/places/PlacesScreen.tsx'),
  'PlacesScreen',
  stage('find-a-place'),
);
const KeptPlugs = named(
  () => import('../screens/harness/KeptPlugsScreen.tsx'),
  'KeptPlugsScreen',
  stage('kept-connectors'),
);
const Threading = named(
  () => import('../screens/harness/ThreadingScreen.tsx'),
  'ThreadingScreen',
  stage('threading'),
);
const Lists = named(
  () => import('../screens/harness/ListsScreen.tsx'),
  'ListsScreen',
  stage('lists'),
);
const Formboard = named(
  () => import('../screens/harness/FormboardScreen.tsx'),
  'FormboardScreen',
  stage('formboard'),
);
const AddLater = named(
  () => import('../screens/harness/AddLaterScreen.tsx'),
  'AddLaterScreen',
  stage('add-later'),
);
const Looms = named(
  () => import('../screens/harness/LoomsScreen.tsx'),
  'LoomsScreen',
  stage('looms'),
);
const CutList = named(
  () => import('../screens/harness/CutListScreen.tsx'),
  'CutListScreen',
  stage('cut-list'),
);
const Plugs = named(
  () => import('../screens/harness/PlugsScreen.tsx'),
  'PlugsScreen',
  stage('connectors'),
);
const Pins = named(() => import('../screens/pins/PinsScreen.tsx'), 'PinsScreen', stage('pins'));
const Wires = named(
  () => import('../screens/wires/WiresScreen.tsx'),
  'WiresScreen',
  stage('wires'),
);
const Tank = named(() => import('../screens/tank/TankScreen.tsx'), 'TankScreen', stage('tank'));
const Margins = named(
  () => import('../screens/margins/MarginsScreen.tsx'),
  'MarginsScreen',
  stage('margins'),
);
const TakeAway = named(
  () => import('../screens/takeaway/TakeAwayScreen.tsx'),
  'TakeAwayScreen',
  stage('downloads'),
);
const Readings = named(
  () => import('../screens/readings/ReadingsScreen.tsx'),
  'ReadingsScreen',
  stage('readings'),
);
const Findings = named(
  () => import('../screens/findings/FindingsScreen.tsx'),
  'FindingsScreen',
  stage('findings'),
);
const Operation = named(
  () => import('../screens/operation/OperationScreen.tsx'),
  'OperationScreen',
  stage('operation'),
);
const Layouts = named(
  () => import('../screens/layouts/LayoutsScreen.tsx'),
  'LayoutsScreen',
  stage('layouts'),
);
const Lines = named(
  () => import('../screens/lines/LinesScreen.tsx'),
  'LinesScreen',
  stage('lines'),
);
const Cards = named(() => import('../screens/lines/CardScreen.tsx'), 'CardScreen', stage('cards'));
const Buying = named(
  () => import('../screens/buying/BuyingScreen.tsx'),
  'BuyingScreen',
  stage('buying'),
);
const VehicleMap = named(() => import('../screens/map/MapScreen.tsx'), 'MapScreen', stage('map'));
const Parts = named(
  () => import('../screens/parts/PartsScreen.tsx'),
  'PartsScreen',
  stage('parts'),
);
const Compare = named(
  () => import('../screens/compare/CompareScreen.tsx'),
  'CompareScreen',
  stage('compare'),
);
const History = named(
  () => import('../screens/history/HistoryScreen.tsx'),
  'HistoryScreen',
  stage('history'),
);

const AtFrame = named(() => import('../screens/at/AtFrame.tsx'), 'AtFrame', /^\/at\//);
const AtHome = named(() => import('../screens/at/AtHome.tsx'), 'AtHome', /^\/at\/[^/]+$/);
const ToPhone = named(() => import('../screens/at/ToPhone.tsx'), 'ToPhone', stage('at'));
const CutPage = named(() => import('../screens/at/CutPage.tsx'), 'CutPage', /^\/at\/[^/]+\/cut$/);
const PinPage = named(() => import('../screens/at/PinPage.tsx'), 'PinPage', /^\/at\/[^/]+\/pin$/);
const BuzzPage = named(
  () => import('../screens/at/BuzzPage.tsx'),
  'BuzzPage',
  /^\/at\/[^/]+\/buzz$/,
);
const MeasurePage = named(
  () => import('../screens/at/MeasurePage.tsx'),
  'MeasurePage',
  /^\/at\/[^/]+\/measure$/,
);
const ReadingPage = named(
  () => import('../screens/at/ReadingPage.tsx'),
  'ReadingPage',
  /^\/at\/[^/]+\/read$/,
);

export const router = createBrowserRouter([
  {
    Component: Root,
    ErrorBoundary: ErrorPage,
    children: [
      { path: '/', Component: Builds },
      { path: '/new', Component: Start },
      { path: '/guide', Component: Guide },
      { path: '/words', Component: Words },
      { path: '/settings', Component: Settings },
      { path: '/catalogue', Component: Catalogue },
      { path: '/catalogue/:category', Component: Catalogue },
      { path: '/catalogue/:category/new', Component: Editor },
      { path: '/catalogue/:category/bring-in', Component: BringIn },
      { path: '/catalogue/:category/:itemId', Component: Item },
      { path: '/catalogue/:category/:itemId/change', Component: Editor },
      {
        path: '/at/:buildId',
        Component: AtFrame,
        children: [
          { index: true, Component: AtHome },
          { path: 'cut', Component: CutPage },
          { path: 'pin', Component: PinPage },
          { path: 'buzz', Component: BuzzPage },
          { path: 'read', Component: ReadingPage },
          { path: 'measure', Component: MeasurePage },
        ],
      },
      {
        path: '/builds/:buildId',
        Component: Frame,
        ErrorBoundary: ErrorPage,
        children: [
          { index: true, element: <Navigate to="brief" replace /> },
          { path: 'brief', Component: Brief },
          { path: 'demand', Component: Demand },
          { path: 'injectors', Component: Injectors },
          { path: 'pump', Component: Pump },
          { path: 'circuit', Component: Circuit },
          { path: 'map', Component: VehicleMap },
          { path: 'lines', Component: Lines },
          { path: 'cards', Component: Cards },
          { path: 'at', Component: ToPhone },
          { path: 'buying', Component: Buying },
          { path: 'tank', Component: Tank },
          { path: 'devices', Component: Devices },
          { path: 'pins', Component: Pins },
          { path: 'supply', Component: Supply },
          { path: 'schools', Component: Schools },
          { path: 'harness', Component: Harness },
          { path: 'looms', Component: Looms },
          { path: 'add-later', Component: AddLater },
          { path: 'threading', Component: Threading },
          { path: 'lists', Component: Lists },
          { path: 'formboard', Component: Formboard },
          { path: 'kept-connectors', Component: KeptPlugs },
          { path: 'find-a-place', Component: Places },
          { path: 'cut-list', Component: CutList },
          { path: 'connectors', Component: Plugs },
          { path: 'schematic', Component: Schematic },
          { path: 'switching', Component: Switching },
          { path: 'panel', Component: Panel },
          { path: 'wiring', Component: Wiring },
          { path: 'wires', Component: Wires },
          { path: 'margins', Component: Margins },
          { path: 'downloads', Component: TakeAway },
          { path: 'readings', Component: Readings },
          { path: 'findings', Component: Findings },
          { path: 'operation', Component: Operation },
          { path: 'layouts', Component: Layouts },
          { path: 'parts', Component: Parts },
          { path: 'compare', Component: Compare },
          { path: 'history', Component: History },
          // Addresses that pages had before: bookmarks, and codes on labels that are printed.
          { path: 'plugs', element: <Navigate to="../connectors" relative="path" replace /> },
          {
            path: 'kept-plugs',
            element: <Navigate to="../kept-connectors" relative="path" replace />,
          },
          { path: 'take-away', element: <Navigate to="../downloads" relative="path" replace /> },
        ],
      },
      { path: '*', element: <Navigate to="/" replace /> },
    ],
  },
]);
