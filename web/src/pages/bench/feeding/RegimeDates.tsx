import { feedingCaseOf, type FeedingState } from '@rundel/core/garden-state';
import { Box, Typography } from '@mui/material';
import { addDays, dayOf, daysBetween } from '@rundel/core/calendar';
import { plannedFeeds, type PlannedFeed } from '@rundel/core/feeding';
import { type Regime } from '@rundel/core/records';
import { useMemo } from 'react';
import { productName } from '../../../text/product-text.ts';
import { titleOf } from '../../../text/bag-text.ts';
import { shortDay } from '../../../text/text.ts';
import { useGarden, type Bag } from '../../../store/index.ts';

/** A preview ends here at the latest. */
const DAYS_AHEAD = 110;

const COLOURS = ['var(--action)', 'var(--leaf)', 'var(--water-5)', 'var(--fruit)'] as const;

/** What a regime means for a bag: its feeds of the season on one line, given and to come, and as a list of dates. */
export function RegimeDates({
  regime,
  bag,
  feeding,
}: {
  readonly regime: Regime;
  readonly bag: Bag;
  readonly feeding: FeedingState;
}) {
  const open = useGarden();
  const { garden, live, clock } = open;
  const today = dayOf(clock.now());
  const since = feeding.regime?.id === regime.id ? (bag.occupants[0]?.plantedOn ?? today) : today;
  const from = bag.occupants[0]?.plantedOn ?? today;
  const furthest = addDays(today, DAYS_AHEAD);
  const { endsOn } = feeding;
  const end = endsOn !== undefined && endsOn > today && endsOn < furthest ? endsOn : furthest;
  const planned = useMemo(
    () =>
      plannedFeeds(
        feedingCaseOf(bag.container, bag.occupants, live, garden, feeding.stageDates, regime, since),
        today,
        end,
        bag.properties.assumed,
      ),
    [bag, end, feeding, garden, live, regime, since, today],
  );
  const given = live.flatMap((e) =>
    e.kind === 'fed' && e.containerId === bag.container.id && dayOf(e.at) >= from
      ? [{ day: dayOf(e.at), productId: e.productId }]
      : [],
  );
  const span = Math.max(1, daysBetween(from, end));
  const percent = (day: string) => (daysBetween(from, day) / span) * 100;
  const colourOf = (feed: Pick<PlannedFeed, 'productId'>) => {
    const at = regime.steps.findIndex((s) => s.productId === feed.productId);
    return at < 0 ? 'var(--muted)' : (COLOURS[at % COLOURS.length] as string);
  };
  const months = monthsBetween(from, end);
  const stageDates = (['flowers', 'set', 'picking'] as const).flatMap((key) => {
    const stageDate = feeding.stageDates[key];
    return stageDate && stageDate.day >= from && stageDate.day <= end ? [{ key, ...stageDate }] : [];
  });
  const alwaysIn = regime.steps.find(
    ({ id, withWatering }) => withWatering && planned.some(({ stepId }) => stepId === id),
  );
  const whole = `${planned.length} ${planned.length === 1 ? 'feed' : 'feeds'} until about ${shortDay(end)}`;
  const MARK_WORDS = { flowers: 'flowers', set: 'set', picking: 'picking' };
  return (
    <Box>
      <Typography sx={{ marginBlockEnd: 1 }}>
        {planned.length === 0
          ? `It asks for nothing more of ${titleOf(bag)} this season.`
          : `${titleOf(bag)}: ${alwaysIn ? 'from' : 'next on'} ${shortDay(planned[0]?.day ?? today)}${alwaysIn ? ` with every watering, until about ${shortDay(end)}` : `, ${whole}`}.`}
      </Typography>
      <Box
        role="img"
        aria-label={`Feeds of ${titleOf(bag)} over the season; the dates stand below`}
        sx={{ position: 'relative', height: 92, marginInline: 1 }}
      >
        {months.map(({ day, name }) => (
          <Box
            key={day}
            sx={{
              position: 'absolute',
              insetBlock: '22px 0',
              insetInlineStart: `${percent(day)}%`,
              borderInlineStart: '1px solid var(--line)',
              fontSize: '0.8rem',
              paddingInlineStart: 0.5,
              display: 'flex',
              alignItems: 'flex-end',
            }}
          >
            {name}
          </Box>
        ))}
        <Box
          sx={{
            position: 'absolute',
            insetInline: 0,
            top: 46,
            borderBlockStart: '3px solid var(--ink)',
          }}
        />
        {stageDates.map(({ key, day, isNoted }) => (
          <Box
            key={key}
            sx={{
              position: 'absolute',
              top: key === 'set' ? 14 : 0,
              insetInlineStart: `${percent(day)}%`,
              fontSize: '0.78rem',
              fontStyle: isNoted ? 'normal' : 'italic',
              borderInlineStart: '2px solid var(--flower)',
              paddingInlineStart: 0.5,
              height: key === 'set' ? 34 : 48,
            }}
          >
            {MARK_WORDS[key]}
          </Box>
        ))}
        {[
          ...given.map((g) => ({ ...g, isGiven: true })),
          ...planned.map((p) => ({ ...p, isGiven: false })),
        ].map((feed, i) => (
          <Box
            key={i}
            sx={{
              position: 'absolute',
              top: 39,
              width: 14,
              height: 14,
              marginInlineStart: '-7px',
              insetInlineStart: `${percent(feed.day)}%`,
              borderRadius: '50%',
              border: '2px solid',
              borderColor: colourOf(feed),
              backgroundColor: feed.isGiven ? colourOf(feed) : 'var(--surface)',
            }}
          />
        ))}
        <Box
          sx={{
            position: 'absolute',
            insetBlock: '26px 16px',
            insetInlineStart: `${percent(today)}%`,
            borderInlineStart: '2px dashed var(--ink)',
          }}
        />
      </Box>
      <Box
        component="ul"
        aria-label="Dates to come"
        sx={{ paddingInlineStart: 0, listStyle: 'none', margin: 0 }}
      >
        {regime.steps.map((step, i) => {
          const days = planned.filter((p) => p.stepId === step.id).map((p) => shortDay(p.day));
          return (
            <Box component="li" key={step.id} sx={{ display: 'flex', gap: 1, marginBlockStart: 0.5 }}>
              <Box
                aria-hidden
                sx={{
                  width: 12,
                  height: 12,
                  marginBlockStart: '6px',
                  flexShrink: 0,
                  borderRadius: '50%',
                  backgroundColor: COLOURS[i % COLOURS.length],
                }}
              />
              <span>
                <strong>{productName(step.productId, garden.products)}</strong>:{' '}
                {days.length > 0 ? days.join(', ') : 'nothing more'}
              </span>
            </Box>
          );
        })}
      </Box>
      <Typography variant="body2" sx={{ color: 'text.secondary', marginBlockStart: 0.5 }}>
        Filled dots were given, open ones are to come if each is given on its day. Slanted words are reckoned
        by its kind and not seen.
      </Typography>
    </Box>
  );
}

function monthsBetween(from: string, to: string): readonly { readonly day: string; readonly name: string }[] {
  const found: { day: string; name: string }[] = [];
  for (let day = from; day <= to; day = addDays(day, 1))
    if (day.endsWith('-01')) found.push({ day, name: shortDay(day).split(' ')[1] ?? '' });
  return found;
}
