import { Box, Button, ButtonBase, Collapse, Typography } from '@mui/material';
import { IconCheck, IconChevronDown } from '@tabler/icons-react';
import type { StepId } from '@rundel/core/planting';
import { habitOfPlanned, supportOf } from '@rundel/core/plants';
import { inMeasure } from '@rundel/core/units';
import { useState } from 'react';
import { CautionOf } from '../../../ui/CautionOf.tsx';
import {
  planSentence,
  STEP_CAUTIONS,
  STEP_NAMES,
  STEP_WORDS,
  stripSentence,
} from '../../../text/planting-text.ts';
import { fillsWords, shortDay } from '../../../text/text.ts';
import { FormDialog } from '../../../ui/form/index.ts';
import { useWhen } from '../../../ui/When.tsx';
import { BagSection, imaginedOccupant, sceneOf, withPlan } from '../../../section/index.ts';
import { wateringMeasure, useGarden, useUnitFormat } from '../../../store/index.ts';
import { GROUND_STEPS, type SessionBagState } from '@rundel/core/garden-state';
import { dayOf } from '@rundel/core/calendar';

/** The steps in working order, one open at a time; each is ticked bag by bag, or at all of them at once. */
export function SessionSteps({
  steps,
  onTick,
  onUntick,
}: {
  readonly steps: readonly {
    readonly step: StepId;
    readonly bags: readonly SessionBagState[];
    readonly left: number;
  }[];
  onTick(step: StepId, bags: readonly SessionBagState[], doneAt?: string): void;
  onUntick(step: StepId, bag: SessionBagState): void;
}) {
  const first = steps.find((s) => s.left > 0)?.step;
  const [asked, setAsked] = useState<StepId>();
  const open = asked ?? first;
  const tick = (step: StepId, bags: readonly SessionBagState[], doneAt?: string) => {
    // once a step is done everywhere, the next that is open comes up by itself
    if (bags.length >= (steps.find((s) => s.step === step)?.left ?? 0)) setAsked(undefined);
    onTick(step, bags, doneAt);
  };
  return (
    <Box component="ol" sx={{ listStyle: 'none', margin: 0, padding: 0, display: 'grid', gap: 1 }}>
      {steps.map(({ step, bags, left }, i) => (
        <Box
          component="li"
          key={step}
          sx={{
            backgroundColor: 'var(--surface)',
            border: '1px solid var(--line)',
            borderRadius: '12px',
            overflow: 'hidden',
          }}
        >
          <ButtonBase
            aria-expanded={open === step}
            onClick={() => setAsked(open === step ? undefined : step)}
            sx={{
              width: '100%',
              minHeight: 56,
              paddingInline: 2,
              display: 'flex',
              gap: 1.5,
              textAlign: 'start',
            }}
          >
            <Box
              component="span"
              sx={{
                width: 30,
                height: 30,
                flexShrink: 0,
                borderRadius: '8px',
                display: 'grid',
                placeItems: 'center',
                border: '2px solid var(--ink)',
                backgroundColor: left === 0 ? 'var(--ink)' : 'transparent',
                color: left === 0 ? 'var(--surface)' : 'inherit',
                fontWeight: 'fontWeightMedium',
              }}
            >
              {left === 0 ? <IconCheck aria-hidden size={20} /> : i + 1}
            </Box>
            <Box component="span" sx={{ flex: 1, fontWeight: 'fontWeightMedium', fontSize: '1.1rem' }}>
              {STEP_NAMES[step]}
            </Box>
            <Box component="span" sx={{ color: 'text.secondary' }}>
              {left === 0 ? 'done' : `${bags.length - left} of ${bags.length}`}
            </Box>
            <IconChevronDown aria-hidden size={20} style={{ rotate: open === step ? '180deg' : '0deg' }} />
          </ButtonBase>
          <Collapse in={open === step} unmountOnExit>
            <StepBody step={step} bags={bags} left={left} onTick={tick} onUntick={onUntick} />
          </Collapse>
        </Box>
      ))}
    </Box>
  );
}

function StepBody({
  step,
  bags,
  left,
  onTick,
  onUntick,
}: {
  readonly step: StepId;
  readonly bags: readonly SessionBagState[];
  readonly left: number;
  onTick(step: StepId, bags: readonly SessionBagState[], doneAt?: string): void;
  onUntick(step: StepId, bag: SessionBagState): void;
}) {
  const caution = STEP_CAUTIONS[step];
  const [isEarlier, setEarlier] = useState(false);
  const openBags = bags.filter((b) => !b.done.has(step));
  return (
    <Box sx={{ paddingInline: 2, paddingBlockEnd: 2 }}>
      {STEP_WORDS[step] && <Typography sx={{ marginBlockEnd: 1 }}>{STEP_WORDS[step]}</Typography>}
      {caution && <CautionOf id={caution} />}
      <Box sx={{ display: 'grid', gap: 1 }}>
        {bags.map((state) => (
          <BagTick
            key={`${state.bag.container.id} ${state.item.stationIds?.join() ?? ''}`}
            step={step}
            state={state}
            onTick={onTick}
            onUntick={onUntick}
          />
        ))}
      </Box>
      {left > 1 && (
        <Button
          variant="contained"
          fullWidth
          onClick={() => onTick(step, openBags)}
          sx={{ marginBlockStart: 1.5, minHeight: 56 }}
        >
          Done at all {left}
        </Button>
      )}
      {left > 0 && GROUND_STEPS.includes(step) && (
        <Button size="small" onClick={() => setEarlier(true)} sx={{ marginBlockStart: 1 }}>
          Done on an earlier day
        </Button>
      )}
      {isEarlier && (
        <DoneEarlier
          step={step}
          bags={openBags}
          onClose={() => setEarlier(false)}
          onDone={(at) => onTick(step, openBags, at)}
        />
      )}
    </Box>
  );
}

