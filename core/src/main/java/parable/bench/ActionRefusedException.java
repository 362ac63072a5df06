package parable.bench;

/** An action that makes no sense for the device, or a device that is not there. The bench goes on as if nothing was said. */
public final class ActionRefusedException extends Exception {

    private static final long serialVersionUID = 1L;

    ActionRefusedException(Action action, String expected) {
        super(action.tag() + ": cannot '" + action + "', expected " + expected);
    }

    ActionRefusedException(Fault fault, String expected) {
        super(fault.tag() + ": cannot have the fault '" + fault.words() + "', expected " + expected);
    }
}
