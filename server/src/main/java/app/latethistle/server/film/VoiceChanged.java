package app.latethistle.server.film;

/** Another reading is used, or a line starts elsewhere. */
public record VoiceChanged(long productionId) {}
