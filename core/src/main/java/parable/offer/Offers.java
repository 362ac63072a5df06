package parable.offer;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import parable.circuit.ColourUse;
import parable.circuit.Conventions;
import parable.circuit.EditException;
import parable.circuit.Rail;
import parable.circuit.Rung;
import parable.circuit.RungItem;
import parable.circuit.Sheet;
import parable.desk.CoilVoltage;
import parable.desk.DeskLine;
import parable.drafting.NewDevice;
import parable.network.OpposedContactors;
import parable.parts.Assembly;
import parable.parts.Contact;
import parable.parts.Family;
import parable.parts.Part;
import parable.parts.PartException;

/**
 * What can be put at places of a sheet: in the ladder, and into lines of the power circuit. The likely things come first: the overload's contact, stop, start and the opponent's closed contact before a
 * coil, the contactor's own contact around a start, a coil that has no rung yet on a new one.
 */
public final class Offers {

    private static final int FIRST = 100;
    private static final int LIKELY = 60;
    private static final int POSSIBLE = 30;
    private static final int SELDOM = 10;

    /** Offered because it can be wanted: a contact before its own coil keeps that from ever pulling in, or lets it buzz. */
    private static final int NEVER = 1;

    private final Assembly assembly;
    private final Conventions conventions;
    private final String voltage;
    private final Map<String, String> opponents = new LinkedHashMap<>();

    /**
     * A device that is not on the sheet yet.
     *
     * @param use what its colour tells, empty if it has none
     */
    private record Fresh(String kind, String label, String words, Offer.Shape shape, Optional<ColourUse> use) {
        Fresh(String kind, String label, String words, Offer.Shape shape) {
            this(kind, label, words, shape, Optional.empty());
        }
    }

    private static final Map<Fresh, Integer> FRESH_LOADS = Map.of(
            new Fresh("control-relay", "", "a further relay", Offer.Shape.LOAD), POSSIBLE,
            new Fresh("timer", "", "a timer", Offer.Shape.LOAD), POSSIBLE - 1,
            new Fresh("pilot-lamp", "", "a lamp", Offer.Shape.LOAD), POSSIBLE - 2,
            new Fresh("contactor", "", "a further contactor", Offer.Shape.LOAD), SELDOM,
            new Fresh("horn", "Horn", "a horn", Offer.Shape.LOAD), SELDOM - 1,
            new Fresh("solenoid", "", "a valve", Offer.Shape.LOAD), SELDOM - 2);

    private static final Map<Fresh, Integer> FRESH_SWITCHES = Map.of(
            new Fresh("emergency-stop", "E-stop", "E-stop, closed at rest", Offer.Shape.CLOSED_CONTACT), SELDOM,
            new Fresh("limit-switch", "End switch", "an end switch that stops", Offer.Shape.CLOSED_CONTACT), SELDOM - 1,
            new Fresh("limit-switch", "End switch", "an end switch that starts", Offer.Shape.OPEN_CONTACT), SELDOM - 2,
            new Fresh("float-switch", "Float", "a float switch", Offer.Shape.OPEN_CONTACT), SELDOM - 3);

    private static final Fresh STOP = new Fresh(
            "push-button", "Stop", "stops, closed at rest", Offer.Shape.CLOSED_CONTACT, Optional.of(ColourUse.STOP));

    private static Fresh start(String words) {
        return new Fresh("push-button", "Start", words, Offer.Shape.OPEN_CONTACT, Optional.of(ColourUse.START));
    }

    /** An offer and how likely it is. */
    private record Ranked(int rank, Offer offer) {}

    /**
     * The offers on a sheet.
     *
     * @param conventions how new devices are tagged and coloured
     */
    public Offers(Assembly assembly, Conventions conventions) {
        this.assembly = assembly;
        this.conventions = conventions;
        voltage = CoilVoltage.of(assembly, conventions.practice());
        OpposedContactors.of(assembly).forEach(pair -> {
            opponents.putIfAbsent(pair.one(), pair.other());
            opponents.putIfAbsent(pair.other(), pair.one());
        });
    }

    private Sheet sheet() {
        return assembly.sheet();
    }

    /** What can be put at a place, the likely things first; everything that is offered can be put there. Nothing on a sheet without two rails. */
    public List<Offer> at(Spot spot) {
        return likely(spot).filter(offer -> offer.line().isPossible()).toList();
    }

    /**
     * The first of what can be put at a place and has what is typed in its tag or words. Whether something can be put there is tried for no more of it than is wanted,
     * which on a large sheet is most of the work.
     *
     * @param most how many are wanted
     */
    public List<Offer> first(Spot spot, String typed, int most) {
        return likely(spot)
                .filter(offer -> offer.matches(typed))
                .filter(offer -> offer.line().isPossible())
                .limit(most)
                .toList();
    }

