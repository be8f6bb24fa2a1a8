package app.latethistle.server.material;

import app.latethistle.core.music.BeatGrid;

/** A song's beats were put right. */
public record GridChanged(long productionId, long songId, BeatGrid before, BeatGrid after) {}
