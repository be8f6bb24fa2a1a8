package app.latethistle.server.material;

/** A take has its light copy and can be used. */
public record TakeReady(long productionId, long shotId, long takeId) {}
