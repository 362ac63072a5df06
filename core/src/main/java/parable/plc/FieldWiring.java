package parable.plc;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import parable.circuit.Practice;
import parable.circuit.Rail;
import parable.parts.Assembly;
import parable.parts.Contact;
import parable.parts.CurrentKind;
import parable.parts.Family;
import parable.parts.Load;
import parable.parts.LoadRole;
import parable.parts.Part;
import parable.program.Address;
import parable.program.Logic;

/** The wiring between the field and the controller: supply, inputs, output groups, interposing relays, the circuits of the coils. */
final class FieldWiring {

    private static final int GROUP = 4;
    private static final int LEAST = 8;
    private static final String DC_24 = "24 V DC";

    private final Assembly assembly;
    private final ControlGraph graph;
    private final PanelDraft panel;
    private final ProgramDraft program;
    private final TranslationChoices choices;
    private final boolean american;
    private final String controller;
    private final List<String> inputs = new ArrayList<>();
    private final Map<String, Integer> outputs = new LinkedHashMap<>();
    private final Map<String, List<Integer>> groups = new LinkedHashMap<>();
    private final Map<String, Integer> contactsRead = new HashMap<>();
    private final Map<String, String> inputNames = new HashMap<>();
    private final List<String> supplyRungs = new ArrayList<>();
    private final List<String> ownRungs = new ArrayList<>();
    private final List<String> alarmRungs = new ArrayList<>();
    private Guard guard = Guard.NONE;
    private String guardVoltage = "";
    private String guardBit = "";
    private String guardRelay = "";
    private String guardPoint = "";
    private String plus = "";
    private String minus = "";

    FieldWiring(
            Assembly assembly,
            Practice practice,
            ControlGraph graph,
            PanelDraft panel,
            ProgramDraft program,
            TranslationChoices choices) {
        this.assembly = assembly;
        this.graph = graph;
        this.panel = panel;
        this.program = program;
        this.choices = choices;
        american = practice == Practice.NORTH_AMERICAN;
        controller = panel.tag(american ? "PLC" : "A", 1);
        Set<String> seen = new HashSet<>();
        for (ControlGraph.Edge edge : graph.edges()) {
            if (seen.add(graph.name(edge))) {
                contactsRead.merge(graph.part(edge).tag(), 1, Integer::sum);
            }
        }
    }

    private String railOf(int node) {
        return assembly.nodes().all().get(node).names().stream()
                .filter(name ->
                        assembly.sheet().rails().stream().map(Rail::name).anyMatch(name::equals))
                .findFirst()
                .orElseThrow();
    }

    private Part part(ControlGraph.Consumer consumer) {
        return assembly.parts().get(consumer.part());
    }

    private static boolean isDirect24(Load load) {
        return load.rated().kind() == CurrentKind.DC && load.rated().volts() == 24;
    }

    /** Finds 24 V DC on the sheet or draws a supply of it; what is fed from rail to rail stays as it is. */
    void supply(List<ControlGraph.Consumer> unfed, Map<String, List<ControlGraph.Edge>> onTheirOwn)
            throws TranslationException {
        for (ControlGraph.Consumer consumer : unfed) {
            Load load = part(consumer).loads().get(consumer.load());
            String coil = part(consumer).tag() + "[" + load.from() + "-" + load.to() + "]";
            List<ControlGraph.Edge> before =
                    onTheirOwn.getOrDefault(part(consumer).tag(), List.of());
            if (before.isEmpty()) {
                supplyRungs.add(railOf(consumer.from()) + " " + coil + " " + railOf(consumer.to()));
            } else {
                StringBuilder rung = new StringBuilder(
                        railOf(graph.railsFrom(consumer.from()).iterator().next()));
                before.forEach(edge ->
                        rung.append(' ').append(passage(edge)).append(' ').append(panel.point()));
                ownRungs.add(rung + " " + coil + " "
                        + railOf(graph.railsFrom(consumer.to()).iterator().next()));
            }
        }
        for (ControlGraph.Consumer consumer : graph.consumers()) {
            Load load = part(consumer).loads().get(consumer.load());
            if (isDirect24(load) && plus.isEmpty() && load.role() != LoadRole.INPUT) {
                plus = railOf(graph.railsFrom(consumer.from()).iterator().next());
                minus = railOf(graph.railsFrom(consumer.to()).iterator().next());
            }
        }
        if (plus.isEmpty()) {
            drawSupply();
        }
    }

