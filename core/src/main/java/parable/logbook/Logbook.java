package parable.logbook;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeSet;
import parable.logbook.LogEntry.Kind;

/**
 * The entries of a job, oldest first. Nothing in it can be changed: an entry is corrected by a further one. Each entry bears the seal of the one
 * before, so that a change, a gap or an entry taken out shows. That entries were cut off at the end is seen by the seal of the last one, which the job keeps.
 *
 * @param entries in the order in which they were made
 */
public record Logbook(List<LogEntry> entries) {

    /** A logbook without entries. */
    public static final Logbook EMPTY = new Logbook(List.of());

    /** Not modified: the list is copied. */
    public Logbook {
        entries = List.copyOf(entries);
    }

    /**
     * What somebody wants to enter.
     *
     * @param machine the sheet it is about
     * @param revision its circuit
     * @param readings values by what was read
     * @param corrects the number of an entry to be corrected, 0 for none
     */
    public record Draft(
            String by,
            String machine,
            String revision,
            Kind kind,
            String text,
            Map<String, String> readings,
            int corrects) {}

    /** This logbook with one more entry, made at a time such as {@code 2026-11-26T09:15:00}. */
    public Logbook with(Draft draft, String on) {
        String before = entries.isEmpty() ? "" : entries.get(entries.size() - 1).seal();
        LogEntry entry = new LogEntry(
                        entries.size() + 1,
                        on,
                        draft.by(),
                        draft.machine(),
                        draft.revision(),
                        draft.kind(),
                        draft.text(),
                        draft.readings(),
                        draft.corrects(),
                        before,
                        "")
                .sealed();
        List<LogEntry> all = new ArrayList<>(entries);
        all.add(entry);
        return new Logbook(all);
    }

    /**
     * The number of the first entry that is not as it was made, empty if all are.
     *
     * @param last the seal of an entry that must be among them, empty for none; without it the number after the last is given
     */
    public Optional<Integer> tampered(String last) {
        String before = "";
        for (int i = 0; i < entries.size(); i++) {
            LogEntry entry = entries.get(i);
            boolean sound = entry.number() == i + 1
                    && entry.before().equals(before)
                    && entry.seal().equals(entry.rightSeal());
            if (!sound) {
                return Optional.of(i + 1);
            }
            before = entry.seal();
        }
        boolean known = last.isEmpty()
                || entries.stream().anyMatch(entry -> entry.seal().equals(last));
        return known ? Optional.empty() : Optional.of(entries.size() + 1);
    }

    /** The entries about a machine that have every word of a search somewhere, upper or lower case alike; all of them for no words. */
    public List<LogEntry> find(String machine, String words) {
        List<String> wanted = List.of(words.strip().toLowerCase(Locale.ROOT).split("\\s+"));
        return entries.stream()
                .filter(entry -> entry.machine().equals(machine))
                .filter(entry -> {
                    String all = (entry.on() + " " + entry.by() + " " + entry.revision() + " "
                                    + entry.kind().words() + " " + entry.text() + " " + entry.readings())
                            .toLowerCase(Locale.ROOT);
                    return wanted.stream().allMatch(all::contains);
                })
                .toList();
    }

    /** A value that was read, with the number of its entry. */
    public record Point(int number, String on, double value) {}

    /** What was read of a machine that has numbers, in alphabetical order. */
    public List<String> readable(String machine) {
        TreeSet<String> names = new TreeSet<>();
        find(machine, "").forEach(entry -> entry.readings().forEach((name, value) -> {
            if (number(value).isPresent()) {
                names.add(name);
            }
        }));
        return List.copyOf(names);
    }

    /** A reading of a machine over time, oldest first; what is no number is left out. */
    public List<Point> trend(String machine, String reading) {
        List<Point> points = new ArrayList<>();
        for (LogEntry entry : find(machine, "")) {
            String value = entry.readings().getOrDefault(reading, "");
            number(value).ifPresent(number -> points.add(new Point(entry.number(), entry.on(), number)));
        }
        return points;
    }

    private static OptionalDouble number(String value) {
        String digits = value.strip().replace(',', '.').split("[^-+.0-9]", 2)[0];
        try {
            return OptionalDouble.of(Double.parseDouble(digits));
        } catch (NumberFormatException none) {
            return OptionalDouble.empty();
        }
    }
}
