// The store's tests run against IndexedDB in memory.
import 'fake-indexeddb/auto';
import '../web/test/act.ts';
import { vi } from 'vitest';

// charts measure a page, and there is none to measure
vi.mock('../web/src/ui/chart.ts', () => ({
  Chart: () => null,
  chartGround: () => ({ chart: {}, xaxis: {} }),
  chartMoment: () => ({}),
  themeColour: () => '#000',
}));
