package parable.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import parable.Share;
import parable.program.Program;
import parable.program.ProgramException;
import parable.program.Programs;
import parable.program.StructuredText;

class PlcOpenXmlTest {

    private static final int PROGRAMS = Share.oneIn(4, 2000);

    private static Program startStop() throws Exception {
        return StructuredText.read(
                """
                PROGRAM Wash_pump
                VAR
                    S0 AT %IX0.0 : BOOL; (* Stop & <wait> *)
                    S1 AT %IX0.1 : BOOL;
                    K1 AT %QX0.0 : BOOL;
                    T1 : TON;
                END_VAR
                (* holds itself in *)
                K1 := (S1 OR K1) AND S0 AND T1.ET < T#9s;
                T1(IN := K1, PT := T#10s);
                END_PROGRAM
                """);
    }

    @Test
    void everyProgramComesBackAsItWas() throws Exception {
        assertThat(PlcOpenXml.read(PlcOpenXml.write(startStop()))).isEqualTo(startStop());
        for (int seed = 0; seed < PROGRAMS; seed++) {
            Program program = Programs.by(seed);

            assertThat(PlcOpenXml.read(PlcOpenXml.write(program)))
                    .as("seed %s", seed)
                    .isEqualTo(program);
        }
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "<LD>                      | <LD><jump localId=\"90\" label=\"x\"/> | found <jump> in <LD>, expected one of comment",
                "<dataTypes/> | <dataTypes><dataType name=\"A\"/></dataTypes> | found <dataType> in <dataTypes>",
                "typeName=\"TON\"        | typeName=\"PID\" | found a block PID, expected TON, TOF, TP, CTU",
                "negated=\"true\"        | negated=\"true\" edge=\"rising\" | found a contact with a rising edge, expected an R_TRIG",
                "storage=\"none\"        | storage=\"latched\" | found storage latched, expected none, set or reset",
                "pouType=\"program\"     | pouType=\"function\" | found 1 program units, expected one, of pouType program",
                "address=\"%IX0.0\"      | address=\"%IW0\" | found the address %IW0, expected one such as %IX0.0",
                "<derived name=\"TON\"/> | <INT/> | found a INT, expected BOOL, TON",
                "T#10s                     | 10 seconds | found 10 seconds, expected a time such as T#3s"
            })
    void whatLiesOutsideIsRefusedByNameAndLine(String from, String to, String message) throws Exception {
        String text = PlcOpenXml.write(startStop()).replaceFirst("negated=\"false\"", "negated=\"true\"");
        assertThat(text).contains(from);

        assertThatThrownBy(() -> PlcOpenXml.read(text.replaceFirst(Pattern.quote(from), Matcher.quoteReplacement(to))))
                .isInstanceOfSatisfying(PlcOpenException.class, trouble -> assertThat(trouble.line())
                        .isPositive())
                .hasMessageContaining(message);
    }

    @Test
    void aWayInACircleAndABareBranchAreRefused() throws Exception {
        String text = PlcOpenXml.write(startStop());
        assertThatThrownBy(() -> PlcOpenXml.read(text.replace("refLocalId=\"2\"", "refLocalId=\"5\"")))
                .hasMessageContaining("a way that leads in a circle");
        assertThatThrownBy(() -> PlcOpenXml.read(text.replace(
                        "<connection refLocalId=\"3\"/>",
                        "<connection refLocalId=\"3\"/><connection refLocalId=\"2\"/>")))
                .hasMessageContaining("a branch without any contact");
    }

    /** Nothing is read from outside, nothing is expanded, nothing takes long, and no message tells what a file holds. */
    @Test
    @Timeout(20)
    void hostileTextsAreRefused() throws Exception {
        String text = PlcOpenXml.write(startStop());
        String head = "<?xml version=\"1.0\"?>";
        String body = text.substring(text.indexOf("<project"));
        assertThatThrownBy(() -> PlcOpenXml.read(head + "<!DOCTYPE project [<!ENTITY x SYSTEM \"file:///etc/passwd\">]>"
                        + body.replace("Wash_pump", "&x;")))
                .isInstanceOf(PlcOpenException.class)
                .message()
                .doesNotContain("root");
        assertThatThrownBy(() -> PlcOpenXml.read(
                        head + "<!DOCTYPE project [<!ENTITY a \"aaaaaaaaaa\"><!ENTITY b \"&a;&a;&a;&a;\">]>"
                                + body.replace("holds itself in", "&b;")))
                .isInstanceOf(PlcOpenException.class);
        assertThatThrownBy(() -> PlcOpenXml.read("<a>".repeat(100_000))).hasMessageContaining("deep");
        assertThatThrownBy(() -> PlcOpenXml.read("<a>" + "<b/>".repeat(200_000) + "</a>"))
                .hasMessageContaining("elements");
        assertThatThrownBy(() -> PlcOpenXml.read(" ".repeat(5_000_000))).hasMessageContaining("at the most");
    }

    /** Three contacts feed the next three, each two of them: a few lines of XML have a million ways through them. */
    @Test
    @Timeout(20)
    void branchesThatCrossAgainAndAgainAreRefused() throws Exception {
        String text = PlcOpenXml.write(startStop());
        int coil = text.indexOf("<coil");
        int in = text.indexOf("<connectionPointIn>", coil) + "<connectionPointIn>".length();
        int out = text.indexOf("</connectionPointIn>", in);
        StringBuilder crossing = new StringBuilder();
        List<String> ends = Collections.nCopies(3, text.substring(in, out));
        for (int level = 0; level < 40; level++) {
            List<String> next = new ArrayList<>();
            for (int i = 0; i < 3; i++) {
                int id = 1000 + 3 * level + i;
                String from = level == 0 ? ends.get(i) : ends.get(i) + ends.get((i + 1) % 3);
                crossing.append("<contact localId=\"")
                        .append(id)
                        .append("\"><connectionPointIn>")
                        .append(from)
                        .append("</connectionPointIn><variable>S1</variable></contact>");
                next.add("<connection refLocalId=\"" + id + "\"/>");
            }
            ends = next;
        }
        String crossed = text.substring(0, coil)
                + crossing
                + text.substring(coil, in)
                + String.join("", ends)
                + text.substring(out);

        assertThatThrownBy(() -> PlcOpenXml.read(crossed))
                .isInstanceOf(PlcOpenException.class)
                .hasMessageContaining("branches that cross so often");
    }

    @Test
    @Timeout(60)
    void brokenTextsAreRefusedWithTheirLine() throws Exception {
        String whole = PlcOpenXml.write(Programs.by(3));
        Random random = new Random(11);
        int refused = 0;
        for (int mutant = 0; mutant < 1000; mutant++) {
            StringBuilder text = new StringBuilder(whole);
            for (int i = 0; i <= random.nextInt(3); i++) {
                int at = random.nextInt(text.length());
                switch (random.nextInt(4)) {
                    case 0 -> text.setLength(at + 1);
                    case 1 -> text.delete(at, Math.min(text.length(), at + 1 + random.nextInt(40)));
                    case 2 -> text.insert(at, whole, at % whole.length(), whole.length());
                    default -> text.setCharAt(at, (char) (1 + random.nextInt(0x2ff)));
                }
            }
            try {
                PlcOpenXml.read(text.toString());
            } catch (PlcOpenException trouble) {
                refused++;
                assertThat(trouble.line()).isPositive();
                assertThat(trouble.getMessage()).hasSizeLessThan(500);
            } catch (ProgramException trouble) {
                refused++;
                assertThat(trouble.getMessage()).hasSizeLessThan(500);
            }
        }
        assertThat(refused).isGreaterThan(700);
    }
}
