package parable.draw;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import parable.Examples;
import parable.circuit.Device;
import parable.circuit.Extras;
import parable.circuit.Practice;
import parable.parts.Catalogue;
import parable.parts.Part;
import parable.parts.SettingException;

/** What tells symbols of IEC 60617 apart that an electrician must not confuse. */
class SymbolsTest {

    private static final Point HERE = new Point(100, 100);
    private static final IecSymbols SYMBOLS = new IecSymbols(Axis.RIGHT);

    private static Part part(String kind, Map<String, String> settings) throws SettingException {
        return Catalogue.kind(kind).orElseThrow().fit(new Device("KT", kind, "", "", "", settings, Extras.NONE));
    }

    private static Stream<List<Point>> lines(Mark.Symbol symbol) {
        return symbol.always().stream()
                .filter(Stroke.Lines.class::isInstance)
                .map(Stroke.Lines.class::cast)
                .filter(lines -> !lines.dashed())
                .map(Stroke.Lines::points);
    }

    /** Delayed from the arc towards its centre: an actuated contact moves down, one that falls back moves up. */
    @ParameterizedTest
    @CsvSource({"on-delay, true", "star-delta, true", "off-delay, false"})
    void theArcOfATimerTellsWhatIsDelayed(String function, boolean bulgesUp) throws SettingException {
        Mark.Symbol symbol = SYMBOLS.contact(part("timer", Map.of("function", function)), 1, HERE);
        List<Point> arc = lines(symbol).max(Comparator.comparingInt(List::size)).orElseThrow();

        assertThat(arc.size()).isGreaterThan(5);
        assertThat(arc.get(arc.size() / 2).y() < arc.get(0).y()).isEqualTo(bulgesUp);
    }

    @ParameterizedTest
    @CsvSource({"interval", "flasher"})
    void whatComesAtOnceHasNoArc(String function) throws SettingException {
        assertThat(lines(SYMBOLS.contact(part("timer", Map.of("function", function)), 1, HERE)))
                .noneMatch(line -> line.size() > 5);
    }

    @Test
    void theCoilOfATimerIsCrossedIfItActsLateAndFilledIfItLetsGoLate() throws SettingException {
        Mark.Symbol on = SYMBOLS.load(part("timer", Map.of()), 0, HERE);
        Mark.Symbol off = SYMBOLS.load(part("timer", Map.of("function", "off-delay")), 0, HERE);
        Mark.Symbol plain = SYMBOLS.load(part("contactor", Map.of()), 0, HERE);

        assertThat(on.always()).hasSize(4).noneMatch(Stroke.Area.class::isInstance);
        assertThat(off.always()).anyMatch(Stroke.Area.class::isInstance);
        assertThat(plain.always()).hasSize(1);
    }

    @Test
    void transformerSupplyAndResistorAreToldApart() throws SettingException {
        List<Stroke> transformer =
                SYMBOLS.load(part("control-transformer", Map.of()), 0, HERE).always();
        List<Stroke> supply = SYMBOLS.load(part("dc-supply", Map.of()), 0, HERE).always();
        List<Stroke> resistor =
                SYMBOLS.load(part("resistor", Map.of()), 0, HERE).always();

        assertThat(transformer).hasSize(3);
        assertThat(supply).hasSize(5);
        assertThat(SYMBOLS.load(part("rectifier", Map.of()), 0, HERE).always()).isEqualTo(supply);
        assertThat(resistor).hasSize(1);
    }

    @Test
    void onlyThePolesOfABreakerHaveItsCross() throws SettingException {
        Part breaker = part("circuit-breaker", Map.of("aux", "13-14"));
        int auxiliary = breaker.contactBetween("13", "14").orElseThrow();

        assertThat(SYMBOLS.contact(breaker, 0, HERE).always()).hasSize(2);
        assertThat(SYMBOLS.contact(breaker, auxiliary, HERE).always()).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"Mill, on-delay 8 s", "Hand off auto, closed: hand", "Hand off auto, closed: auto", "24 V DC, case"})
    void whatASymbolDoesNotSayIsWrittenBesideIt(String sheet, String words) {
        assertThat(SheetDrawing.of(Examples.fitted(Examples.ofLibrary(sheet)), Practice.IEC)
                        .marks())
                .filteredOn(Mark.Text.class::isInstance)
                .map(mark -> ((Mark.Text) mark).text())
                .contains(words);
    }
}
