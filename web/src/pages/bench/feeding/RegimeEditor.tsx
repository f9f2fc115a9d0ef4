import { Alert, Box, Button, TextField } from '@mui/material';
import { resolveAssumed } from '@rundel/core/assumed';
import { regimeRemarks } from '@rundel/core/feeding';
import type { Regime, OwnRegime } from '@rundel/core/records';
import { findProduct, isFeed, productsIn } from '@rundel/core/products';
import { useState } from 'react';
import { Panel } from '../../../ui/Page.tsx';
import { OnceButton } from '../../../ui/OnceButton.tsx';
import { useAsBegun } from '../../../ui/form/index.ts';
import { newId, useGarden, useUnitFormat } from '../../../store/index.ts';
import { readRegime, readStep, stepFormOf, type RegimeForm, type StepForm } from './regime-form.ts';
import { StepSentence } from './StepSentence.tsx';
import { midSentence } from '../../../text/text.ts';

const MOST_STEPS = 8;

/** A regime in sentences. `onTry` hears of every form that reads, for the preview beside it. */
export function RegimeEditor({
  from,
  own: current,
  onTry,
  onKept,
  onCancel,
}: {
  readonly from: Regime;
  /** the record that is changed; left out: a new one is made of a practice */
  readonly own: OwnRegime | undefined;
  onTry(regime: Regime): void;
  onKept(id: string): void;
  onCancel(): void;
}) {
  const { garden, clock, saveRecords } = useGarden();
  const { system } = useUnitFormat();
  const own = useAsBegun(current);
  const assumed = resolveAssumed(garden.settings.assumptions);
  const feeds = productsIn(garden.products).filter(isFeed);
  const labelDose = (productId: string) => findProduct(productId, garden.products)?.feed?.dose;
  const [form, setForm] = useState<RegimeForm>(() => ({
    name: own ? from.name : `My ${midSentence(from.name)}`.slice(0, 60),
    // what is said of a practice need not be true of what is made of it
    description: own ? from.description : `Made from ${midSentence(from.name)}.`,
    suits: own ? from.suits : '',
    steps: from.steps.map((step) => stepFormOf(step, labelDose(step.productId), system, assumed)),
  }));
  const [problem, setProblem] = useState<string>();
  const change = (next: RegimeForm) => {
    setForm(next);
    setProblem(undefined);
    const read = readRegime(next, system);
    if (!('problem' in read)) onTry({ id: own?.id ?? from.id, ...read });
  };
  const setStep = (at: number, step: StepForm) =>
    change({ ...form, steps: form.steps.map((s, i) => (i === at ? step : s)) });
  const read = form.steps.map((step) => readStep(step, system));
  const remarks = regimeRemarks(
    read.flatMap((step) => (typeof step === 'string' ? [] : [step])),
    (productId) => findProduct(productId, garden.products)?.feed,
  );
  const keep = async () => {
    const result = readRegime(form, system);
    if ('problem' in result) return setProblem(result.problem);
    if (garden.regimes.some((r) => !r.binnedAt && r.id !== own?.id && r.name === result.name))
      return setProblem('There is a regime of this name already.');
    const now = clock.now();
    const after: OwnRegime = {
      id: own?.id ?? newId('regime'),
      ...result,
      steps: [...result.steps],
      createdAt: own?.createdAt ?? now,
      changedAt: now,
    };
    await saveRecords([{ table: 'regimes', before: own, after }], [], `${result.name} kept`);
    onKept(after.id);
    return undefined;
  };
  const add = () => {
    const last = form.steps.at(-1);
    if (!last) return;
    const used = new Set(form.steps.map((s) => s.id));
    const id = Array.from({ length: MOST_STEPS + 1 }, (_, i) => `step-${i + 1}`).find((s) => !used.has(s));
    change({ ...form, steps: [...form.steps, { ...last, id: id ?? `step-${Date.now()}` }] });
  };
  return (
    <Panel title={own ? `Change ${own.name}` : 'A regime of my own'}>
      <Box
        sx={{
          display: 'grid',
          gap: 1.5,
          gridTemplateColumns: { xs: '1fr', md: '1fr 1.4fr' },
          marginBlockEnd: 1.5,
        }}
      >
        <TextField
          label="Name"
          value={form.name}
          onChange={(e) => change({ ...form, name: e.target.value.slice(0, 60) })}
        />
        <TextField
          label="What it holds, in a line"
          value={form.description}
          onChange={(e) => change({ ...form, description: e.target.value.slice(0, 300) })}
        />
      </Box>
      {form.steps.map((step, i) => (
        <StepSentence
          key={step.id}
          step={step}
          number={i + 1}
          feeds={feeds}
          remarks={remarks.filter((r) => r.stepId === step.id)}
          canRemove={form.steps.length > 1}
          onChange={(next) => setStep(i, next)}
          onRemove={() => change({ ...form, steps: form.steps.filter((_, n) => n !== i) })}
        />
      ))}
      {problem && (
        <Alert severity="error" sx={{ marginBlockEnd: 1 }}>
          {problem}
        </Alert>
      )}
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
        <OnceButton variant="contained" onPress={() => keep()}>
          Save
        </OnceButton>
        {form.steps.length < MOST_STEPS && (
          <Button variant="outlined" onClick={add}>
            Another step
          </Button>
        )}
        <Button onClick={onCancel}>Cancel</Button>
      </Box>
    </Panel>
  );
}
