import type { AddedStore, FillLevel, Gauge, Size, SupportKindId } from '../src/records/index.ts';
import type { DripLine } from '../src/water/index.ts';

import { WATER_BAGS } from './gannet-slip-water-bags.ts';

/** Who grows what in what at Gannet Slip. A made-up yard, made-up names, made-up varieties. */
export interface PlannedBag {
  readonly label: string;
  readonly place: 'lean-to' | 'terrace' | 'deck';
  readonly kindId: string;
  readonly size: Size;
  readonly mixId: string;
  readonly mulchMillimetres: number;
  readonly varietyName: string;
  readonly plants: number;
  readonly plantedOn: string;
  readonly stemMillimetres: number;
  readonly graftMillimetres?: number;
  readonly practiceId?: string;
  readonly support: {
    readonly kind: SupportKindId;
    readonly heightMillimetres: number;
  };
  readonly plantName?: string;
  /** its sides are rolled down: the mix stands at a level of its own */
  readonly fill?: FillLevel;
  /** water put beside it */
  readonly stores?: readonly AddedStore[];
  /** its drip, from planting on */
  readonly drip?: DripLine;
  /** a scale that somebody weighs it on now and then */
  readonly gauge?: Gauge;
}

/** What the empty containers cost, by kind; the neighbours' own shillings. */
export const PRICES: Readonly<Record<string, number>> = {
  'round-fabric': 6,
  'square-fabric': 5.5,
  bucket: 3,
  pillow: 0,
  'ring-pillow': 2.4,
  trough: 14,
  'shopping-bag': 1,
  'film-sleeve': 0.6,
  reservoir: 19,
  'open-sleeve': 0.6,
  'rigid-pot': 5,
  'refuse-bag': 0.4,
};

export const PLACES = [
  { key: 'terrace', name: 'Slipway terrace', cover: 'open', wireMillimetres: 2050 },
  { key: 'lean-to', name: 'Lean-to', cover: 'glass', wireMillimetres: 2100 },
  // a deck over the boat store: what it bears is what its builder told them
  { key: 'deck', name: 'Roof deck', cover: 'open', areaSquareMetres: 2.4, limitKilogramsPerSquareMetre: 150 },
] as const;

export const VARIETIES = [
  { name: 'Lantern Drop', cropId: 'tomato', habitId: 'tall' },
  { name: 'Pier Red', cropId: 'tomato', habitId: 'tall' },
  { name: 'Bosun Short', cropId: 'tomato', habitId: 'dwarf' },
  { name: 'Brass Bell', cropId: 'pepper', habitId: 'bush' },
  { name: 'Longfinger', cropId: 'aubergine', habitId: 'bush' },
  { name: 'Salt Snap', cropId: 'cucumber', habitId: 'climbing' },
] as const;

const fabric38: Size = { by: 'label', litres: 38 };
const slab: Size = {
  by: 'measured',
  dimensions: { lengthMillimetres: 880, widthMillimetres: 370, heightMillimetres: 140 },
};

