package parable.cli;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.PrintWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import parable.circuit.Job;
import parable.circuit.Sheet;
import parable.files.FileFailure;
import parable.files.JobFormatException;
import parable.files.ProgressFile;
import parable.finding.FindingException;
import parable.training.Attempt;
import parable.training.BestWay;
import parable.training.Courses;
import parable.training.Exercise;
import parable.training.Level;
import parable.training.Score;
import parable.training.Task;
import parable.training.TaskKind;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Runs a task without a window: moves come from standard input, a line each. */
@Command(
        name = "train",
        description = {
            "Learn: list the tasks, do one, or tell a teacher what was done. Moves are read from standard input, a line each.",
            "Exit code 0; 1 if a task was not solved or something dangerous was done; 2 if something makes no sense."
        },
        footer = {
            "",
            "        train                                        the courses and their tasks",
            "        train --task measuring-1                     a task that ships",
            "        train --task measuring-1 --learner \"E. Marsh\" --progress class.jsonl",
            "        train --progress class.jsonl --csv           what was done, for a spreadsheet",
            "        train JOB --sheet \"Wash pump\" --hide \"K1:A1 off\"        a task of your own",
            "        train JOB --sheet \"Wash pump\" --hide worn-contact --seed 7",
            "        train JOB --sheet \"Wash pump\" --kind predict --hide \"close Q1, press S1; K1, M1\""
        },
        mixinStandardHelpOptions = true)
final class TrainCommand implements Callable<Integer> {

    @Parameters(paramLabel = "JOB", arity = "0..1", description = "a job file, for a task of one's own")
    private Path file;

    @Option(names = "--sheet", paramLabel = "NAME", description = "its sheet; need not be said where there is only one")
    private String sheet = "";

    @Option(names = "--kind", paramLabel = "KIND", description = "find, predict, spoilt or wire; find, unless said")
    private String kind = "find";

    @Option(
            names = "--hide",
            paramLabel = "WHAT",
            description =
                    "a level or faults with commas between; for predict what is done and asked. Levels: open-wire,"
                            + " worn-contact, welded, exchanged, setting, intermittent, two, wiring-mistake")
    private String hide = "open-wire";

    @Option(names = "--task", paramLabel = "ID", description = "a task that ships")
    private String task = "";

    @Option(names = "--seed", paramLabel = "NUMBER", description = "the same number hides the same; 1, unless said")
    private long seed = 1;

    @Option(names = "--learner", paramLabel = "NAME", description = "who does it; kept with --progress")
    private String learner = "";

    @Option(names = "--progress", paramLabel = "FILE", description = "where it is kept what was done")
    private Path progress;

    @Option(names = "--csv", description = "print what is kept there as CSV")
    private boolean csv;

    @Option(names = "--solution", description = "print moves that solve the task, for a teacher")
    private boolean solution;

    @Spec
    private CommandSpec spec;

    @Override
    public Integer call() {
        PrintWriter out = spec.commandLine().getOut();
        if (csv) {
            out.print(ProgressFile.csv(kept()));
            out.flush();
            return 0;
        }
        if (task.isEmpty() && file == null) {
            list(out);
            return 0;
        }
        if (progress != null && learner.isBlank()) {
            throw new UsersFaultException("--learner: found none, expected a name to keep it by");
        }
        Exercise exercise = begun();
        if (solution) {
            exercise.solution().forEach(out::println);
            out.flush();
            return 0;
        }
        return done(exercise, out);
    }

    private List<Attempt> kept() {
        if (progress == null) {
            throw new UsersFaultException(
                    "--progress: found none, expected the file in which it is kept what was done");
        }
        try {
            return ProgressFile.read(progress);
        } catch (IOException unreadable) {
            throw new UsersFaultException(progress + ": cannot be read: " + FileFailure.words(unreadable));
        } catch (JobFormatException senseless) {
            throw new UsersFaultException(progress + ": " + senseless.getMessage());
        }
    }

    private void list(PrintWriter out) {
        Set<String> solved = progress == null
                ? Set.of()
                : kept().stream()
                        .filter(one -> one.score().solved()
                                && (learner.isEmpty() || one.learner().equals(learner)))
                        .map(Attempt::task)
                        .collect(Collectors.toSet());
        String course = "";
        for (Task one : Courses.all()) {
            if (!one.course().equals(course)) {
                course = one.course();
                out.println(course.replace('-', ' '));
            }
            out.printf(
                    "  %s %-18s %-32s %s: %s%n",
                    solved.contains(one.id()) ? "✓" : " ", one.id(), one.kind().words(), one.sheet(), one.title());
        }
        out.flush();
    }

    private Exercise begun() {
        try {
            if (file == null) {
                Task asked = Courses.task(task)
                        .orElseThrow(() -> new UsersFaultException(
                                "--task: found " + task + ", expected one of those that 'train' lists"));
                return Courses.begin(asked, seed);
            }
            Job job = Jobs.open(file);
            Sheet asked = Jobs.onlySheet(job, sheet);
            TaskKind wanted = TaskKind.ofWord(kind)
                    .orElseThrow(() -> new UsersFaultException(
                            "--kind: found " + kind + ", expected find, predict, spoilt or wire"));
            return Courses.begin(wanted, asked, job, hide, seed);
        } catch (FindingException senseless) {
            throw new UsersFaultException(senseless.getMessage() + " (levels: " + Level.all() + ")");
        }
    }

    private int done(Exercise exercise, PrintWriter out) {
        exercise.brief().forEach(out::println);
        exercise.manual().forEach(out::println);
        out.flush();
        try (BufferedReader in = new BufferedReader(new InputStreamReader(System.in, StandardCharsets.UTF_8))) {
            for (String line = in.readLine(); line != null && !exercise.isOver(); line = in.readLine()) {
                if (!line.isBlank()) {
                    move(exercise, line, out);
                }
                if (exercise.isOver()) {
                    break;
                }
            }
        } catch (IOException ended) {
            throw new UsersFaultException("standard input: " + FileFailure.words(ended));
        }
        Score score = exercise.score();
        BestWay best = exercise.best();
        tell(score, best, out);
        keep(score, best, out);
        out.flush();
        return score.solved() && score.dangers().isEmpty() ? 0 : 1;
    }

    private static void move(Exercise exercise, String line, PrintWriter out) {
        try {
            exercise.move(line).forEach(said -> out.println("  " + said));
        } catch (FindingException senseless) {
            out.println("  ? " + senseless.getMessage());
        }
        out.flush();
    }

    private static void tell(Score score, BestWay best, PrintWriter out) {
        out.println();
        out.println(score.solved() ? "Solved." : "Not solved.");
        out.println(score.words());
        score.dangers().forEach(danger -> out.println("  ! " + danger));
        out.println(best.heading());
        best.steps().forEach(step -> out.println("  " + step));
    }

    private void keep(Score score, BestWay best, PrintWriter out) {
        if (progress == null) {
            return;
        }
        String id = task.isEmpty() ? "own: " + hide : task;
        try {
            ProgressFile.add(
                    progress,
                    new Attempt(
                            learner.strip(),
                            id,
                            seed,
                            Instant.now().truncatedTo(ChronoUnit.SECONDS).toString(),
                            score,
                            best.steps().size(),
                            best.minutes()));
            out.println("Kept in " + progress + ".");
        } catch (IOException full) {
            throw new UsersFaultException(progress + ": cannot be written: " + FileFailure.words(full));
        } catch (JobFormatException senseless) {
            throw new UsersFaultException(progress + ": is left as it is: " + senseless.getMessage());
        }
    }
}
