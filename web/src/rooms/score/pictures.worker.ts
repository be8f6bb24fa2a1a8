/// <reference lib="webworker" />
import type { Answer } from "./pictures";

/** Fetches pictures and decodes them beside the page, which has better things to do. */
const here = self as unknown as DedicatedWorkerGlobalScope;

here.onmessage = async ({ data: src }: MessageEvent<string>) => {
  try {
    const answer = await fetch(src, { priority: "low" });
    if (!answer.ok) throw new Error(answer.statusText);
    const passes = answer.headers.get("cache-control")?.includes("no-cache") ?? false;
    const image = await createImageBitmap(await answer.blob());
    here.postMessage({ src, image, passes } satisfies Answer, [image]);
  } catch {
    here.postMessage({ src, image: null, passes: false } satisfies Answer);
  }
};
