import { useState } from 'react';

/**
 * A record as it was when its form was begun. What another tab writes meanwhile is then met when the form is saved, and not
 * written over by fields that nobody touched.
 */
export function useAsBegun<T>(record: T): T {
  const [begun] = useState(record);
  return begun;
}
