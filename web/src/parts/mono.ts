import { useEffect, type RefObject } from "react";
import { create } from "zustand";

/** Whether both sides are heard as one, as a small loudspeaker plays them. */
export const useMono = create<{ on: boolean }>(() => ({ on: false }));

export const switchMono = () => useMono.setState(({ on }) => ({ on: !on }));

let context: AudioContext | null = null;
const sides = new WeakMap<HTMLMediaElement, GainNode>();

/**
 * Lets an element be heard as one side or two. The sides are made one by the mixing rule of the Web
 * Audio API (half of their sum); an element is led through it from the first time that is asked for.
 */
function hearAs(element: HTMLMediaElement, one: boolean) {
  let node = sides.get(element);
  if (!node) {
    if (!one) return;
    context ??= new AudioContext();
    node = context.createGain();
    node.channelCountMode = "explicit";
    context.createMediaElementSource(element).connect(node).connect(context.destination);
    sides.set(element, node);
  }
  node.channelCount = one ? 1 : 2;
  void context?.resume();
}

/** Keeps an element at what was chosen. */
export function useHeardSides(element: RefObject<HTMLMediaElement | null>, playing: boolean) {
  const one = useMono((s) => s.on);
  useEffect(() => {
    if (playing && element.current) hearAs(element.current, one);
  }, [element, playing, one]);
}
