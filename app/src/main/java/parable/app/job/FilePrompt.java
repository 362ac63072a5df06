package parable.app.job;

import java.nio.file.Path;
import java.util.Optional;

/** Asks the user for a file or a name. */
public interface FilePrompt {

    /** A file to open, empty if the user thinks better of it. */
    Optional<Path> toOpen();

    /** A file to save to, empty if the user thinks better of it. */
    Optional<Path> toSave(String suggestedName);

    /**
     * A file to write something else than a job to, empty if the user thinks better of it.
     *
     * @param what is written, such as {@code Write the drawing to}
     */
    Optional<Path> toWrite(String what, String suggestedName);

    /**
     * A file to read that is no job, empty if the user thinks better of it.
     *
     * @param what is read, such as {@code Import a program}
     */
    Optional<Path> toRead(String what);

    /** A name, empty if the user thinks better of it. */
    Optional<String> toName(String what, String present);
}
