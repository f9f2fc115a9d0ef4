import { DEFAULT_ASSUMED } from '../assumed/index.ts';
import { describe, expect, it } from 'vitest';
import { gannetSlip } from '../../demo/index.ts';
import { occupantsOf } from '../plants/index.ts';
import { siteOf } from '../garden-state/index.ts';
import { liveEntries, type Plan } from '../records/index.ts';
import { frostYear } from './frost.ts';
import { timingPracticeOf } from './practices.ts';
import { inTheWay, isCarriedOut, yearOfOccupant, yearOfPlan } from './bands.ts';

const garden = gannetSlip(3);
const live = liveEntries(garden.entries);
const site = siteOf(garden.settings);
const today = '2026-07-16';
const context = {
  assumed: DEFAULT_ASSUMED,
  place: {
    cover: 'open' as const,
    frost: frostYear(site, garden.settings.frost, [], today, DEFAULT_ASSUMED),
    site,
    practice: timingPracticeOf(undefined),
  },
  supportDays: { fromDays: 0, toDays: 0 },
  today,
};
const occupants = garden.containers.flatMap((c) => occupantsOf(c, live, garden));
const plan: Plan = {
  id: 'pln_season001',
  containerId: garden.containers[0]?.id ?? '',
  cropId: 'tomato',
  habitId: 'bush',
  plantOn: '2026-05-20',
  createdAt: '2026-03-01T10:00:00.000+00:00',
  changedAt: '2026-03-01T10:00:00.000+00:00',
};

describe('the year of what is planted', () => {
  it('runs from sowing to clearing without overlap, for every plant of the demo', () => {
    for (const occupant of occupants) {
      const { bands } = yearOfOccupant(occupant, live, context);
      for (const [i, band] of bands.entries()) {
        expect(band.from <= band.to).toBe(true);
        const next = bands[i + 1];
        if (next) expect(band.to <= next.to).toBe(true);
      }
    }
  });

  it('begins picking on the day of the first picking, and not when it was expected', () => {
    const picking = live.find((e) => e.kind === 'picking');
    if (picking?.kind !== 'picking') throw new Error('the demo has pickings');
    const occupant = occupants.find((o) => o.planted.containerId === picking.containerId);
    if (!occupant) throw new Error('the demo has plants');
    const pick = yearOfOccupant(occupant, live, context).bands.find((b) => b.kind === 'pick');
    expect(pick?.from).toBe(picking.at.slice(0, 10));
  });

  it('ends when the plant was cleared', () => {
    const [occupant] = occupants;
    if (!occupant) throw new Error('the demo has plants');
    const year = yearOfOccupant({ ...occupant, clearedOn: '2026-07-10' }, live, context);
    expect(year.bands.find((b) => b.kind === 'clear')?.from).toBe('2026-07-10');
    expect(year.bands.every((b) => b.to <= '2026-07-12')).toBe(true);
  });
});

describe('the year of what is planned', () => {
  it('moves as a whole with its day', () => {
    const here = yearOfPlan(plan, [], context);
    const later = yearOfPlan(plan, [], context, '2026-06-03');
    expect(later.bands.find((b) => b.kind === 'sow')?.from).not.toBe(
      here.bands.find((b) => b.kind === 'sow')?.from,
    );
    expect(later.dates.firstPicking.from > here.dates.firstPicking.from).toBe(true);
    expect(later.dates.frostChance).toBeLessThan(here.dates.frostChance);
  });

  it('says what still stands in its bag on that day', () => {
    const standing = occupants
      .filter((o) => o.planted.containerId === plan.containerId)
      .map((o) => yearOfOccupant(o, live, context));
    const soon = yearOfPlan(plan, [], context, '2026-07-20');
    expect(
      inTheWay(soon, [...standing, soon])
        .map((y) => y.id)
        .sort(),
    ).toEqual(standing.map((y) => y.id).sort());
    expect(inTheWay(yearOfPlan(plan, [], context, '2027-05-01'), standing)).toEqual([]);
  });

  it('is carried out by the same crop in the same bag about then', () => {
    const [occupant] = occupants;
    if (!occupant) throw new Error('the demo has plants');
    const same = {
      ...plan,
      containerId: occupant.planted.containerId,
      cropId: occupant.crop.id,
      plantOn: occupant.plantedOn,
    };
    expect(isCarriedOut(same, occupants)).toBe(true);
    expect(isCarriedOut({ ...same, plantOn: '2026-08-20' }, occupants)).toBe(false);
    expect(isCarriedOut({ ...same, containerId: 'con_elsewhere' }, occupants)).toBe(false);
  });

  it('shows a crop that nobody has heard of as unknown', () => {
    const year = yearOfPlan({ ...plan, cropId: 'melon' }, [], context);
    expect(year.crop).toMatchObject({ id: 'melon', name: 'Unknown crop' });
    expect(year.bands.length).toBeGreaterThan(0);
  });
});
