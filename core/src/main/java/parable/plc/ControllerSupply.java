package parable.plc;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import parable.parts.Family;
import parable.parts.Load;
import parable.parts.LoadRole;

/** The 24 V DC of a controller: that of the sheet, or a supply that is drawn. */
final class ControllerSupply {

    private final FieldDraft field;
    private final List<String> rungs = new ArrayList<>();
    private final List<String> ownRungs = new ArrayList<>();
    private String plus = "";
    private String minus = "";

    private ControllerSupply(FieldDraft field) {
        this.field = field;
    }

    /** Finds 24 V DC on the sheet or draws a supply of it; what is fed from rail to rail stays as it is. */
    static ControllerSupply of(
            FieldDraft field, List<ControlGraph.Consumer> unfed, Map<String, List<ControlGraph.Edge>> onTheirOwn)
            throws TranslationException {
        ControllerSupply supply = new ControllerSupply(field);
        supply.keep(unfed, onTheirOwn);
        supply.find();
        if (supply.plus.isEmpty()) {
            supply.draw();
        }
        return supply;
    }

    private void keep(List<ControlGraph.Consumer> unfed, Map<String, List<ControlGraph.Edge>> onTheirOwn) {
        for (ControlGraph.Consumer consumer : unfed) {
            Load load = field.part(consumer).loads().get(consumer.load());
            String coil = field.part(consumer).tag() + "[" + load.from() + "-" + load.to() + "]";
            List<ControlGraph.Edge> before =
                    onTheirOwn.getOrDefault(field.part(consumer).tag(), List.of());
            if (before.isEmpty()) {
                rungs.add(field.railOf(consumer.from()) + " " + coil + " " + field.railOf(consumer.to()));
            } else {
                StringBuilder rung = new StringBuilder(field.railOf(
                        field.graph().railsFrom(consumer.from()).iterator().next()));
                before.forEach(edge -> rung.append(' ')
                        .append(field.passage(edge))
                        .append(' ')
                        .append(field.panel().point()));
                ownRungs.add(rung + " " + coil + " "
                        + field.railOf(field.graph()
                                .railsFrom(consumer.to())
                                .iterator()
                                .next()));
            }
        }
    }

    private void find() {
        for (ControlGraph.Consumer consumer : field.graph().consumers()) {
            Load load = field.part(consumer).loads().get(consumer.load());
            if (FieldDraft.isDirect24(load) && plus.isEmpty() && load.role() != LoadRole.INPUT) {
                plus = field.railOf(
                        field.graph().railsFrom(consumer.from()).iterator().next());
                minus = field.railOf(
                        field.graph().railsFrom(consumer.to()).iterator().next());
            }
        }
    }

    private void draw() throws TranslationException {
        ControlGraph.Consumer coil = field.graph().consumers().stream()
                .filter(consumer -> field.part(consumer).family() == Family.CONTACTOR)
                .findFirst()
                .orElseThrow(() -> new TranslationException(
                        field.assembly().sheet().name(),
                        "no contactor's coil in the ladder",
                        "one that a controller could switch"));
        String line =
                field.railOf(field.graph().railsFrom(coil.from()).iterator().next());
        String back = field.railOf(field.graph().railsFrom(coil.to()).iterator().next());
        String input = field.part(coil).loads().get(coil.load()).rated().toString();
        String supply = field.panel().tag(field.american() ? "PS" : "G", field.american() ? 1 : 2);
        field.panel()
                .device(
                        "dc-supply",
                        supply,
                        "24 V supply",
                        "panel",
                        "input",
                        input,
                        "output",
                        FieldDraft.DC_24,
                        "rated",
                        "2.5 A",
                        "minus",
                        "grounded");
        String fuse = field.panel().tag(field.american() ? "FU" : "F", field.american() ? 1 : 3);
        field.panel().device("fuse", fuse, "Fuse of the 24 V", "panel", "rated", "2 A");
        plus = field.panel().rail("P");
        minus = field.panel().rail("M");
        rungs.add(line + " " + supply + "[L-N] " + back + " ; 24 V for the controller");
        field.panel()
                .power(supply + "[+] " + field.panel().point() + " " + fuse + "[1-2] " + plus
                        + " ; 24 V behind its own fuse");
        field.panel().power(supply + "[-] " + minus);
        field.panel().ground(supply);
    }

    /** The rail of its plus. */
    String plus() {
        return plus;
    }

    /** The rail of its minus. */
    String minus() {
        return minus;
    }

    /** The rungs of what stays fed from rail to rail, and of the supply if one is drawn. */
    List<String> rungs() {
        return List.copyOf(rungs);
    }

    /** The rungs of what is switched by contacts that stay in copper and by nothing else. */
    List<String> ownRungs() {
        return List.copyOf(ownRungs);
    }
}
