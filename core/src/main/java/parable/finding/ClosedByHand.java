package parable.finding;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import parable.bench.Action;
import parable.circuit.Terminal;
import parable.parts.Assembly;
import parable.parts.Contact;
import parable.parts.Drive;
import parable.parts.Family;
import parable.parts.Part;
import parable.parts.Verb;
import parable.testsheet.Observation;
import parable.testsheet.Phase;
import parable.testsheet.Situation;
import parable.testsheet.Situations;
import parable.testsheet.StepRehearsal;

/**
 * The power circuit closed by hand while it is dead: every breaker, and the armatures of one or two contactors without which no line has its way to another through a motor. Electricians read ohms from
 * line to line then: one reading tells of all the poles, wires and windings in between.
 */
final class ClosedByHand {

    /** With more, pairs are not tried: a panel of so many motors is judged motor by motor. */
    private static final int MOST_IN_PAIRS = 8;

    private final Assembly assembly;
    private final StepRehearsal sound;
    private final List<String> lines;

    /**
     * @param sound the same panel with nothing wrong
     */
    ClosedByHand(Assembly assembly, StepRehearsal sound) {
        this.assembly = assembly;
        this.sound = sound;
        lines = assembly.parts().stream()
                .filter(part -> part.family() == Family.SUPPLY)
                .flatMap(part -> part.sources().stream()
                        .map(source -> new Terminal(part.tag(), source.live()))
                        .distinct())
                .filter(line -> assembly.nodes().indexOf(line).isPresent())
                .map(Terminal::toString)
                .toList();
    }

    /** Where the lines come in. */
    List<String> lines() {
        return lines;
    }

    /** Every line against every other, where they come in. */
    List<Observation> pairs() {
        return IntStream.range(0, lines.size())
                .boxed()
                .flatMap(one -> lines.subList(one + 1, lines.size()).stream()
                        .<Observation>map(other -> new Observation.Ohms(lines.get(one), other)))
                .toList();
    }

    /** All of them; none where lines are fewer than two, or joined without any contactor. */
    List<Situation> situations() {
        List<Situation> closed = new ArrayList<>();
        if (pairs().isEmpty() || joins(List.of())) {
            return closed;
        }
        List<List<String>> enough = new ArrayList<>();
        for (List<String> some : choices(contactors())) {
            if (enough.stream().noneMatch(some::containsAll) && joins(some)) {
                enough.add(some);
                closed.add(with(some));
            }
        }
        return closed;
    }

    private List<String> contactors() {
        return assembly.parts().stream()
                .filter(part -> part.family() == Family.CONTACTOR && part.drive() instanceof Drive.ByCoil)
                .filter(part -> part.contacts().stream().anyMatch(contact -> contact.pole() && isWired(part, contact)))
                .map(Part::tag)
                .toList();
    }

    private boolean isWired(Part part, Contact contact) {
        return assembly.isWired(part, contact.from()) && assembly.isWired(part, contact.to());
    }

    private static List<List<String>> choices(List<String> contactors) {
        List<List<String>> choices = new ArrayList<>();
        contactors.forEach(one -> choices.add(List.of(one)));
        if (contactors.size() <= MOST_IN_PAIRS) {
            for (int one = 0; one < contactors.size(); one++) {
                for (int other = one + 1; other < contactors.size(); other++) {
                    choices.add(List.of(contactors.get(one), contactors.get(other)));
                }
            }
        }
        return choices;
    }

    private Situation with(List<String> contactors) {
        return new Situation(
                Phase.DEAD,
                Stream.concat(
                                new Situations(assembly).closed().stream(),
                                contactors.stream().map(tag -> new Action(Verb.PUSH, tag)))
                        .toList());
    }

    private boolean joins(List<String> contactors) {
        StepRehearsal.Rest rest = sound.rest(with(contactors));
        return pairs().stream().allMatch(pair -> pair.at(rest)
                .value()
                .filter(ohms -> !Double.isInfinite(ohms))
                .isPresent());
    }
}
