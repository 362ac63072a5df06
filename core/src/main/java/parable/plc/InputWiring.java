package parable.plc;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import parable.parts.Contact;
import parable.parts.Family;
import parable.parts.Part;
import parable.program.Address;
import parable.program.Logic;

/** The inputs of a controller, each with its variable and the rung that it is read by. */
final class InputWiring {

    private final FieldDraft field;
    private final ControllerSupply supply;
    private final List<String> rungs = new ArrayList<>();
    private final Map<String, Integer> contactsRead = new HashMap<>();
    private final Map<String, String> names = new HashMap<>();

    InputWiring(FieldDraft field, ControllerSupply supply) {
        this.field = field;
        this.supply = supply;
        Set<String> seen = new HashSet<>();
        for (ControlGraph.Edge edge : field.graph().edges()) {
            if (seen.add(field.graph().name(edge))) {
                contactsRead.merge(field.graph().part(edge).tag(), 1, Integer::sum);
            }
        }
    }

    /** How many inputs there are. */
    int count() {
        return rungs.size();
    }

    /** The rungs of the inputs, in their order. */
    List<String> rungs() {
        return List.copyOf(rungs);
    }

    /** What the next input reads: its terminals and the rail behind them. */
    String reading() {
        return field.controller() + "[I" + count() + "-IC] " + supply.minus();
    }

    /** A variable for the next input. */
    String variable(String name, String comment) {
        return field.program().bit(name, Optional.of(ProgramDraft.address(Address.Area.INPUT, count())), comment);
    }

    /** Draws the next input. */
    void add(String rung) {
        rungs.add(rung);
    }

    /** The variable of a contact that goes to an input as it is. */
    String input(ControlGraph.Edge edge) {
        return input(
                field.graph().part(edge),
                field.graph().contact(edge),
                contactsRead.get(field.graph().part(edge).tag()) == 1);
    }

    private String input(Part part, Contact contact, boolean alone) {
        String key = part.tag() + " " + contact.marking();
        if (!names.containsKey(key)) {
            String label = part.device().label().replaceAll("[(*)\\n]", "");
            String comment = part.tag() + " " + contact.marking() + (label.isEmpty() ? "" : ", " + label);
            String name = variable(alone ? part.tag() : part.tag() + "_" + contact.from(), comment);
            field.panel().use(part.tag(), contact);
            add(supply.plus() + " " + part.tag() + "[" + contact.marking() + "] "
                    + field.panel().point() + " " + reading()
                    + (label.isEmpty() ? "" : " ; " + label));
            names.put(key, name);
        }
        return names.get(key);
    }

    /**
     * The variable of a contact of a contactor that reports whether it is in.
     *
     * @param mirror whether it is one that is closed while the contactor is out
     */
    String feedback(String tag, String label, boolean mirror) {
        Contact contact = field.panel().free(tag, mirror).orElseThrow();
        String is = mirror ? " is out" : " is in";
        String name = variable(tag + is.replace(" is ", "_"), tag + " " + contact.marking() + "," + is);
        add(supply.plus() + " " + tag + "[" + contact.marking() + "] "
                + field.panel().point() + " " + reading() + " ; "
                + (label.isEmpty() ? tag : label) + is);
        return name;
    }

    /** The variable of the button that resets the alarm, which is put on the door. */
    String reset() {
        String tag = field.panel().tag(field.american() ? "PB" : "S", 1);
        field.panel().device("push-button", tag, "Reset", "door", "blocks", "13-14", "colour", "blue");
        String name = variable(tag, tag + " 13-14, reset of the mismatch alarm");
        add(supply.plus() + " " + tag + "[13-14] " + field.panel().point() + " " + reading()
                + " ; reset of the mismatch alarm");
        return name;
    }

    /** A contact of this kind that is read already, or else one that is free. */
    private Optional<Contact> alike(Part part, ControlGraph.Edge edge, boolean rest) {
        return field.panel().part(part.tag()).contacts().stream()
                .filter(contact -> !contact.pole() && contact.isNormallyClosed() == rest)
                .filter(contact -> !contact.equals(field.graph().contact(edge)))
                .filter(contact -> names.containsKey(part.tag() + " " + contact.marking()))
                .findFirst()
                .or(() -> field.panel().free(part.tag(), rest));
    }

    /**
     * What tells the program of a contact that stays in copper and is not one of the guard: another contact of the same device; empty if it has none.
     */
    Optional<Logic> monitored(ControlGraph.Edge edge) {
        Part part = field.graph().part(edge);
        boolean rest = field.graph().contact(edge).isNormallyClosed();
        field.panel().use(part.tag(), field.graph().contact(edge));
        Optional<Contact> same = part.family() == Family.OVERLOAD_RELAY ? Optional.empty() : alike(part, edge, rest);
        Optional<Contact> contact = same.or(() -> alike(part, edge, !rest));
        return contact.map(other -> {
            String name = input(field.panel().part(part.tag()), other, contactsRead.get(part.tag()) == 1);
            return other.isNormallyClosed() == rest ? ProgramDraft.one(name) : ProgramDraft.zero(name);
        });
    }
}
