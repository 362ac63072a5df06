package parable.plc;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import parable.circuit.Practice;
import parable.parts.Assembly;
import parable.parts.Contact;
import parable.parts.Drive;
import parable.parts.Family;
import parable.parts.LoadRole;
import parable.parts.Part;
import parable.parts.TimerProgram;
import parable.program.Logic;
import parable.program.NetworkEnd;
import parable.program.VariableType;

/** Translates one sheet. */
final class Translator {

    private static final int MICROS_IN_A_MILLI = 1000;

    private final Assembly assembly;
    private final TranslationChoices choices;
    private final ControlGraph graph;
    private final PanelDraft panel;
    private final ProgramDraft program = new ProgramDraft();
    private final Map<String, List<ControlGraph.Edge>> onTheirOwn = new LinkedHashMap<>();
    private final Set<String> relays = new LinkedHashSet<>();
    private Hardwired hardwired;
    private final FieldDraft drawnWith;
    private FieldWiring field;
    private final List<Split> splits = new ArrayList<>();

    /** Where a consumer is fed from and where it leads back to. */
    record Fed(ControlGraph.Consumer consumer, int feed, int back) {}

    private final List<Fed> fed = new ArrayList<>();
    private final List<ControlGraph.Consumer> unfed = new ArrayList<>();
    private final Map<ControlGraph.Edge, Logic> read = new HashMap<>();
    private final Map<String, String> outputs = new LinkedHashMap<>();
    private final Map<String, Feedback> feedbacks = new LinkedHashMap<>();
    private final Map<String, String> memories = new HashMap<>();
    private final Map<Integer, String> wires = new LinkedHashMap<>();

    /** The bit that remembers that a contactor did not do as it was told; empty if the program has no such alarm. */
    private String fault = "";

    Translator(Assembly assembly, Practice practice, TranslationChoices choices) {
        this.assembly = assembly;
        this.choices = choices;
        graph = new ControlGraph(assembly);
        panel = new PanelDraft(assembly.sheet());
        boolean american = practice == Practice.NORTH_AMERICAN;
        drawnWith = new FieldDraft(
                assembly, graph, panel, program, choices, american, panel.tag(american ? "PLC" : "A", 1));
    }

    Translation translation() throws TranslationException {
        for (ControlGraph.Consumer consumer : graph.consumers()) {
            sort(consumer);
        }
        keepWhatRelaysSwitch();
        hardwired = new Hardwired(graph, choices, relays);
        ControllerSupply supply = ControllerSupply.of(drawnWith, unfed, onTheirOwn);
        List<Fed> coils = fed.stream().filter(this::isContactor).toList();
        Guard guard = Guard.of(graph, hardwired, coils, fed);
        field = new FieldWiring(drawnWith, supply, hardwired, guard);
        declare();
        readContacts();
        if (hasAlarm()) {
            fed.stream().filter(this::isContactor).forEach(one -> feedback(part(one.consumer())));
            fault = feedbacks.isEmpty()
                    ? ""
                    : program.bit(
                            "mismatch", Optional.empty(), "a contactor did not do as it was told; until it is reset");
        }
        Map<Fed, Integer> shared = new SharedWires(graph, this::reads)
                .of(fed.stream().filter(one -> besideContactor(one).isEmpty()).toList());
        for (Fed one : fed) {
            Optional.ofNullable(shared.get(one)).ifPresent(node -> writeWire(node, one.feed()));
            write(one);
        }
        if (hasAlarm() && !feedbacks.isEmpty()) {
            writeAlarm();
        }
        field.draw(fed, outputs);
        hardwired.tell(splits);
        splits.add(new Split(
                "How the program knows that a contactor is in",
                false,
                true,
                true,
                "By " + choices.sealIn().words() + ": " + choices.sealIn().why() + "."));
        String name = assembly.sheet().name();
        return new Translation(panel.sheet(name + " PLC").withProgram(Optional.of(program.program(name))), splits);
    }

    private boolean hasAlarm() {
        return choices.sealIn() == SealIn.AUXILIARY_WITH_ALARM;
    }

    private Feedback feedback(Part part) {
        boolean mirror = hasAlarm() && part.family() == Family.CONTACTOR;
        return feedbacks.computeIfAbsent(
                part.tag(), tag -> new Feedback(field.feedback(tag, comment(part), mirror), mirror));
    }

    private Part part(ControlGraph.Consumer consumer) {
        return assembly.parts().get(consumer.part());
    }

    private LoadRole role(ControlGraph.Consumer consumer) {
        return part(consumer).loads().get(consumer.load()).role();
    }

