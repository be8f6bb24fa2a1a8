import Hls from "hls.js";
import { useEffect, type RefObject } from "react";

/** Has a video play a file or a playlist; a machine that cannot play either says so. */
export function useReel(
  video: RefObject<HTMLVideoElement | null>,
  source: string,
  onTrouble: (says: string) => void,
) {
  useEffect(() => {
    const element = video.current;
    if (!element) return;
    const list = source.endsWith(".m3u8");
    if (list && Hls.isSupported()) {
      const player = new Hls({ enableWorker: false });
      player.loadSource(source);
      player.attachMedia(element);
      player.on(Hls.Events.ERROR, (_, data) => {
        if (data.fatal)
          onTrouble("The film stopped: it was changed just now, or cannot be reached.");
      });
      return () => player.destroy();
    }
    element.setAttribute("src", source);
    element.load();
    return () => element.removeAttribute("src");
  }, [video, source, onTrouble]);
}
