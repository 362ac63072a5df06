package parable.training;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import parable.bench.Condition;
import parable.finding.FindingException;

/** A panel with a hidden fault under the hands of a learner who does not always know better. */
class FindExerciseTest {

    private Exercise exercise;

    @BeforeEach
    void begin() throws FindingException {
        exercise = Courses.begin(task("K1 broken"), 1);
    }

    private static Task task(String hidden) {
        return new Task("own", "own", TaskKind.FIND, "", "Overload contact last", hidden);
    }

    private String move(String text) throws FindingException {
        return String.join(" ", exercise.move(text));
    }

    private void moves(String... all) throws FindingException {
        for (String one : all) {
            exercise.move(one);
        }
    }

    @Test
    void thePanelDoesWhatTheFaultMakesItDo() throws FindingException {
        assertThat(String.join(" ", exercise.brief())).contains("K1 out", "One thing is wrong.");
        assertThat(move("close Q1")).contains("K1 out");
        assertThat(move("press S1")).contains("K1 out", "M1 stopped");
        assertThat(move("volts K1:A1 to K1:A2")).startsWith("23");
        moves("dead");
        assertThat(move("ohms K1:A1 to K1:A2")).isEqualTo("open");
        assertThat(move("it is K1 broken")).startsWith("Yes: K1 is burnt through.");
        Score score = exercise.score();
        assertThat(score.solved()).isTrue();
        assertThat(score.dangers()).isEmpty();
        assertThat(score.looks()).isEqualTo(4);
        assertThat(score.minutes()).isGreaterThan(4);
        assertThat(exercise.best().steps()).isNotEmpty();
    }

    /** The drawing goes along with what is done, and knows nothing of the fault. */
    @Test
    void theDrawingIsShownAsItWouldBeWithoutTheFault() throws FindingException {
        assertThat(asDrawn("Q1")).isEqualTo(Condition.OPEN);
        moves("close Q1", "press S1");
        assertThat(asDrawn("Q1")).isEqualTo(Condition.CLOSED);
        assertThat(asDrawn("K1")).isEqualTo(Condition.IN);
        assertThat(asDrawn("M1")).isNotEqualTo(Condition.STOPPED);
        moves("dead", "lift K1:A1", "live", "close Q1", "press S1");
        assertThat(asDrawn("K1")).isEqualTo(Condition.OUT);
        moves("rest");
        assertThat(asDrawn("Q1")).isEqualTo(Condition.OPEN);
    }

    private Condition asDrawn(String tag) {
        return exercise.asDrawn().orElseThrow().condition(tag);
    }

