import { useEffect, useState } from "react";

/**
 * A picture that changes often: the old one stays until the new one is decoded, and while one is
 * loading only the newest wish is kept, so scrubbing never queues. Without a wish it stays.
 */
export function Still({
  src,
  alt,
  onShown,
}: {
  src: string | null;
  alt: string;
  /** Told when a picture that was wished for is there. */
  onShown?: () => void;
}) {
  const shown = useLatest(src, onShown);
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

function useLatest(src: string | null, onShown?: () => void): string | null {
  const [shown, setShown] = useState<string | null>(null);
  const [loader] = useState(
    () =>
      new Loader((now) => {
        setShown(now);
        onShown?.();
      }),
  );
  useEffect(() => {
    if (src !== null) loader.want(src);
  }, [loader, src]);
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
