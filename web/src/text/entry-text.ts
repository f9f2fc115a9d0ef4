import { plantingMethodOf } from '@rundel/core/planting';
import { supportOf } from '@rundel/core/plants';
import { TENDED_WORDS } from './tended-text.ts';
import type { Entry, EntryOf, Garden } from '@rundel/core/records';
import { feedAmountWords } from './feed-amount-text.ts';
import { FEED_SKIP_WORDS } from './feed-text.ts';
import { productAmount, productName, grams } from './product-text.ts';
import { checkWords } from './check-text.ts';
import { dripWords, SKIP_WORDS } from './water-text.ts';
import { tankEntryWords } from './tank-text.ts';
import {
  causeName,
  cleanedWords,
  OUTCOME_WORDS,
  signName,
  sprayedWords,
  trussWords,
} from './trouble-text.ts';
import { shelfCheckWords, shelvedWords } from './shelf-text.ts';
import { parseAmount, unitsShown, withoutAbout, type Purpose } from '@rundel/core/units';
import { moneyOf, type UnitFormat } from '../store/index.ts';
import { findProduct } from '@rundel/core/products';
import { windWords } from './in-units.ts';
import { midSentence, shortDay } from './text.ts';
import {
  LEAVING_WORDS,
  PICK_SIZE_WORDS,
  PICK_STAGE_WORDS,
  PICK_USE_WORDS,
  plantOfEntry,
  STAGE_NAMES,
  STAGE_WORDS,
  type PlantsOf,
} from './plant-text.ts';

/**
 * An amount in the grower's units; before it as it was typed, where that was in a measure or unit that those are not:
 * "½ can (4.8 L)".
 */
