import { Button } from '@mui/material';
import { dayOf } from '@rundel/core/calendar';
import { useState } from 'react';
import { daysWords } from '../../text/tank-text.ts';
import { JobLine } from '../../ui/JobLine.tsx';
import { TankDialog } from '../../ui/tanks/TankDialog.tsx';
import { useTanks } from '../../ui/tanks/use-tanks.ts';
import { useGarden, useUnitFormat } from '../../store/index.ts';

/** Tanks that are down to their mark, or that nobody has looked into: one job each, however many bags are on it. */
export function TankJobs() {
  const { clock } = useGarden();
  const unitFormat = useUnitFormat();
  const views = useTanks();
  const today = dayOf(clock.now());
  const [openId, setOpen] = useState<string>();
  const open = views.find(({ tank }) => tank.id === openId);
  const due = views.filter(
    ({ bags, course }) =>
      bags.length > 0 &&
      (course.litres === undefined || (course.refillOn !== undefined && course.refillOn <= today)),
  );
  return (
    <>
      {due.map(({ tank, bags, course }) => (
        <JobLine
          key={tank.id}
          what={
            <strong>
              {course.litres
                ? `Top up: ${tank.name}, about ${unitFormat.show(course.topUpLitres ?? 0, 'water')}`
                : `Look into ${tank.name}`}
            </strong>
          }
          why={`for ${bags.map((b) => b.container.label).join(', ')}${
            course.daysToEmpty && Number.isFinite(course.daysToEmpty.likely)
              ? `; empty in ${daysWords(course.daysToEmpty.likely)}`
              : ''
          }.`}
        >
          <Button variant="outlined" onClick={() => setOpen(tank.id)} sx={{ flexShrink: 0 }}>
            See to it
          </Button>
        </JobLine>
      ))}
      {open && <TankDialog view={open} onClose={() => setOpen(undefined)} />}
    </>
  );
}
