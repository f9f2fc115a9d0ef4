import { useEffect, useState } from 'react';
import { useSearchParams } from 'react-router';
import { placeNow } from './place-now.ts';

/** Fields to be set; an undefined one is taken out. */
type Change = Readonly<Record<string, string | undefined>>;

/**
 * The fields of the address after its question mark, and how to change some of them in place.
 *
 * What is chosen shows at once and is added to what the address says by then: a screen at a changed address is drawn in
 * the router's own time, and a second choice may come before that.
 */
export function useAddress(): readonly [URLSearchParams, (change: Change) => void] {
  const [params, setParams] = useSearchParams();
  const [unitFormat, setShown] = useState(params);
  // it may have been changed by a link or the way back; what is still to be drawn stands in the address already
  useEffect(() => setShown(new URLSearchParams(placeNow().search)), [params]);
  const change = (fields: Change) => {
    setShown((now) => withFields(now, fields));
    setParams(withFields(new URLSearchParams(placeNow().search), fields), { replace: true });
  };
  return [unitFormat, change];
}

function withFields(params: URLSearchParams, fields: Change): URLSearchParams {
  const next = new URLSearchParams(params);
  for (const [name, value] of Object.entries(fields))
    if (value === undefined) next.delete(name);
    else next.set(name, value);
  return next;
}
