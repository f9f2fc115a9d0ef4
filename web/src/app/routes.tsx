import { Navigate, type RouteObject } from 'react-router';
import { lazy } from 'react';
import RoundPage from '../pages/round/RoundPage.tsx';
import { Broken } from './Broken.tsx';
import { placeNow } from '../ui/place-now.ts';
import { pageOf } from './page-of.ts';

/** The screens that are read when they are gone to. */
const LOADS = {
  bags: () => import('../pages/bags/BagsPage.tsx'),
  addBag: () => import('../pages/bags/AddBagPage.tsx'),
  editBag: () => import('../pages/bags/EditBagPage.tsx'),
  bag: () => import('../pages/bags/BagPage.tsx'),
  trouble: () => import('../pages/bags/trouble/TroublePage.tsx'),
  planting: () => import('../pages/round/planting/PlantingPage.tsx'),
  season: () => import('../pages/season/SeasonPage.tsx'),
  bench: () => import('../pages/bench/BenchPage.tsx'),
  tally: () => import('../pages/tally/TallyPage.tsx'),
  settings: () => import('../pages/files/SettingsPage.tsx'),
  files: () => import('../pages/files/FilesPage.tsx'),
  scan: () => import('../pages/files/ScanPage.tsx'),
  help: () => import('../pages/files/HelpPage.tsx'),
  dangers: () => import('../pages/files/DangersPage.tsx'),
} as const;

const BagsPage = lazy(LOADS.bags);
const AddBagPage = lazy(LOADS.addBag);
const EditBagPage = lazy(LOADS.editBag);
const BagPage = lazy(LOADS.bag);
const TroublePage = lazy(LOADS.trouble);
const PlantingPage = lazy(LOADS.planting);
const SeasonPage = lazy(LOADS.season);
const BenchPage = lazy(LOADS.bench);
const TallyPage = lazy(LOADS.tally);
const SettingsPage = lazy(LOADS.settings);
const FilesPage = lazy(LOADS.files);
const ScanPage = lazy(LOADS.scan);
const HelpPage = lazy(LOADS.help);
const DangersPage = lazy(LOADS.dangers);

/** Every screen has an address. The round is the home and comes with the first load; the rest when it is gone to. */
export const ROUTES: RouteObject[] = [
  { index: true, element: <Navigate to="/round" replace /> },
  { path: 'round/planting', element: <PlantingPage /> },
  { path: 'round/:containerId?', element: <RoundPage /> },
  { path: 'bags', element: <BagsPage /> },
  { path: 'bags/new', element: <AddBagPage /> },
  { path: 'bags/:containerId', element: <BagPage /> },
  { path: 'bags/:containerId/edit', element: <EditBagPage /> },
  { path: 'bags/:containerId/trouble', element: <TroublePage /> },
  { path: 'season/:topicId?', element: <SeasonPage /> },
  { path: 'bench/:topicId?', element: <BenchPage /> },
  { path: 'tally/:topicId?', element: <TallyPage /> },
  { path: 'settings', element: <SettingsPage /> },
  { path: 'files/:topicId?', element: <FilesPage /> },
  { path: 'scan', element: <ScanPage /> },
  { path: 'help', element: <HelpPage /> },
  { path: 'help/dangers', element: <DangersPage /> },
  { path: '*', element: <Broken /> },
];

// who comes straight to a screen need not wait for the garden to be read before the screen is
const page = typeof location === 'undefined' ? undefined : pageOf(placeNow().pathname);
if (page !== undefined && page in LOADS) void LOADS[page as keyof typeof LOADS]();

/** How long a visit goes on before the screens that may be gone to next are read, ms. */
const READ_AHEAD_AFTER = 6000;

/** Reads the other four places, so that going to one shows it at once: one after another, none of which keeps a tap waiting. */
export function readAhead(): void {
  setTimeout(async () => {
    for (const load of [LOADS.bags, LOADS.bag, LOADS.season, LOADS.bench, LOADS.tally])
      // without the network a place is read when it is gone to, which says so
      await load().catch(() => undefined);
  }, READ_AHEAD_AFTER);
}
