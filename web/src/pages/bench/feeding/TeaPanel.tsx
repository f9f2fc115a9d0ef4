import { Box, Button, Typography } from '@mui/material';
import { dayOf, daysBetween } from '@rundel/core/calendar';
import { teasOf, type Tea } from '@rundel/core/feeding';
import { findProduct } from '@rundel/core/products';
import { trimmed } from '@rundel/core/units';
import { useState } from 'react';
import { teaForm, teaTendedForm } from '../../../ui/entries/feeding-forms.ts';
import { FormDialog, FormField, FormFields, useFields } from '../../../ui/form/index.ts';
import { doseWords } from '../../../text/feed-text.ts';
import { productName } from '../../../text/product-text.ts';
import { Panel } from '../../../ui/Page.tsx';
import { midSentence, shortDay } from '../../../text/text.ts';
import { draftOf } from '../../../ui/entries/entry-form.ts';
import { useWhen } from '../../../ui/When.tsx';
import { OnceButton } from '../../../ui/OnceButton.tsx';
import { useGarden, useUnitFormat } from '../../../store/index.ts';

/** Tubs of steeped feed: started, stirred, ready, strained, used up. */
export function TeaPanel() {
  const { garden, live, clock } = useGarden();
  const [dialog, setDialog] = useState<'start' | Tea>();
  const today = dayOf(clock.now());
  const teas = teasOf(live, (id) => findProduct(id, garden.products), today).filter(
    (t) => t.state !== 'emptied',
  );
  return (
    <Panel title="Steeped teas">
      {teas.length === 0 && (
        <Typography sx={{ marginBlockEnd: 1 }}>
          Nothing steeps. A tub takes three weeks at the least, so it is started long before it is wanted.
        </Typography>
      )}
      {teas.map((tea) => (
        <OneTea key={tea.id} tea={tea} today={today} onStrain={() => setDialog(tea)} />
      ))}
      <Button variant="outlined" onClick={() => setDialog('start')}>
        Start a tub
      </Button>
      <Typography variant="body2" sx={{ color: 'text.secondary', marginBlockStart: 1 }}>
        A lid against flies and children, away from windows. It teems with germs: gloves, strain it outdoors,
        only onto the mix, never on leaves or fruit to be eaten soon.
      </Typography>
      {dialog === 'start' && <StartDialog onClose={() => setDialog(undefined)} />}
      {typeof dialog === 'object' && <StrainDialog tea={dialog} onClose={() => setDialog(undefined)} />}
    </Panel>
  );
}

function OneTea({ tea, today, onStrain }: { readonly tea: Tea; readonly today: string; onStrain(): void }) {
  const { garden, clock, record } = useGarden();
  const unitFormat = useUnitFormat();
  const dose = findProduct(tea.productId, garden.products)?.feed?.dose;
  const tend = (what: 'stirred' | 'emptied') =>
    record([{ kind: 'tea-tended', at: clock.now(), teaId: tea.id, what }], `tea ${what}`);
  const age = daysBetween(tea.startedOn, today);
  const words = {
    steeping: `has steeped ${age === 1 ? '1 day' : `${age} days`}; ready from ${shortDay(tea.readyFrom)}, at its best by ${shortDay(tea.readyTo)}.`,
    ready: `is ready: ${age} days in water. Strain it, or leave it until ${shortDay(tea.readyTo)}.`,
    strained: `is strained; ${unitFormat.show(tea.leftLitres ?? 0, 'water')} left${dose && !tea.diluted ? `, to be given ${doseWords(dose, unitFormat.system)}` : ''}.`,
    emptied: '',
  }[tea.state];
  const isStirDue = tea.stirOn !== undefined && tea.stirOn <= today;
  return (
    <Box sx={{ borderBlockStart: '1px solid var(--line)', paddingBlock: 1 }}>
      <Typography>
        <strong>
          {unitFormat.show(tea.litres, 'water')} {midSentence(productName(tea.productId, garden.products))}
        </strong>{' '}
        of {shortDay(tea.startedOn)} {words}
        {tea.diluted &&
          ` 1 part to ${trimmed(tea.waterParts ?? 0, 1)} parts of water, 1 in ${trimmed((tea.waterParts ?? 0) + 1, 1)}: it makes ${unitFormat.show(tea.diluted.litres, 'water')}${tea.diluted.bags === undefined ? '' : `, enough for ${tea.diluted.bags} bags`}.`}
        {tea.stirOn && (isStirDue ? ' A stir is due.' : ` Next stir on ${shortDay(tea.stirOn)}.`)}
      </Typography>
      <Box sx={{ display: 'flex', gap: 1 }}>
        {tea.state === 'steeping' && (
          <OnceButton variant={isStirDue ? 'contained' : 'text'} onPress={() => tend('stirred')}>
            Stirred
          </OnceButton>
        )}
        {(tea.state === 'ready' || tea.state === 'steeping') && <Button onClick={onStrain}>Strained</Button>}
        {tea.state === 'strained' && <OnceButton onPress={() => tend('emptied')}>Used up</OnceButton>}
      </Box>
    </Box>
  );
}

function StartDialog({ onClose }: { onClose(): void }) {
  const { garden, record } = useGarden();
  const unitFormat = useUnitFormat();
  const form = useFields(teaForm.fields({ garden, unitFormat }), { values: { litres: 20 } });
  const { productId, litres } = form.values;
  const steep = findProduct(productId ?? '', garden.products)?.feed?.steep;
  const when = useWhen({ kind: 'tea' });
  const submit = form.submit(async (values, texts) => {
    const at = when.read();
    if (at === undefined) return;
    await record([draftOf({ kind: 'tea', at }, teaForm.facts(values, texts))], 'tea set to steep');
    onClose();
  });
  return (
    <FormDialog title="A tub to steep" onClose={onClose} onSubmit={submit} submitLabel="Started">
      <FormField form={form} name="productId" />
      <FormField
        form={form}
        name="litres"
        help={
          litres === undefined
            ? undefined
            : `About ${trimmed((litres * (steep?.gramsPerLitre ?? 100)) / 1000, 1)} kg of leaves go in. A full tub is heavy: fill it where it stays.`
        }
      />
      <FormFields form={form} names={['waterParts', 'perBag']} />
      {when.field}
    </FormDialog>
  );
}

function StrainDialog({ tea, onClose }: { readonly tea: Tea; onClose(): void }) {
  const { garden, record } = useGarden();
  const unitFormat = useUnitFormat();
  const when = useWhen({ kind: 'tea-tended' });
  const form = useFields(teaTendedForm.fields({ garden, unitFormat }), {
    values: { litres: Math.round(tea.litres * 0.85) },
  });
  const submit = form.submit(async ({ litres }) => {
    const at = when.read();
    if (at === undefined) return;
    await record([{ kind: 'tea-tended', at, teaId: tea.id, what: 'strained', litres }], 'tea strained');
    onClose();
  });
  return (
    <FormDialog title="Strained" onClose={onClose} onSubmit={submit} submitLabel="Put in the diary">
      <FormFields form={form} autoFocus />
      {when.field}
    </FormDialog>
  );
}
