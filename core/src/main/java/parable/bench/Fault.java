package parable.bench;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.IntStream;
import parable.parts.Contact;
import parable.parts.Drive;
import parable.parts.Family;
import parable.parts.Load;
import parable.parts.Part;
import parable.parts.Source;

/**
 * Something that is wrong with a device or its wiring.
 *
 * @param kind what is wrong
 * @param tag the device
 * @param place which contact or load ({@code 13-14}), which terminal ({@code 13}) or which two terminals ({@code U1-W1})
 *     of it; empty for the device as a whole
 */
public record Fault(Kind kind, String tag, String place) {

    /** What can be wrong. */
    public enum Kind {
        /** A contact that no longer opens; a contactor whose pole is welded cannot drop out. */
        WELDED("is welded closed"),
        /** A contact that no longer conducts, or a button's block that has fallen off. */
        BURNT("no longer conducts"),
        /** A coil, lamp or winding that is burnt through. */
        BROKEN("is burnt through"),
        /** A coil, lamp or winding whose turns are shorted. */
        SHORTED("is shorted inside"),
        /** An armature, an actuator or a rotor that does not move. */
        STUCK("is stuck"),
        /** A fuse that has blown. */
        BLOWN("has blown"),
        /** A phase of a supply that has failed. */
        LOST("gives no voltage"),
        /** A source that gives 70 % of its voltage. */
        LOW("gives only 70 % of its voltage"),
        /** An overload release whose dial stands at twice its current. */
        MISSET("is set to twice its current"),
        /** An overload release whose dial stands at half its current. */
        UNDERSET("is set to half its current"),
        /** A mechanical interlock that was not fitted or has come off. */
        MISSING("is missing"),
        /** A wire that has come off its terminal. */
        OFF("has lost its wire"),
        /** A terminal that is not tightened: it loses its wire for 30 ms twice a second. */
        LOOSE("is loose and loses contact for 30 ms, twice a second"),
        /** A terminal that touches earth. */
        EARTHED("touches earth"),
        /** The wire of the one terminal is on the other. */
        MISPLACED("wire on the neighbouring terminal"),
        /** The wires of two terminals are exchanged. */
        SWAPPED("wires exchanged");

        private final String words;

        Kind(String words) {
            this.words = words;
        }

        /** The word in a script: {@code welded}. */
        public String word() {
            return name().toLowerCase(Locale.ROOT);
        }

        /** The kind of this word, empty if there is none. */
        public static Optional<Kind> ofWord(String word) {
            return Arrays.stream(values())
                    .filter(kind -> kind.word().equals(word))
                    .findFirst();
        }
    }

    /** The fault in a sentence: {@code K1 13-14 is welded closed}. */
    public String words() {
        return switch (kind) {
            case WELDED, BURNT, BROKEN, SHORTED, STUCK, BLOWN, LOST, LOW, MISSET, UNDERSET, MISSING -> tag
                    + (place.isEmpty() ? "" : " " + place.replace("-*", " winding")) + " " + kind.words;
            case OFF, LOOSE, EARTHED -> tag + ":" + place + " " + kind.words;
            case MISPLACED -> "The wire of " + tag + ":" + side(0) + " is on " + tag + ":" + side(1);
            case SWAPPED -> "The wires of " + tag + ":" + side(0) + " and " + tag + ":" + side(1) + " are exchanged";
        };
    }

    /** Every fault that a part can have, those of its contacts first, then those of the whole, then its wires. */
    public static List<Fault> possibleIn(Part part) {
        List<Fault> candidates = new ArrayList<>();
        for (Contact contact : part.contacts()) {
            candidates.add(new Fault(Kind.WELDED, part.tag(), contact.marking()));
            candidates.add(new Fault(Kind.BURNT, part.tag(), contact.marking()));
        }
        for (Kind kind : List.of(Kind.STUCK, Kind.BLOWN, Kind.MISSET, Kind.UNDERSET, Kind.MISSING)) {
            candidates.add(new Fault(kind, part.tag(), ""));
        }
        for (Load load : part.loads()) {
            candidates.add(new Fault(Kind.BROKEN, part.tag(), part.loads().size() == 1 ? "" : between(load)));
            candidates.add(new Fault(Kind.SHORTED, part.tag(), between(load)));
        }
        part.sources().forEach(source -> candidates.add(new Fault(Kind.LOST, part.tag(), source.live())));
        part.sources().forEach(source -> candidates.add(new Fault(Kind.LOW, part.tag(), source.live())));
        List<String> terminals = List.copyOf(part.terminals());
        for (Kind kind : List.of(Kind.OFF, Kind.LOOSE, Kind.EARTHED)) {
            terminals.forEach(terminal -> candidates.add(new Fault(kind, part.tag(), terminal)));
        }
        for (int i = 1; i < terminals.size(); i++) {
            String neighbours = terminals.get(i - 1) + "-" + terminals.get(i);
            candidates.add(new Fault(Kind.MISPLACED, part.tag(), neighbours));
            candidates.add(new Fault(Kind.SWAPPED, part.tag(), neighbours));
        }
        return candidates.stream()
                .filter(fault -> fault.nonsenseIn(part).isEmpty())
                .toList();
    }

