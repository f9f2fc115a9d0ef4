import { momentAt, addDays, daysBetween } from '../src/calendar/index.ts';
import {
  type Garden,
  type Entry,
  ID_PREFIXES,
  type Container,
  type IdOf,
  type Plant,
  type Settings,
} from '../src/records/index.ts';
import { chanceFrom, CLIMATES, hiddenWeather, type Chance, type HiddenDay } from '../hidden/index.ts';
import { hasLevel } from '../src/water/index.ts';
import { BAGS, PRICES, PLACES, VARIETIES, type PlannedBag } from './gannet-slip-plan.ts';
import { hiddenBagOf, wantedLitres } from './gannet-slip-truth.ts';
import { BEARING, pickedCount, pickedKilograms, rhythmOf, vigourOf } from './bearing.ts';
import { plantsOfSlip } from './gannet-slip-plants.ts';
import { lastSeasonOfSlip } from './gannet-slip-last-season.ts';
import { shedOf } from './gannet-slip-shed.ts';
import { feedingOfSlip } from './gannet-slip-feeding.ts';
import { DEMO_EVENING } from './evening.ts';
import { tankOfSlip } from './gannet-slip-tank.ts';
import { careOfSlip } from './gannet-slip-care.ts';
import { harvestOfSlip } from './gannet-slip-harvest.ts';
import { growthOfSlip } from './gannet-slip-growth.ts';

const FIRST_DAY = '2026-05-17';
const LAST_DAY = '2026-07-16';
const CAN_LITRES = 9;
/** It turns hot at the end. */
const HOT_DAYS = 6;
/** Until its roots are down, days, a planter with a reservoir is watered by hand; then its level is seen this often, days. */
const ROOTED_DAYS = 14;
const LEVEL_DAYS = 3;

/** Days of which nobody noted the weather; the app fills them and says so. */
const UNNOTED = new Set(['2026-06-13', '2026-06-14', '2026-06-29']);

const NOTES: readonly { readonly label: string; readonly day: string; readonly text: string }[] = [
  { label: '7', day: '2026-06-20', text: 'First truss in flower. Two side shoots out.' },
  { label: '10', day: '2026-07-03', text: 'Leaves hung at noon on the deck, up again by evening.' },
  { label: '1', day: '2026-07-08', text: 'Lower leaves off up to the first truss.' },
];

/**
 * Gannet Slip: twenty-four bags on three stands, from planting to a hot Thursday in July. Everything in the diary is a
 * consequence of hidden bags that a made-up grower checked, watered and picked from.
 *
 * @param seed the same seed gives the same garden, to the letter
 */
