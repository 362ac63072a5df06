package parable.logbook;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import parable.circuit.Fingerprint;
import parable.logbook.LogEntry.Kind;

/**
 * The entries of a job, oldest first. Nothing in it can be changed: an entry is corrected by a further one. Each line is sealed and bears the seal of the one
 * before, so that a change, a gap or a line taken out shows. That lines were cut off at the end is seen by the seal of the last one, which the job keeps.
 *
 * <p>Going on with a logbook that is not as it was made begins with an entry that says so and seals what was found, so that a breach never goes away by
 * writing on.
 *
 * @param lines in the order in which they were made
 */
public record Logbook(List<LogLine> lines) {

    /** A logbook without entries. */
    public static final Logbook EMPTY = new Logbook(List.of());

    /** In a break, the reading that holds the seal that was missing. */
    private static final String MISSING = "seal that is missing";

    /** Who enters breaks. */
    private static final String PROGRAM = "Parable";

    /** Not modified: the list is copied. */
    public Logbook {
        lines = List.copyOf(lines);
    }

    /**
     * What somebody wants to enter.
     *
     * @param machine the sheet it is about
     * @param revision its circuit
     * @param readings values by what was read
     * @param signed the complete test sheet if this is its signature
     * @param corrects the number of an entry to be corrected, 0 for none
     */
    public record Draft(
            String by,
            String machine,
            String revision,
            Kind kind,
            String text,
            Map<String, String> readings,
            List<SignedStep> signed,
            int corrects) {

        /** An entry that signs nothing. */
        public Draft(
                String by,
                String machine,
                String revision,
                Kind kind,
                String text,
                Map<String, String> readings,
                int corrects) {
            this(by, machine, revision, kind, text, readings, List.of(), corrects);
        }
    }

    /** What can be read of it, oldest first. */
    public List<LogEntry> entries() {
        return lines.stream().flatMap(line -> line.entry().stream()).toList();
    }

    /** The seal of the last line, empty if there is none. */
    public String seal() {
        return lines.isEmpty() ? "" : lines.get(lines.size() - 1).seal();
    }

    /** This logbook with one more line. */
    public Logbook with(LogLine line) {
        List<LogLine> all = new ArrayList<>(lines);
        all.add(line);
        return new Logbook(all);
    }

    /** What the next line says if somebody enters this at a time such as {@code 2026-11-26T09:15:00}. */
    public LogEntry next(Draft draft, String on) {
        return new LogEntry(
                lines.size() + 1,
                on,
                draft.by(),
                draft.machine(),
                draft.revision(),
                draft.kind(),
                draft.text(),
                draft.readings(),
                draft.signed(),
                draft.corrects(),
                seal(),
                "");
    }

    /** What the next line says to keep a breach for good; it seals all lines as they were found. */
    public LogEntry next(Breach breach, String on) {
        return new LogEntry(
                lines.size() + 1,
                on,
                PROGRAM,
                "",
                "",
                Kind.BREAK,
                breach.words(),
                breach.missing().isEmpty() ? Map.of() : Map.of(MISSING, breach.missing()),
                List.of(),
                0,
                fingerprint(lines.size()),
                "");
    }

    /** The fingerprint of the first lines. */
    private String fingerprint(int count) {
        StringBuilder all = new StringBuilder();
        lines.subList(0, count).forEach(line -> Fingerprint.append(all, line.text()));
        return Fingerprint.of(all.toString());
    }

    /**
     * The first place that is not as it was made and that no entry tells of yet, empty if there is none.
     *
     * @param last the seal of a line that must be among them, empty for none
     */
    public Optional<Breach> breach(String last) {
        Optional<Breach> found = Optional.empty();
        for (int i = 0; i < lines.size(); i++) {
            if (isBreak(i)) {
                found = Optional.empty();
            } else if (found.isEmpty() && !isSound(i)) {
                found = Optional.of(new Breach(
                        i + 1, "Line " + (i + 1) + " is not as it was made, or one before it was taken out.", ""));
            }
        }
        return found.isPresent() || last.isEmpty() || knows(last)
                ? found
                : Optional.of(new Breach(
                        lines.size() + 1,
                        "Entries are missing: the last one that the job knew of, sealed "
                                + last.substring(0, Math.min(12, last.length())) + "\u2026, is not there.",
                        last));
    }

