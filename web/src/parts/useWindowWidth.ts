import { useSyncExternalStore } from "react";

/** Rooms are made for windows at least so wide, in pixels. */
export const NARROWEST = 1000;

const listen = (told: () => void) => {
  window.addEventListener("resize", told);
  return () => window.removeEventListener("resize", told);
};

/** How wide the window is, in pixels, kept up to date. */
export const useWindowWidth = () => useSyncExternalStore(listen, () => window.innerWidth);