/** What was done to bags before the planting: it is put in the diary on its day, and ticked here. */
function DoneEarlier({
  step,
  bags,
  onDone,
  onClose,
}: {
  readonly step: StepId;
  readonly bags: readonly SessionBagState[];
  onDone(at: string): void;
  onClose(): void;
}) {
  const when = useWhen({ kind: 'tended' }, true);
  const submit = () => {
    const at = when.read();
    if (at === undefined) return;
    onDone(at);
    onClose();
  };
  return (
    <FormDialog
      title={`${STEP_NAMES[step]}: done before`}
      onClose={onClose}
      onSubmit={submit}
      submitLabel="Put in the diary"
    >
      {when.field}
      <Typography variant="body2">
        At {bags.length === 1 ? 'bag ' : ''}
        {bags.map(({ bag }) => bag.container.label).join(', ')}. It counts for what goes in now.
      </Typography>
    </FormDialog>
  );
}

/** What goes in: its own name, or its variety. */
const itemName = ({ item }: SessionBagState) => item.plantName ?? item.varietyName;

/** One bag at a step: a tick as wide as the screen, with what differs from bag to bag. */
function BagTick({
  step,
  state,
  onTick,
  onUntick,
}: {
  readonly step: StepId;
  readonly state: SessionBagState;
  onTick(step: StepId, bags: readonly SessionBagState[]): void;
  onUntick(step: StepId, bag: SessionBagState): void;
}) {
  const [isOpen, setOpen] = useState(false);
  const isDone = state.done.has(step);
  const { bag, item } = state;
  return (
    <Box>
      <ButtonBase
        role="checkbox"
        aria-checked={isDone}
        aria-label={`${STEP_NAMES[step]}: bag ${bag.container.label}${step === 'plant' && item.stationIds ? `, ${itemName(state)}` : ''}`}
        onClick={() => (isDone ? onUntick(step, state) : onTick(step, [state]))}
        sx={{
          width: '100%',
          minHeight: 56,
          paddingInline: 1.5,
          paddingBlock: 1,
          display: 'flex',
          gap: 1.5,
          textAlign: 'start',
          borderRadius: '10px',
          border: '2px solid',
          borderColor: isDone ? 'var(--action)' : 'var(--line)',
          backgroundColor: isDone ? 'var(--action-wash)' : 'transparent',
        }}
      >
        <Box
          component="span"
          sx={{
            width: 26,
            height: 26,
            flexShrink: 0,
            display: 'grid',
            placeItems: 'center',
            border: '2px solid var(--ink)',
            borderRadius: '6px',
          }}
        >
          {isDone && <IconCheck aria-hidden size={20} />}
        </Box>
        <Box component="span" sx={{ flex: 1, fontSize: '1.05rem' }}>
          <strong>{bag.container.label}</strong> {itemName(state)}
          <Box component="span" sx={{ display: 'block', color: 'text.secondary', fontSize: '0.95rem' }}>
            <BagWords step={step} state={state} />
          </Box>
        </Box>
      </ButtonBase>
      {step === 'plant' && (
        <>
          <Button size="small" onClick={() => setOpen(!isOpen)} aria-expanded={isOpen}>
            {isOpen ? 'Hide the section' : 'See it in section'}
          </Button>
          <Collapse in={isOpen} unmountOnExit>
            <PlantSection state={state} />
          </Collapse>
        </>
      )}
    </Box>
  );
}

function BagWords({ step, state }: { readonly step: StepId; readonly state: SessionBagState }) {
  const { garden, live, clock } = useGarden();
  const unitFormat = useUnitFormat();
  const { bag, plan, item, wateringLitres } = state;
  const today = dayOf(clock.now());
  const done = live.findLast((e) => state.done.get(step)?.includes(e.id));
  if (done && dayOf(done.at) < today) return `done ${shortDay(dayOf(done.at), today)}`;
  const measure = wateringMeasure(garden);
  switch (step) {
    case 'strip':
      return stripSentence(plan.stem.stripLeaves, 'at-once');
    case 'plant':
      return planSentence(plan, unitFormat);
    case 'support': {
      const { kind, heightMillimetres } = bag.container.support;
      return `${supportOf(kind).name}, ${unitFormat.show(heightMillimetres, 'height')} above the ground`;
    }
    case 'watering':
      return `${unitFormat.show(wateringLitres, 'water')}, about ${fillsWords(inMeasure(wateringLitres, measure).count, measure)}, close to the stem`;
    case 'soak':
      return item.plantingMethodId === 'net-cup' ? 'Rinse the roots bare.' : '';
    default:
      return '';
  }
}

function PlantSection({ state: { bag, item, plan } }: { readonly state: SessionBagState }) {
  const { clock, garden } = useGarden();
  const unitFormat = useUnitFormat();
  const now = clock.now();
  const habit = habitOfPlanned(garden.varieties, item);
  const planting = { ...item, habit, plantedOn: undefined };
  const scene = withPlan(
    sceneOf(
      bag.container,
      bag.properties,
      bag.container.stations.map((s, i) => imaginedOccupant(planting, s.id, i, now)),
      undefined,
      now,
      garden.settings,
    ),
    plan,
    bag.properties,
  );
  const short = { ...scene, support: { kind: 'none' as const, heightMillimetres: 0 } };
  const top = Math.max(short.heightMillimetres, ...short.plants.map((p) => p.surface + p.heightMillimetres));
  return (
    <Box sx={{ height: 300 }}>
      <BagSection
        scene={{ ...short, top }}
        unitFormat={unitFormat}
        height={300}
        title={`Bag ${bag.container.label} in section`}
      />
    </Box>
  );
}
