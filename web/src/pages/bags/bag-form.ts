import { CONTAINER_KINDS, containerKind, dimensionsSchema } from '@rundel/core/bags';
import {
  TRADE_CLASS_NAMES,
  type Size,
  type TradeClass,
  type Container,
  type Place,
  type Template,
  daySchema,
  SUPPORT_KINDS,
  COMPANION_SIZES,
  type CompanionSize,
} from '@rundel/core/records';
import { MIXES } from '@rundel/core/mixes';
import { show, type NamedMeasure, type UnitSystem } from '@rundel/core/units';
import * as z from '@rundel/core/schema';
import { readAmount } from '../../text/amount-text.ts';
import { readStores, storeTexts } from './store-fields.ts';
import { moneyIn, newId, type RecordChange } from '../../store/index.ts';

/** What the bag form holds: text as typed. */
export interface BagFormValues {
  label: string;
  kindId: string;
  sizeBy: Size['by'];
  labelLitres: string;
  tradeClass: TradeClass;
  dimensions: Record<string, string>;
  /** what a measured bag was sold as; empty: unknown */
  soldAs: TradeClass | '';
  mixId: string;
  /** another mix below it, and how much of the bag that takes, %; empty: none */
  lowerMixId: string;
  lowerShare: string;
  mulch: string;
  hole: string;
  /** water put beside it: what each holds; empty: none */
  saucer: string;
  clayPots: string;
  wick: string;
  drum: string;
  /** plants beside the crop, by how much they shade; 'none' where there are none */
  companions: CompanionSize;
  /** until when passing plants stand beside it; empty: as long as the crop */
  companionsUntil: string;
  price: string;
  placeId: string;
  newPlaceName: string;
  newPlaceCover: Place['cover'];
  stations: number;
  supportKind: Container['support']['kind'];
  supportHeight: string;
}

/** What the form gives when everything in it reads. */
export interface BagFormResult {
  readonly label: string;
  readonly kindId: string;
  readonly size: Size;
  readonly mixId: string;
  readonly layers?: Container['layers'];
  readonly mulchMillimetres: number;
  readonly holeMillimetres?: number;
  readonly stores?: Container['stores'];
  readonly companions?: Container['companions'];
  readonly price?: number;
  readonly place:
    | { readonly kind: 'known'; readonly id: string }
    | { readonly kind: 'new'; readonly name: string; readonly cover: Place['cover'] };
  readonly stations: number;
  readonly support: Container['support'];
}

/** The value of `placeId` that asks for a new stand. */
export const NEW_PLACE = 'new';

export function emptyBagForm(label: string, placeId: string | undefined): BagFormValues {
  return {
    label,
    kindId: CONTAINER_KINDS[0]?.id ?? '',
    sizeBy: 'label',
    labelLitres: '',
    tradeClass: '#10',
    dimensions: {},
    soldAs: '',
    mixId: MIXES[0]?.id ?? '',
    lowerMixId: '',
    lowerShare: '50',
    mulch: '',
    hole: '',
    saucer: '',
    clayPots: '',
    wick: '',
    drum: '',
    companions: 'none',
    companionsUntil: '',
    price: '',
    placeId: placeId ?? NEW_PLACE,
    newPlaceName: '',
    newPlaceCover: 'open',
    stations: 1,
    supportKind: 'none',
    supportHeight: '',
  };
}

/** The form of a bag as it is stored. */
export function bagFormOf(container: Container, system: UnitSystem): BagFormValues {
  return {
    ...makeFormOf(container, container.stations.length, system),
    label: container.label,
    placeId: container.placeId,
  };
}

/** The form of a new bag made up like a template. */
export function templateFormOf(
  template: Template,
  label: string,
  placeId: string | undefined,
  system: UnitSystem,
): BagFormValues {
  return { ...makeFormOf(template, template.stations, system), label, placeId: placeId ?? NEW_PLACE };
}

