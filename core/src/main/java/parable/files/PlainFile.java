package parable.files;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.Channels;
import java.nio.channels.ReadableByteChannel;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.nio.file.FileSystemException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.BasicFileAttributes;

/** Reads ordinary files of a size that a job can have; a device or a pipe might never end. */
public final class PlainFile {

    /** The most bytes that are read of a file. */
    static final long LARGEST = 32L << 20;

    private static final char MARK = '\uFEFF';

    private PlainFile() {}

    /**
     * The content of a file.
     *
     * @throws IOException if it cannot be read, if it is no ordinary file, or if it is larger than 32 MB
     */
    public static byte[] bytes(Path file) throws IOException {
        BasicFileAttributes found = Files.readAttributes(file, BasicFileAttributes.class);
        if (!found.isRegularFile()) {
            throw new FileSystemException(
                    file.toString(), null, found.isDirectory() ? "it is a folder" : "it is no ordinary file");
        }
        refuseLarger(file, found.size());
        try (ReadableByteChannel channel = Files.newByteChannel(file)) {
            byte[] read = Channels.newInputStream(channel).readNBytes((int) LARGEST + 1);
            refuseLarger(file, read.length);
            return read;
        }
    }

    /** Refuses a size, in bytes, that no file of ours has. */
    static void refuseLarger(Path file, long size) throws IOException {
        if (size > LARGEST) {
            throw new FileSystemException(
                    file.toString(),
                    null,
                    "it has " + (size >> 20) + " MB, and at most " + (LARGEST >> 20) + " are read");
        }
    }

    /**
     * The text of a file in UTF-8, without the byte order mark that some editors put in front.
     *
     * @throws CharacterCodingException if it is not UTF-8
     * @throws IOException as {@link #bytes}
     */
    public static String text(Path file) throws IOException {
        return text(bytes(file));
    }

    static String text(byte[] bytes) throws CharacterCodingException {
        String text = StandardCharsets.UTF_8
                .newDecoder()
                .decode(ByteBuffer.wrap(bytes))
                .toString();
        return !text.isEmpty() && text.charAt(0) == MARK ? text.substring(1) : text;
    }
}
