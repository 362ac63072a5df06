package parable.cli;

import java.nio.file.Path;
import java.util.List;
import parable.files.FailureNote;
import picocli.CommandLine;
import picocli.CommandLine.Command;

/** The entry to everything that can be asked for on the command line. */
@Command(
        name = "parable",
        description = "Try a motor starter before any copper is cut.",
        subcommands = {
            DemoCommand.class,
            OpenCommand.class,
            SimulateCommand.class,
            WhyCommand.class,
            CheckCommand.class,
            ProveCommand.class,
            LibraryCommand.class,
            ExportCommand.class,
            SizeCommand.class,
            FindCommand.class,
            TrainCommand.class,
            TranslateCommand.class,
            ImportCommand.class,
            ShotsCommand.class
        },
        mixinStandardHelpOptions = true,
        version = "Parable 0.1.0")
public final class Main implements Runnable {

    private static final int USERS_FAULT = 2;
    private static final int UNFORESEEN = 3;

    /**
     * Runs a command and leaves with its exit code: 0 if nothing is wrong, 1 if something is, 2 if it was not understood, 3 if Parable itself failed.
     * What needs no parsing is not parsed: setting up the command line costs as much as half the window.
     */
    public static void main(String[] arguments) {
        try {
            if (arguments.length == 0 || List.of(arguments).equals(List.of("demo"))) {
                new DemoCommand().run();
            } else if (arguments.length == 2 && arguments[0].equals("open") && !arguments[1].startsWith("-")) {
                System.exit(open(arguments[1]));
            } else {
                System.exit(commandLine().execute(arguments));
            }
        } catch (RuntimeException | Error unforeseen) {
            System.err.println(FailureNote.words(unforeseen));
            System.exit(UNFORESEEN);
        }
    }

    private static int open(String file) {
        try {
            OpenCommand.open(Path.of(file));
            return 0;
        } catch (UsersFaultException fault) {
            System.err.println(fault.getMessage());
            return USERS_FAULT;
        }
    }

    /** The command line as it is set up, for tests too. */
    static CommandLine commandLine() {
        return new CommandLine(new Main()).setExecutionExceptionHandler((failure, command, parsed) -> {
            if (failure instanceof UsersFaultException fault) {
                command.getErr().println(fault.getMessage());
                return USERS_FAULT;
            }
            command.getErr().println(FailureNote.words(failure));
            return UNFORESEEN;
        });
    }

    @Override
    public void run() {
        new DemoCommand().run();
    }
}
