import { sharedAmong, type Draft } from '../records/index.ts';
import type { SaidAmounts } from './amounts.ts';
import { MOST, unfinished, type CommandReading, type DeedAtBags } from './command.ts';
import type { PickedFacts } from './picked-facts.ts';
import type { NamedBag } from './which-bags.ts';

export function readPicking(
  {
    kilograms,
    count,
    asEntered,
    litres,
    isUnmeasured,
    facts: said,
  }: Omit<SaidAmounts, 'rest' | 'count'> & {
    readonly count: number | undefined;
    readonly isUnmeasured: boolean;
    readonly facts: PickedFacts;
  },
  { bags, isShared, base, command }: DeedAtBags,
): CommandReading {
  if (kilograms === undefined && count === undefined) {
    if (isUnmeasured && litres === undefined)
      return command(priced(bags.map((bag) => ({ kind: 'picking', ...base(bag), ...said, isUnmeasured }))));
    return unfinished(
      litres === undefined
        ? 'How much: a weight, or how many? Say “some” if nobody weighed it.'
        : 'A picking is weighed or counted.',
    );
  }
  if (
    (kilograms ?? 1) <= 0 ||
    (kilograms ?? 0) / (isShared ? bags.length : 1) > MOST.kilograms ||
    (count ?? 0) > MOST.count ||
    count === 0
  )
    return unfinished('No bag gives that at once: look at the amount.');
  const facts = {
    ...(kilograms === undefined ? {} : { kilograms }),
    ...(count === undefined ? {} : { count }),
  };
  const typed = asEntered === undefined || kilograms === undefined ? {} : { asEntered };
  const shares = isShared ? sharedAmong(facts, bags.length) : bags.map(() => ({ ...facts, ...typed }));
  return command(
    priced(
      bags.flatMap((bag, i): readonly Draft<'picking'>[] => {
        const own = shares[i] ?? {};
        // of three fruits from four bags nothing is left to say of the fourth
        return 'kilograms' in own || 'count' in own
          ? [{ kind: 'picking', ...base(bag), ...said, ...own }]
          : [];
      }),
    ),
  );
}

/** What was got for it is for all of it. */
const priced = (drafts: readonly Draft<'picking'>[]): readonly Draft[] =>
  drafts.map(({ soldFor, ...draft }) =>
    soldFor === undefined ? draft : { ...draft, soldFor: soldFor / drafts.length },
  );

/** A number without a unit, right at the beginning of what was picked, is how many: "picked 6 from 7". */
export function bareCount(
  amounts: SaidAmounts,
  bags: readonly NamedBag[],
): { readonly count: number | undefined; readonly rest: string } {
  const { count, kilograms, rest } = amounts;
  if (count !== undefined) return { count, rest };
  // where there is but one bag, "6, two split" is six as well
  const [alone] = bags;
  const isAlone = bags.length === 1 && rest.trim().split(/[\s,;]/)[0] !== alone?.label;
  const first =
    /^\s*(\d{1,4})(?= +(?:(?!and\b)\p{L}[\p{L}-]* ){0,3}(?:from|at|off|of|in|on|out)\b)/u.exec(rest) ??
    (isAlone ? /^\s*(\d{1,4})(?=\s*[,;])/.exec(rest) : null);
  if (first) return { count: Number(first[1]), rest: rest.slice(first[0].length) };
  if (kilograms !== undefined) return { count, rest };
  const known = new Set(bags.map(({ label }) => label.toLowerCase()));
  const numbers = [...rest.matchAll(/(?<![\p{L}\d])\d{1,4}(?![\p{L}\d])/gu)];
  const strange = numbers.filter(([number]) => !known.has(number));
  const [only] = strange;
  return strange.length === 1 && only && (numbers.length > 1 || bags.length === 1)
    ? {
        count: Number(only[0]),
        rest: `${rest.slice(0, only.index)} ${rest.slice(only.index + only[0].length)}`,
      }
    : { count, rest };
}
