import { useEffect, useState } from "react";

/**
 * A picture that changes often: the old one stays until the new one is decoded, and while one is
 * loading only the newest wish is kept, so scrubbing never queues.
 */
export function Still({ src, alt }: { src: string; alt: string }) {
  const shown = useLatest(src);
  if (!shown) return null;
  return (
    <img
      src={shown}
      alt={alt}
      draggable={false}
      style={{ width: "100%", height: "100%", objectFit: "contain", display: "block" }}
    />
  );
}

function useLatest(src: string): string | null {
  const [shown, setShown] = useState<string | null>(null);
  const [loader] = useState(() => new Loader(setShown));
  useEffect(() => loader.want(src), [loader, src]);
  return shown;
}

class Loader {
  private wanted = "";
  private loading = false;

  constructor(private readonly show: (src: string) => void) {}

  want(src: string) {
    this.wanted = src;
    if (!this.loading) void this.load();
  }

  private async load() {
    this.loading = true;
    let last = "";
    while (this.wanted !== last) {
      last = this.wanted;
      const image = new Image();
      image.src = last;
      try {
        await image.decode();
        this.show(last);
      } catch {
        // Not there (any more): keep the old picture, or take the next wish.
      }
    }
    this.loading = false;
  }
}
