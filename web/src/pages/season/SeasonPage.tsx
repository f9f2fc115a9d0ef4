import { Box, Button, Typography } from '@mui/material';
import { dayOf } from '@rundel/core/calendar';
import { lazy, Suspense, useState } from 'react';
import { Link, useParams } from 'react-router';
import { Page, Panel } from '../../ui/Page.tsx';
import { useGarden } from '../../store/index.ts';
import { StationButton } from './StationButton.tsx';

const YearPanel = lazy(() => import('./YearPanel.tsx'));
const ClimatePanel = lazy(() => import('./ClimatePanel.tsx'));
const ImportWeather = lazy(() => import('./ImportWeather.tsx'));
const AwayPanel = lazy(() => import('./away/AwayPanel.tsx'));
const WeatherDays = lazy(() => import('./WeatherDays.tsx'));
const DaysAhead = lazy(() => import('./DaysAhead.tsx'));

/** The topics of Season, by their address. */
const TOPICS = [
  { id: undefined, name: 'The year', title: 'Season', lead: 'What goes in when, and what follows from it.' },
  {
    id: 'away',
    name: 'Going away',
    title: 'Going away',
    lead: 'Which bags come through without you, and what would help.',
  },
  { id: 'weather', name: 'Weather', title: 'Weather', lead: 'The weather that your bags have had.' },
] as const;

/** The year at this place: what goes in when, and the weather that it had. */
export default function SeasonPage() {
  const { topicId } = useParams();
  const topic = TOPICS.find((t) => t.id === topicId) ?? TOPICS[0];
  const isWeather = topic.id === 'weather';
  const [isImporting, setImporting] = useState(false);
  return (
    <Page
      title={topic.title}
      lead={topic.lead}
      actions={
        <>
          {TOPICS.filter((other) => other !== topic).map((other) => (
            <Button
              key={other.name}
              component={Link}
              to={other.id ? `/season/${other.id}` : '/season'}
              variant="outlined"
              sx={{ '@media print': { display: 'none' } }}
            >
              {other.name}
            </Button>
          ))}
          {isWeather && (
            <Button variant="contained" onClick={() => setImporting(true)}>
              Read weather from a file
            </Button>
          )}
        </>
      }
    >
      <Suspense fallback={<Box aria-busy sx={{ minHeight: 300 }} />}>
        {isWeather ? <Weather /> : topic.id === 'away' ? <AwayPanel /> : <YearPanel />}
        {isImporting && <ImportWeather onClose={() => setImporting(false)} />}
      </Suspense>
    </Page>
  );
}

function Weather() {
  const { clock, live } = useGarden();
  const today = dayOf(clock.now());
  return (
    <Box
      sx={{
        display: 'grid',
        gap: 2.5,
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', lg: 'minmax(0, 1.2fr) minmax(0, 1fr)' },
        alignItems: 'start',
      }}
    >
      <Box>
        <Panel title="Days ahead">
          {/* begins anew with each day, and where the forecast was changed elsewhere */}
          <DaysAhead key={`${today} ${forecastKey(live, today)}`} />
        </Panel>
        <Panel title="The last three weeks">
          <WeatherDays today={today} />
          <StationButton />
        </Panel>
      </Box>
      <Panel title="What is usual here">
        <Typography sx={{ marginBlockEnd: 1.5 }}>
          Days without weather are filled in from these, marked, and trusted less.
        </Typography>
        <ClimatePanel />
      </Panel>
    </Box>
  );
}

/** The entries of the days ahead, so that the table begins with what is known of them. */
const forecastKey = (live: ReturnType<typeof useGarden>['live'], today: string) =>
  live.flatMap((e) => (e.kind === 'weather' && e.day > today ? [e.id] : [])).join(' ');
