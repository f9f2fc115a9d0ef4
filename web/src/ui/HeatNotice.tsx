import { resolveAssumed } from '@rundel/core/assumed';
import { dayOf } from '@rundel/core/calendar';
import { knownWeather } from '@rundel/core/garden-state';
import { heatWaves } from '@rundel/core/season';
import { shortDay } from '../text/text.ts';
import { useGarden, useUnitFormat } from '../store/index.ts';
import { Remark } from './Remark.tsx';

/** Heat that is coming by the forecast that was given, named with its days and what it asks. */
export function HeatNotice() {
  const { garden, clock, live } = useGarden();
  const unitFormat = useUnitFormat();
  const today = dayOf(clock.now());
  // of two words on a day the later counts
  const byDay = new Map(knownWeather(live).flatMap((w) => (w.day >= today ? [[w.day, w] as const] : [])));
  const days = [...byDay.values()].sort((a, b) => (a.day < b.day ? -1 : 1));
  return heatWaves(days, resolveAssumed(garden.settings.assumptions)).map(({ from, to, maxCelsius }) => (
    <Remark key={from}>
      <strong>
        Heat from {shortDay(from, today)} to {shortDay(to, today)}, up to{' '}
        {unitFormat.show(maxCelsius, 'temperature')}.
      </strong>{' '}
      Water early, shade what stands in the open, and look twice a day. Drink yourself, and work in the
      morning.
    </Remark>
  ));
}
