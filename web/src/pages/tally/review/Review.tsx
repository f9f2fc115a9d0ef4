import { Box, Button, Skeleton, Typography } from '@mui/material';
import { IconPrinter } from '@tabler/icons-react';
import { dayOf, seasonName, seasonYearOf } from '@rundel/core/calendar';
import type { NextPlan, SeasonReview } from '@rundel/core/tally';
import { useMemo, type ReactNode } from 'react';
import { Link } from 'react-router';
import {
  bagAdviceWords,
  bagSummaryWords,
  changeWords,
  summaryWords,
  varietyWords,
  type ReviewWords,
} from '../../../text/review-text.ts';
import { rankedWords } from '../../../text/tally-text.ts';
import { shortDay } from '../../../text/text.ts';
import { verdictWords } from '../../../text/trial-text.ts';
import { useAddress } from '../../../ui/address.ts';
import { OnceButton } from '../../../ui/OnceButton.tsx';
import { Panel } from '../../../ui/Page.tsx';
import { Select } from '../../../ui/Select.tsx';
import { newId, useGarden, useMoney, useUnitFormat } from '../../../store/index.ts';
import { useTally } from '../../../store/tally.ts';

const WHOLE = 'garden';

/** A season on one page, or one bag's season; to be read, printed and planned from. */
export default function Review() {
  const { garden, clock } = useGarden();
  const unitFormat = useUnitFormat();
  const money = useMoney();
  const [address, change] = useAddress();
  const { latitudeDegrees } = garden.settings;
  const thisYear = seasonYearOf(dayOf(clock.now()), latitudeDegrees);
  const year = Number(address.get('year') ?? thisYear);
  const bagId = address.get('bag') ?? WHOLE;
  const { data } = useTally(['review', year], (api, day) => api.review(year, day));
  const { data: seasons } = useTally(['units', thisYear], (api, day) => api.tally(thisYear, day));
  const words = useMemo(
    (): ReviewWords => ({ unitFormat, money, latitudeDegrees }),
    [latitudeDegrees, money, unitFormat],
  );
  const years = [...new Set([thisYear, ...(seasons?.years ?? [])])].sort((a, b) => b - a);
  if (!data) return <Skeleton variant="rectangular" height={420} aria-busy />;
  const { review, plans } = data;
  return (
    <>
      <Box
        sx={{
          display: 'flex',
          gap: 1.5,
          flexWrap: 'wrap',
          alignItems: 'center',
          marginBlockEnd: 2,
          '& > .MuiTextField-root': { width: 200 },
          '@media print': { display: 'none' },
        }}
      >
        <Select
          label="Season"
          value={String(year)}
          options={years.map((each) => ({ id: String(each), label: seasonName(each, latitudeDegrees) }))}
          onChange={(id) => change({ year: id === String(thisYear) ? undefined : id, bag: undefined })}
        />
        <Select
          label="Of"
          value={review.bags.some((b) => b.containerId === bagId) ? bagId : WHOLE}
          options={[
            { id: WHOLE, label: 'The whole garden' },
            ...review.bags.map((b) => ({ id: b.containerId, label: `Bag ${b.bag}` })),
          ]}
          onChange={(id) => change({ bag: id === WHOLE ? undefined : id })}
        />
        <Button startIcon={<IconPrinter size={18} aria-hidden />} onClick={() => window.print()}>
          Print
        </Button>
      </Box>
      {bagId === WHOLE ? (
        review.total.units.length === 0 ? (
          <Panel title={`Nothing stood in the bags in ${seasonName(year, latitudeDegrees)}`}>
            <Typography>
              A review is written from the diary: plant something, pick it, and the season tells of itself
              here.
            </Typography>
          </Panel>
        ) : (
          <SeasonPage review={review} plans={plans} words={words} />
        )
      ) : (
        <BagSeasonPage containerId={bagId} year={year} words={words} />
      )}
    </>
  );
}

