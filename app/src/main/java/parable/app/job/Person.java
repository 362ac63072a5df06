package parable.app.job;

import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import javafx.beans.property.SimpleStringProperty;
import javafx.beans.property.StringProperty;

/** Who works at the window; what they find and enter bears their name. */
public final class Person {

    private final StringProperty name = new SimpleStringProperty("");

    /** The name as it was typed last; empty until somebody has. */
    public StringProperty nameProperty() {
        return name;
    }

    /** The name without blanks around it. */
    public String name() {
        return name.get().strip();
    }

    /** The present time to the minute, as it stands beside what was found: {@code 2026-11-26 14:05}. */
    public static String now() {
        return LocalDateTime.now().format(DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm"));
    }

    /** The present time to the second, as it stands in a logbook. */
    public static String instant() {
        return LocalDateTime.now().truncatedTo(ChronoUnit.SECONDS).format(DateTimeFormatter.ISO_LOCAL_DATE_TIME);
    }
}
