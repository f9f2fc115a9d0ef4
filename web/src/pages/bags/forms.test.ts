import { liveEntries, type Entry, RECORD_SCHEMAS } from '@rundel/core/records';
import { DEMO_EVENING, gannetSlip } from '@rundel/core/demo';
import { describe, expect, it } from 'vitest';
import { bagFormOf, bagFormSchema, emptyBagForm, newBagRecords, NEW_PLACE } from './bag-form.ts';
import { labelsFor, nextLabel } from './labels.ts';
import { unitFormatIn } from '../../store/unit-format.ts';
import { plantedWords } from '../../text/planted-text.ts';
import { momentProblem } from '../../text/moment-problem.ts';
import {
  emptyPlantingForm,
  plantedOnProblem,
  plantingChanges,
  plantingFormSchema,
  plantingFrom,
  plantingQuery,
} from '../../ui/planting-form.ts';

const NOW = '2026-06-10T09:30:00.000+01:00';
const demo = gannetSlip(3);
const fields = (issues: readonly { readonly path: readonly PropertyKey[] }[] | undefined) =>
  issues?.map((issue) => issue.path.join('.')) ?? [];

describe('the form of a bag', () => {
  const schema = bagFormSchema('metric', ['1']);
  const product = { ...emptyBagForm('2', 'std_abcdef'), labelLitres: '38 L', mulch: '5' };

  it('gives litres, mm and a place', () => {
    expect(schema.parse(product)).toEqual({
      label: '2',
      kindId: 'round-fabric',
      size: { by: 'label', litres: 38 },
      mixId: 'bought',
      mulchMillimetres: 50,
      place: { kind: 'known', id: 'std_abcdef' },
      stations: 1,
      support: { kind: 'none', heightMillimetres: 0 },
    });
  });

  it.each([
    [{ label: ' ' }, 'label'],
    [{ label: '1' }, 'label'],
    [{ label: 'a name that is too long' }, 'label'],
    [{ labelLitres: '' }, 'labelLitres'],
    [{ labelLitres: '-3' }, 'labelLitres'],
    [{ labelLitres: '1e9' }, 'labelLitres'],
    [{ mulch: '2 m' }, 'mulch'],
    [{ stations: 9 }, 'stations'],
    [{ placeId: NEW_PLACE }, 'newPlaceName'],
    [{ supportKind: 'stake' as const }, 'supportHeight'],
    [{ supportKind: 'stake' as const, supportHeight: '80 m' }, 'supportHeight'],
    [
      { sizeBy: 'measured' as const, dimensions: { rimMillimetres: '30', baseMillimetres: '30' } },
      'dimensions.heightMillimetres',
    ],
  ])('says what is wrong with %o at its field', (wrong, field) => {
    expect(fields(schema.safeParse({ ...product, ...wrong }).error?.issues)).toContain(field);
  });

  it('keeps what stands beside the crop, and until when', () => {
    const with_ = schema.parse({
      ...product,
      companions: 'large',
      companionsUntil: '2026-07-01',
      drum: '60 L',
    });
    expect(with_).toMatchObject({
      companions: { size: 'large', until: '2026-07-01' },
      stores: [{ kind: 'drum', litres: 60 }],
    });
    expect(schema.parse({ ...product, companions: 'small' })).toMatchObject({
      companions: { size: 'small' },
    });
    const refused = schema.safeParse({ ...product, companions: 'small', companionsUntil: '?' });
    expect(fields(refused.error?.issues)).toContain('companionsUntil');
  });

  it("takes a bag's litres counted in the grower's own can", () => {
    const can = { kind: 'can' as const, name: 'green can', litres: 9.5 };
    const own = bagFormSchema('metric', [], [can]);
    expect(own.parse({ ...product, labelLitres: '4 green cans' }).size).toEqual({ by: 'label', litres: 38 });
    expect(fields(schema.safeParse({ ...product, labelLitres: '4 green cans' }).error?.issues)).toEqual([
      'labelLitres',
    ]);
  });

  it('says everything that is wrong at once', () => {
    const result = schema.safeParse({ ...product, label: '', labelLitres: '0', mulch: 'thick' });
    expect(fields(result.error?.issues).sort()).toEqual(['label', 'labelLitres', 'mulch']);
  });

  it('shows every bag of the demo as it would have been typed', () => {
    for (const container of demo.containers) {
      for (const system of ['metric', 'us', 'uk'] as const) {
        const again = bagFormSchema(system, []).parse(bagFormOf(container, system));
        expect(again).toMatchObject({
          label: container.label,
          kindId: container.kindId,
          stations: container.stations.length,
        });
        expect(again.size.by).toBe(container.size.by);
        // rounded to what is shown, so a tenth of the unit may be lost
        expect(Math.abs(again.mulchMillimetres - container.mulchMillimetres)).toBeLessThan(1.3);
      }
    }
  });

  it('makes records that the store takes, with a new stand when one is asked for', () => {
    const result = schema.parse({
      ...product,
      placeId: NEW_PLACE,
      newPlaceName: 'Quay',
      newPlaceCover: 'glass',
    });
    const { containers, changes } = newBagRecords(result, ['2', '4'], { places: 3, containers: 12 }, NOW);
    const container = containers[0] as (typeof containers)[number];
    expect(changes.map((c) => c.table)).toEqual(['places', 'containers', 'containers']);
    expect(containers.map((c) => [c.label, c.order])).toEqual([
      ['2', 12],
      ['4', 13],
    ]);
    expect(new Set(containers.map((c) => c.id)).size).toBe(2);
    expect(RECORD_SCHEMAS.containers.parse(container)).toEqual(container);
    expect(changes[0]?.after).toMatchObject({
      id: container.placeId,
      name: 'Quay',
      cover: 'glass',
      order: 3,
    });
  });

  it('labels several bags from the first one on, over those that are taken', () => {
    expect(labelsFor('7', 3, ['8'])).toEqual(['7', '9', '10']);
    expect(labelsFor('b', 2, ['1'])).toEqual(['b 1', 'b 2']);
    expect(labelsFor('Pot', 2, [])).toEqual(['Pot 1', 'Pot 2']);
    expect(labelsFor('Pot', 2, ['Pot 1'])).toEqual(['Pot 2', 'Pot 3']);
    expect(labelsFor('Pot 4', 2, [])).toEqual(['Pot 4', 'Pot 5']);
    expect(labelsFor('Long balcony', 2, []).every((label) => label.length <= 12)).toBe(true);
    expect(labelsFor('Pot', 1, [])).toEqual(['Pot']);
  });

  it('reads layers, holes, a price and what a measured bag was sold as', () => {
    const layered = schema.parse({
      ...product,
      lowerMixId: 'loam-compost',
      lowerShare: '40 %',
      price: '£6,50',
    });
    expect(layered).toMatchObject({
      layers: [
        { mixId: 'loam-compost', share: 0.4 },
        { mixId: 'bought', share: 0.6 },
      ],
      price: 6.5,
    });
    const bucket = {
      ...product,
      kindId: 'bucket',
      hole: '4',
      sizeBy: 'measured' as const,
      soldAs: '#5' as const,
    };
    const dimensions = { rimMillimetres: '30', baseMillimetres: '24', heightMillimetres: '28' };
    expect(schema.parse({ ...bucket, dimensions })).toMatchObject({
      holeMillimetres: 40,
      size: { class: '#5' },
    });
    expect(
      fields(
        schema.safeParse({ ...product, lowerMixId: 'bark-coir', lowerShare: '99', price: 'dear' }).error
          ?.issues,
      ),
    ).toEqual(['price', 'lowerShare']);
  });

  it('finds the smallest free number', () => {
    expect(nextLabel([])).toBe('1');
    expect(nextLabel(['1', '3', 'b'])).toBe('2');
  });
});

