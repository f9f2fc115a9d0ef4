import { Box, Button, Typography } from '@mui/material';
import type { Draft } from '@rundel/core/diary';
import { useCallback, useEffect, useRef, useState } from 'react';
import { readingLook } from '../parts/gauges.ts';
import { whenWords } from '../parts/words.ts';
import { readDevice } from '../store/devices.ts';
import { useGarden, type Bag } from '../store/index.ts';

/** A device that was read within these hours has nothing new to say at this round. */
const FRESH_HOURS = 3;

interface Paired {
  readonly bag: Bag;
  readonly kind: 'scale' | 'probe';
  readonly deviceId: string;
  readonly lastAt: string | undefined;
}

/** Paired scales and probes, read once at the beginning of a walk: readings go into the diary as looks; a silent one is named. */
export default function DeviceReadings({
  bags,
  walkId,
}: {
  readonly bags: readonly Bag[];
  readonly walkId: string;
}) {
  const { clock, live, record } = useGarden();
  const [said, setSaid] = useState<readonly string[]>([]);
  const readFor = useRef<string>(undefined);
  const paired = bags.flatMap((bag) =>
    (bag.container.gauges ?? []).flatMap(({ kind, deviceId }): Paired[] => {
      if (deviceId === undefined) return [];
      const last = live.findLast(
        (e) =>
          e.kind === 'look' &&
          e.containerId === bag.container.id &&
          'deviceId' in e.look &&
          e.look.deviceId === deviceId,
      );
      return [{ bag, kind, deviceId, lastAt: last?.at }];
    }),
  );
  const read = useCallback(
    async (isAll: boolean) => {
      const at = clock.now();
      const isStale = (lastAt: string | undefined) =>
        lastAt === undefined || (Date.parse(at) - Date.parse(lastAt)) / 3_600_000 >= FRESH_HOURS;
      const asked = paired.filter(({ lastAt }) => isAll || isStale(lastAt));
      const answers = await Promise.all(
        asked.map(async (one) => {
          try {
            return { one, value: (await readDevice(one.deviceId, at)).value };
          } catch (cause) {
            return { one, problem: cause instanceof Error ? cause.message : String(cause) };
          }
        }),
      );
      const looks = answers.flatMap(({ one, value }): Draft<'look'>[] =>
        value === undefined
          ? []
          : [
              {
                kind: 'look',
                at,
                containerId: one.bag.container.id,
                look: readingLook(one.kind, value, one.deviceId),
              },
            ],
      );
      if (looks.length > 0)
        await record(looks, looks.length === 1 ? '1 device read' : `${looks.length} devices read`);
      setSaid(
        answers.flatMap(({ one, problem }) => {
          if (problem === undefined) return [];
          const last = one.lastAt
            ? `its last reading is from ${whenWords(one.lastAt, at)}`
            : 'it has never been read';
          return [
            `Bag ${one.bag.container.label}: ${problem} ${last.charAt(0).toUpperCase()}${last.slice(1)}; look yourself.`,
          ];
        }),
      );
    },
    [clock, paired, record],
  );
  useEffect(() => {
    if (paired.length === 0 || readFor.current === walkId) return;
    readFor.current = walkId;
    // what is stored refuses with a word of its own at the foot of the screen
    read(false).catch(() => undefined);
  }, [paired.length, read, walkId]);
  if (paired.length === 0) return null;
  return (
    <Box component="section" aria-label="Devices" sx={{ marginBlock: 1.5, fontSize: '0.92rem' }}>
      <Typography sx={{ fontWeight: 'fontWeightMedium' }}>Devices</Typography>
      {said.map((words) => (
        <Typography
          key={words}
          role="note"
          sx={{ borderInlineStart: '4px solid var(--flower)', paddingInlineStart: 1 }}
        >
          {words}
        </Typography>
      ))}
      <Button size="small" onClick={() => void read(true)}>
        Read {paired.length === 1 ? 'it' : `all ${paired.length}`} now
      </Button>
    </Box>
  );
}
