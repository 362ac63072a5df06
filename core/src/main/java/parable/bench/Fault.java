package parable.bench;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import parable.parts.Contact;
import parable.parts.Drive;
import parable.parts.LoadRole;
import parable.parts.Part;

/**
 * Something that is wrong with a device or its wiring.
 *
 * @param kind what is wrong
 * @param tag the device
 * @param place which contact ({@code 13-14}) or which terminal ({@code 13}) of it; empty for the device as a whole
 */
public record Fault(Kind kind, String tag, String place) {

    /** What can be wrong. */
    public enum Kind {
        /** A contact that no longer opens; a contactor whose pole is welded cannot drop out. */
        WELDED("is welded closed"),
        /** A contact that no longer conducts, or a button's block that has fallen off. */
        BURNT("no longer conducts"),
        /** A coil or lamp that is burnt through. */
        BROKEN("is burnt through"),
        /** An armature or actuator that does not move. */
        STUCK("is stuck"),
        /** A phase of a supply that has failed. */
        LOST("gives no voltage"),
        /** A mechanical interlock that was not fitted or has come off. */
        MISSING("is missing"),
        /** A wire that has come off its terminal. */
        OFF("has lost its wire");

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
        return (kind == Kind.OFF ? tag + ":" + place : tag + (place.isEmpty() ? "" : " " + place)) + " " + kind.words;
    }

    /** Every fault that a part can have, those of its contacts first, then those of the whole, then its wires. */
    public static List<Fault> possibleIn(Part part) {
        List<Fault> candidates = new ArrayList<>();
        for (Contact contact : part.contacts()) {
            candidates.add(new Fault(Kind.WELDED, part.tag(), contact.marking()));
            candidates.add(new Fault(Kind.BURNT, part.tag(), contact.marking()));
        }
        candidates.add(new Fault(Kind.BROKEN, part.tag(), ""));
        candidates.add(new Fault(Kind.STUCK, part.tag(), ""));
        candidates.add(new Fault(Kind.MISSING, part.tag(), ""));
        part.sources().forEach(source -> candidates.add(new Fault(Kind.LOST, part.tag(), source.live())));
        part.terminals().forEach(terminal -> candidates.add(new Fault(Kind.OFF, part.tag(), terminal)));
        return candidates.stream()
                .filter(fault -> fault.nonsenseIn(part).isEmpty())
                .toList();
    }

    /**
     * Whether this fault is between two terminals of its device: in the contact or load there, on one of the terminals, or
     * in the device as a whole.
     */
    public boolean isBetween(String from, String to) {
        return place.isEmpty() || place.equals(from + "-" + to) || place.equals(from) || place.equals(to);
    }

    /** What is wrong with putting this fault into this part, empty if it is possible. */
    Optional<String> nonsenseIn(Part part) {
        return switch (kind) {
            case WELDED, BURNT -> contactOf(part).isPresent()
                    ? Optional.empty()
                    : Optional.of("a contact such as 13-14");
            case LOST -> part.sources().stream()
                            .anyMatch(source -> source.live().equals(place))
                    ? Optional.empty()
                    : Optional.of("a phase of a supply");
            case MISSING -> part.drive() instanceof Drive.Interlocking && place.isEmpty()
                    ? Optional.empty()
                    : Optional.of("a mechanical interlock");
            case OFF -> part.terminals().contains(place) ? Optional.empty() : Optional.of("a terminal of the device");
            case BROKEN -> !part.loads().isEmpty() && place.isEmpty()
                    ? Optional.empty()
                    : Optional.of("a device with a coil or lamp");
            case STUCK -> place.isEmpty() && moves(part.drive())
                    ? Optional.empty()
                    : Optional.of("a device that moves");
        };
    }

    private static boolean moves(Drive drive) {
        return !(drive instanceof Drive.None) && !(drive instanceof Drive.Interlocking);
    }

    /** The position of the contact among the device's contacts, empty if the place is none. */
    Optional<Integer> contactOf(Part part) {
        String[] sides = place.split("-", 2);
        return sides.length < 2 ? Optional.empty() : part.contactBetween(sides[0], sides[1]);
    }

    /** Whether the load of a part works at all with this fault. */
    boolean breaks(LoadRole role) {
        return kind == Kind.BROKEN && role != LoadRole.SHUNT_RELEASE && role != LoadRole.UNDERVOLTAGE_RELEASE;
    }
}
