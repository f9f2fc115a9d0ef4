import { useQuery, useQueryClient } from '@tanstack/react-query';
import * as z from '@rundel/core/schema';
import { useGarden } from './garden-context.tsx';

const NOTE = 'calendarFeed';

/** Raised when the server that hands on the calendar cannot be reached; its message is for the grower. */
export class FeedError extends Error {}

async function asked(token: string, init: RequestInit): Promise<string> {
  let answer: Response;
  try {
    answer = await fetch(`${import.meta.env.BASE_URL}api/calendar/${token}`, init);
  } catch {
    throw new FeedError('The server cannot be reached. The calendar is sent to it the next time it can.');
  }
  const body: unknown = await answer.json().catch(() => undefined);
  const said = z.object({ error: z.optional(z.string()), path: z.optional(z.string()) }).safeParse(body);
  if (!answer.ok || !said.success)
    throw new FeedError(
      (said.success ? said.data.error : undefined) ??
        'There is no server here that hands on calendars. Download the calendar instead.',
    );
  return said.data.path ?? '';
}

/** The address at which the server hands the calendar to a phone; undefined where nobody follows it. */
export function useCalendarFeed() {
  const { gardenId, store } = useGarden();
  const client = useQueryClient();
  const key = ['calendar-feed', gardenId];
  const { data: token = null } = useQuery({
    queryKey: key,
    staleTime: Infinity,
    queryFn: async () => {
      const note = await store.readNote(NOTE);
      return typeof note === 'string' ? note : null;
    },
  });
  const publish = async (to: string, text: string): Promise<void> => {
    await asked(to, { method: 'PUT', body: text, headers: { 'Content-Type': 'text/calendar' } });
  };
  return {
    token,
    /** Sends the calendar, and from now on each time it changes. @throws FeedError */
    async start(text: string): Promise<void> {
      const made = crypto.getRandomValues(new Uint8Array(16));
      const fresh = [...made].map((byte) => byte.toString(16).padStart(2, '0')).join('');
      await publish(fresh, text);
      await store.writeNote(NOTE, fresh);
      client.setQueryData(key, fresh);
    },
    publish,
    /** Nobody can follow it any more. */
    async stop(): Promise<void> {
      if (token !== null) await asked(token, { method: 'DELETE' }).catch(() => undefined);
      await store.writeNote(NOTE, null);
      client.setQueryData(key, null);
    },
  };
}
