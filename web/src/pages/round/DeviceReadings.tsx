import { Box, Button, Typography } from '@mui/material';
import type { Draft } from '@rundel/core/records';
import { useCallback, useEffect, useRef, useState } from 'react';
import { readingCheck } from '../../ui/gauges.ts';
import { whenWords } from '../../text/text.ts';
import { readDevice } from '../../store/devices.ts';
import { useGarden, type Bag } from '../../store/index.ts';

/** A device that was read within these hours has nothing new to say at this round. */
const FRESH_HOURS = 3;

interface Paired {
  readonly bag: Bag;
  readonly kind: 'scale' | 'probe';
  readonly deviceId: string;
  readonly lastAt: string | undefined;
}

/** Paired scales and probes, read once at the beginning of a walk: readings go into the diary as checks; a silent one is named. */
export default function DeviceReadings({
  bags,
  walkId,
}: {
  readonly bags: readonly Bag[];
  readonly walkId: string;
}) {
  const { clock, live, record } = useGarden();
  const [isReading, setIsReading] = useState(false);
  const [silent, setSilent] = useState<readonly { readonly deviceId: string; readonly problem: string }[]>(
    [],
  );
  const readFor = useRef<string>(undefined);
  const paired = bags.flatMap((bag) =>
    (bag.container.gauges ?? []).flatMap(({ kind, deviceId }): Paired[] => {
      if (deviceId === undefined) return [];
      const last = live.findLast(
        (e) =>
          e.kind === 'check' &&
          e.containerId === bag.container.id &&
          'deviceId' in e.check &&
          e.check.deviceId === deviceId,
      );
      return [{ bag, kind, deviceId, lastAt: last?.at }];
    }),
  );
  const read = useCallback(
    async (isAll: boolean) => {
      const at = clock.now();
      const isStale = (lastAt: string | undefined) =>
        lastAt === undefined || (Date.parse(at) - Date.parse(lastAt)) / 3_600_000 >= FRESH_HOURS;
      setIsReading(true);
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
      const checks = answers.flatMap(({ one, value }): Draft<'check'>[] =>
        value === undefined
          ? []
          : [
              {
                kind: 'check',
                at,
                containerId: one.bag.container.id,
                check: readingCheck(one.kind, value, one.deviceId),
              },
            ],
      );
      try {
        if (checks.length > 0)
          await record(checks, checks.length === 1 ? '1 device read' : `${checks.length} devices read`);
      } finally {
        setSilent(
          answers.flatMap(({ one, problem }) =>
            problem === undefined ? [] : [{ deviceId: one.deviceId, problem }],
          ),
        );
        setIsReading(false);
      }
    },
    [clock, paired, record],
  );
  // what is stored refuses with a word of its own at the foot of the screen
  const readQuietly = useCallback((isAll: boolean) => read(isAll).catch(() => undefined), [read]);
  useEffect(() => {
    if (paired.length === 0 || readFor.current === walkId) return;
    readFor.current = walkId;
    void readQuietly(false);
  }, [paired.length, readQuietly, walkId]);
  if (paired.length === 0) return null;
  return (
    <Box component="section" aria-label="Devices" sx={{ marginBlock: 1.5, fontSize: '0.92rem' }}>
      <Typography sx={{ fontWeight: 'fontWeightMedium' }}>Devices</Typography>
      {paired.flatMap(({ bag, deviceId, lastAt }) =>
        silent
          .filter((one) => one.deviceId === deviceId)
          .map(({ problem }) => (
            <Typography
              key={bag.container.id + deviceId}
              role="note"
              sx={{ borderInlineStart: '4px solid var(--flower)', paddingInlineStart: 1 }}
            >
              Bag {bag.container.label}: {problem}{' '}
              {lastAt === undefined
                ? 'It has never been read'
                : `Its last reading is from ${whenWords(lastAt, clock.now())}`}
              ; check it yourself.
            </Typography>
          )),
      )}
      <Button size="small" disabled={isReading} onClick={() => void readQuietly(true)}>
        Read {paired.length === 1 ? 'it' : `all ${paired.length}`} now
      </Button>
    </Box>
  );
}
