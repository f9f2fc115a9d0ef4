import { Alert, Box, Button, FormControlLabel, MenuItem, Switch, TextField } from '@mui/material';
import { canBeSprayed, type RegimeRemark } from '@rundel/core/feeding';
import { checkDose, scoopsOf } from '@rundel/core/products';
import { FEED_UNITS, type Product } from '@rundel/core/records';
import type { ReactNode } from 'react';
import { perWords, displayDose } from '../../../text/dose-text.ts';
import { UNIT_WORDS } from '../../../text/feed-amount-text.ts';
import { CHECK_WORDS, feedCaution, remarkWords, stepSentence } from '../../../text/feed-text.ts';
import { useGarden, useUnitFormat } from '../../../store/index.ts';
import { readStep, type StepForm } from './regime-form.ts';

const STARTS: Record<StepForm['start'], string> = {
  planting: 'At planting',
  weeks: 'Some weeks or days after planting',
  'base-used-up': 'When the mix’s own feed is used up',
  'label-months': 'When the label’s months of the feed in the mix are over',
  flowers: 'At the first flowers',
  set: 'When the first truss has set',
  picking: 'At the first picking',
  date: 'On a day of the year',
};

const ENDS: Record<StepForm['until'], string> = {
  plant: 'as long as the plant stands',
  times: 'so many times',
  weeks: 'until some weeks or days after planting',
  'base-used-up': 'until the mix’s own feed is used up',
  'label-months': 'until the label’s months of the feed in the mix are over',
  planting: 'until planting',
  flowers: 'until the first flowers',
  set: 'until the first truss has set',
  picking: 'until the first picking',
  date: 'until a day of the year',
};

const OFTEN: Record<StepForm['often'], string> = {
  once: 'once',
  every: 'again and again',
  watering: 'with every watering, weaker',
};

