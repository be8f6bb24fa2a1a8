import { useEffect, useRef, useState } from "react";

/**
 * A picture that changes often: the old one stays until the new one is decoded, and while one is
 * loading only the newest wish is kept, so scrubbing never queues. Without a wish it stays.
 */
export function Still({
  src,
  alt,
  stretched = false,
  onShown,
}: {
  src: string | null;
  alt: string;
  /** Whether it fills its place whatever the shape, as a graph may. */
  stretched?: boolean;
  /** Told when a picture that was wished for is there. */
  onShown?: () => void;
}) {
  const box = useRef<HTMLDivElement>(null);
  const [loader] = useState(() => new Loader());
  useEffect(() => {
    if (src === null) return;
    loader.want(src, (image) => {
      if (stretched) image.style.objectFit = "fill";
      // The decoded element itself is shown: another one would have to load it again.
      box.current?.replaceChildren(image);
      onShown?.();
    });
  }, [loader, src, stretched, onShown]);
  return <div ref={box} role="img" aria-label={alt} style={{ width: "100%", height: "100%" }} />;
}

const STYLE = "width: 100%; height: 100%; object-fit: contain; display: block";

class Loader {
  private wanted = "";
  private loading = false;
  private show: (image: HTMLImageElement) => void = () => undefined;

  want(src: string, show: (image: HTMLImageElement) => void) {
    this.wanted = src;
    this.show = show;
    if (!this.loading) void this.load();
  }

  private async load() {
    this.loading = true;
    let last = "";
    while (this.wanted !== last) {
      last = this.wanted;
      const image = new Image();
      image.src = last;
      image.alt = "";
      image.draggable = false;
      image.style.cssText = STYLE;
      try {
        await image.decode();
        this.show(image);
      } catch {
        // Not there (any more): keep the old picture, or take the next wish.
      }
    }
    this.loading = false;
  }
}
