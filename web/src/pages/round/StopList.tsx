import { Box, ButtonBase, Typography } from '@mui/material';
import { IconSquare, IconSquareCheckFilled } from '@tabler/icons-react';
import { memo, useDeferredValue, type MouseEvent } from 'react';
import { Link } from 'react-router';
import { useLongPress } from '../../ui/long-press.ts';
import type { Ticked } from '../../ui/ticking.ts';
import { checkWords } from '../../text/check-text.ts';
import { BagIcon } from '../../section/index.ts';
import { useUnitFormat, type Bag } from '../../store/index.ts';
import type { FeedOffer } from '@rundel/core/garden-state';
import type { StopStatus } from '@rundel/core/garden-state';

export interface WalkStop {
  readonly bag: Bag;
  readonly status: StopStatus;
  /** what its regime asks for at this stop, and what waits */
  readonly feeds: readonly FeedOffer[];
}

/** More than a screen holds: who has many bags has the stop itself and these at once, and the rest a moment later. */
const FIRST_DRAWN = 24;

/** The walk as a list, place by place. */
export function StopList({
  stops,
  currentId,
  ticking,
}: {
  readonly stops: readonly WalkStop[];
  readonly currentId: string | undefined;
  readonly ticking: Ticked;
}) {
  const isAllDrawn = useDeferredValue(true, stops.length <= FIRST_DRAWN);
  const drawn = isAllDrawn ? stops : stops.slice(0, FIRST_DRAWN);
  const places = [...new Set(drawn.map((s) => s.bag.place?.name ?? 'No place'))];
  return (
    <nav aria-label="Stops of this round">
      {places.map((place) => (
        <Box key={place} sx={{ marginBlockEnd: 1.5 }}>
          <Typography
            sx={{
              fontSize: '0.88rem',
              fontWeight: 'fontWeightMedium',
              color: 'text.secondary',
              marginBlockEnd: 0.5,
            }}
          >
            {place}
          </Typography>
          {drawn
            .filter((s) => (s.bag.place?.name ?? 'No place') === place)
            .map((stop) => (
              <StopRow
                key={stop.bag.container.id}
                stop={stop}
                isCurrent={stop.bag.container.id === currentId}
                ticking={ticking}
              />
            ))}
        </Box>
      ))}
    </nav>
  );
}

const StopRow = memo(
  OneStop,
  (before, now) =>
    before.ticking === now.ticking &&
    before.isCurrent === now.isCurrent &&
    before.stop.bag === now.stop.bag &&
    before.stop.status.kind === now.stop.status.kind &&
    isFedAt(before.stop) === isFedAt(now.stop) &&
    // what is open or skipped says no more than its kind; the rest has numbers in it
    (now.stop.status.kind === 'check' || now.stop.status.kind === 'skipped'),
);

const isFedAt = ({ feeds }: WalkStop) => feeds.some(({ advice }) => advice.kind === 'feed');

function OneStop({
  stop,
  isCurrent,
  ticking,
}: {
  readonly stop: WalkStop;
  readonly isCurrent: boolean;
  readonly ticking: Ticked;
}) {
  const { bag, status } = stop;
  const { id } = bag.container;
  const isTicked = ticking.ids.has(id);
  const press = useLongPress(() => ticking.toggle(id));
  const does = useStatusWords(status);
  const isOpenYet = status.kind === 'check' || status.kind === 'watering';
  const words = isOpenYet && isFedAt(stop) ? `${does}, feed` : does;
  const isQuiet = status.kind === 'done' || status.kind === 'skipped';
  return (
    <ButtonBase
      component={Link}
      to={`/round/${id}`}
      aria-current={isCurrent ? 'step' : undefined}
      {...(ticking.isOn ? { role: 'checkbox', 'aria-checked': isTicked } : {})}
      {...press.handlers}
      onClick={(event: MouseEvent) => {
        if (!ticking.isOn && !press.wasLong()) return;
        event.preventDefault();
        // the finger that rested has ticked it
        if (!press.wasLong()) ticking.toggle(id);
      }}
      sx={{
        display: 'flex',
        justifyContent: 'flex-start',
        gap: 1.25,
        width: '100%',
        minHeight: 60,
        padding: 0.75,
        textAlign: 'start',
        borderRadius: '10px',
        border: isCurrent ? '2.5px solid var(--action)' : '2.5px solid transparent',
        backgroundColor: isCurrent ? 'var(--surface)' : 'transparent',
      }}
    >
      {ticking.isOn &&
        (isTicked ? <IconSquareCheckFilled aria-hidden size={22} /> : <IconSquare aria-hidden size={22} />)}
      <BagIcon properties={bag.properties} water={bag.water?.estimate.share} plants={bag.occupants.length} />
      <Box sx={{ minWidth: 0 }}>
        <Box sx={{ overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' }}>
          <Box component="strong" sx={{ fontSize: '1.15rem' }}>
            {bag.container.label}
          </Box>{' '}
          {bag.name}
        </Box>
        <Box sx={{ fontSize: '0.88rem', color: 'text.secondary' }}>
          {isQuiet ? '✓ ' : ''}
          {words}
        </Box>
      </Box>
    </ButtonBase>
  );
}

function useStatusWords(status: StopStatus): string {
  const unitFormat = useUnitFormat();
  switch (status.kind) {
    case 'check':
      return 'check';
    case 'working':
      return 'checked';
    case 'watering':
      return `water ${unitFormat.show(status.advice.fills.litres, 'water')}`;
    case 'feed':
      return 'feed';
    case 'skipped':
      return 'not now';
    case 'done': {
      if (status.wateredLitres > 0) return `had ${unitFormat.show(status.wateredLitres, 'water')}`;
      const check = status.check?.check;
      if (!check) return 'done';
      return checkWords(check, unitFormat);
    }
  }
}
