package parable.wiring;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import parable.Examples;
import parable.circuit.Fieldwork;
import parable.circuit.Node;
import parable.circuit.Practice;
import parable.circuit.Sheet;
import parable.circuit.Terminal;
import parable.circuit.WiringMethod;
import parable.parts.Assembly;
import parable.parts.Contact;
import parable.parts.Family;
import parable.parts.Part;
import parable.parts.Source;
import parable.starters.Library;

/** Sizes and colours of all wires of all starters, against the breaker or fuse that a walk from terminal to terminal meets first. */
class ConductorsTest {

    private static final Map<String, Double> CARRIES = Map.ofEntries(
            Map.entry("1 mm²", 10.1),
            Map.entry("1.5 mm²", 13.1),
            Map.entry("2.5 mm²", 17.4),
            Map.entry("4 mm²", 23.0),
            Map.entry("6 mm²", 30.0),
            Map.entry("10 mm²", 40.0),
            Map.entry("16 mm²", 54.0),
            Map.entry("25 mm²", 70.0));

    static Stream<Sheet> sheets() {
        return Library.jobs().stream().flatMap(job -> job.sheets().stream());
    }

    private static List<Wire> wires(Sheet sheet) {
        return WireList.of(Examples.fitted(sheet), Practice.IEC).wires();
    }

    /** From a supply's live terminal outwards through poles and contacts: each node's rating is that of the last fuse or breaker passed. */
    private static Map<Node, Double> byWalking(Assembly assembly) {
        Map<Node, Double> last = new HashMap<>();
        Deque<Map.Entry<Node, Double>> waiting = new ArrayDeque<>();
        for (Part part : assembly.parts()) {
            for (Source source : part.sources()) {
                if (part.family() == Family.SUPPLY) {
                    node(assembly, part, source.live()).ifPresent(node -> waiting.add(Map.entry(node, Double.NaN)));
                }
            }
        }
        while (!waiting.isEmpty()) {
            Map.Entry<Node, Double> next = waiting.poll();
            if (last.putIfAbsent(next.getKey(), next.getValue()) != null) {
                continue;
            }
            for (Part part : assembly.parts()) {
                for (Contact contact : part.contacts()) {
                    double rating = part.protection().isPresent() && contact.pole()
                            ? part.protection().get().amperes()
                            : next.getValue();
                    Optional<Node> one = node(assembly, part, contact.from());
                    Optional<Node> other = node(assembly, part, contact.to());
                    if (one.equals(Optional.of(next.getKey()))) {
                        other.ifPresent(node -> waiting.add(Map.entry(node, rating)));
                    } else if (other.equals(Optional.of(next.getKey()))) {
                        one.ifPresent(node -> waiting.add(Map.entry(node, rating)));
                    }
                }
            }
        }
        last.values().removeIf(rating -> rating.isNaN());
        return last;
    }

    private static Optional<Node> node(Assembly assembly, Part part, String marking) {
        return assembly.nodes()
                .indexOf(new Terminal(part.tag(), marking))
                .map(assembly.nodes().all()::get);
    }

    @ParameterizedTest
    @MethodSource("sheets")
    void aWireCarriesWhatTheNearestFuseOrBreakerBeforeItAllowsAndIsNoThickerThanThat(Sheet sheet) {
        Assembly assembly = Examples.fitted(sheet);
        Map<Node, Double> ratings = byWalking(assembly);
        for (Wire wire : wires(sheet)) {
            Node node = assembly.nodes().all().stream()
                    .filter(one -> one.number().equals(wire.number()))
                    .findFirst()
                    .orElseThrow();
            double rating = ratings.getOrDefault(node, Double.NaN);
            String size = wire.conductor().size();
            if (Double.isNaN(rating) || rating > 70) {
                continue;
            }
            double allowed = Math.min(rating, endsAt(assembly, wire).orElse(rating));
            assertThat(CARRIES.get(size)).as("%s under %s A", wire, allowed).isGreaterThanOrEqualTo(allowed);
            double smaller = CARRIES.values().stream()
                    .filter(amperes -> amperes < CARRIES.get(size))
                    .max(Double::compare)
                    .orElse(0.0);
            assertThat(smaller < allowed || CARRIES.get(size) <= 13.1)
                    .as("%s is thicker than %s A asks for", wire, allowed)
                    .isTrue();
        }
    }

    /** The rating of a fuse or breaker that a wire lands on. */
    private static OptionalDouble endsAt(Assembly assembly, Wire wire) {
        return Stream.of(wire.from(), wire.to())
                .flatMap(end -> assembly.part(end.tag()).stream())
                .flatMap(part -> part.protection().stream())
                .mapToDouble(protection -> protection.amperes())
                .min();
    }

