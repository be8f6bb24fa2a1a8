package app.latethistle.server.material;

/** A take shows something else than before, wherever it is shown. */
public record TakeRedrawn(long productionId, long takeId) {}
