import { afterQuiet, remindersOf, type Reminder } from '@rundel/core/agenda';
import { useEffect, useMemo, useRef } from 'react';
import { useCalendarFeed, useGarden, useReminderChoice } from '../store/index.ts';
import { useAgenda } from '../ui/agenda.ts';

/** What was reminded of, so that no tab and no reload does it again. */
const DONE = 'rundel.reminded';
/** Timers of browsers do not run further than this, ms. */
const LONGEST_TIMER = 2 ** 31 - 1;
/** So long after a change the calendar that a phone follows is sent anew, ms. */
const SENT_AFTER = 5000;

const doneBefore = (): readonly string[] =>
  JSON.parse(localStorage.getItem(DONE) ?? '[]') as readonly string[];

async function show(title: string, detail: string, uid: string): Promise<void> {
  const options = { body: detail, tag: uid, icon: `${import.meta.env.BASE_URL}icon-192.png` };
  const installed = await navigator.serviceWorker?.getRegistration().catch(() => undefined);
  if (installed) await installed.showNotification(title, options);
  else new Notification(title, options);
}

/** Reminds of what is due, and keeps the calendar that a phone follows up to date. Draws nothing. */
export default function Reminding() {
  useReminding();
  useFollowedCalendar();
  return null;
}

function useReminding(): void {
  const { clock } = useGarden();
  const { choice } = useReminderChoice();
  const events = useAgenda();
  const isOn = choice.isOn && typeof Notification === 'function' && Notification.permission === 'granted';
  const next = useMemo((): (Reminder & { readonly title: string; readonly detail: string }) | undefined => {
    if (!isOn || !events) return undefined;
    const known = new Set(doneBefore());
    const due = remindersOf(
      events.map(({ item }) => item),
      choice.quiet,
      clock.now(),
    ).find(({ uid }) => !known.has(uid));
    const words = due && events.find(({ item }) => item.uid === due.uid);
    return due && words && { ...due, title: words.title, detail: words.detail };
  }, [choice.quiet, clock, events, isOn]);
  useEffect(() => {
    if (!next) return undefined;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const waitUntil = (at: string) => {
      const wait = Math.min(LONGEST_TIMER, Math.max(0, Date.parse(at) - Date.parse(clock.now())));
      timer = setTimeout(remind, wait);
    };
    const remind = () => {
      // a machine that slept wakes when it likes, also in the night
      const now = clock.now();
      const at = Date.parse(now) < Date.parse(next.at) ? next.at : afterQuiet(now, choice.quiet);
      if (Date.parse(at) > Date.parse(now)) return waitUntil(at);
      const done = doneBefore();
      if (done.includes(next.uid)) return undefined;
      localStorage.setItem(DONE, JSON.stringify([...done.slice(-50), next.uid]));
      void show(next.title, next.detail, next.uid).catch(() => undefined);
      return undefined;
    };
    waitUntil(next.at);
    return () => {
      clearTimeout(timer);
      // the hour may strike while the bags are worked out for it, after which the next round is a later one
      const now = Date.parse(clock.now());
      const isDue = Date.parse(next.at) <= now && Date.parse(afterQuiet(clock.now(), choice.quiet)) <= now;
      if (isDue) remind();
    };
  }, [choice.quiet, clock, next]);
}

function useFollowedCalendar(): void {
  const { garden } = useGarden();
  const { token, publish } = useCalendarFeed();
  const events = useAgenda();
  const sent = useRef('');
  const send = useRef(publish);
  send.current = publish;
  const { gardenName } = garden.settings;
  useEffect(() => {
    if (token === null || !events) return undefined;
    const timer = setTimeout(() => {
      void import('../pages/files/calendar/calendar-file.ts').then(async ({ calendarFile }) => {
        // its moment of writing changes each time and says nothing new
        const key = JSON.stringify(events);
        if (key === sent.current) return;
        await send.current(token, calendarFile(events, gardenName)).then(
          () => (sent.current = key),
          // it is sent the next time something changes; the page about it says so
          () => undefined,
        );
      });
    }, SENT_AFTER);
    return () => clearTimeout(timer);
  }, [events, gardenName, token]);
}