function SeasonPage({
  review,
  plans,
  words,
}: {
  readonly review: SeasonReview;
  readonly plans: readonly NextPlan[];
  readonly words: ReviewWords;
}) {
  const { garden } = useGarden();
  const { unitFormat, latitudeDegrees } = words;
  const { ranked, trials, forecasts } = review;
  const retired = review.bags.filter((b) => b.isToRetire);
  const spoilt = review.bags.filter((b) => b.mix.id === 'not-again');
  const spent = review.bags.filter((b) => b.mix.id === 'spent');
  const again = review.bags.filter((b) => b.mix.id === 'again');
  const labels = (bags: typeof review.bags) => bags.map((b) => b.bag).join(', ');
  const sides = [...ranked.best, ...ranked.worst];
  return (
    <Panel title={`${garden.settings.gardenName}, ${seasonName(review.season.year, latitudeDegrees)}`}>
      {summaryWords(review, words).map((text) => (
        <Typography key={text} sx={{ fontSize: '1.08rem', marginBlockEnd: 1 }}>
          {text}
        </Typography>
      ))}
      <Part title="Which did best, and which did not">
        {sides.length > 0
          ? sides.map((each) => <li key={each.row.key}>{rankedWords(each, unitFormat)}</li>)
          : undefined}
      </Part>
      <Part title="Varieties">
        {review.varieties.map((each) => (
          <li key={each.varietyId}>{varietyWords(each, unitFormat)}</li>
        ))}
      </Part>
      <Part title="What was tried">
        {trials.length > 0
          ? trials.flatMap(({ id, name, names, result }) =>
              result.comparisons.map((comparison) => {
                const said = verdictWords(
                  comparison,
                  { from: names[comparison.from] ?? '', to: names[comparison.to] ?? '' },
                  result.isInDays,
                );
                return (
                  <li key={`${id} ${comparison.to}`}>
                    {name}: {said.headline} {said.detail}
                  </li>
                );
              }),
            )
          : undefined}
      </Part>
      <Part title="What to do otherwise">
        {review.changes.length > 0
          ? review.changes.map((each) => <li key={each.id}>{changeWords(each)}</li>)
          : undefined}
      </Part>
      <Part title="Bags and mix">
        {retired.length > 0 && (
          <li>Retire: {labels(retired)}; they have had the seasons that you give them.</li>
        )}
        {spoilt.map((b) => (
          <li key={b.containerId}>{bagAdviceWords(b)}</li>
        ))}
        {spent.length > 0 && (
          <li>Mix that has done its time, for a bed or as a part of new mix: {labels(spent)}.</li>
        )}
        {again.length > 0 && <li>Mix that can be used again, loosened and fed anew: {labels(again)}.</li>}
      </Part>
      {forecasts && (
        <Typography sx={{ color: 'text.secondary', marginBlockStart: 1.5 }}>
          My forecasts of a week were off by {unitFormat.show(forecasts.error, 'crop')} on average, where “the
          same as last week” would have been off by {unitFormat.show(forecasts.errorOfLastWeek, 'crop')}.
        </Typography>
      )}
      <NextSeason plans={plans} />
    </Panel>
  );
}

function Part({ title, children }: { readonly title: string; readonly children: ReactNode }) {
  const isEmpty = Array.isArray(children)
    ? children.every((child) => !child || (Array.isArray(child) && child.length === 0))
    : !children;
  if (isEmpty) return null;
  return (
    <Box component="section" aria-label={title} sx={{ marginBlockStart: 2, breakInside: 'avoid' }}>
      <Typography variant="h3" sx={{ fontSize: '1.05rem', fontWeight: 700 }}>
        {title}
      </Typography>
      <Box component="ul" sx={{ marginBlock: 0.5, paddingInlineStart: 2.5 }}>
        {children}
      </Box>
    </Box>
  );
}

/** Next season's plan begins with this one: the same in the same bags, but for what is not to be kept. */
function NextSeason({ plans }: { readonly plans: readonly NextPlan[] }) {
  const { clock, saveRecords } = useGarden();
  const [first] = [...plans].sort((a, b) => (a.plantOn < b.plantOn ? -1 : 1));
  if (!first)
    return (
      <Typography sx={{ marginBlockStart: 2, '@media print': { display: 'none' } }}>
        Next season is planned for every bag that goes on; see <Link to="/season">Season</Link>.
      </Typography>
    );
  const begin = () => {
    const now = clock.now();
    return saveRecords(
      plans.map((plan) => ({
        table: 'plans' as const,
        before: undefined,
        after: { id: newId('plan'), ...plan, createdAt: now, changedAt: now },
      })),
      [],
      `next season for ${plans.length} bags`,
    );
  };
  return (
    <Box sx={{ marginBlockStart: 2.5, '@media print': { display: 'none' } }}>
      <OnceButton variant="contained" onPress={begin}>
        Begin next season: {plans.length === 1 ? 'one bag' : `${plans.length} bags`}
      </OnceButton>
      <Typography variant="body2" sx={{ color: 'text.secondary', marginBlockStart: 0.5 }}>
        The same in the same bags, the first on {shortDay(first.plantOn)}; without the bags to retire and the
        varieties to leave. Each can be changed in Season.
      </Typography>
    </Box>
  );
}

function BagSeasonPage({
  containerId,
  year,
  words,
}: {
  readonly containerId: string;
  readonly year: number;
  readonly words: ReviewWords;
}) {
  const { data } = useTally(['bag-review', containerId, year], (api, day) =>
    api.bagReview(containerId, year, day),
  );
  if (data === undefined) return <Skeleton variant="rectangular" height={300} aria-busy />;
  if (data === null) return <Panel title="Nothing stood in this bag then">{null}</Panel>;
  return (
    <Panel title={`Bag ${data.row.units[0]?.bag ?? ''}, ${seasonName(year, words.latitudeDegrees)}`}>
      {bagSummaryWords(data, words).map((text) => (
        <Typography key={text} sx={{ fontSize: '1.08rem', marginBlockEnd: 1 }}>
          {text}
        </Typography>
      ))}
      <Part title="Notes of the season">
        {data.notes.map((note) => (
          <li key={`${note.on} ${note.text}`}>
            {shortDay(note.on)}: {note.text}
          </li>
        ))}
      </Part>
    </Panel>
  );
}
