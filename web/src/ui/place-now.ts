/** Built for a server of files alone, which knows of no page but the first: places are behind a #. */
export const IS_STATIC: boolean = import.meta.env['VITE_IS_STATIC'] === 'yes';

/** The place that the address bar says, as the router has it: it is ahead of what is drawn. */
export function placeNow(): { readonly pathname: string; readonly search: string } {
  if (!IS_STATIC) return { pathname: location.pathname, search: location.search };
  const { pathname, search } = new URL(location.hash.slice(1) || '/', location.origin);
  return { pathname, search };
}