    private void drawSupply() throws TranslationException {
        ControlGraph.Consumer coil = graph.consumers().stream()
                .filter(consumer -> part(consumer).family() == Family.CONTACTOR)
                .findFirst()
                .orElseThrow(() -> new TranslationException(
                        assembly.sheet().name(),
                        "no contactor's coil in the ladder",
                        "one that a controller could switch"));
        String line = railOf(graph.railsFrom(coil.from()).iterator().next());
        String back = railOf(graph.railsFrom(coil.to()).iterator().next());
        String input = part(coil).loads().get(coil.load()).rated().toString();
        String supply = panel.tag(american ? "PS" : "G", american ? 1 : 2);
        panel.device(
                "dc-supply",
                supply,
                "24 V supply",
                "panel",
                "input",
                input,
                "output",
                DC_24,
                "rated",
                "2.5 A",
                "minus",
                "grounded");
        String fuse = panel.tag(american ? "FU" : "F", american ? 1 : 3);
        panel.device("fuse", fuse, "Fuse of the 24 V", "panel", "rated", "2 A");
        plus = panel.rail("P");
        minus = panel.rail("M");
        supplyRungs.add(line + " " + supply + "[L-N] " + back + " ; 24 V for the controller");
        panel.power(supply + "[+] " + panel.point() + " " + fuse + "[1-2] " + plus + " ; 24 V behind its own fuse");
        panel.power(supply + "[-] " + minus);
        panel.ground(supply);
    }

    /** The variable of a contact that goes to an input as it is. */
    String input(ControlGraph.Edge edge) {
        return input(
                graph.part(edge),
                graph.contact(edge),
                contactsRead.get(graph.part(edge).tag()) == 1);
    }

    private String input(Part part, Contact contact, boolean alone) {
        String key = part.tag() + " " + contact.marking();
        if (!inputNames.containsKey(key)) {
            int number = inputs.size();
            String label = part.device().label().replaceAll("[(*)\\n]", "");
            String comment = part.tag() + " " + contact.marking() + (label.isEmpty() ? "" : ", " + label);
            String name = program.bit(
                    alone ? part.tag() : part.tag() + "_" + contact.from(),
                    Optional.of(ProgramDraft.address(Address.Area.INPUT, number)),
                    comment);
            panel.use(part.tag(), contact);
            inputs.add(plus + " " + part.tag() + "[" + contact.marking() + "] " + panel.point() + " " + controller
                    + "[I" + number + "-IC] " + minus + (label.isEmpty() ? "" : " ; " + label));
            inputNames.put(key, name);
        }
        return inputNames.get(key);
    }

    /**
     * The variable of a contact of a contactor that tells whether it is in.
     *
     * @param mirror whether it is one that is closed while the contactor is out
     */
    String feedback(String tag, String label, boolean mirror) {
        Contact contact = panel.free(tag, mirror).orElseThrow();
        int number = inputs.size();
        String is = mirror ? " is out" : " is in";
        String name = program.bit(
                tag + is.replace(" is ", "_"),
                Optional.of(ProgramDraft.address(Address.Area.INPUT, number)),
                tag + " " + contact.marking() + "," + is);
        inputs.add(plus + " " + tag + "[" + contact.marking() + "] " + panel.point() + " " + controller + "[I" + number
                + "-IC] " + minus + " ; " + (label.isEmpty() ? tag : label) + is);
        return name;
    }

    /** The variable of the button that resets the alarm, which is put on the door. */
    String reset() {
        String tag = panel.tag(american ? "PB" : "S", 1);
        panel.device("push-button", tag, "Reset", "door", "blocks", "13-14", "colour", "blue");
        int number = inputs.size();
        inputs.add(plus + " " + tag + "[13-14] " + panel.point() + " " + controller + "[I" + number + "-IC] " + minus
                + " ; reset of the mismatch alarm");
        return program.bit(
                tag,
                Optional.of(ProgramDraft.address(Address.Area.INPUT, number)),
                tag + " 13-14, reset of the mismatch alarm");
    }

    /**
     * What stays in copper in front of all coils.
     *
     * @param voltage the rated voltage of the coils that it guards
     */
    void guardedBy(Guard all, String voltage) {
        guard = all;
        guardVoltage = voltage;
    }

