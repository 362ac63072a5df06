package parable.drafting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import parable.Examples;
import parable.circuit.Circuit;
import parable.circuit.Duty;
import parable.circuit.Edit;
import parable.circuit.EditException;
import parable.circuit.Extras;
import parable.circuit.Rail;
import parable.circuit.Sheet;

class TypedRungTest {

    private Sheet sheet = new Sheet(
            "Bin gate",
            Duty.MAINTAINED,
            List.of(new Rail("L", "1"), new Rail("N", "2")),
            List.of(),
            List.of(),
            List.of(),
            Extras.NONE);

    private String type(String line) throws EditException {
        TypedRung typed = TypedRung.read(line, sheet, "230 V AC");
        sheet = new Edit.InsertRung(Circuit.CONTROL, sheet.control().size(), typed.rung()).on(typed.sheet());
        return typed.rung().text();
    }

    @Test
    void aReversingLadderIsTypedInAHundredStrokes() throws EditException {
        String[] lines = {"L /F2 /S0 @5 S1 @6 /K2 (K1) N", "@5 K1 @6", "@5 S2 @8 /K1 (K2) N", "@5 K2 @8"};

        assertThat(type(lines[0])).isEqualTo("L F2[95-96] @3 S0[11-12] @5 S1[13-14] @6 K2[21-22] @4 K1[A1-A2] N");
        assertThat(type(lines[1])).isEqualTo("@5 K1[13-14] @6");
        assertThat(type(lines[2])).isEqualTo("@5 S2[13-14] @8 K1[21-22] @7 K2[A1-A2] N");
        assertThat(type(lines[3])).isEqualTo("@5 K2[13-14] @8");
        assertThat(String.join("", lines)).hasSizeLessThan(100);
        assertThat(Examples.fitted(sheet).nodes().all()).hasSize(8);
        assertThat(sheet.device("K1").orElseThrow().setting("aux")).hasValue("13-14 21-22");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "L S1[13-14] (P1) N     | L S1[13-14] @3 P1[X1-X2] N",
                "L (P1) N ; running     | L P1[X1-X2] N ; running",
                "L S9:selector (KT1) N  | L S9[13-14] @3 KT1[A1-A2] N",
                "L KT KA (K3:contactor) N | L KT[15-18] @3 KA[11-14] @4 K3[A1-A2] N",
                "@7 @9                  | @7 @9",
                "L /S4:emergency-stop @ (H1) N | L S4[11-12] @3 H1[X1-X2] N",
                "K1[A1] @4              | K1[A1] @4"
            })
    void whatIsTypedIsWrittenOut(String typed, String written) throws EditException {
        if (written.startsWith("K1[A1]")) {
            type("L (K1) N");
        }
        assertThat(type(typed)).isEqualTo(written);
    }

    @Test
    void aChangeoversOtherContactIsNotGivenOut() throws EditException {
        type("L S1 (KA) N");
        assertThat(type("L KA (P1) N")).contains("KA[11-14]");
        assertThat(type("L /KA (P2) N")).contains("KA[21-22]");
        assertThat(type("L KA (P3) N")).contains("KA[31-34]");
        assertThat(sheet.device("KA").orElseThrow().setting("changeovers")).hasValue("3");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "L S1              | the rung: found a rung cannot end in mid-air at S1[13-14], expected",
                "L X9 N            | X9: found a tag that the sheet does not list, expected a device of the sheet",
                "L (S1) N          | S1: found a device without coil or lamp, expected one with",
                "L K1:thing N      | K1: found the kind 'thing', expected three-phase-supply",
                "L S1( N           | the rung: found 'S1('",
                "L /F2 /F2 (K1) N  | F2: found no free contact that is closed at rest, expected one",
                "''                | the rung: found a rung needs a beginning and an end"
            })
    void whatSaysNoRungIsRefusedWithItsPlace(String line, String message) {
        Sheet before = sheet;
        assertThatExceptionOfType(EditException.class)
                .isThrownBy(() -> type(line))
                .withMessageStartingWith(message);
        assertThat(sheet).isEqualTo(before);
    }
}
