import { createTheme } from "@mui/material/styles";

/** Every colour of the application. */
export const ink = {
  paper: "#F4F0E8",
  sheet: "#FBF9F5",
  band: "#EDE7DB",
  rule: "#D9D1C3",
  rule2: "#C4BAAA",
  /** Borders of what can be pressed or written in: 3:1 on paper, sheet and band. */
  edge: "#877D72",
  ink: "#27212D",
  ink2: "#5A5262",
  ink3: "#6E6676",
  thistle: "#7A4A92",
  thistleDeep: "#5A3270",
  thistleMid: "#C9B3D6",
  thistleWash: "#EADFF0",
  ribbonPeak: "#D5C6DF",
  ribbonBody: "#B79CC8",
  wavePeak: "#C4ADD2",
  waveBody: "#9273A6",
  moss: "#5C6B33",
  mossWash: "#E5E8D5",
  rust: "#A5431F",
  rustWash: "#F5DFD3",
  well: "#7F7F7F",
} as const;

export const face = {
  serif: '"Fraunces Variable", Georgia, serif',
  sans: '"Source Sans 3 Variable", "Source Sans 3", sans-serif',
  mono: '"IBM Plex Mono", monospace',
  /** Words of the narration on the score, set as wide as they are long. */
  lyric: '"Noto Sans Variable", sans-serif',
} as const;

/** Fraunces with our soft, upright cut. */
export const fraunces = {
  fontFamily: face.serif,
  fontVariationSettings: '"SOFT" 30, "WONK" 0',
} as const;

export const theme = createTheme({
  palette: {
    mode: "light",
    primary: {
      main: ink.thistle,
      dark: ink.thistleDeep,
      light: ink.thistleMid,
      contrastText: "#fff",
    },
    error: { main: ink.rust },
    success: { main: ink.moss },
    text: { primary: ink.ink, secondary: ink.ink2, disabled: ink.ink3 },
    background: { default: ink.paper, paper: ink.sheet },
    divider: ink.rule,
  },
  shape: { borderRadius: 5 },
  spacing: 4,
  typography: {
    fontFamily: face.sans,
    fontSize: 13,
    htmlFontSize: 16,
    body1: { fontSize: 13, lineHeight: "18px" },
    body2: { fontSize: 12, lineHeight: "16px" },
    h1: { ...fraunces, fontSize: 19, lineHeight: "26px", fontWeight: 460 },
    h2: { ...fraunces, fontSize: 17, lineHeight: "24px", fontWeight: 460 },
    button: { textTransform: "none", fontSize: 13, lineHeight: "18px", fontWeight: 500 },
  },
  components: {
    MuiSlider: {
      styleOverrides: {
        // In the slider's own colour, for there is no hue in the Look room.
        thumb: {
          "&:hover, &.Mui-focusVisible, &.Mui-active": {
            boxShadow: "0 0 0 6px color-mix(in srgb, currentColor 25%, transparent)",
          },
        },
      },
    },
    MuiCssBaseline: {
      styleOverrides: {
        "html, body, #root": { height: "100%" },
        body: { fontVariantNumeric: "tabular-nums", overflow: "hidden" },
        "*:focus-visible": { outline: `2px solid ${ink.thistle}`, outlineOffset: 1 },
        "@media (prefers-reduced-motion: reduce)": {
          "*": { transition: "none !important", animation: "none !important" },
        },
      },
    },
    MuiButtonBase: { defaultProps: { disableRipple: true } },
    MuiButton: {
      defaultProps: { variant: "outlined", disableElevation: true, color: "inherit" },
      styleOverrides: {
        root: {
          minHeight: 26,
          padding: "3px 10px",
          minWidth: 0,
          "&.Mui-focusVisible": { outline: `2px solid ${ink.thistle}`, outlineOffset: 1 },
        },
        outlined: {
          backgroundColor: ink.sheet,
          borderColor: ink.edge,
          "&:hover": { backgroundColor: ink.band, borderColor: ink.ink3 },
        },
      },
    },
    MuiIconButton: { styleOverrides: { root: { borderRadius: 5, padding: 4, color: ink.ink } } },
    MuiToggleButton: {
      styleOverrides: {
        root: {
          height: 26,
          padding: "0 10px",
          fontSize: 13,
          color: ink.ink2,
          borderColor: ink.edge,
          backgroundColor: ink.sheet,
          textTransform: "none",
          "&.Mui-selected": {
            backgroundColor: ink.thistleWash,
            color: ink.thistleDeep,
            fontWeight: 600,
          },
          "&.Mui-selected:hover": { backgroundColor: ink.thistleWash },
        },
      },
    },
    MuiOutlinedInput: {
      defaultProps: { size: "small" },
      styleOverrides: {
        root: { backgroundColor: ink.sheet, fontSize: 13 },
        notchedOutline: { borderColor: ink.edge },
        input: { padding: "3px 8px", height: 20 },
      },
    },
    MuiCheckbox: { styleOverrides: { root: { color: ink.ink2 } } },
    MuiSelect: { defaultProps: { size: "small" } },
    MuiPaper: {
      defaultProps: { elevation: 0 },
      styleOverrides: { root: { backgroundImage: "none" } },
    },
    MuiDialog: { styleOverrides: { paper: { border: `1px solid ${ink.rule2}` } } },
    MuiMenu: { styleOverrides: { paper: { border: `1px solid ${ink.rule2}` } } },
    MuiMenuItem: { styleOverrides: { root: { fontSize: 13, minHeight: 28 } } },
    MuiTooltip: {
      defaultProps: { enterDelay: 500 },
      styleOverrides: { tooltip: { backgroundColor: ink.ink, fontSize: 12, fontWeight: 400 } },
    },
    MuiAlert: {
      styleOverrides: {
        root: {
          border: `1px solid ${ink.rule2}`,
          color: ink.ink,
          padding: "2px 12px",
          backgroundColor: ink.sheet,
          "&.MuiAlert-colorError": { backgroundColor: ink.rustWash, borderColor: ink.rust },
        },
      },
    },
    MuiLinearProgress: {
      styleOverrides: { root: { height: 6, borderRadius: 2, backgroundColor: ink.band } },
    },
  },
});