    /** Puts the end of the guard on an input, by a relay if it has another voltage or ends on the return side. */
    private String guardBit() {
        if (guardBit.isEmpty()) {
            int number = inputs.size();
            boolean direct = guard.behind().isEmpty() && railOf(guard.feed()).equals(plus);
            guardBit = program.bit(
                    "guard",
                    Optional.of(ProgramDraft.address(Address.Area.INPUT, number)),
                    "all that guards in copper conducts");
            String reading = controller + "[I" + number + "-IC] " + minus;
            guard.front().forEach(edge -> panel.use(graph.part(edge).tag(), graph.contact(edge)));
            guard.behind().forEach(edge -> panel.use(graph.part(edge).tag(), graph.contact(edge)));
            if (direct) {
                inputs.add(headOfGuard() + " " + reading + " ; what guards in copper conducts");
            } else {
                guardRelay = panel.tag(american ? "CR" : "KA", 1);
                panel.device("control-relay", guardRelay, "Guard", "panel", "coil", guardVoltage, "changeovers", "1");
                inputs.add(plus + " " + guardRelay + "[11-14] " + panel.point() + " " + reading
                        + " ; what guards in copper conducts");
            }
        }
        return guardBit;
    }

    /** The rung from the rail through everything that guards in front of the coils, up to the point where the coils begin. */
    private String headOfGuard() {
        StringBuilder head = new StringBuilder(railOf(guard.feed()));
        guardPoint = head.toString();
        for (ControlGraph.Edge edge : guard.front()) {
            guardPoint = panel.point();
            head.append(' ').append(passage(edge)).append(' ').append(guardPoint);
        }
        return head.toString();
    }

    /**
     * What tells the program of a contact that stays in copper: the guard if it is one of it, otherwise another contact of the same device; empty
     * if it has none, or if the guard has been read in front of it.
     */
    Optional<Logic> monitored(ControlGraph.Edge edge) {
        if (guard.has(edge)) {
            return edge.equals(guard.first()) ? Optional.of(ProgramDraft.one(guardBit())) : Optional.empty();
        }
        Part part = graph.part(edge);
        boolean rest = graph.contact(edge).isNormallyClosed();
        panel.use(part.tag(), graph.contact(edge));
        Optional<Contact> same = part.family() == Family.OVERLOAD_RELAY ? Optional.empty() : alike(part, edge, rest);
        Optional<Contact> contact = same.or(() -> alike(part, edge, !rest));
        return contact.map(other -> {
            String name = input(panel.part(part.tag()), other, contactsRead.get(part.tag()) == 1);
            return other.isNormallyClosed() == rest ? ProgramDraft.one(name) : ProgramDraft.zero(name);
        });
    }

    /** A contact of this kind that is read already, or else one that is free. */
    private Optional<Contact> alike(Part part, ControlGraph.Edge edge, boolean rest) {
        return panel.part(part.tag()).contacts().stream()
                .filter(contact -> !contact.pole() && contact.isNormallyClosed() == rest)
                .filter(contact -> !contact.equals(graph.contact(edge)))
                .filter(contact -> inputNames.containsKey(part.tag() + " " + contact.marking()))
                .findFirst()
                .or(() -> panel.free(part.tag(), rest));
    }

    /** The variable of an output for a coil or lamp. */
    String output(Translator.Fed one, String tag, String label) throws TranslationException {
        Load load = part(one.consumer()).loads().get(one.consumer().load());
        boolean coil = load.role() == LoadRole.COIL;
        String group = coil ? isDirect24(load) ? "coils" : plus : choices.transistor() ? plus : railOf(one.feed());
        return output(group, tag, label);
    }

    private String output(String group, String tag, String label) throws TranslationException {
        List<Integer> places = groups.computeIfAbsent(group, any -> new ArrayList<>());
        int number = places.size() % GROUP == 0
                ? GROUP
                        * (int) groups.values().stream()
                                .mapToLong(others -> (others.size() + GROUP - 1) / GROUP)
                                .sum()
                : places.get(places.size() - 1) + 1;
        if (number >= 16) {
            throw new TranslationException(
                    assembly.sheet().name(), "more coils and lamps than four groups of outputs", "16");
        }
        places.add(number);
        outputs.put(tag, number);
        return program.bit(tag, Optional.of(ProgramDraft.address(Address.Area.OUTPUT, number)), label);
    }

