import { Box, Button, Typography } from '@mui/material';
import { addDays, dayOf } from '@rundel/core/calendar';
import { findCause, IN_MIX_ABOVE } from '@rundel/core/care';
import type { Draft } from '@rundel/core/records';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { causeName } from '../../../text/trouble-text.ts';
import { causeOptions } from '../../../ui/entries/care-forms.ts';
import { choiceField, FormFields, textField, useFields } from '../../../ui/form/index.ts';
import { OnceButton } from '../../../ui/OnceButton.tsx';
import { Panel } from '../../../ui/Page.tsx';
import type { When } from '../../../ui/When.tsx';
import { newId, useBags, useGarden, type Bag } from '../../../store/index.ts';
import { proposed, type Inspection } from './use-inspection.ts';

/** What was seen goes into the diary, with what it is taken for, and is looked at again. */
export function Keep({
  bag,
  plant,
  inspection,
  when,
}: {
  readonly bag: Bag;
  readonly plant: { readonly stationId?: string | undefined; readonly plantId?: string | undefined };
  readonly inspection: Inspection;
  readonly when: When;
}) {
  const { record } = useGarden();
  const navigate = useNavigate();
  const idea = proposed(inspection);
  const { bags } = useBags();
  const beside = bags.filter(
    (b) => b !== bag && b.container.placeId === bag.container.placeId && b.occupants.length > 0,
  );
  const [also, setAlso] = useState<readonly string[]>([]);
  const form = useFields({
    what: choiceField({
      label: 'What you take it for',
      options: [{ id: '', label: `As proposed: ${causeName(idea)}` }, ...causeOptions()],
    }),
    note: textField({ label: 'Note', help: 'Anything else that you saw.', longest: 2000, lines: 2 }),
  });
  const save = form.submit(async ({ what, note }) => {
    const at = when.read();
    if (at === undefined) return;
    const cause = findCause(what || idea);
    const { seen, unseen, recalled } = inspection.added;
    const draft: Draft<'trouble'> = {
      kind: 'trouble',
      at,
      containerId: bag.container.id,
      ...(plant.plantId && plant.stationId ? { stationId: plant.stationId, plantId: plant.plantId } : {}),
      caseId: newId('case'),
      what: what || idea,
      // what nobody can name is kept out of the next plant's mix where that may be it
      livesInMix: cause?.livesInMix ?? inspection.diagnosis.inMixChance > IN_MIX_ABOVE,
      seen: [...seen],
      unseen: [...unseen],
      ...(Object.keys(recalled).length > 0 ? { recalled } : {}),
      checkOn: addDays(dayOf(at), cause?.lookAgainDays ?? 5),
      ...(note ? { note } : {}),
    };
    const others = beside
      .filter(({ container }) => also.includes(container.id))
      .map(({ container }): Draft<'trouble'> => {
        const { stationId: _s, plantId: _p, ...same } = draft;
        return { ...same, containerId: container.id, caseId: newId('case') };
      });
    await record(
      [draft, ...others],
      `trouble seen at ${others.length > 0 ? `${1 + others.length} bags` : bag.container.label}`,
    );
    inspection.forget();
    void navigate(`/bags/${bag.container.id}`);
  });
  const days = findCause(form.texts.what || idea)?.lookAgainDays ?? 5;
  return (
    <Panel title="Put it in the diary">
      <Box sx={{ display: 'grid', gap: 2 }}>
        <FormFields form={form} />
        {beside.length > 0 && (
          <Box role="group" aria-label="The same in other bags">
            <Typography variant="body2" sx={{ color: 'text.secondary', marginBlockEnd: 0.5 }}>
              The same in other bags here too?
            </Typography>
            <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75 }}>
              {beside.map(({ container: { id, label } }) => (
                <Button
                  key={id}
                  size="small"
                  variant={also.includes(id) ? 'contained' : 'outlined'}
                  aria-pressed={also.includes(id)}
                  aria-label={`Bag ${label} too`}
                  onClick={() =>
                    setAlso(also.includes(id) ? also.filter((one) => one !== id) : [...also, id])
                  }
                  sx={{ minWidth: 48, minHeight: 44 }}
                >
                  {label}
                </Button>
              ))}
            </Box>
          </Box>
        )}
        {when.field}
        <OnceButton variant="contained" onPress={save} sx={{ minHeight: 56 }}>
          Put in the diary
        </OnceButton>
        <Typography variant="body2" sx={{ color: 'text.secondary' }}>
          I ask you to look again in {days} {days === 1 ? 'day' : 'days'}. Nothing else follows from it.
        </Typography>
      </Box>
    </Panel>
  );
}
