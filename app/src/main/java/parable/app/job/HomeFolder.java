package parable.app.job;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import parable.files.RecentJobs;

/** The folder in which Parable keeps what belongs to no job: unsaved work, and which jobs were opened lately. */
public final class HomeFolder {

    /** The property that says where it is; without it in the user's home folder. */
    public static final String PROPERTY = "parable.journal";

    private HomeFolder() {}

    /** Where it is; it need not be there yet. */
    public static Path path() {
        return Optional.ofNullable(System.getProperty(PROPERTY)).map(Path::of).orElseGet(() -> home().resolve(
                        ".parable"));
    }

    /** The home folder; without one, as it is with some services and containers, where the program was started. */
    private static Path home() {
        Path home = Path.of(System.getProperty("user.home", ""));
        return home.isAbsolute() ? home : Path.of("").toAbsolutePath();
    }

    /** Whether something happens for the first time here, and makes a note that it did. Where no note can be made it is never the first time. */
    public static boolean isFirst(String what) {
        try {
            Files.createDirectories(path());
            Files.createFile(path().resolve(what));
            return true;
        } catch (IOException there) {
            return false;
        }
    }

    /** The jobs that were opened lately. */
    public static RecentJobs recent() {
        return new RecentJobs(path());
    }
}
