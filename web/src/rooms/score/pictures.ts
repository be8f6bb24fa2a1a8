/** A picture the worker has fetched, or null if it could not; passing if it may change. */
export interface Answer {
  src: string;
  image: ImageBitmap | null;
  passes: boolean;
}

/** A picture that is there or on its way. */
interface Kept {
  image: ImageBitmap | null;
  /** When it was last fetched, if it may change at its address; else null. */
  passing: number | null;
  waiting: Set<() => void>;
}

/** Most pictures kept, about 100 MB of them at 256 by 144. */
const MOST = 700;

/** A picture that may change is asked for anew after so many milliseconds. */
const PASSES = 5000;

/**
 * Small pictures that are decoded, so that a canvas can draw hundreds at once. Those that were
 * unused longest are let go.
 */
class Pictures {
  private readonly kept = new Map<string, Kept>();
  private worker: Worker | null = null;

  /** A picture if it is there. */
  get = (src: string): ImageBitmap | null => this.kept.get(src)?.image ?? null;

  /** Fetches a picture that is not there, and tells when it is. A failed one is asked for again. */
  want(src: string, tell: () => void) {
    const kept = this.kept.get(src) ?? { image: null, passing: null, waiting: new Set() };
    const isKnown = this.kept.delete(src);
    // The order of a map is that of adding.
    this.kept.set(src, kept);
    const isOld = kept.passing !== null && performance.now() - kept.passing > PASSES;
    if (!kept.image || isOld) kept.waiting.add(tell);
    if (isKnown && !isOld) return;
    kept.passing &&= performance.now();
    this.worker ??= this.begin();
    this.worker.postMessage(src);
    this.letGo();
  }

  /** No longer tells. */
  forget(src: string, tell: () => void) {
    this.kept.get(src)?.waiting.delete(tell);
  }

  private begin(): Worker {
    const worker = new Worker(new URL("./pictures.worker.ts", import.meta.url), { type: "module" });
    worker.onmessage = ({ data }: MessageEvent<Answer>) => this.come(data);
    return worker;
  }

  private come({ src, image, passes }: Answer) {
    const kept = this.kept.get(src);
    if (!kept || !image) {
      // Its place stays dark until a stave asks again.
      image?.close();
      if (!kept?.image) this.kept.delete(src);
      return;
    }
    kept.image?.close();
    kept.image = image;
    kept.passing = passes ? performance.now() : null;
    kept.waiting.forEach((tell) => tell());
    kept.waiting.clear();
  }

  private letGo() {
    for (const [src, { image, waiting }] of this.kept) {
      if (this.kept.size <= MOST) return;
      if (!image || waiting.size > 0) continue;
      image.close();
      this.kept.delete(src);
    }
  }
}

/** The pictures of takes on the score. */
export const pictures = new Pictures();