function amountWords(
  siValue: number,
  purpose: Purpose,
  asEntered: string | undefined,
  unitFormat: UnitFormat,
): string {
  const shown = unitFormat.show(siValue, purpose);
  if (asEntered === undefined || !/\p{L}|["″]/u.test(asEntered)) return shown;
  const read = parseAmount(asEntered, purpose, unitFormat.system);
  const isOwn = read.ok && unitsShown(unitFormat.system, purpose).includes(read.amount.unit);
  if (!isOwn) return `${asEntered} (${shown})`;
  return withoutAbout(asEntered) === asEntered.trim() ? shown : `about ${shown}`;
}

/** " for £3.50"; nothing where no price was said. */
const priceWords = (price: number | undefined, names: Pick<Garden, 'settings'> | undefined): string =>
  price === undefined || !names ? '' : ` for ${moneyOf(names.settings).show(price)}`;

/** What entries name: products, plants, places. */
export type EntryNames = PlantsOf & Pick<Garden, 'products' | 'places' | 'regimes' | 'tanks' | 'settings'>;

/** An entry in a few words, with the plant that it is about. */
export function entryWords(entry: Entry, unitFormat: UnitFormat, names?: EntryNames): string {
  const plant = names && plantOfEntry(entry, names);
  const words = `${wordsOf(entry, unitFormat, names, plant)}${besideWords(entry)}`;
  // a planting and a check say it in their own place
  return plant && entry.kind !== 'planted' && entry.kind !== 'check'
    ? `${plant}: ${midSentence(words)}`
    : words;
}

/** What was written beside an entry of any kind, and who did it. */
function besideWords({ note, who }: Pick<Entry, 'note' | 'who'>): string {
  return `${note ? `, “${note}”` : ''}${who ? ` (${who})` : ''}`;
}

function wordsOf(
  entry: Entry,
  unitFormat: UnitFormat,
  names: EntryNames | undefined,
  plant: string | undefined,
): string {
  const products = names?.products ?? [];
  const amountOf = (productId: string, amount: number) =>
    `${productAmount(findProduct(productId, products), amount, unitFormat)} ${midSentence(productName(productId, products))}`;
  switch (entry.kind) {
    case 'check':
      return `Check${entry.stationId ? ` at ${plant ?? 'one plant'}` : ''}: ${checkWords(entry.check, unitFormat)}`;
    case 'watering':
      return wateringWords(entry, unitFormat);
    case 'drip':
      return entry.setting ? `Drip set: ${dripWords(entry.setting, unitFormat)}` : 'Drip turned off';
    case 'skipped':
      return `Left for later: ${SKIP_WORDS[entry.reason].toLowerCase()}`;
    case 'planted': {
      const who = plant ? ` ${plant}` : '';
      if (entry.isMoved) return `Moved here${plant ? `: ${plant}` : ''}`;
      if (entry.plantingMethodId === 'seed')
        return `Sown${who} in place${entry.seeds ? `, ${entry.seeds} ${entry.seeds === 1 ? 'seed' : 'seeds'}` : ''}`;
      const height = unitFormat.show(entry.seedling.stemMillimetres, 'height');
      const method =
        entry.plantingMethodId && entry.plantingMethodId !== 'upright'
          ? `, ${plantingMethodOf(entry.plantingMethodId).name.toLowerCase()}`
          : '';
      return `Planted${who}, ${entry.isGuessed ? 'height not measured' : `${height} tall`}${method}`;
    }
    case 'height':
      return `Measured: ${amountWords(entry.heightMillimetres, 'height', entry.asEntered, unitFormat)} above the mix`;
    case 'warmth':
      return `Mix measured: ${unitFormat.show(entry.mixCelsius, 'temperature')}`;
    case 'topped-up':
      return `Topped up with ${unitFormat.show(entry.litres, 'bag')} of mix, to ${unitFormat.show(entry.levelMillimetres, 'depth')}`;
    case 'supported':
      return `Support: ${supportOf(entry.supportId).name.toLowerCase()}${entry.heightMillimetres > 0 ? `, ${unitFormat.show(entry.heightMillimetres, 'height')} above the ground` : ''}`;
    case 'tended':
      return entry.isNothingThere
        ? `${TENDED_WORDS[entry.task]}: looked, and there was nothing to do`
        : TENDED_WORDS[entry.task];
    case 'cleared':
      return entry.why && entry.why !== 'finished' ? `Left (${LEAVING_WORDS[entry.why]})` : 'Cleared';
    case 'moved': {
      const place = names?.places.find(({ id }) => id === entry.toPlaceId);
      return `Carried to ${place?.name ?? 'another place'}`;
    }
    case 'picking': {
      const parts = [
        entry.kilograms === undefined
          ? ''
          : amountWords(entry.kilograms, 'crop', entry.asEntered, unitFormat),
        entry.count === undefined ? '' : `${entry.count} fruit`,
        entry.isUnmeasured ? 'not weighed' : '',
        entry.stage ? PICK_STAGE_WORDS[entry.stage] : '',
        entry.size ? PICK_SIZE_WORDS[entry.size] : '',
        entry.use ? `${PICK_USE_WORDS[entry.use]}${priceWords(entry.soldFor, names)}` : '',
        entry.lostTo ? `to ${causeName(entry.lostTo)}` : '',
      ];
      return `Picked: ${parts.filter(Boolean).join(', ')}`;
    }
    case 'note':
      return entry.text;
    case 'weather':
      return `Weather of ${shortDay(entry.day)}: ${weatherWords(entry, unitFormat)}`;
    case 'filled': {
      const litres = entry.layers.reduce((sum, layer) => sum + layer.litres, 0);
      const parts = [
        litres > 0 ? `${unitFormat.show(litres, 'bag')} new mix` : '',
        entry.keptLitres > 0 ? `${unitFormat.show(entry.keptLitres, 'bag')} old mix kept` : '',
        ...entry.amendments.map(
          (a) => `${grams(a.grams, unitFormat)} ${midSentence(productName(a.productId, products))}`,
        ),
      ];
      return `Filled: ${parts.filter(Boolean).join(', ')}`;
    }
    case 'bought':
      return `Bought ${amountOf(entry.productId, entry.amount)}${priceWords(entry.paid, names)}`;
    case 'used':
      return `Used ${amountOf(entry.productId, entry.amount)}`;
    case 'counted':
      return `Counted ${amountOf(entry.productId, entry.amount)}`;
    case 'priced':
      return `Price seen for ${amountOf(entry.productId, entry.amount)}`;
    case 'spent':
      return `Spent on ${entry.on}${priceWords(entry.price, names)}${entry.asEntered ? `: ${entry.asEntered}` : ''}`;
    case 'worked':
      return `Worked ${entry.minutes} minutes${entry.during ? (entry.during === 'round' ? ', on the round' : ', at the bench') : ''}`;
    case 'trouble':
      return [
        `Trouble: ${causeName(entry.what)}`,
        entry.seen && entry.seen.length > 0 ? ` (${entry.seen.map(signName).join(', ')})` : '',
        entry.livesInMix ? '; it may live on in the mix' : '',
      ].join('');
    case 'followed-up':
      return [
        `Looked again: ${OUTCOME_WORDS[entry.outcome]}`,
        entry.what ? `; it was ${causeName(entry.what)}` : '',
        entry.seen && entry.seen.length > 0 ? ` (${entry.seen.map(signName).join(', ')})` : '',
      ].join('');
    case 'sprayed':
      return sprayedWords(entry, unitFormat);
    case 'cleaned':
      return cleanedWords(entry, unitFormat);
    case 'truss':
      return trussWords(entry);
    case 'shelved':
      return shelvedWords(entry, unitFormat);
    case 'shelf-check':
      return shelfCheckWords(entry);
    case 'warned':
      return `Seen nearby: ${causeName(entry.what)}`;
    case 'fed': {
      const where =
        entry.into === 'leaves' ? ' on the leaves' : entry.into === 'store' ? ' into its reservoir' : '';
      const water = entry.litres === undefined ? '' : ` in ${unitFormat.show(entry.litres, 'water')}`;
      return `Fed: ${feedAmountWords(entry)} ${midSentence(productName(entry.productId, products))}${water}${where}`;
    }
    case 'feed-skipped':
      return `Feed left out: ${FEED_SKIP_WORDS[entry.reason].toLowerCase()}`;
    case 'regime':
      return entry.regimeId ? 'Fed by another regime from here' : 'Fed by no regime from here';
    case 'stage':
      return entry.isNotYet ? `Not yet: ${STAGE_NAMES[entry.stage]}` : STAGE_WORDS[entry.stage];
    case 'tank':
      return tankEntryWords(
        entry,
        names?.tanks.find(({ id }) => id === entry.tankId),
        unitFormat,
      );
    case 'solution': {
      const what = {
        reading: 'Nutrient measured',
        changed: 'Nutrient made up new',
        'topped-up': 'Nutrient topped up',
      };
      const parts = [
        entry.litres === undefined ? '' : unitFormat.show(entry.litres, 'water'),
        entry.ecMillisiemens === undefined ? '' : `EC ${entry.ecMillisiemens}\u00a0mS/cm`,
        entry.ph === undefined ? '' : `pH ${entry.ph}`,
      ].filter(Boolean);
      return `${what[entry.what]}${parts.length > 0 ? `: ${parts.join(', ')}` : ''}`;
    }
    case 'tea':
      return `Tea set to steep: ${unitFormat.show(entry.litres, 'water')} ${midSentence(productName(entry.productId, products))}`;
    case 'tea-tended':
      return { stirred: 'Tea stirred', strained: 'Tea strained', emptied: 'Tea used up' }[entry.what];
    case 'removed':
      return 'Removed an entry';
  }
}

function wateringWords(entry: EntryOf<'watering'>, unitFormat: UnitFormat): string {
  const { litres, asEntered, spiltLitres, into, ranThrough, through, isInGoes, isMeasured } = entry;
  const amount =
    spiltLitres === undefined
      ? amountWords(litres, 'water', asEntered, unitFormat)
      : `${unitFormat.show(litres, 'water')}, and ${unitFormat.show(spiltLitres, 'water')} ran off`;
  const ran = { little: ', a little ran through', most: ', most ran through' };
  return [
    `Watered: ${amount}`,
    into === 'store' ? ' into its reservoir' : '',
    isInGoes ? ', in goes' : '',
    ranThrough ? (through ? ran[through] : ', ran through') : '',
    isMeasured ? '' : ', by eye',
  ].join('');
}

/** What is known of a day: "8 to 21 °C, 12 mm of rain", "down to 4 °C". */
function weatherWords(
  {
    minCelsius,
    maxCelsius,
    rainMillimetres,
    humidityPercent,
    windMetresPerSecond,
    sunHours,
  }: EntryOf<'weather'>,
  unitFormat: UnitFormat,
): string {
  const warmth = (celsius: number) => unitFormat.show(celsius, 'temperature');
  const degrees =
    minCelsius === undefined
      ? maxCelsius !== undefined && `up to ${warmth(maxCelsius)}`
      : maxCelsius === undefined
        ? `down to ${warmth(minCelsius)}`
        : unitFormat.range(minCelsius, maxCelsius, 'temperature');
  const rain =
    rainMillimetres !== undefined &&
    (rainMillimetres === 0 ? 'no rain' : `${unitFormat.show(rainMillimetres, 'rain')} of rain`);
  return [
    degrees,
    rain,
    humidityPercent !== undefined && `humidity ${Math.round(humidityPercent)} %`,
    windMetresPerSecond !== undefined && `wind ${windWords(windMetresPerSecond, unitFormat)}`,
    sunHours !== undefined && `${sunHours.toFixed(1)} h of sun`,
  ]
    .filter(Boolean)
    .join(', ');
}
