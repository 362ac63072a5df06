package parable.offer;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;
import parable.Examples;
import parable.Share;
import parable.bench.Action;
import parable.bench.ActionRefusedException;
import parable.bench.Bench;
import parable.bench.Condition;
import parable.check.Check;
import parable.circuit.Circuit;
import parable.circuit.Conventions;
import parable.circuit.Device;
import parable.circuit.Duty;
import parable.circuit.EditException;
import parable.circuit.Extras;
import parable.circuit.Place;
import parable.circuit.Practice;
import parable.circuit.Rail;
import parable.circuit.Rung;
import parable.circuit.RungItem;
import parable.circuit.Sheet;
import parable.desk.DeskEdit;
import parable.desk.PowerCircuit;
import parable.desk.PowerLines;
import parable.desk.Stretch;
import parable.draw.SheetDrawing;
import parable.parts.Assembly;
import parable.parts.Verb;
import parable.starters.Library;

/** What is offered where one points at the ladder. */
class OffersTest {

    private static final Conventions IEC = Conventions.of(Practice.IEC);

    private static Assembly withPower(PowerCircuit power, Practice practice) throws EditException {
        Sheet empty = new Sheet(
                "Empty sheet",
                Duty.MAINTAINED,
                List.of(new Rail("L", "1"), new Rail("N", "2")),
                List.of(),
                List.of(),
                List.of(),
                Extras.NONE);
        return Examples.fitted(power.on(empty, practice));
    }

    private static String first(Assembly assembly, Spot spot) {
        Offer offer = new Offers(assembly, IEC).at(spot).get(0);
        return offer.tag() + " " + offer.words();
    }

    /** Takes whatever comes first, so many times, each time where one goes on by itself; returns what was taken. */
    private static List<String> walked(Assembly from, Conventions conventions, int times, List<Assembly> result) {
        List<String> taken = new ArrayList<>();
        Assembly now = from;
        Spot spot = new Spot.NewRung(now.sheet().control().size());
        for (int i = 0; i < times; i++) {
            Offer offer = new Offers(now, conventions).at(spot).get(0);
            taken.add(offer.tag() + " " + offer.words());
            now = offer.preview().assembly().orElseThrow();
            spot = Offers.next(now, spot).orElseThrow();
        }
        result.add(now);
        return taken;
    }

    /** Whoever takes the first offer each time has drawn a direct-on-line starter that starts, holds and stops. */
    @ParameterizedTest
    @EnumSource(Practice.class)
    void theFirstOffersMakeADirectOnLineStarter(Practice practice) throws EditException, ActionRefusedException {
        List<Assembly> drawn = new ArrayList<>();
        Conventions conventions = Conventions.of(practice);
        List<String> taken = walked(withPower(PowerCircuit.DIRECT, practice), conventions, 5, drawn);
        Assembly assembly = drawn.get(0);

        assertThat(taken.stream().map(words -> words.substring(words.indexOf(' ') + 1)))
                .containsExactly(
                        "its coil",
                        "opens when it trips",
                        "stops, closed at rest",
                        "starts, open at rest",
                        "holds it in");
        String stop = taken.get(2).split(" ")[0];
        String start = taken.get(3).split(" ")[0];
        String motor = practice == Practice.IEC ? "M1" : "MTR1";
        assertThat(assembly.sheet().device(stop).orElseThrow())
                .extracting(Device::label, device -> device.setting("colour").orElse(""))
                .containsExactly("Stop", "red");
        assertThat(assembly.sheet().device(start).orElseThrow())
                .extracting(Device::label, device -> device.setting("colour").orElse(""))
                .containsExactly("Start", practice == Practice.IEC ? "green" : "black");
        Bench bench = Bench.of(assembly);
        bench.act(new Action(Verb.CLOSE, assembly.sheet().device("Q1").isPresent() ? "Q1" : "CB1"));
        assertThat(after(bench, Verb.PRESS, start).moment().condition(motor)).isEqualTo(Condition.FORWARD);
        assertThat(after(bench, Verb.RELEASE, start).moment().condition(motor)).isEqualTo(Condition.FORWARD);
        assertThat(after(bench, Verb.PRESS, stop).moment().condition(motor))
                .isIn(Condition.COASTING, Condition.STOPPED);
        assertThat(Check.of(assembly, conventions.colours()))
                .noneMatch(finding -> finding.severity().isWrong());
    }

    private static Bench after(Bench bench, Verb verb, String tag) throws ActionRefusedException {
        bench.act(new Action(verb, tag));
        bench.runUntil(bench.now() + 300_000);
        return bench;
    }

    /** The second contactor of a reversing starter gets the first one's closed contact before its coil. */
    @Test
    void theOpponentsContactComesFirstWhereItIsMissing() throws EditException {
        List<Assembly> drawn = new ArrayList<>();
        walked(withPower(PowerCircuit.REVERSING, Practice.IEC), IEC, 2, drawn);
        Assembly begun = drawn.get(0);
        Place coil = placeOf(begun.sheet(), "K1", "A1");

        assertThat(new Offers(begun, IEC).at(new Spot.InSeries(coil, false)))
                .extracting(offer -> offer.tag() + " " + offer.words())
                .startsWith("K2 bars the other way round", "S1 stops, closed at rest", "S1 starts, open at rest");
    }