    private boolean isSound(int at) {
        LogLine line = lines.get(at);
        return line.isSound()
                && line.entry().get().kind() != Kind.BREAK
                && line.entry().get().number() == at + 1
                && line.entry()
                        .get()
                        .before()
                        .equals(at == 0 ? "" : lines.get(at - 1).seal());
    }

    private boolean isBreak(int at) {
        LogLine line = lines.get(at);
        return line.isSound()
                && line.entry().get().kind() == Kind.BREAK
                && line.entry().get().number() == at + 1
                && line.entry().get().before().equals(fingerprint(at));
    }

    /**
     * Whether an entry is in it as it was made, and nothing up to it is broken but what an entry before it tells of.
     *
     * @param last the seal of a line that must be in it, empty for none
     */
    public boolean isAsMade(LogEntry entry, String last) {
        int at = entry.number() - 1;
        boolean there = at >= 0 && at < lines.size() && lines.get(at).entry().equals(Optional.of(entry));
        boolean toldLater = breaks().stream().anyMatch(found -> found.number() > entry.number());
        return there
                && !toldLater
                && isSound(at)
                && breach(last).map(found -> found.line() > at + 1).orElse(true);
    }

    private boolean knows(String seal) {
        return lines.stream().anyMatch(line -> line.seal().equals(seal) && line.isSound())
                || breaks().stream()
                        .anyMatch(entry -> seal.equals(entry.readings().get(MISSING)));
    }

    /** The entries that tell of a breach, oldest first. */
    public List<LogEntry> breaks() {
        return IntStream.range(0, lines.size())
                .filter(this::isBreak)
                .mapToObj(at -> lines.get(at).entry().orElseThrow())
                .toList();
    }

    /**
     * Whether it is as it was made, in words to be read aloud.
     *
     * @param last the seal of a line that must be among them, empty for none
     */
    public String state(String last) {
        Optional<Breach> breach = breach(last);
        if (breach.isPresent()) {
            return "Broken. " + breach.get().words()
                    + " What is not sealed proves nothing; the next entry will say so for good.";
        }
        String count = lines.size() + (lines.size() == 1 ? " entry" : " entries");
        List<LogEntry> told = breaks();
        if (told.isEmpty()) {
            return count + ", unbroken.";
        }
        return count + ", broken: see "
                + told.stream().map(entry -> "No. " + entry.number()).collect(Collectors.joining(", "))
                + ". Unbroken since No. " + told.get(told.size() - 1).number() + "; what is before it proves nothing.";
    }

    /**
     * The entries on a machine whose words name a device, the last first.
     *
     * @param tag its tag, which stands there as a word of its own
     */
    public List<LogEntry> naming(String machine, String tag) {
        List<LogEntry> naming = new ArrayList<>(find(machine, "").stream()
                .filter(entry -> List.of(entry.text().split("[^A-Za-z0-9.]+")).contains(tag))
                .toList());
        Collections.reverse(naming);
        return naming;
    }

    /** The entries about a machine that have every word of a search somewhere, upper or lower case alike; all of them for no words. */
    public List<LogEntry> find(String machine, String words) {
        List<String> wanted = List.of(words.strip().toLowerCase(Locale.ROOT).split("\\s+"));
        return entries().stream()
                .filter(entry -> entry.machine().equals(machine) || entry.kind() == Kind.BREAK)
                .filter(entry -> {
                    String all = (entry.on() + " " + entry.by() + " " + entry.revision() + " "
                                    + entry.kind().words() + " " + entry.text() + " " + entry.readings())
                            .toLowerCase(Locale.ROOT);
                    return wanted.stream().allMatch(all::contains);
                })
                .toList();
    }

    /** A value that was read, with the number of its entry. */
    public record MeasuredValue(int number, String on, double value) {}

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
    public List<MeasuredValue> trend(String machine, String reading) {
        List<MeasuredValue> points = new ArrayList<>();
        for (LogEntry entry : find(machine, "")) {
            String value = entry.readings().getOrDefault(reading, "");
            number(value).ifPresent(number -> points.add(new MeasuredValue(entry.number(), entry.on(), number)));
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
