import { Typography } from '@mui/material';
import { seasonName, type Day } from '@rundel/core/calendar';
import type { TallyRow, TallyUnit } from '@rundel/core/tally';
import { unweighedWords } from '../../../text/tally-text.ts';
import { shortDay } from '../../../text/text.ts';
import { Figure } from '../Figure.tsx';
import { useGarden, useUnitFormat } from '../../../store/index.ts';

/** What the season came to so far, beside the one before up to the same day. */
export function TotalWords({
  total,
  earlier,
  year,
  thisYear,
  today,
}: {
  readonly total: TallyRow;
  readonly earlier: readonly TallyUnit[];
  readonly year: number;
  readonly thisYear: number;
  readonly today: Day;
}) {
  const unitFormat = useUnitFormat();
  const { latitudeDegrees } = useGarden().garden.settings;
  const near = year === thisYear ? today : undefined;
  const { firstOn, lastOn, lostKilograms } = total;
  const unweighed = unweighedWords(total);
  const show = (kilograms: number) => unitFormat.show(kilograms, 'crop');
  // a year before this day of the season
  const sameDay = `${Number(today.slice(0, 4)) - 1}${today.slice(4)}`;
  const all = earlier.reduce((sum, u) => sum + u.kilograms, 0);
  const byThisDay = earlier.reduce(
    (sum, u) => sum + u.days.reduce((part, d) => part + (d.day <= sameDay ? d.kilograms : 0), 0),
    0,
  );
  const name = seasonName(year - 1, latitudeDegrees);
  return (
    <>
      <Typography sx={{ fontSize: '1.15rem', marginBlockEnd: 1 }}>
        <Figure testId="total">{show(total.kilograms)}</Figure>
        {year === thisYear ? 'so far' : `in ${seasonName(year, latitudeDegrees)}`}
        {firstOn && lastOn
          ? firstOn === lastOn
            ? `, on ${shortDay(firstOn, near)}`
            : `, from ${shortDay(firstOn, near)} to ${shortDay(lastOn, near)}`
          : ''}
        {`, from ${total.bags === 1 ? '1 bag' : `${total.bags} bags`}`}.
        {unweighed === '' ? '' : ` There is more: ${unweighed}.`}
        {lostKilograms > 0 ? ` ${show(lostKilograms)} of it was lost.` : ''}
      </Typography>
      {all > 0 && (
        <Typography sx={{ marginBlockEnd: 1 }}>
          {year === thisYear
            ? `In ${name} it was ${show(byThisDay)} by this day, and ${show(all)} in all.`
            : `In ${name} it was ${show(all)}.`}
        </Typography>
      )}
    </>
  );
}
