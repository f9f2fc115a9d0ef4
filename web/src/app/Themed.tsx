import { CssBaseline, ThemeProvider, useMediaQuery } from '@mui/material';
import { useEffect, useMemo, type ReactNode } from 'react';
import { useLook } from './theme/look-choice.ts';
import { themeFor } from './theme/theme.ts';

export function Themed({ children }: { readonly children: ReactNode }) {
  const { look } = useLook();
  // paper is white, whatever the screen is
  const isOnPaper = !useMediaQuery('screen', { noSsr: true });
  const theme = useMemo(() => themeFor(isOnPaper ? 'light' : look), [isOnPaper, look]);
  useEffect(() => {
    document.documentElement.dataset['look'] = look;
  }, [look]);
  return (
    <ThemeProvider theme={theme}>
      <CssBaseline />
      {children}
    </ThemeProvider>
  );
}
