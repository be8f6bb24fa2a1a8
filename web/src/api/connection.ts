import { Stream, type Told, type Wanted } from "./pulses";

/** Where a tab hears of its production. */
interface Connection {
  listen: (production: number) => void;
  close: () => void;
}

/**
 * Opens the one connection that all tabs share; where a browser has no shared workers, this tab has
 * one of its own.
 */
export function connect(tell: (told: Told) => void): Connection {
  if (typeof SharedWorker === "undefined") {
    const stream = new Stream(tell);
    return {
      listen: (production) => stream.listen([production]),
      close: () => stream.listen([]),
    };
  }
  const worker = new SharedWorker(new URL("./pulses.worker.ts", import.meta.url), {
    type: "module",
    name: "late-thistle-events",
  });
  const say = (wanted: Wanted) => worker.port.postMessage(wanted);
  let listening: Wanted = "bye";
  const bye = () => say("bye");
  const again = () => say(listening);
  worker.port.onmessage = ({ data }: MessageEvent<Told>) => tell(data);
  worker.port.start();
  // A tab that is closed has no time to unmount anything; one that is gone back to is not mounted.
  window.addEventListener("pagehide", bye);
  window.addEventListener("pageshow", again);
  return {
    listen: (production) => {
      listening = { production };
      again();
    },
    close: () => {
      window.removeEventListener("pagehide", bye);
      window.removeEventListener("pageshow", again);
      bye();
      worker.port.close();
    },
  };
}
