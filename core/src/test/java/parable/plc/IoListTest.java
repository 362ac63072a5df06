package parable.plc;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import parable.Examples;
import parable.bench.Action;
import parable.bench.ActionRefusedException;
import parable.bench.Bench;
import parable.circuit.Practice;
import parable.circuit.Sheet;
import parable.parts.Assembly;
import parable.parts.Contact;
import parable.parts.Family;
import parable.parts.Part;
import parable.parts.Verb;
import parable.starters.Library;

/** What the list of inputs and outputs says, against the panel itself on the bench. */
class IoListTest {

    /** The sheets of the library that have a controller, and translations of some that have none. */
    static Stream<Sheet> controlled() {
        Stream<Sheet> drawn = Library.jobs().stream()
                .flatMap(job -> job.sheets().stream())
                .filter(sheet -> sheet.program().isPresent());
        Stream<Sheet> translated =
                Stream.of("Wash pump", "Mill", "Press platen", "Crusher").map(IoListTest::translated);
        return Stream.concat(drawn, translated);
    }

    private static Sheet translated(String name) {
        try {
            return Translation.of(Examples.fitted(Examples.ofLibrary(name)), Practice.IEC, TranslationChoices.PROPOSED)
                    .sheet();
        } catch (TranslationException refused) {
            throw new IllegalStateException(name, refused);
        }
    }

    private static Bench live(Assembly assembly) throws ActionRefusedException {
        Bench bench = Bench.of(assembly);
        for (Part part : assembly.parts()) {
            if (part.drive().verbs().containsKey(Verb.CLOSE) && part.initial() == 0) {
                bench.act(new Action(Verb.CLOSE, part.tag()));
            }
        }
        bench.runUntil(5_000_000);
        return bench;
    }

    private static int number(IoPoint point) {
        return Integer.parseInt(point.terminal().substring(1));
    }

    @ParameterizedTest
    @MethodSource("controlled")
    void everyPointHasAnAddressAndATerminalOfItsOwn(Sheet sheet) {
        List<IoPoint> points = IoList.of(Examples.fitted(sheet));
        Set<Object> addresses = new HashSet<>();
        Set<Object> terminals = new HashSet<>();

        assertThat(points).isNotEmpty();
        assertThat(points).allMatch(point -> addresses.add(point.address()) && terminals.add(point.terminal()));
        assertThat(points).allMatch(point -> point.terminal().startsWith(point.isInput() ? "I" : "Q"));
    }

    /** What is said to be read at rest is read at rest. */
    @ParameterizedTest
    @MethodSource("controlled")
    void inputsReadAtRestWhatTheListSays(Sheet sheet) throws ActionRefusedException {
        Bench bench = live(Examples.fitted(sheet));

        for (IoPoint point : IoList.of(Examples.fitted(sheet))) {
            if (point.isInput()) {
                assertThat(bench.moment().readsInput(number(point)))
                        .as(point.why())
                        .isEqualTo(point.atRest());
            }
        }
    }

    /** And while a button is held, what the list says of it then. */
    @ParameterizedTest
    @MethodSource("controlled")
    void inputsReadWhileTheirButtonIsHeldWhatTheListSays(Sheet sheet) throws ActionRefusedException {
        Assembly assembly = Examples.fitted(sheet);
        int held = 0;
        for (IoPoint point : IoList.of(assembly)) {
            boolean button = assembly.part(point.device())
                    .filter(part -> part.family() == Family.PUSH_BUTTON)
                    .isPresent();
            if (point.isInput() && button) {
                Bench bench = live(assembly);
                bench.act(new Action(Verb.PRESS, point.device()));
                bench.runUntil(bench.now() + 100_000);
                assertThat(bench.moment().readsInput(number(point)))
                        .as(point.why())
                        .isEqualTo(point.acted());
                held++;
            }
        }
        assertThat(held).isPositive();
    }

    /** There is no rule "closed contact, closed instruction": a stop that conducts at rest is read by the open one. */
    @ParameterizedTest
    @MethodSource("controlled")
    void aStopThatConductsAtRestIsReadByTheOpenInstruction(Sheet sheet) {
        Assembly assembly = Examples.fitted(sheet);
        Map<Boolean, List<IoPoint>> stops = IoList.of(assembly).stream()
                .filter(IoPoint::isInput)
                .filter(point -> assembly.part(point.device())
                        .filter(part -> part.contacts().stream().allMatch(Contact::isNormallyClosed))
                        .filter(part -> part.family() == Family.PUSH_BUTTON)
                        .isPresent())
                .collect(Collectors.partitioningBy(IoPoint::needsClosedInstruction));

        assertThat(stops.get(true)).isEmpty();
        assertThat(stops.get(false)).allMatch(point -> point.stops() && point.atRest() && !point.acted());
        assertThat(stops.get(false)).allSatisfy(point -> {
            assertThat(point.effect(false)).endsWith("a broken wire stops too: right.");
            assertThat(point.effect(true)).endsWith("wrong.");
        });
    }

    @Test
    void aRelaySheetHasNoPoints() {
        assertThat(IoList.of(Examples.fitted(Examples.washPump()))).isEmpty();
    }
}
