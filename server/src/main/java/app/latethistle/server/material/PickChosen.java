package app.latethistle.server.material;

/** A person made a take its shot's pick. */
public record PickChosen(long productionId, long shotId, long takeId) {}
