import { Box, Button } from '@mui/material';
import { addDays, dayOf } from '@rundel/core/calendar';
import { findCause, lookOuts, weatherAlerts, type FruitOutlook, type WeatherAlert } from '@rundel/core/care';
import { coldLimitOf } from '@rundel/core/garden-state';
import { entriesAt, type AlertKind, type Entry, type Place } from '@rundel/core/records';
import { lazy, Suspense, useMemo, useState } from 'react';
import { alertWords } from '../../text/alert-text.ts';
import { shortDay } from '../../text/text.ts';
import { causeName } from '../../text/trouble-text.ts';
import { useGarden, useUnitFormat, type Bag } from '../../store/index.ts';
import { ChoiceButton } from '../ChoiceButton.tsx';
import { OnceButton } from '../OnceButton.tsx';
import { Remark } from '../Remark.tsx';
import { daysAhead, outlooksOf, outlookWords } from './outlooks.ts';

const AlertsDialog = lazy(() => import('./AlertsDialog.tsx'));
const WarnedDialog = lazy(() => import('./WarnedDialog.tsx'));

/** The same weather at several places is told once. */
interface Told {
  readonly alert: WeatherAlert;
  readonly places: readonly Place[];
}

/** What weather, last year and the neighbours warn of, with what to do; each can be put off, or turned off for a place. */
export function Alerts({ bags }: { readonly bags: readonly Bag[] }) {
  const { garden, live, clock } = useGarden();
  const [isWarning, setWarning] = useState(false);
  const unitFormat = useUnitFormat();
  const today = dayOf(clock.now());
  const days = useMemo(() => daysAhead(live, today), [live, today]);
  const told = useMemo(() => {
    const by = new Map<string, { alert: WeatherAlert; places: Place[] }>();
    for (const place of garden.places) {
      const here = bags.filter((b) => b.container.placeId === place.id && b.occupants.length > 0);
      const [first] = here;
      if (!first || place.binnedAt) continue;
      const coldCelsius = coldLimitOf(here, place.cover, today);
      for (const alert of weatherAlerts({ place, coldCelsius }, days, today, first.properties.assumed)) {
        const key = `${alert.kind} ${alert.from} ${alert.to} ${Math.round(alert.value)}`;
        const same = by.get(key);
        if (same) same.places.push(place);
        else by.set(key, { alert, places: [place] });
      }
    }
    return [...by.values()];
  }, [bags, days, garden.places, today]);
  const [first] = bags;
  const ahead = useMemo(
    () =>
      first
        ? lookOuts(
            garden.containers.map((c) => c.id),
            live,
            today,
            first.properties.assumed,
          )
        : [],
    [first, garden.containers, live, today],
  );
  const outlooks = useMemo(() => outlooksByKind(bags, live, days, today), [bags, days, live, today]);
  return (
    <Box>
      {told.map((each) => (
        <OneAlert
          key={`${each.alert.kind} ${each.alert.from} ${each.places[0]?.id ?? ''}`}
          told={each}
          bags={bags}
          today={today}
        />
      ))}
      {outlooks.map(({ outlook, labels }) => (
        <Remark key={outlook.kind}>
          {outlookWords(outlook, unitFormat, today)} {labels.length > 1 ? 'Bags' : 'Bag'} {labels.join(', ')}.
        </Remark>
      ))}
      {ahead.map(({ what, why }) => (
        <Remark key={what}>
          <strong>Look out for {causeName(what)}:</strong>{' '}
          {why.kind === 'nearby'
            ? `seen nearby on ${shortDay(why.on, today)}.`
            : `it came on ${shortDay(why.on, today)} last year.`}{' '}
          {findCause(what)?.isPest
            ? 'Turn leaves over; what is found early is washed off.'
            : 'Look at the lowest leaves.'}
        </Remark>
      ))}
      <Button
        size="small"
        onClick={() => setWarning(true)}
        sx={{ paddingInline: 0, textDecoration: 'underline' }}
      >
        Trouble seen nearby
      </Button>
      <Suspense>{isWarning && <WarnedDialog onClose={() => setWarning(false)} />}</Suspense>
    </Box>
  );
}

