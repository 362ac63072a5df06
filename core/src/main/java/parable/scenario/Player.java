package parable.scenario;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.OptionalLong;
import parable.bench.ActionRefusedException;
import parable.bench.Bench;

/** Plays a script on a bench, at once or bit by bit as time goes on. */
public final class Player {

    private final Bench bench;
    private final Scenario scenario;
    private final List<Outcome> outcomes = new ArrayList<>();
    private int next;

    /**
     * A player at the beginning of a script. The bench should be at time 0.
     *
     * @throws ScenarioException if the script expects something that makes no sense on this sheet
     */
    public Player(Bench bench, Scenario scenario) throws ScenarioException {
        scenario.check(bench.assembly());
        this.bench = bench;
        this.scenario = scenario;
    }

    /**
     * Lets the bench run, and does and checks on the way what the script says.
     *
     * @param time until when in microseconds, not before the bench's present time
     * @throws ScenarioException if the script does something to a device that cannot be done to it
     */
    public void playUntil(long time) throws ScenarioException {
        while (next < scenario.steps().size() && scenario.steps().get(next).time() <= time) {
            Step step = scenario.steps().get(next);
            bench.runUntil(Math.max(step.time(), bench.now()));
            play(step);
            next++;
        }
        bench.runUntil(time);
    }

    private void play(Step step) throws ScenarioException {
        try {
            if (step instanceof Step.Do todo) {
                bench.act(todo.action());
            } else if (step instanceof Step.SetFault set) {
                bench.set(set.fault(), set.there());
            } else if (step instanceof Step.Expect expect) {
                outcomes.add(new Outcome(expect, expect.expectation().missedBy(bench)));
            }
        } catch (ActionRefusedException refused) {
            throw new ScenarioException(step.line(), refused.getMessage());
        }
    }

    /**
     * Plays all that is left of the script.
     *
     * @throws ScenarioException if the script does something to a device that cannot be done to it
     */
    public void playAll() throws ScenarioException {
        while (next < scenario.steps().size()) {
            playUntil(Math.max(scenario.steps().get(next).time(), bench.now()));
        }
    }

    /** The time of the next step, empty if the script is over. */
    public OptionalLong nextStep() {
        return next < scenario.steps().size()
                ? OptionalLong.of(scenario.steps().get(next).time())
                : OptionalLong.empty();
    }

    /** What became of the expectations so far; the list cannot be changed. */
    public List<Outcome> outcomes() {
        return Collections.unmodifiableList(outcomes);
    }
}
