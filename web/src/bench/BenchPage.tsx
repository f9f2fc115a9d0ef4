import { Box } from '@mui/material';
import { Page, Panel } from '../parts/Page.tsx';
import { DepthBench } from './DepthBench.tsx';
import { MeasuresPanel } from './MeasuresPanel.tsx';

/** The working-out. For now: planting depth, and the grower's own measures. */
export default function BenchPage() {
  return (
    <Page
      title="Bench"
      lead="Work out a planting depth, and measure your cans. Mixes, shopping, feeds and supports will be worked out here later."
    >
      <Panel title="How deep would it go?">
        <DepthBench />
      </Panel>
      <Box>
        <Panel title="My measures">
          <MeasuresPanel />
        </Panel>
      </Box>
    </Page>
  );
}
