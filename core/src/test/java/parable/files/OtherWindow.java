package parable.files;

import java.io.BufferedReader;
import java.io.IOException;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import parable.circuit.Job;
import parable.logbook.LogEntry;
import parable.logbook.Logbook;

/** Another window, as a process of its own: it claims a file, keeps work in a journal, or claims a file by turns with others. */
final class OtherWindow {

    private OtherWindow() {}

    /** The arguments: what to do, the file, and for turns how many. Says what came of it, and holds it until its input ends. */
    public static void main(String[] arguments) throws Exception {
        Path file = Path.of(arguments[1]);
        switch (arguments[0]) {
            case "claim" -> say(FileClaim.on(file).isPresent() ? "held" : "refused");
            case "journal" -> say(keep(file));
            case "log" -> say(log(file, Integer.parseInt(arguments[2])));
            case "turns" -> say(turns(file, Integer.parseInt(arguments[2])));
            default -> throw new IllegalArgumentException(arguments[0]);
        }
        while (System.in.read() >= 0) {
            continue;
        }
        Runtime.getRuntime().halt(0);
    }

    private static void say(String words) {
        System.out.println(words);
        System.out.flush();
    }

    private static String keep(Path folder) throws Exception {
        Job job = JobFile.open(Path.of("../examples/tern-hollow-lamp-board.parable.json"));
        new Journal(folder).keep(new Journal.Work(job, Optional.empty(), Optional.empty()));
        return "kept";
    }

    /** Makes entries in a logbook. */
    static String log(Path logbook, int many) throws IOException {
        for (int i = 0; i < many; i++) {
            Logbook.Draft draft = new Logbook.Draft(
                    "R. Alder", "Wash pump", "52a8400321b2", LogEntry.Kind.REMARK, "entry " + i, Map.of(), 0);
            LogbookFile.add(logbook, draft, "2026-01-01T00:00:00", "");
        }
        return "logged";
    }

    /** Claims and gives back; two that hold it at once would both make the same new file. */
    static String turns(Path file, int many) throws IOException {
        Path alone = file.resolveSibling("alone");
        int had = 0;
        while (had < many) {
            Optional<FileClaim> claim = FileClaim.on(file);
            if (claim.isPresent()) {
                try {
                    Files.createFile(alone);
                    Files.delete(alone);
                } catch (FileAlreadyExistsException together) {
                    return "two at once";
                }
                claim.get().close();
                had++;
            }
        }
        return "alone each time";
    }

    /** A running one. */
    record Running(Process process, BufferedReader out) implements AutoCloseable {

        static Running start(String what, Path file, String... more) throws IOException {
            List<String> command = new ArrayList<>(List.of(
                    Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                    "-XX:TieredStopAtLevel=1",
                    "-cp",
                    System.getProperty("java.class.path"),
                    OtherWindow.class.getName(),
                    what,
                    file.toString()));
            command.addAll(List.of(more));
            Process process = new ProcessBuilder(command)
                    .redirectError(ProcessBuilder.Redirect.INHERIT)
                    .start();
            return new Running(process, process.inputReader());
        }

        /** What it says next. */
        String said() throws IOException {
            return Optional.ofNullable(out.readLine()).orElse("nothing");
        }

        /** Kills it. */
        @Override
        public void close() {
            process.destroyForcibly().onExit().join();
        }
    }
}