    /** What may be put at a place, the likely things first. */
    private Stream<Offer> likely(Spot spot) {
        if (PowerOffers.isFor(assembly, spot)) {
            return new PowerOffers(assembly, conventions, voltage, spot).likely();
        }
        if (sheet().rails().size() < 2) {
            return Stream.of();
        }
        List<Ranked> found = spot.stroke().takesRung() || spot instanceof Spot.ToReturn ? loads(spot) : contacts(spot);
        return found.stream()
                .sorted(Comparator.comparing((Ranked ranked) -> -ranked.rank))
                .map(Ranked::offer);
    }

    private List<Ranked> loads(Spot spot) {
        List<Ranked> found = new ArrayList<>();
        for (Part part : assembly.parts()) {
            boolean coil = !part.loads().isEmpty()
                    && (part.family() == Family.CONTACTOR
                            || part.family() == Family.CONTROL_RELAY
                            || part.family() == Family.TIMER
                            || part.family() == Family.PILOT_LAMP
                            || part.family() == Family.HORN
                            || part.family() == Family.SOLENOID);
            if (coil
                    && sheet().control().stream()
                            .flatMap(RungView::passages)
                            .noneMatch(passage ->
                                    passage.tag().equals(part.tag()) && RungView.isLoad(assembly, passage))) {
                found.add(new Ranked(
                        part.family() == Family.CONTACTOR ? FIRST : LIKELY,
                        there(
                                spot,
                                part,
                                "its " + (isCoil(part) ? "coil" : part.family().words()),
                                Offer.Shape.LOAD)));
            }
        }
        FRESH_LOADS.forEach((fresh, rank) -> found.add(new Ranked(rank, fresh(spot, fresh))));
        return found;
    }

    private static boolean isCoil(Part part) {
        return !part.contacts().isEmpty();
    }

    private List<Ranked> contacts(Spot spot) {
        List<Ranked> found = new ArrayList<>();
        RungView rung =
                new RungView(assembly, spot.selected().orElseThrow().at().rung());
        Optional<String> coil = rung.load().map(RungItem.Passage::tag);
        boolean around = spot instanceof Spot.Around;
        boolean aroundStart = around && rung.isStart(((Spot.Around) spot).last());
        boolean toStop = !around && !rung.has(Family.PUSH_BUTTON, true);
        boolean toStart = !around && !rung.has(Family.PUSH_BUTTON, false);
        found.add(new Ranked(toStop ? FIRST - 5 : POSSIBLE, fresh(spot, STOP)));
        Fresh start = start(around ? "starts from one more place" : "starts, open at rest");
        found.add(new Ranked(aroundStart ? LIKELY : toStart ? FIRST - 10 : POSSIBLE, fresh(spot, start)));
        for (Part part : assembly.parts()) {
            addContacts(found, spot, rung, coil, part);
        }
        FRESH_SWITCHES.forEach((fresh, rank) -> found.add(new Ranked(rank, fresh(spot, fresh))));
        return found;
    }

    private void addContacts(List<Ranked> found, Spot spot, RungView rung, Optional<String> coil, Part part) {
        boolean own = coil.filter(part.tag()::equals).isPresent();
        boolean opposed = coil.map(opponents::get).filter(part.tag()::equals).isPresent();
        boolean around = spot instanceof Spot.Around;
        switch (part.family()) {
            case OVERLOAD_RELAY -> offer(
                    found,
                    rung.has(part.tag()) || around ? SELDOM : FIRST,
                    spot,
                    part,
                    "opens when it trips",
                    Offer.Shape.CLOSED_CONTACT);
            case CONTACTOR, CONTROL_RELAY, TIMER -> {
                boolean holds = own && around && rung.isStart(((Spot.Around) spot).last());
                offer(
                        found,
                        holds ? FIRST : around ? LIKELY - 5 : own ? NEVER : POSSIBLE,
                        spot,
                        part,
                        holds ? "holds it in" : "closed while it is in",
                        Offer.Shape.OPEN_CONTACT);
                if (!own) {
                    offer(
                            found,
                            opposed && !around && !rung.has(part.tag()) ? FIRST - 2 : POSSIBLE - 1,
                            spot,
                            part,
                            opposed ? "bars the other way round" : "open while it is in",
                            Offer.Shape.CLOSED_CONTACT);
                }
            }
            case PUSH_BUTTON, MACHINE_SWITCH, SELECTOR, EMERGENCY_STOP, BREAKER -> {
                offer(found, SELDOM + 5, spot, part, "its open contact", Offer.Shape.OPEN_CONTACT);
                offer(found, SELDOM + 4, spot, part, "its closed contact", Offer.Shape.CLOSED_CONTACT);
            }
            default -> {}
        }
    }

