package parable.program;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import parable.Share;

class StructuredTextTest {

    private static final int PROGRAMS = Share.oneIn(4, 2000);
    private static final String START_STOP =
            """
            PROGRAM Wash_pump
            VAR
                S0 AT %IX0.0 : BOOL; (* Stop, its contact conducts at rest *)
                S1 AT %IX0.1 : BOOL; (* Start *)
                K1 AT %QX0.0 : BOOL; (* Motor contactor *)
                T1 : TON;
                C1 : CTU;
                E1 : R_TRIG;
                P1 AT %QX0.1 : BOOL;
                m1 AT %MX0.0 : BOOL;
            END_VAR

            (* holds itself in *)
            K1 := (S1 OR K1) AND S0;

            T1(IN := K1, PT := T#3s500ms);

            E1(CLK := NOT S1);

            C1(CU := E1.Q, R := NOT S0, PV := 5);

            IF T1.Q AND T1.ET >= T#2s THEN m1 := TRUE; END_IF;

            P1 := NOT (m1 OR C1.Q);

            END_PROGRAM
            """;

    @Test
    void whatIsReadIsWrittenTheSame() throws Exception {
        Program program = StructuredText.read(START_STOP);

        assertThat(program.networks()).hasSize(6);
        assertThat(program.variable("k1").orElseThrow().comment()).isEqualTo("Motor contactor");
        assertThat(program.networks().get(0).comment()).isEqualTo("holds itself in");
        assertThat(program.networks().get(1).end()).isEqualTo(new NetworkEnd.Timer("T1", 3500));
        assertThat(StructuredText.write(program)).isEqualTo(START_STOP);
    }

    @Test
    void everyProgramComesBackAsItWas() throws Exception {
        for (int seed = 0; seed < PROGRAMS; seed++) {
            Program program = Programs.by(seed);

            assertThat(StructuredText.read(StructuredText.write(program)))
                    .as("seed %s", seed)
                    .isEqualTo(program);
        }
    }

    /** A NOT in front of parentheses means the contrary of what is in them, on whatever the inputs are. */
    @ParameterizedTest
    @CsvSource({
        "NOT (S0 AND S1) AND S2, (NOT S0 OR NOT S1) AND S2",
        "S2 OR NOT (S0 OR NOT S1), S2 OR NOT S0 AND S1",
        "S0 AND NOT NOT S1, S0 AND S1",
        "S0 & (S1 OR NOT (S2 AND (S0 OR S1))), S0 AND (S1 OR NOT S2 OR NOT S0 AND NOT S1)"
    })
    void aNotIsCarriedInwards(String one, String other) throws Exception {
        ProgramRun first = new ProgramRun(of(one));
        ProgramRun second = new ProgramRun(of(other));
        for (int bits = 0; bits < 8; bits++) {
            Set<String> inputs = new HashSet<>();
            for (int i = 0; i < 3; i++) {
                if ((bits >> i & 1) == 1) {
                    inputs.add("S" + i);
                }
            }
            first.scan(inputs, bits);
            second.scan(inputs, bits);
            assertThat(first.isOne("K1")).as("%s", inputs).isEqualTo(second.isOne("K1"));
        }
    }

