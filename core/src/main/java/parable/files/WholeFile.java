package parable.files;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;

/** Files that are there whole or not at all. */
public final class WholeFile {

    private WholeFile() {}

    /**
     * Writes a file. It takes the place of one that is there in one step, when all of it is on the disk; after a failure the old one is as it was.
     * What is no ordinary file, such as a device, is written to directly.
     *
     * @throws IOException if it could not be written
     */
    public static void write(Path file, byte[] content) throws IOException {
        if (Files.exists(file) && !Files.isRegularFile(file)) {
            Files.write(file, content);
            return;
        }
        Path target = Files.exists(file) ? file.toRealPath() : file.toAbsolutePath();
        Path fresh = fresh(target);
        try {
            writeThrough(fresh, content);
            Files.move(fresh, target, StandardCopyOption.ATOMIC_MOVE);
        } finally {
            Files.deleteIfExists(fresh);
        }
    }

    /** What stands in for a file until it is written. */
    static Path fresh(Path target) {
        return target.resolveSibling("." + target.getFileName() + ".new");
    }

    static void writeThrough(Path file, byte[] content) throws IOException {
        try (FileChannel channel = FileChannel.open(
                file, StandardOpenOption.CREATE, StandardOpenOption.TRUNCATE_EXISTING, StandardOpenOption.WRITE)) {
            ByteBuffer bytes = ByteBuffer.wrap(content);
            while (bytes.hasRemaining()) {
                channel.write(bytes);
            }
            channel.force(true);
        }
    }
}
