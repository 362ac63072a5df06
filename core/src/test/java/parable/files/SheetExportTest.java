package parable.files;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import parable.Examples;
import parable.circuit.Job;
import parable.circuit.Sheet;
import parable.program.StructuredText;
import parable.starters.Library;

/** What a sheet can be written as: one catalogue for the menu and for the command line. */
class SheetExportTest {

    private static final Job JOB = Library.jobs().get(0);
    private static final Sheet PUMP = JOB.sheet("Wash pump").orElseThrow();
    private static final Sheet RINSER = Library.jobs().stream()
            .flatMap(job -> job.sheet("Bottle rinser").stream())
            .findFirst()
            .orElseThrow();

    private static Optional<String> text(SheetExport export, Sheet sheet) throws Exception {
        return export.bytes(JOB, sheet).map(bytes -> new String(bytes, StandardCharsets.UTF_8));
    }

    @ParameterizedTest
    @EnumSource
    void ofASheetThatHasEverythingThereIsAFile(SheetExport export) throws Exception {
        assertThat(export.lack(Examples.fitted(RINSER))).isEmpty();
        String written = text(export, RINSER).orElseThrow();
        switch (export) {
            case SVG, PLACES_SVG -> assertThat(written).contains("<svg").contains("Bottle rinser");
            case PLCOPEN -> assertThat(PlcOpenXml.read(written))
                    .isEqualTo(RINSER.program().orElseThrow());
            case ST -> assertThat(StructuredText.read(written))
                    .isEqualTo(RINSER.program().orElseThrow());
            default -> assertThat(written.lines().count()).as(export.word()).isGreaterThan(3);
        }
    }

    @ParameterizedTest
    @EnumSource
    void aSheetWithoutAControllerSaysWhatItLacks(SheetExport export) throws Exception {
        boolean program = export == SheetExport.PLCOPEN || export == SheetExport.ST;
        String lack = program
                ? "This sheet has no program."
                : export == SheetExport.IO_CSV ? "This sheet has no controller." : "";
        assertThat(export.lack(Examples.fitted(PUMP)).orElse("")).isEqualTo(lack);
        assertThat(text(export, PUMP).isEmpty()).isEqualTo(program);
    }

    @Test
    void wordsAndFileNamesAreEachTheirOwn() {
        assertThat(Stream.of(SheetExport.values()).map(SheetExport::word)).doesNotHaveDuplicates();
        assertThat(Stream.of(SheetExport.values()).map(SheetExport::words)).doesNotHaveDuplicates();
        assertThat(SheetExport.WIRES_CSV.fileName(PUMP)).isEqualTo("wash-pump-wires.csv");
        assertThat(SheetExport.SVG.fileName(PUMP)).isEqualTo("wash-pump.svg");
        assertThat(SheetExport.PLACES_SVG.fileName(PUMP)).isEqualTo("wash-pump-places.svg");
    }
}
