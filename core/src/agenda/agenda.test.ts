import { describe, expect, it } from 'vitest';
import { DEMO_EVENING, gannetSlip } from '../../demo/index.ts';
import { GardenEngine, type BagState } from '../garden-state/index.ts';
import { agendaOf, remindersOf, type AgendaItem } from './index.ts';
import { afterQuiet } from './reminders.ts';

const garden = gannetSlip(3);
const ids = garden.containers.map(({ id }) => id);
const states = new GardenEngine(garden)
  .states(ids, DEMO_EVENING, {})
  .flatMap(({ state }) => (state && !('problem' in state) ? [state as BagState] : []));
const agenda = agendaOf(garden, states, DEMO_EVENING);

describe('what is to come', () => {
  it('stands in the order of its days, none before today', () => {
    const days = agenda.map(({ day }) => day);
    expect(days).toEqual([...days].sort());
    expect(days[0]).toBe('2026-07-16');
    expect(new Set(agenda.map(({ kind }) => kind))).toEqual(new Set(['round', 'feed', 'job', 'plan']));
  });

  it('has each thing once, under a name that is the same the next time', () => {
    const uids = agenda.map(({ uid }) => uid);
    expect(new Set(uids).size).toBe(uids.length);
    expect(agendaOf(garden, states, DEMO_EVENING).map(({ uid }) => uid)).toEqual(uids);
  });

  it('names every bag that wants a look, those that want it now on the next round', () => {
    const asked = states
      .filter(({ water }) => water.ahead.nextCheck.kind !== 'later' || !water.hasBeenChecked)
      .map(({ containerId }) => containerId);
    const rounds = agenda.filter(({ kind }) => kind === 'round').flatMap(({ containerIds }) => containerIds);
    expect([...rounds].sort()).toEqual([...asked].sort());
  });

  it('a plan that is moved to another day keeps its name, one in the bin is gone', () => {
    const [plan] = garden.plans;
    if (!plan) throw new Error('the demo has no plan');
    const of = (plans: typeof garden.plans) =>
      agendaOf({ ...garden, plans }, [], DEMO_EVENING).filter(({ kind }) => kind === 'plan');
    const moved = of([{ ...plan, plantOn: '2026-09-01' }]);
    expect(moved).toMatchObject([{ uid: `plan-${plan.id}`, day: '2026-09-01' }]);
    expect(of([{ ...plan, binnedAt: DEMO_EVENING }])).toEqual([]);
    expect(of([{ ...plan, containerId: 'con_gone000' }])).toEqual([]);
  });
});

describe('reminders', () => {
  const round = (day: string, hour: number): AgendaItem => ({
    kind: 'round',
    uid: `round-${day}-${hour}`,
    day,
    hour,
    containerIds: ['con_aaaaaa'],
  });
  const frost: AgendaItem = {
    kind: 'job',
    uid: 'job-fleece-2026-07-17',
    day: '2026-07-17',
    containerIds: ['con_aaaaaa'],
    job: { kind: 'fleece', dueOn: '2026-07-17', nights: 1, minCelsius: 1 },
  };
  const at = (
    items: readonly AgendaItem[],
    quiet?: { fromHour: number; untilHour: number },
    now = DEMO_EVENING,
  ) => remindersOf(items, quiet, now).map((r) => `${r.kind} ${r.at.slice(0, 16)}`);

  it('come at the round, and in the afternoon of a cold night', () => {
    expect(at([round('2026-07-17', 18), frost, round('2026-07-17', 8)])).toEqual([
      'round 2026-07-17T08:00',
      'frost 2026-07-17T16:00',
      'round 2026-07-17T18:00',
    ]);
  });

  it('keep quiet when they are asked to, over midnight too', () => {
    const quiet = { fromHour: 21, untilHour: 9 };
    expect(at([round('2026-07-17', 8)], quiet)).toEqual(['round 2026-07-17T09:00']);
    expect(at([round('2026-07-16', 22)], quiet)).toEqual(['round 2026-07-17T09:00']);
    expect(at([round('2026-07-17', 12)], { fromHour: 12, untilHour: 14 })).toEqual([
      'round 2026-07-17T14:00',
    ]);
    expect(afterQuiet(DEMO_EVENING, { fromHour: 7, untilHour: 7 })).toBe(DEMO_EVENING);
  });

  it('a cold night is told late rather than not at all, a round that is over is not', () => {
    const evening = '2026-07-17T17:30:00.000+01:00';
    expect(at([frost, round('2026-07-17', 8)], undefined, evening)).toEqual(['frost 2026-07-17T17:30']);
  });
});
