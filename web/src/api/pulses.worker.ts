import { Stream, type Told, type Wanted } from "./pulses";

/** The tabs that are open, and the production each shows. */
const tabs = new Map<MessagePort, number>();

const stream = new Stream((told: Told) => {
  for (const [port, production] of tabs) {
    if (told.kind === "reach" || told.production === production) port.postMessage(told);
  }
});

const scope = self as unknown as { onconnect: (event: MessageEvent) => void };

scope.onconnect = ({ ports: [port] }) => {
  if (!port) return;
  port.onmessage = ({ data }: MessageEvent<Wanted>) => {
    if (data === "bye") {
      tabs.delete(port);
    } else {
      tabs.set(port, data.production);
      for (const told of stream.known(data.production)) port.postMessage(told);
    }
    stream.listen(tabs.values());
  };
  port.start();
};
