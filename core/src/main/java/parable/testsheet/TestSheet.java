package parable.testsheet;

import java.util.ArrayList;
import java.util.List;
import parable.bench.Fault;
import parable.bench.Moment;
import parable.circuit.Practice;
import parable.parts.Assembly;

/**
 * The test sheet of an assembled sheet, made from its circuit: dead, the control circuit alone, and with the motor. What must be found comes from the
 * simulation of the sound circuit.
 */
public final class TestSheet {

    private TestSheet() {}

    /** The steps in the order in which they are done. */
    public static List<TestStep> of(Assembly assembly, Practice practice) {
        Steps steps = new Steps(assembly);
        new DeadSteps(steps, practice).add();
        new OperatedSteps(steps, Phase.CONTROL, practice).add();
        new OperatedSteps(steps, Phase.MOTOR, practice).add();
        return steps.all();
    }

    /** A sound panel as it must be while a step is read. */
    public static Moment moment(Assembly assembly, TestStep step) {
        return new StepRehearsal(assembly, List.of()).rest(step.situation()).moment();
    }

    /** What each of the steps finds on a panel with faults, in their order. */
    public static List<Found> found(Assembly assembly, List<TestStep> steps, List<Fault> faults) {
        StepRehearsal faulty = new StepRehearsal(assembly, faults);
        List<Found> found = new ArrayList<>();
        steps.forEach(step -> found.add(step.observation().at(faulty.rest(step.situation()))));
        return found;
    }
}
