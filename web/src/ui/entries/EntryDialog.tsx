import { FormControlLabel, Switch, Typography } from '@mui/material';
import { sharedAmong, splitByFruits } from '@rundel/core/records';
import { useState } from 'react';
import { bagsWords } from '../../text/bag-text.ts';
import { newId, useGarden, useUnitFormat, type Bag } from '../../store/index.ts';
import { usePhotos } from '../photos/PhotoField.tsx';
import { Remark } from '../Remark.tsx';
import { pickingDoubt } from './picking-doubt.ts';
import { pickingAsked } from './plant-forms.ts';
import { HarvestHold } from '../care/HarvestHold.tsx';
import { FormDialog, FormFields, useFields, type FormStart } from '../form/index.ts';
import { useWhen } from '../When.tsx';
import { formOf } from './correct-forms.ts';
import { plantsOf, usePlantOf } from './Home.tsx';
import { checkOf, draftOf } from './entry-form.ts';
import { FromScale } from './FromScale.tsx';
import { SplitFields, splitFruits } from './SplitFields.tsx';

/** A part of a picking that came to nothing. */
const isNone = (facts: object) =>
  !('kilograms' in facts) &&
  !('count' in facts) &&
  !(facts as { readonly isUnmeasured?: boolean }).isUnmeasured;

interface NewEntry {
  /** the dialog's title before the bags */
  readonly title: string;
  /** what undo calls it, before the bags */
  readonly words: string;
  readonly submitLabel?: string;
  readonly start?: FormStart<Record<never, never>>['values'];
  /** it may be about one plant of several; what it says where it is about all of them */
  readonly whole?: string;
  readonly remark?: string;
}

/** What is put in the diary of a bag by a form of its own. */
const NEW_ENTRIES = {
  picking: { title: 'Picked from', words: 'picking from', whole: 'from all' },
  watering: { title: 'Water', words: 'watering at', submitLabel: 'Given' },
  note: { title: 'A note on', words: 'note on', whole: 'the whole bag' },
  stage: { title: 'Seen at', words: 'stage seen at', whole: 'all of them' },
  tended: { title: 'Done at', words: 'work at', whole: 'all of them' },
  trouble: {
    title: 'Trouble in',
    words: 'trouble in',
    whole: 'the whole bag',
    start: { livesInMix: false, what: 'unknown' },
    remark:
      'Brown edges after a cold night and wet mix look like disease and often are none. At one bag, "Look into trouble" weighs what you see. Where it may live on in the mix, the old mix is not used again.',
  },
} as const satisfies Readonly<Record<string, NewEntry>>;

export type NewEntryKind = keyof typeof NEW_ENTRIES;

/**
 * A new entry at a bag or at several, by the form of its kind; the day and time come last, since it is nearly always of now.
 */
