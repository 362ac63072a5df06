package parable.sizing;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import parable.circuit.Practice;
import parable.ratings.RatingLine;
import parable.ratings.RatingTables;

/**
 * Something told in one line, such as {@code 2.2 kW 400 V, 25 m, B2, 40 °C, 7 In}: quantities are known by their units, ways of laying and starting by their words, and all
 * else follows its key, as in {@code service-factor 1.15}. It begins with {@code transformer}, {@code brake} or {@code supply} where it is no motor.
 */
public final class SizingLine {

    private static final Pattern NUMBER =
            Pattern.compile("([-+]?\\d+(?:\\.\\d+)?(?:/\\d+(?:\\.\\d+)?)?)([^\\d\\s/.].*)?");
    private static final Pattern KEY = Pattern.compile("[a-z][a-z0-9-]*");

    private static final Map<String, String> SAME = Map.of(
            "wye-delta", "star-delta",
            "sf", "service-factor",
            "cosphi", "power-factor",
            "DC", "dc",
            "1-phase", "single-phase",
            "3-phase", "three-phase");

    private static final Map<String, Practice> PRACTICES = Map.of("IEC", Practice.IEC, "NEC", Practice.NORTH_AMERICAN);

    private static final List<SizingQuestion> BY_WORD = List.of(
            MotorQuestion.FEED,
            MotorQuestion.START,
            MotorQuestion.DUTY,
            MotorQuestion.METHOD,
            MotorQuestion.DEVICE,
            JobQuestion.FEEDER_METHOD);

    private final LineSubject subject;
    private final List<String> words;
    private final Map<String, String> given = new LinkedHashMap<>();
    private final Map<String, String> overrides = new LinkedHashMap<>();
    private Optional<Practice> said = Optional.empty();
    private int at;

    /**
     * What was sized.
     *
     * @param inputs what it rests on
     * @param results in their order
     * @param notes to be said beside them
     */
    public record SizedLine(SizingInputs inputs, List<SizingResult> results, List<String> notes) {

        /** Not modified: the lists are copied. */
        public SizedLine {
            results = List.copyOf(results);
            notes = List.copyOf(notes);
        }

        /** A result by its key, empty where there is none. */
        public Optional<SizingResult> result(String key) {
            return results.stream().filter(one -> one.key().equals(key)).findFirst();
        }
    }

    private SizingLine(String line) throws SizingException {
        List<String> all = Stream.of(line.strip().split("[;\\s]+|,(?!\\d)|(?<!\\d),"))
                .filter(word -> !word.isEmpty())
                .map(word -> SAME.getOrDefault(word, word))
                .toList();
        if (all.isEmpty()) {
            throw new SizingException("motor", "", "power and voltage, such as '2.2 kW 400 V'");
        }
        subject = Stream.of(LineSubject.values())
                .filter(one -> one.word().equals(all.get(0)))
                .findFirst()
                .orElse(LineSubject.MOTOR);
        words = all.get(0).equals(subject.word()) ? all.subList(1, all.size()) : all;
        while (at < words.size()) {
            next();
        }
    }

    /**
     * Reads the line.
     *
     * @throws SizingException if a word means nothing
     */
    public static SizingLine read(String line) throws SizingException {
        return new SizingLine(line);
    }

    /** The practice: that which a word says, else that of horsepower is North American, and all else is IEC. */
    public Practice practice() {
        return said.orElse(
                given.getOrDefault(MotorQuestion.POWER.key(), "").endsWith("hp")
                        ? Practice.NORTH_AMERICAN
                        : Practice.IEC);
    }

    /**
     * Sizes it.
     *
     * @param tables of its practice
     * @throws SizingException if something makes no sense or is beyond a table
     */
    public SizedLine sized(RatingTables tables) throws SizingException {
        SizingInputs inputs = subject.inputs(practice(), given);
        return switch (subject) {
            case MOTOR -> {
                MotorSizing sized = MotorSizing.of(inputs, tables, overrides);
                yield new SizedLine(inputs, sized.results(), sized.notes());
            }
            case TRANSFORMER -> new SizedLine(
                    inputs, ControlSupplySizing.of(inputs, tables, overrides).results(), List.of());
            case BRAKE -> new SizedLine(
                    inputs, BrakeSizing.of(inputs, tables, overrides).results(), List.of());
            case SUPPLY -> {
                Optional<RatingLine> wire =
                        Feeder.stated(tables, practice(), Optional.ofNullable(overrides.get("feeder-wire")));
                Chain chain = new Chain(subject.word(), tables, Map.of());
                ProspectiveCurrent.add(inputs, chain, wire);
                yield new SizedLine(inputs, chain.results(), List.of());
            }
        };
    }

