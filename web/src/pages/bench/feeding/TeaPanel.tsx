import { Box, Button, Typography } from '@mui/material';
import { dayOf, daysBetween } from '@rundel/core/calendar';
import { teasOf, type Tea } from '@rundel/core/feeding';
import { findProduct, isFeed, productsIn } from '@rundel/core/products';
import { trimmed } from '@rundel/core/units';
import { useState } from 'react';
import { AmountField } from '../../../ui/AmountField.tsx';
import { readAmount } from '../../../text/amount-text.ts';
import { FormDialog } from '../../../ui/EntryDialogs.tsx';
import { doseWords } from '../../../text/feed-text.ts';
import { productName } from '../../../text/product-text.ts';
import { Panel } from '../../../ui/Page.tsx';
import { Select } from '../../../ui/Select.tsx';
import { midSentence, shortDay } from '../../../text/text.ts';
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
    strained: `is strained; ${unitFormat.show(tea.leftLitres ?? 0, 'water')} left${dose ? `, to be given ${doseWords(dose, unitFormat.system)}` : ''}.`,
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
  const { garden, clock, record } = useGarden();
  const unitFormat = useUnitFormat();
  const teas = productsIn(garden.products)
    .filter(isFeed)
    .filter((g) => g.feed?.form === 'tea');
  const [productId, setProductId] = useState(teas[0]?.id ?? 'weed-tea');
  const [litres, setLitres] = useState(() => unitFormat.show(20, 'water'));
  const [problem, setProblem] = useState<string>();
  const steep = teas.find((g) => g.id === productId)?.feed?.steep;
  const read = readAmount(litres, { purpose: 'water', system: unitFormat.system, low: 0.5, high: 1000 });
  const submit = async () => {
    if (read.kind !== 'given') return setProblem(read.kind === 'refused' ? read.problem : 'How much water?');
    await record([{ kind: 'tea', at: clock.now(), productId, litres: read.siValue }], 'tea set to steep');
    onClose();
    return undefined;
  };
  return (
    <FormDialog title="A tub to steep" isOpen onClose={onClose} onSubmit={submit} submitLabel="Started">
      <Select
        label="Unit"
        value={productId}
        onChange={setProductId}
        options={teas.map((g) => ({ id: g.id, label: g.name }))}
      />
      <AmountField
        purpose="water"
        label="Water"
        value={litres}
        onChange={(e) => {
          setLitres(e.target.value);
          setProblem(undefined);
        }}
        error={problem !== undefined}
        helperText={
          problem ??
          (read.kind === 'given'
            ? `About ${trimmed((read.siValue * (steep?.gramsPerLitre ?? 100)) / 1000, 1)} kg of leaves go in. A full tub is heavy: fill it where it stays.`
            : undefined)
        }
      />
    </FormDialog>
  );
}

function StrainDialog({ tea, onClose }: { readonly tea: Tea; onClose(): void }) {
  const { clock, record } = useGarden();
  const unitFormat = useUnitFormat();
  const [litres, setLitres] = useState(() => unitFormat.show(Math.round(tea.litres * 0.85), 'water'));
  const [problem, setProblem] = useState<string>();
  const submit = async () => {
    const read = readAmount(litres, { purpose: 'water', system: unitFormat.system, low: 0.1, high: 1000 });
    if (read.kind !== 'given')
      return setProblem(read.kind === 'refused' ? read.problem : 'How much came off?');
    await record(
      [{ kind: 'tea-tended', at: clock.now(), teaId: tea.id, what: 'strained', litres: read.siValue }],
      'tea strained',
    );
    onClose();
    return undefined;
  };
  return (
    <FormDialog title="Strained" isOpen onClose={onClose} onSubmit={submit} submitLabel="Put in the diary">
      <AmountField
        purpose="water"
        label="How much came off"
        value={litres}
        onChange={(e) => {
          setLitres(e.target.value);
          setProblem(undefined);
        }}
        error={problem !== undefined}
        helperText={problem ?? 'The rest goes on the heap. Gloves, and outdoors.'}
      />
    </FormDialog>
  );
}
