import "@fontsource-variable/fraunces/full.css";
import "@fontsource-variable/fraunces/full-italic.css";
import "@fontsource-variable/source-sans-3/index.css";
import "@fontsource/ibm-plex-mono/500.css";
import "@fontsource-variable/noto-sans/wdth.css";
import CssBaseline from "@mui/material/CssBaseline";
import { ThemeProvider } from "@mui/material/styles";
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { createRoot } from "react-dom/client";
import { BrowserRouter } from "react-router";
import { App } from "./App";
import { NoticeLine } from "./parts/notice";
import { theme } from "./theme";

const queries = new QueryClient({
  defaultOptions: {
    // The server is on this machine: there may be no network at all.
    queries: { staleTime: 30_000, retry: 1, refetchOnWindowFocus: true, networkMode: "always" },
    mutations: { networkMode: "always" },
  },
});

const root = document.getElementById("root");
if (root) {
  createRoot(root).render(
    <QueryClientProvider client={queries}>
      <ThemeProvider theme={theme}>
        <CssBaseline />
        <BrowserRouter>
          <App />
        </BrowserRouter>
        <NoticeLine />
      </ThemeProvider>
    </QueryClientProvider>,
  );
}
