package parable.files;

import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;

/** What is said of a failure that nobody foresaw: words for whoever is at work, and a file for whoever mends the program. */
public final class FailureNote {

    private FailureNote() {}

    /** What went wrong, in words. */
    public static String words(Throwable failure) {
        Throwable first = failure;
        while (first.getCause() != null && !(first instanceof Error)) {
            first = first.getCause();
        }
        if (first instanceof OutOfMemoryError) {
            return "There is not enough memory for this.";
        }
        if (first instanceof StackOverflowError) {
            return "This is nested too deep.";
        }
        return "Something went wrong inside Parable that should not have."
                + written(failure)
                        .map(file -> " What it was is in " + file + ".")
                        .orElse("");
    }

    private static Optional<Path> written(Throwable failure) {
        StringWriter trace = new StringWriter();
        failure.printStackTrace(new PrintWriter(trace, true));
        try {
            Path file = Files.createTempFile("parable-failure-", ".txt");
            Files.write(file, trace.toString().getBytes(StandardCharsets.UTF_8));
            return Optional.of(file);
        } catch (IOException nowhere) {
            return Optional.empty();
        }
    }
}
