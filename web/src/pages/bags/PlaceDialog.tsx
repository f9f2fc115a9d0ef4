import { Button, Typography } from '@mui/material';
import { lazy, Suspense, useState } from 'react';
import type { Place } from '@rundel/core/records';
import { COVER_WORDS } from '../../ui/choices.tsx';
import {
  amountField,
  choiceField,
  FormDialog,
  FormFields,
  optionsOf,
  textField,
  useFields,
} from '../../ui/form/index.ts';
import { isShadeAsked, shadeFields, shadeProblems, shadingOf } from './shade-form.ts';
import { OnceButton } from '../../ui/OnceButton.tsx';
import { newId, placesInUse, useGarden } from '../../store/index.ts';

const AlertsDialog = lazy(() => import('../../ui/care/AlertsDialog.tsx'));

const FIELDS = (taken: readonly string[]) => ({
  name: textField({ label: 'Name', longest: 60, missing: 'Give it a name.', taken }),
  cover: choiceField<Place['cover']>({
    label: 'Roof',
    help: 'Under a roof no rain falls in and less sun comes through.',
    options: optionsOf(COVER_WORDS),
  }),
  wire: amountField({
    label: 'A wire overhead, above the ground',
    help: 'For strings. Empty: there is none.',
    purpose: 'height',
    low: 300,
    high: 5000,
    isOptional: true,
  }),
  ...shadeFields({
    label: 'Shade cloth or whitewash',
    help: 'How much of the sun it takes, by its label. Empty: none.',
  }),
});

/** A place where bags stand: its name, its roof, its turn in the walk. */
export function PlaceDialog({
  place,
  hasBags,
  onClose,
}: {
  readonly place: Place | undefined;
  readonly hasBags: boolean;
  onClose(): void;
}) {
  const { garden, clock, saveRecords, bin: putInBin } = useGarden();
  const [isWarning, setWarning] = useState(false);
  const taken = placesInUse(garden).flatMap((other) => (other.id === place?.id ? [] : [other.name]));
  const form = useFields(FIELDS(taken), {
    values: {
      name: place?.name,
      cover: place?.cover,
      wire: place?.wireMillimetres,
      shade: place?.shade && Math.round(place.shade * 100),
      shadeFrom: place?.shadeFrom,
      shadeUntil: place?.shadeUntil,
    },
    isAsked: isShadeAsked,
    check: shadeProblems,
  });
  const submit = form.submit(async ({ name, cover, wire, shade, shadeFrom, shadeUntil }) => {
    const now = clock.now();
    const {
      wireMillimetres: _wire,
      shade: _shade,
      shadeFrom: _from,
      shadeUntil: _until,
      ...known
    } = place ?? newPlace(garden.places.length, now);
    const after: Place = {
      ...known,
      name,
      cover,
      ...(wire === undefined ? {} : { wireMillimetres: Math.round(wire) }),
      ...shadingOf({ shade, shadeFrom, shadeUntil }),
      changedAt: now,
    };
    await saveRecords(
      [{ table: 'places', before: place, after }],
      [],
      place ? `${name} changed` : `${name} added`,
    );
    onClose();
  });
  const bin = async () => {
    if (!place) return;
    await putInBin('places', [place], place.name);
    onClose();
  };
  // beside the form and not in it: what is submitted in the one must not submit the other
  if (place && isWarning)
    return (
      <Suspense>
        <AlertsDialog place={place} onClose={() => setWarning(false)} />
      </Suspense>
    );
  return (
    <FormDialog
      title={place ? `Change ${place.name}` : 'Add a place'}
      onClose={onClose}
      onSubmit={submit}
      submitLabel={place ? 'Change it' : 'Add it'}
    >
      <FormFields form={form} autoFocus />
      {place && (
        <Button onClick={() => setWarning(true)} sx={{ alignSelf: 'flex-start' }}>
          Warnings of frost, heat and wind
        </Button>
      )}
      {place &&
        (hasBags ? (
          <Typography variant="body2" sx={{ color: 'text.secondary' }}>
            It can be removed once no bag stands here.
          </Typography>
        ) : (
          <OnceButton onPress={() => bin()} sx={{ alignSelf: 'flex-start' }}>
            Delete
          </OnceButton>
        ))}
    </FormDialog>
  );
}

function newPlace(order: number, now: string): Place {
  return { id: newId('place'), name: '', cover: 'open', order, createdAt: now, changedAt: now };
}