    /** Offers a contact of a device that is there, if it is of a kind that has such contacts. */
    private void offer(List<Ranked> found, int rank, Spot spot, Part part, String words, Offer.Shape shape) {
        boolean closed = shape == Offer.Shape.CLOSED_CONTACT;
        boolean has = part.contacts().stream().anyMatch(contact -> fits(contact, closed));
        if (has || part.family() != Family.SELECTOR) {
            found.add(new Ranked(rank, there(spot, part, words, shape)));
        }
    }

    private static boolean fits(Contact contact, boolean closed) {
        return !contact.pole() && contact.isNormallyClosed() == closed;
    }

    private Offer there(Spot spot, Part part, String words, Offer.Shape shape) {
        return new Offer(part.tag(), words, shape, Optional.empty(), line(assembly, spot, word(part.tag(), shape)));
    }

    private Offer fresh(Spot spot, Fresh fresh) {
        try {
            String tag = NewDevice.tagFor(sheet(), fresh.kind, conventions.practice());
            Sheet with = NewDevice.named(sheet(), fresh.kind, fresh.label, fresh.use, voltage, conventions);
            Assembly fitted = assembly.on(with);
            return new Offer(
                    tag, fresh.words, fresh.shape, with.device(tag), line(fitted, spot, word(tag, fresh.shape)));
        } catch (EditException | PartException impossible) {
            throw new IllegalStateException("a new " + fresh.kind + " can always be put on a sheet", impossible);
        }
    }

    /** What is typed for a place, such as {@code /K3} or {@code KT1:timer}; empty if it makes no sense there. */
    public Optional<Offer> typed(Spot spot, String text) {
        boolean power = PowerOffers.isFor(assembly, spot);
        if (text.isBlank() || !power && sheet().rails().size() < 2) {
            return Optional.empty();
        }
        DeskLine line = line(assembly, spot, text.strip());
        Offer.Shape shape = power || text.contains("(")
                ? power ? Offer.Shape.POLE : Offer.Shape.LOAD
                : text.contains("/") ? Offer.Shape.CLOSED_CONTACT : Offer.Shape.OPEN_CONTACT;
        String tag = text.replaceAll("[/()]", "").replaceFirst("[:\\[ ].*", "");
        return line.preview()
                .sheet()
                .flatMap(drawn -> drawn.device(tag))
                .map(device -> new Offer(
                        tag,
                        "as typed",
                        shape,
                        sheet().device(tag).isPresent() ? Optional.empty() : Optional.of(device),
                        line));
    }

    private static String word(String tag, Offer.Shape shape) {
        return switch (shape) {
            case OPEN_CONTACT, POLE, MOTOR -> tag;
            case CLOSED_CONTACT -> "/" + tag;
            case LOAD -> "(" + tag + ")";
        };
    }

    private DeskLine line(Assembly before, Spot spot, String word) {
        return new DeskLine(before, conventions, voltage, spot.selected(), spot.stroke(), asTyped(spot, word));
    }

    private String asTyped(Spot spot, String word) {
        if (!(spot instanceof Spot.NewRung)) {
            return word;
        }
        List<Rail> rails = sheet().rails();
        return rails.get(0).name() + " " + word + " " + rails.get(1).name();
    }

    /**
     * Where one goes on after something was put on the ladder: before the coil of a new rung until there is a start, then around the start, then to a new
     * rung below all that hangs on it. Empty where something was added to a rung that was done.
     *
     * @param after the sheet with it
     * @param spot where it was put
     */
    public static Optional<Spot> next(Assembly after, Spot spot) {
        if (PowerOffers.isFor(after, spot)) {
            return Optional.empty();
        }
        if (spot instanceof Spot.Around around) {
            return Optional.of(new Spot.NewRung(lastOfGroup(after, around.from().rung()) + 1));
        }
        int rung = spot instanceof Spot.NewRung fresh
                ? fresh.rung()
                : spot instanceof Spot.ToReturn branch
                        ? branch.at().rung() + 1
                        : spot.selected().orElseThrow().at().rung();
        return new Walk(after, rung).next();
    }

    /** The last of the rungs that hang on one that stands before them. */
    private static int lastOfGroup(Assembly assembly, int rung) {
        List<Rung> rungs = assembly.sheet().control();
        int last = rung;
        while (last + 1 < rungs.size()
                && rungs.get(last + 1).items().get(0) instanceof RungItem.NamedPoint point
                && !point.rail()) {
            last++;
        }
        return last;
    }
}
