import { BrowserRouter, HashRouter, useRoutes } from 'react-router';
import { IS_STATIC } from '../ui/place-now.ts';
import { BrokenBoundary } from './Broken.tsx';
import { Root } from './Root.tsx';
import { ROUTES } from './routes.tsx';

const TREE = [{ path: '/', element: <Root />, children: ROUTES }];

function Places() {
  return useRoutes(TREE);
}

/** A server of files alone knows of no page but the first: behind a # it is not asked for one. */
const Router = IS_STATIC ? HashRouter : BrowserRouter;

/** The whole app: every place by its address. */
export function App() {
  return (
    <Router>
      <BrokenBoundary>
        <Places />
      </BrokenBoundary>
    </Router>
  );
}
