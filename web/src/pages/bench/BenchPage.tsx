import { Box, Button, ButtonBase, ListSubheader, Menu, MenuItem } from '@mui/material';
import { IconChevronDown } from '@tabler/icons-react';
import { Suspense, useState } from 'react';
import { Link, NavLink, useParams } from 'react-router';
import { Page } from '../../ui/Page.tsx';
import { GROUPS, type Group, type Topic } from './topics.ts';

const TOPICS = GROUPS.flatMap(({ topics }) => topics);

/** The working-out: one topic at a time, each with an address of its own. */
export default function BenchPage() {
  const { topicId } = useParams();
  const chosen = TOPICS.find((t) => t.id === topicId) ?? (TOPICS[0] as Topic);
  const group = GROUPS.find(({ topics }) => topics.includes(chosen)) ?? (GROUPS[0] as Group);
  const { Part } = chosen;
  return (
    <Page title={chosen.title} lead={chosen.lead} nav={<Topics group={group} chosen={chosen} />}>
      <Suspense fallback={<Box aria-busy sx={{ minHeight: 300 }} />}>
        <Part key={chosen.id} />
      </Suspense>
      <Box
        component="nav"
        aria-label="What comes next"
        sx={{
          display: 'flex',
          flexWrap: 'wrap',
          alignItems: 'center',
          gap: 1,
          marginBlockStart: 2,
          '@media print': { display: 'none' },
        }}
      >
        <Box component="span" sx={{ color: 'text.secondary', marginInlineEnd: 0.5 }}>
          What comes next:
        </Box>
        {chosen.next.map(({ to, label }) => (
          <Button key={to} component={Link} to={to} variant="outlined">
            {label}
          </Button>
        ))}
      </Box>
    </Page>
  );
}

/** Two levels: the five kinds of work, and under them what can be worked out for the one; on a phone both in one menu. */
function Topics({ group, chosen }: { readonly group: Group; readonly chosen: Topic }) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  return (
    <Box component="nav" aria-label="On the bench" sx={{ '@media print': { display: 'none' } }}>
      <Box sx={{ display: { xs: 'none', md: 'block' } }}>
        <Box sx={{ display: 'flex', gap: 0.5, borderBlockEnd: '2px solid var(--line)' }}>
          {GROUPS.map((each) => (
            <ButtonBase
              key={each.name}
              component={Link}
              to={`/bench/${each.topics[0]?.id}`}
              aria-current={each === group ? 'true' : undefined}
              sx={{
                minHeight: 44,
                paddingInline: 1.5,
                fontSize: '1rem',
                fontWeight: 'fontWeightMedium',
                borderBlockEnd: '4px solid transparent',
                marginBlockEnd: '-2px',
                '&[aria-current]': { borderBlockEndColor: 'var(--action)' },
                '&:hover': { backgroundColor: 'var(--action-wash)' },
                '&:focus-visible': { outlineOffset: -4 },
              }}
            >
              {each.name}
            </ButtonBase>
          ))}
        </Box>
        <Box sx={{ display: 'flex', gap: 0.5, paddingBlockStart: 0.75 }}>
          {group.topics.map((t) => (
            <ButtonBase
              key={t.id}
              component={NavLink}
              to={`/bench/${t.id}`}
              aria-current={t === chosen ? 'page' : undefined}
              sx={{
                minHeight: 40,
                paddingInline: 1.5,
                borderRadius: '10px',
                fontSize: '0.95rem',
                '&[aria-current]': { backgroundColor: 'var(--action)', color: 'var(--on-action)' },
                '&:hover:not([aria-current])': { backgroundColor: 'var(--action-wash)' },
              }}
            >
              {t.name}
            </ButtonBase>
          ))}
        </Box>
      </Box>
      <Button
        variant="outlined"
        onClick={(event) => setAnchor(event.currentTarget)}
        aria-haspopup="menu"
        endIcon={<IconChevronDown size={18} aria-hidden />}
        sx={{ display: { xs: 'inline-flex', md: 'none' }, width: '100%', justifyContent: 'space-between' }}
      >
        {group.name}: {chosen.name}
      </Button>
      <Menu open={anchor !== null} anchorEl={anchor} onClose={() => setAnchor(null)}>
        {GROUPS.flatMap((each) => [
          <ListSubheader key={each.name} sx={{ lineHeight: 2.2 }}>
            {each.name}
          </ListSubheader>,
          ...each.topics.map((t) => (
            <MenuItem
              key={t.id}
              component={Link}
              to={`/bench/${t.id}`}
              selected={t === chosen}
              onClick={() => setAnchor(null)}
            >
              {t.name}
            </MenuItem>
          )),
        ])}
      </Menu>
    </Box>
  );
}
