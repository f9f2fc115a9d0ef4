import { growthOf, propertiesOf } from '../src/garden-state/index.ts';
import { momentAt, addDays, dayOf, daysBetween } from '../src/calendar/index.ts';
import { occupantsOf, type Occupant, habitFigures, heightOnCurve, supportOf } from '../src/plants/index.ts';
import type { Garden, Draft, Entry, Container, IdOf, Plan } from '../src/records/index.ts';
import { chanceFrom, type Chance } from '../hidden/index.ts';
import { DEMO_EVENING } from './evening.ts';

/** Bags at which somebody takes a tape along, and how often, days. */
const MEASURED: Readonly<Record<string, number>> = { '1': 14, '5': 21, '6': 21, '7': 14, '9': 28, '13': 21 };

/** Bags that were missed on the last turn of winding and tying. */
const FORGOTTEN = new Set(['3', '6', '13']);

/**
 * What grew at Gannet Slip: heights from hidden plants that keep to no curve, supports put up in the first days, stems wound
 * and tied every week, now and then forgotten; and what is to go in next.
 */
export function growthOfSlip(
  garden: Garden,
  seed: number,
  stamps: { readonly createdAt: string; readonly changedAt: string },
): { readonly entries: readonly Entry[]; readonly plans: readonly Plan[] } {
  // a source of its own, so that the rest of the diary does not depend on what is measured
  const chance = chanceFrom(seed + 7000);
  const id = (of: IdOf) => `${of === 'entry' ? 'ent' : 'pln'}_${chance.letters(12)}`;
  const drafts = garden.containers.flatMap((container) => {
    const occupants = occupantsOf(container, garden.entries, garden);
    return [...handworkAt(chance, container, occupants), ...heightsAt(chance, container, occupants, garden)];
  });
  const entries = drafts.map((draft) => ({ ...draft, id: id('entry'), recordedAt: draft.at }) as Entry);
  const cucumber = garden.containers.find((c) => c.label === '3');
  const plans: Plan[] = cucumber
    ? [
        {
          id: id('plan'),
          containerId: cucumber.id,
          cropId: 'cucumber',
          habitId: 'climbing',
          varietyName: 'Salt Snap',
          plantOn: '2026-08-06',
          ...stamps,
        },
      ]
    : [];
  return { entries, plans };
}

function handworkAt(chance: Chance, container: Container, occupants: readonly Occupant[]): Draft[] {
  const [first] = occupants;
  const { kind, heightMillimetres } = container.support;
  if (!first || kind === 'none') return [];
  const { attachment } = supportOf(kind);
  const here = { containerId: container.id };
  const drafts: Draft[] = [
    {
      kind: 'supported',
      at: momentAt(addDays(first.plantedOn, 1), 18.5, DEMO_EVENING),
      ...here,
      supportId: kind,
      heightMillimetres,
    },
  ];
  if (attachment === 'left') return drafts;
  const last = addDays(dayOf(DEMO_EVENING), FORGOTTEN.has(container.label) ? -11 : -2);
  for (
    let day = addDays(first.plantedOn, 12);
    day <= last;
    day = addDays(day, 5 + Math.floor(chance.next() * 4))
  )
    drafts.push({ kind: 'tended', at: momentAt(day, 19, DEMO_EVENING), ...here, task: attachment });
  return drafts;
}

function heightsAt(
  chance: Chance,
  container: Container,
  occupants: readonly Occupant[],
  garden: Garden,
): Draft[] {
  const every = MEASURED[container.label];
  if (every === undefined) return [];
  const properties = propertiesOf(container, garden);
  return occupants.flatMap((occupant) => {
    const figures = habitFigures(occupant.crop.id, occupant.habit);
    const { startMillimetres } = growthOf(occupant, properties, [], garden.settings);
    // this plant's own end and pace, and a mood that wanders
    const curve = {
      startMillimetres,
      fullMillimetres: figures.fullHeightMillimetres * Math.exp(0.1 * chance.normal()),
      weeksToFull: figures.weeksToFull * Math.exp(0.1 * chance.normal()),
    };
    const lastDay = daysBetween(occupant.plantedOn, dayOf(DEMO_EVENING)) - 3;
    const drafts: Draft[] = [];
    for (let age = every; age <= lastDay; age += every) {
      const height = heightOnCurve(curve, age) * (1 + 0.05 * chance.normal());
      drafts.push({
        kind: 'height',
        at: momentAt(addDays(occupant.plantedOn, age), 18.75, DEMO_EVENING),
        containerId: container.id,
        stationId: occupant.stationId,
        plantId: occupant.plant.id,
        heightMillimetres: Math.round(height / 10) * 10,
      });
    }
    return drafts;
  });
}
