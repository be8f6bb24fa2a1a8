package app.latethistle.server.material;

/** The repairs at work, and those that failed. */
interface Repairs extends TakeWorks<Repair> {}
