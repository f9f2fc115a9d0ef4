import { Box } from '@mui/material';
import { addDays } from '@rundel/core/calendar';
import type { CropYear, FrostYear } from '@rundel/core/season';
import type { Ticked } from '../../ui/ticking.ts';
import { useEffect, useRef, type KeyboardEvent, type PointerEvent } from 'react';
import { Link } from 'react-router';
import { Legend } from '../../ui/Legend.tsx';
import { shortDay } from '../../text/text.ts';
import type { YearRow } from './use-years.ts';
import { BAND_COLOURS, BAND_WORDS, dayAt, frostGradient, monthsOf, percentOf } from './year-axis.ts';

const LABEL_WIDTH = 132;

/** The year as bands, a row a bag, frost likelihood behind them. What is planned can be dragged, or moved by the arrow keys. */
export function YearBands({
  rows,
  ticking,
  frost,
  today,
  chosenId,
  onChoose,
  onMove,
  onDrop,
}: {
  readonly rows: readonly YearRow[];
  readonly ticking: Ticked;
  readonly frost: FrostYear;
  readonly today: string;
  readonly chosenId: string | undefined;
  onChoose(year: CropYear): void;
  /** a plan is being moved to a day, and let go */
  onMove(year: CropYear, day: string): void;
  onDrop(isByKey: boolean): void;
}) {
  const isThisYear = today >= frost.start && today < addDays(frost.start, 365);
  const paper = useRef<HTMLElement>(null);
  useEffect(() => {
    // on a phone the year does not fit: today is brought into sight
    const { current } = paper;
    if (!current || !isThisYear) return;
    const width = current.scrollWidth - LABEL_WIDTH;
    current.scrollLeft =
      (width * percentOf(today, frost.start)) / 100 - (current.clientWidth - LABEL_WIDTH) / 2;
  }, [frost.start, isThisYear, today]);
  return (
    <>
      <Legend items={LEGEND} />
      <Box
        ref={paper}
        sx={{ overflowX: 'auto', marginBlockStart: 1 }}
        tabIndex={0}
        role="region"
        aria-label="The year, bag by bag"
      >
        <Box sx={{ position: 'relative', minWidth: 860, paddingBlockEnd: 1 }}>
          <Box
            aria-hidden
            sx={{
              position: 'absolute',
              insetBlock: 0,
              insetInlineStart: LABEL_WIDTH,
              insetInlineEnd: 0,
              backgroundImage: frostGradient(frost),
              borderRadius: '6px',
            }}
          />
          <Box sx={{ position: 'relative', height: 26, marginInlineStart: `${LABEL_WIDTH}px` }} aria-hidden>
            {monthsOf(frost.start).map(({ name, percent }) => (
              <Box
                key={name}
                sx={{
                  position: 'absolute',
                  insetInlineStart: `${percent}%`,
                  paddingInlineStart: 0.5,
                  borderInlineStart: '1px solid var(--line)',
                  fontSize: '0.85rem',
                  height: '100%',
                }}
              >
                {name}
              </Box>
            ))}
          </Box>
          {rows.map(({ bag, years, feeds }) => (
            <Box key={bag.container.id} sx={{ display: 'flex', borderBlockStart: '1px solid var(--line)' }}>
              <Box
                sx={{
                  width: LABEL_WIDTH,
                  flexShrink: 0,
                  position: 'sticky',
                  insetInlineStart: 0,
                  zIndex: 2,
                  backgroundColor: 'var(--surface)',
                  paddingBlock: 0.75,
                  paddingInlineEnd: 1,
                  overflow: 'hidden',
                  whiteSpace: 'nowrap',
                  textOverflow: 'ellipsis',
                }}
              >
                {ticking.isOn ? (
                  <label style={{ display: 'flex', alignItems: 'center', gap: 6, minHeight: 36 }}>
                    <input
                      type="checkbox"
                      checked={ticking.ids.has(bag.container.id)}
                      onChange={() => ticking.toggle(bag.container.id)}
                      style={{ width: 20, height: 20, accentColor: 'var(--action)' }}
                    />
                    <strong>{bag.container.label}</strong> {bag.name}
                  </label>
                ) : (
                  <Link to={`/bags/${bag.container.id}`} style={{ color: 'inherit' }}>
                    <strong>{bag.container.label}</strong> {bag.name}
                  </Link>
                )}
              </Box>
              <Box sx={{ position: 'relative', flex: 1, minHeight: 40 }}>
                {years.length === 0 && (
                  <Box
                    sx={{
                      position: 'absolute',
                      insetInlineStart: 8,
                      top: 9,
                      fontSize: '0.85rem',
                      color: 'text.secondary',
                    }}
                  >
                    nothing this year
                  </Box>
                )}
                {years.map((year, i) => (
                  <YearBar
                    key={year.id}
                    year={year}
                    frost={frost}
                    lane={i}
                    isChosen={year.id === chosenId}
                    onChoose={() => onChoose(year)}
                    onMove={(day) => onMove(year, day)}
                    onDrop={onDrop}
                  />
                ))}
                <Box sx={{ height: years.length * 40 + (feeds.length > 0 ? 10 : 0) }} />
                {feeds.map(({ day, isGiven }) => (
                  <Box
                    key={`${day} ${isGiven ? 'given' : 'to come'}`}
                    aria-hidden
                    sx={{
                      position: 'absolute',
                      bottom: 1,
                      insetInlineStart: `calc(${percentOf(day, frost.start)}% - 4px)`,
                      width: 8,
                      height: 8,
                      borderRadius: '50%',
                      border: '2px solid var(--action)',
                      backgroundColor: isGiven ? 'var(--action)' : 'var(--surface)',
                    }}
                  />
                ))}
              </Box>
            </Box>
          ))}
          {isThisYear && (
            <Box
              sx={{
                position: 'absolute',
                insetBlock: 0,
                insetInlineStart: `calc(${LABEL_WIDTH}px + (100% - ${LABEL_WIDTH}px) * ${percentOf(today, frost.start) / 100})`,
                borderInlineStart: '2px dashed var(--ink)',
                pointerEvents: 'none',
              }}
            />
          )}
        </Box>
      </Box>
    </>
  );
}

