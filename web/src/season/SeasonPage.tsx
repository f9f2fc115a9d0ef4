import { Box, Button, Typography } from '@mui/material';
import { dayOf } from '@rundel/core/climate';
import { lazy, Suspense, useState } from 'react';
import { Link, useParams } from 'react-router';
import { Page, Panel } from '../parts/Page.tsx';
import { useGarden } from '../store/index.ts';

const YearPanel = lazy(() => import('./YearPanel.tsx'));
const ClimatePanel = lazy(() => import('./ClimatePanel.tsx'));
const ImportWeather = lazy(() => import('./ImportWeather.tsx'));
const WeatherDays = lazy(() => import('./WeatherDays.tsx'));

/** The year at this place: what goes in when, and the weather that it had. */
export default function SeasonPage() {
  const { topicId } = useParams();
  const isWeather = topicId === 'weather';
  const [isImporting, setImporting] = useState(false);
  return (
    <Page
      title={isWeather ? 'Weather' : 'Season'}
      lead={
        isWeather ? 'The weather that your bags have had.' : 'What goes in when, and what follows from it.'
      }
      actions={
        <>
          <Button component={Link} to={isWeather ? '/season' : '/season/weather'} variant="outlined">
            {isWeather ? 'The year' : 'Weather'}
          </Button>
          {isWeather && (
            <Button variant="contained" onClick={() => setImporting(true)}>
              Read weather from a file
            </Button>
          )}
        </>
      }
    >
      <Suspense fallback={<Box aria-busy sx={{ minHeight: 300 }} />}>
        {isWeather ? <Weather /> : <YearPanel />}
        {isImporting && <ImportWeather onClose={() => setImporting(false)} />}
      </Suspense>
    </Page>
  );
}

function Weather() {
  const { clock } = useGarden();
  return (
    <Box
      sx={{
        display: 'grid',
        gap: 2.5,
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', lg: 'minmax(0, 1.2fr) minmax(0, 1fr)' },
        alignItems: 'start',
      }}
    >
      <Panel title="The last three weeks">
        <WeatherDays today={dayOf(clock.now())} />
      </Panel>
      <Panel title="What is usual here">
        <Typography sx={{ marginBlockEnd: 1.5 }}>
          Days without weather are filled in from these, marked, and trusted less.
        </Typography>
        <ClimatePanel />
      </Panel>
    </Box>
  );
}
