/**
 * Background jobs that end: queued in the transaction that needs them, tried a few times, given up
 * in a state that a person sees. A {@link app.latethistle.server.jobs.Lane} is a queue; the lane of
 * renders is worked on by every process that shares the database, the other by the server alone.
 */
package app.latethistle.server.jobs;
