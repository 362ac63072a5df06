package parable.files;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.channels.OverlappingFileLockException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.Optional;

/** The right to save a job's file, which one window at a time has. It ends with the process, however that ends. */
public final class Claim implements AutoCloseable {

    private final Path lock;
    private final FileChannel channel;

    private Claim(Path lock, FileChannel channel) {
        this.lock = lock;
        this.channel = channel;
    }

    /** Claims a file; empty if another window has it, or if the folder lets nobody write there. */
    public static Optional<Claim> on(Path file) {
        Path absolute = file.toAbsolutePath();
        Path lock = absolute.resolveSibling("." + absolute.getFileName() + ".open");
        try {
            FileChannel channel = FileChannel.open(lock, StandardOpenOption.CREATE, StandardOpenOption.WRITE);
            try {
                if (channel.tryLock() != null) {
                    return Optional.of(new Claim(lock, channel));
                }
            } catch (OverlappingFileLockException sameProcess) {
                channel.close();
                return Optional.empty();
            }
            channel.close();
            return Optional.empty();
        } catch (IOException unwritable) {
            return Optional.empty();
        }
    }

    /** Gives the file back. */
    @Override
    public void close() throws IOException {
        channel.close();
        Files.deleteIfExists(lock);
    }
}
