import { Box, Button, IconButton, ToggleButton, ToggleButtonGroup, Typography } from '@mui/material';
import { IconChevronLeft, IconChevronRight } from '@tabler/icons-react';
import { dayOf } from '@rundel/core/calendar';
import { lazy, Suspense, useEffect, useRef, useState } from 'react';
import { useTicking } from '../../ui/ticking.ts';
import { Panel } from '../../ui/Page.tsx';
import { useGarden } from '../../store/index.ts';
import { ChosenYear } from './ChosenYear.tsx';
import { PlanDialog } from './PlanDialog.tsx';
import { useYears, type YearRow } from './use-years.ts';
import { WindowsPanel } from './WindowsPanel.tsx';
import { YearBands } from './YearBands.tsx';
import { YearTable } from './YearTable.tsx';

const ManyBar = lazy(() =>
  import('../../ui/many/ManyBar.tsx').then((module) => ({ default: module.ManyBar })),
);

/** After this long without a key a move is kept. */
const KEYS_REST_MILLISECONDS = 700;

/** The year as bands, with what is planned; below it when a crop may go where. */
export default function YearPanel() {
  const { garden, clock, saveRecords } = useGarden();
  const today = dayOf(clock.now());
  const [on, setOn] = useState(today);
  const years = useYears(on);
  const [chosenId, setChosen] = useState<string>();
  const [trying, setTrying] = useState<{ readonly id: string; readonly day: string }>();
  // where the drag is now: the drop may come before the move has been drawn; and the stored day that it set out from
  const dragged = useRef<{ readonly id: string; readonly day: string; readonly from: string }>(undefined);
  const waiting = useRef<number>(undefined);
  const [isTable, setTable] = useState(false);
  const [isPlanning, setPlanning] = useState(false);
  const rows = years.rows.map((row): YearRow => ({
    ...row,
    years: row.years.map((year) =>
      year.plan && trying?.id === year.id ? years.tried(year.plan, row.bag, trying.day) : year,
    ),
  }));
  const row = rows.find((r) => r.years.some((y) => y.id === chosenId));
  const chosen = row?.years.find((y) => y.id === chosenId);
  const shift = (by: number) =>
    setOn(`${Number(on.slice(0, 4)) + by}${on.slice(4) === '-02-29' ? '-02-28' : on.slice(4)}`);
  const keep = async () => {
    const moved = dragged.current;
    const plan = garden.plans.find((p) => p.id === moved?.id);
    // a day that changed meanwhile, undone or in another tab, is not written over by what is still being tried
    if (moved && plan?.plantOn === moved.from && moved.day !== moved.from) {
      const name = rows.flatMap((r) => r.years).find((y) => y.id === plan.id)?.name ?? 'it';
      const { isDayOpen: _, ...said } = plan;
      const after = { ...said, plantOn: moved.day, changedAt: clock.now() };
      await saveRecords([{ table: 'plans', before: plan, after }], [], `planting of ${name} moved`);
      if (dragged.current?.id === plan.id) dragged.current = { ...dragged.current, from: moved.day };
      // past the end of the year its bar stands in the next
      setOn(moved.day);
    }
    // what has been moved on since stays as it is tried
    if (dragged.current?.day === moved?.day) dragged.current = undefined;
    setTrying((now) => (now?.day === moved?.day ? undefined : now));
  };
  const keepNow = useRef(keep);
  useEffect(() => {
    keepNow.current = keep;
  });
  const drop = (isByKey: boolean) => {
    clearTimeout(waiting.current);
    // a run of key presses is one move, and one undo
    waiting.current = window.setTimeout(() => void keepNow.current(), isByKey ? KEYS_REST_MILLISECONDS : 0);
  };
  const ticking = useTicking();
  const year = years.frost.start.slice(0, 4);
  return (
    <>
      <Panel>
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'center', marginBlockEnd: 1.5 }}>
          <IconButton aria-label="Year before" onClick={() => shift(-1)} sx={{ width: 48, height: 48 }}>
            <IconChevronLeft aria-hidden />
          </IconButton>
          <Typography variant="h2">
            {years.frost.start.slice(5) === '01-01' ? year : `${year}/${String(Number(year) + 1).slice(2)}`}
          </Typography>
          <IconButton aria-label="Next year" onClick={() => shift(1)} sx={{ width: 48, height: 48 }}>
            <IconChevronRight aria-hidden />
          </IconButton>
          <ToggleButtonGroup
            exclusive
            value={isTable ? 'table' : 'bands'}
            onChange={(_, next: string | null) => next && setTable(next === 'table')}
            aria-label="Show the year as"
          >
            <ToggleButton value="bands">Bands</ToggleButton>
            <ToggleButton value="table">Table</ToggleButton>
          </ToggleButtonGroup>
          <Button
            aria-pressed={ticking.isOn}
            onClick={() => {
              // they are ticked at the heads of the bands
              setTable(false);
              if (ticking.isOn) ticking.untick();
              else ticking.start();
            }}
            sx={{ marginInlineStart: 'auto' }}
          >
            {ticking.isOn ? 'One at a time' : 'Several at once'}
          </Button>
          <Button variant="contained" onClick={() => setPlanning(true)}>
            Plan a crop
          </Button>
        </Box>
        {rows.length === 0 ? (
          <Typography>Add a bag first; then its year stands here.</Typography>
        ) : isTable ? (
          <YearTable rows={rows} />
        ) : (
          <>
            <YearBands
              rows={rows}
              ticking={ticking}
              frost={years.frost}
              today={today}
              chosenId={chosenId}
              onChoose={(y) => setChosen(y.id)}
              onMove={(y, day) => {
                setChosen(y.id);
                setTrying({ id: y.id, day });
                const from =
                  dragged.current?.id === y.id ? dragged.current.from : (y.plan?.plantOn ?? y.plantOn);
                dragged.current = { id: y.id, day, from };
              }}
              onDrop={drop}
            />
            <Typography variant="body2" sx={{ color: 'text.secondary', marginBlockStart: 1 }}>
              A planned bar can be dragged, or moved with the arrow keys.
            </Typography>
          </>
        )}
      </Panel>
      {ticking.ids.size > 0 && (
        <Suspense>
          <ManyBar
            bags={rows.map((r) => r.bag).filter((b) => ticking.ids.has(b.container.id))}
            onUntick={ticking.untick}
          />
        </Suspense>
      )}
      {chosen && row && (
        <ChosenYear year={chosen} row={row} place={years.placeOf(row.bag.place?.cover ?? 'open')} />
      )}
      <WindowsPanel years={years} />
      {isPlanning && (
        <PlanDialog
          years={years}
          onPlanned={({ id, plantOn }) => {
            setOn(plantOn);
            setChosen(id);
          }}
          onClose={() => setPlanning(false)}
        />
      )}
    </>
  );
}
