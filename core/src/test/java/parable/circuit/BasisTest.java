package parable.circuit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import parable.Examples;

/** Which readings go stale at which change: none that the change can touch is left, none that it cannot is thrown away. */
class BasisTest {

    private static final Sheet PUMP = Examples.washPump();
    private static final String DEAD = "dead: touch nothing: ";
    private static final String DIAL = DEAD + "Read the dial of F2";
    private static final String TUG = DEAD + "Tug the wires on K1, none gives";
    private static final String LIVE = "control: close Q1: Volts AC on wire 3";

    /** A wire of the seal-in, by what the sheet has there. */
    private static final String WIRE = DEAD + "Ohms from " + ends().get(0) + " to " + ends().get(1);

    /** Two terminals that one wire number joins, one of them K1's. */
    private static List<String> ends() {
        return Nodes.of(PUMP).all().stream()
                .filter(node -> node.terminals().stream().anyMatch(end -> end.equals(new Terminal("K1", "13"))))
                .flatMap(node -> node.terminals().stream()
                        .filter(end -> end.tag().equals("K1") || end.tag().startsWith("S"))
                        .sorted()
                        .limit(2))
                .map(end -> end.tag() + " " + end.marking())
                .toList();
    }

    private static Sheet device(String tag, UnaryOperator<Device> change) {
        return PUMP.withDevices(PUMP.devices().stream()
                .map(one -> one.tag().equals(tag) ? change.apply(one) : one)
                .toList());
    }

    /** Another contact at K1 13. */
    private static Sheet oneMoreThere() {
        List<Rung> control = new ArrayList<>(PUMP.control());
        String at = Nodes.of(PUMP).all().stream()
                .filter(node -> node.terminals().contains(new Terminal("K1", "13")))
                .map(Node::number)
                .findFirst()
                .orElseThrow();
        try {
            control.add(new RungNotation(Set.of("L", "N")).read("@" + at + " K1[53-54] N"));
        } catch (RungSyntaxException wrong) {
            throw new AssertionError(wrong);
        }
        return PUMP.withRungs(Circuit.CONTROL, control);
    }

    private static Sheet changed(String change) {
        return switch (change) {
            case "dial of F2" -> device("F2", one -> one.with("setting", "5.5 A"));
            case "coil of K1" -> device("K1", one -> one.with("coil", "24 V AC"));
            case "label of K1" -> device("K1", one -> one.labelled("Pump"));
            case "place of S1" -> device("S1", one -> one.placed("loft"));
            case "one more at K1 13" -> oneMoreThere();
            case "name" -> PUMP.named("Another");
            default -> throw new IllegalArgumentException(change);
        };
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource({
        "dial of F2, true, false, false, true",
        "coil of K1, false, true, true, true",
        "label of K1, false, false, false, false",
        "place of S1, false, false, false, false",
        "one more at K1 13, false, true, true, true",
        "name, false, false, false, false"
    })
    void aReadingIsStaleJustIfTheChangeCanTouchIt(
            String change, boolean dial, boolean wire, boolean tug, boolean live) {
        Basis before = Basis.of(PUMP);
        Basis after = Basis.of(changed(change));
        Map.of(DIAL, dial, WIRE, wire, TUG, tug, LIVE, live)
                .forEach((step, stale) -> assertThat(after.isStale(taken(before, step)))
                        .as("%s after %s", step, change)
                        .isEqualTo(stale));
    }

    private static Reading taken(Basis basis, String step) {
        return new Reading(step, "ok", "", "E. Marsh", "2026-11-26", basis.revision(), basis.of(step), Extras.NONE);
    }

    /** A wire that leads from one number to another is no wire: its reading went through something. */
    @Test
    void whatIsReadThroughADeviceRestsOnTheWhole() {
        Basis basis = Basis.of(PUMP);

        assertThat(basis.of(DEAD + "Ohms from S1 13 to S1 14")).isEqualTo(basis.revision());
        assertThat(basis.of(DEAD + "Ohms from S9 1 to S9 2")).isEqualTo(basis.revision());
        assertThat(basis.of(WIRE)).isNotEqualTo(basis.revision());
        assertThat(basis.of("control: " + DIAL.substring(DEAD.length()))).isEqualTo(basis.revision());
    }

    /** One of an older file, of which nobody knows what it rests on. */
    @Test
    void aReadingWithoutABasisIsStale() {
        assertThat(Basis.of(PUMP).isStale(new Reading(DIAL, "4.9 A", "", "E. Marsh", "2026-11-26")))
                .isTrue();
    }

    @Test
    void otherNamesKeepWhatWasReadAndRaiseNothingFromTheDead() {
        Basis basis = Basis.of(PUMP);
        Reading stale = new Reading(LIVE, "229 V", "", "E. Marsh", "2026-11-26", "0", "0", Extras.NONE);
        Sheet read = PUMP.withFieldwork(
                Fieldwork.NONE.with(taken(basis, DIAL)).with(taken(basis, WIRE)).with(stale));
        Sheet renamed = read.retagged(Map.of("F2", "F7", "K1", "K8"));

        Sheet carried = Basis.carried(read, renamed);

        Basis after = Basis.of(carried);
        assertThat(carried.fieldwork().readings())
                .extracting(Reading::step)
                .contains(DEAD + "Read the dial of F7")
                .noneMatch(step -> step.contains("F2") || step.contains("K1"));
        assertThat(carried.fieldwork().readings()).extracting(after::isStale).containsExactly(false, false, true);
        assertThat(Basis.carried(PUMP, PUMP)).isSameAs(PUMP);
    }
}
