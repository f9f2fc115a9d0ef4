import { Box, Button } from '@mui/material';
import { addDays, dayOf } from '@rundel/core/calendar';
import { shortDay } from '../../text/text.ts';
import { causeName } from '../../text/trouble-text.ts';
import { told, useGarden, useUnitFormat } from '../../store/index.ts';
import { warnedForm } from '../entries/care-forms.ts';
import { draftOf } from '../entries/entry-form.ts';
import { FormDialog, FormFields, useFields } from '../form/index.ts';
import { useWhen } from '../When.tsx';

/** Trouble that somebody has seen near the garden: it makes the same likelier here, and is looked out for. */
export default function WarnedDialog({ onClose }: { onClose(): void }) {
  const { garden, live, clock, record, remove } = useGarden();
  const unitFormat = useUnitFormat();
  const when = useWhen({ kind: 'warned' });
  const form = useFields(warnedForm.fields({ garden, unitFormat }), { values: { what: 'blight' } });
  const today = dayOf(clock.now());
  const lately = live.flatMap((e) => (e.kind === 'warned' && dayOf(e.at) > addDays(today, -60) ? [e] : []));
  const submit = form.submit(async (values, texts) => {
    const at = when.read();
    if (at === undefined) return;
    await record([draftOf({ kind: 'warned', at }, warnedForm.facts(values, texts))], 'trouble seen nearby');
    onClose();
  });
  return (
    <FormDialog
      title="Trouble seen nearby"
      onClose={onClose}
      onSubmit={submit}
      submitLabel="Put in the diary"
    >
      <FormFields form={form} autoFocus />
      {when.field}
      {lately.length > 0 && (
        <Box component="ul" aria-label="Seen nearby lately" sx={{ margin: 0, paddingInlineStart: 2.5 }}>
          {lately.map((e) => (
            <li key={e.id}>
              {causeName(e.what)}, {shortDay(dayOf(e.at), today)}
              {e.note ? `: ${e.note}` : ''}{' '}
              <Button size="small" onClick={() => told(remove([e.id], 'what was seen nearby'))}>
                Delete
              </Button>
            </li>
          ))}
        </Box>
      )}
    </FormDialog>
  );
}
