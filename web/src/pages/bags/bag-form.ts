import { DEFAULT_ASSUMED } from '@rundel/core/assumed';
import { CONTAINER_KINDS, containerKind, TRADE_CLASSES, tradeClassLitres } from '@rundel/core/bags';
import {
  type FillLevel,
  type SizeException,
  COMPANION_SIZES,
  TRADE_CLASS_NAMES,
  type AddedStore,
  type CompanionSize,
  type Container,
  type Garden,
  type Place,
  type Size,
  type TradeClass,
} from '@rundel/core/records';
import { findMix, MIXES } from '@rundel/core/mixes';
import { needsFirmMix, SUPPORTS } from '@rundel/core/plants';
import { EXCEPTIONS } from '@rundel/core/planting';
import { COVER_WORDS } from '../../ui/choices.tsx';
import {
  amountField,
  choiceField,
  dayField,
  numberField,
  optionsOf,
  priceField,
  namedOptions,
  switchField,
  textField,
  type Field,
} from '../../ui/form/index.ts';
import { placesInUse, type UnitFormat } from '../../store/index.ts';
import { lightWords, shadeFields } from './shade-form.ts';

/** The value of `placeId` that asks for a new place. */
export const NEW_PLACE = 'new';

/** What stands beside the crop, by what it is like. */
const COMPANION_WORDS: Readonly<Record<CompanionSize, string>> = {
  none: 'None',
  small: 'Small: a clump of herbs',
  middling: 'Middling: a bushy flower or two',
  large: 'Large: a rim of salad, or a trailing flower',
};

/** The stores that a grower puts beside a bag, by the field that takes their litres. */
export const STORE_FIELDS = {
  saucer: store('Saucer under it', 'Catches what runs through and gives it back.'),
  'clay-pots': store('Clay pots in it', 'Unglazed, buried to the rim: all they hold, as "2 x 1.5 L".'),
  wick: store('Drum on a wick', 'Checked by its level. Only food-safe drums.'),
  drum: store('Drum with a float', 'Keeps a channel or reservoir full. Only food-safe drums.'),
} as const satisfies Readonly<Record<AddedStore['kind'], Field<number | undefined>>>;

function store(label: string, help: string) {
  const water = { purpose: 'water', low: 0.1, high: 200, inMeasures: true } as const;
  return amountField({ label, help, ...water, isOptional: true });
}

/** The field that takes one of a kind's measurements. */
export const dimensionName = (key: string) => `size-${key}` as const;

/** What a bag's form is made for. */
export interface BagFormContext {
  readonly garden: Garden;
  readonly unitFormat: UnitFormat;
  /** labels of other bags, which this one may not have */
  readonly taken: readonly string[];
}

