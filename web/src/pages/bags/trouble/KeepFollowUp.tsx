import { Box, Button, Typography } from '@mui/material';
import { addDays, dayOf } from '@rundel/core/calendar';
import { findCause } from '@rundel/core/care';
import { OUTCOMES, type Draft, type Outcome } from '@rundel/core/records';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { causeName, OUTCOME_WORDS } from '../../../text/trouble-text.ts';
import { causeOptions } from '../../../ui/entries/care-forms.ts';
import { choiceField, FormField, switchField, textField, useFields } from '../../../ui/form/index.ts';
import { OnceButton } from '../../../ui/OnceButton.tsx';
import { Panel } from '../../../ui/Page.tsx';
import type { When } from '../../../ui/When.tsx';
import { useGarden, type Bag } from '../../../store/index.ts';
import { proposed, type Inspection } from './use-inspection.ts';

/** What came of it: the outcome is kept, and what it turned out to be is expected more readily here from then on. */
export function KeepFollowUp({
  bag,
  caseId,
  inspection,
  when,
}: {
  readonly bag: Bag;
  readonly caseId: string;
  readonly inspection: Inspection;
  readonly when: When;
}) {
  const { record } = useGarden();
  const navigate = useNavigate();
  const before = inspection.followed?.what ?? 'unknown';
  const idea = proposed(inspection);
  const [outcome, setOutcome] = useState<Outcome>();
  const form = useFields({
    what: choiceField({
      label: 'What it turned out to be',
      options: [{ id: '', label: `As before: ${causeName(before)}` }, ...causeOptions(before)],
    }),
    isTaught: switchField({ label: 'I am sure of it: reckon with it here' }),
    note: textField({ label: 'Note', longest: 2000, lines: 2 }),
  });
  const save = form.submit(async ({ what, isTaught, note }) => {
    const at = when.read();
    if (at === undefined || outcome === undefined) return;
    const named = what || (isTaught ? before : '');
    const days = findCause(what || before)?.lookAgainDays ?? 5;
    const { seen, unseen } = inspection.added;
    const draft: Draft<'followed-up'> = {
      kind: 'followed-up',
      at,
      containerId: bag.container.id,
      caseId,
      outcome,
      ...(named ? { what: named } : {}),
      seen: [...seen],
      unseen: [...unseen],
      ...(outcome === 'over' ? {} : { checkOn: addDays(dayOf(at), days) }),
      ...(note ? { note } : {}),
    };
    await record([draft], `looked again at ${bag.container.label}`);
    inspection.forget();
    void navigate(`/bags/${bag.container.id}`);
  });
  return (
    <Panel title="How is it now?">
      <Box sx={{ display: 'grid', gap: 2 }}>
        <Box
          role="group"
          aria-label="How it is now"
          sx={{ display: 'grid', gridTemplateColumns: 'repeat(4, 1fr)', gap: 1 }}
        >
          {OUTCOMES.filter((o) => !o.startsWith('leaf')).map((each) => (
            <Button
              key={each}
              variant={outcome === each ? 'contained' : 'outlined'}
              aria-pressed={outcome === each}
              onClick={() => setOutcome(each)}
              sx={{ minHeight: 56, paddingInline: 0.5 }}
            >
              {OUTCOME_WORDS[each]}
            </Button>
          ))}
        </Box>
        {idea !== before && !inspection.diagnosis.cannotTell && (
          <Typography>By all that was seen since, it looks more like {causeName(idea)}.</Typography>
        )}
        <FormField form={form} name="what" />
        {!form.texts.what && <FormField form={form} name="isTaught" />}
        <FormField form={form} name="note" />
        {when.field}
        <OnceButton
          variant="contained"
          onPress={save}
          disabled={outcome === undefined}
          sx={{ minHeight: 56 }}
        >
          Put in the diary
        </OnceButton>
      </Box>
    </Panel>
  );
}
