package parable.files;

import java.io.IOException;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import parable.circuit.Fingerprint;
import parable.circuit.Job;
import parable.parts.Assembly;

/** A job on disk: one UTF-8 JSON file. Its format is published in {@code docs/job-file.schema.json}. */
public final class JobFile {

    /** The ending of a job file's name. */
    public static final String ENDING = ".parable.json";

    /** The ending added to the name of the version that a save replaced. */
    public static final String PREVIOUS = ".previous";

    private JobFile() {}

    /**
     * A job as it was read from a file.
     *
     * @param read what it says
     * @param fingerprint of the content of the file, by which a later change of it shows
     */
    public record Opened(FittedJob read, String fingerprint) {

        /** The job. */
        public Job job() {
            return read.job();
        }
    }

    /**
     * A job with its sheets fitted out, by which it was found that they can be.
     *
     * @param job the job
     * @param sheets its sheets in their order, by the tables that ship
     */
    public record FittedJob(Job job, List<Assembly> sheets) {

        /** Its sheets cannot be changed. */
        public FittedJob {
            sheets = List.copyOf(sheets);
        }
    }

    /**
     * Opens a job, wholly or not at all.
     *
     * @throws IOException if the file cannot be read
     * @throws JobFormatException if it is not a job
     */
    public static Job open(Path file) throws IOException, JobFormatException {
        return opened(file).job();
    }

    /** Opens a job like {@link #open}, and remembers what the file held. */
    public static Opened opened(Path file) throws IOException, JobFormatException {
        byte[] content = PlainFile.bytes(file);
        try {
            return new Opened(JobReader.read(PlainFile.text(content)), Fingerprint.of(content));
        } catch (CharacterCodingException notText) {
            throw new JobFormatException(1, "", "bytes that are not UTF-8", "a text file in UTF-8");
        }
    }

    /** Whether a file has the name of a job, of its previous version or of its logbook, so that nothing else is to be written there. */
    public static boolean isNameOfJob(Path file) {
        String name = String.valueOf(file.getFileName());
        return name.endsWith(ENDING) || name.endsWith(PREVIOUS) || name.endsWith(LogbookFile.ENDING);
    }

    /**
     * The fingerprint of what a file holds now, empty if there is none.
     *
     * @throws IOException if it cannot be read
     */
    public static Optional<String> fingerprint(Path file) throws IOException {
        return Files.exists(file) ? Optional.of(Fingerprint.of(PlainFile.bytes(file))) : Optional.empty();
    }

    /**
     * The job that the text of a file says.
     *
     * @throws JobFormatException if it says none
     */
    public static Job read(String text) throws JobFormatException {
        return JobReader.read(text).job();
    }

    /** The text of the file that says this job. */
    public static String text(Job job) {
        return JobWriter.write(job);
    }

    /**
     * Saves a job. The new file takes the place of the old one in one step; the old one is kept beside it with {@link
     * #PREVIOUS} added to its name. After a failure the old file is as it was.
     *
     * @return the fingerprint of what the file holds then
     * @throws IOException if it could not be written
     */
    public static String save(Job job, Path file) throws IOException {
        Path target = WholeFile.target(file);
        byte[] content = text(job).getBytes(StandardCharsets.UTF_8);
        WholeFile.replace(target, content, Optional.of(target.resolveSibling(target.getFileName() + PREVIOUS)));
        return Fingerprint.of(content);
    }
}