export const BAGS: readonly PlannedBag[] = [
  {
    label: '1',
    place: 'lean-to',
    kindId: 'pillow',
    size: slab,
    mixId: 'bought',
    mulchMillimetres: 0,
    varietyName: 'Pier Red',
    plants: 3,
    plantedOn: '2026-05-18',
    stemMillimetres: 250,
    support: { kind: 'string', heightMillimetres: 2100 },
  },
  {
    label: '2',
    place: 'lean-to',
    kindId: 'pillow',
    size: { by: 'label', litres: 45 },
    mixId: 'bark-coir',
    mulchMillimetres: 0,
    varietyName: 'Pier Red',
    plants: 2,
    plantedOn: '2026-05-18',
    stemMillimetres: 240,
    graftMillimetres: 60,
    support: { kind: 'string', heightMillimetres: 2100 },
  },
  {
    label: '3',
    place: 'lean-to',
    kindId: 'bucket',
    size: { by: 'label', litres: 20 },
    mixId: 'bought',
    mulchMillimetres: 20,
    varietyName: 'Salt Snap',
    plants: 1,
    plantedOn: '2026-05-21',
    stemMillimetres: 180,
    support: { kind: 'string', heightMillimetres: 2000 },
  },
  {
    label: '4',
    place: 'lean-to',
    kindId: 'square-fabric',
    size: {
      by: 'measured',
      dimensions: { lengthMillimetres: 330, widthMillimetres: 330, heightMillimetres: 300 },
    },
    mixId: 'bought',
    mulchMillimetres: 30,
    varietyName: 'Longfinger',
    plants: 1,
    plantedOn: '2026-05-24',
    stemMillimetres: 210,
    support: { kind: 'canes', heightMillimetres: 1200 },
  },
  {
    label: '5',
    place: 'terrace',
    kindId: 'round-fabric',
    size: { by: 'class', class: '#15' },
    mixId: 'loam-compost',
    mulchMillimetres: 50,
    varietyName: 'Lantern Drop',
    plants: 1,
    plantedOn: '2026-05-28',
    stemMillimetres: 360,
    practiceId: 'bottom',
    support: { kind: 'two-cages', heightMillimetres: 1900 },
    plantName: 'Old Peg',
  },
  {
    label: '6',
    place: 'terrace',
    kindId: 'round-fabric',
    size: { by: 'label', litres: 57 },
    mixId: 'bought',
    mulchMillimetres: 50,
    varietyName: 'Lantern Drop',
    plants: 1,
    plantedOn: '2026-05-28',
    stemMillimetres: 320,
    support: { kind: 'stake', heightMillimetres: 1950 },
  },
  {
    label: '7',
    place: 'terrace',
    kindId: 'round-fabric',
    size: fabric38,
    mixId: 'bought',
    mulchMillimetres: 50,
    varietyName: 'Lantern Drop',
    plants: 1,
    plantedOn: '2026-05-27',
    stemMillimetres: 300,
    practiceId: 'bottom',
    support: { kind: 'string', heightMillimetres: 2050 },
  },
  {
    label: '8',
    place: 'terrace',
    kindId: 'square-fabric',
    size: { by: 'label', litres: 30 },
    mixId: 'bark-coir',
    mulchMillimetres: 25,
    varietyName: 'Longfinger',
    plants: 1,
    plantedOn: '2026-06-01',
    stemMillimetres: 190,
    support: { kind: 'canes', heightMillimetres: 1100 },
  },
  {
    label: '9',
    place: 'terrace',
    kindId: 'bucket',
    size: { by: 'label', litres: 15 },
    mixId: 'bought',
    mulchMillimetres: 20,
    varietyName: 'Brass Bell',
    plants: 1,
    plantedOn: '2026-05-31',
    stemMillimetres: 200,
    support: { kind: 'stake', heightMillimetres: 900 },
  },
  {
    label: '10',
    place: 'deck',
    kindId: 'bucket',
    size: { by: 'class', class: '#5' },
    mixId: 'bought',
    mulchMillimetres: 20,
    varietyName: 'Brass Bell',
    plants: 1,
    plantedOn: '2026-05-31',
    stemMillimetres: 210,
    support: { kind: 'stake', heightMillimetres: 900 },
  },
  {
    label: '11',
    place: 'deck',
    kindId: 'round-fabric',
    size: { by: 'class', class: '#7' },
    mixId: 'bought',
    mulchMillimetres: 40,
    varietyName: 'Bosun Short',
    plants: 1,
    plantedOn: '2026-05-26',
    stemMillimetres: 240,
    support: { kind: 'cage', heightMillimetres: 900 },
    fill: { by: 'level', mixMillimetres: 170 },
  },
  {
    label: '12',
    place: 'deck',
    kindId: 'round-fabric',
    size: { by: 'label', litres: 38 },
    mixId: 'bark-coir',
    mulchMillimetres: 25,
    varietyName: 'Bosun Short',
    plants: 2,
    plantedOn: '2026-05-26',
    stemMillimetres: 230,
    support: { kind: 'cage', heightMillimetres: 900 },
  },
  {
    label: '13',
    place: 'lean-to',
    kindId: 'ring-pillow',
    size: {
      by: 'measured',
      dimensions: {
        lengthMillimetres: 900,
        widthMillimetres: 390,
        heightMillimetres: 140,
        ringMillimetres: 230,
        ringHeightMillimetres: 220,
        sunkMillimetres: 50,
      },
    },
    mixId: 'bought-peat-free',
    mulchMillimetres: 0,
    varietyName: 'Pier Red',
    plants: 2,
    plantedOn: '2026-05-20',
    stemMillimetres: 280,
    support: { kind: 'string', heightMillimetres: 2100 },
  },
  {
    label: '14',
    place: 'terrace',
    kindId: 'trough',
    size: {
      by: 'measured',
      dimensions: { lengthMillimetres: 1000, widthMillimetres: 280, heightMillimetres: 260 },
    },
    mixId: 'third-each',
    mulchMillimetres: 25,
    varietyName: 'Brass Bell',
    plants: 3,
    plantedOn: '2026-06-02',
    stemMillimetres: 190,
    support: { kind: 'stake', heightMillimetres: 900 },
  },
  {
    label: '15',
    place: 'deck',
    kindId: 'shopping-bag',
    size: { by: 'label', litres: 32 },
    mixId: 'third-each',
    mulchMillimetres: 20,
    varietyName: 'Bosun Short',
    plants: 1,
    plantedOn: '2026-05-27',
    stemMillimetres: 220,
    support: { kind: 'cage', heightMillimetres: 850 },
  },
  {
    label: '16',
    place: 'terrace',
    kindId: 'film-sleeve',
    size: { by: 'measured', dimensions: { flatMillimetres: 460, heightMillimetres: 360 } },
    mixId: 'stretched',
    mulchMillimetres: 25,
    varietyName: 'Longfinger',
    plants: 1,
    plantedOn: '2026-06-03',
    stemMillimetres: 200,
    support: { kind: 'none', heightMillimetres: 0 },
  },
  ...WATER_BAGS,
];
