import { describe, expect, it } from 'vitest';
import { DEMO_EVENING, gannetSlip } from '../../demo/index.ts';
import type { Container, Garden, Plan } from '../records/index.ts';
import { occupantsOf } from '../plants/index.ts';
import { deriveBag } from './derive-bag.ts';
import { GardenEngine } from './garden-engine.ts';
import { clearingOf, plannedJobs } from './planned-jobs.ts';

const garden: Garden = { ...gannetSlip(3), plans: [] };
const labelled = (label: string) => garden.containers.find((c) => c.label === label) as Container;
const bag = labelled('5');
const present = occupantsOf(bag, garden.entries, garden).filter((o) => !o.clearedOn);
const stamps = { createdAt: DEMO_EVENING, changedAt: DEMO_EVENING };
const plan: Plan = {
  id: 'pln_second00',
  containerId: bag.id,
  cropId: 'cucumber',
  habitId: 'bush',
  plantOn: '2026-07-20',
  ...stamps,
};
const two = { stations: [...bag.stations, { id: 'stn_second00' }] };

describe('what a plan asks for', () => {
  it('is that the first crop goes, and once it has gone that the next one is planted', () => {
    expect(plannedJobs(bag, present, [plan], '2026-07-16')).toEqual([
      { kind: 'clear', dueOn: '2026-07-20', plan },
    ]);
    expect(plannedJobs(bag, [], [plan], '2026-07-16')).toEqual([
      { kind: 'plant', dueOn: '2026-07-20', plan, needsPlace: false },
    ]);
  });

  it('is no clearing where a place is free or it goes in between', () => {
    expect(plannedJobs(two, present, [plan], '2026-07-16')).toMatchObject([
      { kind: 'plant', needsPlace: false },
    ]);
    const relay = { ...plan, isRelay: true };
    expect(plannedJobs(bag, present, [relay], '2026-07-16')).toMatchObject([
      { kind: 'plant', needsPlace: true },
    ]);
  });

  it('is nothing more than a week ahead, or on a day that nobody said', () => {
    expect(plannedJobs(bag, present, [plan], '2026-07-12')).toEqual([]);
    expect(plannedJobs(bag, present, [{ ...plan, isDayOpen: true }], '2026-07-20')).toEqual([]);
  });

  it('stands among the jobs of its bag and of no other, and comes at once when it is planned', () => {
    const kinds = (container: Container) =>
      deriveBag({ ...garden, plans: [plan] }, container, DEMO_EVENING).jobs.map(({ kind }) => kind);
    expect(kinds(bag)).toContain('clear');
    expect(kinds(labelled('6'))).not.toContain('clear');
    const engine = new GardenEngine(garden);
    const jobs = () => {
      const state = engine.states([bag.id], DEMO_EVENING)[0]?.state;
      return state && 'jobs' in state ? state.jobs.map(({ kind }) => kind) : [];
    };
    expect(jobs()).not.toContain('clear');
    engine.apply({ added: [], plans: [plan] });
    expect(jobs()).toContain('clear');
  });

  it('is done by an entry for each plant that stood there', () => {
    expect(clearingOf(bag.id, present, DEMO_EVENING)).toEqual(
      present.map((o) => ({
        kind: 'cleared',
        at: DEMO_EVENING,
        containerId: bag.id,
        stationId: o.stationId,
        plantId: o.plant.id,
      })),
    );
  });
});
