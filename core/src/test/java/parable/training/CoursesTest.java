package parable.training;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import parable.Share;
import parable.finding.FindingException;

/** The tasks that ship: each can be begun, and its own solution solves it without danger. */
class CoursesTest {

    /** The hunts take long on large panels: a few of them, and all that is not hunted. */
    static Stream<Task> few() {
        return Share.oneIn(
                3,
                Courses.all().stream()
                        .filter(task ->
                                task.kind() != TaskKind.FIND || task.course().equals("measuring")));
    }

    static Stream<Task> all() {
        return Courses.all().stream();
    }

    @ParameterizedTest
    @MethodSource("few")
    void itsSolutionSolvesIt(Task task) throws FindingException {
        play(task);
    }

    @Tag("long")
    @ParameterizedTest
    @MethodSource("all")
    void theSolutionOfEachSolvesIt(Task task) throws FindingException {
        play(task);
    }

    private static void play(Task task) throws FindingException {
        Exercise exercise = Courses.begin(task, 1);
        assertThat(exercise.brief()).isNotEmpty();
        assertThat(exercise.manual()).isNotEmpty();
        assertThat(exercise.offers()).isNotEmpty();
        for (String move : exercise.solution()) {
            assertThat(exercise.isOver()).as(move).isFalse();
            assertThat(exercise.move(move)).as(move).isNotEmpty();
        }
        Score score = exercise.score();
        assertThat(exercise.isOver()).isTrue();
        assertThat(score.solved()).as("%s", score).isTrue();
        assertThat(score.dangers()).isEmpty();
        assertThat(score.wrong()).isZero();
        assertThat(score.inVain()).isZero();
    }

    @Test
    void thereAreSixtyOfFourKindsInElevenCourses() {
        assertThat(Courses.all()).hasSizeGreaterThanOrEqualTo(60);
        assertThat(Courses.all().stream().map(Task::kind))
                .containsOnly(TaskKind.values())
                .contains(TaskKind.values());
        Set<String> courses = Courses.all().stream().map(Task::course).collect(Collectors.toSet());
        assertThat(courses)
                .isEqualTo(Set.copyOf(List.of(
                        "first-steps",
                        "reading",
                        "measuring",
                        "direct-on-line",
                        "stations",
                        "jog",
                        "reversing",
                        "star-delta",
                        "brake",
                        "warning",
                        "controller")));
    }
}
