import { addDays, dayOf, daysBetween, momentAt } from '../src/calendar/index.ts';
import { tankShares } from '../src/garden-state/index.ts';
import type { Draft, Entry, Garden, IdOf, Tank } from '../src/records/index.ts';
import { chanceFrom, type HiddenDay } from '../hidden/index.ts';
import { DEMO_EVENING } from './evening.ts';
import { BAGS } from './gannet-slip-plan.ts';
import { hiddenBagOf } from './gannet-slip-truth.ts';

/** Two bags in the lean-to that drink from one butt, by a wick each, once their roots are down. */
const ON_TANK: ReadonlySet<string> = new Set(['2', '22']);
const TANK_LITRES = 120;
const ROOTED_DAYS = 14;
/** It is looked into this often, days; filled up when less than this is in it, L. */
const LOOK_DAYS = 3;
const LOW_LITRES = 45;

/**
 * The rain butt of Gannet Slip: what its two bags drank, what somebody saw in it and poured in. It takes the place of the
 * waterings by hand that these bags had once their roots were down.
 */
export function tankOfSlip(
  garden: Garden,
  weather: readonly HiddenDay[],
  seed: number,
  stamps: { readonly createdAt: string; readonly changedAt: string },
): Garden {
  // a source of its own, so that no other bag's summer depends on it
  const chance = chanceFrom(seed + 8000);
  const id = (of: IdOf) => `${of === 'entry' ? 'ent' : 'tnk'}_${chance.letters(12)}`;
  const tank: Tank = {
    id: id('tank'),
    name: 'Rain butt',
    litres: TANK_LITRES,
    refillLitres: LOW_LITRES,
    ...stamps,
  };
  const containers = garden.containers.map((c) => (ON_TANK.has(c.label) ? { ...c, tankId: tank.id } : c));
  const known = { ...garden, tanks: [tank], containers };
  const shares = tankShares(tank, known, garden.entries);
  const onTank = containers.filter((c) => c.tankId === tank.id);
  const drinkers = onTank.map((container) => {
    const planned = BAGS.find((bag) => bag.label === container.label);
    if (!planned) throw new Error(`bag ${container.label} is not in the plan`);
    const drum = { kind: 'drum' as const, litres: TANK_LITRES * (shares.get(container.id) ?? 0) };
    const { bag } = hiddenBagOf(chance, known, { ...container, stores: [drum] }, planned);
    return { container, bag, drum, rootedOn: addDays(planned.plantedOn, ROOTED_DAYS) };
  });
  const from = drinkers.map(({ rootedOn }) => rootedOn).sort()[0] as string;
  const drafts: Draft[] = drinkers.map(({ container, rootedOn }) => ({
    kind: 'stage',
    at: momentAt(rootedOn, 18.2, DEMO_EVENING),
    containerId: container.id,
    stage: 'rooted',
  }));
  let litres = TANK_LITRES;
  for (const today of weather) {
    const drunk = drinkers.reduce((sum, { bag, drum, rootedOn }) => {
      if (today.day < rootedOn) return sum;
      bag.fillStore(drum.litres);
      bag.pass(today, 0, 24);
      return sum + (1 - bag.level) * drum.litres;
    }, 0);
    if (today.day < from) continue;
    litres = Math.max(0, litres - drunk);
    if (daysBetween(from, today.day) % LOOK_DAYS !== 0 || today === weather.at(-1)) continue;
    const foundLitres = Math.round(litres / 5) * 5;
    const addedLitres = foundLitres < LOW_LITRES ? TANK_LITRES - foundLitres : undefined;
    litres = Math.min(TANK_LITRES, litres + (addedLitres ?? 0));
    drafts.push({
      kind: 'tank',
      at: momentAt(today.day, 18 + 1 / 30, DEMO_EVENING),
      tankId: tank.id,
      foundLitres,
      ...(addedLitres ? { addedLitres } : {}),
    });
  }
  const isReplaced = (e: Entry) =>
    (e.kind === 'check' || e.kind === 'watering') &&
    drinkers.some(({ container, rootedOn }) => e.containerId === container.id && dayOf(e.at) > rootedOn);
  const own = drafts.map((draft) => ({ ...draft, id: id('entry'), recordedAt: draft.at }) as Entry);
  return { ...known, entries: [...garden.entries.filter((e) => !isReplaced(e)), ...own] };
}
