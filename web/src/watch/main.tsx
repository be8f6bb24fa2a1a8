import "@fontsource-variable/fraunces/full.css";
import "@fontsource-variable/source-sans-3/index.css";
import "@fontsource/ibm-plex-mono/500.css";
import CssBaseline from "@mui/material/CssBaseline";
import { ThemeProvider } from "@mui/material/styles";
import { createRoot } from "react-dom/client";
import { theme } from "../theme";
import { Watch } from "./Watch";

const root = document.getElementById("root");
if (root) {
  createRoot(root).render(
    <ThemeProvider theme={theme}>
      <CssBaseline />
      <Watch link={window.location.pathname.replace(/\/+$/, "")} />
    </ThemeProvider>,
  );
}
