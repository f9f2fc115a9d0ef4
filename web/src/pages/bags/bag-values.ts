import { CONTAINER_KINDS, containerKind, dimensionsSchema } from '@rundel/core/bags';
import type { AddedStore, Container, FillLevel, Size, Template } from '@rundel/core/records';
import { isWhole, type FieldProblem, type FieldsForm, type ValuesOf } from '../../ui/form/index.ts';
import { dimensionName, NEW_PLACE, STORE_FIELDS, type BagFields } from './bag-form.ts';
import { shadeProblems, shadingOf } from './shade-form.ts';
import type { BagFormResult } from './bag-records.ts';

type Make = Omit<Template, 'id' | 'name' | 'createdAt' | 'changedAt' | 'stations'> &
  Pick<Partial<Container>, 'price' | 'seasons' | 'sizeException' | 'shade' | 'shadeFrom' | 'shadeUntil'>;

/** The values of a bag as it is stored, or of a template. One that is not known here is chosen anew. */
export function startOfBag(make: Make, stations: number): Partial<ValuesOf<BagFields>> {
  const { size, layers, support, companions } = make;
  const stores = Object.fromEntries((make.stores ?? []).map(({ kind, litres }) => [kind, litres]));
  const dimensions =
    size.by === 'measured'
      ? Object.fromEntries(Object.entries(size.dimensions).map(([key, mm]) => [dimensionName(key), mm]))
      : {};
  return {
    ...dimensions,
    ...stores,
    ...(make.shade ? { shade: Math.round(make.shade * 100) } : {}),
    ...(make.shadeFrom ? { shadeFrom: make.shadeFrom } : {}),
    ...(make.shadeUntil ? { shadeUntil: make.shadeUntil } : {}),
    ...(make.wells ? { wells: make.wells.count, wellLitres: make.wells.litres } : {}),
    kindId: CONTAINER_KINDS.some((k) => k.id === make.kindId) ? make.kindId : (CONTAINER_KINDS[0]?.id ?? ''),
    sizeBy: size.by,
    ...(size.by === 'label' ? { labelLitres: size.litres } : {}),
    ...(size.by === 'label' && size.reservoirLitres ? { reservoirLitres: size.reservoirLitres } : {}),
    tradeClass: size.by === 'class' ? size.class : '#10',
    soldAs: size.by === 'measured' ? (size.class ?? '') : '',
    mixId: layers?.at(-1)?.mixId ?? make.mixId,
    lowerMixId: layers?.[0]?.mixId ?? '',
    lowerShare: (layers?.[0]?.share ?? 0.5) * 100,
    ...(make.holeMillimetres ? { hole: make.holeMillimetres } : {}),
    companions: companions?.size ?? 'none',
    ...(companions?.name ? { companionsName: companions.name } : {}),
    ...(companions?.from ? { companionsFrom: companions.from } : {}),
    ...(companions?.until ? { companionsUntil: companions.until } : {}),
    ...(make.price === undefined ? {} : { price: make.price }),
    ...(make.seasons === undefined ? {} : { seasons: make.seasons }),
    sizeException: make.sizeException ?? '',
    ...startOfFill(make),
    ...(make.mulchMillimetres > 0 ? { mulch: make.mulchMillimetres } : {}),
    stations,
    supportKind: support.kind,
    secondSupport: make.furtherSupports?.[0]?.kind ?? 'none',
    ...(make.furtherSupports?.[0] ? { secondHeight: make.furtherSupports[0].heightMillimetres } : {}),
    ...(support.heightMillimetres > 0 ? { supportHeight: support.heightMillimetres } : {}),
  };
}

/** How full it is, as its form begins. */
function startOfFill({ fill, settling, rounding, hasNoHoles }: Make): Partial<ValuesOf<BagFields>> {
  return {
    fillBy: fill?.by ?? '',
    ...(fill?.by === 'rim' ? { headroom: fill.headroomMillimetres } : {}),
    ...(fill?.by === 'level' ? { fillLevel: fill.mixMillimetres } : {}),
    ...(fill?.by === 'loose' ? { looseLitres: fill.looseLitres } : {}),
    ...(settling === undefined ? {} : { settling: settling * 100 }),
    ...(rounding === undefined ? {} : { rounding: rounding * 100 }),
    hasNoHoles: hasNoHoles ?? false,
  };
}

/** How full it is, as its form says. */
function fillOf(values: ValuesOf<BagFields>): FillLevel | undefined {
  switch (values.fillBy) {
    case 'rim':
      return { by: 'rim', headroomMillimetres: values.headroom };
    case 'level':
      return { by: 'level', mixMillimetres: values.fillLevel };
    case 'loose':
      return { by: 'loose', looseLitres: values.looseLitres };
    default:
      return undefined;
  }
}

