package app.latethistle.core.render;

import app.latethistle.core.time.FrameRange;

/**
 * A stretch of the film that is rendered and kept as one.
 *
 * @param index from 0
 * @param range frames of the film
 * @param key SHA-256 in hex over all that can change a pixel of it, wherever in the film it lies
 */
public record Segment(int index, FrameRange range, String key) {}
