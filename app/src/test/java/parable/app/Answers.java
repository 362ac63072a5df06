package parable.app;

import java.nio.file.Path;
import java.util.Optional;
import parable.app.job.FilePrompt;

/** Somebody who answers every question of the window as a test wants; without an answer, by giving up. */
final class Answers implements FilePrompt {

    private Optional<Path> folder = Optional.empty();
    private Optional<Path> opens = Optional.empty();
    private Optional<Path> saves = Optional.empty();
    private Optional<Path> reads = Optional.empty();
    private Optional<String> name = Optional.empty();

    /** Writes whatever is exported into a folder, under the name that is suggested. */
    Answers into(Path where) {
        folder = Optional.of(where);
        return this;
    }

    /** Opens, and saves to, a file. */
    Answers file(Optional<Path> file) {
        opens = file;
        saves = file;
        return this;
    }

    /** Imports a file. */
    Answers reading(Path file) {
        reads = Optional.of(file);
        return this;
    }

    /** Types a name wherever one is asked for. */
    Answers named(String words) {
        name = Optional.of(words);
        return this;
    }

    @Override
    public Optional<Path> toOpen() {
        return opens;
    }

    @Override
    public Optional<Path> toSave(String suggestedName) {
        return saves;
    }

    @Override
    public Optional<Path> toWrite(String what, String suggestedName) {
        return folder.map(where -> where.resolve(suggestedName));
    }

    @Override
    public Optional<Path> toRead(String what) {
        return reads;
    }

    @Override
    public Optional<String> toName(String what, String present) {
        return name;
    }
}