    /** The colours of IEC 60204-1, 13.2.4, sheet by sheet. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Wash pump | black green-yellow red",
                "Mill | black green-yellow light blue red",
                "Transformer | black green-yellow red",
                "24 V DC | black blue green-yellow light blue",
                "24 V relay | black blue green-yellow light blue red",
                "Lamp board | black green-yellow red",
                "Breaker auxiliary | black green-yellow light blue orange",
                "DC drum | black green-yellow light blue"
            })
    void theColourTellsTheSupplyOfANode(String name, String colours) {
        Set<String> found = wires(Examples.ofLibrary(name)).stream()
                .map(wire -> wire.conductor().colour())
                .collect(Collectors.toCollection(TreeSet::new));

        assertThat(String.join(" ", found)).isEqualTo(colours);
    }

    /** As large as the lines up to 16 mm2 (IEC 60204-1, table 1), whichever way the wires go. */
    @ParameterizedTest
    @MethodSource("sheets")
    void noProtectiveConductorToAMotorIsThinnerThanItsLines(Sheet sheet) {
        for (WiringMethod method : WiringMethod.values()) {
            Sheet wired = sheet.withFieldwork(Fieldwork.NONE.by(method));
            List<Wire> all = wires(wired);
            for (Part motor : Examples.fitted(sheet).parts()) {
                if (motor.family() != Family.MOTOR) {
                    continue;
                }
                double lines = largest(all, motor);
                double onTheWay = all.stream()
                        .filter(wire -> wire.conductor().isProtective() && leadsTo(all, wire, motor))
                        .mapToDouble(
                                wire -> wire.conductor().squareMillimetres().orElse(1000))
                        .min()
                        .orElse(0);
                assertThat(onTheWay)
                        .as("%s of %s, %s", motor.tag(), sheet.name(), method)
                        .isGreaterThanOrEqualTo(Math.min(16, lines));
            }
        }
    }

    private static double largest(List<Wire> all, Part motor) {
        return all.stream()
                .filter(wire -> !wire.conductor().isProtective())
                .filter(wire ->
                        wire.from().tag().equals(motor.tag()) || wire.to().tag().equals(motor.tag()))
                .mapToDouble(wire -> wire.conductor().squareMillimetres().orElse(0))
                .max()
                .orElse(0);
    }

    /** Whether the motor's frame loses the bar without a wire. */
    private static boolean leadsTo(List<Wire> all, Wire without, Part motor) {
        Terminal frame = new Terminal(motor.tag(), "PE");
        Set<Terminal> reached = new HashSet<>(Set.of(new Terminal("G1", "PE")));
        boolean more = true;
        while (more) {
            more = false;
            for (Wire wire : all) {
                if (wire.conductor().isProtective()
                        && !wire.equals(without)
                        && reached.contains(wire.from()) != reached.contains(wire.to())) {
                    reached.add(wire.from());
                    reached.add(wire.to());
                    more = true;
                }
            }
        }
        return !reached.contains(frame);
    }

    @Test
    void noThickWireLandsUnderASmallFuse() {
        assertThat(wires(Examples.ofLibrary("Mill")))
                .filteredOn(wire ->
                        wire.to().tag().equals("F1") || wire.from().tag().equals("F1"))
                .extracting(wire -> wire.conductor().size())
                .containsOnly("1.5 mm²", "1 mm²");
        assertThat(wires(Examples.ofLibrary("Mill")))
                .filteredOn(wire -> wire.to().equals(new Terminal("M1", "U1")))
                .extracting(wire -> wire.conductor().size())
                .containsExactly("16 mm²");
    }

    /** Once a wire of a later rung is made, every terminal of the earlier ones has all its wires. */
    @ParameterizedTest
    @MethodSource("sheets")
    void aRungIsFinishedBeforeTheNextBegins(Sheet sheet) {
        Assembly assembly = Examples.fitted(sheet);
        Map<Terminal, Integer> rungs = new HashMap<>();
        for (int rung = 1; rung <= sheet.control().size(); rung++) {
            int number = rung;
            sheet.control().get(rung - 1).terminals().forEach(terminal -> rungs.putIfAbsent(terminal, number));
        }
        Set<Terminal> finished = new HashSet<>();
        int at = 1;
        for (Wire wire : WireList.of(assembly, Practice.IEC).wires()) {
            int begun = wire.rung() == 0 ? Integer.MAX_VALUE : wire.rung();
            if (begun > at) {
                rungs.forEach((terminal, rung) -> {
                    if (rung < begun) {
                        finished.add(terminal);
                    }
                });
                at = begun;
            }
            assertThat(finished).as(wire.words()).doesNotContain(wire.from(), wire.to());
        }
    }
}
