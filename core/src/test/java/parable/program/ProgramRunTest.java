package parable.program;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.HashSet;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ProgramRunTest {

    /** A program with an input X, its statements, and an output Y. */
    private static ProgramRun of(String variables, String statements) throws Exception {
        return new ProgramRun(
                StructuredText.read("PROGRAM P VAR X AT %IX0.0 : BOOL; Z AT %IX0.1 : BOOL; Y AT %QX0.0 : BOOL; "
                        + variables + " END_VAR " + statements + " END_PROGRAM"));
    }

    /** The standard blocks by the timing diagrams of IEC 61131-3; each scan is a time in ms and the input, the result is the output. */
    @ParameterizedTest
    @CsvSource({
        "TON, 0:0 10:1 110:1 111:1 120:0 130:1 200:0 300:0, 0 0 1 1 0 0 0 0",
        "TOF, 0:0 10:1 20:1 30:0 129:0 130:0 140:1 150:0 200:1 210:0 310:0, 0 1 1 1 1 0 1 1 1 1 0",
        "TP,  0:0 10:1 20:0 30:1 109:1 110:1 120:0 130:1 140:1 230:0 240:1, 0 1 1 1 1 0 0 1 1 0 1"
    })
    void timersKeepToTheStandard(String type, String scans, String outputs) throws Exception {
        ProgramRun run = of("B : " + type + ";", "B(IN := X, PT := T#100ms); Y := B.Q;");
        StringBuilder seen = new StringBuilder();
        for (String scan : scans.split(" ")) {
            String[] parts = scan.split(":");
            run.scan(parts[1].equals("1") ? Set.of("X") : Set.of(), Long.parseLong(parts[0]));
            seen.append(run.isOne("Y") ? "1 " : "0 ");
        }
        assertThat(seen.toString().strip()).isEqualTo(outputs);
    }

    @Test
    void theElapsedTimeStopsAtThePreset() throws Exception {
        ProgramRun run = of("B : TON;", "B(IN := X, PT := T#100ms); Y := B.ET >= T#40ms AND B.ET < T#90ms;");
        run.scan(Set.of("X"), 0);
        run.scan(Set.of("X"), 39);
        assertThat(run.isOne("Y")).isFalse();
        run.scan(Set.of("X"), 40);
        assertThat(run.isOne("Y")).isTrue();
        run.scan(Set.of("X"), 5000);
        assertThat(run.elapsed("B")).isEqualTo(100);
        assertThat(run.isOne("Y")).isFalse();
        run.scan(Set.of(), 5001);
        assertThat(run.elapsed("B")).isZero();
    }

    @ParameterizedTest
    @CsvSource({
        "C : CTU;,    'C(CU := X, R := Z, PV := 2); Y := C.Q;', 0 1 0 1 1 r 0 1, 0 0 0 1 1 0 0 0",
        "E : R_TRIG;, 'E(CLK := X); Y := E.Q;',                 0 1 1 0 1,       0 1 0 0 1",
        "E : F_TRIG;, 'E(CLK := X); Y := E.Q;',                 0 1 0 0 1 0,     0 0 1 0 0 1",
        "'',          'IF X THEN Y := TRUE; END_IF; IF Z THEN Y := FALSE; END_IF;', 0 1 0 r 0, 0 1 1 0 0",
        "'',          'Y := X; Y := NOT (Y);',                  0 1 0,           1 0 1",
        "'',          'Y := (X OR Y) AND NOT Z;',               0 1 0 r 0,       0 1 1 0 0"
    })
    void countersEdgesAndCoils(String variables, String statements, String inputs, String outputs) throws Exception {
        ProgramRun run = of(variables, statements);
        long time = 0;
        StringBuilder seen = new StringBuilder();
        for (String input : inputs.split(" ")) {
            run.scan(input.equals("1") ? Set.of("X") : input.equals("r") ? Set.of("Z") : Set.of(), time++);
            seen.append(run.isOne("Y") ? "1 " : "0 ");
        }
        assertThat(seen.toString().strip()).isEqualTo(outputs);
    }

    @Test
    void timeRunsForward() throws Exception {
        ProgramRun run = of("", "Y := X;");
        run.scan(Set.of(), 10);
        assertThatThrownBy(() -> run.scan(Set.of(), 9)).hasMessage("time runs forward: it is 10 ms, asked for 9");
    }

    /** Ladder and Structured Text of one program do the same, whatever the inputs do. */
    @Test
    void theTextOfAProgramDoesWhatItsLadderDoes() throws Exception {
        for (int seed = 0; seed < 300; seed++) {
            Program ladder = Programs.by(seed);
            ProgramRun one = new ProgramRun(ladder);
            ProgramRun other = new ProgramRun(StructuredText.read(StructuredText.write(ladder)));
            Random random = new Random(seed);
            long time = 0;
            for (int scan = 0; scan < 40; scan++) {
                time += random.nextInt(900);
                Set<String> inputs = new HashSet<>();
                for (int i = 0; i < 7; i++) {
                    if (random.nextBoolean()) {
                        inputs.add("S" + i);
                    }
                }
                one.scan(inputs, time);
                other.scan(inputs, time);
                assertThat(bits(ladder, other))
                        .as("seed %s at %s ms", seed, time)
                        .isEqualTo(bits(ladder, one));
            }
        }
    }

    private static Set<String> bits(Program program, ProgramRun run) {
        return program.variables().stream()
                .map(Variable::name)
                .filter(run::isOne)
                .collect(Collectors.toSet());
    }
}