    /** The variable of the alarm's lamp, which is put on the door. */
    String alarm() throws TranslationException {
        String tag = panel.tag(american ? "LT" : "P", 1);
        panel.device("pilot-lamp", tag, "Mismatch", "door", "lamp", DC_24, "colour", "yellow");
        String name = output(plus, tag, "mismatch alarm");
        alarmRungs.add(plus + " " + contactOf(tag) + " " + panel.point() + " " + tag + "[X1-X2] " + minus
                + " ; a contactor does not do as it is told");
        return name;
    }

    private String contactOf(String tag) {
        int number = outputs.get(tag);
        return controller + "[QC" + number / GROUP + "-Q" + number + "]";
    }

    private static String passage(String tag, Contact contact) {
        return tag + "[" + contact.marking() + "]";
    }

    private String passage(ControlGraph.Edge edge) {
        return passage(graph.part(edge).tag(), graph.contact(edge));
    }

    /** A coil's way from the rail in front to the rail behind it. */
    private record Way(
            String rail,
            List<ControlGraph.Edge> kept,
            String tail,
            int back,
            List<ControlGraph.Edge> behind,
            String remark) {}

    /** Draws everything in the order in which it is read: supply, inputs, outputs, coils, lamps. */
    void draw(List<Translator.Fed> fed, Hardwired hardwired, Map<String, String> told) {
        int last = outputs.values().stream().mapToInt(Integer::intValue).max().orElse(0);
        panel.device(
                "controller",
                controller,
                "Controller",
                "panel",
                "inputs",
                Integer.toString(Math.max(LEAST, inputs.size())),
                "outputs",
                Integer.toString(Math.max(LEAST, GROUP * (last / GROUP + 1))),
                "output",
                choices.transistor() ? "transistor" : "relay");
        supplyRungs.forEach(panel::rung);
        panel.rung(plus + " " + controller + "[+--] " + minus + " ; supply of the controller");
        inputs.forEach(panel::rung);
        List<Way> ways = new ArrayList<>();
        List<Translator.Fed> direct = new ArrayList<>();
        for (Translator.Fed one : fed) {
            Part part = part(one.consumer());
            Load load = part.loads().get(one.consumer().load());
            if (told.containsKey(part.tag()) && load.role() == LoadRole.COIL) {
                if (isDirect24(load)) {
                    direct.add(one);
                } else {
                    ways.add(interposed(one, hardwired));
                }
            }
        }
        drawDirect(direct, hardwired);
        drawWays(ways);
        ownRungs.forEach(panel::rung);
        for (Translator.Fed one : fed) {
            Part part = part(one.consumer());
            Load load = part.loads().get(one.consumer().load());
            if (told.containsKey(part.tag()) && load.role() != LoadRole.COIL) {
                drawSignal(one, part, load);
            }
        }
        alarmRungs.forEach(panel::rung);
    }

    private Way interposed(Translator.Fed one, Hardwired hardwired) {
        Part part = part(one.consumer());
        Load load = part.loads().get(one.consumer().load());
        String relay = panel.tag(american ? "CR" : "KA", 1);
        String label = part.device().label();
        List<String> settings = new ArrayList<>(List.of("coil", DC_24, "changeovers", "1"));
        if (choices.transistor()) {
            settings.addAll(List.of("suppressor", "diode"));
        }
        panel.device("control-relay", relay, "Output of " + part.tag(), "panel", settings.toArray(String[]::new));
        panel.rung(plus + " " + contactOf(part.tag()) + " " + panel.point() + " " + relay + "[A1-A2] " + minus
                + (label.isEmpty() ? "" : " ; " + label));
        return new Way(
                railOf(one.feed()),
                hardwired.inFrontOf(one.consumer()),
                relay + "[11-14] " + panel.point() + " " + part.tag() + "[" + load.from() + "-" + load.to() + "]",
                one.back(),
                hardwired.behind(one.consumer()),
                label.isEmpty() ? "" : " ; " + label);
    }

