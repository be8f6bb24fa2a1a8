/**
 * The cut planner: from picks in order and both clocks to a film whose cuts fall where they should.
 *
 * <p>{@link app.latethistle.core.plan.CutPlanner} is the door; {@link
 * app.latethistle.core.plan.OrderedCut} answers for shots in order, exactly, by a dynamic programme
 * over (shot, moment). A {@code Moment} is a frame at which a cut may fall, with the tie it would
 * have: on a beat, just before a phrase, or free. The {@code Objective} says what each shot costs
 * between two moments, in {@link app.latethistle.core.plan.Term}s that a plan reports. Each {@link
 * app.latethistle.core.plan.Pace} makes another proposal. Why a joint is where it is, {@link
 * app.latethistle.core.film.Reasons} tells.
 *
 * <pre>{@code
 * CutPlan plan = new OrderedCut().plan(request.at(Pace.BRISK));
 * plan.film();        // placements and joints, each joint tied to a beat or word
 * plan.leftOut();     // shots there was no room for
 * plan.terms();       // {LENGTH=1.2, BEAT=0.9, ...}
 * }</pre>
 */
package app.latethistle.core.plan;