function makeFormOf(
  container: Omit<Template, 'id' | 'name' | 'createdAt' | 'changedAt' | 'stations'> &
    Pick<Partial<Container>, 'price'>,
  stations: number,
  system: UnitSystem,
): BagFormValues {
  const { size, layers } = container;
  const dimensions =
    size.by === 'measured'
      ? Object.fromEntries(
          Object.entries(size.dimensions).map(([key, mm]) => [key, show(mm, 'size', system)]),
        )
      : {};
  return {
    ...emptyBagForm('', undefined),
    // one that is not known here is chosen anew
    kindId: CONTAINER_KINDS.some((k) => k.id === container.kindId)
      ? container.kindId
      : (CONTAINER_KINDS[0]?.id ?? ''),
    sizeBy: size.by,
    labelLitres: size.by === 'label' ? show(size.litres, 'bag', system) : '',
    tradeClass: size.by === 'class' ? size.class : '#10',
    dimensions,
    soldAs: size.by === 'measured' ? (size.class ?? '') : '',
    mixId: layers?.at(-1)?.mixId ?? container.mixId,
    lowerMixId: layers?.[0]?.mixId ?? '',
    lowerShare: layers?.[0] ? String(Math.round(layers[0].share * 100)) : '50',
    hole: container.holeMillimetres ? show(container.holeMillimetres, 'depth', system) : '',
    ...storeTexts(container.stores, system),
    companions: container.companions?.size ?? 'none',
    companionsUntil: container.companions?.until ?? '',
    price: container.price === undefined ? '' : String(container.price),
    mulch: container.mulchMillimetres > 0 ? show(container.mulchMillimetres, 'depth', system) : '',
    stations,
    supportKind: container.support.kind,
    supportHeight:
      container.support.heightMillimetres > 0
        ? show(container.support.heightMillimetres, 'height', system)
        : '',
  };
}

/**
 * The form's schema: reads every amount in the grower's system and says beside the field what is wrong.
 *
 * @param taken labels of other bags, which this one may not have
 */
export function bagFormSchema(
  system: UnitSystem,
  taken: readonly string[],
  measures: readonly NamedMeasure[] = [],
) {
  const form = z.object({
    label: z.string(),
    kindId: z.string(),
    sizeBy: z.enum(['measured', 'class', 'label']),
    labelLitres: z.string(),
    tradeClass: z.enum(TRADE_CLASS_NAMES),
    dimensions: z.record(z.string(), z.string()),
    soldAs: z.enum(['', ...TRADE_CLASS_NAMES]),
    mixId: z.string(),
    lowerMixId: z.string(),
    lowerShare: z.string(),
    mulch: z.string(),
    hole: z.string(),
    saucer: z.string(),
    clayPots: z.string(),
    wick: z.string(),
    drum: z.string(),
    companions: z.enum(COMPANION_SIZES),
    companionsUntil: z.string(),
    price: z.string(),
    placeId: z.string(),
    newPlaceName: z.string(),
    newPlaceCover: z.enum(['open', 'glass', 'heated']),
    stations: z.coerce.number<number>().int(),
    supportKind: z.enum(SUPPORT_KINDS),
    supportHeight: z.string(),
  });
  return form.transform((values, context): BagFormResult => {
    const say = (message: string, ...path: string[]) => {
      context.addIssue({ code: 'custom', path, message });
    };
    const label = values.label.trim();
    if (label === '') say('Give it a number or a short name: it is what you call it on the walk.', 'label');
    else if (label.length > 12) say('Twelve letters at the most.', 'label');
    else if (taken.includes(label)) say(`There is a bag "${label}" already.`, 'label');
    const kind = containerKind(values.kindId);
    const size = readSize(values, system, measures, say);
    const mulch = readAmount(values.mulch, { purpose: 'depth', system, low: 0, high: 150, isOptional: true });
    if (mulch.kind === 'refused') say(mulch.problem, 'mulch');
    const hole = kind.drainage.canBeRaised
      ? readAmount(values.hole, { purpose: 'depth', system, low: 0, high: 400, isOptional: true })
      : undefined;
    if (hole?.kind === 'refused') say(hole.problem, 'hole');
    const stores = readStores(values, system, measures, say);
    const until = values.companionsUntil.trim();
    if (values.companions !== 'none' && until !== '' && !daySchema.safeParse(until).success)
      say('A day that exists, or nothing.', 'companionsUntil');
    const price = moneyIn('').read(values.price.replace(/^[^\p{L}\d.,-]+/u, ''));
    if (price.kind === 'refused') say(price.problem, 'price');
    const lower = Number(values.lowerShare.replace('%', '').replace(',', '.'));
    const isLayered = values.lowerMixId !== '' && values.lowerMixId !== values.mixId;
    if (isLayered && !(lower >= 5 && lower <= 95)) {
      say('From 5 to 95 % of the bag; the rest is the upper mix.', 'lowerShare');
    }
    if (values.stations < 1 || values.stations > kind.stations.most) {
      say(`From 1 to ${kind.stations.most} in a bag of this kind.`, 'stations');
    }
    const isNew = values.placeId === NEW_PLACE;
    if (isNew && values.newPlaceName.trim() === '')
      say('What do you call the place? "Patio" will do.', 'newPlaceName');
    const height =
      values.supportKind === 'none'
        ? undefined
        : readAmount(values.supportHeight, { purpose: 'height', system, low: 100, high: 5000 });
    if (height?.kind === 'refused') say(height.problem, 'supportHeight');
    return {
      label,
      kindId: kind.id,
      size: size ?? { by: 'label', litres: 1 },
      mixId: values.mixId,
      ...(isLayered
        ? {
            layers: [
              { mixId: values.lowerMixId, share: lower / 100 },
              { mixId: values.mixId, share: 1 - lower / 100 },
            ],
          }
        : {}),
      mulchMillimetres: mulch.kind === 'given' ? mulch.siValue : 0,
      ...(hole?.kind === 'given' && hole.siValue > 0 ? { holeMillimetres: hole.siValue } : {}),
      ...(stores.length > 0 ? { stores } : {}),
      ...(values.companions === 'none'
        ? {}
        : { companions: { size: values.companions, ...(until === '' ? {} : { until }) } }),
      ...(price.kind === 'given' ? { price: price.amount } : {}),
      place: isNew
        ? { kind: 'new', name: values.newPlaceName.trim(), cover: values.newPlaceCover }
        : { kind: 'known', id: values.placeId },
      stations: values.stations,
      support: { kind: values.supportKind, heightMillimetres: height?.kind === 'given' ? height.siValue : 0 },
    };
  });
}

