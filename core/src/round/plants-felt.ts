import type { Assumed } from '../assumed/index.ts';
import type { Entry, EntryOf } from '../records/index.ts';

type CheckEntry = EntryOf<'check'>;

/** Looks at several plants of one bag belong together when they were made within this time. */
const ONE_VISIT_MILLISECONDS = 3_600_000;

/**
 * The checks that stand for a bag: the last one, or when that was at one plant of several, the last at each plant since the
 * whole bag was checked, driest first. The first of them counts.
 *
 * @param checks at one bag, oldest first
 */
export function effectiveChecks(checks: readonly CheckEntry[]): readonly CheckEntry[] {
  const last = checks.at(-1);
  if (!last) return [];
  if (last.stationId === undefined) return [last];
  const sinceWhole = checks.slice(checks.findLastIndex((l) => l.stationId === undefined) + 1);
  const atEach = new Map(sinceWhole.map((l) => [l.stationId, l]));
  return [...atEach.values()].sort((a, b) => gradeOf(a) - gradeOf(b));
}

/** Which of a bag's plants usually feels the driest. */
export interface DrierPlant {
  readonly stationId: string;
  /** in so many visits */
  readonly times: number;
  /** of so many that told its plants apart */
  readonly visits: number;
}

/**
 * The plant that usually stands driest: the sunny end of a long bag, or the thirstiest of three. Undefined while too few
 * looks tell its plants apart, or they take turns.
 *
 * @param entries of one container, oldest first
 */
export function drierPlant(
  entries: readonly Entry[],
  assumed: Pick<Assumed, 'drierVisits' | 'drierPart'>,
): DrierPlant | undefined {
  const driest = visitsOf(entries).flatMap((visit) => {
    const [first, second] = effectiveChecks(visit);
    return first?.stationId !== undefined && second && gradeOf(first) < gradeOf(second)
      ? [first.stationId]
      : [];
  });
  for (const stationId of new Set(driest)) {
    const times = driest.filter((id) => id === stationId).length;
    if (driest.length >= assumed.drierVisits && times / driest.length >= assumed.drierPart)
      return { stationId, times, visits: driest.length };
  }
  return undefined;
}

/** Looks at single plants that were made on one visit, with nothing poured between. */
function visitsOf(entries: readonly Entry[]): readonly (readonly CheckEntry[])[] {
  const visits: CheckEntry[][] = [];
  let isOpen = false;
  for (const entry of entries) {
    if (entry.kind === 'watering') isOpen = false;
    if (entry.kind !== 'check' || entry.stationId === undefined || entry.check.method !== 'finger') continue;
    const visit = visits.at(-1);
    const begun = visit?.[0]?.at;
    if (isOpen && begun && Date.parse(entry.at) - Date.parse(begun) <= ONE_VISIT_MILLISECONDS)
      visit.push(entry);
    else visits.push([entry]);
    isOpen = true;
  }
  return visits;
}

/** Only what a finger feels tells plants apart; any other way stands for the whole bag. */
function gradeOf({ check }: CheckEntry): number {
  return check.method === 'finger' ? check.grade : Infinity;
}
