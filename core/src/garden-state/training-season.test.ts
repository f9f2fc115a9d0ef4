import { describe, expect, it } from 'vitest';
import { addDays } from '../calendar/index.ts';
import { occupantsOf } from '../plants/index.ts';
import type { Container, Entry, Place, Plant, SupportKindId } from '../records/index.ts';
import { jobsOf } from './jobs.ts';
import { propertiesOf } from './properties.ts';

const stamps = { createdAt: '2026-05-01T10:00:00.000+01:00', changedAt: '2026-05-01T10:00:00.000+01:00' };
const noon = (day: string) => `${day}T12:00:00.000+01:00`;
const PLANTED = '2026-05-20';

interface Case {
  readonly cropId: string;
  readonly habitId: string;
  readonly support?: SupportKindId;
  readonly plant?: Partial<Plant>;
  readonly cover?: Place['cover'];
  readonly training?: Record<string, boolean>;
  /** what the grower saw and did beside the training */
  readonly said?: readonly Partial<Entry>[];
}

/** A season in which each job of training is done on the day that it is due: "06-04 pinched", in order, repeats counted. */
function season(of: Case): readonly string[] {
  const { support = 'string', cover = 'open' } = of;
  const container: Container = {
    id: 'con_season01',
    label: '1',
    kindId: 'round-fabric',
    size: { by: 'label', litres: 40 },
    mixId: 'bought',
    mulchMillimetres: 0,
    support: { kind: support, heightMillimetres: support === 'none' ? 0 : 2200 },
    placeId: 'std_season01',
    stations: [{ id: 'stn_season01' }],
    order: 0,
    ...stamps,
  };
  const variety = {
    id: 'var_season01',
    name: 'Any',
    cropId: of.cropId,
    habitId: of.habitId,
    ...stamps,
  };
  const plant: Plant = { id: 'pla_season01', varietyId: variety.id, ...stamps, ...of.plant };
  const home = { containerId: container.id, stationId: 'stn_season01', plantId: plant.id };
  const settings = { depthPracticeId: 'first-leaves', assumptions: {}, training: of.training ?? {} };
  const properties = propertiesOf(container, { settings, mixes: [] });
  let count = 0;
  const entry = (facts: object): Entry =>
    ({ id: `ent_season${String(count++).padStart(4, '0')}`, ...home, ...facts }) as unknown as Entry;
  const live = [
    entry({
      kind: 'planted',
      at: noon(PLANTED),
      recordedAt: noon(PLANTED),
      seedling: { stemMillimetres: 200, ballMillimetres: 80 },
    }),
    ...(of.said ?? []).map((e) => entry({ recordedAt: e.at, ...e })),
  ];
  const log: { task: string; from: string; to: string; times: number }[] = [];
  for (let day = PLANTED; day < '2026-10-20'; day = addDays(day, 1)) {
    const known = live.filter((e) => e.at <= noon(day));
    const occupants = occupantsOf(container, known, { plants: [plant], varieties: [variety] });
    const jobs = jobsOf(container, properties, occupants, known, settings, day, cover, {
      stageDates: {
        flowers: { day: '2026-06-24', isNoted: false },
        set: { day: '2026-07-04', isNoted: false },
      },
      firstFrost: '2026-10-20',
    });
    for (const job of jobs) {
      if (job.kind !== 'train' || job.dueOn > day) continue;
      live.push(entry({ kind: 'tended', task: job.task, at: noon(day), recordedAt: noon(day) }));
      const last = log.find((l) => l.task === job.task);
      if (last) Object.assign(last, { to: day, times: last.times + 1 });
      else log.push({ task: job.task, from: day, to: day, times: 1 });
    }
  }
  return log.map(({ task, from, to, times }) =>
    times === 1 ? `${task} ${from.slice(5)}` : `${task} ${from.slice(5)} to ${to.slice(5)} ×${times}`,
  );
}

const tomato = { cropId: 'tomato', habitId: 'tall' } as const;