export function EntryDialog({
  bags,
  kind,
  start,
  plantId,
  onClose,
  onDone = onClose,
}: {
  readonly bags: readonly Bag[];
  readonly kind: NewEntryKind;
  /** what the form begins with */
  readonly start?: FormStart<Record<never, never>>['values'];
  /** the plant that it is about, until another is chosen */
  readonly plantId?: string;
  onClose(): void;
  /** it was put in the diary; left out: as when it is closed */
  onDone?(): void;
}) {
  const { garden, live, record } = useGarden();
  const unitFormat = useUnitFormat();
  const entry: NewEntry = NEW_ENTRIES[kind];
  const [first] = bags;
  const when = useWhen({ kind, containerId: bags.length === 1 ? first?.container.id : undefined });
  const plant = usePlantOf(entry.whole ? plantsOf(bags) : [], entry.whole ?? '', plantId);
  const canShare = bags.length > 1 && (kind === 'watering' || kind === 'picking');
  const [isShared, setShared] = useState(false);
  const [split, setSplit] = useState<readonly string[]>([]);
  const [splitProblem, setSplitProblem] = useState<string>();
  const [asked, setAsked] = useState<string>();
  const entryForm = formOf(kind);
  const form = useFields(entryForm?.fields({ garden, unitFormat }) ?? {}, {
    values: { ...entry.start, ...start },
    ...checkOf(entryForm),
    ...(kind === 'picking' ? { isAsked: pickingAsked(bags) } : {}),
  });
  const photos = usePhotos([], () => {
    // a picture may say it all
    if (kind === 'note' && !form.texts['text' as never]) form.set('text' as never, 'Photograph');
  });
  const { amount } = form.values as { readonly amount?: number };
  const submit = form.submit(async (values, texts) => {
    const at = when.read();
    if (at === undefined) return;
    const facts = entryForm?.facts(values, texts) ?? {};
    const fruits =
      isShared && kind === 'picking'
        ? splitFruits(split, bags.length, facts as { readonly count?: number })
        : undefined;
    if (fruits && 'problem' in fruits) {
      setSplitProblem(fruits.problem);
      return;
    }
    const doubt =
      kind === 'picking'
        ? pickingDoubt(facts as Parameters<typeof pickingDoubt>[0], bags, at, { garden, live, unitFormat })
        : undefined;
    if (doubt !== undefined && doubt !== asked) {
      setAsked(doubt);
      return;
    }
    type Shareable = Parameters<typeof sharedAmong>[0];
    const shares = !isShared
      ? undefined
      : fruits
        ? splitByFruits(facts as Shareable, fruits.fruits)
        : sharedAmong(facts as Shareable, bags.length);
    await record(
      bags.flatMap(({ container }, i) => {
        const own = shares ? shares[i] : facts;
        // of three fruits from four bags nothing is left to say of the fourth
        if (!own || (shares && kind === 'picking' && isNone(own))) return [];
        // each bag’s trouble is followed up by itself
        const inCase = kind === 'trouble' ? { caseId: newId('case') } : {};
        return [
          draftOf({ kind, at, containerId: container.id, ...plant.facts, ...inCase, ...photos.facts }, own),
        ];
      }),
      `${entry.words} ${first && bags.length === 1 ? first.container.label : `${bags.length} bags`}`,
    );
    onDone();
  });
  return (
    <FormDialog
      title={`${entry.title} ${bagsWords(bags)}`}
      keepAs={`${kind} ${bags.map(({ container }) => container.id).join(' ')}`}
      onClose={onClose}
      onSubmit={submit}
      submitLabel={entry.submitLabel ?? 'Put in the diary'}
    >
      {plant.field}
      {kind === 'picking' && <HarvestHold bags={bags} />}
      {kind === 'picking' && <FromScale onWeight={(text) => form.set('kilograms' as never, text)} />}
      <FormFields form={form} autoFocus />
      {canShare && (
        <FormControlLabel
          control={<Switch checked={isShared} onChange={(_, on) => setShared(on)} />}
          label="That is for all of them together"
        />
      )}
      {isShared && kind === 'picking' && (
        <SplitFields bags={bags} texts={split} onChange={setSplit} problem={splitProblem} />
      )}
      {photos.field}
      {when.field}
      {asked && <Remark role="alert">{asked} Press again if it is right.</Remark>}
      {bags.length > 1 && (
        <Typography variant="body2">
          It is put in the diary of each: {bags.map(({ container }) => container.label).join(', ')}.
          {kind === 'watering' &&
            amount !== undefined &&
            (isShared
              ? ` Each gets ${unitFormat.show(amount / bags.length, 'water')}.`
              : ` Each gets this much, ${unitFormat.show(amount * bags.length, 'water')} in all.`)}
          {kind === 'picking' &&
            (isShared
              ? ' Shared evenly, unless you say how many came from each.'
              : ' What you give is counted at each.')}
        </Typography>
      )}
      {entry.remark && (
        <Typography variant="body2" sx={{ color: 'text.secondary' }}>
          {entry.remark}
        </Typography>
      )}
    </FormDialog>
  );
}