    private void next() throws SizingException {
        String word = words.get(at);
        if (PRACTICES.containsKey(word)) {
            said = Optional.of(PRACTICES.get(word));
            at++;
            return;
        }
        Matcher number = NUMBER.matcher(word);
        if (number.matches()) {
            quantity(word, number);
        } else if (byWord(word).isPresent()) {
            put(byWord(word).get().key(), word);
            at++;
        } else {
            keyed(word);
        }
    }

    private void quantity(String word, Matcher number) throws SizingException {
        boolean attached = number.group(2) != null;
        String unit = attached ? number.group(2) : at + 1 < words.size() ? words.get(at + 1) : "";
        String keys = subject.byUnit().get(unit);
        if (keys == null) {
            throw new SizingException(
                    subject.word(),
                    attached || unit.isEmpty() ? word : word + " " + unit,
                    "a number with one of these units: "
                            + subject.byUnit().keySet().stream().sorted().collect(Collectors.joining(", ")));
        }
        putAll(keys, number.group(1), unit);
        at += attached ? 1 : 2;
    }

    private void keyed(String word) throws SizingException {
        if (!KEY.matcher(word).matches() || at + 1 == words.size()) {
            throw new SizingException(
                    subject.word(), word, "a quantity with its unit, or a key and its value; keys are " + keys());
        }
        String value = words.get(at + 1);
        boolean unit = at + 2 < words.size() && isUnit(word, value, words.get(at + 2));
        if (word.equals(MotorQuestion.POWER_FACTOR.key()) && value.indexOf('/') > 0) {
            putAll("power-factor start-power-factor", value, "");
        } else {
            put(word, unit ? value + " " + words.get(at + 2) : value);
        }
        at += unit ? 3 : 2;
    }

    private String keys() {
        return subject.questions().stream().map(SizingQuestion::key).collect(Collectors.joining(", "));
    }

    /** Whether the word after a number is its unit. */
    private boolean isUnit(String key, String number, String unit) {
        Matcher written = NUMBER.matcher(number);
        if (!written.matches() || written.group(2) != null) {
            return false;
        }
        Optional<? extends SizingQuestion> question = subject.questions().stream()
                .filter(one -> one.key().equals(key))
                .findFirst();
        return question.isPresent()
                ? question.get()
                        .measure()
                        .map(measure ->
                                measure.unit().equals(unit) || measure.others().containsKey(unit))
                        .orElseGet(() -> question.get().words().contains(number + " " + unit))
                : !NUMBER.matcher(unit).matches()
                                && !KEY.matcher(unit).matches()
                                && byWord(unit).isEmpty()
                        || List.of("mm²", "s", "kcmil").contains(unit);
    }

    private void putAll(String keys, String values, String unit) throws SizingException {
        List<String> all = List.of(keys.split(" "));
        List<String> parts = List.of(values.split("/"));
        if (parts.size() > all.size()) {
            throw new SizingException(subject.word(), values + " " + unit, "one number");
        }
        for (int i = 0; i < parts.size(); i++) {
            put(all.get(i), unit.isEmpty() ? parts.get(i) : parts.get(i) + " " + unit);
        }
    }

    private void put(String key, String value) throws SizingException {
        if ((subject.asks(key) ? given : overrides).put(key, value) != null) {
            throw new SizingException(subject.word(), value, key + " only once");
        }
    }

    private Optional<SizingQuestion> byWord(String word) {
        return BY_WORD.stream()
                .filter(question -> subject.questions().contains(question)
                        && question.words().contains(word))
                .findFirst();
    }

    /** What is said, by the keys of the questions. */
    public Map<String, String> given() {
        return Collections.unmodifiableMap(given);
    }

    /** What is put in the place of results, by their keys. */
    public Map<String, String> overrides() {
        return Collections.unmodifiableMap(overrides);
    }
}
