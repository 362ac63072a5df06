package parable.files;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.BasicFileAttributes;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;

/**
 * The right to save a job's file, which one window at a time has. It ends with the process, however that ends.
 *
 * <p>On Unix a process loses its lock of a file when it closes <em>any</em> channel or stream on it (POSIX.1, fcntl). So a lock that is held is never opened
 * a second time by this process: that it is still the file of its name is seen by its inode.
 */
public final class FileClaim implements AutoCloseable {

    /** So often it is tried: its last holder may take the lock away while it is being opened. */
    private static final int TRIES = 20;

    /** What this process holds, by the true names. */
    private static final Set<Path> HELD = ConcurrentHashMap.newKeySet();

    private final Path lock;
    private final Path trueName;
    private final FileChannel channel;

    private FileClaim(Path lock, Path trueName, FileChannel channel) {
        this.lock = lock;
        this.trueName = trueName;
        this.channel = channel;
    }

    /** Claims a file, links to it followed; empty if another window has it, or if the folder lets nobody write there. */
    public static Optional<FileClaim> on(Path file) {
        try {
            Path target = WholeFile.target(file);
            return locked(target.resolveSibling("." + target.getFileName() + ".open"));
        } catch (IOException unwritable) {
            return Optional.empty();
        }
    }

    /**
     * Locks a file that is made for it, and taken away with the lock; empty if it is locked already.
     *
     * @throws IOException if it cannot be made; a link in its place is not followed
     */
    static Optional<FileClaim> locked(Path lock) throws IOException {
        Path absolute = lock.toAbsolutePath();
        Path trueName = absolute.getParent().toRealPath().resolve(absolute.getFileName());
        if (!HELD.add(trueName)) {
            return Optional.empty();
        }
        Optional<FileClaim> claimed = Optional.empty();
        try {
            claimed = lockedChannel(lock).map(channel -> new FileClaim(lock, trueName, channel));
            return claimed;
        } finally {
            if (claimed.isEmpty()) {
                HELD.remove(trueName);
            }
        }
    }

    private static Optional<FileChannel> lockedChannel(Path lock) throws IOException {
        for (int i = 0; i < TRIES; i++) {
            create(lock);
            Optional<Object> made = inode(lock);
            Optional<FileChannel> opened = opened(lock);
            if (opened.isEmpty()) {
                continue;
            }
            FileChannel channel = opened.get();
            boolean held = false;
            try {
                boolean same = made.isPresent() && made.equals(inode(lock));
                boolean free = channel.tryLock() != null;
                if (!free && same) {
                    return Optional.empty();
                }
                if (free && same && made.equals(inode(lock))) {
                    held = true;
                    sign(channel);
                    return opened;
                }
            } finally {
                if (!held) {
                    channel.close();
                }
            }
        }
        return Optional.empty();
    }

    private static void create(Path lock) throws IOException {
        try {
            Files.createFile(lock);
        } catch (FileAlreadyExistsException there) {
            return;
        }
    }

    private static Optional<FileChannel> opened(Path lock) throws IOException {
        try {
            return Optional.of(FileChannel.open(lock, StandardOpenOption.WRITE, LinkOption.NOFOLLOW_LINKS));
        } catch (NoSuchFileException takenAway) {
            return Optional.empty();
        }
    }

    /** What tells a file from the next of its name, without opening it; empty if there is none. */
    private static Optional<Object> inode(Path lock) throws IOException {
        try {
            BasicFileAttributes attributes =
                    Files.readAttributes(lock, BasicFileAttributes.class, LinkOption.NOFOLLOW_LINKS);
            return Optional.of(Optional.ofNullable(attributes.fileKey()).orElseGet(attributes::creationTime));
        } catch (NoSuchFileException takenAway) {
            return Optional.empty();
        }
    }

    /** For who finds the file and wonders. */
    private static void sign(FileChannel channel) throws IOException {
        channel.truncate(0);
        channel.write(ByteBuffer.wrap(
                ("Open in Parable, process " + ProcessHandle.current().pid() + "\n")
                        .getBytes(StandardCharsets.US_ASCII)));
    }

    /** Whether this is the file that is locked. */
    boolean isOn(Path file) {
        return lock.equals(file);
    }

    /** Gives the file back. */
    @Override
    public void close() throws IOException {
        try {
            Files.deleteIfExists(lock);
        } finally {
            channel.close();
            HELD.remove(trueName);
        }
    }
}