const SWATCH = { width: 18, height: 14, borderRadius: 4, border: '1.5px solid var(--ink)' } as const;
const DOT = { width: 9, height: 9, borderRadius: '50%', border: '2px solid var(--action)' } as const;

/** Everything that is drawn in the year, with its word. */
const LEGEND = [
  ...(Object.keys(BAND_COLOURS) as (keyof typeof BAND_COLOURS)[]).map((kind) => ({
    mark: <span style={{ ...SWATCH, backgroundColor: BAND_COLOURS[kind].fill }} />,
    words: BAND_WORDS[kind],
  })),
  { mark: <span style={{ ...SWATCH, borderStyle: 'dashed' }} />, words: 'to come' },
  {
    mark: (
      <span
        style={{
          width: 22,
          height: 4,
          backgroundColor: 'var(--fruit)',
          backgroundImage: 'repeating-linear-gradient(90deg, transparent 0 4px, var(--surface) 4px 7px)',
        }}
      />
    ),
    words: 'first picking in this span',
  },
  { mark: <span style={{ ...DOT, backgroundColor: 'var(--action)' }} />, words: 'fed' },
  { mark: <span style={DOT} />, words: 'feed to come' },
  {
    mark: <span style={{ width: 18, height: 14, borderRadius: 4, backgroundColor: 'var(--cold)' }} />,
    words: 'frost likely',
  },
  { mark: <span style={{ height: 14, borderInlineStart: '2px dashed var(--ink)' }} />, words: 'today' },
];

