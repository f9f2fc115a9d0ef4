import { liveEntries, type Entry, RECORD_SCHEMAS } from '@rundel/core/records';
import { DEMO_EVENING, gannetSlip } from '@rundel/core/demo';
import { describe, expect, it } from 'vitest';
import { fieldsIn } from '../../../test/field-context.ts';
import { EMPTY } from '../../../test/gardens.ts';
import { readForm, type Texts } from '../../ui/form/index.ts';
import { isBagAsked, newBagStart } from './bag-asked.ts';
import { bagFields, NEW_PLACE, type BagFields } from './bag-form.ts';
import { bagOf, bagProblems, startOfBag } from './bag-values.ts';
import { newBagRecords, type BagFormResult } from './bag-records.ts';
import { labelsFor, nextLabel } from '../../ui/labels.ts';
import { unitFormatIn } from '../../store/unit-format.ts';
import { plantedWords } from '../../text/planted-text.ts';
import { momentProblem } from '../../text/moment-problem.ts';
import {
  isPlantingAsked,
  plantedOnProblem,
  plantingFields,
  plantingFrom,
  plantingOf,
  plantingProblems,
  plantingQuery,
  plantingStart,
  startOfPlan,
  type PlantingFields,
} from '../../ui/planting-form.ts';
import { plantingChanges } from '../../ui/planting-records.ts';

const NOW = '2026-06-10T09:30:00.000+01:00';
const demo = gannetSlip(3);

type BagTexts = Partial<Texts<BagFields>>;

/** A bag's form with some texts typed over what it begins with: the bag, or what is wrong by field. */
function bag(
  typed: BagTexts,
  context = fieldsIn('metric'),
  start = newBagStart('2', 'std_abcdef'),
): { readonly bag?: BagFormResult | undefined; readonly problems?: Readonly<Record<string, string>> } {
  const about = { garden: EMPTY, unitFormat: context.unitFormat, taken: ['1'] };
  const read = readForm(
    (texts) => bagFields(texts, about),
    { values: start, isAsked: isBagAsked, check: bagProblems },
    typed,
    context,
  );
  return read.ok ? { bag: bagOf(read) } : { problems: read.problems };
}