function readSize(
  values: Pick<BagFormValues, 'sizeBy' | 'labelLitres' | 'tradeClass' | 'dimensions' | 'kindId' | 'soldAs'>,
  system: UnitSystem,
  measures: readonly NamedMeasure[],
  say: (message: string, ...path: string[]) => void,
): Size | undefined {
  const kind = containerKind(values.kindId);
  if (values.sizeBy === 'class') return { by: 'class', class: values.tradeClass };
  if (values.sizeBy === 'label') {
    const litres = readAmount(values.labelLitres, {
      purpose: 'bag',
      system,
      low: 1,
      high: 1000,
      measures,
    });
    if (litres.kind === 'given') return { by: 'label', litres: litres.siValue };
    say(litres.kind === 'refused' ? litres.problem : 'Please give its litres.', 'labelLitres');
    return undefined;
  }
  const dimensions: Record<string, number> = {};
  let isWhole = true;
  for (const { key, low, high } of kind.dimensions) {
    const read = readAmount(values.dimensions[key] ?? '', { purpose: 'size', system, low, high });
    if (read.kind === 'given') dimensions[key] = read.siValue;
    else {
      isWhole = false;
      say(read.kind === 'refused' ? read.problem : 'Please measure it.', 'dimensions', key);
    }
  }
  if (!isWhole) return undefined;
  const checked = dimensionsSchema(kind).safeParse(dimensions);
  if (checked.success) {
    const isSold = kind.hasTradeClass && values.soldAs !== '';
    return { by: 'measured', dimensions, ...(isSold ? { class: values.soldAs as TradeClass } : {}) };
  }
  for (const issue of checked.error.issues) say(issue.message, 'dimensions', String(issue.path[0]));
  return undefined;
}

/** The records of new bags, all made up alike, with their new stand if they need one. */
export function newBagRecords(
  result: BagFormResult,
  labels: readonly string[],
  counts: { readonly places: number; readonly containers: number },
  now: string,
): { readonly containers: readonly Container[]; readonly changes: readonly RecordChange[] } {
  const stamps = { createdAt: now, changedAt: now };
  const { place, stations, label: _, ...make } = result;
  const placeId = place.kind === 'known' ? place.id : newId('place');
  const containers = labels.map((label, i): Container => ({
    ...make,
    id: newId('container'),
    label,
    placeId,
    stations: Array.from({ length: stations }, () => ({ id: newId('station') })),
    order: counts.containers + i,
    ...stamps,
  }));
  const changes: RecordChange[] = containers.map((after) => ({
    table: 'containers',
    before: undefined,
    after,
  }));
  if (place.kind === 'new') {
    const after = { id: placeId, name: place.name, cover: place.cover, order: counts.places, ...stamps };
    changes.unshift({ table: 'places', before: undefined, after });
  }
  return { containers, changes };
}
