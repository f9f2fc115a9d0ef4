import { resolveAssumed } from '@rundel/core/assumed';
import { dayOf } from '@rundel/core/calendar';
import { heatWaves } from '@rundel/core/season';
import { alertWords } from '../text/alert-text.ts';
import { useGarden, useUnitFormat } from '../store/index.ts';
import { daysAhead } from './care/outlooks.ts';
import { Remark } from './Remark.tsx';

/** Heat that is coming by the forecast that was given, beside the table in which it was entered. */
export function HeatNotice() {
  const { garden, clock, live } = useGarden();
  const unitFormat = useUnitFormat();
  const today = dayOf(clock.now());
  const waves = heatWaves(daysAhead(live, today), resolveAssumed(garden.settings.assumptions));
  return waves.map(({ from, to, maxCelsius: value }) => {
    const { title, tasks } = alertWords({ kind: 'heat-wave', from, to, value }, unitFormat, today);
    return (
      <Remark key={from}>
        <strong>{title}</strong> {tasks}
      </Remark>
    );
  });
}
