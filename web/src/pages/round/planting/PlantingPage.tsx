import { Box, Button, LinearProgress, Typography } from '@mui/material';
import type { StepId } from '@rundel/core/planting';
import { useEffect, useMemo, useRef } from 'react';
import { Link, useNavigate } from 'react-router';
import { Page, Panel } from '../../../ui/Page.tsx';
import { STEP_NAMES } from '../../../text/planting-text.ts';
import { cropOf } from '@rundel/core/plants';
import { ColdNightNotice } from '../../../ui/ColdNightNotice.tsx';
import { OnceButton } from '../../../ui/OnceButton.tsx';
import { useBags, useGarden, told } from '../../../store/index.ts';
import { sessionState, stepsOf, type SessionBagState } from '@rundel/core/garden-state';
import { tickOf } from './tick.ts';
import { SessionSetup } from './SessionSetup.tsx';
import { SessionSteps } from './SessionSteps.tsx';
import { usePlantingSession } from './use-session.ts';

/** A planting of one bag or many: chosen, then worked through step by step; it can be left and taken up again. */
export default function PlantingPage() {
  const { garden, live, clock, saveRecords, remove } = useGarden();
  const { bags } = useBags();
  const { session, keep } = usePlantingSession();
  const navigate = useNavigate();
  const ticking = useRef(new Set<string>());
  const states = useMemo(
    () => (session?.hasBegun ? sessionState(session, bags, live, garden.settings) : []),
    [bags, garden.settings, live, session],
  );
  const steps = useMemo(() => stepsOf(states), [states]);
  const all = steps.reduce((sum, s) => sum + s.bags.length, 0);
  const left = steps.reduce((sum, s) => sum + s.left, 0);
  // one that is over is shown as long as the page is that saw its end; whoever comes later begins another
  const sawItEnd = useRef(false);
  const isDone = session?.hasBegun === true && all > 0 && left === 0;
  useEffect(() => {
    if (session && isDone && session.endedAt === undefined) {
      sawItEnd.current = true;
      told(keep({ ...session, endedAt: clock.now() }));
    }
  }, [clock, isDone, keep, session]);
  if (session === undefined) return <Page title="Planting">{null}</Page>;
  const isOver = session?.endedAt !== undefined && !sawItEnd.current;
  if (!session?.hasBegun || isOver) {
    return (
      <Page title="Planting" lead="What goes where today; then one step after the other, at all bags.">
        <SessionSetup bags={bags} session={isOver ? null : session} onKeep={(next) => told(keep(next))} />
      </Page>
    );
  }
  const bagCount = new Set(states.map(({ bag }) => bag)).size;
  const tick = async (step: StepId, all: readonly SessionBagState[], doneAt?: string) => {
    const key = (state: SessionBagState) =>
      `${step} ${state.bag.container.id} ${state.item.stationIds?.join() ?? ''}`;
    // a double tap ticks once
    const at = all.filter((state) => !ticking.current.has(key(state)));
    if (at.length === 0) return;
    for (const state of at) ticking.current.add(key(state));
    const ticks = at.map((state) => tickOf(step, state, garden, clock.now(), doneAt));
    const where = at.length === 1 ? `bag ${at[0]?.bag.container.label ?? ''}` : `${at.length} bags`;
    await saveRecords(
      onceEach(ticks.flatMap((t) => t.changes)),
      ticks.flatMap((t) => t.drafts),
      `${STEP_NAMES[step].toLowerCase()} at ${where}`,
    ).finally(() => {
      for (const state of at) ticking.current.delete(key(state));
    });
  };
  const untick = async (step: StepId, state: SessionBagState) => {
    await remove(
      state.done.get(step) ?? [],
      `${STEP_NAMES[step].toLowerCase()} at bag ${state.bag.container.label}`,
    );
  };
  const end = async () => {
    await keep(null);
    void navigate('/round');
  };
  return (
    <Page
      title="Planting"
      lead={`${bagCount} ${bagCount === 1 ? 'bag' : 'bags'}, ${all - left} of ${all} steps done.`}
      width={760}
    >
      <LinearProgress
        variant="determinate"
        value={all === 0 ? 0 : (100 * (all - left)) / all}
        aria-label="Steps done"
        sx={{ height: 10, borderRadius: '5px', marginBlockEnd: 2 }}
      />
      {left === 0 && (
        <Panel title="All planted">
          <Typography sx={{ marginBlockEnd: 1.5 }}>
            Level the mix again tomorrow where it has sunk, and take the shade off in the evening. The round
            asks for the first check by itself.
          </Typography>
          <OnceButton variant="contained" onPress={() => end()} sx={{ minHeight: 56 }}>
            To the round
          </OnceButton>{' '}
          <Button onClick={() => told(keep(null))} sx={{ minHeight: 56 }}>
            Plant more
          </Button>
        </Panel>
      )}
      {/* a night that turns cold is said in the midst of the work too */}
      {left > 0 && (
        <ColdNightNotice
          crops={[...new Set(session.items.map(({ cropId }) => cropId))].map(cropOf)}
          bags={bags.filter((b) => session.items.some((i) => i.containerId === b.container.id))}
          isPlanted={false}
        />
      )}
      <SessionSteps
        steps={steps}
        onTick={(step, at, doneAt) => told(tick(step, at, doneAt))}
        onUntick={(step, at) => told(untick(step, at))}
      />
      {left > 0 && (
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, marginBlockStart: 2 }}>
          <Button component={Link} to="/round" variant="outlined">
            Leave it for now
          </Button>
          <Button onClick={() => told(keep({ ...session, hasBegun: false }))}>Change what is planted</Button>
          <OnceButton onPress={() => end()}>End it here</OnceButton>
        </Box>
      )}
    </Page>
  );
}

type Ticks = readonly ReturnType<typeof tickOf>[];
type Changes = Ticks[number]['changes'];

const varietyKey = (v: object) => {
  const { name, cropId, habitId } = v as { name: string; cropId: string; habitId: string };
  return `${name}|${cropId}|${habitId}`;
};

/** Bags of one new variety share its record: the first that was made stands for all. */
function onceEach(changes: Changes): Changes {
  const made = new Map<string, string>();
  const standsFor = new Map<string, string>();
  const kept = changes.filter(({ table, after }) => {
    if (table !== 'varieties') return true;
    const key = varietyKey(after);
    const known = made.get(key);
    if (known) standsFor.set(after.id, known);
    else made.set(key, after.id);
    return known === undefined;
  });
  return kept.map((change) => {
    if (!['plants', 'batches'].includes(change.table) || !('varietyId' in change.after)) return change;
    const varietyId = standsFor.get(change.after.varietyId) ?? change.after.varietyId;
    return { ...change, after: { ...change.after, varietyId } } as typeof change;
  });
}
