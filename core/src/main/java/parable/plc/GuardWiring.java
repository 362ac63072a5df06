package parable.plc;

import java.util.List;

/** What stays in copper in front of all coils, and how the controller learns whether it conducts. */
final class GuardWiring {

    private final FieldDraft field;
    private final ControllerSupply supply;
    private final InputWiring inputs;
    private final Guard guard;
    private final String voltage;
    private String bit = "";
    private String relay = "";
    private String point = "";

    /**
     * The wiring of a guard.
     *
     * @param voltage the rated voltage of the coils that it guards
     */
    GuardWiring(FieldDraft field, ControllerSupply supply, InputWiring inputs, Guard guard, String voltage) {
        this.field = field;
        this.supply = supply;
        this.inputs = inputs;
        this.guard = guard;
        this.voltage = voltage;
    }

    /** What guards. */
    Guard guard() {
        return guard;
    }

    /** The point where the coils begin; blank until the head is drawn. */
    String point() {
        return point;
    }

    /** The relay that tells the controller, blank if none is needed. */
    String relay() {
        return relay;
    }

    /** Puts the end of the guard on an input, by a relay if it has another voltage or ends on the return side; returns its variable. */
    String bit() {
        if (bit.isEmpty()) {
            boolean direct =
                    guard.behind().isEmpty() && field.railOf(guard.feed()).equals(supply.plus());
            bit = inputs.variable("guard", "all that guards in copper conducts");
            use(guard.front());
            use(guard.behind());
            if (direct) {
                inputs.add(head() + " " + inputs.reading() + " ; what guards in copper conducts");
            } else {
                relay = field.panel().tag(field.american() ? "CR" : "KA", 1);
                field.panel().device("control-relay", relay, "Guard", "panel", "coil", voltage, "changeovers", "1");
                inputs.add(supply.plus() + " " + relay + "[11-14] "
                        + field.panel().point() + " " + inputs.reading() + " ; what guards in copper conducts");
            }
        }
        return bit;
    }

    private void use(List<ControlGraph.Edge> contacts) {
        contacts.forEach(edge ->
                field.panel().use(field.graph().part(edge).tag(), field.graph().contact(edge)));
    }

    /** The rung from the rail through everything that guards in front of the coils, up to the point where the coils begin. */
    String head() {
        StringBuilder head = new StringBuilder(field.railOf(guard.feed()));
        point = head.toString();
        for (ControlGraph.Edge edge : guard.front()) {
            point = field.panel().point();
            head.append(' ').append(field.passage(edge)).append(' ').append(point);
        }
        return head.toString();
    }
}
