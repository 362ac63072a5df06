package parable.app.learn;

import java.io.IOException;
import java.nio.file.Path;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;
import parable.app.job.Latest;
import parable.app.job.Person;
import parable.bench.Moment;
import parable.files.FileFailure;
import parable.files.JobFormatException;
import parable.files.ProgressFile;
import parable.finding.FindingException;
import parable.training.Attempt;
import parable.training.BestWay;
import parable.training.Courses;
import parable.training.Exercise;
import parable.training.Score;
import parable.training.Task;

/** A learner before the courses: which task is at work, what was done and answered, and what is kept of it. All of it is worked out beside the window. */
public final class LearnModel {

    private final Person person;
    private final Path progress;
    private final Latest working = new Latest("learning");
    private final ReadOnlyBooleanWrapper busy = new ReadOnlyBooleanWrapper();
    private final ReadOnlyObjectWrapper<Optional<Work>> work = new ReadOnlyObjectWrapper<>(Optional.empty());
    private final ObservableList<String> said = FXCollections.observableArrayList();
    private final ReadOnlyObjectWrapper<Set<String>> solved = new ReadOnlyObjectWrapper<>(Set.of());
    private final ReadOnlyObjectWrapper<Optional<Moment>> drawn = new ReadOnlyObjectWrapper<>(Optional.empty());
    private long seed = 1;

    /** A task at work. */
    record Work(Task task, Exercise exercise) {}

    /** A task that is begun, with how the drawing would have the machine. */
    private record Begun(Work work, Optional<Moment> drawn) {}

    /** What came of a move: what was said, and whether the task is over. */
    private record Answer(List<String> lines, Optional<Moment> drawn, Optional<Ended> ended) {}

    private record Ended(Score score, BestWay best) {}

    /**
     * The model of whoever sits at the window.
     *
     * @param progress the file in which it is kept what was done
     */
    public LearnModel(Person person, Path progress) {
        this.person = person;
        this.progress = progress;
        lookAtProgress();
    }

    private void lookAtProgress() {
        try {
            solved.set(ProgressFile.read(progress).stream()
                    .filter(attempt ->
                            attempt.score().solved() && attempt.learner().equals(person.name()))
                    .map(Attempt::task)
                    .collect(Collectors.toSet()));
        } catch (IOException | JobFormatException unreadable) {
            solved.set(Set.of());
        }
    }

    /** Who learns. */
    Person person() {
        return person;
    }

    /** The task at work, empty until one was chosen. */
    ReadOnlyObjectProperty<Optional<Work>> workProperty() {
        return work.getReadOnlyProperty();
    }

    /** How the drawing would have the machine be after what was done; empty where that is not told. */
    ReadOnlyObjectProperty<Optional<Moment>> drawnProperty() {
        return drawn.getReadOnlyProperty();
    }

    /** What was asked, done and answered, a line each. */
    ObservableList<String> said() {
        return said;
    }

    /** The ids of the tasks that the learner has solved. */
    ReadOnlyObjectProperty<Set<String>> solvedProperty() {
        return solved.getReadOnlyProperty();
    }

    /** Whether something is being worked out. */
    public ReadOnlyBooleanProperty busyProperty() {
        return busy.getReadOnlyProperty();
    }

    /** What is hidden by level: the same number hides the same. */
    void seed(long number) {
        seed = number;
    }

    /** Begins a task. */
    public void begin(Task task) {
        said.clear();
        work.set(Optional.empty());
        drawn.set(Optional.empty());
        busy.set(true);
        long hides = seed;
        working.ask(() -> begun(task, hides), begun -> {
            busy.set(false);
            work.set(Optional.of(begun.work()));
            drawn.set(begun.drawn());
            said.setAll(begun.work().exercise().brief());
        });
    }

    private static Begun begun(Task task, long seed) {
        try {
            Exercise exercise = Courses.begin(task, seed);
            return new Begun(new Work(task, exercise), exercise.asDrawn());
        } catch (FindingException impossible) {
            throw new IllegalStateException("a task that ships makes no sense: " + task.id(), impossible);
        }
    }

    /** Makes a move in the task at work. */
    public void move(String move) {
        if (work.get().isEmpty() || busy.get()) {
            return;
        }
        Work at = work.get().get();
        if (at.exercise().isOver()) {
            return;
        }
        said.add("> " + move);
        busy.set(true);
        working.ask(() -> answer(at.exercise(), move), answer -> {
            busy.set(false);
            said.addAll(answer.lines());
            drawn.set(answer.drawn());
            answer.ended().ifPresent(ended -> end(at.task(), ended));
        });
    }

    private static Answer answer(Exercise exercise, String move) {
        List<String> lines;
        try {
            lines = exercise.move(move);
        } catch (FindingException senseless) {
            lines = List.of(senseless.getMessage());
        }
        return new Answer(
                lines,
                exercise.asDrawn(),
                exercise.isOver() ? Optional.of(new Ended(exercise.score(), exercise.best())) : Optional.empty());
    }

    private void end(Task task, Ended ended) {
        Score score = ended.score();
        List<String> lines = new ArrayList<>();
        lines.add(score.solved() ? "Solved." : "Not solved.");
        lines.add(score.words());
        lines.addAll(score.dangers());
        lines.add(ended.best().heading());
        lines.addAll(ended.best().steps());
        lines.add(keep(task, ended));
        said.addAll(lines);
    }

    private String keep(Task task, Ended ended) {
        if (person.name().isBlank()) {
            return "Say who you are before the next task: then it is kept what you have done.";
        }
        try {
            ProgressFile.add(
                    progress,
                    new Attempt(
                            person.name(),
                            task.id(),
                            seed,
                            Instant.now().truncatedTo(ChronoUnit.SECONDS).toString(),
                            ended.score(),
                            ended.best().steps().size(),
                            ended.best().minutes()));
            lookAtProgress();
            return "Kept in " + progress + ".";
        } catch (IOException full) {
            return "Could not be kept: " + FileFailure.words(full) + ".";
        } catch (JobFormatException foreign) {
            return "Could not be kept: " + progress + " is no progress of learners.";
        }
    }

    /** The learner's name was said: what that learner has solved. */
    void named() {
        lookAtProgress();
    }
}
