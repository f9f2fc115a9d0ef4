import { momentAt, addDays, dayOf } from '../src/calendar/index.ts';
import { formOfPlant } from '../src/care/index.ts';
import { occupantsOf, type Occupant } from '../src/plants/index.ts';
import type { Container, Draft, Entry, Garden, TendedTask, TrainingFormId } from '../src/records/index.ts';
import { chanceFrom, type Chance } from '../hidden/index.ts';
import { DEMO_EVENING } from './evening.ts';

/** What somebody does at each form, from so many days after planting on, every so many days; once where there is no rhythm. */
const HABITS: Readonly<
  Partial<
    Record<
      TrainingFormId,
      readonly { readonly task: TendedTask; readonly from: number; readonly every?: number }[]
    >
  >
> = {
  'one-leader': [
    { task: 'pinched', from: 12, every: 6 },
    { task: 'leaves-off', from: 26, every: 11 },
  ],
  bush: [{ task: 'leaves-off', from: 20, every: 20 }],
  dwarf: [{ task: 'leaves-off', from: 20, every: 20 }],
  pepper: [
    { task: 'tipped', from: 6 },
    { task: 'leaves-off', from: 20, every: 20 },
  ],
  aubergine: [
    { task: 'tipped', from: 9 },
    { task: 'leaves-off', from: 20, every: 20 },
  ],
  'cucumber-string': [
    { task: 'pinched', from: 11, every: 6 },
    { task: 'flowers-off', from: 18, every: 7 },
    { task: 'leaves-off', from: 24, every: 12 },
  ],
};

/** Bags that the last turn missed, so that there is something to do. */
const MISSED = new Set(['6', '13', '19']);
/** Flowers under glass are tapped every other day; it was first written down in July. */
const SHAKEN_FROM = '2026-07-05';

const evening = (day: string, hour = 19) => momentAt(day, hour, DEMO_EVENING);

/**
 * What was taken off, seen and sprayed at Gannet Slip: training in each form's rhythm, two troubles (brown edges after cold June
 * nights that grew out, and mites that came with the heat), a bag that was only half cleaned last autumn.
 */
export function careOfSlip(garden: Garden, seed: number): readonly Entry[] {
  // a source of its own, so that the rest of the diary does not depend on it
  const chance = chanceFrom(seed + 41_000);
  const drafts = garden.containers.flatMap((container) => {
    const occupants = occupantsOf(container, garden.entries, garden).filter((o) => o.clearedOn === undefined);
    return [...trainingAt(chance, container, occupants, garden), ...trussesAt(container, occupants)];
  });
  return [...drafts, ...troubles(garden, chance)].map(
    (draft) => ({ ...draft, id: `ent_${chance.letters(12)}`, recordedAt: draft.at }) as Entry,
  );
}

function trainingAt(
  chance: Chance,
  container: Container,
  occupants: readonly Occupant[],
  garden: Garden,
): Draft[] {
  const [first] = occupants;
  if (!first) return [];
  const here = { containerId: container.id };
  const last = addDays(dayOf(DEMO_EVENING), MISSED.has(container.label) ? -9 : -1);
  const drafts: Draft[] = [];
  for (const { task, from, every } of HABITS[formOfPlant(first, container.support.kind)] ?? []) {
    const end = task === 'flowers-off' ? addDays(first.plantedOn, 30) : last;
    let day = addDays(first.plantedOn, from);
    for (; day <= end; day = addDays(day, (every ?? 999) + Math.floor(chance.next() * 2)))
      drafts.push({ kind: 'tended', at: evening(day), ...here, task });
  }
  const place = garden.places.find(({ id }) => id === container.placeId);
  if (place?.cover === 'glass' && first.crop.id !== 'cucumber')
    for (let day = SHAKEN_FROM; day <= last; day = addDays(day, 2))
      drafts.push({ kind: 'tended', at: evening(day, 12.5), ...here, task: 'shaken' });
  return drafts;
}

/** The trusses of one plant, as they were seen on the round. */
function trussesAt({ label, id }: Container, occupants: readonly Occupant[]): Draft[] {
  const [plant] = occupants;
  if (label !== '7' || !plant) return [];
  const at = { containerId: id, stationId: plant.stationId, plantId: plant.plant.id };
  return [
    { kind: 'truss', at: evening('2026-06-20'), ...at, number: 1, stage: 'flowering' },
    { kind: 'truss', at: evening('2026-07-01'), ...at, number: 1, stage: 'set', count: 7 },
    { kind: 'truss', at: evening('2026-07-03'), ...at, number: 2, stage: 'flowering' },
    { kind: 'truss', at: evening('2026-07-13'), ...at, number: 2, stage: 'set', count: 5 },
    { kind: 'truss', at: evening('2026-07-14'), ...at, number: 3, stage: 'flowering' },
  ];
}

function troubles({ containers }: Garden, chance: Chance): Draft[] {
  const at = (label: string) => {
    const container = containers.find((c) => c.label === label);
    if (!container) throw new Error(`the care of the slip names what is not there: ${label}`);
    return { containerId: container.id };
  };
  const [cold, mites, soap, spot, wilt] = Array.from({ length: 5 }, () => `cas_${chance.letters(12)}`);
  if (!cold || !mites || !soap || !spot || !wilt) return [];
  return [
    {
      kind: 'trouble',
      at: evening('2026-06-12'),
      ...at('8'),
      caseId: cold,
      what: 'cold',
      livesInMix: false,
      seen: ['edges-brown', 'on-top'],
      unseen: ['blotches'],
      checkOn: '2026-06-19',
      note: 'Edges gone brown all over the top. Threw nothing out this time.',
    },
    {
      kind: 'followed-up',
      at: evening('2026-06-19'),
      ...at('8'),
      caseId: cold,
      outcome: 'better',
      seen: ['clean-growth', 'stood-still'],
      checkOn: '2026-06-27',
    },
    {
      kind: 'followed-up',
      at: evening('2026-06-28'),
      ...at('8'),
      caseId: cold,
      outcome: 'over',
      what: 'cold',
    },
    {
      kind: 'trouble',
      at: evening('2026-07-12'),
      ...at('3'),
      caseId: mites,
      what: 'mites',
      livesInMix: false,
      seen: ['specks', 'webs', 'on-low'],
      unseen: ['powder'],
      checkOn: '2026-07-16',
    },
    {
      kind: 'sprayed',
      at: evening('2026-07-13', 20.75),
      ...at('3'),
      caseId: soap,
      agent: 'soap',
      extent: 'test-leaf',
      millilitresPerLitre: 10,
      litres: 1,
      asEntered: '10 mL',
      against: 'mites',
      harvestDays: 1,
      repeatDays: 5,
    },
    { kind: 'followed-up', at: evening('2026-07-15', 20), ...at('3'), caseId: soap, outcome: 'leaf-clean' },
    {
      kind: 'trouble',
      at: evening('2025-08-20'),
      ...at('12'),
      caseId: spot,
      what: 'leaf-spot',
      livesInMix: true,
      seen: ['spots', 'on-low', 'spreading'],
    },
    { kind: 'cleaned', at: evening('2025-10-18'), ...at('12'), what: 'bag', isWashed: true, isDried: true },
    {
      kind: 'trouble',
      at: evening('2025-09-02'),
      ...at('24'),
      caseId: wilt,
      what: 'wilt',
      livesInMix: true,
      seen: ['wilts-one-side', 'stem-streaks'],
    },
    { kind: 'cleaned', at: evening('2025-10-18'), ...at('24'), what: 'bag', isWashed: true },
  ];
}
