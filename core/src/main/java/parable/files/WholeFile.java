package parable.files;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.PosixFileAttributeView;
import java.nio.file.attribute.PosixFilePermission;
import java.nio.file.attribute.PosixFilePermissions;
import java.security.SecureRandom;
import java.util.HexFormat;
import java.util.Optional;
import java.util.Set;

/** Files that are there whole or not at all. */
public final class WholeFile {

    private static final SecureRandom RANDOM = new SecureRandom();
    private static final int RANDOM_BYTES = 8;

    private WholeFile() {}

    /**
     * Writes a file. It takes the place of one that is there in one step, when all of it is on the disk, and has its permissions; after a failure the old one
     * is as it was. What is no ordinary file, such as a device, is written to directly.
     *
     * @throws IOException if it could not be written
     */
    public static void write(Path file, byte[] content) throws IOException {
        if (Files.exists(file) && !Files.isRegularFile(file)) {
            Files.write(file, content);
            return;
        }
        replace(target(file), content, Optional.empty());
    }

    /** Where a file really is, links followed. */
    static Path target(Path file) throws IOException {
        return Files.exists(file) ? file.toRealPath() : file.toAbsolutePath();
    }

    /**
     * Puts a file in the place of another in one step.
     *
     * @param previous where the one that is replaced is kept, if it is to be
     */
    static void replace(Path target, byte[] content, Optional<Path> previous) throws IOException {
        Path fresh = beside(target, ".new");
        Path kept = beside(target, ".kept");
        try {
            boolean replaces = Files.exists(target);
            writeThrough(fresh, content, replaces ? permissions(target) : Optional.empty());
            if (replaces && previous.isPresent()) {
                Files.copy(target, kept, StandardCopyOption.COPY_ATTRIBUTES);
                Files.move(kept, previous.get(), StandardCopyOption.ATOMIC_MOVE);
            }
            Files.move(fresh, target, StandardCopyOption.ATOMIC_MOVE);
            forceFolder(target);
        } finally {
            Files.deleteIfExists(fresh);
            Files.deleteIfExists(kept);
        }
    }

    /** Puts a file that nobody else may read in the place of another in one step. */
    static void replaceSecretly(Path target, byte[] content) throws IOException {
        Path fresh = beside(target, ".new");
        try {
            writeThrough(fresh, content, Optional.of(PosixFilePermissions.fromString("rw-------")));
            Files.move(fresh, target, StandardCopyOption.ATOMIC_MOVE);
            forceFolder(target);
        } finally {
            Files.deleteIfExists(fresh);
        }
    }

    /** A name beside a file that nobody can guess, hidden where names with a dot are. */
    static Path beside(Path target, String ending) {
        byte[] random = new byte[RANDOM_BYTES];
        RANDOM.nextBytes(random);
        return target.resolveSibling(
                "." + target.getFileName() + "." + HexFormat.of().formatHex(random) + ending);
    }

    private static Optional<Set<PosixFilePermission>> permissions(Path file) throws IOException {
        PosixFileAttributeView view = Files.getFileAttributeView(file, PosixFileAttributeView.class);
        return view == null
                ? Optional.empty()
                : Optional.of(view.readAttributes().permissions());
    }

    /** Makes a file, which must not be there, and sees to it that it is on the disk. */
    static void writeThrough(Path file, byte[] content) throws IOException {
        writeThrough(file, content, Optional.empty());
    }

    /**
     * The same with permissions that it has before anything can be read of it.
     *
     * @param permissions none where the system has none, or for what is usual
     */
    private static void writeThrough(Path file, byte[] content, Optional<Set<PosixFilePermission>> permissions)
            throws IOException {
        try (FileChannel channel = FileChannel.open(file, StandardOpenOption.CREATE_NEW, StandardOpenOption.WRITE)) {
            PosixFileAttributeView view = Files.getFileAttributeView(file, PosixFileAttributeView.class);
            if (permissions.isPresent() && view != null) {
                view.setPermissions(permissions.get());
            }
            ByteBuffer bytes = ByteBuffer.wrap(content);
            while (bytes.hasRemaining()) {
                channel.write(bytes);
            }
            channel.force(true);
        }
    }

    /** Sees to it that the name is on the disk too, where the system can do that. */
    private static void forceFolder(Path file) {
        try (FileChannel folder = FileChannel.open(file.getParent(), StandardOpenOption.READ)) {
            folder.force(true);
        } catch (IOException notHere) {
            return;
        }
    }
}