    /** What every 24 V coil has in front of it stays in front of the common of the outputs, the rest behind each. */
    private void drawDirect(List<Translator.Fed> direct, Hardwired hardwired) {
        if (direct.isEmpty()) {
            return;
        }
        String head = guardPoint.isEmpty() ? headOfGuard() : guardPoint;
        Map<List<ControlGraph.Edge>, String> returns = new HashMap<>();
        if (!guardRelay.isEmpty()) {
            panel.rung(head + " " + guardRelay + "[A1-A2] " + end(guard.back(), guard.behind(), returns)
                    + " ; tells the controller what guards in copper");
            head = guardPoint;
        }
        for (int i = 0; i < direct.size(); i++) {
            Translator.Fed one = direct.get(i);
            Part part = part(one.consumer());
            Load load = part.loads().get(one.consumer().load());
            StringBuilder rung =
                    new StringBuilder(i == 0 ? head : guardPoint).append(' ').append(contactOf(part.tag()));
            for (ControlGraph.Edge edge : hardwired.inFrontOf(one.consumer())) {
                if (!guard.has(edge)) {
                    rung.append(' ').append(panel.point()).append(' ').append(passage(edge));
                }
            }
            rung.append(' ').append(panel.point());
            rung.append(' ')
                    .append(part.tag())
                    .append('[')
                    .append(load.from())
                    .append('-')
                    .append(load.to())
                    .append(']');
            panel.rung(rung + " " + end(one.back(), hardwired.behind(one.consumer()), returns)
                    + (part.device().label().isEmpty()
                            ? ""
                            : " ; " + part.device().label()));
        }
    }

    private String end(int back, List<ControlGraph.Edge> behind, Map<List<ControlGraph.Edge>, String> returns) {
        if (behind.isEmpty()) {
            return railOf(back);
        }
        if (returns.containsKey(behind)) {
            return returns.get(behind);
        }
        String point = panel.point();
        returns.put(behind, point);
        return point + " "
                + behind.stream().map(this::passage).collect(Collectors.joining(" " + panel.point() + " "))
                + " " + railOf(back);
    }

    private void drawWays(List<Way> ways) {
        Map<List<ControlGraph.Edge>, String> returns = new HashMap<>();
        Map<String, List<Way>> byRail = new LinkedHashMap<>();
        ways.forEach(way ->
                byRail.computeIfAbsent(way.rail(), any -> new ArrayList<>()).add(way));
        if (!ways.isEmpty() && !guardRelay.isEmpty()) {
            panel.rung(headOfGuard() + " " + guardRelay + "[A1-A2] " + end(guard.back(), guard.behind(), returns)
                    + " ; tells the controller what guards in copper");
            List<Way> guarded = ways.stream().filter(this::isGuarded).toList();
            drawWays(guardPoint, guardPoint, guard.front().size(), guarded, returns);
            byRail.values().forEach(some -> some.removeAll(guarded));
        }
        byRail.forEach((rail, some) -> drawWays(rail, rail, 0, some, returns));
    }

    private boolean isGuarded(Way way) {
        return way.rail().equals(railOf(guard.feed()))
                && guard.isInFrontOf(way.kept())
                && way.behind().equals(guard.behind());
    }

    /** Ways that begin with the same contacts have them once; the first goes on on the rung that is begun. */
    private void drawWays(
            String begun, String point, int done, List<Way> ways, Map<List<ControlGraph.Edge>, String> returns) {
        Map<Optional<ControlGraph.Edge>, List<Way>> byNext = new LinkedHashMap<>();
        ways.forEach(
                way -> byNext.computeIfAbsent(way.kept().stream().skip(done).findFirst(), any -> new ArrayList<>())
                        .add(way));
        String rung = begun;
        for (Map.Entry<Optional<ControlGraph.Edge>, List<Way>> next : byNext.entrySet()) {
            if (next.getKey().isPresent()) {
                String after = panel.point();
                drawWays(
                        rung + " " + passage(next.getKey().get()) + " " + after,
                        after,
                        done + 1,
                        next.getValue(),
                        returns);
            } else {
                for (Way way : next.getValue()) {
                    panel.rung(rung + " " + way.tail() + " " + end(way.back(), way.behind(), returns) + way.remark());
                    rung = point;
                }
            }
            rung = point;
        }
    }

    private void drawSignal(Translator.Fed one, Part part, Load load) {
        boolean moved = choices.transistor() && !isDirect24(load);
        if (moved) {
            String setting = load.role() == LoadRole.LAMP ? "lamp" : load.role() == LoadRole.HORN ? "rated" : "coil";
            panel.rerate(part.tag(), setting, DC_24);
        }
        String feed = choices.transistor() ? plus : railOf(one.feed());
        String back = moved ? minus : railOf(one.back());
        panel.rung(feed + " " + contactOf(part.tag()) + " " + panel.point() + " " + part.tag() + "[" + load.from() + "-"
                + load.to() + "] " + back
                + (part.device().label().isEmpty() ? "" : " ; " + part.device().label()));
    }
}