function YearBar({
  year,
  frost,
  lane,
  isChosen,
  onChoose,
  onMove,
  onDrop,
}: {
  readonly year: CropYear;
  readonly frost: FrostYear;
  readonly lane: number;
  readonly isChosen: boolean;
  onChoose(): void;
  onMove(day: string): void;
  onDrop(isByKey: boolean): void;
}) {
  const hold = useRef<{ readonly offset: number }>(undefined);
  const bar = useRef<HTMLElement>(null);
  useEffect(() => {
    // what was planned just now may lie in months that a phone does not show
    if (isChosen) bar.current?.scrollIntoView({ block: 'nearest', inline: 'nearest' });
  }, [isChosen]);
  const isPlan = year.status === 'planned';
  const from = year.bands[0]?.from ?? year.plantOn;
  const to = year.bands.at(-1)?.to ?? year.plantOn;
  const left = percentOf(from, frost.start);
  const width = Math.max(1, percentOf(to, frost.start) - left);
  const shareAt = (event: PointerEvent<HTMLElement>) => {
    const track = event.currentTarget.parentElement?.getBoundingClientRect();
    return track ? (event.clientX - track.left) / track.width : 0;
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const step = event.shiftKey ? 7 : 1;
    const by =
      event.key === 'ArrowRight' || event.key === 'ArrowUp'
        ? step
        : event.key === 'ArrowLeft' || event.key === 'ArrowDown'
          ? -step
          : 0;
    if (by === 0) return;
    event.preventDefault();
    onMove(addDays(year.plantOn, by));
    onDrop(true);
  };
  const first = percentOf(year.dates.firstPicking.from, frost.start);
  const words = `${year.name}, ${isPlan ? 'to be planted' : 'planted'} ${shortDay(year.plantOn)}, first picking ${shortDay(year.dates.firstPicking.from)} to ${shortDay(year.dates.firstPicking.to)}`;
  return (
    <Box
      {...(isPlan
        ? {
            role: 'slider',
            'aria-valuemin': 0,
            'aria-valuemax': 364,
            'aria-valuenow': Math.round((percentOf(year.plantOn, frost.start) / 100) * 365),
            'aria-valuetext': words,
            'aria-label': `Planting day of ${year.name}`,
            onKeyDown,
          }
        : { role: 'button', 'aria-label': words, 'aria-pressed': isChosen })}
      ref={bar}
      tabIndex={0}
      onFocus={onChoose}
      onClick={onChoose}
      onPointerDown={(event: PointerEvent<HTMLElement>) => {
        if (!isPlan) return;
        event.currentTarget.setPointerCapture(event.pointerId);
        hold.current = { offset: shareAt(event) - percentOf(year.plantOn, frost.start) / 100 };
      }}
      onPointerMove={(event: PointerEvent<HTMLElement>) => {
        if (hold.current) onMove(dayAt(shareAt(event) - hold.current.offset, frost.start));
      }}
      onPointerUp={() => {
        if (hold.current) onDrop(false);
        hold.current = undefined;
      }}
      sx={{
        position: 'absolute',
        insetInlineStart: `${left}%`,
        width: `${width}%`,
        top: lane * 40 + 5,
        height: 30,
        display: 'block',
        cursor: isPlan ? 'ew-resize' : 'pointer',
        touchAction: isPlan ? 'none' : 'auto',
        outline: isChosen ? '3px solid var(--action)' : 'none',
        outlineOffset: 1,
        borderRadius: '5px',
        scrollMarginInlineStart: LABEL_WIDTH + 8,
      }}
    >
      {year.bands.map((band) => {
        const start = percentOf(band.from, frost.start);
        const share = percentOf(band.to, frost.start) - start;
        const { fill, ink } = BAND_COLOURS[band.kind];
        return (
          <Box
            key={band.kind}
            component="span"
            sx={{
              position: 'absolute',
              insetBlock: 0,
              insetInlineStart: `${((start - left) / width) * 100}%`,
              width: `${Math.max(0.6, (share / width) * 100)}%`,
              backgroundColor: fill,
              color: ink,
              border: '1.5px solid var(--ink)',
              borderStyle: isPlan || !band.isPast ? 'dashed' : 'solid',
              borderRadius: '5px',
              fontSize: '0.78rem',
              lineHeight: '26px',
              paddingInlineStart: share > 3.2 ? 0.5 : 0,
              overflow: 'hidden',
              whiteSpace: 'nowrap',
            }}
          >
            {share > 3.2 ? BAND_WORDS[band.kind] : ''}
          </Box>
        );
      })}
      <Box
        component="span"
        aria-hidden
        sx={{
          position: 'absolute',
          insetInlineStart: `${((first - left) / width) * 100}%`,
          width: `${((percentOf(year.dates.firstPicking.to, frost.start) - first) / width) * 100}%`,
          bottom: -4,
          height: 4,
          backgroundColor: 'var(--fruit)',
          backgroundImage: 'repeating-linear-gradient(90deg, transparent 0 4px, var(--surface) 4px 7px)',
        }}
      />
    </Box>
  );
}
