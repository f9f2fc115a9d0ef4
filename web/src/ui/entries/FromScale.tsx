import { Box, Button } from '@mui/material';
import { IconScale } from '@tabler/icons-react';
import { show } from '@rundel/core/units';
import { useState } from 'react';
import { listDevices, readDevice } from '../../store/devices.ts';
import { useGarden, useUnitFormat } from '../../store/index.ts';

/** Reads the kitchen scale and hands over what it shows, in the grower's units; where none answers it says so, and typing goes on. */
export function FromScale({ onWeight }: { onWeight(text: string): void }) {
  const { clock } = useGarden();
  const { system } = useUnitFormat();
  const [said, setSaid] = useState<string>();
  const [isReading, setReading] = useState(false);
  const read = async () => {
    setReading(true);
    setSaid(undefined);
    try {
      const scale = (await listDevices()).find(({ kind }) => kind === 'kitchen-scale');
      if (!scale) setSaid('There is no kitchen scale among the devices.');
      else {
        const { value } = await readDevice(scale.id, clock.now());
        if (value > 0 && value <= 100) onWeight(show(value, 'crop', system));
        else setSaid(`The scale shows ${show(value, 'crop', system)}: that cannot be a picking.`);
      }
    } catch (cause) {
      setSaid(cause instanceof Error ? cause.message : String(cause));
    } finally {
      setReading(false);
    }
  };
  return (
    <Box>
      <Button
        startIcon={<IconScale size={20} aria-hidden />}
        variant="outlined"
        disabled={isReading}
        onClick={() => void read()}
        sx={{ minHeight: 48 }}
      >
        From the kitchen scale
      </Button>
      {said && (
        <Box role="status" sx={{ color: 'text.secondary', fontSize: '0.92rem', marginBlockStart: 0.5 }}>
          {said}
        </Box>
      )}
    </Box>
  );
}
