import { Navigate, type RouteObject } from 'react-router';
import { lazy } from 'react';
import RoundPage from '../round/RoundPage.tsx';
import { Broken } from './Broken.tsx';

const StandsPage = lazy(() => import('../stands/StandsPage.tsx'));
const AddBagPage = lazy(() => import('../stands/AddBagPage.tsx'));
const EditBagPage = lazy(() => import('../stands/EditBagPage.tsx'));
const BagPage = lazy(() => import('../stands/BagPage.tsx'));
const PlantingPage = lazy(() => import('../round/planting/PlantingPage.tsx'));
const SeasonPage = lazy(() => import('../season/SeasonPage.tsx'));
const BenchPage = lazy(() => import('../bench/BenchPage.tsx'));
const TallyPage = lazy(() => import('../tally/TallyPage.tsx'));
const SettingsPage = lazy(() => import('../files/SettingsPage.tsx'));
const FilesPage = lazy(() => import('../files/FilesPage.tsx'));
const HelpPage = lazy(() => import('../files/HelpPage.tsx'));

/** Every screen has an address. The round is the home and comes with the first load; the rest when it is gone to. */
export const PLACES: RouteObject[] = [
  { index: true, element: <Navigate to="/round" replace /> },
  { path: 'round/planting', element: <PlantingPage /> },
  { path: 'round/:containerId?', element: <RoundPage /> },
  { path: 'stands', element: <StandsPage /> },
  { path: 'stands/new', element: <AddBagPage /> },
  { path: 'stands/:containerId', element: <BagPage /> },
  { path: 'stands/:containerId/edit', element: <EditBagPage /> },
  { path: 'season/:topicId?', element: <SeasonPage /> },
  { path: 'bench/:topicId?', element: <BenchPage /> },
  { path: 'tally', element: <TallyPage /> },
  { path: 'settings', element: <SettingsPage /> },
  { path: 'files', element: <FilesPage /> },
  { path: 'help', element: <HelpPage /> },
  { path: '*', element: <Broken /> },
];
