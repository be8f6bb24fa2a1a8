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
  const bye = () => say("bye");
  worker.port.onmessage = ({ data }: MessageEvent<Told>) => tell(data);
  worker.port.start();
  // A tab that is closed has no time to unmount anything.
  window.addEventListener("pagehide", bye);
  return {
    listen: (production) => say({ production }),
    close: () => {
      window.removeEventListener("pagehide", bye);
      bye();
      worker.port.close();
    },
  };
}
