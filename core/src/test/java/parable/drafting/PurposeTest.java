package parable.drafting;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import parable.Examples;
import parable.circuit.Circuit;
import parable.circuit.ColourCode;
import parable.circuit.ColourUse;
import parable.circuit.Conventions;
import parable.circuit.Device;
import parable.circuit.Edit;
import parable.circuit.Place;
import parable.circuit.Practice;
import parable.circuit.Sheet;
import parable.desk.DeskLine;
import parable.desk.DeskStroke;
import parable.desk.Stretch;

/** A button that is typed gets name and colour by what its contact does there; what somebody has named keeps its name. */
class PurposeTest {

    private static final Sheet PUMP = Examples.ofLibrary("Wash pump");
    private static final Conventions IEC = Conventions.of(Practice.IEC);

    private static Sheet typed(Sheet sheet, String text) {
        Place start = new Place(Circuit.CONTROL, 0, 9);
        return new DeskLine(
                        Examples.fitted(sheet),
                        IEC,
                        "230 V AC",
                        Optional.of(new Stretch(start, start.item())),
                        DeskStroke.BEFORE,
                        text)
                .preview()
                .sheet()
                .orElseThrow();
    }

    @ParameterizedTest
    @CsvSource({"/S7, Stop, red", "S7, Start, green"})
    void whatOpensStopsAndWhatClosesStarts(String text, String label, String colour) {
        Device button = typed(PUMP, text).device("S7").orElseThrow();
        assertThat(button.label()).isEqualTo(label);
        assertThat(button.setting("colour")).contains(colour);
    }

    @Test
    void theJobsOwnColourIsTaken() {
        ColourCode american = ColourCode.of(Practice.NORTH_AMERICAN);
        Sheet bare = typed(PUMP, "S7");
        Sheet unnamed =
                new Edit.PutDevice(bare.device("S7").orElseThrow().labelled("").with("colour", "")).on(bare);
        String colour = new Purpose(american)
                .told(PUMP, unnamed)
                .device("S7")
                .orElseThrow()
                .setting("colour")
                .orElseThrow();
        assertThat(american.colours(ColourUse.START)).startsWith(colour);
    }

    @Test
    void whatIsNamedKeepsItsName() throws Exception {
        Sheet with = NewDevice.named(PUMP, "push-button", "Rinse", Optional.empty(), "230 V AC", IEC);
        String tag = with.devices().get(with.devices().size() - 1).tag();
        assertThat(typed(with, "/" + tag).device(tag).orElseThrow().label()).isEqualTo("Rinse");
    }

    /** One that is put on the sheet by its kind is named when its first contact is used, and not again by its second. */
    @Test
    void aButtonOfBothKindsIsNamedByItsFirstContact() throws Exception {
        Sheet with = NewDevice.on(PUMP, "push-button", "230 V AC", Practice.IEC);
        String tag = with.devices().get(with.devices().size() - 1).tag();
        assertThat(with.device(tag).orElseThrow().label()).isEmpty();
        Sheet used = typed(with, tag);
        assertThat(used.device(tag).orElseThrow().label()).isEqualTo("Start");
        assertThat(typed(used, "/" + tag).device(tag).orElseThrow().label()).isEqualTo("Start");
    }
}
