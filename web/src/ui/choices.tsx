import { MenuItem } from '@mui/material';
import type { OwnMix } from '@rundel/core/records';
import { MIXES } from '@rundel/core/mixes';
import { DEPTH_PRACTICES } from '@rundel/core/planting';

/** Choices that several forms offer, as the items of a select. */

export const UNIT_CHOICES = [
  <MenuItem key="metric" value="metric">
    Metric: litres, cm, kg, °C
  </MenuItem>,
  <MenuItem key="us" value="us">
    US: gallons, inches, lb, °F
  </MenuItem>,
  <MenuItem key="uk" value="uk">
    UK: imperial gallons, inches, lb, °C
  </MenuItem>,
];

/** What a place has over it. */
export const COVER_WORDS = {
  open: 'Open to the sky',
  glass: 'Under glass or film',
  heated: 'Under glass or film, heated',
} as const;

export const PRACTICE_CHOICES = DEPTH_PRACTICES.map((practice) => (
  <MenuItem key={practice.id} value={practice.id}>
    {practice.name}
  </MenuItem>
));

/** What a practice of depth says, in its own words. */
export function practiceWords(id: string): string | undefined {
  return DEPTH_PRACTICES.find((practice) => practice.id === id)?.description;
}

/** The mixes to choose from: the grower's own first, then those that forms start with. */
export function mixChoices(own: readonly OwnMix[]) {
  return [...own.filter((mix) => !mix.binnedAt), ...MIXES].map((mix) => (
    <MenuItem key={mix.id} value={mix.id}>
      {mix.name}
    </MenuItem>
  ));
}
