package parable.files;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import parable.circuit.Job;

/**
 * Keeps unsaved work in a folder of its own, so that a kill or a power cut loses at most what was done since the last entry.
 * Each process writes its own entry; one whose process is gone can be recovered by another.
 */
public final class Journal {

    private static final String BEGIN = "unsaved-";
    private static final String OF = ".of";

    private final Path folder;
    private final long process;

    /** The journal of this process in a folder, which need not exist yet. */
    public Journal(Path folder) {
        this(folder, ProcessHandle.current().pid());
    }

    Journal(Path folder, long process) {
        this.folder = folder;
        this.process = process;
    }

    /**
     * Work that was not saved.
     *
     * @param job the job as it was at the last entry
     * @param file the file it belongs to, empty if it never had one
     * @param entry where it is kept
     */
    public record Unsaved(Job job, Optional<Path> file, Path entry) {}

    private Path entry() {
        return folder.resolve(BEGIN + process + JobFile.ENDING);
    }

    /**
     * Keeps the present state of a job in the place of what was kept before.
     *
     * @throws IOException if it could not be written; what was kept before is as it was
     */
    public void keep(Job job, Optional<Path> file) throws IOException {
        Files.createDirectories(folder);
        Path fresh = folder.resolve(BEGIN + process + ".new");
        Files.writeString(fresh, JobFile.text(job));
        Files.writeString(
                beside(entry()),
                file.map(Path::toAbsolutePath).map(Path::toString).orElse(""));
        Files.move(fresh, entry(), StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
    }

    private static Path beside(Path entry) {
        return entry.resolveSibling(entry.getFileName() + OF);
    }

    /**
     * Forgets what this process has kept.
     *
     * @throws IOException if it could not be removed
     */
    public void clear() throws IOException {
        discard(entry());
    }

    /**
     * Forgets what was kept.
     *
     * @throws IOException if it could not be removed
     */
    public void discard(Path entry) throws IOException {
        Files.deleteIfExists(entry);
        Files.deleteIfExists(beside(entry));
    }

    /**
     * The work of a process that is gone, the latest if there is more than one; empty if there is none that can be read.
     *
     * @throws IOException if the folder cannot be read
     */
    public Optional<Unsaved> leftBehind() throws IOException {
        if (!Files.isDirectory(folder)) {
            return Optional.empty();
        }
        List<Path> entries;
        try (Stream<Path> files = Files.list(folder)) {
            entries = files.filter(this::isLeftBehind).toList();
        }
        Optional<Path> latest = Optional.empty();
        for (Path candidate : entries) {
            if (latest.isEmpty()
                    || Files.getLastModifiedTime(candidate).compareTo(Files.getLastModifiedTime(latest.get())) > 0) {
                latest = Optional.of(candidate);
            }
        }
        return latest.isPresent() ? read(latest.get()) : Optional.empty();
    }

    private boolean isLeftBehind(Path file) {
        String name = file.getFileName().toString();
        if (!name.matches(BEGIN + "\\d+" + JobFile.ENDING.replace(".", "\\."))) {
            return false;
        }
        long owner = Long.parseLong(name.substring(BEGIN.length(), name.length() - JobFile.ENDING.length()));
        return owner != process && ProcessHandle.of(owner).isEmpty();
    }

    private static Optional<Unsaved> read(Path entry) throws IOException {
        try {
            Job job = JobFile.open(entry);
            return Optional.of(new Unsaved(job, fileOf(entry), entry));
        } catch (JobFormatException brokenOff) {
            return Optional.empty();
        }
    }

    private static Optional<Path> fileOf(Path entry) throws IOException {
        try {
            String path = Files.readString(beside(entry), StandardCharsets.UTF_8);
            return path.isBlank() ? Optional.empty() : Optional.of(Path.of(path));
        } catch (NoSuchFileException notSaid) {
            return Optional.empty();
        }
    }
}
