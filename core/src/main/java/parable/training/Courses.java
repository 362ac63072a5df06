package parable.training;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import parable.circuit.Job;
import parable.circuit.Practice;
import parable.circuit.Sheet;
import parable.finding.FindingException;
import parable.parts.Assembly;
import parable.parts.PartException;
import parable.ratings.JobTables;
import parable.starters.Library;

/** The tasks that ship, in courses, each with the sheet of the library that it is about. */
public final class Courses {

    private static final int FIELDS = 5;
    private static final List<Task> TASKS = read();

    private Courses() {}

    private static List<Task> read() {
        try (InputStream in = Courses.class.getResourceAsStream("courses.txt")) {
            List<Task> tasks = new ArrayList<>();
            Map<String, Integer> counts = new HashMap<>();
            for (String line : new String(in.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .toList()) {
                if (!line.isBlank() && !line.startsWith("#")) {
                    tasks.add(task(line, counts));
                }
            }
            return List.copyOf(tasks);
        } catch (IOException unreadable) {
            throw new UncheckedIOException("the courses could not be read", unreadable);
        }
    }

    private static Task task(String line, Map<String, Integer> counts) {
        String[] fields = line.split("\\|", FIELDS);
        String course = fields[0].strip();
        TaskKind kind = TaskKind.ofWord(fields[1].strip())
                .orElseThrow(() -> new IllegalStateException("courses: found " + line + ", expected a kind of task"));
        return new Task(
                course + "-" + counts.merge(course, 1, Integer::sum),
                course,
                kind,
                fields[3].strip(),
                fields[2].strip(),
                fields[4].strip());
    }

    /** All tasks, course by course, in the order in which they are learnt from. */
    public static List<Task> all() {
        return TASKS;
    }

    /** A task by its id; empty if there is none. */
    public static Optional<Task> task(String id) {
        return TASKS.stream().filter(task -> task.id().equals(id)).findFirst();
    }

    /** The number of a class as somebody wrote it; empty if it is none, from 0 to 999,999,999. */
    public static OptionalLong classNumber(String written) {
        return written.strip().matches("\\d{1,9}")
                ? OptionalLong.of(Long.parseLong(written.strip()))
                : OptionalLong.empty();
    }

    /** The sheet of a task. */
    public static Sheet sheet(Task task) {
        return job(task).sheet(task.sheet()).orElseThrow();
    }

    private static Job job(Task task) {
        return Library.jobs().stream()
                .filter(job -> job.sheet(task.sheet()).isPresent())
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException(
                        task.id() + ": found " + task.sheet() + ", expected a sheet of the library"));
    }

    /**
     * Begins a task.
     *
     * @param seed what is hidden by level is the same for the same seed
     * @throws FindingException if the task makes no sense
     */
    public static Exercise begin(Task task, long seed) throws FindingException {
        return begin(task.kind(), sheet(task), job(task), task.detail(), seed);
    }

    /**
     * Begins a task of somebody's own.
     *
     * @param job the job of the sheet, whose practice and tables count
     * @param detail what is hidden, a level or faults, or what is done and asked
     * @throws FindingException if it makes no sense
     */
    public static Exercise begin(TaskKind kind, Sheet sheet, Job job, String detail, long seed)
            throws FindingException {
        Practice practice = job.practice();
        JobTables tables = JobTables.of(job);
        Assembly assembly;
        try {
            assembly = Assembly.of(sheet, tables);
        } catch (PartException impossible) {
            throw new FindingException("the sheet", sheet.name(), "one that can be fitted out");
        }
        return switch (kind) {
            case FIND -> FindExercise.of(assembly, tables.of(practice), detail, seed);
            case PREDICT -> PredictExercise.of(assembly, detail);
            case SPOILT -> SpoiltExercise.of(assembly, practice);
            case WIRE -> WireExercise.of(assembly, practice);
        };
    }
}