    private void sort(ControlGraph.Consumer consumer) throws TranslationException {
        Set<Integer> feeds = graph.railsFrom(consumer.from());
        Set<Integer> backs = graph.railsFrom(consumer.to());
        String tag = part(consumer).tag();
        if (feeds.size() != 1 || backs.size() != 1) {
            throw new TranslationException(
                    tag,
                    feeds.isEmpty() || backs.isEmpty()
                            ? "a side that no contact joins with a rail"
                            : "a side that contacts can join with two rails",
                    "one rail in front of it and one behind it");
        }
        Fed one = new Fed(consumer, feeds.iterator().next(), backs.iterator().next());
        boolean always = graph.allInSeries(one.feed(), consumer.from()).isEmpty()
                && graph.allInSeries(consumer.to(), one.back()).isEmpty();
        boolean converts = role(consumer) == LoadRole.INPUT || role(consumer) == LoadRole.READING;
        if (always && (consumer.from() == one.feed() && consumer.to() == one.back()) || converts) {
            unfed.add(consumer);
        } else {
            fed.add(one);
        }
    }

    /** A contactor that nothing but contacts of relays is in front of stays with them as it is; the relays are told what to do. */
    private void keepWhatRelaysSwitch() {
        for (Fed one : List.copyOf(fed)) {
            List<ControlGraph.Edge> series =
                    graph.allInSeries(one.feed(), one.consumer().from());
            boolean alone = part(one.consumer()).family() == Family.CONTACTOR
                    && !series.isEmpty()
                    && series.stream().allMatch(edge -> graph.part(edge).family() == Family.CONTROL_RELAY)
                    && graph.between(one.feed(), one.consumer().from(), edge -> Optional.of(ProgramDraft.one("any")))
                                    .orElseThrow()
                                    .operands()
                                    .count()
                            == series.size();
            if (alone) {
                fed.remove(one);
                unfed.add(one.consumer());
                onTheirOwn.put(part(one.consumer()).tag(), series);
                series.forEach(edge -> relays.add(graph.part(edge).tag()));
                series.forEach(edge -> panel.use(graph.part(edge).tag(), graph.contact(edge)));
            }
        }
    }

    private boolean isContactor(Fed one) {
        Part part = part(one.consumer());
        return relays.contains(part.tag())
                || part.family() == Family.CONTACTOR
                || part.family() == Family.CONTROL_RELAY && panel.isInPower(part.tag());
    }

    private void declare() throws TranslationException {
        for (Fed one : fed) {
            Part part = part(one.consumer());
            String label = comment(part);
            if (isContactor(one)) {
                outputs.put(part.tag(), field.output(one, part.tag(), label));
            } else if (part.family() == Family.CONTROL_RELAY) {
                memories.put(part.tag(), program.bit(part.tag(), Optional.empty(), label));
                moved(part, "its contacts only lead to coils and lamps, so that a bit does the same");
            } else if (part.family() == Family.TIMER) {
                memories.putAll(TimerDraft.declared(part, program, label));
                moved(part, "a timer of the program keeps the same time");
            }
        }
        for (Fed one : fed) {
            Part part = part(one.consumer());
            boolean signal =
                    !isContactor(one) && part.family() != Family.CONTROL_RELAY && part.family() != Family.TIMER;
            if (signal) {
                outputs.put(part.tag(), field.output(one, part.tag(), comment(part)));
            }
        }
    }

    private void moved(Part part, String why) {
        panel.take(part.tag());
        splits.add(new Split(part.tag(), false, true, false, "Moves into the program: " + why + "."));
    }

    /** Whether a relay or timer hangs on its rails directly, so that it stays as it is: what its contacts do is told to the program. */
    private boolean staysFed(Part part) {
        return part.family() != Family.CONTACTOR
                && unfed.stream().anyMatch(consumer -> part(consumer).equals(part));
    }

    private static String comment(Part part) {
        return part.device().label().replaceAll("[(*)\\n]", "");
    }

    private void readContacts() {
        graph.edges().stream()
                .filter(edge -> hardwired.isKept(edge) || hardwired.isInterlock(edge))
                .filter(edge -> graph.part(edge).family() == Family.CONTACTOR)
                .forEach(edge -> panel.use(graph.part(edge).tag(), graph.contact(edge)));
        for (ControlGraph.Edge edge : graph.edges()) {
            reading(edge).ifPresent(logic -> read.put(edge, logic));
        }
    }

