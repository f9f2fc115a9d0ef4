import type { QuietHours } from '@rundel/core/agenda';
import * as z from '@rundel/core/schema';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useGarden } from './garden-context.tsx';

const NOTE = 'reminders';

const choiceSchema = z.object({
  isOn: z.boolean(),
  quiet: z.object({
    fromHour: z.number().check(z.gte(0), z.lte(23)),
    untilHour: z.number().check(z.gte(0), z.lte(23)),
  }),
});

/** Whether this device reminds, and when it keeps quiet. */
export interface ReminderChoice {
  readonly isOn: boolean;
  readonly quiet: QuietHours;
}

const AT_FIRST: ReminderChoice = { isOn: false, quiet: { fromHour: 21, untilHour: 7 } };

export function useReminderChoice() {
  const { gardenId, store } = useGarden();
  const client = useQueryClient();
  const key = ['reminders', gardenId];
  const { data: choice = AT_FIRST } = useQuery({
    queryKey: key,
    staleTime: Infinity,
    queryFn: async (): Promise<ReminderChoice> => {
      const read = choiceSchema.safeParse(await store.readNote(NOTE));
      return read.success ? read.data : AT_FIRST;
    },
  });
  return {
    choice,
    async choose(next: ReminderChoice): Promise<void> {
      client.setQueryData(key, next);
      await store.writeNote(NOTE, next);
    },
  };
}
