import { createBrowserRouter } from 'react-router';
import { Broken } from './Broken.tsx';
import { ROUTES } from './routes.tsx';
import { Root } from './Root.tsx';

export const router = createBrowserRouter([
  { path: '/', element: <Root />, errorElement: <Broken />, children: ROUTES },
]);