    private static Place placeOf(Sheet sheet, String tag, String from) {
        for (int rung = 0; rung < sheet.control().size(); rung++) {
            List<RungItem> items = sheet.control().get(rung).items();
            for (int item = 0; item < items.size(); item++) {
                if (items.get(item) instanceof RungItem.Passage passage
                        && passage.tag().equals(tag)
                        && passage.from().equals(from)) {
                    return new Place(Circuit.CONTROL, rung, item);
                }
            }
        }
        throw new AssertionError(tag + " is not on " + sheet.control());
    }

    @ParameterizedTest
    @CsvSource({"S1, 13, K1 holds it in", "S0, 11, S5 starts from one more place", "S3, 13, K1 holds it in"})
    void aroundAStartItIsTheContactorThatHolds(String tag, String from, String expected) {
        Assembly pump = Examples.fitted(Examples.ofLibrary("Wash pump"));
        Place at = placeOf(pump.sheet(), tag, from);

        if (tag.equals("S0")) {
            assertThat(new Offers(pump, IEC).at(new Spot.Around(at, at.item())))
                    .extracting(offer -> offer.tag() + " " + offer.words())
                    .contains(expected)
                    .doesNotContain("K1 holds it in");
        } else {
            assertThat(first(pump, new Spot.Around(at, at.item()))).isEqualTo(expected);
        }
    }

    private static Stream<Sheet> sheets() {
        return Share.oneIn(5, Library.jobs().stream().flatMap(job -> job.sheets().stream()));
    }

    /** Everywhere on every sheet: what is offered can be drawn, what is there stays, and no tag or wire number is used twice. */
    @ParameterizedTest
    @MethodSource("sheets")
    void whatIsOfferedCanBeDrawn(Sheet sheet) {
        Assembly assembly = Examples.fitted(sheet);
        Offers offers = new Offers(assembly, IEC);
        for (Spot spot : spots(assembly)) {
            for (Offer offer : offers.at(spot)) {
                Sheet drawn = offer.preview()
                        .sheet()
                        .orElseThrow(() -> new AssertionError(spot + " " + offer.tag() + ": "
                                + offer.preview().words()));
                assertThat(drawn.devices().stream().map(Device::tag))
                        .containsAll(sheet.devices().stream().map(Device::tag).toList());
                assertThat(drawn.rungs().flatMap(RungView::passages).count())
                        .as("%s %s", spot, offer.tag())
                        .isEqualTo(sheet.rungs().flatMap(RungView::passages).count() + 1);
                assertThat(Offers.next(offer.preview().assembly().orElseThrow(), spot))
                        .isNotNull();
            }
        }
    }

    /** The first few are the first few of all, also of those that have what is typed. */
    @ParameterizedTest
    @MethodSource("sheets")
    void theFirstAreTheFirstOfAll(Sheet sheet) {
        Assembly assembly = Examples.fitted(sheet);
        Offers offers = new Offers(assembly, IEC);
        spots(assembly).stream().limit(6).forEach(spot -> {
            List<Offer> all = offers.at(spot);
            for (String typed : List.of("", "k", "stop")) {
                assertThat(offers.first(spot, typed, 5))
                        .extracting(Offer::tag, Offer::words)
                        .isEqualTo(all.stream()
                                .filter(offer -> offer.matches(typed))
                                .limit(5)
                                .map(offer -> tuple(offer.tag(), offer.words()))
                                .toList());
            }
        });
    }

    private static List<Spot> spots(Assembly assembly) {
        List<Spot> spots = new ArrayList<>(List.of(new Spot.NewRung(0)));
        List<Rung> rungs = assembly.sheet().control();
        for (int rung = 0; rung < rungs.size(); rung += 3) {
            List<RungItem> items = rungs.get(rung).items();
            for (int item = 0; item < items.size(); item++) {
                if (items.get(item) instanceof RungItem.Passage passage) {
                    Place at = new Place(Circuit.CONTROL, rung, item);
                    spots.add(new Spot.InSeries(at, false));
                    if (!RungView.isLoad(assembly, passage)) {
                        spots.add(new Spot.Around(at, item));
                    }
                    break;
                }
            }
        }
        return spots;
    }

    /** Something added to a rung that was done does not lead on to a new rung. */
    @Test
    void onADoneRungOneStops() {
        Assembly pump = Examples.fitted(Examples.ofLibrary("Wash pump"));
        Spot spot = new Spot.InSeries(placeOf(pump.sheet(), "K1", "A1"), false);
        Offer offer = new Offers(pump, IEC).at(spot).get(0);

        assertThat(Offers.next(offer.preview().assembly().orElseThrow(), spot)).isEmpty();
        assertThat(Offers.next(pump, new Spot.Around(placeOf(pump.sheet(), "S1", "13"), 9)))
                .as("behind the rungs that hang on the first")
                .contains(new Spot.NewRung(4));
    }

