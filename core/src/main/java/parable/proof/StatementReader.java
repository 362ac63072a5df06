package parable.proof;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import parable.parts.Assembly;
import parable.parts.Part;

/**
 * Reads a sentence as a claim. It has one of these shapes, where X and Y are facts such as {@code K1 and K2 are in},
 * {@code M1 runs in reverse or M2 turns}, {@code there is power}: X never; X never together; X never while Y; X only while Y; X exactly while Y;
 * X whenever Y. The first three are about every instant; the others about the states in which all has settled, unless the sentence
 * begins with {@code at every instant}.
 */
final class StatementReader {

    private static final Pattern WORD = Pattern.compile("[A-Za-z0-9]+([.-][A-Za-z0-9]+)*|,");
    private static final Pattern EVERY_INSTANT = Pattern.compile("^\\s*at every instant,?", Pattern.CASE_INSENSITIVE);
    private static final Pattern JOINT = Pattern.compile(
            "\\b(only (?:while|when|if)|exactly (?:while|when|if)|if and only if|whenever|always (?:while|when|if)"
                    + "|never (?:while|when|if)|while|when)\\b",
            Pattern.CASE_INSENSITIVE);
    private static final Pattern NEVER = Pattern.compile("\\bnever\\b", Pattern.CASE_INSENSITIVE);
    private static final Pattern TOGETHER = Pattern.compile("\\btogether\\b", Pattern.CASE_INSENSITIVE);
    private static final Pattern POWER = Pattern.compile("\\bthere is power\\b", Pattern.CASE_INSENSITIVE);
    private static final String POWER_WORD = "there-is-power";
    private static final Set<String> FILLING =
            Set.of("is", "are", "be", "has", "have", "both", "the", "being", "lamp", "motor");
    private static final String SHAPES =
            "one of: \u2026 never \u2026, \u2026 never while \u2026, \u2026 only while \u2026, \u2026 exactly while \u2026, \u2026 whenever \u2026";

    private final Assembly assembly;
    private final String text;

    /** A word with where it begins. */
    private record Word(String text, int at) {
        boolean is(String other) {
            return text.equalsIgnoreCase(other);
        }
    }

    /** Devices, all joined in one way, with what is said of them. */
    private record Clause(List<Fact> facts, boolean either) {
        Fact fact() {
            return facts.size() == 1 ? facts.get(0) : either ? new Fact.Some(1, facts) : new Fact.All(facts);
        }
    }

    StatementReader(String sentence, Assembly assembly) {
        this.assembly = assembly;
        this.text = sentence.strip().replaceAll("\\.$", "").strip();
    }

    Statement statement() throws StatementException {
        Matcher every = EVERY_INSTANT.matcher(text);
        boolean settled = !every.find();
        int from = settled ? 0 : every.end();
        Matcher joint = JOINT.matcher(text);
        boolean joined = joint.find(from);
        int end = joined ? joint.start() : text.length();
        boolean never =
                NEVER.matcher(text.substring(from, joined ? joint.end() : end)).find();
        List<Fact> facts = facts(from, end);
        if (never) {
            return joined ? neverBoth(any(facts), after(joint)) : never(facts, end);
        }
        if (!joined) {
            throw new StatementException(end, "It says nothing of when: expected " + SHAPES + ".");
        }
        return when(joint, any(facts), after(joint), settled);
    }

    private static Fact both(Fact one, Fact other) {
        return new Fact.All(List.of(one, other));
    }

    private static Fact any(List<Fact> alternatives) {
        return alternatives.size() == 1 ? alternatives.get(0) : new Fact.Some(1, alternatives);
    }

    private Fact after(Matcher joint) throws StatementException {
        Matcher never = NEVER.matcher(text);
        if (never.find(joint.end())) {
            throw new StatementException(
                    never.start(), "\"never\" stands before while, when or if: expected " + SHAPES + ".");
        }
        return any(facts(joint.end(), text.length()));
    }

    private Statement neverBoth(Fact one, Fact other) {
        return new Statement(
                text, "At no instant " + one.words() + " while " + other.words() + ".", both(one, other), false);
    }

    /** Never; with more than two devices said to be together, no two of them. */
    private Statement never(List<Fact> facts, int end) {
        boolean together = TOGETHER.matcher(text.substring(0, end)).find();
        if (together
                && facts.size() == 1
                && facts.get(0) instanceof Fact.All all
                && all.facts().size() > 2) {
            String words = all.facts().stream().map(Fact::words).collect(Collectors.joining(", "));
            return new Statement(
                    text, "At no instant two of these: " + words + ".", new Fact.Some(2, all.facts()), false);
        }
        return new Statement(text, "At no instant " + any(facts).words() + ".", any(facts), false);
    }

