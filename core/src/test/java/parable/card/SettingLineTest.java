package parable.card;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import parable.Examples;
import parable.circuit.Device;
import parable.circuit.Extras;
import parable.parts.Catalogue;
import parable.parts.PartKind;
import parable.parts.SettingException;
import parable.parts.SettingForm;
import parable.starters.Library;

/** How a device is set, setting by setting: what is offered is what is taken. */
class SettingLineTest {

    /** Asked for only with another setting. */
    private static final Map<String, List<String>> ONLY_WITH = Map.of("timer", List.of("dead-time"));

    private static Stream<PartKind> kinds() {
        return Catalogue.kinds().stream();
    }

    private static Stream<Device> devicesOfTheLibrary() {
        return Library.jobs().stream()
                .flatMap(job -> job.sheets().stream())
                .flatMap(sheet -> sheet.devices().stream())
                .distinct();
    }

    private static Device device(PartKind kind) {
        return new Device("X1", "", kind.id(), "", "", Map.of(), Extras.NONE);
    }

    @ParameterizedTest
    @MethodSource("kinds")
    void everySettingIsOfferedInTheTradesWords(PartKind kind) {
        List<SettingLine> lines = SettingLine.of(device(kind));

        List<String> expected = new ArrayList<>(kind.settings());
        expected.removeAll(ONLY_WITH.getOrDefault(kind.id(), List.of()));
        assertThat(lines).extracting(line -> line.form().name()).containsExactlyElementsOf(expected);
        assertThat(lines)
                .allSatisfy(line -> assertThat(line.words()).matches("[A-Z][a-z -]+"))
                .extracting(SettingLine::words)
                .doesNotHaveDuplicates();
    }

    /** The ends of a range are taken and what is beyond is not; every word that is offered is taken alone or refused for another setting's sake. */
    @ParameterizedTest
    @MethodSource("kinds")
    void whatIsOfferedIsTaken(PartKind kind) throws SettingException {
        for (SettingLine line : SettingLine.of(device(kind))) {
            if (line.form() instanceof SettingForm.Quantity quantity) {
                kind.fit(device(kind).with(line.form().name(), line.completed(plain(quantity.highest()))));
                String beyond = line.completed(plain(10 * quantity.highest() + 1));
                assertThatThrownBy(() -> kind.fit(device(kind).with(line.form().name(), beyond)))
                        .as(line.words())
                        .isInstanceOf(SettingException.class)
                        .hasMessageContaining(line.form().name());
            }
            if (line.form() instanceof SettingForm.OneOf choice) {
                for (String word : choice.words()) {
                    boolean diode = word.equals("diode");
                    Device chosen = device(kind).with(choice.name(), word);
                    kind.fit(diode ? chosen.with("coil", "24 V DC") : chosen);
                }
                assertThatThrownBy(() -> kind.fit(device(kind).with(choice.name(), "something else")))
                        .isInstanceOf(SettingException.class);
            }
        }
    }

    /** What holds while nothing is written may as well be written; but of a drop-out that was written it is asked that it is surely below the pull-in. */
    @ParameterizedTest
    @MethodSource("kinds")
    void theDefaultIsOneThatIsTaken(PartKind kind) throws SettingException {
        for (SettingLine line : SettingLine.of(device(kind))) {
            if (!line.form().byDefault().isEmpty()
                    && !List.of("pull-in", "drop-out").contains(line.form().name())) {
                kind.fit(device(kind).with(line.form().name(), line.form().byDefault()));
            }
        }
    }

    @Test
    void whatIsWrittenOnTheDevicesOfTheLibraryIsShown() {
        assertThat(devicesOfTheLibrary()).allSatisfy(device -> assertThat(SettingLine.of(device))
                .as(device.tag())
                .filteredOn(line -> !line.written().isEmpty())
                .extracting(line -> line.form().name())
                .containsExactlyInAnyOrderElementsOf(device.settings().keySet()));
    }

    @ParameterizedTest
    @CsvSource({
        "timer, setting, Time, 8, 8 s",
        "timer, setting, Time, 250 ms, 250 ms",
        "overload-relay, setting, Set current, ' 4.9 ', 4.9 A",
        "contactor, poles, Poles, 4, 4",
        "contactor, coil, Coil voltage, 24 V DC, 24 V DC",
        "control-transformer, rated, Rated power, 250, 250 VA"
    })
    void aNumberAloneGetsItsUnit(String kind, String setting, String words, String typed, String completed) {
        SettingLine line = SettingLine.of(device(Catalogue.kind(kind).orElseThrow())).stream()
                .filter(one -> one.form().name().equals(setting))
                .findFirst()
                .orElseThrow();

        assertThat(line.words()).isEqualTo(words);
        assertThat(line.completed(typed)).isEqualTo(completed);
    }

    @Test
    void whatIsToBeTypedIsSaid() {
        Device timer = Examples.ofLibrary("Mill").device("KT").orElseThrow();

        assertThat(SettingLine.of(timer))
                .extracting(line -> line.words() + ": " + line.expected())
                .contains(
                        "Time: from 0.01 to 36000 s",
                        "Works as: one of on-delay, off-delay, interval, flasher, star-delta",
                        "Coil voltage: a voltage such as '230 V AC' or '24 V DC'");
    }

    private static String plain(double number) {
        return number == Math.rint(number) ? Long.toString((long) number) : Double.toString(number);
    }
}
