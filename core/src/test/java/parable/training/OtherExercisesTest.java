package parable.training;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Test;
import parable.finding.FindingException;

/** Saying what will happen, finding what is wrong with a drawing, and wiring, with the mistakes that are made there. */
class OtherExercisesTest {

    private static Exercise begin(TaskKind kind, String sheet, String detail) throws FindingException {
        return Courses.begin(new Task("own", "own", kind, "", sheet, detail), 1);
    }

    @Test
    void aWrongPredictionIsSetRight() throws FindingException {
        Exercise exercise = begin(TaskKind.PREDICT, "Missing seal-in", "close Q1, press S1, release S1; K1, M1");
        assertThat(exercise.move("K1 in")).containsExactly("Noted.");
        assertThatThrownBy(() -> exercise.move("K1 happy")).hasMessageContaining("one of in, out");
        assertThatThrownBy(() -> exercise.move("Q9 in")).hasMessageContaining("K1, M1");
        assertThat(exercise.move("M1 stopped")).contains("No: K1 out.");
        assertThat(exercise.isOver()).isTrue();
        assertThat(exercise.score().solved()).isFalse();
        assertThat(exercise.score().wrong()).isEqualTo(1);
    }

    @Test
    void whatIsWrongWithADrawingIsToldWithItsReason() throws FindingException {
        Exercise exercise = begin(TaskKind.SPOILT, "No interlock", "");
        assertThat(exercise.move("it is F1")).containsExactly("No, nothing is wrong there.");
        assertThat(exercise.move("it is K1")).anyMatch(line -> line.startsWith("Yes: "));
        assertThat(exercise.score().solved()).isTrue();
        assertThat(exercise.score().wrong()).isEqualTo(1);
        assertThatThrownBy(() -> begin(TaskKind.SPOILT, "Wash pump", ""))
                .hasMessageContaining("one with which something is wrong");
    }

    /** Any way to join what is joined is right; a wire too few, too many or elsewhere is told. */
    @Test
    void wiresAreComparedByWhatTheyJoin() throws FindingException {
        Exercise exercise = begin(TaskKind.WIRE, "Two-wire", "");
        List<String> moves = exercise.solution();
        String first = moves.get(0);
        for (String move : moves.subList(1, moves.size() - 1)) {
            String[] words = move.split(" ");
            exercise.move("land " + words[2] + " " + words[1]);
        }
        String[] missing = first.split(" ");
        assertThat(String.join(" ", exercise.move("test"))).contains("is not joined to");
        exercise.move("land " + missing[1] + " K1:A2");
        exercise.move(first);
        assertThat(String.join(" ", exercise.move("test"))).contains("which the drawing does not have");
        exercise.move("lift " + missing[1] + " K1:A2");
        assertThat(exercise.move("test")).containsExactly("All of it is as drawn.");
        assertThat(exercise.score().solved()).isTrue();
        assertThat(exercise.score().wrong()).isEqualTo(2);
        assertThatThrownBy(() -> exercise.move("land K1:A9 K1:A2")).hasMessageContaining("K1:A9");
    }
}