    /**
     * Whether this fault is between two terminals of its device: in the contact or load there, on one of the terminals, or
     * in the device as a whole.
     */
    public boolean isBetween(String from, String to) {
        List<String> sides = List.of(from, to);
        return place.isEmpty()
                || place.equals(from + "-" + to)
                || sides.contains(place)
                || (kind == Kind.MISPLACED || kind == Kind.SWAPPED)
                        && (sides.contains(side(0)) || sides.contains(side(1)));
    }

    /** What is wrong with putting this fault into this part, empty if it is possible. */
    Optional<String> nonsenseIn(Part part) {
        return switch (kind) {
            case WELDED, BURNT -> unless(contactOf(part).isPresent(), "a contact such as 13-14");
            case SHORTED -> unless(loadOf(part).isPresent(), "a coil, lamp or winding such as A1-A2");
            case LOST, LOW -> unless(sourceOf(part).isPresent(), "a phase or output of a supply");
            case MISSING -> unless(part.drive() instanceof Drive.Interlocking && isOfWhole(), "a mechanical interlock");
            case MISSET, UNDERSET -> unless(part.heater().isPresent() && isOfWhole(), "an overload release");
            case BLOWN -> unless(part.family() == Family.FUSE && isOfWhole(), "a fuse");
            case OFF, LOOSE, EARTHED -> unless(part.terminals().contains(place), "a terminal of the device");
            case MISPLACED, SWAPPED -> unless(
                    !side(0).equals(side(1))
                            && part.terminals().contains(side(0))
                            && part.terminals().contains(side(1)),
                    "two terminals of the device such as 13-14");
            case BROKEN -> unless(
                    isOfWhole() ? !part.loads().isEmpty() : loadOf(part).isPresent(),
                    "a device with a coil, lamp or winding");
            case STUCK -> unless(isOfWhole() && moves(part), "a device that moves");
        };
    }

    private static Optional<String> unless(boolean possible, String expected) {
        return possible ? Optional.empty() : Optional.of(expected);
    }

    private boolean isOfWhole() {
        return place.isEmpty();
    }

    private static boolean moves(Part part) {
        if (part.family() == Family.SUPPLY || part.family() == Family.FUSE) {
            return false;
        }
        return part.machine().isPresent()
                || !(part.drive() instanceof Drive.None) && !(part.drive() instanceof Drive.Interlocking);
    }

    /** The first or second of the terminals in the place, empty if it names none. */
    String side(int which) {
        int dash = place.indexOf('-', 1);
        if (dash < 0) {
            return "";
        }
        return which == 0 ? place.substring(0, dash) : place.substring(dash + 1);
    }

    /** The position of the contact among the device's contacts, empty if the place is none. */
    Optional<Integer> contactOf(Part part) {
        return part.contactBetween(side(0), side(1));
    }

    private Optional<Integer> loadOf(Part part) {
        return IntStream.range(0, part.loads().size())
                .filter(load -> between(part.loads().get(load)).equals(place))
                .boxed()
                .findFirst();
    }

    private Optional<Source> sourceOf(Part part) {
        return part.sources().stream()
                .filter(source -> source.live().equals(place))
                .findFirst();
    }

    /** Whether no current can flow through a load with this fault. */
    boolean breaks(Load load) {
        return kind == Kind.BROKEN && (isOfWhole() || place.equals(between(load)));
    }

    private static String between(Load load) {
        return load.from() + "-" + load.to();
    }
}
