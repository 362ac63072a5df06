package parable.files;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.channels.OverlappingFileLockException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.Arrays;
import java.util.Optional;
import java.util.UUID;

/** The right to save a job's file, which one window at a time has. It ends with the process, however that ends. */
public final class FileClaim implements AutoCloseable {

    private final Path lock;
    private final FileChannel channel;

    private FileClaim(Path lock, FileChannel channel) {
        this.lock = lock;
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
     * Locks a file that is made for it, and taken away with the lock.
     *
     * @throws IOException if it cannot be made; a link in its place is not followed
     */
    static Optional<FileClaim> locked(Path lock) throws IOException {
        FileChannel channel =
                FileChannel.open(lock, StandardOpenOption.CREATE, StandardOpenOption.WRITE, LinkOption.NOFOLLOW_LINKS);
        Optional<FileClaim> claimed = Optional.empty();
        try {
            if (channel.tryLock() != null && isStillThere(lock, channel)) {
                claimed = Optional.of(new FileClaim(lock, channel));
            }
        } catch (OverlappingFileLockException sameProcess) {
            claimed = Optional.empty();
        } finally {
            if (claimed.isEmpty()) {
                channel.close();
            }
        }
        return claimed;
    }

    /** Whether the locked file is the one of that name: its last holder may have taken it away between the opening and the locking. */
    private static boolean isStillThere(Path lock, FileChannel channel) throws IOException {
        byte[] token = UUID.randomUUID().toString().getBytes(StandardCharsets.US_ASCII);
        channel.truncate(0);
        channel.write(ByteBuffer.wrap(token));
        return Files.exists(lock, LinkOption.NOFOLLOW_LINKS) && Arrays.equals(token, Files.readAllBytes(lock));
    }

    /** Whether this is the file that is locked. */
    boolean isOn(Path file) {
        return lock.equals(file);
    }

    /** Gives the file back. */
    @Override
    public void close() throws IOException {
        Files.deleteIfExists(lock);
        channel.close();
    }
}
