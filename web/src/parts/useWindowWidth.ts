import { useSyncExternalStore } from "react";

const listen = (told: () => void) => {
  window.addEventListener("resize", told);
  return () => window.removeEventListener("resize", told);
};

/** How wide the window is, in pixels, kept up to date. */
export const useWindowWidth = () => useSyncExternalStore(listen, () => window.innerWidth);
