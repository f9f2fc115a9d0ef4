/** What of an entry is an amount that several bags can share. */
interface Shareable {
  readonly litres?: number | undefined;
  readonly kilograms?: number | undefined;
  readonly count?: number | undefined;
  /** of a feed */
  readonly amount?: number | undefined;
  /** what was got for fruit */
  readonly soldFor?: number | undefined;
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
  const { asEntered: _, litres, kilograms, count, amount, soldFor, ...rest } = facts;
  return Array.from({ length: bags }, (_each, i) => {
    const fruits = count === undefined ? undefined : Math.floor(count / bags) + (i < count % bags ? 1 : 0);
    return {
      ...rest,
      ...(litres === undefined ? {} : { litres: litres / bags }),
      ...(kilograms === undefined ? {} : { kilograms: kilograms / bags }),
      ...(amount === undefined ? {} : { amount: amount / bags }),
      // by weight where there is one, else by the fruits
      ...(soldFor === undefined
        ? {}
        : { soldFor: kilograms === undefined && count ? (soldFor * (fruits ?? 0)) / count : soldFor / bags }),
      // none fell to this one
      ...(fruits === undefined || fruits === 0 ? {} : { count: fruits }),
    } as unknown as Omit<F, 'asEntered'>;
  });
}

/**
 * One bowl for several bags, by how many fruits came from each: the weight follows the fruits. A bag with none is left out by whoever
 * writes it down.
 *
 * @param fruits from each bag, in their order
 * @example
 * splitByFruits({ kilograms: 1 }, [3, 1])
 * // => [{ kilograms: 0.75, count: 3 }, { kilograms: 0.25, count: 1 }]
 */
export function splitByFruits<F extends Shareable>(
  facts: F,
  fruits: readonly number[],
): readonly Omit<F, 'asEntered'>[] {
  const { asEntered: _, kilograms, count: __, soldFor, ...rest } = facts;
  const all = fruits.reduce((sum, each) => sum + each, 0);
  return fruits.map(
    (each) =>
      ({
        ...rest,
        ...(each === 0 || kilograms === undefined ? {} : { kilograms: (kilograms * each) / all }),
        ...(each === 0 ? {} : { count: each }),
        ...(each === 0 || soldFor === undefined ? {} : { soldFor: (soldFor * each) / all }),
      }) as unknown as Omit<F, 'asEntered'>,
  );
}
