import { CONTAINER_KINDS, containerKind, type ContainerKind } from '@rundel/core/bags';
import type { Texts, ValuesOf } from '../../ui/form/index.ts';
import { NEW_PLACE, type BagFields } from './bag-form.ts';
import { isShadeAsked } from './shade-form.ts';

const hasReservoir = (kind: ContainerKind) =>
  kind.dimensions.some(({ key }) => key === 'reservoirMillimetres');

/** Whether a field is asked of a bag by what is said of it so far. */
export function isBagAsked(name: string, texts: Readonly<Partial<Texts<BagFields>>>): boolean {
  const kind = containerKind(texts.kindId || (CONTAINER_KINDS[0]?.id ?? ''));
  const { sizeBy = 'label' } = texts;
  if (name.startsWith('size-')) return sizeBy === 'measured';
  switch (name) {
    case 'labelLitres':
      return sizeBy === 'label';
    case 'reservoirLitres':
      return sizeBy === 'label' && hasReservoir(kind);
    case 'tradeClass':
      return sizeBy === 'class';
    case 'soldAs':
      return sizeBy === 'measured' && kind.hasTradeClass;
    case 'newPlaceName':
    case 'newPlaceCover':
      return texts.placeId === NEW_PLACE;
    case 'lowerShare':
      return !['', texts.mixId].includes(texts.lowerMixId ?? '');
    case 'supportHeight':
      return (texts.supportKind ?? 'none') !== 'none';
    case 'secondSupport':
      return (texts.supportKind ?? 'none') !== 'none';
    case 'secondHeight':
      return (texts.supportKind ?? 'none') !== 'none' && (texts.secondSupport ?? 'none') !== 'none';
    case 'hole':
      return kind.drainage.canBeRaised && texts.hasNoHoles !== 'on';
    case 'hasNoHoles':
      return ['base-holes', 'slits'].includes(kind.drainage.by);
    case 'headroom':
      return texts.fillBy === 'rim';
    case 'fillLevel':
      return texts.fillBy === 'level';
    case 'looseLitres':
      return texts.fillBy === 'loose';
    case 'rounding':
      return kind.isSoft === true && sizeBy === 'measured';
    case 'shadeFrom':
    case 'shadeUntil':
      return isShadeAsked(name, texts);
    case 'wellLitres':
      return (texts.wells ?? '').trim() !== '';
    case 'companionsName':
    case 'companionsFrom':
    case 'companionsUntil':
      return (texts.companions ?? 'none') !== 'none';
    default:
      return true;
  }
}

/** What a new bag begins with. */
export function newBagStart(label: string, placeId: string | undefined): Partial<ValuesOf<BagFields>> {
  return {
    label,
    stations: 1,
    lowerShare: 50,
    placeId: placeId ?? NEW_PLACE,
    tradeClass: '#10',
    companions: 'none',
    supportKind: 'none',
    secondSupport: 'none',
  };
}
