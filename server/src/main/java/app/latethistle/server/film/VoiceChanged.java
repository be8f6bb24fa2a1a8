package app.latethistle.server.film;

import app.latethistle.core.film.Revoice;

/** Another reading is used, or a line starts elsewhere; it is settled so already. */
public record VoiceChanged(long productionId, Revoice edit) {}
