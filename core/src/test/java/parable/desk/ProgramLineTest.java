package parable.desk;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import parable.program.Program;
import parable.program.StructuredText;

/** What is typed for a program of two networks. */
class ProgramLineTest {

    private static final String TEXT =
            """
            PROGRAM Gate
            VAR
              S0 AT %IX0.0 : BOOL;
              S1 AT %IX0.1 : BOOL;
              K1 AT %QX0.0 : BOOL;
              K2 AT %QX0.1 : BOOL;
            END_VAR
              (* holds itself in *)
              K1 := S0 AND (S1 OR K1);
              K2 := K1;
            END_PROGRAM
            """;

    private static Program program() throws Exception {
        return StructuredText.read(TEXT);
    }

    private static ProgramLine.Result typed(int network, int leaf, ProgramStroke stroke, String text) throws Exception {
        return new ProgramLine(program(), new ProgramPlace(network, leaf), stroke, text).preview();
    }

    private static String statements(Program program) {
        return String.join(
                " | ",
                program.networks().stream().map(StructuredText::statement).toList());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '!',
            textBlock =
                    """
                    0 ! -1 ! CHANGE ! K1 := S1              ! K1 := S1; | K2 := K1;
                    0 ! -1 ! CHANGE ! K1 := S1;             ! K1 := S1; | K2 := K1;
                    0 ! -1 ! NEW    ! K2 := NOT S0          ! K1 := S0 AND (S1 OR K1); | K2 := NOT S0; | K2 := K1;
                    1 !  0 ! BEFORE ! NOT S0                ! K1 := S0 AND (S1 OR K1); | K2 := NOT S0 AND K1;
                    1 !  0 ! AFTER  ! S1                    ! K1 := S0 AND (S1 OR K1); | K2 := K1 AND S1;
                    1 !  0 ! AROUND ! S1 AND S0             ! K1 := S0 AND (S1 OR K1); | K2 := K1 OR (S1 AND S0);
                    0 !  1 ! AROUND ! K2                    ! K1 := S0 AND (S1 OR K2 OR K1); | K2 := K1;
                    """)
    void whatIsTypedGoesWhereItIsMeant(int network, int leaf, ProgramStroke stroke, String text, String statements)
            throws Exception {
        ProgramLine.Result result = typed(network, leaf, stroke, text);

        assertThat(result.words()).isEqualTo("Enter takes it over.");
        assertThat(statements(result.program().orElseThrow()).replaceAll("[()]", ""))
                .isEqualTo(statements.strip().replaceAll("[()]", ""));
    }

    @Test
    void aChangedNetworkKeepsItsRemarkUnlessAnotherIsTyped() throws Exception {
        Program kept = typed(0, -1, ProgramStroke.CHANGE, "K1 := S1").program().orElseThrow();
        assertThat(kept.networks().get(0).comment()).isEqualTo("holds itself in");
        Program other = typed(0, -1, ProgramStroke.CHANGE, "(* by hand *) K1 := S1")
                .program()
                .orElseThrow();
        assertThat(other.networks().get(0).comment()).isEqualTo("by hand");
        Program fresh = typed(0, -1, ProgramStroke.NEW, "K2 := S1").program().orElseThrow();
        assertThat(fresh.networks().get(1).comment()).isEmpty();
    }

    @Test
    void aVariableIsDeclaredWhateverIsSelected() throws Exception {
        for (ProgramStroke stroke : ProgramStroke.values()) {
            Program declared =
                    typed(1, 0, stroke, "S5 AT %IX0.7 : BOOL").program().orElseThrow();
            assertThat(declared.variable("S5")
                            .orElseThrow()
                            .address()
                            .orElseThrow()
                            .toString())
                    .contains("IX0.7");
            assertThat(declared.networks()).isEqualTo(program().networks());
        }
        assertThat(typed(0, -1, ProgramStroke.NEW, "M9 : BOOL")
                        .program()
                        .orElseThrow()
                        .variable("M9"))
                .isPresent();
        assertThat(new ProgramLine(program(), new ProgramPlace(0, -1), ProgramStroke.NEW, "K2 := S1").isDeclaration())
                .as("an assignment is none")
                .isFalse();
    }

    @ParameterizedTest
    @CsvSource({"CHANGE, K1 := Z9", "CHANGE, K1 :=", "BEFORE, AND", "NEW, S0 := K1", "NEW, S5 AT %IX0.x : BOOL"})
    void whatMakesNoSenseIsRefused(ProgramStroke stroke, String text) throws Exception {
        ProgramLine.Result result = typed(0, 0, stroke, text);

        assertThat(result.program()).isEmpty();
        assertThat(result.words()).contains("expected");
    }

    @Test
    void whatIsThereAlreadyAndWhatIsBlankIsSaid() throws Exception {
        assertThat(typed(1, -1, ProgramStroke.CHANGE, "K2 := K1").words()).isEqualTo("As it is.");
        assertThat(typed(1, -1, ProgramStroke.CHANGE, " ").words()).startsWith("Type a statement");
    }
}
