import { Typography } from '@mui/material';
import type { Draft } from '@rundel/core/records';
import { agentName } from '../../text/trouble-text.ts';
import { useGarden, type Bag } from '../../store/index.ts';
import { choiceField, FormDialog, FormFields, textField, useFields } from '../form/index.ts';
import { useWhen } from '../When.tsx';

const FIELDS = {
  outcome: choiceField({
    label: 'The leaf',
    options: [
      { id: 'leaf-clean', label: 'is without marks' },
      { id: 'leaf-marked', label: 'is marked, burnt or curled' },
    ],
  }),
  note: textField({ label: 'Note', longest: 2000, lines: 2 }),
};

/** The leaf on which a spray was tried, after its two days. */
export default function TestLeafDialog({
  bag,
  caseId,
  onClose,
}: {
  readonly bag: Bag;
  readonly caseId: string;
  onClose(): void;
}) {
  const { live, record } = useGarden();
  const spray = live.findLast((e) => e.kind === 'sprayed' && e.caseId === caseId);
  const when = useWhen({ kind: 'followed-up', containerId: bag.container.id });
  const form = useFields(FIELDS, { values: { outcome: 'leaf-clean' } });
  const submit = form.submit(async ({ outcome, note }) => {
    const at = when.read();
    if (at === undefined) return;
    const draft: Draft<'followed-up'> = {
      kind: 'followed-up',
      at,
      containerId: bag.container.id,
      caseId,
      outcome: outcome === 'leaf-marked' ? 'leaf-marked' : 'leaf-clean',
      ...(note ? { note } : {}),
    };
    await record([draft], `test leaf at ${bag.container.label}`);
    onClose();
  });
  return (
    <FormDialog
      title={`The test leaf in bag ${bag.container.label}`}
      onClose={onClose}
      onSubmit={submit}
      submitLabel="Put in the diary"
    >
      {spray?.kind === 'sprayed' && <Typography>Tried: {agentName(spray)}.</Typography>}
      <FormFields form={form} />
      {when.field}
      <Typography variant="body2" sx={{ color: 'text.secondary' }}>
        Without marks the whole plant comes next, at evening. With marks it is let be: weaker, or something
        else.
      </Typography>
    </FormDialog>
  );
}
