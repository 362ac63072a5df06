package parable.files;

import com.fasterxml.jackson.databind.node.TextNode;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.NotDirectoryException;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.nio.file.attribute.PosixFileAttributeView;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import parable.circuit.Extras;
import parable.circuit.Job;

/**
 * Keeps unsaved work in a folder of its own, so that a kill or a power cut loses at most what was done since the last entry. Each window writes an entry of
 * its own, under a name that no other ever has, and holds a lock beside it that ends with its process; an entry that nobody holds can be recovered.
 * Entries are job files, with two further fields that say what file they belong to.
 */
public final class Journal {

    private static final String BEGIN = "unsaved-";
    private static final String LOCK = ".lock";
    private static final Pattern ENTRY = Pattern.compile(BEGIN + "([-0-9a-f]+)" + Pattern.quote(JobFile.ENDING));
    private static final Pattern REST = Pattern.compile(
            "\\." + BEGIN + "([-0-9a-f]+)" + Pattern.quote(JobFile.ENDING) + "\\.[0-9a-f]+\\.(new|kept)");
    private static final String FILE = "unsaved-work-of";
    private static final String KNOWN = "unsaved-work-on";
    private static final String ASIDE = "set-aside";

    /** So often a name is tried: another window that tidies up may take a lock away before it is held. */
    private static final int TRIES = 8;

    private final Path folder;
    private Optional<Mine> mine = Optional.empty();
    private final List<FileClaim> held = new ArrayList<>();

    /** The entry of this window. */
    private record Mine(Path entry, FileClaim lock) {}

    /** The journal of one window in a folder, which need not exist yet. */
    public Journal(Path folder) {
        this.folder = folder;
    }

    /**
     * What is to be kept, or was.
     *
     * @param job the job as it was last
     * @param file the file it belongs to, empty if it never had one
     * @param known the fingerprint of what that file held when it was last read or written here, empty if it was not
     */
    public record Work(Job job, Optional<Path> file, Optional<String> known) {}

    /**
     * Work that was not saved.
     *
     * @param work the work
     * @param at when it was kept
     * @param entry where it is kept
     */
    public record Unsaved(Work work, FileTime at, Path entry) {}

    /**
     * What was found in the folder.
     *
     * @param work that can be recovered, the newest first
     * @param aside what could not be read, a sentence each
     */
    public record Finds(List<Unsaved> work, List<String> aside) {}

    /**
     * Keeps the present state of a job in the place of what was kept before, and sees to it that it is on the disk.
     *
     * @throws IOException if it could not be written; what was kept before is as it was
     */
    public void keep(Work work) throws IOException {
        if (mine.isEmpty()) {
            mine = Optional.of(begin());
        }
        Map<String, String> fields = new LinkedHashMap<>(work.job().extras().fields());
        work.file()
                .ifPresent(file -> fields.put(FILE, quoted(file.toAbsolutePath().toString())));
        work.known().ifPresent(fingerprint -> fields.put(KNOWN, quoted(fingerprint)));
        Job marked = work.job().with(new Extras(fields));
        WholeFile.replaceSecretly(mine.get().entry(), JobFile.text(marked).getBytes(StandardCharsets.UTF_8));
    }

    private static String quoted(String text) {
        return Surrogates.escaped(TextNode.valueOf(text).toString());
    }

    /** An entry of a name that is new, locked before it is there, readable by nobody else. */
    private Mine begin() throws IOException {
        Files.createDirectories(folder);
        PosixFileAttributeView view = Files.getFileAttributeView(folder, PosixFileAttributeView.class);
        if (view != null) {
            view.setPermissions(PosixFilePermissions.fromString("rwx------"));
        }
        for (int i = 0; i < TRIES; i++) {
            Path entry = folder.resolve(BEGIN + UUID.randomUUID() + JobFile.ENDING);
            Optional<FileClaim> lock = FileClaim.locked(lockOf(entry));
            if (lock.isPresent()) {
                return new Mine(entry, lock.get());
            }
        }
        throw new IOException("no lock of an entry could be had");
    }

    private static Path lockOf(Path entry) {
        return entry.resolveSibling(entry.getFileName() + LOCK);
    }

    /**
     * Forgets what this window has kept.
     *
     * @throws IOException if it could not be removed
     */
    public void clear() throws IOException {
        if (mine.isPresent()) {
            Mine gone = mine.get();
            mine = Optional.empty();
            Files.deleteIfExists(gone.entry());
            gone.lock().close();
        }
    }

    /**
     * Leaves what this window has kept to the next one, and begins a new entry with the next that is kept.
     *
     * @throws IOException if its lock cannot be taken away; it ends with the process then
     */
    public void leave() throws IOException {
        if (mine.isPresent()) {
            Mine left = mine.get();
            mine = Optional.empty();
            left.lock().close();
        }
    }

