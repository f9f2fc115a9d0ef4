/** What of an entry is an amount that several bags can share. */
interface Shareable {
  readonly litres?: number | undefined;
  readonly kilograms?: number | undefined;
  readonly count?: number | undefined;
  readonly asEntered?: string | undefined;
}

/**
 * One amount for several bags together, shared evenly: an entry's facts for each. Fruits stay whole, the first bags get one
 * more; what was typed is of all of them, and is not kept as if it were of one.
 *
 * @example
 * sharedAmong({ kilograms: 3, count: 5 }, 2)
 * // => [{ kilograms: 1.5, count: 3 }, { kilograms: 1.5, count: 2 }]
 */
export function sharedAmong<F extends Shareable>(facts: F, bags: number): readonly Omit<F, 'asEntered'>[] {
  const { asEntered: _, litres, kilograms, count, ...rest } = facts;
  return Array.from({ length: bags }, (_each, i) => {
    const fruits = count === undefined ? undefined : Math.floor(count / bags) + (i < count % bags ? 1 : 0);
    return {
      ...rest,
      ...(litres === undefined ? {} : { litres: litres / bags }),
      ...(kilograms === undefined ? {} : { kilograms: kilograms / bags }),
      // none fell to this one
      ...(fruits === undefined || fruits === 0 ? {} : { count: fruits }),
    } as unknown as Omit<F, 'asEntered'>;
  });
}
