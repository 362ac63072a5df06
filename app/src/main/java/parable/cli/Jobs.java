package parable.cli;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.Optional;
import java.util.stream.Collectors;
import parable.bench.Bench;
import parable.circuit.Job;
import parable.circuit.Sheet;
import parable.files.FileClaim;
import parable.files.FileFailure;
import parable.files.JobFile;
import parable.files.JobFormatException;
import parable.files.PlainFile;
import parable.files.UnknownFields;
import parable.parts.Assembly;
import parable.parts.PartException;
import parable.ratings.JobTables;
import parable.scenario.Player;
import parable.scenario.Scenario;
import parable.scenario.ScenarioException;

/** Finds what a command names, or says what is wrong with it. */
final class Jobs {

    /** The property that says where the example jobs lie. */
    private static final String EXAMPLES = "parable.examples";

    private Jobs() {}

    /** The file of the demo job. */
    static Path demo() {
        return example("tern-hollow-press-house");
    }

    /** The file of an example job. */
    static Path example(String name) {
        return Path.of(System.getProperty(EXAMPLES, "examples")).resolve(name + JobFile.ENDING);
    }

    /** A job, and on the standard error what in its file means nothing. */
    static Job open(Path file) {
        Job job = opened(file).job();
        JobTables.problem(job)
                .ifPresent(words -> System.err.println(file + ": the job's own tables are left out: " + words));
        UnknownFields.told(job).forEach(words -> System.err.println(file + ": " + words));
        return job;
    }

    /** A job as it was read from a file. */
    static JobFile.Opened opened(Path file) {
        try {
            return JobFile.opened(file);
        } catch (JobFormatException notAJob) {
            throw new UsersFaultException(file + ": " + notAJob.getMessage());
        } catch (NoSuchFileException missing) {
            throw new UsersFaultException(file + ": there is no such file");
        } catch (IOException unreadable) {
            throw new UsersFaultException(file + ": cannot be read: " + FileFailure.words(unreadable));
        }
    }

    /** Writes a job file, unless a window has it open. */
    static void save(Job job, Path file) {
        Optional<FileClaim> claim = FileClaim.on(file);
        if (claim.isEmpty() && Files.exists(file)) {
            throw new UsersFaultException(
                    file + ": is open in a window or cannot be written; it is as it was. Choose another name.");
        }
        try {
            JobFile.save(job, file);
        } catch (IOException unwritable) {
            throw new UsersFaultException(file + ": cannot be written: " + FileFailure.words(unwritable));
        } finally {
            claim.ifPresent(Jobs::giveBack);
        }
    }

    private static void giveBack(FileClaim claim) {
        try {
            claim.close();
        } catch (IOException stays) {
            System.err.println("A mark of a job file cannot be taken away: " + FileFailure.words(stays));
        }
    }

    /** Refuses to write anything but a job over a job or its logbook. */
    static void refuseOverJob(Path read, Path written) {
        boolean same = isSame(read, written);
        if (same || JobFile.isNameOfJob(written)) {
            throw new UsersFaultException("-o " + written + ": found "
                    + (same ? "the file that is read" : "the name of a job or a logbook")
                    + ", expected another name; nothing is written");
        }
    }

    /** Whether two names are of one file that is there. */
    static boolean isSame(Path one, Path other) {
        try {
            return Files.exists(one) && Files.exists(other) && Files.isSameFile(one, other);
        } catch (IOException unknown) {
            return false;
        }
    }

    static Sheet sheet(Job job, String name) {
        return job.sheet(name)
                .orElseThrow(() -> new UsersFaultException("the job has no sheet '" + name + "'; it has "
                        + job.sheets().stream().map(Sheet::name).collect(Collectors.joining(", "))));
    }

    /** The sheet of this name; without a name the only one. */
    static Sheet onlySheet(Job job, String name) {
        if (name.isEmpty() && job.sheets().size() > 1) {
            throw new UsersFaultException("--sheet: found none, expected one of "
                    + job.sheets().stream().map(Sheet::name).collect(Collectors.joining(", ")));
        }
        return name.isEmpty() && !job.sheets().isEmpty() ? job.sheets().get(0) : sheet(job, name);
    }

    /** A sheet of a job that opened, fitted out by the tables of the job. */
    static Assembly assembled(Job job, Sheet sheet) {
        try {
            return Assembly.of(sheet, JobTables.of(job));
        } catch (PartException impossible) {
            throw new IllegalStateException("a job that opened holds a sheet that cannot be fitted out", impossible);
        }
    }

    /** A script played to its end. */
    static Player played(Path script, Bench bench) {
        try {
            Player player = new Player(
                    bench, Scenario.read(text(script), bench.assembly().sheet()));
            player.playAll();
            return player;
        } catch (ScenarioException nonsense) {
            throw new UsersFaultException(script + ": " + nonsense.getMessage());
        }
    }

    static String text(Path file) {
        try {
            return PlainFile.text(file);
        } catch (NoSuchFileException missing) {
            throw new UsersFaultException(file + ": there is no such file");
        } catch (IOException unreadable) {
            throw new UsersFaultException(file + ": cannot be read as text: " + FileFailure.words(unreadable));
        }
    }
}
