package parable.bench;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.TestFactory;
import parable.Examples;
import parable.circuit.Sheet;
import parable.circuit.Terminal;
import parable.parts.Assembly;
import parable.parts.Contact;
import parable.parts.Drive;
import parable.parts.Family;
import parable.parts.Part;
import parable.parts.Verb;

/** What must be true at every instant, whatever is done to any of the example sheets, the bad ones included. */
class BenchInvariantsTest {

    private static final int ACTIONS = 250;

    @TestFactory
    Stream<DynamicTest> atEveryInstantOfARandomRun() {
        return Examples.sheets().map(sheet -> DynamicTest.dynamicTest(sheet.name(), () -> check(sheet)));
    }

    private static void check(Sheet sheet) throws ActionRefusedException {
        Assembly assembly = Examples.fitted(sheet);
        Bench bench = Bench.of(assembly);
        play(bench, possibleActions(assembly), new Random(sheet.name().hashCode()));

        for (long time : bench.instants()) {
            Moment moment = bench.momentAt(time);
            for (Part part : assembly.parts()) {
                assertMirrorContacts(moment, part);
                assertChangeoversBreakBeforeMake(moment, part);
                assertCoilFollowsItsVoltage(moment, part);
            }
        }
        assertThat(bench.story()).extracting(StoryLine::time).isSorted();
        assertThat(bench.story()).allSatisfy(line -> assertThat(line.text()).matches("[A-Z0-9].*\\."));
        assertCausesComeBefore(bench.story());
        assertGoingBackShowsTheSame(bench);
    }

    private static List<Action> possibleActions(Assembly assembly) {
        List<Action> actions = new ArrayList<>();
        for (Part part : assembly.parts()) {
            part.drive().verbs().keySet().stream().sorted().forEach(verb -> actions.add(new Action(verb, part.tag())));
            if (part.drive() instanceof Drive.ByTurning turning) {
                turning.positions().forEach(position -> actions.add(new Action(Verb.TURN, part.tag(), position)));
            }
        }
        return actions;
    }

    private static void play(Bench bench, List<Action> possible, Random random) throws ActionRefusedException {
        for (int i = 0; i < ACTIONS; i++) {
            int pause = random.nextInt(4) == 0 ? 3_000_000 : random.nextInt(40_000);
            bench.runUntil(bench.now() + pause);
            bench.act(possible.get(random.nextInt(possible.size())));
        }
        bench.runUntil(bench.now() + 1_000_000);
    }

    /** IEC 60947-4-1, annex F: no NC auxiliary is closed while a main pole of the same contactor is. */
    private static void assertMirrorContacts(Moment moment, Part part) {
        if (part.family() != Family.CONTACTOR) {
            return;
        }
        boolean pole = false;
        boolean mirror = false;
        for (int c = 0; c < part.contacts().size(); c++) {
            Contact contact = part.contacts().get(c);
            boolean closed = moment.closed(part.tag(), c);
            pole |= contact.pole() && closed;
            mirror |= contact.isNormallyClosed() && closed;
        }
        assertThat(pole && mirror).as("%s at %s us", part.tag(), moment.time()).isFalse();
    }

    private static void assertChangeoversBreakBeforeMake(Moment moment, Part part) {
        for (int one = 0; one < part.contacts().size(); one++) {
            for (int other = 0; other < one; other++) {
                Contact first = part.contacts().get(one);
                Contact second = part.contacts().get(other);
                boolean never = (first.closedIn() & second.closedIn()) == 0;
                if (never) {
                    assertThat(moment.closed(part.tag(), one) && moment.closed(part.tag(), other))
                            .as("%s %s and %s", part.tag(), first.marking(), second.marking())
                            .isFalse();
                }
            }
        }
    }

    /** With 85 % of its voltage a coil is pulled, with hardly any it is not. */
    private static void assertCoilFollowsItsVoltage(Moment moment, Part part) {
        boolean coil = part.drive() instanceof Drive.ByCoil || part.drive() instanceof Drive.ByTimer;
        if (!coil || moment.shorted()) {
            return;
        }
        var load = part.loads().get(0);
        double volts = moment.voltage(new Terminal(part.tag(), load.from()), new Terminal(part.tag(), load.to()))
                .orElseThrow()
                .rms();
        double share = volts / load.rated().volts();
        if (share >= 0.86 && share < 1.3) {
            assertThat(moment.energised(part.tag()))
                    .as("%s with %s V", part.tag(), volts)
                    .isTrue();
        } else if (share < 0.1) {
            assertThat(moment.energised(part.tag()))
                    .as("%s with %s V", part.tag(), volts)
                    .isFalse();
        }
    }

    private static void assertCausesComeBefore(List<StoryLine> story) {
        for (int i = 0; i < story.size(); i++) {
            int line = i;
            story.get(i).cause().ifPresent(cause -> {
                assertThat(cause).isBetween(0, line - 1);
                assertThat(story.get(cause).time())
                        .isLessThanOrEqualTo(story.get(line).time());
            });
        }
    }

    private static void assertGoingBackShowsTheSame(Bench bench) {
        List<Long> instants = bench.instants();
        long middle = instants.get(instants.size() / 2);
        List<StoryLine> before =
                bench.story().stream().filter(line -> line.time() <= middle).toList();
        bench.rewindTo(middle);
        assertThat(bench.story()).isEqualTo(before);
        assertThat(bench.now()).isEqualTo(middle);
    }
}
