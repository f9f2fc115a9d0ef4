import { createTheme, type Theme } from '@mui/material/styles';
import { cssVariables, TOKENS, type ThemeName } from './tokens.ts';

export const TEXT_FACE = "'Hanken Grotesk Variable', system-ui, sans-serif";
export const DISPLAY_FACE = "'Bricolage Grotesque Variable', 'Hanken Grotesk Variable', sans-serif";

/** Material's components in Rundel's clothes: borders over shadows, own radii and faces, big quiet targets. */
export function themeFor(themeName: ThemeName): Theme {
  const t = TOKENS[themeName];
  const heading = (size: string) => ({
    fontFamily: DISPLAY_FACE,
    fontWeight: 720,
    fontSize: size,
    lineHeight: 1.15,
    letterSpacing: '-0.01em',
  });
  return createTheme({
    palette: {
      mode: themeName === 'dusk' ? 'dark' : 'light',
      primary: { main: t.action, contrastText: t.onAction },
      secondary: { main: t.flower, contrastText: t.onFlower },
      error: { main: t.fruit },
      background: { default: t.ground, paper: t.surface },
      text: { primary: t.ink, secondary: t.muted },
      divider: t.line,
    },
    shape: { borderRadius: 10 },
    typography: {
      fontFamily: TEXT_FACE,
      fontWeightRegular: t.weight.text,
      fontWeightMedium: t.weight.strong,
      fontWeightBold: t.weight.strong + 50,
      fontSize: 15,
      h1: heading('1.9rem'),
      h2: heading('1.35rem'),
      h3: heading('1.1rem'),
      body1: { fontSize: '1rem', lineHeight: 1.5 },
      body2: { fontSize: '0.9rem', lineHeight: 1.45 },
      button: { textTransform: 'none', fontWeight: t.weight.strong, fontSize: '1rem' },
    },
    components: {
      MuiCssBaseline: {
        styleOverrides: {
          ':root': cssVariables(t),
          // a word that is longer than the screen is broken, or the page would be as wide as the word
          body: {
            fontVariantNumeric: 'tabular-nums',
            WebkitTextSizeAdjust: '100%',
            overflowWrap: 'anywhere',
          },
          // columns are not made narrower than their longest word because of it
          'table, pre': { overflowWrap: 'break-word' },
          ':focus-visible': {
            outline: `3px solid ${themeName === 'dusk' ? t.flower : t.action}`,
            outlineOffset: 2,
          },
          // on paper: the drawing, the words and the tables, and nothing to press
          '@media print': {
            body: { backgroundColor: '#ffffff' },
            'button, [role="group"] > button, .MuiSnackbar-root, form': { display: 'none !important' },
            section: { breakInside: 'avoid' },
          },
          '@media (prefers-reduced-motion: reduce)': {
            '*, *::before, *::after': {
              animationDuration: '0.01ms !important',
              transitionDuration: '0.01ms !important',
            },
          },
        },
      },
      MuiButtonBase: {
        defaultProps: { disableRipple: true },
        styleOverrides: { root: { fontFamily: TEXT_FACE } },
      },
      MuiButton: {
        defaultProps: { disableElevation: true },
        styleOverrides: {
          root: { minHeight: 44, borderRadius: 10, paddingInline: 16 },
          outlined: {
            borderWidth: themeName === 'glare' ? 2 : 1.5,
            borderColor: t.line,
            color: t.ink,
            backgroundColor: t.raised,
          },
        },
      },
      MuiPaper: {
        defaultProps: { elevation: 0 },
        styleOverrides: { root: { backgroundImage: 'none', border: `1px solid ${t.line}` } },
      },
      MuiDialog: { styleOverrides: { paper: { borderRadius: 14, border: `2px solid ${t.ink}` } } },
      MuiMenu: { styleOverrides: { paper: { border: `1.5px solid ${t.ink}` } } },
      MuiOutlinedInput: {
        styleOverrides: {
          root: { backgroundColor: t.raised, minHeight: 48 },
          notchedOutline: { borderColor: t.muted },
        },
      },
      MuiToggleButton: {
        styleOverrides: {
          root: {
            color: t.ink,
            borderColor: t.muted,
            backgroundColor: t.raised,
            minHeight: 44,
            paddingInline: 14,
            textTransform: 'none',
            '&.Mui-selected, &.Mui-selected:hover': { backgroundColor: t.action, color: t.onAction },
          },
        },
      },
      MuiFormHelperText: { styleOverrides: { root: { fontSize: '0.85rem', marginInline: 2 } } },
      MuiTableCell: { styleOverrides: { root: { borderColor: t.line, paddingBlock: 8 } } },
      MuiTooltip: {
        styleOverrides: { tooltip: { backgroundColor: t.ink, color: t.ground, fontSize: '0.85rem' } },
      },
      MuiLink: { defaultProps: { underline: 'always', color: 'inherit' } },
      MuiAlert: { styleOverrides: { root: { borderRadius: 10 } } },
    },
  });
}
