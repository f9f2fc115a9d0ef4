import { Box, Button, Dialog, DialogActions, DialogContent, DialogTitle, Typography } from '@mui/material';
import { gaugeScale } from '@rundel/core/garden-state';
import type { Gauge } from '@rundel/core/records';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { Caution } from '../../ui/Caution.tsx';
import { titleOf } from '../../text/bag-text.ts';
import { Select } from '../../ui/Select.tsx';
import { listDevices, listenTo, readDevice, type DeviceReading } from '../../store/devices.ts';
import { OnceButton } from '../../ui/OnceButton.tsx';
import { useGarden, useUnitFormat, type Bag, told } from '../../store/index.ts';
import { gaugeOf, gaugesWith, readingCheck } from '../../ui/gauges.ts';

/** The two points that a gauge is calibrated by. */
const POINTS = [
  { reads: 'fullReading', label: 'full' },
  { reads: 'dryReading', label: 'dry' },
] as const;

const BY_EYE = 'none';

/** Pairs a scale or a probe with a bag, calibrates it in two points, and takes its readings as checks. */
export function GaugeDialog({ bag, onClose }: { readonly bag: Bag; onClose(): void }) {
  const { clock, saveRecords, record } = useGarden();
  const unitFormat = useUnitFormat();
  const { container, properties } = bag;
  const devices = useQuery({ queryKey: ['devices'], queryFn: listDevices, retry: false, staleTime: 60_000 });
  const [chosen, setChosen] = useState(container.gauges?.[0]?.deviceId ?? BY_EYE);
  const device = devices.data?.find((d) => d.id === chosen);
  const kind: Gauge['kind'] = device?.kind === 'probe' ? 'probe' : 'scale';
  const gauge = gaugeOf(container, kind);
  const live = useLive(device?.id, clock.now());
  const [said, setSaid] = useState('');
  const scale = gaugeScale(kind, gauge, properties);
  const show = (value: number) =>
    kind === 'scale' ? unitFormat.show(value, 'crop') : `${Math.round(value * 10) / 10}`;
  const keep = async (change: Partial<Gauge>, words: string) => {
    const next = { ...(gauge ?? { kind }), ...(device ? { deviceId: device.id } : {}), ...change };
    if (next.fullReading !== undefined && next.fullReading === next.dryReading)
      return setSaid('Full and dry cannot read the same: one of the two is wrong. Nothing was changed.');
    const after = { ...container, gauges: gaugesWith(container, next), changedAt: clock.now() };
    await saveRecords(
      [{ table: 'containers', before: container, after }],
      [],
      `bag ${container.label}: ${words}`,
    );
    return setSaid(`${words.charAt(0).toUpperCase()}${words.slice(1)}.`);
  };
  const take = async () => {
    if (!device) return;
    try {
      const reading = await readDevice(device.id, clock.now());
      await record(
        [
          {
            kind: 'check',
            at: clock.now(),
            containerId: container.id,
            check: readingCheck(kind, reading.value, device.id),
          },
        ],
        `reading at ${container.label}`,
      );
      setSaid(`${show(reading.value)} is in the diary.`);
    } catch (cause) {
      setSaid(cause instanceof Error ? cause.message : String(cause));
    }
  };
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="xs">
      <DialogTitle variant="h2">Scale or probe at {titleOf(bag)}</DialogTitle>
      <DialogContent sx={{ display: 'grid', gap: 2 }}>
        <Box sx={{ paddingBlockStart: 1 }}>
          <Select
            label="Device"
            value={device ? chosen : BY_EYE}
            onChange={setChosen}
            options={[
              { id: BY_EYE, label: 'None: a scale that I read myself' },
              ...(devices.data ?? [])
                .filter((d) => d.kind === 'probe' || d.kind === 'scale')
                .map((d) => ({ id: d.id, label: `${d.name} (simulated)` })),
            ]}
          />
        </Box>
        {devices.isError && (
          <Typography>
            {devices.error.message} Readings can be typed on the round, under “Other check”.
          </Typography>
        )}
        {device && (
          <Typography aria-live="off">
            It shows <strong>{live.reading ? show(live.reading.value) : '…'}</strong>
            {live.problem ? ` (${live.problem})` : ''}
          </Typography>
        )}
        <Typography>
          Full reads <strong>{show(scale.full)}</strong>
          {gauge?.fullReading === undefined ? ' (worked out)' : ''}, dry reads{' '}
          <strong>{show(scale.dry)}</strong>
          {gauge?.dryReading === undefined ? ' (worked out)' : ''}. Full is an hour after a watering that ran
          through; dry is when the plant begins to wilt.
        </Typography>
        {device && (
          <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
            {gauge?.deviceId !== device.id && (
              <OnceButton variant="contained" onPress={() => keep({}, `paired with ${device.name}`)}>
                Pair it with this bag
              </OnceButton>
            )}
            {POINTS.map(({ reads, label }) => (
              <Button
                key={reads}
                variant="outlined"
                disabled={!live.reading}
                onClick={() =>
                  live.reading && told(keep({ [reads]: live.reading.value }, `what it shows now is ${label}`))
                }
              >
                It is {label} now
              </Button>
            ))}
            <OnceButton variant="outlined" onPress={() => take()}>
              Take a reading
            </OnceButton>
          </Box>
        )}
        <Typography role="status">{said}</Typography>
        {kind === 'scale' && (
          <Caution>
            Weigh with help: a wet bag of this size comes to about{' '}
            {unitFormat.show(properties.drainedKilograms, 'weight')}.
          </Caution>
        )}
      </DialogContent>
      <DialogActions sx={{ padding: 2 }}>
        {/* what is chosen above holds at once: there is nothing to call off */}
        <Button variant="contained" onClick={onClose}>
          Done
        </Button>
      </DialogActions>
    </Dialog>
  );
}

/** The live reading of a device while the dialog is open. */
function useLive(deviceId: string | undefined, from: string) {
  const [state, setState] = useState<{ reading?: DeviceReading; problem?: string }>({});
  const [start] = useState(from);
  useEffect(() => {
    if (deviceId === undefined) return;
    const end = listenTo(
      deviceId,
      start,
      (reading) => setState({ reading }),
      (problem) => setState({ problem }),
    );
    return () => {
      end();
      setState({});
    };
  }, [deviceId, start]);
  return state;
}
