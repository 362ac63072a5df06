package parable.files;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import parable.circuit.Job;

/** A job on disk: one UTF-8 JSON file. Its format is published in {@code docs/job-file.schema.json}. */
public final class JobFile {

    /** The ending of a job file's name. */
    public static final String ENDING = ".parable.json";

    /** The ending added to the name of the version that a save replaced. */
    public static final String PREVIOUS = ".previous";

    private static final long LARGEST = 32L << 20;

    private JobFile() {}

    /**
     * Opens a job, wholly or not at all.
     *
     * @throws IOException if the file cannot be read
     * @throws JobFormatException if it is not a job
     */
    public static Job open(Path file) throws IOException, JobFormatException {
        long size = Files.size(file);
        if (size > LARGEST) {
            throw new JobFormatException(
                    1, "", (size >> 20) + " MB", "a job file, which is text of at most " + (LARGEST >> 20) + " MB");
        }
        try {
            return read(StandardCharsets.UTF_8
                    .newDecoder()
                    .decode(ByteBuffer.wrap(Files.readAllBytes(file)))
                    .toString());
        } catch (CharacterCodingException notText) {
            throw new JobFormatException(1, "", "bytes that are not UTF-8", "a text file in UTF-8");
        }
    }

    /**
     * The job that the text of a file says.
     *
     * @throws JobFormatException if it says none
     */
    public static Job read(String text) throws JobFormatException {
        return JobReader.read(text);
    }

    /** The text of the file that says this job. */
    public static String text(Job job) {
        return JobWriter.write(job);
    }

    /**
     * Saves a job. The new file takes the place of the old one in one step; the old one is kept beside it with {@link
     * #PREVIOUS} added to its name. After a failure the old file is as it was.
     *
     * @throws IOException if it could not be written
     */
    public static void save(Job job, Path file) throws IOException {
        Path target = Files.exists(file) ? file.toRealPath() : file.toAbsolutePath();
        Path fresh = WholeFile.fresh(target);
        try {
            WholeFile.writeThrough(fresh, text(job).getBytes(StandardCharsets.UTF_8));
            if (Files.exists(target)) {
                Path kept = target.resolveSibling("." + target.getFileName() + ".kept");
                Files.copy(target, kept, StandardCopyOption.REPLACE_EXISTING, StandardCopyOption.COPY_ATTRIBUTES);
                Files.move(
                        kept, target.resolveSibling(target.getFileName() + PREVIOUS), StandardCopyOption.ATOMIC_MOVE);
            }
            Files.move(fresh, target, StandardCopyOption.ATOMIC_MOVE);
        } finally {
            Files.deleteIfExists(fresh);
        }
    }
}