describe('a season of training', () => {
  const tall = season(tomato);

  it.each<readonly [string, readonly string[], readonly string[]]>([
    [
      'one leader outdoors',
      tall,
      ['pinched 05-30 to 10-17 ×21', 'leaves-off 06-10 to 10-04 ×10', 'stopped 08-04'],
    ],
    [
      'one leader under glass, where no wind shakes it',
      season({ ...tomato, cover: 'glass' }),
      [
        'pinched 05-30 to 10-17 ×21',
        'leaves-off 06-10 to 10-04 ×10',
        'shaken 06-24 to 09-20 ×45',
        'stopped 08-04',
      ],
    ],
    [
      'two leaders: the shoot is kept when the first truss flowers',
      season({ ...tomato, plant: { leaders: 2 } }),
      ['pinched 05-30 to 10-17 ×21', 'leaves-off 06-10 to 10-04 ×10', 'shoot-kept 06-24', 'stopped 08-04'],
    ],
    [
      'bush: no shoot comes out, and only leaves that touch the mix',
      season({ cropId: 'tomato', habitId: 'bush', support: 'cage' }),
      ['leaves-off 06-03 to 10-07 ×7'],
    ],
    [
      'dwarf under glass',
      season({ cropId: 'tomato', habitId: 'dwarf', support: 'cage', cover: 'glass' }),
      ['leaves-off 06-03 to 10-07 ×7', 'shaken 06-24 to 09-20 ×45'],
    ],
    [
      'pepper that flowers late: its tip, and no flower',
      season({ cropId: 'pepper', habitId: 'bush', support: 'stake' }),
      ['tipped 05-22', 'leaves-off 06-03 to 10-07 ×7'],
    ],
    [
      'pepper that flowers a week after planting: first flowers off until it is tall and old enough',
      season({
        cropId: 'pepper',
        habitId: 'bush',
        support: 'stake',
        said: [{ kind: 'stage', stage: 'flowers', at: noon('2026-05-27') } as Partial<Entry>],
      }),
      ['tipped 05-22', 'flowers-off 05-27 to 06-16 ×5', 'leaves-off 06-03 to 10-07 ×7'],
    ],
    [
      'aubergine',
      season({ cropId: 'aubergine', habitId: 'bush', support: 'stake' }),
      ['tipped 05-29', 'leaves-off 06-03 to 10-07 ×7'],
    ],
    [
      'cucumber up a string, stopped at the wire',
      season({ cropId: 'cucumber', habitId: 'climbing' }),
      ['pinched 05-30 to 10-17 ×20', 'leaves-off 06-10 to 10-07 ×9', 'stopped 07-26'],
    ],
    [
      'cucumber left to sprawl',
      season({ cropId: 'cucumber', habitId: 'climbing', support: 'none' }),
      ['tipped 05-24', 'leaves-off 06-03 to 10-07 ×7'],
    ],
    ['a plant that is left to itself', season({ ...tomato, plant: { trainingFormId: 'left' } }), []],
  ])('%s', (_, found, expected) => {
    expect(found).toEqual(expected);
  });

  it('what the grower does not do is not asked, in the garden or on one plant', () => {
    const without = ['leaves-off 06-10 to 10-04 ×10', 'stopped 08-04'];
    expect(season({ ...tomato, training: { 'one-leader pinched': false } })).toEqual(without);
    expect(season({ ...tomato, plant: { leftUndone: ['pinched'] } })).toEqual(without);
  });

  it('a practice that is not usual is asked for once the grower takes it up', () => {
    const said = [{ kind: 'stage', stage: 'flowers', at: noon('2026-06-01') } as Partial<Entry>];
    const off = (training: Record<string, boolean>) =>
      season({ ...tomato, said, training }).filter((line) => line.startsWith('flowers-off'));
    expect(off({})).toEqual([]);
    expect(off({ 'one-leader flowers-off': true })).toEqual(['flowers-off 06-01 to 06-16 ×4']);
  });

  it('a plant that was measured taller is at its wire, and stopped, sooner', () => {
    const said = [{ kind: 'height', heightMillimetres: 1500, at: noon('2026-06-25') } as Partial<Entry>];
    const stopped = (lines: readonly string[]) => lines.find((l) => l.startsWith('stopped')) ?? '';
    expect(stopped(tall)).toBe('stopped 08-04');
    expect(stopped(season({ ...tomato, said })) < 'stopped 07-25').toBe(true);
  });
});