/** The same outlook for several bags, at its worst. */
function outlooksByKind(
  bags: readonly Bag[],
  live: Parameters<typeof outlooksOf>[1],
  days: ReturnType<typeof daysAhead>,
  today: string,
): readonly { readonly outlook: FruitOutlook; readonly labels: readonly string[] }[] {
  const by = new Map<string, { outlook: FruitOutlook; labels: string[] }>();
  for (const bag of bags)
    for (const outlook of outlooksOf(bag, live, days, today)) {
      // dry spells that are over are told on the bag's page
      if (outlook.kind === 'end-rot') continue;
      const same = by.get(outlook.kind);
      if (same) same.labels.push(bag.container.label);
      else by.set(outlook.kind, { outlook, labels: [bag.container.label] });
    }
  return [...by.values()];
}

const CHOICES = [
  { id: 'snooze', label: 'Not again until tomorrow' },
  { id: 'week', label: 'Not again for a week' },
  { id: 'off', label: 'Off here for good' },
  { id: 'change', label: 'When it warns' },
] as const;

function OneAlert({
  told: { alert, places },
  bags,
  today,
}: {
  readonly told: Told;
  readonly bags: readonly Bag[];
  readonly today: string;
}) {
  const { live, clock, record, saveRecords } = useGarden();
  const unitFormat = useUnitFormat();
  const { title, tasks } = alertWords(alert, unitFormat, today);
  const isHeat = alert.kind === 'hot' || alert.kind === 'heat-wave';
  const unshaded = bags.filter(
    (b) =>
      isHeat &&
      b.occupants.length > 0 &&
      places.some(({ id }) => id === b.container.placeId) &&
      !isShaded(b.container.id, live),
  );
  const shade = () =>
    record(
      unshaded.map(({ container }) => ({
        kind: 'tended' as const,
        at: clock.now(),
        containerId: container.id,
        task: 'shaded' as const,
      })),
      `${unshaded.length} bags shaded`,
    );
  const [isChanging, setChanging] = useState(false);
  const [first] = places;
  const choose = (id: (typeof CHOICES)[number]['id']) => {
    if (id === 'change') return setChanging(true);
    return saveRecords(
      places.map((place) => ({
        table: 'places' as const,
        before: place,
        after: withAlert(place, alert.kind, clock.now(), {
          ...place.alerts?.[alert.kind],
          ...(id === 'off' ? { isOff: true } : { snoozedUntil: addDays(today, id === 'week' ? 7 : 1) }),
        }),
      })),
      [],
      id === 'off' ? 'a warning turned off' : 'a warning put off',
    );
  };
  return (
    <Remark>
      <strong>{title}</strong> {tasks} <span>{places.map(({ name }) => name).join(', ')}.</span>{' '}
      {unshaded.length > 0 && (
        <OnceButton
          size="small"
          onPress={shade}
          sx={{ textDecoration: 'underline', paddingBlock: 0, minHeight: 32 }}
        >
          Shaded
        </OnceButton>
      )}
      <ChoiceButton
        size="small"
        choices={CHOICES}
        onChoose={(id) => void choose(id)}
        aria-label={`Put off: ${title}`}
        sx={{ textDecoration: 'underline', paddingBlock: 0, minHeight: 32 }}
      >
        Put off
      </ChoiceButton>
      <Suspense>
        {isChanging && first && <AlertsDialog place={first} onClose={() => setChanging(false)} />}
      </Suspense>
    </Remark>
  );
}

/** Whether a bag has shade on, by its diary. */
function isShaded(containerId: string, live: readonly Entry[]): boolean {
  const last = entriesAt(live, containerId).findLast(
    (e) => e.kind === 'tended' && (e.task === 'shaded' || e.task === 'unshaded'),
  );
  return last?.kind === 'tended' && last.task === 'shaded';
}

/** A place with one of its warnings changed. */
function withAlert(
  place: Place,
  kind: AlertKind,
  now: string,
  alert: NonNullable<NonNullable<Place['alerts']>[AlertKind]>,
): Place {
  return { ...place, alerts: { ...place.alerts, [kind]: alert }, changedAt: now };
}
