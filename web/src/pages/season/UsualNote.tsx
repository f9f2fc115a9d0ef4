import { Alert, Button } from '@mui/material';
import { resolveAssumed } from '@rundel/core/assumed';
import { checkUsual, SEASONS } from '@rundel/core/climate';
import { knownWeather, siteOf } from '@rundel/core/garden-state';
import type { SeasonsId } from '@rundel/core/records';
import { useMemo } from 'react';
import { midSentence } from '../../text/text.ts';
import { useGarden } from '../../store/index.ts';

/** Noted days that lie so far from the usual ones are worth a word (*assumed*). */
const WORTH_A_WORD = 0.15;

/** That the noted days lie far from the usual months, and which kind of seasons would fit them better. */
export function UsualNote({ onUse }: { onUse(id: SeasonsId): void }) {
  const { garden, live } = useGarden();
  const { settings } = garden;
  const check = useMemo(
    () => checkUsual(knownWeather(live), siteOf(settings), resolveAssumed(settings.assumptions)),
    [live, settings],
  );
  if (!check || Math.abs(check.times - 1) < WORTH_A_WORD) return null;
  const percent = Math.round(Math.abs(check.times - 1) * 100);
  const inUse = settings.normals ? undefined : (settings.seasonsId ?? 'sea');
  const nearest = SEASONS.find(({ id }) => id === check.nearest);
  return (
    <Alert severity="info" sx={{ marginBlockEnd: 1.5 }}>
      The {check.days} days that you noted ask for {percent} % {check.times > 1 ? 'more' : 'less'} water than
      these months. Days to come are already reckoned by what you noted; months that fit make them surer.
      {nearest && nearest.id !== inUse && (
        <Button
          onClick={() => onUse(nearest.id)}
          sx={{ display: 'block', textAlign: 'start', paddingInline: 0 }}
        >
          Use “{midSentence(nearest.name)}”, the nearest
        </Button>
      )}
    </Alert>
  );
}
