package parable.files;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** The job files that were opened or saved lately, the last one first, in a small file of a folder. */
public final class RecentJobs {

    /** So many are kept. */
    public static final int MOST = 8;

    private static final long LONGEST = 64 * 1024;

    private final Path file;

    /**
     * Those of a folder, which is made when there is something to be kept.
     *
     * @param folder where the list is
     */
    public RecentJobs(Path folder) {
        file = folder.resolve("recent");
    }

    /** The files that are still there. A list that cannot be read is an empty one: nothing depends on it. */
    public List<Path> list() {
        return kept().stream().filter(Files::isRegularFile).toList();
    }

    private List<Path> kept() {
        try {
            if (!Files.isRegularFile(file) || Files.size(file) > LONGEST) {
                return List.of();
            }
            return Files.readString(file, StandardCharsets.UTF_8)
                    .lines()
                    .flatMap(line -> path(line).stream())
                    .distinct()
                    .limit(MOST)
                    .toList();
        } catch (IOException unreadable) {
            return List.of();
        }
    }

    private static Optional<Path> path(String line) {
        try {
            Path path = Path.of(line);
            return path.isAbsolute() ? Optional.of(path) : Optional.empty();
        } catch (InvalidPathException nonsense) {
            return Optional.empty();
        }
    }

    /**
     * Puts a file before the others.
     *
     * @throws IOException if the list cannot be written
     */
    public void add(Path job) throws IOException {
        Path whole = job.toAbsolutePath().normalize();
        if (whole.toString().contains("\n")) {
            return;
        }
        List<String> lines = new ArrayList<>();
        Stream.concat(Stream.of(whole), kept().stream())
                .distinct()
                .limit(MOST)
                .forEach(path -> lines.add(path.toString()));
        Files.createDirectories(file.getParent());
        WholeFile.write(file, (String.join("\n", lines) + "\n").getBytes(StandardCharsets.UTF_8));
    }
}
