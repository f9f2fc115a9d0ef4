import { CssBaseline, ThemeProvider, useMediaQuery } from '@mui/material';
import { useEffect, useMemo, type ReactNode } from 'react';
import { useThemeChoice } from './theme/theme-choice.ts';
import { themeFor } from './theme/theme.ts';

export function Themed({ children }: { readonly children: ReactNode }) {
  const { themeName } = useThemeChoice();
  // paper is white, whatever the screen is
  const isOnPaper = !useMediaQuery('screen', { noSsr: true });
  const theme = useMemo(() => themeFor(isOnPaper ? 'light' : themeName), [isOnPaper, themeName]);
  useEffect(() => {
    document.documentElement.dataset['theme'] = themeName;
  }, [themeName]);
  return (
    <ThemeProvider theme={theme}>
      <CssBaseline enableColorScheme />
      {children}
    </ThemeProvider>
  );
}