    private Statement when(Matcher joint, Fact one, Fact other, boolean settled) throws StatementException {
        String word = joint.group().toLowerCase(Locale.ROOT);
        String times = settled ? "Once all has settled, " : "At every instant, ";
        if (word.startsWith("only")) {
            Fact broken = both(one, new Fact.Not(other));
            return new Statement(text, times + "if " + one.words() + ", then " + other.words() + ".", broken, settled);
        }
        if (word.startsWith("exactly") || word.startsWith("if and")) {
            String reading = times + one.words() + " exactly when " + other.words() + ".";
            return new Statement(text, reading, new Fact.Differ(one, other), settled);
        }
        if (word.startsWith("whenever") || word.startsWith("always")) {
            Fact broken = both(other, new Fact.Not(one));
            return new Statement(text, times + "if " + other.words() + ", then " + one.words() + ".", broken, settled);
        }
        throw new StatementException(
                joint.start(), "\"" + joint.group() + "\" alone is not clear: expected " + SHAPES + ".");
    }

    /** What a stretch of the sentence says, as alternatives. */
    private List<Fact> facts(int from, int end) throws StatementException {
        List<Word> words = words(from, end);
        List<Fact> alternatives = new ArrayList<>();
        List<Fact> all = new ArrayList<>();
        int at = 0;
        while (at < words.size()) {
            int next = clauseEnd(words, at);
            all.add(clause(words.subList(at, next), end).fact());
            boolean or = false;
            for (; next < words.size() && isJoining(words.get(next)); next++) {
                or |= words.get(next).is("or");
            }
            if (or || next >= words.size()) {
                alternatives.add(all.size() == 1 ? all.get(0) : new Fact.All(all));
                all = new ArrayList<>();
            }
            at = next;
        }
        if (alternatives.isEmpty()) {
            throw new StatementException(from, "Nothing is said there: expected a device and how it stands, as K1 in.");
        }
        return alternatives;
    }

    private List<Word> words(int from, int end) {
        String part = POWER.matcher(text.substring(0, end)).replaceAll(POWER_WORD);
        List<Word> words = new ArrayList<>();
        Matcher matcher = WORD.matcher(part);
        for (boolean found = matcher.find(from); found; found = matcher.find()) {
            Word word = new Word(matcher.group(), matcher.start());
            if (!word.is("never")
                    && !word.is("together")
                    && !FILLING.contains(word.text().toLowerCase(Locale.ROOT))) {
                words.add(word);
            }
        }
        return words;
    }

    /** Where a clause ends: before the and, or or comma that follows on what is said of its devices. */
    private int clauseEnd(List<Word> words, int from) {
        boolean said = false;
        for (int i = from; i < words.size(); i++) {
            if (isJoining(words.get(i))) {
                if (said) {
                    return i;
                }
            } else {
                said |= part(words.get(i)).isEmpty();
            }
        }
        return words.size();
    }

    private static boolean isJoining(Word word) {
        return word.is("and") || word.is("or") || word.is(",");
    }

    private Optional<Part> part(Word word) {
        return assembly.parts().stream()
                .filter(part -> part.tag().equalsIgnoreCase(word.text()))
                .findFirst();
    }

    private Clause clause(List<Word> words, int end) throws StatementException {
        if (words.size() == 1 && words.get(0).is(POWER_WORD)) {
            return new Clause(List.of(new Fact.SupplyOn()), false);
        }
        List<Part> devices = new ArrayList<>();
        boolean either = false;
        boolean both = false;
        int at = 0;
        while (at < words.size()
                && (isJoining(words.get(at)) || part(words.get(at)).isPresent())) {
            either |= words.get(at).is("or");
            both |= words.get(at).is("and");
            if (either && both) {
                throw new StatementException(
                        words.get(at).at(), "\"and\" and \"or\" between devices are not clear: say how each stands.");
            }
            part(words.get(at)).ifPresent(devices::add);
            at++;
        }
        if (devices.isEmpty()) {
            throw new StatementException(words.get(0).at(), unknown(words.get(0)));
        }
        List<Word> said = words.subList(at, words.size());
        boolean not = !said.isEmpty() && said.get(0).is("not");
        String word = said.stream()
                .skip(not ? 1 : 0)
                .map(Word::text)
                .collect(Collectors.joining(" "))
                .toLowerCase(Locale.ROOT);
        List<Fact> facts = new ArrayList<>();
        for (Part device : devices) {
            DeviceState standing = DeviceState.of(device, word).orElse(null);
            if (standing == null) {
                throw new StatementException(said.isEmpty() ? end : said.get(0).at(), unsayable(device, word));
            }
            Fact fact = new Fact.Stands(device.tag(), standing);
            facts.add(not ? new Fact.Not(fact) : fact);
        }
        return new Clause(facts, either);
    }

    private String unknown(Word word) {
        String tags = assembly.parts().stream()
                .filter(part -> !DeviceState.sayable(part).isEmpty())
                .map(Part::tag)
                .collect(Collectors.joining(", "));
        return word.text() + ": the sheet has no such device; expected one of " + tags + ".";
    }

    private static String unsayable(Part device, String word) {
        String sayable = DeviceState.sayable(device);
        if (sayable.isEmpty()) {
            return device.tag() + ": nothing can be claimed of such a device.";
        }
        return device.tag() + ": "
                + (word.isEmpty() ? "it is not said how it stands" : "\"" + word + "\" cannot be said of it")
                + "; expected one of " + sayable + ".";
    }
}