    /** What is asked in the other kinds of task would be answered by it. */
    @ParameterizedTest
    @EnumSource(value = TaskKind.class, names = "FIND", mode = EnumSource.Mode.EXCLUDE)
    void theOtherKindsOfTaskShowTheDrawingAtRest(TaskKind kind) throws FindingException {
        Task one = Courses.all().stream()
                .filter(task -> task.kind() == kind)
                .findFirst()
                .orElseThrow();
        assertThat(Courses.begin(one, 1).asDrawn()).isEmpty();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "close Q1, ohms K1:A1 to K1:A2 | Ohms on a live panel",
                "wires K1 | A hand into live parts",
                "wires panel | A hand into live parts",
                "lift K1:A1 | A hand into live parts: lifting",
                "exchange K1 | A hand into live parts: exchanging K1",
                "dead, bridge F2:95-96 | A lead across F2",
                "dead, bridge S1:13-14 | A lead was left across S1:13-14",
                "dead, lift K1:A1 | The wires of K1:A1 were left off"
            })
    void whatIsDangerousIsWrittenDown(String moves, String danger) throws FindingException {
        for (String one : moves.split(",")) {
            exercise.move(one);
        }
        exercise.move("give up");
        assertThat(exercise.score().dangers()).anyMatch(one -> one.startsWith(danger));
        assertThat(exercise.score().solved()).isFalse();
    }

    @Test
    void aNewPartThatWasSoundIsCountedAndTheRightOneMends() throws FindingException {
        moves("dead", "exchange F1", "live", "close Q1");
        assertThat(move("press S1")).contains("K1 out");
        moves("dead", "exchange K1", "live", "close Q1");
        assertThat(move("press S1")).contains("K1 in", "M1 forward");
        moves("it is K1 broken");
        assertThat(exercise.score().inVain()).isEqualTo(1);
        assertThat(exercise.score().minutes()).isGreaterThan(40);
    }

    @Test
    void aLeadAndAWireThatIsOffDoWhatTheyDo() throws FindingException {
        exercise = Courses.begin(task("S1:13-14 burnt"), 1);
        moves("dead", "bridge S1:13-14", "live");
        assertThat(move("close Q1")).as("a lead across start").contains("K1 in");
        moves("dead", "unbridge S1:13-14", "lift K1:A1", "bridge S1:13-14", "live");
        assertThat(move("close Q1")).contains("K1 out");
        moves("dead", "land K1:A1", "unbridge S1:13-14");
        moves("it is S1:13-14 burnt");
        assertThat(exercise.score().dangers()).isEmpty();
    }

    @Test
    void whatIsWrongIsSaidAndOneGoesOn() throws FindingException {
        assertThat(move("it is S0:11-12 burnt")).startsWith("No:");
        assertThatThrownBy(() -> exercise.move("it is K1 sad")).isInstanceOf(FindingException.class);
        assertThatThrownBy(() -> exercise.move("it is K9 broken")).hasMessageContaining("a device of the sheet");
        assertThatThrownBy(() -> exercise.move("juggle")).isInstanceOf(FindingException.class);
        assertThat(exercise.isOver()).isFalse();
        moves("it is K1 broken");
        assertThat(exercise.score().wrong()).isEqualTo(1);
    }

    /** A class with one seed gets the same, another seed something else. */
    @Test
    void theSameSeedHidesTheSame() throws FindingException {
        Task wire = task("worn-contact");
        List<String> seven = Courses.begin(wire, 7).move("give up");

        assertThat(Courses.begin(wire, 7).move("give up")).isEqualTo(seven);
        boolean other = false;
        for (long seed = 8; seed < 12; seed++) {
            other |= !Courses.begin(wire, seed).move("give up").equals(seven);
        }
        assertThat(other).isTrue();
    }

    @Test
    void aLooseTerminalIsTightenedAndTwoFaultsAreNamedOneByOne() throws FindingException {
        exercise = Courses.begin(task("K1:A1 off, S1:13 off"), 1);
        moves("dead");
        assertThat(move("tighten K1:A2")).isEqualTo("It was tight.");
        assertThat(move("tighten K1:A1")).startsWith("It moved");
        assertThat(move("it is K1:A1 loose")).contains("1 left");
        assertThat(move("it is S1:13 off")).startsWith("Yes");
        assertThat(exercise.isOver()).isTrue();
    }

    /** A dial at half shows after minutes; until then everything is as it should be. */
    @Test
    void whoWaitsSeesTheReleaseTripAndTurnsItsDialBack() throws FindingException {
        exercise = Courses.begin(task("setting"), 1);
        assertThat(String.join(" ", exercise.brief())).contains("wait", "tripped");
        moves("close Q1", "press S1");
        assertThat(move("release S1")).contains("K1 in").doesNotContain("tripped");
        double before = exercise.score().minutes();
        assertThat(move("wait")).contains("K1 out", "F2 tripped");
        assertThat(exercise.score().minutes() - before).isGreaterThan(10);
        assertThatThrownBy(() -> move("press S0")).hasMessageContaining("'rest' first");
        moves("dead");
        assertThatThrownBy(() -> move("wait")).hasMessageContaining("a dead panel");
        moves("set F2", "live", "close Q1", "press S1", "release S1");
        assertThat(move("wait")).contains("K1 in", "F2 healthy");
        assertThat(move("it is F2 underset")).startsWith("Yes");
    }
}
