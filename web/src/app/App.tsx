import { BrowserRouter, useRoutes } from 'react-router';
import { BrokenBoundary } from './Broken.tsx';
import { Root } from './Root.tsx';
import { ROUTES } from './routes.tsx';

const TREE = [{ path: '/', element: <Root />, children: ROUTES }];

function Places() {
  return useRoutes(TREE);
}

/** The whole app: every place by its address. */
export function App() {
  return (
    <BrowserRouter>
      <BrokenBoundary>
        <Places />
      </BrokenBoundary>
    </BrowserRouter>
  );
}
