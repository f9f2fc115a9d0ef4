import { Box, Typography } from '@mui/material';
import { CAUTIONS } from '@rundel/core/care';
import { Link } from 'react-router';
import { Page, Panel } from '../../ui/Page.tsx';

/** Every caution that is said at its step, on one page. */
export default function DangersPage() {
  return (
    <Page
      title="Dangers"
      lead={
        <>
          What is said at its step, all together. Labels, local rules and qualified people come first.{' '}
          <Link to="/help" style={{ color: 'inherit' }}>
            Back to help
          </Link>
        </>
      }
      width={820}
    >
      <Panel>
        <Box component="dl" sx={{ margin: 0, display: 'grid', gap: 1.75 }}>
          {CAUTIONS.map(({ id, title, line, more }) => (
            <div key={id}>
              <Typography component="dt" sx={{ fontWeight: 700 }}>
                {title}
              </Typography>
              <Box component="dd" sx={{ margin: 0 }}>
                {line} <Box component="span">{more}</Box>
              </Box>
            </div>
          ))}
        </Box>
      </Panel>
    </Page>
  );
}
