import { Box, Typography } from '@mui/material';
import { dayOf, seasonName } from '@rundel/core/calendar';
import { bagHistory } from '@rundel/core/care';
import { occupantsOf } from '@rundel/core/plants';
import { Link } from 'react-router';
import { shortDay } from '../../text/text.ts';
import { causeName, cleanedWords, OUTCOME_WORDS } from '../../text/trouble-text.ts';
import { Panel } from '../../ui/Page.tsx';
import { useGarden, useUnitFormat, type Bag } from '../../store/index.ts';

/** What a bag held across the years, what was amiss, and how it was cleaned. */
export function HistoryPanel({ bag: { container } }: { readonly bag: Bag }) {
  const { garden, live } = useGarden();
  const unitFormat = useUnitFormat();
  const { latitudeDegrees } = garden.settings;
  const years = bagHistory(container.id, occupantsOf(container, live, garden), live, latitudeDegrees);
  const isPlain = years.length < 2 && years.every((y) => y.troubles.length + y.cleanings.length === 0);
  if (isPlain) return null;
  return (
    <Panel title="What it held">
      {years.map(({ year, occupants, troubles, cleanings, fillings }) => (
        <Box key={year} sx={{ marginBlockEnd: 1.5 }}>
          <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1.5, flexWrap: 'wrap' }}>
            <Typography variant="h3">{seasonName(year, latitudeDegrees)}</Typography>
            {occupants.length > 0 && (
              <Link to={`/tally/review?year=${year}&bag=${container.id}`} style={{ color: 'inherit' }}>
                the season on one page
              </Link>
            )}
          </Box>
          <Box component="ul" sx={{ margin: 0, paddingInlineStart: 2.5 }}>
            {fillings.map((e) => (
              <li key={e.id}>
                filled {shortDay(dayOf(e.at))}
                {e.keptLitres > 0 ? `, with ${unitFormat.show(e.keptLitres, 'bag')} of old mix` : ''}
              </li>
            ))}
            {occupants.map((o) => (
              <li key={o.planted.id}>
                {o.variety.name}, {o.crop.name.toLowerCase()}: {shortDay(o.plantedOn)}
                {o.clearedOn ? ` to ${shortDay(o.clearedOn)}` : ' on'}
              </li>
            ))}
            {troubles.map(({ entry, what, followUps }) => (
              <li key={entry.id}>
                {causeName(what)}, {shortDay(dayOf(entry.at))}
                {followUps.length > 0 ? `: ${OUTCOME_WORDS[followUps.at(-1)?.outcome ?? 'same']}` : ''}
              </li>
            ))}
            {cleanings.map((e) => (
              <li key={e.id}>
                {cleanedWords(e, unitFormat).replace('Bag cleaned', 'cleaned')}, {shortDay(dayOf(e.at))}
              </li>
            ))}
          </Box>
        </Box>
      ))}
    </Panel>
  );
}