/** One step as a sentence whose words are chosen. What it says so far stands below, with what is odd about it. */
export function StepSentence({
  step,
  number,
  feeds,
  remarks,
  canRemove,
  onChange,
  onRemove,
}: {
  readonly step: StepForm;
  readonly number: number;
  readonly feeds: readonly Product[];
  readonly remarks: readonly RegimeRemark[];
  readonly canRemove: boolean;
  onChange(step: StepForm): void;
  onRemove(): void;
}) {
  const { garden } = useGarden();
  const unitFormat = useUnitFormat();
  const set = (change: Partial<StepForm>) => onChange({ ...step, ...change });
  const product = feeds.find((g) => g.id === step.productId);
  const read = readStep(step, unitFormat.system);
  const label = product?.feed?.dose;
  const check =
    typeof read !== 'string' && read.dose && label
      ? checkDose(read.dose, label, product, scoopsOf(garden))
      : undefined;
  return (
    <Box
      role="group"
      aria-label={`Step ${number}`}
      sx={{ borderBlockStart: '1px solid var(--line)', paddingBlock: 1.5 }}
    >
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center' }}>
        <Word label="From when" value={step.start} onChange={(start) => set({ start })} options={STARTS} />
        {step.start === 'weeks' && (
          <Small label="Weeks, or days" value={step.weeks} onChange={(weeks) => set({ weeks })} />
        )}
        {step.start === 'date' && (
          <Small label="Month-day" value={step.monthDay} onChange={(monthDay) => set({ monthDay })} />
        )}
        <Plain>give</Plain>
        <Word
          label="What"
          value={step.productId}
          onChange={(productId) => {
            const dose = feeds.find((g) => g.id === productId)?.feed?.dose;
            set({
              productId,
              isAsLabel: true,
              ...(dose
                ? { amount: String(displayDose(dose, unitFormat.system)), unit: dose.unit, per: dose.per }
                : {}),
            });
          }}
          options={Object.fromEntries([
            ...(product ? [] : [[step.productId, 'a product that is gone'] as const]),
            ...feeds.map((g) => [g.id, g.name] as const),
          ])}
        />
        <Word
          label="How much"
          value={step.isAsLabel ? 'label' : 'own'}
          onChange={(how) => set({ isAsLabel: how === 'label' })}
          options={{ label: 'as its label says', own: 'at a dose of my own' }}
        />
        {!step.isAsLabel && (
          <>
            <Small label="Dose" value={step.amount} onChange={(amount) => set({ amount })} />
            <Word
              label="Counted in"
              value={step.unit}
              onChange={(unit) => set({ unit })}
              options={
                Object.fromEntries(FEED_UNITS.map((u) => [u, UNIT_WORDS[u][1]])) as Record<
                  StepForm['unit'],
                  string
                >
              }
            />
            <Word
              label="Given"
              value={step.per}
              onChange={(per) => set({ per })}
              options={perWords(unitFormat.system)}
            />
          </>
        )}
        <Word label="How often" value={step.often} onChange={(often) => set({ often })} options={OFTEN} />
        {step.often === 'watering' && (
          <Small label="Part of the dose, %" value={step.percent} onChange={(percent) => set({ percent })} />
        )}
        {step.often !== 'watering' && (canBeSprayed(product) || step.isOverLeaves) && (
          <FormControlLabel
            control={
              <Switch
                checked={step.isOverLeaves || product?.feed?.form === 'foliar'}
                disabled={product?.feed?.form === 'foliar'}
                onChange={(_, isOverLeaves) => set({ isOverLeaves })}
              />
            }
            label="over the leaves"
          />
        )}
        {step.often === 'every' && (
          <>
            <Plain>every</Plain>
            <Small
              label="At the least, days"
              value={step.fromDays}
              onChange={(fromDays) => set({ fromDays })}
            />
            <Plain>to</Plain>
            <Small label="At the most, days" value={step.toDays} onChange={(toDays) => set({ toDays })} />
            <FormControlLabel
              control={
                <Switch
                  checked={step.shortensWithGrowth}
                  onChange={(_, shortensWithGrowth) => set({ shortensWithGrowth })}
                />
              }
              label="closer as it grows"
            />
          </>
        )}
        {step.often !== 'once' && (
          <>
            <Word label="Until when" value={step.until} onChange={(until) => set({ until })} options={ENDS} />
            {(step.until === 'times' || step.until === 'weeks') && (
              <Small
                label={step.until === 'times' ? 'Times' : 'Weeks after planting'}
                value={step.untilNumber}
                onChange={(untilNumber) => set({ untilNumber })}
              />
            )}
            {step.until === 'date' && (
              <Small
                label="Last day, month-day"
                value={step.untilDay}
                onChange={(untilDay) => set({ untilDay })}
              />
            )}
          </>
        )}
      </Box>
      {typeof read === 'string' ? (
        <Alert severity="error" sx={{ marginBlockStart: 1 }}>
          {read}
        </Alert>
      ) : (
        <Box component="p" sx={{ marginBlock: 1, fontSize: '1.05rem' }}>
          {stepSentence(read, product, garden.products, unitFormat.system)}
        </Box>
      )}
      {remarks.map((remark) => (
        <Alert key={remark.kind} severity={remark.kind === 'inside-label' ? 'info' : 'warning'}>
          {remarkWords(remark)}
        </Alert>
      ))}
      {check && check.kind !== 'as-label' && (
        <Alert severity={check.kind === 'weak' ? 'info' : 'warning'} sx={{ marginBlockStart: 1 }}>
          {CHECK_WORDS[check.kind](check.times)}
        </Alert>
      )}
      {(step.isOverLeaves || product?.feed?.form === 'foliar') && product && (
        <Box component="p" sx={{ marginBlock: 1 }}>
          {feedCaution(product, 'leaves')}
        </Box>
      )}
      {canRemove && <Button onClick={onRemove}>Remove this step</Button>}
    </Box>
  );
}

function Plain({ children }: { readonly children: ReactNode }) {
  return <Box component="span">{children}</Box>;
}

/** A word of the sentence that is chosen. */
function Word<Id extends string>({
  label,
  value,
  options,
  onChange,
}: {
  readonly label: string;
  readonly value: Id;
  readonly options: Readonly<Record<Id, string>>;
  onChange(id: Id): void;
}) {
  return (
    <TextField
      select
      size="small"
      label={label}
      value={value}
      onChange={(e) => onChange(e.target.value as Id)}
      sx={{ minWidth: 150, maxWidth: { xs: '100%', sm: 300 } }}
    >
      {(Object.entries(options) as [Id, string][]).map(([id, label]) => (
        <MenuItem key={id} value={id}>
          {label}
        </MenuItem>
      ))}
    </TextField>
  );
}

function Small({
  label,
  value,
  onChange,
}: {
  readonly label: string;
  readonly value: string;
  onChange(value: string): void;
}) {
  return (
    <TextField
      size="small"
      label={label}
      value={value}
      onChange={(e) => onChange(e.target.value)}
      slotProps={{ htmlInput: { inputMode: 'decimal' } }}
      sx={{ width: 128 }}
    />
  );
}
