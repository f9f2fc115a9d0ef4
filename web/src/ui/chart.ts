import type { ApexOptions } from 'apexcharts';
import imported from 'react-apexcharts';

// the package is CommonJS: bundlers differ in whether its default export is unwrapped
export const Chart = 'default' in imported ? (imported.default as typeof imported) : imported;

/** A colour of the check that is on, by its variable. */
export function themeColour(token: string): string {
  return getComputedStyle(document.documentElement).getPropertyValue(token).trim();
}

/** What all charts have in common: days along the foot, the check's ink and lines, nothing that moves or zooms. */
export function chartGround(themeName: string): Pick<ApexOptions, 'theme' | 'grid'> & {
  readonly chart: NonNullable<ApexOptions['chart']>;
  readonly xaxis: NonNullable<ApexOptions['xaxis']>;
} {
  return {
    chart: {
      toolbar: { show: false },
      zoom: { enabled: false },
      animations: { enabled: false },
      background: 'transparent',
      fontFamily: 'inherit',
      foreColor: themeColour('--ink'),
    },
    theme: { mode: themeName === 'dusk' ? 'dark' : 'light' },
    grid: { borderColor: themeColour('--line') },
    xaxis: {
      type: 'datetime',
      labels: {
        datetimeUTC: false,
        datetimeFormatter: { day: 'd MMM', hour: 'HH:mm' },
        style: { fontSize: '12px' },
      },
    },
  };
}

/** An upright line at a moment, with its word. */
export function chartMoment(at: number, word: string) {
  return {
    x: at,
    borderColor: themeColour('--ink'),
    strokeDashArray: 4,
    label: { text: word, style: { background: themeColour('--surface'), color: themeColour('--ink') } },
  };
}