    @ParameterizedTest
    @CsvSource({"/K1, K1, CLOSED_CONTACT", "KT9:timer, KT9, OPEN_CONTACT", "S9, S9, OPEN_CONTACT", "(P9), P9, LOAD"})
    void whatTheLineUnderstandsCanBeTypedAtThePlace(String typed, String tag, Offer.Shape shape) {
        Assembly pump = Examples.fitted(Examples.ofLibrary("Wash pump"));
        Spot spot = new Spot.InSeries(placeOf(pump.sheet(), "K1", "A1"), false);

        assertThat(new Offers(pump, IEC).typed(spot, typed)).hasValueSatisfying(offer -> {
            assertThat(offer.tag()).isEqualTo(tag);
            assertThat(offer.shape()).isEqualTo(shape);
            assertThat(offer.preview().sheet().orElseThrow().device(tag)).isPresent();
        });
        assertThat(new Offers(pump, IEC).typed(spot, "no such thing")).isEmpty();
    }

    @Test
    void whatIsTypedIsFoundByTagAndByWord() {
        Assembly pump = Examples.fitted(Examples.ofLibrary("Wash pump"));
        List<Offer> offers = new Offers(pump, IEC).at(new Spot.InSeries(placeOf(pump.sheet(), "K1", "A1"), false));

        assertThat(offers.stream().filter(offer -> offer.matches("k1")))
                .extracting(Offer::tag)
                .containsOnly("K1");
        assertThat(offers.stream().filter(offer -> offer.matches("end sw")))
                .extracting(Offer::words)
                .containsExactly("an end switch that stops", "an end switch that starts");
        assertThat(offers.stream().filter(offer -> offer.matches(""))).hasSameSizeAs(offers);
        assertThat(offers.stream().filter(offer -> offer.matches("nothing of that")))
                .isEmpty();
    }

    /** The places of a power circuit: before, behind and around what is on it, for one of the lines that lead through the same device. */
    private static Stream<Spot> powerSpots(Sheet sheet) {
        return IntStream.range(0, sheet.power().size())
                .boxed()
                .flatMap(rung -> IntStream.range(
                                0, sheet.power().get(rung).items().size())
                        .mapToObj(item -> new Place(Circuit.POWER, rung, item)))
                .filter(at -> PowerLines.at(sheet, at)
                        .filter(lines -> lines.at().get(0).equals(at))
                        .isPresent())
                .flatMap(at -> Stream.of(
                        new Spot.InSeries(at, false),
                        new Spot.InSeries(at, true),
                        new Spot.Around(at, at.item()),
                        new Spot.Exchange(at)));
    }

    private static Stream<Sheet> someSheets() {
        return Share.oneIn(11, Library.jobs().stream().flatMap(job -> job.sheets().stream()));
    }

    @ParameterizedTest
    @MethodSource("someSheets")
    void whatIsOfferedInThePowerCircuitGoesIntoEveryLineAndCanBeDrawn(Sheet sheet) throws Exception {
        Offers offers = new Offers(Assembly.of(sheet), IEC);
        for (Spot spot : powerSpots(sheet).toList()) {
            int lines = PowerLines.at(sheet, spot.selected().orElseThrow().at())
                    .orElseThrow()
                    .count();
            List<Offer> all = offers.at(spot);
            assertThat(all).as("%s on %s", spot, sheet.name()).isNotEmpty();
            for (Offer offer : all) {
                Assembly drawn = offer.preview().assembly().orElseThrow();
                assertThat(SheetDrawing.of(drawn, Practice.IEC).marks()).isNotEmpty();
                int poles = offer.shape() == Offer.Shape.MOTOR ? 9 : spot instanceof Spot.Exchange ? 0 : lines;
                assertThat(poles(drawn.sheet()))
                        .as("%s at %s of %s", offer, spot, sheet.name())
                        .isEqualTo(poles(sheet) + poles);
            }
        }
    }

    private static long poles(Sheet sheet) {
        return sheet.power().stream().flatMap(RungView::passages).count();
    }

    @Test
    void whatWantsBeforeAMotorComesFirst() throws Exception {
        Sheet pump = Examples.washPump();
        Place overload = new Place(Circuit.POWER, 0, 6);
        Sheet bare =
                DeskEdit.taken(pump, new Stretch(overload, overload.item())).sheet();

        assertThat(new Offers(Assembly.of(bare), IEC).at(new Spot.InSeries(new Place(Circuit.POWER, 0, 4), true)))
                .extracting(Offer::tag, Offer::words)
                .startsWith(tuple("F2", "its poles"))
                .contains(tuple("M2", "a further motor from here"), tuple("K2", "contactor"));
    }
}