/** What a bag was measured to be, by the names of its kind. */
function dimensionsOf(values: Partial<ValuesOf<BagFields>>): Record<string, number> {
  const { dimensions } = containerKind(values.kindId ?? '');
  return Object.fromEntries(dimensions.map(({ key }) => [key, values[dimensionName(key)] ?? NaN]));
}

/** What does not go together in a bag, at its field. */
export function bagProblems(
  values: Partial<ValuesOf<BagFields>>,
): readonly FieldProblem<keyof BagFields & string>[] {
  const shade = shadeProblems(values);
  if (values.sizeBy === 'label') return [...shade, ...reservoirProblems(values)];
  if (values.sizeBy !== 'measured') return shade;
  const checked = dimensionsSchema(containerKind(values.kindId ?? '')).safeParse(dimensionsOf(values));
  const size = (checked.error?.issues ?? []).map(({ path, message }) => ({
    at: dimensionName(String(path[0])),
    problem: message,
  }));
  return [...size, ...shade];
}

/** What the grower of a planter should look at again: its label gives the litres of mix first. */
function reservoirProblems({
  labelLitres = Infinity,
  reservoirLitres = 0,
}: Partial<ValuesOf<BagFields>>): readonly FieldProblem<keyof BagFields & string>[] {
  return reservoirLitres > labelLitres
    ? [{ at: 'reservoirLitres', problem: 'That is more water than mix: which of the two is which?' }]
    : [];
}

function sizeOf(values: ValuesOf<BagFields>): Size {
  const { sizeBy, labelLitres, reservoirLitres, tradeClass, soldAs } = values;
  if (sizeBy === 'class') return { by: 'class', class: tradeClass };
  if (sizeBy === 'label')
    return {
      by: 'label',
      litres: labelLitres,
      ...(reservoirLitres === undefined ? {} : { reservoirLitres }),
    };
  return { by: 'measured', dimensions: dimensionsOf(values), ...(soldAs ? { class: soldAs } : {}) };
}

/** The bag that a form comes to; undefined while its fields do not read. */
export function bagOf(form: Pick<FieldsForm<BagFields>, 'fields' | 'values'>): BagFormResult | undefined {
  if (!isWhole(form)) return undefined;
  const { values } = form;
  if (bagProblems(values).length > 0) return undefined;
  const { mixId, lowerMixId, lowerShare, mulch = 0, hole, companions, companionsUntil, price } = values;
  const fill = fillOf(values);
  const lower = lowerShare === undefined ? undefined : lowerShare / 100;
  const stores = (Object.keys(STORE_FIELDS) as AddedStore['kind'][]).flatMap((kind) => {
    const litres = values[kind];
    return litres === undefined ? [] : [{ kind, litres }];
  });
  return {
    label: values.label,
    kindId: values.kindId,
    size: sizeOf(values),
    mixId,
    ...(lower === undefined
      ? {}
      : {
          layers: [
            { mixId: lowerMixId, share: lower },
            { mixId, share: 1 - lower },
          ],
        }),
    mulchMillimetres: mulch,
    ...(fill ? { fill } : {}),
    ...(values.settling === undefined ? {} : { settling: values.settling / 100 }),
    ...(values.rounding === undefined ? {} : { rounding: values.rounding / 100 }),
    ...(values.hasNoHoles ? { hasNoHoles: true } : {}),
    ...(hole ? { holeMillimetres: hole } : {}),
    ...(stores.length > 0 ? { stores } : {}),
    ...shadingOf(values),
    ...(values.wells === undefined ? {} : { wells: { count: values.wells, litres: values.wellLitres } }),
    ...(companions === 'none'
      ? {}
      : {
          companions: {
            size: companions,
            ...(values.companionsName ? { name: values.companionsName } : {}),
            ...(values.companionsFrom ? { from: values.companionsFrom } : {}),
            ...(companionsUntil ? { until: companionsUntil } : {}),
          },
        }),
    ...(price === undefined ? {} : { price }),
    ...(values.seasons === undefined ? {} : { seasons: values.seasons }),
    ...(values.sizeException ? { sizeException: values.sizeException } : {}),
    place:
      values.placeId === NEW_PLACE
        ? { kind: 'new', name: values.newPlaceName, cover: values.newPlaceCover }
        : { kind: 'known', id: values.placeId },
    stations: values.stations,
    support: { kind: values.supportKind, heightMillimetres: values.supportHeight ?? 0 },
    ...(values.supportKind === 'none' || values.secondSupport === 'none'
      ? {}
      : { furtherSupports: [{ kind: values.secondSupport, heightMillimetres: values.secondHeight ?? 0 }] }),
  };
}
