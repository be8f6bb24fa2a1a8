/**
 * The cut planner: from picks in order and a song's beats to a film whose cuts fall where they
 * should.
 *
 * <p>{@link app.latethistle.core.plan.CutPlanner} is the door; {@link
 * app.latethistle.core.plan.FirstCut} is the planner there is now, an exact dynamic programme over
 * (shot, moment). Another planner takes its place by answering the same {@link
 * app.latethistle.core.plan.CutPlanner.Request}.
 *
 * <pre>{@code
 * CutPlan plan = new FirstCut().plan(request);
 * plan.film();        // placements and joints, each joint tied to a beat
 * plan.leftOut();     // shots there was no room for
 * }</pre>
 */
package app.latethistle.core.plan;