    private Optional<Logic> reading(ControlGraph.Edge edge) {
        Part part = graph.part(edge);
        Contact contact = graph.contact(edge);
        String tag = part.tag();
        if (part.family() == Family.CONTACTOR || outputs.containsKey(tag) && part.family() == Family.CONTROL_RELAY) {
            return Optional.of(contactor(edge));
        }
        if (staysFed(part)) {
            return Optional.of(ProgramDraft.one(field.input(edge)));
        }
        if (part.family() == Family.CONTROL_RELAY) {
            String bit = memories.get(tag);
            return Optional.of(contact.isNormallyClosed() ? ProgramDraft.zero(bit) : ProgramDraft.one(bit));
        }
        if (part.family() == Family.TIMER) {
            return Optional.of(timer(part, contact));
        }
        return hardwired.isKept(edge) ? field.monitored(edge) : Optional.of(ProgramDraft.one(field.input(edge)));
    }

    /**
     * An interlock reads what the other output was told as well, so that no scan tells both. With an alarm a contactor counts as in while it is told to be
     * and is: one that follows too late for a short tap does not set itself going again, scan after scan. Lamps and horns are told whether it is in,
     * told or not.
     */
    private Logic contactor(ControlGraph.Edge edge) {
        String tag = graph.part(edge).tag();
        boolean rest = graph.contact(edge).isNormallyClosed();
        String told = outputs.get(tag);
        if (choices.sealIn() == SealIn.OUTPUT_BIT) {
            return rest ? ProgramDraft.zero(told) : ProgramDraft.one(told);
        }
        Feedback back = feedback(graph.part(edge));
        if (rest && hardwired.isInterlock(edge)) {
            return Logic.series(List.of(ProgramDraft.zero(told), back.out()));
        }
        if (!rest && hasAlarm()) {
            return Logic.series(List.of(ProgramDraft.one(told), back.in()));
        }
        return rest ? back.out() : back.in();
    }

    private Logic timer(Part part, Contact contact) {
        String block = memories.get(part.tag());
        String function = part.device().setting("function").orElse("on-delay");
        if (function.equals("interval")) {
            Logic on = Logic.series(
                    List.of(ProgramDraft.one(memories.get(part.tag() + " fed")), ProgramDraft.noOutput(block)));
            Logic off = Logic.parallel(
                    List.of(ProgramDraft.zero(memories.get(part.tag() + " fed")), ProgramDraft.output(block)));
            return contact.isNormallyClosed() ? off : on;
        }
        if (function.equals("star-delta")) {
            return contact.closedAt(1)
                    ? Logic.series(
                            List.of(ProgramDraft.one(memories.get(part.tag() + " fed")), ProgramDraft.noOutput(block)))
                    : ProgramDraft.output(memories.get(part.tag() + " gap"));
        }
        return contact.isNormallyClosed() ? ProgramDraft.noOutput(block) : ProgramDraft.output(block);
    }

    private void writeWire(int node, int feed) {
        if (wires.containsKey(node)) {
            return;
        }
        String number = assembly.nodes().all().get(node).number();
        String bit = program.bit("W" + number, Optional.empty(), "wire " + number + " of the relay ladder is live");
        program.coil("wire " + number + " of the relay ladder", way(feed, graph.allThrough(feed, node), node), bit);
        wires.put(node, bit);
    }

    private Optional<Logic> reads(ControlGraph.Edge edge) {
        return Optional.ofNullable(read.get(edge));
    }

    /** What a lamp or a horn is told by a contact: with an alarm whether the contactor is in, told or not. */
    private Optional<Logic> shows(ControlGraph.Edge edge) {
        Part part = graph.part(edge);
        boolean follows = hasAlarm()
                && part.family() == Family.CONTACTOR
                && !graph.contact(edge).isNormallyClosed();
        return follows ? Optional.of(feedback(part).in()) : reads(edge);
    }

    /** What must be so for a consumer to be fed. */
    private Logic logic(Fed one) {
        Optional<Feedback> beside = besideContactor(one);
        if (beside.isPresent()) {
            return beside.get().in();
        }
        Function<ControlGraph.Edge, Optional<Logic>> reading = isSignal(one) ? this::shows : this::reads;
        List<Logic> parts = new ArrayList<>(wayParts(
                one.feed(), SharedWires.onTheWay(graph, one), one.consumer().from(), reading));
        graph.between(one.consumer().to(), one.back(), reading).ifPresent(parts::add);
        return parts.isEmpty() ? always() : Logic.series(parts);
    }

    private boolean isSignal(Fed one) {
        return !isContactor(one)
                && part(one.consumer()).family() != Family.CONTROL_RELAY
                && part(one.consumer()).family() != Family.TIMER;
    }

