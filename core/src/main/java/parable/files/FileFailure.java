package parable.files;

import java.io.IOException;
import java.nio.file.AccessDeniedException;
import java.nio.file.FileSystemException;
import java.nio.file.NoSuchFileException;
import java.util.Optional;

/** Why a file could not be read or written, as one would say it. */
public final class FileFailure {

    private FileFailure() {}

    /** The reason, without the name of the file and without a full stop. */
    public static String words(IOException failure) {
        if (failure instanceof NoSuchFileException) {
            return "there is no such file or folder";
        }
        if (failure instanceof AccessDeniedException) {
            return "you have no permission there";
        }
        if (failure instanceof FileSystemException trouble && trouble.getReason() != null) {
            return trouble.getReason().contains("Read-only") ? "that disk can only be read" : trouble.getReason();
        }
        return Optional.ofNullable(failure.getMessage()).orElse("no reason is given");
    }
}
