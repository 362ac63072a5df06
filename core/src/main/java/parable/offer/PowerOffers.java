package parable.offer;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import parable.circuit.Circuit;
import parable.circuit.Conventions;
import parable.circuit.EditException;
import parable.circuit.RungItem;
import parable.desk.DeskLine;
import parable.desk.PowerLines;
import parable.drafting.NewDevice;
import parable.parts.Assembly;
import parable.parts.Contact;
import parable.parts.Family;
import parable.parts.Part;
import parable.parts.PartException;

/**
 * What can be put into lines of the power circuit. First what is on the sheet and has no pole drawn yet; then what every motor has before it and these lines have not; then a further
 * motor from here, and the rest.
 */
final class PowerOffers {

    private static final int LINES_OF_A_MOTOR = 3;
    private static final String MOTOR = "three-phase-motor";

    private static final Set<Family> SWITCHING =
            Set.of(Family.CONTACTOR, Family.OVERLOAD_RELAY, Family.BREAKER, Family.ISOLATOR, Family.FUSE);

    private static final Set<Family> BEFORE_A_MOTOR = Set.of(Family.CONTACTOR, Family.OVERLOAD_RELAY, Family.BREAKER);

    /** Something that is not on the sheet yet. */
    private record Fresh(String kind, Family family, String words) {}

    private static final List<Fresh> FRESH = List.of(
            new Fresh("contactor", Family.CONTACTOR, "contactor"),
            new Fresh("overload-relay", Family.OVERLOAD_RELAY, "overload relay"),
            new Fresh("circuit-breaker", Family.BREAKER, "breaker"),
            new Fresh("motor-protective-breaker", Family.BREAKER, "motor-protective breaker"),
            new Fresh("isolator", Family.ISOLATOR, "main switch"),
            new Fresh("fuse", Family.FUSE, "fuse in each line"));

    private final Assembly assembly;
    private final Conventions conventions;
    private final String voltage;
    private final Spot spot;
    private final PowerLines lines;

    /**
     * What can be put at a place.
     *
     * @param spot in the power circuit
     */
    PowerOffers(Assembly assembly, Conventions conventions, String voltage, Spot spot) {
        this.assembly = assembly;
        this.conventions = conventions;
        this.voltage = voltage;
        this.spot = spot;
        lines = PowerLines.at(assembly.sheet(), spot.selected().orElseThrow().at())
                .orElseThrow();
    }

    /** Whether a place is in the power circuit, on a device that lines lead through. */
    static boolean isFor(Assembly assembly, Spot spot) {
        return spot.selected()
                .flatMap(stretch -> PowerLines.at(assembly.sheet(), stretch.at()))
                .isPresent();
    }

    /** The likely things first; no branch to a return, which is the ladder's. */
    Stream<Offer> likely() {
        if (spot instanceof Spot.ToReturn) {
            return Stream.of();
        }
        Set<Family> before = families();
        return Stream.of(
                        there(),
                        fresh(one -> isWanting(one, before)),
                        furtherMotor().stream(),
                        fresh(one -> !isWanting(one, before)))
                .flatMap(offers -> offers);
    }

    private Stream<Offer> there() {
        return assembly.parts().stream()
                .filter(part -> SWITCHING.contains(part.family()) && !isDrawn(part))
                .map(this::there);
    }

    private Offer there(Part part) {
        DeskLine line = line(assembly, part.tag());
        return new Offer(part.tag(), words("its poles"), Offer.Shape.POLE, Optional.empty(), line);
    }

    private Stream<Offer> fresh(Predicate<Fresh> wanted) {
        return FRESH.stream().filter(wanted).map(this::fresh);
    }

    private static boolean isWanting(Fresh fresh, Set<Family> before) {
        return BEFORE_A_MOTOR.contains(fresh.family()) && !before.contains(fresh.family());
    }

    private String words(String what) {
        return what + (spot instanceof Spot.Around ? " in parallel" : "");
    }

    /** Whether a pole of it is in the power circuit. */
    private boolean isDrawn(Part part) {
        Set<String> poles = part.contacts().stream()
                .filter(Contact::pole)
                .map(Contact::from)
                .collect(Collectors.toSet());
        return poles.isEmpty()
                || passages()
                        .anyMatch(passage -> passage.tag().equals(part.tag())
                                && (poles.contains(passage.from()) || poles.contains(passage.to())));
    }

    private Stream<RungItem.Passage> passages() {
        return assembly.sheet().rungs(Circuit.POWER).stream().flatMap(RungView::passages);
    }

    /** What the first of the lines leads through. */
    private Set<Family> families() {
        return RungView.passages(assembly.sheet().power().get(lines.at().get(0).rung()))
                .flatMap(passage -> assembly.part(passage.tag()).stream())
                .map(Part::family)
                .collect(Collectors.toSet());
    }

    private Offer fresh(Fresh fresh) {
        String tag = NewDevice.tagFor(assembly.sheet(), fresh.kind(), conventions.practice());
        return added(tag, fresh.kind(), words(fresh.words()), Offer.Shape.POLE);
    }

    /** From three lines only, and not around something. */
    private Optional<Offer> furtherMotor() {
        if (!(spot instanceof Spot.InSeries) || lines.count() != LINES_OF_A_MOTOR) {
            return Optional.empty();
        }
        String tag = NewDevice.tagFor(assembly.sheet(), MOTOR, conventions.practice());
        return Optional.of(added(tag, MOTOR, "a further motor from here", Offer.Shape.MOTOR));
    }

    private Offer added(String tag, String kind, String words, Offer.Shape shape) {
        try {
            Assembly with = assembly.on(NewDevice.tagged(assembly.sheet(), tag, Optional.of(kind), voltage));
            return new Offer(tag, words, shape, with.sheet().device(tag), line(assembly, tag + ":" + kind));
        } catch (EditException | PartException impossible) {
            throw new IllegalStateException("a new " + kind + " can always be put on a sheet", impossible);
        }
    }

    private DeskLine line(Assembly before, String text) {
        return new DeskLine(before, conventions, voltage, spot.selected(), spot.stroke(), text);
    }
}
