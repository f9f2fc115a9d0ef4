import type { EntryKind } from '@rundel/core/records';
import type { Fields } from '../form/index.ts';
import type { EntryForm } from './entry-form.ts';
import {
  fedForm,
  feedSkippedForm,
  regimeForm,
  solutionForm,
  stageForm,
  teaForm,
  teaTendedForm,
} from './feeding-forms.ts';
import {
  cleanedForm,
  followedUpForm,
  sprayedForm,
  troubleForm,
  trussForm,
  warnedForm,
} from './care-forms.ts';
import {
  clearedForm,
  heightForm,
  movedForm,
  noteForm,
  pickingForm,
  supportedForm,
  tendedForm,
  toppedUpForm,
  warmthForm,
} from './plant-forms.ts';
import {
  boughtForm,
  countedForm,
  filledForm,
  pricedForm,
  spentForm,
  usedForm,
  workedForm,
} from './stock-forms.ts';
import { checkForm, dripForm, skippedForm, wateringForm } from './water-forms.ts';
import { tankForm } from './tank-form.ts';
import { shelfCheckForm, shelvedForm } from './shelf-forms.ts';
import { weatherForm } from './weather-form.ts';

/**
 * The form of each kind of entry. `undefined`: it has a dialog of its own.
 */
const FORMS = {
  check: checkForm,
  watering: wateringForm,
  drip: dripForm,
  skipped: skippedForm,
  // corrected by the form of a planting
  planted: undefined,
  cleared: clearedForm,
  moved: movedForm,
  height: heightForm,
  warmth: warmthForm,
  'topped-up': toppedUpForm,
  supported: supportedForm,
  tended: tendedForm,
  picking: pickingForm,
  fed: fedForm,
  'feed-skipped': feedSkippedForm,
  regime: regimeForm,
  stage: stageForm,
  solution: solutionForm,
  tank: tankForm,
  tea: teaForm,
  'tea-tended': teaTendedForm,
  note: noteForm,
  filled: filledForm,
  bought: boughtForm,
  used: usedForm,
  counted: countedForm,
  priced: pricedForm,
  spent: spentForm,
  worked: workedForm,
  trouble: troubleForm,
  'followed-up': followedUpForm,
  sprayed: sprayedForm,
  cleaned: cleanedForm,
  truss: trussForm,
  warned: warnedForm,
  shelved: shelvedForm,
  'shelf-check': shelfCheckForm,
  weather: weatherForm,
  removed: undefined,
} as const satisfies Readonly<Record<EntryKind, object | undefined>>;

/** The form by which an entry of a kind is corrected. */
export function formOf<K extends EntryKind>(kind: K): EntryForm<K, Fields> | undefined {
  // each form is typed by its own kind and fields; here they are one table
  return FORMS[kind] as unknown as EntryForm<K, Fields> | undefined;
}