export function gannetSlip(seed: number): Garden {
  const chance = chanceFrom(seed);
  const id = (of: IdOf) => `${ID_PREFIXES[of]}_${chance.letters(12)}`;
  const stamp = momentAt('2026-05-10', 12, DEMO_EVENING);
  const stamps = { createdAt: stamp, changedAt: stamp };
  const can = { id: id('measure'), kind: 'can' as const, name: 'green can', litres: CAN_LITRES, ...stamps };
  const settings: Settings = {
    gardenName: 'Gannet Slip',
    latitudeDegrees: 51,
    units: 'metric',
    roundHours: [8, 18],
    wateringMeasureId: can.id,
    depthPracticeId: 'first-leaves',
    frost: { last: '04-28', first: '10-24' },
    assumptions: {},
    changedAt: stamp,
  };
  const places = PLACES.map(({ key: _, ...place }, order) => ({
    id: id('place'),
    ...place,
    order,
    ...stamps,
  }));
  const varieties = VARIETIES.map((variety) => ({ id: id('variety'), ...variety, ...stamps }));
  const batches = varieties.map(({ id: varietyId }) => ({
    id: id('batch'),
    varietyId,
    sownOn: '2026-03-28',
    ...stamps,
  }));
  const weather = hiddenWeather(
    chance,
    FIRST_DAY,
    daysBetween(FIRST_DAY, LAST_DAY) + 1,
    CLIMATES.boatyard,
    HOT_DAYS,
  );
  const entries: Entry[] = weatherEntries(weather, id);
  const containers: Container[] = [];
  const plants: Plant[] = [];
  BAGS.forEach((planned, order) => {
    const place = places[PLACES.findIndex((s) => s.key === planned.place)];
    const at = varieties.findIndex((v) => v.name === planned.varietyName);
    const variety = varieties[at];
    if (!place || !variety) throw new Error(`the plan of bag ${planned.label} names what is not there`);
    const stations = Array.from({ length: Math.max(1, planned.plants) }, () => ({ id: id('station') }));
    const { label, kindId, size, mixId, mulchMillimetres, support, stores, gauge, fill } = planned;
    const container: Container = {
      id: id('container'),
      label,
      kindId,
      size,
      mixId,
      mulchMillimetres,
      placeId: place.id,
      stations,
      support,
      ...(fill ? { fill } : {}),
      ...(stores ? { stores: [...stores] } : {}),
      ...(gauge ? { gauges: [gauge] } : {}),
      order,
      price: PRICES[kindId] ?? 0,
      ...stamps,
    };
    containers.push(container);
    for (const station of stations.slice(0, planned.plants)) {
      const batchId = batches[at]?.id;
      const plant: Plant = {
        id: id('plant'),
        varietyId: variety.id,
        ...(batchId ? { batchId } : {}),
        ...(planned.plantName ? { name: planned.plantName } : {}),
        ...stamps,
      };
      plants.push(plant);
      entries.push(plantedEntry(planned, container, station.id, plant.id, id));
    }
    const soFar: Garden = {
      settings,
      places,
      containers,
      varieties,
      batches,
      plants,
      measures: [can],
      mixes: [],
      products: [],
      packs: [],
      templates: [],
      plans: [],
      regimes: [],
      tanks: [],
      trials: [],
      entries,
    };
    if (planned.plants > 0)
      entries.push(...livedThrough(chance, seed, soFar, container, planned, weather, can.id, id));
  });
  const measures = [
    can,
    { id: id('measure'), kind: 'handful' as const, name: 'my handful', litres: 0.045, ...stamps },
  ];
  const known = {
    settings,
    places,
    containers,
    varieties,
    batches,
    plants,
    measures,
    mixes: [],
    templates: [],
    plans: [],
    regimes: [],
    tanks: [],
    trials: [],
  };
  const {
    products,
    packs,
    entries: shed,
  } = shedOf({ ...known, products: [], packs: [], entries }, stamps, id);
  const filled = { ...known, products, packs, entries: [...entries, ...shed] };
  const whole = tankOfSlip(filled, weather, seed, stamps);
  const grown = growthOfSlip(whole, seed, stamps);
  const fed = feedingOfSlip(whole, seed, DEMO_EVENING);
  const last = lastSeasonOfSlip(whole, seed);
  const garden = {
    ...whole,
    plants: [...plants, ...last.plants],
    plans: grown.plans,
    regimes: [...fed.regimes],
    entries: [...last.entries, ...whole.entries, ...grown.entries, ...fed.entries],
  };
  const { entries: said, ...own } = plantsOfSlip(garden, seed, stamps);
  const told = { ...garden, ...own, entries: [...garden.entries, ...said] };
  const cared = { ...told, entries: [...told.entries, ...careOfSlip(told, seed)] };
  const { entries: kept, ...harvest } = harvestOfSlip(cared, seed);
  return { ...cared, ...harvest, trials: [...harvest.trials], entries: [...cared.entries, ...kept] };
}

function weatherEntries(weather: readonly HiddenDay[], id: (of: IdOf) => string): Entry[] {
  return weather
    .filter(({ day }) => !UNNOTED.has(day) && day !== LAST_DAY)
    .map(({ day, minCelsius, maxCelsius, rainMillimetres }) => {
      const at = momentAt(addDays(day, 1), 8, DEMO_EVENING);
      return {
        id: id('entry'),
        kind: 'weather',
        at,
        recordedAt: at,
        day,
        minCelsius,
        maxCelsius,
        rainMillimetres,
        source: 'typed',
      };
    });
}

function plantedEntry(
  planned: PlannedBag,
  container: Container,
  stationId: string,
  plantId: string,
  id: (of: IdOf) => string,
): Entry {
  const at = momentAt(planned.plantedOn, 17, DEMO_EVENING);
  const { stemMillimetres, graftMillimetres, practiceId } = planned;
  return {
    id: id('entry'),
    kind: 'planted',
    at,
    recordedAt: at,
    containerId: container.id,
    stationId,
    plantId,
    seedling: { stemMillimetres, ballMillimetres: 90, ...(graftMillimetres ? { graftMillimetres } : {}) },
    ...(practiceId ? { practiceId } : {}),
  };
}