    private static Program of(String expression) throws Exception {
        return StructuredText.read(
                "PROGRAM P VAR S0 AT %IX0.0 : BOOL; S1 AT %IX0.1 : BOOL; S2 AT %IX0.2 : BOOL; K1 AT %QX0.0 : BOOL; END_VAR"
                        + " K1 := " + expression + "; END_PROGRAM");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '"',
            value = {
                "K1 := S0 XOR S1; | line 2, column 10: found XOR, expected ;",
                "K1 := TRUE;      | line 2, column 7: found TRUE, expected a variable",
                "K1 := S0         | line 2, column 10: found END_PROGRAM, expected ;",
                "WHILE S0 DO;     | line 2, column 7: found S0, expected (",
                "IF S0 THEN K1 := S1; END_IF; | line 2, column 18: found S1, expected TRUE or FALSE",
                "K1 := S9;        | network 1: found S9, expected a variable that is declared",
                "S0 := K1;        | network 1: found a coil on S0, expected an output or memory, for it is an input",
                "K1 := S0.Q;      | network 1: found S0.Q, expected S0 without .Q, for it is a bit",
                "K1(IN := S0, PT := T#1s); | network 1: found K1, a BOOL, expected what this network ends on"
            })
    void whatLiesOutsideIsRefusedByNameAndPlace(String statement, String message) {
        String text = "PROGRAM P VAR S0 AT %IX0.0 : BOOL; S1 AT %IX0.1 : BOOL; K1 AT %QX0.0 : BOOL; END_VAR\n"
                + statement.strip() + " END_PROGRAM";

        assertThatThrownBy(() -> StructuredText.read(text)).hasMessageStartingWith(message);
    }

    /** Cut off, mixed up, with bytes exchanged: a clear refusal, or a program; never anything else, and little of the text in the message. */
    @Test
    void brokenTextsAreRefusedWithLineAndColumn() {
        Random random = new Random(5);
        int refused = 0;
        for (int mutant = 0; mutant < 3000; mutant++) {
            StringBuilder text = new StringBuilder(START_STOP);
            for (int i = 0; i <= random.nextInt(4); i++) {
                int at = random.nextInt(text.length());
                switch (random.nextInt(4)) {
                    case 0 -> text.setLength(at + 1);
                    case 1 -> text.deleteCharAt(at);
                    case 2 -> text.insert(at, START_STOP, random.nextInt(START_STOP.length()), START_STOP.length());
                    default -> text.setCharAt(at, (char) (1 + random.nextInt(0x2ff)));
                }
            }
            try {
                StructuredText.read(text.toString());
            } catch (StructuredTextException trouble) {
                refused++;
                assertThat(trouble.line()).isPositive();
                assertThat(trouble.getMessage()).hasSizeLessThan(300);
            } catch (ProgramException trouble) {
                refused++;
                assertThat(trouble.getMessage()).hasSizeLessThan(300);
            }
        }
        assertThat(refused).isGreaterThan(2000);
    }

    @Test
    void hugeAndDeeplyNestedTextsAreRefusedAtOnce() {
        assertThatThrownBy(() -> of("(".repeat(40_000) + "S0" + ")".repeat(40_000)))
                .isInstanceOf(StructuredTextException.class)
                .hasMessageContaining("no more than 64 parentheses in each other");
        assertThatThrownBy(() -> StructuredText.read("(* ".repeat(500_000)))
                .isInstanceOf(StructuredTextException.class)
                .hasMessageContaining("1000000 at the most");
    }

    /** What is typed is one statement or one declaration; nothing of it is dropped without a word. */
    @Test
    void moreThanOneStatementIsRefused() throws Exception {
        List<Variable> variables = List.of(bit("A"), bit("B"), bit("C"));

        assertThat(StructuredText.readStatement(variables, "A := B;").end().variable())
                .isEqualTo("A");
        assertThatThrownBy(() -> StructuredText.readStatement(variables, "A := B; C := B;"))
                .hasMessage("line 1, column 9: found C, expected one statement, and nothing behind it");
        for (String commented : List.of("A := B; (* later *)", "A := (* why *) B;", "A := B; // later")) {
            assertThatThrownBy(() -> StructuredText.readStatement(variables, commented))
                    .hasMessageContaining("a comment only in front of the statement");
        }
        assertThatThrownBy(() -> StructuredText.readStatement(variables, ""))
                .isInstanceOf(StructuredTextException.class);
        assertThat(StructuredText.readVariable("D : BOOL;").name()).isEqualTo("D");
        assertThatThrownBy(() -> StructuredText.readVariable("D : BOOL; E : BOOL;"))
                .hasMessageContaining("one variable, and nothing behind it");
    }

    private static Variable bit(String name) {
        return new Variable(name, VariableType.BOOL, Optional.empty(), "");
    }
}
