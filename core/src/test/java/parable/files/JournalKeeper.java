package parable.files;

import java.nio.file.Path;
import java.util.Optional;
import parable.circuit.Job;

/** Keeps work in a journal and is gone at once, as if it had been killed; run as a process of its own. */
final class JournalKeeper {

    private JournalKeeper() {}

    /** The arguments: the folder of the journal, the job file to keep, the name the job is to have, and the file it belongs to. */
    public static void main(String[] arguments) throws Exception {
        Job read = JobFile.open(Path.of(arguments[1]));
        Job named =
                new Job(arguments[2], read.conventions(), read.sheets(), read.sizing(), read.logbook(), read.extras());
        Optional<Path> file = arguments.length > 3 ? Optional.of(Path.of(arguments[3])) : Optional.empty();
        new Journal(Path.of(arguments[0])).keep(new Journal.Work(named, file, file.map(any -> "known")));
        Runtime.getRuntime().halt(0);
    }

    /** Runs it to its end. */
    static void keep(Path folder, String name, Path... file) throws Exception {
        ProcessBuilder keeper = new ProcessBuilder(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-XX:TieredStopAtLevel=1",
                "-cp",
                System.getProperty("java.class.path"),
                JournalKeeper.class.getName(),
                folder.toString(),
                "../examples/tern-hollow-lamp-board.parable.json",
                name);
        for (Path one : file) {
            keeper.command().add(one.toString());
        }
        int left = keeper.inheritIO().start().waitFor();
        if (left != 0) {
            throw new IllegalStateException("the keeper ended with " + left);
        }
    }
}