    /** What tells that the contactor is in across whose coil a lamp hangs. */
    private Optional<Feedback> besideContactor(Fed one) {
        return !hasAlarm() || !isSignal(one)
                ? Optional.empty()
                : fed.stream()
                        .filter(other -> isContactor(other)
                                && other.consumer().from() == one.consumer().from()
                                && other.consumer().to() == one.consumer().to())
                        .map(other -> part(other.consumer()))
                        .filter(part -> part.family() == Family.CONTACTOR)
                        .flatMap(part -> Optional.ofNullable(feedbacks.get(part.tag())).stream())
                        .findFirst();
    }

    private Logic way(int feed, List<Integer> through, int node) {
        List<Logic> parts = wayParts(feed, through, node, this::reads);
        return parts.isEmpty() ? always() : Logic.series(parts);
    }

    /** What must be so for a node to be live, beginning with the last wire on the way that is a bit already. */
    private List<Logic> wayParts(
            int feed, List<Integer> through, int node, Function<ControlGraph.Edge, Optional<Logic>> reading) {
        List<Logic> parts = new ArrayList<>();
        int from = feed;
        for (int one : through) {
            from = wires.containsKey(one) ? one : from;
        }
        Optional.ofNullable(wires.get(from)).map(ProgramDraft::one).ifPresent(parts::add);
        graph.between(from, node, reading).ifPresent(parts::add);
        return parts;
    }

    /** There is no constant in a ladder: a bit that is 1 or 0. */
    private Logic always() {
        String any = memories.computeIfAbsent(" always", key -> program.bit("any", Optional.empty(), "never written"));
        return Logic.parallel(List.of(ProgramDraft.one(any), ProgramDraft.zero(any)));
    }

    private void write(Fed one) {
        Part part = part(one.consumer());
        Logic logic = logic(one);
        String label = comment(part);
        if (part.family() == Family.TIMER) {
            writeTimer(part, logic, label);
        } else {
            String bit = outputs.containsKey(part.tag()) ? outputs.get(part.tag()) : memories.get(part.tag());
            boolean watched = feedbacks.containsKey(part.tag()) && isContactor(one) && !fault.isEmpty();
            program.coil(label, watched ? watched(part, logic) : logic, bit);
        }
    }

    /** A contactor is told to pull in only while none has failed to do as told, and not while it is in without having been told. */
    private Logic watched(Part part, Logic logic) {
        Logic healthy = Logic.series(List.of(logic, ProgramDraft.zero(fault)));
        return part.family() != Family.CONTACTOR
                ? healthy
                : Logic.series(List.of(
                        healthy,
                        Logic.parallel(List.of(
                                ProgramDraft.one(outputs.get(part.tag())),
                                feedbacks.get(part.tag()).out()))));
    }

    private void writeTimer(Part part, Logic logic, String label) {
        String function = part.device().setting("function").orElse("on-delay");
        TimerProgram clock = ((Drive.ByTimer) part.drive()).program();
        String block = memories.get(part.tag());
        long setting = (function.equals("off-delay")
                                ? clock.released().get(0)
                                : clock.fed().get(clock.fed().size() > 1 ? 1 : 0))
                        .after()
                        .nominal()
                / MICROS_IN_A_MILLI;
        Optional<String> bit = Optional.ofNullable(memories.get(part.tag() + " fed"));
        bit.ifPresent(fedBit -> program.coil(label, logic, fedBit));
        program.network(label, bit.map(ProgramDraft::one).orElse(logic), new NetworkEnd.Timer(block, setting));
        if (function.equals("star-delta")) {
            long gap = clock.fed().get(2).after().nominal() / MICROS_IN_A_MILLI;
            program.network(
                    "time between the two",
                    ProgramDraft.output(block),
                    new NetworkEnd.Timer(memories.get(part.tag() + " gap"), gap));
        }
    }

    private void writeAlarm() throws TranslationException {
        List<Logic> late = new ArrayList<>();
        for (Map.Entry<String, Feedback> back : feedbacks.entrySet()) {
            String told = outputs.get(back.getKey());
            String timer =
                    program.block(back.getKey() + "_late", VariableType.TON, back.getKey() + " does not do as told");
            program.network(
                    back.getKey() + " was told one thing and does another",
                    Logic.parallel(List.of(
                            Logic.series(List.of(
                                    ProgramDraft.one(told), back.getValue().out())),
                            Logic.series(List.of(
                                    ProgramDraft.zero(told), back.getValue().in())))),
                    new NetworkEnd.Timer(timer, choices.alarmMillis()));
            late.add(ProgramDraft.output(timer));
        }
        late.add(Logic.series(List.of(ProgramDraft.one(fault), ProgramDraft.zero(field.reset()))));
        program.coil("stays until it is reset, and all contactors drop out", Logic.parallel(late), fault);
        program.coil("mismatch alarm", ProgramDraft.one(fault), field.alarm());
    }
}
