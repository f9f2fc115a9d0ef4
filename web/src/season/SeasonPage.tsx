import { Box, Button, Typography } from '@mui/material';
import { dayOf } from '@rundel/core/climate';
import { useState } from 'react';
import { Page, Panel } from '../parts/Page.tsx';
import { useGarden } from '../store/index.ts';
import { ClimatePanel } from './ClimatePanel.tsx';
import { ImportWeather } from './ImportWeather.tsx';
import { WeatherDays } from './WeatherDays.tsx';

/** The year at this place. For now: its weather, typed, read from a file, or filled in. */
export default function SeasonPage() {
  const { clock } = useGarden();
  const [isImporting, setImporting] = useState(false);
  return (
    <Page
      title="Season"
      lead="The weather that your bags have had. Sowing, planting and picking as bands over the year will stand here later."
      actions={
        <Button variant="contained" onClick={() => setImporting(true)}>
          Read weather from a file
        </Button>
      }
    >
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
      {isImporting && <ImportWeather onClose={() => setImporting(false)} />}
    </Page>
  );
}
