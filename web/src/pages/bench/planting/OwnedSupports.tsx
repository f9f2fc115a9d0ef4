import { Box, Button, IconButton, Typography } from '@mui/material';
import { IconTrash } from '@tabler/icons-react';
import { resolveAssumed } from '@rundel/core/assumed';
import { standingAt } from '@rundel/core/garden-state';
import { freeOf } from '@rundel/core/plants';
import { SUPPORT_THINGS, type OwnedSupport } from '@rundel/core/records';
import { Panel } from '../../../ui/Page.tsx';
import {
  amountField,
  choiceField,
  FormField,
  InlineForm,
  numberField,
  useFields,
} from '../../../ui/form/index.ts';
import { THING_WORDS } from '../../../text/support-text.ts';
import { told, useGarden, useUnitFormat, type Bag } from '../../../store/index.ts';

const FIELDS = {
  count: numberField({
    label: 'How many',
    low: 1,
    high: 1000,
    isWhole: true,
    problem: 'A whole number, from 1.',
  }),
  thing: choiceField({
    label: 'Kind',
    options: SUPPORT_THINGS.map((id) => ({ id, label: THING_WORDS[id] })),
  }),
  length: amountField({
    label: 'How long',
    help: 'A cage: its height above the mix.',
    purpose: 'height',
    low: 200,
    high: 5000,
  }),
};

/** Canes, stakes and cages that are there, by length and number, and how many of them are free. */
export function OwnedSupports({ bags }: { readonly bags: readonly Bag[] }) {
  const { garden, saveSettings } = useGarden();
  const unitFormat = useUnitFormat();
  const { settings } = garden;
  const owned = settings.ownedSupports ?? [];
  const foot = resolveAssumed(settings.assumptions).caneFoot;
  const free = freeOf(owned, bags.flatMap(standingAt), foot);
  const freeOne = (o: OwnedSupport) =>
    free.find((f) => f.thing === o.thing && f.lengthMillimetres === o.lengthMillimetres)?.count ?? 0;
  const form = useFields(FIELDS, { values: { count: 1 } });
  const keep = (next: readonly OwnedSupport[]) => saveSettings({ ...settings, ownedSupports: [...next] });
  const add = form.submit(async ({ count, thing, length }) => {
    const same = owned.find((o) => o.thing === thing && Math.abs(o.lengthMillimetres - length) < 1);
    const next = same
      ? owned.map((o) => (o === same ? { ...o, count: Math.min(1000, o.count + count) } : o))
      : [...owned, { thing, lengthMillimetres: length, count }];
    await keep(next);
    form.begin({ count: 1, thing });
  });
  return (
    <Panel title="Canes, stakes and cages that you have">
      {owned.length === 0 && (
        <Typography sx={{ color: 'text.secondary', marginBlockEnd: 1 }}>
          Nothing is listed yet. What you have is proposed first, as long as it is high enough.
        </Typography>
      )}
      <Box component="ul" sx={{ listStyle: 'none', margin: 0, padding: 0 }}>
        {owned.map((o) => (
          <Box
            component="li"
            key={`${o.thing} ${o.lengthMillimetres}`}
            sx={{ display: 'flex', alignItems: 'center', gap: 1, borderBlockEnd: '1px solid var(--line)' }}
          >
            <Box sx={{ flex: 1 }}>
              <strong>
                {o.count} {THING_WORDS[o.thing]}
              </strong>{' '}
              of {unitFormat.show(o.lengthMillimetres, 'height')}, {freeOne(o)} free
            </Box>
            <IconButton
              aria-label={`Remove the ${THING_WORDS[o.thing]} of ${unitFormat.show(o.lengthMillimetres, 'height')}`}
              onClick={() => told(keep(owned.filter((each) => each !== o)))}
              sx={{ width: 48, height: 48 }}
            >
              <IconTrash size={20} aria-hidden />
            </IconButton>
          </Box>
        ))}
      </Box>
      <InlineForm
        label="Add what you have"
        onSubmit={add}
        sx={{
          display: 'grid',
          gap: 1.5,
          marginBlockStart: 2,
          alignItems: 'start',
          gridTemplateColumns: { xs: '1fr 1fr', md: '1fr 1fr 1.4fr auto' },
        }}
      >
        <FormField form={form} name="count" />
        <FormField form={form} name="thing" />
        <FormField form={form} name="length" />
        <Button type="submit" variant="outlined" sx={{ minHeight: 56 }}>
          I have these
        </Button>
      </InlineForm>
    </Panel>
  );
}