/** The fields of a bag, by what is said of it so far: its kind decides what can be measured and what holds in it. */
export function bagFields(
  texts: {
    readonly kindId?: string;
    readonly mixId?: string;
    readonly fillBy?: string;
    readonly shade?: string;
  },
  { garden, unitFormat, taken }: BagFormContext,
) {
  const kind = containerKind(texts.kindId || (CONTAINER_KINDS[0]?.id ?? ''));
  const mixes = namedOptions([...garden.mixes.filter((mix) => !mix.binnedAt), ...MIXES]);
  const classes = TRADE_CLASS_NAMES.map((id) => {
    const { low, high } = tradeClassLitres(id);
    const { lowCubicInches, highCubicInches } = TRADE_CLASSES[id];
    return {
      id,
      label: `${id}: ${unitFormat.range(low, high, 'bag')} (${lowCubicInches}–${highCubicInches} in³)`,
    };
  });
  const label = textField({
    label: 'Number or name',
    help: 'What you call it on the walk.',
    missing: 'Give it a number or a short name: it is what you call it on the walk.',
    longest: 40,
    taken,
  });
  const fields = {
    kindId: choiceField({ label: 'Kind', options: namedOptions(CONTAINER_KINDS) }),
    sizeBy: choiceField<Size['by']>({
      label: 'How big is it?',
      options: [
        { id: 'label', label: 'Its label says' },
        ...(kind.hasTradeClass ? [{ id: 'class' as const, label: 'Trade class' }] : []),
        { id: 'measured', label: 'I have measured it' },
      ],
    }),
    labelLitres: amountField({
      label: 'Size on the label',
      help: 'As "38", "10 gal", "1.5 cu ft" or "4 cans".',
      purpose: 'bag',
      low: 1,
      high: 1000,
      inMeasures: true,
    }),
    reservoirLitres: amountField({
      label: 'Water below, by its label',
      help: 'What the tank holds. Empty: a quarter of the height.',
      purpose: 'water',
      low: 0.2,
      high: 500,
      isOptional: true,
      inMeasures: true,
    }),
    tradeClass: choiceField<TradeClass>({
      label: 'Trade class',
      help: 'What it is sold as; what it holds is a range.',
      options: classes,
    }),
    soldAs: choiceField<TradeClass | ''>({
      label: 'Sold as',
      options: [{ id: '', label: 'I do not know' }, ...TRADE_CLASS_NAMES.map((id) => ({ id, label: id }))],
    }),
    label: {
      ...label,
      read(text, context) {
        const read = label.read(text, context);
        return read.ok && read.value.length > 12
          ? { ok: false, problem: 'Twelve letters at the most.' }
          : read;
      },
    } satisfies Field<string>,
    stations: numberField({
      label: 'Plants side by side',
      help: kind.isClosed ? 'Three, or two for bigger plants.' : undefined,
      low: 1,
      high: kind.stations.most,
      isWhole: true,
      problem: `From 1 to ${kind.stations.most} in a bag of this kind.`,
    }),
    placeId: choiceField({
      label: 'Where it stands',
      options: [...namedOptions(placesInUse(garden)), { id: NEW_PLACE, label: 'A new place…' }],
    }),
    newPlaceName: textField({
      label: 'Name of the new place',
      missing: 'What do you call the place? "Patio" will do.',
      longest: 60,
    }),
    newPlaceCover: choiceField<Place['cover']>({ label: 'Roof', options: optionsOf(COVER_WORDS) }),
    mixId: choiceField({
      label: 'Mix',
      help: findMix(texts.mixId ?? '', garden.mixes)?.description,
      options: mixes,
    }),
    lowerMixId: choiceField({
      label: 'Another mix below',
      options: [{ id: '', label: 'None: one mix throughout' }, ...mixes],
    }),
    lowerShare: numberField({
      label: 'Share of the lower mix',
      help: 'Loam below and compost on top, say half and half.',
      unit: '%',
      sign: '%',
      low: 5,
      high: 95,
      problem: 'From 5 to 95 % of the bag; the rest is the upper mix.',
    }),
    supportKind: choiceField<Container['support']['kind']>({
      label: 'Support',
      help: kind.holdsCane ? undefined : 'A bag lying flat cannot hold a cane by itself.',
      options: namedOptions(SUPPORTS.filter((support) => kind.holdsCane || !needsFirmMix(support))),
    }),
    supportHeight: amountField({
      label: 'Its top, from the ground',
      help: 'Put caps on canes at eye height.',
      purpose: 'height',
      low: 100,
      high: 5000,
    }),
    secondSupport: choiceField<Container['support']['kind']>({
      label: 'Another support',
      help: 'Short canes against wind, a second stake.',
      options: namedOptions(SUPPORTS.filter((support) => kind.holdsCane || !needsFirmMix(support))),
    }),
    secondHeight: amountField({ label: 'Height of the second', purpose: 'height', low: 100, high: 5000 }),
    mulch: amountField({
      label: 'Mulch on top',
      help: 'Empty for none; keep it off the stem.',
      purpose: 'depth',
      low: 0,
      high: 150,
      isOptional: true,
    }),
    fillBy: choiceField<FillLevel['by'] | ''>({
      label: 'How full',
      help: texts.fillBy === 'loose' ? 'What went in before it was watered and settled.' : undefined,
      options: [
        { id: '', label: 'As usual: to just below the rim' },
        { id: 'rim', label: 'To so far below the rim' },
        { id: 'level', label: 'To a level: rolled down, or part filled' },
        { id: 'loose', label: 'So much loose mix went in' },
      ],
    }),
    headroom: amountField({
      label: 'Free below the rim',
      help: 'Above the mulch.',
      purpose: 'depth',
      low: 0,
      high: 1000,
    }),
    fillLevel: amountField({
      label: 'The settled mix stands at',
      help: 'From the base upwards.',
      purpose: 'depth',
      low: 20,
      high: 1500,
    }),
    looseLitres: amountField({
      label: 'Loose mix that went in',
      help: 'As "40 L", "1.5 cu ft" or "4 x 20 L".',
      purpose: 'bag',
      low: 0.2,
      high: 5000,
      inMeasures: true,
    }),
    settling: numberField({
      label: 'It settles by',
      help: `Empty: as the mix usually does.`,
      unit: '%',
      sign: '%',
      low: 0,
      high: 50,
      isOptional: true,
      problem: 'From 0 to 50 % of its volume.',
    }),
    rounding: numberField({
      label: 'How far its sides bulge',
      help: 'Empty: 35 % of the way from the box that you measured to a circle. 0: it stays a box.'.replace(
        '35',
        String(Math.round(DEFAULT_ASSUMED.softRounding * 100)),
      ),
      unit: '%',
      sign: '%',
      low: 0,
      high: 100,
      isOptional: true,
      problem: 'From 0 to 100 %.',
    }),
    hasNoHoles: switchField({ label: 'It has no holes yet' }),
    hole: amountField({
      label: 'Holes above the base',
      help: 'Empty: at the base. Higher keeps a wet reserve.',
      purpose: 'depth',
      low: 0,
      high: 400,
      isOptional: true,
    }),
    price: priceField({ label: 'Price of the empty bag', help: 'Spread over the seasons that it lasts.' }),
    seasons: numberField({
      label: 'Seasons that it lasts',
      help: `Empty: ${kind.seasons.value}, as is usual for its kind.`,
      low: 1,
      high: 30,
      isOptional: true,
      problem: 'From 1 to 30 seasons.',
    }),
    sizeException: choiceField<SizeException | ''>({
      label: 'Why a smaller one will do',
      options: [
        { id: '', label: 'No reason' },
        ...EXCEPTIONS.map(({ id, description }) => ({
          id,
          label: description.charAt(0).toUpperCase() + description.slice(1),
        })),
      ],
    }),
    companions: choiceField<CompanionSize>({
      label: 'Plants beside the crop',
      help: 'Companion flowers, herbs, passing salad: they take up water and feed too.',
      options: COMPANION_SIZES.map((id) => ({ id, label: COMPANION_WORDS[id] })),
    }),
    companionsName: textField({ label: 'What they are', help: 'As "basil" or "lettuce".', longest: 60 }),
    companionsFrom: dayField({
      label: 'In place since',
      help: 'Empty: as long as the crop.',
      isOptional: true,
    }) as Field<string | undefined>,
    companionsUntil: dayField({
      label: 'Remove by',
      help: 'Empty: as long as the crop.',
      isOptional: true,
    }) as Field<string | undefined>,
    ...shadeFields({ label: 'Shade cloth or fleece over this bag', help: shadeHelp(texts.shade) }),
    ...STORE_FIELDS,
    wells: numberField({
      label: 'Wells: pots sunk to water into',
      help: 'How many. Empty: none.',
      low: 1,
      high: 12,
      isWhole: true,
      isOptional: true,
      problem: 'A whole number from 1 to 12.',
    }),
    wellLitres: amountField({
      label: 'Each holds',
      missing: 'What does one of them hold?',
      purpose: 'water',
      low: 0.05,
      high: 20,
      inMeasures: true,
    }),
  };
  const dimensions: Readonly<Record<`size-${string}`, Field<number>>> = Object.fromEntries(
    kind.dimensions.map(({ key, label: dimension, low, high }) => [
      dimensionName(key),
      amountField({ label: dimension, missing: 'Please measure it.', purpose: 'size', low, high }),
    ]),
  );
  return { ...dimensions, ...fields } as typeof dimensions & typeof fields;
}

export type BagFields = ReturnType<typeof bagFields>;

/** What so much shade leaves, as it is typed. */
function shadeHelp(text: string | undefined): string {
  const percent = Number.parseFloat((text ?? '').replace(',', '.'));
  return percent > 0 && percent <= 90
    ? lightWords(percent)
    : 'On top of what is over its place. Empty: none.';
}