describe('the form of a bag', () => {
  const product: BagTexts = { labelLitres: '38 L', mulch: '5' };
  const wrong = (typed: BagTexts) => Object.keys(bag({ ...product, ...typed }).problems ?? {});

  it('gives litres, mm and a place', () => {
    expect(bag(product).bag).toEqual({
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

  it('a planter has the water of its label too, and more water than mix is asked about', () => {
    const planter = { ...product, kindId: 'reservoir', labelLitres: '40 L', reservoirLitres: '3 gal' };
    const size = bag(planter).bag?.size;
    expect(size).toMatchObject({ by: 'label', litres: 40 });
    expect(size?.by === 'label' && size.reservoirLitres).toBeCloseTo(11.36, 2);
    expect(bag({ ...planter, reservoirLitres: '' }).bag?.size).toEqual({ by: 'label', litres: 40 });
    expect(bag({ ...planter, reservoirLitres: '41' }).problems).toHaveProperty('reservoirLitres');
    // a bag that stands on no water is not asked
    expect(bag({ ...planter, kindId: 'round-fabric' }).bag?.size).toEqual({ by: 'label', litres: 40 });
  });

  it.each<[BagTexts, string]>([
    [{ label: ' ' }, 'label'],
    [{ label: '1' }, 'label'],
    [{ label: 'a name that is too long' }, 'label'],
    [{ labelLitres: '' }, 'labelLitres'],
    [{ labelLitres: '-3' }, 'labelLitres'],
    [{ labelLitres: '1e9' }, 'labelLitres'],
    [{ mulch: '2 m' }, 'mulch'],
    [{ stations: '9' }, 'stations'],
    [{ placeId: NEW_PLACE }, 'newPlaceName'],
    [{ supportKind: 'stake' }, 'supportHeight'],
    [{ supportKind: 'stake', supportHeight: '80 m' }, 'supportHeight'],
    [
      { sizeBy: 'measured', 'size-rimMillimetres': '30', 'size-baseMillimetres': '30' },
      'size-heightMillimetres',
    ],
  ])('says what is wrong with %o at its field', (typed, field) => {
    expect(wrong(typed)).toContain(field);
  });

  it('keeps what stands beside the crop, and until when', () => {
    expect(
      bag({ ...product, companions: 'large', companionsUntil: '2026-07-01', drum: '60 L' }).bag,
    ).toMatchObject({
      companions: { size: 'large', until: '2026-07-01' },
      stores: [{ kind: 'drum', litres: 60 }],
    });
    expect(bag({ ...product, companions: 'small' }).bag).toMatchObject({ companions: { size: 'small' } });
    expect(wrong({ companions: 'small', companionsUntil: '?' })).toEqual(['companionsUntil']);
    expect(wrong({ 'clay-pots': 'some' })).toEqual(['clay-pots']);
  });

  it("takes a bag's litres counted in the grower's own can", () => {
    const can = { kind: 'can' as const, name: 'green can', litres: 9.5 };
    const counted = { ...product, labelLitres: '4 green cans' };
    expect(bag(counted, fieldsIn('metric', [can])).bag?.size).toEqual({ by: 'label', litres: 38 });
    expect(wrong({ labelLitres: '4 green cans' })).toEqual(['labelLitres']);
  });

  it('says everything that is wrong at once', () => {
    expect(wrong({ label: '', labelLitres: '0', mulch: 'thick' }).sort()).toEqual([
      'label',
      'labelLitres',
      'mulch',
    ]);
  });

  it('shows every bag of the demo as it is, to the last digit, in any units', () => {
    for (const container of demo.containers) {
      for (const system of ['metric', 'us', 'uk'] as const) {
        const start = {
          ...startOfBag(container, container.stations.length),
          label: container.label,
          placeId: container.placeId,
        };
        const again = bag({}, fieldsIn(system), start).bag;
        expect(again).toMatchObject({
          label: container.label,
          kindId: container.kindId,
          size: container.size,
          mulchMillimetres: container.mulchMillimetres,
          stations: container.stations.length,
        });
        expect(again?.stores).toEqual(container.stores);
      }
    }
  });

  it('makes records that the store takes, with a new stand when one is asked for', () => {
    const result = bag({
      ...product,
      placeId: NEW_PLACE,
      newPlaceName: 'Quay',
      newPlaceCover: 'glass',
    }).bag as BagFormResult;
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
    expect(labelsFor('b', 3, ['1', 'c'])).toEqual(['b', 'd', 'e']);
    expect(labelsFor('Y', 3, [])).toEqual(['Y 1', 'Y 2', 'Y 3']);
    expect(labelsFor('A1', 3, ['A2'])).toEqual(['A1', 'A3', 'A4']);
    expect(labelsFor('Pot', 2, [])).toEqual(['Pot 1', 'Pot 2']);
    expect(labelsFor('Pot', 2, ['Pot 1'])).toEqual(['Pot 2', 'Pot 3']);
    expect(labelsFor('Pot 4', 2, [])).toEqual(['Pot 4', 'Pot 5']);
    expect(labelsFor('Long balcony', 2, []).every((label) => label.length <= 12)).toBe(true);
    expect(labelsFor('Pot', 1, [])).toEqual(['Pot']);
  });

  it('reads layers, holes, a price and what a measured bag was sold as', () => {
    const layered = { ...product, lowerMixId: 'loam-compost', lowerShare: '40 %', price: '£6,50' };
    expect(bag(layered).bag).toMatchObject({
      layers: [
        { mixId: 'loam-compost', share: 0.4 },
        { mixId: 'bought', share: 0.6 },
      ],
      price: 6.5,
    });
    const bucket: BagTexts = {
      ...product,
      kindId: 'bucket',
      hole: '4',
      sizeBy: 'measured',
      soldAs: '#5',
      'size-rimMillimetres': '30',
      'size-baseMillimetres': '24',
      'size-heightMillimetres': '28',
    };
    expect(bag(bucket).bag).toMatchObject({ holeMillimetres: 40, size: { class: '#5' } });
    expect(wrong({ lowerMixId: 'bark-coir', lowerShare: '99', price: 'dear' }).sort()).toEqual([
      'lowerShare',
      'price',
    ]);
  });

  it('finds the smallest free number', () => {
    expect(nextLabel([])).toBe('1');
    expect(nextLabel(['1', '3', 'b'])).toBe('2');
  });
});

/** A planting's form with some texts typed over what it begins with. */
function planting(
  typed: Partial<Texts<PlantingFields>>,
  needs?: readonly 'plantedOn'[],
  values: object = plantingStart('2026-06-10', 'first-leaves'),
) {
  const context = fieldsIn('metric');
  const read = readForm(
    (texts) => plantingFields(texts, context.unitFormat, '2026-06-10', needs),
    { values, isAsked: isPlantingAsked, check: plantingProblems },
    typed,
    context,
  );
  return read.ok ? { planting: plantingOf(read), problems: {} } : { problems: read.problems };
}

const NONE = { varieties: [], batches: [] };

describe('the form of a planting', () => {
  const product = { stem: '34', leaves: '6 11 16.5' };

  it('gives the seedling in mm', () => {
    expect(planting(product).planting).toMatchObject({
      varietyName: 'Tomato',
      plantedOn: '2026-06-10',
      seedling: { stemMillimetres: 340, ballMillimetres: 90, leafMillimetres: [60, 110, 165] },
      practiceId: 'first-leaves',
    });
  });

  it.each([
    [{ stem: '3 km' }, 'stem'],
    [{ graft: '40' }, 'graft'],
    [{ leaves: '6 11 50' }, 'leaves'],
    [{ leaves: 'some' }, 'leaves'],
    [{ plantedOn: '2026-06-11' }, 'plantedOn'],
    [{ plantedOn: '?' }, 'plantedOn'],
    [{ plantedOn: '1999-06-11' }, 'plantedOn'],
  ])('says what is wrong with %o at its field', (wrong, field) => {
    expect(Object.keys(planting({ ...product, ...wrong }).problems)).toEqual([field]);
  });

  it('takes an empty day for "not yet", unless it is in', () => {
    expect(plantedOnProblem('', '2026-06-10')).toBeUndefined();
    const later = planting({ ...product, plantedOn: '' }).planting;
    if (!later) throw new Error('not read');
    expect(
      plantingChanges(later, [{ containerId: 'con_abcdef', stationIds: ['stn_abcdef'] }], NONE, NOW),
    ).toEqual({ changes: [], drafts: [] });
    expect(planting({ ...product, plantedOn: '' }, ['plantedOn']).problems).toHaveProperty('plantedOn');
  });

  it('does not ask a pepper for graft, leaves or practice', () => {
    const pepper = planting({ ...product, cropId: 'pepper', habitId: 'bush', graft: 'no', leaves: 'no' });
    expect(pepper.planting).toMatchObject({ practiceId: undefined, seedling: { stemMillimetres: 340 } });
  });

  it('takes the first habit of a crop until one of its own is chosen', () => {
    expect(planting({ ...product, cropId: 'cucumber', habitId: 'tall' }).planting?.habitId).not.toBe('');
    expect(planting({ ...product, cropId: 'pepper', habitId: 'tall' }).planting?.habitId).toBe('bush');
  });

  it('carries out a plan with all that was said in it', () => {
    const plan = {
      id: 'pln_aaaaaa',
      containerId: 'con_abcdef',
      cropId: 'tomato',
      habitId: 'tall',
      varietyName: 'Quay Gold',
      plantName: 'Edna',
      practiceId: 'first-leaves',
      seedling: { stemMillimetres: 333.3, ballMillimetres: 91.7, leafMillimetres: [51.2, 99.9] },
      plantOn: '2026-06-01',
      createdAt: NOW,
      changedAt: NOW,
    };
    const start = { ...plantingStart('2026-06-10', 'level'), ...startOfPlan(plan) };
    expect(planting({}, undefined, start).planting).toMatchObject({
      varietyName: 'Quay Gold',
      plantName: 'Edna',
      practiceId: 'first-leaves',
      seedling: plan.seedling,
    });
  });

  it('plants one plant a station, of a variety that is made once', () => {
    const result = planting({ ...product, varietyName: 'Quay Gold' }).planting;
    if (!result) throw new Error('not read');
    const first = plantingChanges(
      result,
      [{ containerId: 'con_abcdef', stationIds: ['stn_aaaaaa', 'stn_bbbbbb'] }],
      NONE,
      NOW,
    );
    expect(first.changes.map((c) => c.table)).toEqual(['varieties', 'plants', 'plants']);
    expect(first.drafts).toHaveLength(2);
    const variety = first.changes[0]?.after as (typeof demo.varieties)[number];
    const second = plantingChanges(
      result,
      [{ containerId: 'con_abcdef', stationIds: ['stn_cccccc'] }],
      { varieties: [variety], batches: [] },
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

  it('may be of a season before where it is of a picking', () => {
    const { containerId } = check as Entry & { containerId: string };
    const picking = { kind: 'picking' as const, containerId };
    expect(momentProblem('2025-09-01T10:00:00.000+01:00', picking, live, DEMO_EVENING)).toBeUndefined();
    expect(momentProblem('2027-09-01T10:00:00.000+01:00', picking, live, DEMO_EVENING)).toMatch(/future/);
  });

  it('is taken when it lies between planting and now', () => {
    expect(momentProblem(check.at, check, live, DEMO_EVENING)).toBeUndefined();
  });
});

describe('a planting handed from one screen to another', () => {
  it('arrives as it was typed', () => {
    const typed = {
      cropId: 'pepper',
      habitId: 'dwarf',
      varietyName: 'Brass Bell',
      stem: '8½ in',
      ball: '3 in',
    };
    expect(plantingFrom(new URLSearchParams(plantingQuery(typed)))).toEqual(typed);
  });

  it('leaves out what is empty and what does not exist', () => {
    expect(plantingQuery({ stem: '', varietyName: 'A & B' })).toBe('varietyName=A+%26+B');
    expect(plantingFrom(new URLSearchParams('cropId=melon&habitId=vine&stem=8'))).toEqual({ stem: '8' });
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
