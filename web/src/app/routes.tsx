import { Navigate, type RouteObject } from 'react-router';
import { lazy } from 'react';
import RoundPage from '../pages/round/RoundPage.tsx';
import { Broken } from './Broken.tsx';

const BagsPage = lazy(() => import('../pages/bags/BagsPage.tsx'));
const AddBagPage = lazy(() => import('../pages/bags/AddBagPage.tsx'));
const EditBagPage = lazy(() => import('../pages/bags/EditBagPage.tsx'));
const BagPage = lazy(() => import('../pages/bags/BagPage.tsx'));
const PlantingPage = lazy(() => import('../pages/round/planting/PlantingPage.tsx'));
const SeasonPage = lazy(() => import('../pages/season/SeasonPage.tsx'));
const BenchPage = lazy(() => import('../pages/bench/BenchPage.tsx'));
const TallyPage = lazy(() => import('../pages/tally/TallyPage.tsx'));
const SettingsPage = lazy(() => import('../pages/files/SettingsPage.tsx'));
const FilesPage = lazy(() => import('../pages/files/FilesPage.tsx'));
const HelpPage = lazy(() => import('../pages/files/HelpPage.tsx'));

/** Every screen has an address. The round is the home and comes with the first load; the rest when it is gone to. */
export const ROUTES: RouteObject[] = [
  { index: true, element: <Navigate to="/round" replace /> },
  { path: 'round/planting', element: <PlantingPage /> },
  { path: 'round/:containerId?', element: <RoundPage /> },
  { path: 'bags', element: <BagsPage /> },
  { path: 'bags/new', element: <AddBagPage /> },
  { path: 'bags/:containerId', element: <BagPage /> },
  { path: 'bags/:containerId/edit', element: <EditBagPage /> },
  { path: 'season/:topicId?', element: <SeasonPage /> },
  { path: 'bench/:topicId?', element: <BenchPage /> },
  { path: 'tally', element: <TallyPage /> },
  { path: 'settings', element: <SettingsPage /> },
  { path: 'files', element: <FilesPage /> },
  { path: 'help', element: <HelpPage /> },
  { path: '*', element: <Broken /> },
];
