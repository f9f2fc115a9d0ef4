import { createBrowserRouter } from 'react-router';
import { Broken } from './Broken.tsx';
import { PLACES } from './places.tsx';
import { Root } from './Root.tsx';

export const router = createBrowserRouter([
  { path: '/', element: <Root />, errorElement: <Broken />, children: PLACES },
]);
