import { describe, expect, it } from 'vitest';
import { DEMO_EVENING, gannetSlip } from '../../demo/index.ts';
import { DEFAULT_ASSUMED } from '../assumed/index.ts';
import { addDays } from '../calendar/index.ts';
import { occupantsOf } from '../plants/index.ts';
import { liveEntries, type Container, type Entry } from '../records/index.ts';
import { fleeceJobs, fleeceNights, hardinessOf } from './cold-nights.ts';

const garden = gannetSlip(3);
const bag = garden.containers.find((c) => c.label === '7') as Container;
const present = occupantsOf(bag, liveEntries(garden.entries), garden).filter((o) => !o.clearedOn);
const today = '2026-07-16';
const night = (lead: number, minCelsius: number) =>
  ({
    kind: 'weather',
    id: `ent_night${lead}000`,
    at: DEMO_EVENING,
    recordedAt: DEMO_EVENING,
    day: addDays(today, lead),
    minCelsius,
    maxCelsius: 16,
    source: 'typed',
  }) as Entry;
const nights = (...mins: number[]) => mins.map((min, i) => night(i + 1, min));
const young = present.map((o) => ({ ...o, plantedOn: addDays(today, -2) }));
const of = (live: readonly Entry[], who = present, cover: 'open' | 'glass' | 'heated' = 'open') =>
  fleeceNights(who, live, today, cover, DEFAULT_ASSUMED);
const tended = (task: 'fleeced' | 'unfleeced', day: string) =>
  ({
    kind: 'tended',
    id: `ent_${task}00`,
    at: `${day}T20:00:00.000+01:00`,
    recordedAt: DEMO_EVENING,
    containerId: bag.id,
    task,
  }) as Entry;

describe('cold nights that are coming', () => {
  it('are counted from tonight on, as far as they follow one another', () => {
    expect(of(nights(3, 1, 2, 8, 0))).toEqual({ nights: 3, minCelsius: 1 });
    // a mild night first: nothing is asked tonight
    expect(of(nights(8, 1))).toBeUndefined();
    expect(of([])).toBeUndefined();
  });

  it('begin sooner for what was planted a few days ago, and never under heated glass', () => {
    expect(hardinessOf(young[0] as (typeof young)[0], today, DEFAULT_ASSUMED)).toBe('tender');
    expect(of(nights(8))).toBeUndefined();
    expect(of(nights(8), young)).toEqual({ nights: 1, minCelsius: 8 });
    expect(of(nights(-3), young, 'heated')).toBeUndefined();
  });

  it('ask for fleece once, and for its coming off when no cold night follows', () => {
    const cold = of(nights(2, 2));
    expect(fleeceJobs(cold, [], today)).toEqual([{ kind: 'fleece', dueOn: today, nights: 2, minCelsius: 2 }]);
    expect(fleeceJobs(cold, [tended('fleeced', '2026-07-15')], today)).toEqual([]);
    expect(fleeceJobs(undefined, [tended('fleeced', '2026-07-15')], today)).toEqual([
      { kind: 'unfleece', dueOn: today },
    ]);
    const off = [tended('fleeced', '2026-07-15'), tended('unfleeced', '2026-07-16')];
    expect(fleeceJobs(undefined, off, today)).toEqual([]);
  });
});
