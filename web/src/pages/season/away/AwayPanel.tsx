import { Box, Button, LinearProgress, Typography } from '@mui/material';
import { IconPrinter } from '@tabler/icons-react';
import { resolveAssumed } from '@rundel/core/assumed';
import { dayOf } from '@rundel/core/calendar';
import { useEffect, useState } from 'react';
import { isWhole, useFields } from '../../../ui/form/index.ts';
import { Caution } from '../../../ui/Caution.tsx';
import { Panel } from '../../../ui/Page.tsx';
import { wateringMeasure, useAwayPlan, useBags, useGarden, told } from '../../../store/index.ts';
import { AwayFields } from './AwayFields.tsx';
import {
  AWAY_FIELDS,
  awayStart,
  keptAwaySchema,
  problemsOf,
  questionOf,
  USUAL_SETS,
  type AwaySets,
  type KeptAway,
} from './away-form.ts';
import { answerWords, helperWords } from './away-words.ts';
import { AwayStrips } from './AwayStrips.tsx';
import { RoundsPanel } from './RoundsPanel.tsx';
import { HelperSheet } from './HelperSheet.tsx';

const NOTE = 'away';

/** Going away: which bags come through, what would help, and what a helper has to do. */
export default function AwayPanel() {
  const { bags } = useBags();
  const kept = useKept();
  if (bags.every((bag) => bag.occupants.length === 0))
    return <Panel>Nothing is planted yet: go whenever you like.</Panel>;
  return (
    <>
      {kept ? <TimeAway kept={kept} /> : <Box aria-busy sx={{ minHeight: 300 }} />}
      <Box sx={{ '@media print': { display: 'none' } }}>
        <RoundsPanel />
      </Box>
    </>
  );
}

/** The form as it was left on this device; a leaving day that is past is today again. */
function useKept(): KeptAway | undefined {
  const { store, clock } = useGarden();
  const [kept, setKept] = useState<KeptAway>();
  useEffect(() => {
    let isCurrent = true;
    const unread = () => undefined;
    // what cannot be read is asked anew
    void store
      .readNote(NOTE)
      .catch(unread)
      .then((note) => {
        const read = keptAwaySchema.safeParse(note);
        const usual = { texts: {}, ...USUAL_SETS };
        if (!isCurrent) return;
        if (!read.success) return setKept(usual);
        const { leaveOn, ...rest } = read.data.texts;
        const isPast = leaveOn === undefined || leaveOn < dayOf(clock.now());
        setKept(isPast ? { ...read.data, texts: withoutTimes(rest) } : read.data);
      });
    return () => {
      isCurrent = false;
    };
  }, [clock, store]);
  return kept;
}

/** All that was said but for when: the days of the last time away are of no use to the next. */
const withoutTimes = (texts: KeptAway['texts']) =>
  Object.fromEntries(Object.entries(texts).filter(([name]) => !/^(leave|back)/.test(name)));

function TimeAway({ kept }: { readonly kept: KeptAway }) {
  const { garden, clock, store } = useGarden();
  const { bags } = useBags();
  const { settings } = garden;
  const [now] = useState(() => clock.now());
  const form = useFields(AWAY_FIELDS, awayStart(now, settings, kept.texts));
  const [sets, setSets] = useState<AwaySets>({ allowed: kept.allowed, busyDays: kept.busyDays });
  const measure = wateringMeasure(garden);
  const problems = problemsOf(form.values, now);
  const question =
    isWhole(form) && problems.length === 0
      ? questionOf(form.values, sets, measure.litres, settings, now)
      : undefined;
  const note = JSON.stringify({ texts: form.texts, ...sets });
  useEffect(() => told(store.writeNote(NOTE, JSON.parse(note))), [note, store]);
  const state = useAwayPlan(question);
  const plan = state?.kind === 'ready' ? state.plan : state?.kind === 'working' ? state.before : undefined;
  const labelOf = (id: string) => bags.find((b) => b.container.id === id)?.container.label ?? '?';
  return (
    <Box
      sx={{
        display: 'grid',
        gap: 2.5,
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', lg: '360px minmax(0, 1fr)' },
        alignItems: 'start',
        '@media print': { display: 'block' },
      }}
    >
      <Box sx={{ '@media print': { display: 'none' } }}>
        <AwayFields form={form} sets={sets} onSets={setSets} question={question} measure={measure} />
        {/* a form that was kept may have come to be wrong, and says so before anything is touched */}
        {problems.map(
          ({ at, problem }) =>
            !form.hasProblem([at]) && (
              <Typography key={at} role="alert" sx={{ marginBlockStart: 1 }}>
                {form.fields[at].label}: {problem}
              </Typography>
            ),
        )}
        <Box aria-live="polite" sx={{ minHeight: 34 }}>
          {state?.kind === 'working' && (
            <Box sx={{ display: 'flex', gap: 2, alignItems: 'center' }}>
              <LinearProgress
                variant="determinate"
                value={state.share * 100}
                aria-label="Working out the time away"
                sx={{ flex: 1 }}
              />
              <Button size="small" onClick={state.cancel}>
                Stop
              </Button>
            </Box>
          )}
          {state?.kind === 'stopped' && (
            <Typography>
              Stopped. <Button onClick={state.again}>Work it out</Button>
            </Typography>
          )}
          {state?.kind === 'failed' && (
            <Caution>It could not be worked out: {state.problem} Nothing is lost.</Caution>
          )}
        </Box>
      </Box>
      <Box sx={{ minWidth: 0 }}>
        {plan && (
          <Box sx={{ opacity: state?.kind === 'working' ? 0.55 : 1 }}>
            <Box sx={{ '@media print': { display: 'none' } }}>
              <Panel title="Which bags survive">
                <Typography sx={{ fontSize: '1.12rem', marginBlockEnd: 1.5 }} aria-live="polite">
                  {answerWords(plan, labelOf, measure.litres)}{' '}
                  {plan.minutes > 0 &&
                    `Getting ready takes about ${plan.minutes} minutes beside the watering.`}
                </Typography>
                <AwayStrips plan={plan} bags={bags} />
                <Typography variant="body2" sx={{ marginBlockStart: 1.5, color: 'text.secondary' }}>
                  The number in a cell is the chance, in a hundred, that the bag has gone too dry by that
                  evening; the thin strip above it is the bag as it is. A thousand futures for each: weather
                  drawn from your own record and what is usual here, each bag’s use as far as it is known,{' '}
                  {helperWords(resolveAssumed(garden.settings.assumptions).missChance)}.{' '}
                  {plan.weighed === 1 ? 'One way was' : `${plan.weighed} ways were`} weighed. The days after a
                  forecast are a guess.
                </Typography>
              </Panel>
              <Caution>
                Moving wet bags: slide or roll them, two people for more than a bucket. A timer needs a tap
                that may stay open, and electricity near water an RCD and an electrician.
              </Caution>
            </Box>
            {plan.visits.length > 0 && (
              <Panel title={`For the helper at ${garden.settings.gardenName}`}>
                <HelperSheet plan={plan} bags={bags} />
                <Button
                  variant="contained"
                  startIcon={<IconPrinter aria-hidden />}
                  onClick={() => print()}
                  sx={{ marginBlockStart: 2, '@media print': { display: 'none' } }}
                >
                  Print this sheet
                </Button>
              </Panel>
            )}
          </Box>
        )}
      </Box>
    </Box>
  );
}