describe('the form of a planting', () => {
  const schema = plantingFormSchema('metric', '2026-06-10');
  const product = { ...emptyPlantingForm('2026-06-10', 'first-leaves'), stem: '34', leaves: '6 11 16.5' };

  it('gives the seedling in mm', () => {
    expect(schema.parse(product)).toMatchObject({
      varietyName: 'Tomato',
      plantedOn: '2026-06-10',
      seedling: { stemMillimetres: 340, ballMillimetres: 90, leafMillimetres: [60, 110, 165] },
      practiceId: 'first-leaves',
    });
  });

  it.each([
    [{ stem: '' }, 'stem'],
    [{ stem: '3 km' }, 'stem'],
    [{ graft: '40' }, 'graft'],
    [{ leaves: '6 11 50' }, 'leaves'],
    [{ leaves: 'six' }, 'leaves'],
    [{ plantedOn: '2026-06-11' }, 'plantedOn'],
    [{ plantedOn: '?' }, 'plantedOn'],
    [{ plantedOn: '1999-06-11' }, 'plantedOn'],
  ])('says what is wrong with %o at its field', (wrong, field) => {
    expect(fields(schema.safeParse({ ...product, ...wrong }).error?.issues)).toEqual([field]);
  });

  it('takes an empty day for "not yet"', () => {
    expect(plantedOnProblem('', '2026-06-10')).toBeUndefined();
    const later = schema.parse({ ...product, plantedOn: '' });
    expect(
      plantingChanges(later, [{ containerId: 'con_abcdef', stationIds: ['stn_abcdef'] }], [], NOW),
    ).toEqual({
      changes: [],
      drafts: [],
    });
  });

  it('does not ask a pepper for graft, leaves or school', () => {
    const pepper = schema.parse({
      ...product,
      cropId: 'pepper',
      habitId: 'bush',
      graft: 'nonsense',
      leaves: 'nonsense',
    });
    expect(pepper).toMatchObject({ practiceId: undefined, seedling: { stemMillimetres: 340 } });
  });

  it('plants one plant a station, of a variety that is made once', () => {
    const result = schema.parse({ ...product, varietyName: 'Quay Gold' });
    const first = plantingChanges(
      result,
      [{ containerId: 'con_abcdef', stationIds: ['stn_aaaaaa', 'stn_bbbbbb'] }],
      [],
      NOW,
    );
    expect(first.changes.map((c) => c.table)).toEqual(['varieties', 'plants', 'plants']);
    expect(first.drafts).toHaveLength(2);
    const variety = first.changes[0]?.after as (typeof demo.varieties)[number];
    const second = plantingChanges(
      result,
      [{ containerId: 'con_abcdef', stationIds: ['stn_cccccc'] }],
      [variety],
      NOW,
    );
    expect(second.changes.map((c) => c.table)).toEqual(['plants']);
  });
});