    /**
     * Forgets what was left behind.
     *
     * @throws IOException if it could not be removed
     */
    public void discard(Path entry) throws IOException {
        Files.deleteIfExists(entry);
        for (FileClaim lock : List.copyOf(held)) {
            if (lock.isOn(lockOf(entry))) {
                held.remove(lock);
                lock.close();
            }
        }
    }

    /**
     * The work of windows that are gone. Until {@link #release} nobody else finds it. What cannot be read is put into a folder of its own; nothing that lies
     * there makes this fail.
     *
     * @throws IOException if the folder cannot be listed
     */
    public Finds leftBehind() throws IOException {
        if (!Files.exists(folder)) {
            return new Finds(List.of(), List.of());
        }
        if (!Files.isDirectory(folder)) {
            throw new NotDirectoryException(folder.toString());
        }
        List<Path> entries = new ArrayList<>();
        List<Path> rests = new ArrayList<>();
        List<Path> locks = new ArrayList<>();
        try (Stream<Path> files = Files.list(folder)) {
            files.forEach(file -> {
                String name = file.getFileName().toString();
                if (ENTRY.matcher(name).matches()) {
                    entries.add(file);
                } else if (name.endsWith(LOCK)
                        && ENTRY.matcher(name.substring(0, name.length() - LOCK.length()))
                                .matches()) {
                    locks.add(file);
                } else if (REST.matcher(name).matches()) {
                    rests.add(file);
                }
            });
        }
        List<Unsaved> work = new ArrayList<>();
        List<String> aside = new ArrayList<>();
        for (Path entry : entries) {
            if (take(entry)) {
                look(entry, work, aside);
            }
        }
        locks.forEach(this::unlock);
        rests.forEach(this::sweep);
        work.sort(Comparator.comparing(Unsaved::at).reversed());
        return new Finds(List.copyOf(work), List.copyOf(aside));
    }

    /** Locks an entry of a window that is gone; returns false for one whose window is still there. */
    private boolean take(Path entry) {
        try {
            Optional<FileClaim> lock = FileClaim.locked(lockOf(entry));
            lock.ifPresent(held::add);
            return lock.isPresent();
        } catch (IOException unlockable) {
            return true;
        }
    }

    private void look(Path entry, List<Unsaved> work, List<String> aside) {
        try {
            work.add(new Unsaved(unmarked(JobFile.open(entry)), Files.getLastModifiedTime(entry), entry));
        } catch (JobFormatException | IOException broken) {
            String why = broken instanceof IOException failure ? FileFailure.words(failure) : broken.getMessage();
            aside.add("An entry of the journal cannot be read (" + why + "). " + setAside(entry));
        }
    }

    private String setAside(Path entry) {
        try {
            Path there = Files.createDirectories(folder.resolve(ASIDE)).resolve(entry.getFileName());
            Files.move(entry, there);
            return "It is set aside in " + there + ".";
        } catch (IOException stays) {
            return "It stays where it is: " + entry + ".";
        }
    }

    private static Work unmarked(Job job) {
        Map<String, String> fields = new LinkedHashMap<>(job.extras().fields());
        Optional<Path> file = Optional.ofNullable(fields.remove(FILE))
                .flatMap(Journal::unquoted)
                .flatMap(Journal::path);
        Optional<String> known = Optional.ofNullable(fields.remove(KNOWN)).flatMap(Journal::unquoted);
        return new Work(job.with(new Extras(fields)), file, known);
    }

    private static Optional<String> unquoted(String json) {
        try {
            return Optional.of(JsonText.read(json).textOrNothing());
        } catch (JobFormatException noText) {
            return Optional.empty();
        }
    }

    private static Optional<Path> path(String text) {
        try {
            return Optional.of(Path.of(text));
        } catch (InvalidPathException notHere) {
            return Optional.empty();
        }
    }

    /** Takes away what a window that was killed in the middle of writing has left, if no window is at it. */
    private void sweep(Path rest) {
        Matcher name = REST.matcher(rest.getFileName().toString());
        Path entry = folder.resolve(BEGIN + (name.matches() ? name.group(1) : "") + JobFile.ENDING);
        if (!Files.exists(lockOf(entry)) || held.stream().anyMatch(lock -> lock.isOn(lockOf(entry)))) {
            try {
                Files.deleteIfExists(rest);
            } catch (IOException stays) {
                return;
            }
        }
    }

    /** Takes a lock away whose entry is gone, if nobody holds it. */
    private void unlock(Path lock) {
        String name = lock.getFileName().toString();
        if (Files.exists(lock.resolveSibling(name.substring(0, name.length() - LOCK.length())))) {
            return;
        }
        try {
            Optional<FileClaim> free = FileClaim.locked(lock);
            if (free.isPresent()) {
                free.get().close();
            }
        } catch (IOException stays) {
            return;
        }
    }

    /** Lets other windows find what this one was offered and has not discarded. */
    public void release() {
        held.forEach(lock -> {
            try {
                lock.close();
            } catch (IOException stays) {
                return;
            }
        });
        held.clear();
    }
}
