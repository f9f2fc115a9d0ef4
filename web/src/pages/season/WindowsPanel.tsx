import { resolveAssumed } from '@rundel/core/assumed';
import { Box, Button, Table, TableBody, TableCell, TableHead, TableRow, Typography } from '@mui/material';
import { CROPS } from '@rundel/core/plants';
import { plantingWindow, TIMING_PRACTICES, timingPracticeOf } from '@rundel/core/season';
import { useState } from 'react';
import { COVER_WORDS } from '../../ui/choices.tsx';
import { Panel } from '../../ui/Page.tsx';
import { Select } from '../../ui/Select.tsx';
import { shortDay } from '../../text/text.ts';
import { useGarden, useUnitFormat, told } from '../../store/index.ts';
import { FrostDialog } from './FrostDialog.tsx';
import type { Years } from './use-years.ts';
import { cropWords, frostSource, limitWords, windowWords } from './year-words.ts';

const COVERS = ['open', 'glass', 'heated'] as const;

/** When each crop may go where, with sowing counted back; by the grower's frost dates and practice. */
export function WindowsPanel({ years }: { readonly years: Years }) {
  const { garden, saveSettings } = useGarden();
  const unitFormat = useUnitFormat();
  const [isOpen, setOpen] = useState(false);
  const { frost } = years;
  const assumed = resolveAssumed(garden.settings.assumptions);
  const practice = timingPracticeOf(garden.settings.timingPracticeId);
  const inUse = COVERS.filter((c) => c === 'open' || garden.places.some((s) => !s.binnedAt && s.cover === c));
  return (
    <Panel title="When to plant what">
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, alignItems: 'center', marginBlockEnd: 2 }}>
        <Typography sx={{ flex: '1 1 320px' }}>
          {frost.last && frost.first ? (
            <>
              Last frost about <strong>{shortDay(frost.last)}</strong>, first about{' '}
              <strong>{shortDay(frost.first)}</strong>, {frostSource(frost)}.
            </>
          ) : (
            <>No frost to speak of, {frostSource(frost)}.</>
          )}{' '}
          <Button onClick={() => setOpen(true)} sx={{ paddingInline: 0.5 }}>
            My own dates
          </Button>
        </Typography>
        <Box sx={{ flex: '1 1 260px' }}>
          <Select
            label="Outdoors I plant"
            value={practice.id}
            options={TIMING_PRACTICES.map((s) => ({ id: s.id, label: s.name }))}
            onChange={(id) => told(saveSettings({ ...garden.settings, timingPracticeId: id }))}
            help={practice.description}
          />
        </Box>
      </Box>
      <Box sx={{ overflowX: 'auto' }} tabIndex={0} role="region" aria-label="Planting windows">
        <Table size="small" sx={{ '& td, & th': { verticalAlign: 'top' } }}>
          <TableHead>
            <TableRow>
              <TableCell>Crop</TableCell>
              {inUse.map((cover) => (
                <TableCell key={cover}>{COVER_WORDS[cover]}</TableCell>
              ))}
            </TableRow>
          </TableHead>
          <TableBody>
            {CROPS.flatMap((crop) =>
              crop.habits.map((habit) => (
                <TableRow key={`${crop.id} ${habit.id}`}>
                  <TableCell>{cropWords(crop, habit)}</TableCell>
                  {inUse.map((cover) => {
                    const window = plantingWindow(crop, habit, years.placeOf(cover), assumed);
                    return (
                      <TableCell key={cover}>
                        {windowWords(window, unitFormat)}
                        {window.kind === 'open' && (
                          <Box sx={{ fontSize: '0.85rem', color: 'text.secondary' }}>
                            sow {shortDay(window.sow.from)} to {shortDay(window.sow.to)}; by{' '}
                            {limitWords(window.limit)}
                          </Box>
                        )}
                      </TableCell>
                    );
                  })}
                </TableRow>
              )),
            )}
          </TableBody>
        </Table>
      </Box>
      {isOpen && <FrostDialog onClose={() => setOpen(false)} />}
    </Panel>
  );
}