/** A bag's summer: the grower looks every day or two, waters what feels dry, and picks. */
function livedThrough(
  chance: Chance,
  seed: number,
  garden: Garden,
  container: Container,
  planned: PlannedBag,
  weather: readonly HiddenDay[],
  measureId: string,
  id: (of: IdOf) => string,
): Entry[] {
  const entries: Entry[] = [];
  const { bag, store, fullKilograms } = hiddenBagOf(chance, garden, container, planned);
  const isSeen = store !== undefined && hasLevel(store.kind);
  const bearing = BEARING[planned.varietyName];
  const everyDays = container.kindId === 'bucket' || planned.plants > 1 ? 1 : 2;
  const skipLast = 1 + Math.floor(chance.next() * everyDays);
  let sinceCheck = 0;
  for (const today of weather) {
    const age = daysBetween(planned.plantedOn, today.day);
    if (age < 0) continue;
    if (age > 0) bag.pass(today, 0, 18);
    const minute = 5 + Number(planned.label) * 4;
    const clock = (plus: number) => momentAt(today.day, 18 + (minute + plus) / 60, DEMO_EVENING);
    const base = (plus: number) => ({
      id: id('entry'),
      at: clock(plus),
      recordedAt: clock(plus),
      containerId: container.id,
    });
    const pour = (litres: number) => {
      const ran = bag.pour(litres);
      entries.push({
        ...base(1),
        kind: 'watering',
        litres,
        isMeasured: true,
        ranThrough: ran > 0.15,
        measureId,
      });
    };
    const daysLeft = daysBetween(today.day, LAST_DAY);
    if (daysLeft < skipLast && age > 0) {
      if (daysLeft > 0) bag.pass(today, 18, 24);
      continue;
    }
    sinceCheck += 1;
    if (age === 0 && planned.drip)
      entries.push({
        ...base(3),
        kind: 'drip',
        setting: { ...planned.drip, weekdays: [...planned.drip.weekdays] },
      });
    if (age === 0) pour(4.5);
    else if (isSeen && age > ROOTED_DAYS) {
      // a reservoir is checked by its level, every few days
      if (sinceCheck >= LEVEL_DAYS) {
        sinceCheck = 0;
        const share = Math.round(bag.level * 4) / 4;
        entries.push({ ...base(0), kind: 'check', check: { method: 'level', share } });
        if (share <= 0.5) {
          const litres = Math.max(1, Math.round((1 - bag.level) * store.litres * 2) / 2);
          bag.fillStore(litres + 1);
          entries.push({
            ...base(1),
            kind: 'watering',
            litres,
            isMeasured: true,
            ranThrough: true,
            into: 'store',
            measureId,
          });
        }
      }
    } else if (sinceCheck >= everyDays || today.maxCelsius > 27) {
      sinceCheck = 0;
      if (planned.gauge && age % 3 === 0) {
        const kilograms = Math.round(bag.weigh(fullKilograms) * 10) / 10;
        entries.push({ ...base(-1), kind: 'check', check: { method: 'scale', kilograms } });
      }
      const grade = bag.finger();
      entries.push({ ...base(0), kind: 'check', check: { method: 'finger', grade } });
      if (grade <= 2 || (grade === 3 && today.maxCelsius > 24))
        pour(wantedLitres(grade, garden, container, CAN_LITRES));
    }
    if (bearing && age >= bearing.firstAfter && daysLeft > 0) {
      const rhythm = rhythmOf(planned.varietyName);
      const count = pickedCount(
        chance,
        bearing,
        rhythm,
        planned.plants * vigourOf(seed, planned.label, 2026),
      );
      if ((age - bearing.firstAfter) % rhythm === 0 && count > 0) {
        const kilograms = pickedKilograms(chance, bearing, count);
        entries.push({ ...base(2), kind: 'picking', kilograms, count });
      }
    }
    bag.pass(today, 18, 24);
  }
  for (const note of NOTES) {
    if (note.label !== planned.label) continue;
    const at = momentAt(note.day, 19, DEMO_EVENING);
    entries.push({
      id: id('entry'),
      kind: 'note',
      at,
      recordedAt: at,
      containerId: container.id,
      text: note.text,
    });
  }
  return entries;
}