describe('the time given to an entry', () => {
  const live = liveEntries(demo.entries);
  const check = live.find((e): e is Entry & { kind: 'check' } => e.kind === 'check') as Entry;

  it.each([
    ['2026-07-18T10:00:00.000+01:00', /future/],
    ['2026-04-01T10:00:00.000+01:00', /before anything was planted/],
    ['2026-02-30T10:00:00.000+01:00', /not a whole date/],
  ])('%s is refused', (at, said) => {
    expect(momentProblem(at, check, live, DEMO_EVENING)).toMatch(said);
  });

  it('is taken when it lies between planting and now', () => {
    expect(momentProblem(check.at, check, live, DEMO_EVENING)).toBeUndefined();
  });
});

describe('a planting handed from one screen to another', () => {
  const empty = emptyPlantingForm('2026-05-20', 'first-leaves');

  it('arrives as it was typed', () => {
    const typed = {
      ...empty,
      cropId: 'pepper',
      habitId: 'dwarf',
      varietyName: 'Brass Bell',
      stem: '8½ in',
      ball: '3 in',
    };
    expect(plantingFrom(new URLSearchParams(plantingQuery(typed)), empty)).toEqual(typed);
  });

  it('leaves out what is empty, and falls back from what does not exist', () => {
    expect(plantingQuery({ stem: '', varietyName: 'A & B' })).toBe('varietyName=A+%26+B');
    const odd = new URLSearchParams('cropId=melon&habitId=vine');
    expect(plantingFrom(odd, empty)).toMatchObject({ cropId: 'tomato', habitId: 'tall' });
  });
});

describe('how a plant was put in', () => {
  const planted = {
    id: 'ent_words00001',
    kind: 'planted' as const,
    at: NOW,
    recordedAt: NOW,
    containerId: 'con_words00001',
    stationId: 'stn_words00001',
    plantId: 'pla_words00001',
    seedling: { stemMillimetres: 400, ballMillimetres: 90 },
  };
  const words = (more: object) =>
    plantedWords({ ...planted, ...more }, unitFormatIn('metric')).replaceAll('\u00a0', ' ');

  it('is said by its way, its depth and the level of the mix', () => {
    expect(words({ plantingMethodId: 'trench', buriedMillimetres: 220 })).toBe(
      'Laid in a trench: 22 cm of its stem went under, 18 cm stood above.',
    );
    expect(words({ plantingMethodId: 'low-start', buriedMillimetres: 60, levelMillimetres: 160 })).toContain(
      'The bag was filled to 16 cm then.',
    );
    expect(words({ plantingMethodId: 'net-cup', buriedMillimetres: 0 })).toContain(
      'level with its old surface, 40 cm tall',
    );
    expect(words({ plantingMethodId: 'seed' })).toBe('Seed, sown in place.');
  });
});
