package parable.check;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.function.BiPredicate;
import parable.network.Solution;
import parable.parts.Contact;
import parable.parts.Drive;
import parable.parts.Family;
import parable.parts.Load;
import parable.parts.LoadRole;
import parable.parts.Part;
import parable.parts.Source;

/**
 * What can still be fed while something is held open, whatever else is closed: relays that can not be fed any more are out, so that what
 * their contacts feed can not be fed either, and so on.
 */
final class StopPath {

    private final Study study;
    private final Solution wires;

    StopPath(Study study) {
        this.study = study;
        wires = study.joints(new BitSet());
    }

    /** What is left: the relays that can be fed, and the breakers that their releases have opened. */
    private record Left(Set<Part> in, Set<Part> opened) {}

    /**
     * The motors that contactors can still drive.
     *
     * @param held the device that is held or tripped
     * @param closedOf which of its contacts are closed then
     */
    Set<String> drivable(Part held, BiPredicate<Part, Contact> closedOf) {
        Left left = left(held, closedOf);
        Set<String> motors = new LinkedHashSet<>();
        pairs(left.in()).forEach(pair -> motors.addAll(driven(pair, left.opened())));
        return motors;
    }

    /** The motors that a breaker takes the current from while it is open and that start when it is closed again, for their contactors stay in. */
    Set<String> startedAgain(Part breaker) {
        Left left = left(breaker, (part, contact) -> contact.closedAt(0));
        Set<String> motors = new LinkedHashSet<>();
        for (Set<Part> pair : pairs(left.in())) {
            Set<String> again = driven(pair, left.opened());
            again.removeAll(driven(pair, Set.of(breaker)));
            motors.addAll(again);
        }
        return motors;
    }

    /** Contactors that may be in, one and two at a time: one direction, or star or delta with main. */
    private List<Set<Part>> pairs(Set<Part> in) {
        List<Part> contactors = study.switchingContactors().filter(in::contains).toList();
        List<Set<Part>> pairs = new ArrayList<>();
        for (int i = 0; i < contactors.size(); i++) {
            pairs.add(Set.of(contactors.get(i)));
            for (int j = i + 1; j < contactors.size(); j++) {
                pairs.add(Set.of(contactors.get(i), contactors.get(j)));
            }
        }
        return pairs;
    }

    private Set<String> driven(Set<Part> contactors, Set<Part> opened) {
        Set<String> driven = new LinkedHashSet<>();
        Solution solution = study.solution(study.closed((part, contact) ->
                contact.pole() && contactors.contains(part) || Study.isFeed(part, contact) && !opened.contains(part)));
        if (solution.shorts().isEmpty()) {
            study.parts(Family.MOTOR)
                    .filter(motor -> study.drives(solution, motor))
                    .forEach(motor -> driven.add(motor.tag()));
        }
        return driven;
    }

    /** Goes on until nothing more lets go. */
    private Left left(Part held, BiPredicate<Part, Contact> closedOf) {
        Set<Part> out = new HashSet<>();
        Set<Part> opened = new HashSet<>();
        boolean more = true;
        while (more) {
            Solution joints =
                    study.joints(study.closed((part, contact) -> conducts(part, contact, held, closedOf, out, opened)));
            Set<Integer> live = live(joints);
            more = false;
            for (Part relay : study.relays().toList()) {
                more |= !isFed(joints, live, relay, Study.coil(relay)) && out.add(relay);
            }
            for (Part breaker : study.parts(Family.BREAKER).toList()) {
                boolean released = breaker.loads().stream()
                        .anyMatch(load -> load.role() == LoadRole.UNDERVOLTAGE_RELEASE
                                && study.isWired(breaker, load.from())
                                && !isFed(joints, live, breaker, load));
                more |= released && opened.add(breaker);
            }
        }
        Set<Part> in = new LinkedHashSet<>(study.relays().toList());
        in.removeAll(out);
        return new Left(in, opened);
    }

    /** The terminals of supplies that give something: those from outside, and converters whose input can be fed. */
    private Set<Integer> live(Solution joints) {
        Set<Integer> live = new HashSet<>();
        Set<Part> left = new LinkedHashSet<>();
        for (Part part : study.assembly().parts()) {
            for (Source source : part.sources()) {
                if (source.following().isPresent()) {
                    left.add(part);
                } else {
                    addTerminals(part, source, live);
                }
            }
        }
        boolean more = true;
        while (more) {
            List<Part> fed = left.stream()
                    .filter(part -> part.sources().stream()
                            .flatMap(source -> source.following().stream())
                            .allMatch(following ->
                                    isFed(joints, live, part, part.loads().get(following.load()))))
                    .toList();
            fed.forEach(part -> part.sources().forEach(source -> addTerminals(part, source, live)));
            more = left.removeAll(fed);
        }
        return live;
    }

    private void addTerminals(Part part, Source source, Set<Integer> nodes) {
        nodes.add(study.node(part, source.live()));
        nodes.add(study.node(part, source.reference()));
    }

    /** Whether the two ends of a load reach two points of supplies that no wire joins. */
    private boolean isFed(Solution joints, Set<Integer> live, Part part, Load load) {
        int from = study.node(part, load.from());
        int to = study.node(part, load.to());
        for (int one : live) {
            for (int other : live) {
                if (joints.joined(from, one) && joints.joined(to, other) && !wires.joined(one, other)) {
                    return true;
                }
            }
        }
        return false;
    }

    private static boolean conducts(
            Part part,
            Contact contact,
            Part held,
            BiPredicate<Part, Contact> closedOf,
            Set<Part> out,
            Set<Part> opened) {
        if (part.equals(held)) {
            return closedOf.test(part, contact);
        }
        if (opened.contains(part)) {
            return contact.closedAt(0);
        }
        if (contact.pole()) {
            return Study.isFeed(part, contact);
        }
        boolean relay = part.drive() instanceof Drive.ByCoil || part.drive() instanceof Drive.ByTimer;
        return !relay || !out.contains(part) || contact.closedAt(0);
    }
}
