import { Box, Button, useMediaQuery } from '@mui/material';
import { addDays, dayOf } from '@rundel/core/calendar';
import { supportOf } from '@rundel/core/plants';
import { useState } from 'react';
import { titleOf } from '../../../text/bag-text.ts';
import { reachingWords } from '../../../text/planting-text.ts';
import { useGarden, useUnitFormat, type Bag } from '../../../store/index.ts';
import { outgrownOf } from '@rundel/core/garden-state';

/** Bags that a phone shows before it is asked for all. */
const FEW = 4;

/** What holds each bag's plants, and until when; what is outgrown soonest stands first. */
export function SupportList({
  bags,
  openId,
  onOpen,
}: {
  readonly bags: readonly Bag[];
  readonly openId: string | undefined;
  onOpen(id: string): void;
}) {
  const { garden, live, clock } = useGarden();
  const unitFormat = useUnitFormat();
  const isPhone = useMediaQuery('(max-width: 699px)');
  const [isWhole, setWhole] = useState(false);
  const rows = bags
    .map((bag) => ({ bag, grown: outgrownOf(bag, live, garden.settings) }))
    .sort((a, b) => (outgrownOn(a.grown) < outgrownOn(b.grown) ? -1 : 1));
  const shown =
    isPhone && !isWhole ? rows.filter(({ bag }, i) => i < FEW || bag.container.id === openId) : rows;
  return (
    <>
      <Box component="ul" sx={{ listStyle: 'none', margin: 0, padding: 0 }}>
        {shown.map(({ bag, grown }) => {
          const { kind, heightMillimetres } = bag.container.support;
          const isOpen = bag.container.id === openId;
          return (
            <Box component="li" key={bag.container.id} sx={{ borderBlockEnd: '1px solid var(--line)' }}>
              <Button
                onClick={() => onOpen(bag.container.id)}
                aria-pressed={isOpen}
                sx={{
                  display: 'block',
                  width: '100%',
                  textAlign: 'start',
                  paddingBlock: 1,
                  color: 'text.primary',
                  fontWeight: 'fontWeightRegular',
                  backgroundColor: isOpen ? 'var(--action-wash)' : 'transparent',
                }}
              >
                <strong>{titleOf(bag)}</strong>
                <Box component="span" sx={{ display: 'block', fontSize: '0.92rem' }}>
                  {supportOf(kind).name}
                  {heightMillimetres > 0 &&
                    `, ${unitFormat.show(heightMillimetres, 'height')} above the ground`}
                  {grown && `. Outgrown ${reachingWords(grown.when, grown.plantedOn, dayOf(clock.now()))}.`}
                </Box>
              </Button>
            </Box>
          );
        })}
      </Box>
      {shown.length < rows.length && <Button onClick={() => setWhole(true)}>Show all {rows.length}</Button>}
    </>
  );
}

/** The day on which it is likely outgrown; after all others where it is not. */
const outgrownOn = (grown: ReturnType<typeof outgrownOf>): string =>
  grown?.when.kind === 'reaches' ? addDays(grown.plantedOn, Math.round(grown.when.likely)) : '9999';
