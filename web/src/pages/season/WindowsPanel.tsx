import { resolveAssumed } from '@rundel/core/assumed';
import { Box, Button, Table, TableBody, TableCell, TableHead, TableRow, Typography } from '@mui/material';
import { CROPS, habitOfVariety } from '@rundel/core/plants';
import type { Variety } from '@rundel/core/records';
import { plantingWindow, TIMING_PRACTICES, timingPracticeOf } from '@rundel/core/season';
import { useState } from 'react';
import { COVER_WORDS } from '../../ui/choices.tsx';
import { Panel } from '../../ui/Page.tsx';
import { Select } from '../../ui/Select.tsx';
import { shortDay } from '../../text/text.ts';
import { useGarden, useUnitFormat, told } from '../../store/index.ts';
import { FrostDialog } from './FrostDialog.tsx';
import type { Years } from './use-years.ts';
import { cropWords, frostSource, laterWords, limitWords, needsWords, windowWords } from './year-words.ts';

const COVERS = ['open', 'glass', 'heated'] as const;

/** Each crop and growth as usual, and the grower's own varieties that are known to be quicker or slower. */
function rowsOf(varieties: readonly Variety[]) {
  return CROPS.flatMap((crop) =>
    crop.habits.flatMap((usual) => [
      { id: `${crop.id} ${usual.id}`, words: cropWords(crop, usual), crop, habit: usual },
      ...varieties
        .filter((v) => !v.binnedAt && v.cropId === crop.id && v.habitId === usual.id)
        .map((variety) => ({ id: variety.id, words: variety.name, crop, habit: habitOfVariety(variety) }))
        .filter(({ habit }) => habit.known?.some((known) => known === 'daysToPicking')),
    ]),
  );
}

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
          {frost.last && (
            <>
              Last frost about <strong>{shortDay(frost.last)}</strong>
            </>
          )}
          {frost.last && frost.first && ', '}
          {frost.first && (
            <>
              {frost.last ? 'first' : 'First frost'} about <strong>{shortDay(frost.first)}</strong>
            </>
          )}
          {!frost.last && !frost.first && 'No frost to speak of'}; {frostSource(frost)}.{' '}
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
            {rowsOf(garden.varieties).map(({ id, words, crop, habit }) => (
              <TableRow key={id}>
                <TableCell>{words}</TableCell>
                {inUse.map((cover) => {
                  const window = plantingWindow(crop, habit, years.placeOf(cover), assumed);
                  return (
                    <TableCell key={cover}>
                      {windowWords(window, unitFormat)}
                      {window.kind === 'open' && (
                        <Box sx={{ fontSize: '0.85rem', color: 'text.secondary' }}>
                          sow {shortDay(window.sow.from)} to {shortDay(window.sow.to)}; by{' '}
                          {limitWords(window.limit)}; {laterWords(window)}
                          <br />
                          {needsWords(window.needs)}
                        </Box>
                      )}
                    </TableCell>
                  );
                })}
              </TableRow>
            ))}
          </TableBody>
        </Table>
      </Box>
      {isOpen && <FrostDialog onClose={() => setOpen(false)} />}
    </Panel>
  );
}
