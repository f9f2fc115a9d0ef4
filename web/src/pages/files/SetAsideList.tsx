import { Box } from '@mui/material';
import type { SetAside } from '@rundel/core/garden-file';

/** So many are told one by one. */
const TOLD = 50;

/** Rows that did not read, each with what is wrong, folded away. */
export function SetAsideList({ rows }: { readonly rows: readonly SetAside[] }) {
  return (
    <Box component="details">
      <Box
        component="summary"
        sx={{
          minHeight: 44,
          display: 'flex',
          alignItems: 'center',
          cursor: 'pointer',
          textDecoration: 'underline',
        }}
      >
        Which, and why
      </Box>
      <Box component="ul" sx={{ margin: 0, paddingInlineStart: 2.5 }}>
        {rows.slice(0, TOLD).map(({ table, id, problem }, i) => (
          <li key={i}>
            {table} {id}: {problem}
          </li>
        ))}
      </Box>
    </Box>
  );
}
