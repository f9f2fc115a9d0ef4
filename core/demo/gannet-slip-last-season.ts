import { momentAt, daysBetween } from '../src/calendar/index.ts';
import {
  type Garden,
  type Draft,
  type Entry,
  ID_PREFIXES,
  type Container,
  type IdOf,
  type Plant,
} from '../src/records/index.ts';
import { chanceFrom, CLIMATES, hiddenWeather, type Chance, type HiddenDay } from '../hidden/index.ts';
import { BEARING, pickedCount, pickedKilograms, rhythmOf, vigourOf } from './bearing.ts';
import { type VARIETIES, BAGS } from './gannet-slip-plan.ts';
import { hiddenBagOf } from './gannet-slip-truth.ts';

/**
 * What stood in which bag last summer. The deck was watered every other evening,
 * and it shows.
 */
const LAST_SEASON: readonly {
  readonly label: string;
  readonly varietyName: (typeof VARIETIES)[number]['name'];
  readonly plantedOn: string;
  readonly clearedOn: string;
  /** days between two waterings, given without looking */
  readonly waterEveryDays: number;
}[] = [
  at('3', 'Salt Snap', '2025-05-24', '2025-08-29', 1),
  at('4', 'Pier Red', '2025-05-20', '2025-10-11', 1),
  at('6', 'Pier Red', '2025-05-30', '2025-10-04', 1),
  at('7', 'Lantern Drop', '2025-05-30', '2025-10-04', 1),
  at('8', 'Brass Bell', '2025-06-04', '2025-10-11', 2),
  at('9', 'Longfinger', '2025-06-02', '2025-09-27', 1),
  at('12', 'Bosun Short', '2025-05-28', '2025-09-20', 2),
  at('24', 'Bosun Short', '2025-05-29', '2025-09-05', 2),
  at('10', 'Bosun Short', '2025-05-29', '2025-09-20', 2),
  at('11', 'Bosun Short', '2025-05-28', '2025-09-20', 1),
  at('15', 'Bosun Short', '2025-05-29', '2025-09-20', 1),
  at('20', 'Bosun Short', '2025-05-29', '2025-09-20', 1),
  at('5', 'Pier Red', '2025-05-30', '2025-10-04', 1),
  at('18', 'Pier Red', '2025-05-31', '2025-10-04', 1),
  at('17', 'Brass Bell', '2025-06-04', '2025-10-11', 1),
  at('16', 'Longfinger', '2025-06-03', '2025-09-27', 1),
];

function at(
  label: string,
  varietyName: (typeof VARIETIES)[number]['name'],
  plantedOn: string,
  clearedOn: string,
  waterEveryDays: number,
) {
  return { label, varietyName, plantedOn, clearedOn, waterEveryDays };
}

const FIRST_DAY = '2025-05-18';
const LAST_DAY = '2025-10-12';
/** Real water below this costs fruit: flowers drop, and what hangs stays small. */
const THIRSTY = 0.2;

/**
 * Last summer at Gannet Slip, of which only plantings, pickings and clearings were written down. The bags were watered by
 * habit and not by looking; what they yielded follows from how often that left them dry.
 */
export function lastSeasonOfSlip(
  garden: Garden,
  seed: number,
): { readonly plants: readonly Plant[]; readonly entries: readonly Entry[] } {
  const chance = chanceFrom(seed + 25_000);
  const id = (of: IdOf) => `${ID_PREFIXES[of]}_${chance.letters(12)}`;
  const weather = hiddenWeather(chance, FIRST_DAY, daysBetween(FIRST_DAY, LAST_DAY) + 1, CLIMATES.boatyard);
  const stamp = momentAt(FIRST_DAY, 12, `${FIRST_DAY}T12:00:00.000+01:00`);
  const plants: Plant[] = [];
  const drafts = LAST_SEASON.flatMap((season): Draft[] => {
    const container = garden.containers.find((c) => c.label === season.label);
    const variety = garden.varieties.find((v) => v.name === season.varietyName);
    const station = container?.stations[0];
    if (!container || !variety || !station)
      throw new Error(`last season names what is not there: ${season.label}`);
    const plant: Plant = { id: id('plant'), varietyId: variety.id, createdAt: stamp, changedAt: stamp };
    plants.push(plant);
    const here = { containerId: container.id, stationId: station.id, plantId: plant.id };
    return [
      {
        kind: 'planted',
        at: evening(season.plantedOn),
        ...here,
        seedling: { stemMillimetres: 180, ballMillimetres: 90 },
      },
      ...pickingsOf(chance, garden, container, season, weather, vigourOf(seed, season.label, 2025)),
      {
        kind: 'cleared',
        at: evening(season.clearedOn),
        ...here,
      },
    ];
  });
  return {
    plants,
    entries: drafts.map((draft) => ({ ...draft, id: id('entry'), recordedAt: draft.at }) as Entry),
  };
}

/** What one bag gave, by how it really fared. */
function pickingsOf(
  chance: Chance,
  garden: Garden,
  container: Container,
  season: (typeof LAST_SEASON)[number],
  weather: readonly HiddenDay[],
  vigour: number,
): Draft[] {
  const planned = BAGS.find((b) => b.label === season.label);
  const bearing = BEARING[season.varietyName];
  if (!planned || !bearing) throw new Error(`last season names what is not there: ${season.label}`);
  const { drip: _, ...make } = planned;
  const now = { ...make, varietyName: season.varietyName, plants: 1, plantedOn: season.plantedOn };
  const { bag } = hiddenBagOf(chance, garden, container, now);
  const rhythm = rhythmOf(season.varietyName);
  const drafts: Draft[] = [];
  let dryDays = 0;
  for (const today of weather) {
    const age = daysBetween(season.plantedOn, today.day);
    if (age < 0 || today.day >= season.clearedOn) continue;
    bag.pass(today, 0, 18);
    dryDays = 0.9 * dryDays + (bag.share < THIRSTY ? 1 : 0);
    if (age % season.waterEveryDays === 0) bag.pour(6.75);
    bag.pass(today, 18, 24);
    if (age < bearing.firstAfter || (age - bearing.firstAfter) % rhythm !== 0) continue;
    const fared = vigour * Math.max(0.15, 1 - 0.12 * dryDays) * lateness(today.day);
    const count = pickedCount(chance, bearing, rhythm, fared);
    if (count === 0) continue;
    drafts.push({
      kind: 'picking',
      at: evening(today.day),
      containerId: container.id,
      count,
      kilograms: pickedKilograms(chance, bearing, count),
    });
  }
  return drafts;
}

/** September's short days ripen less. */
function lateness(day: string): number {
  return Math.min(1, Math.max(0.25, 1 - daysBetween('2025-09-01', day) / 45));
}

const evening = (day: string) => momentAt(day, 18.5, `${day}T12:00:00.000+01:00`);
