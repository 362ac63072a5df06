package parable.training;

import java.util.Objects;

/**
 * Something to be learnt from.
 *
 * @param id unique among the tasks: {@code star-delta-3}
 * @param course what it belongs to: {@code star-delta}
 * @param title in a few words
 * @param sheet the name of the sheet of the library that it is about
 * @param detail what is hidden, done or asked, as its kind has it
 */
public record Task(String id, String course, TaskKind kind, String title, String sheet, String detail) {

    public Task {
        Objects.requireNonNull(id, "id");
        Objects.requireNonNull(course, "course");
        Objects.requireNonNull(kind, "kind");
        Objects.requireNonNull(title, "title");
        Objects.requireNonNull(sheet, "sheet");
        Objects.requireNonNull(detail, "detail");
    }
}
