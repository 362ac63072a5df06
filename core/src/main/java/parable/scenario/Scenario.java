package parable.scenario;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import parable.bench.Action;
import parable.circuit.Sheet;
import parable.parts.Assembly;
import parable.parts.Verb;

/**
 * A script. The grammar is documented in {@code docs/scenarios.md}.
 *
 * @param steps in the order of the script, which is the order of time
 */
public record Scenario(List<Step> steps) {

    private static final int MOST_CHARACTERS = 1_000_000;

    private static final Pattern WORD = Pattern.compile("[A-Za-z0-9.]+");

    /** Not modified: the list is copied. */
    public Scenario {
        steps = List.copyOf(steps);
    }

    /**
     * Reads a script; one without any step is a scenario in which nothing happens.
     *
     * @throws ScenarioException at the first line that says nothing sensible or goes back in time
     */
    public static Scenario read(String text) throws ScenarioException {
        if (text.length() > MOST_CHARACTERS) {
            throw new ScenarioException(
                    1, "a text of " + text.length() + " characters", MOST_CHARACTERS + " at the most");
        }
        List<Step> steps = new ArrayList<>();
        String[] lines = text.split("\\R", -1);
        long latest = 0;
        for (int i = 0; i < lines.length; i++) {
            ScriptLine line = new ScriptLine(i + 1, lines[i]);
            if (line.isEmpty()) {
                continue;
            }
            long time = line.time();
            if (time < latest) {
                throw new ScenarioException(
                        i + 1, "the time goes back from " + latest / 1000.0 + " ms to " + time / 1000.0 + " ms");
            }
            latest = time;
            steps.addAll(steps(line, time));
        }
        return new Scenario(steps);
    }

    /**
     * Reads a script for a sheet: a device may also be called by the tag that it bears in the other practice.
     *
     * @throws ScenarioException at the first line that says nothing sensible or goes back in time
     */
    public static Scenario read(String text, Sheet sheet) throws ScenarioException {
        if (text.length() > MOST_CHARACTERS) {
            return read(text);
        }
        Map<String, String> tags = new HashMap<>();
        sheet.devices().forEach(device -> tags.put(device.also(), device.tag()));
        sheet.devices().forEach(device -> tags.remove(device.tag()));
        return read(WORD.matcher(text)
                .replaceAll(word -> Matcher.quoteReplacement(tags.getOrDefault(word.group(), word.group()))));
    }

    private static List<Step> steps(ScriptLine line, long time) throws ScenarioException {
        String word = line.word("an action such as 'press S1', or 'expect'");
        if (word.equals("fault") || word.equals("mend")) {
            return List.of(new Step.SetFault(line.number(), time, line.fault(), word.equals("fault")));
        }
        if (!word.equals("expect")) {
            Verb verb = Verb.ofWord(word).orElseThrow(() -> line.refused(word, "an action or 'expect'"));
            String tag = line.word("the tag of a device");
            String position =
                    switch (verb) {
                        case TURN -> line.word("the position to turn " + tag + " to");
                        case LOAD -> line.percentage();
                        case CLOSE,
                                OPEN,
                                PRESS,
                                RELEASE,
                                ACTUATE,
                                PUSH,
                                HIT,
                                TRIP,
                                RESET,
                                LOSE,
                                RESTORE,
                                HALT,
                                RUN -> "";
                    };
            line.end();
            return List.of(new Step.Do(line.number(), time, new Action(verb, tag, position)));
        }
        List<Step> steps = new ArrayList<>();
        do {
            steps.add(new Step.Expect(line.number(), time, line.expectation()));
        } while (line.comma());
        line.end();
        return steps;
    }

    /**
     * Refuses a sheet that this script cannot be played on, before anything is done.
     *
     * @throws ScenarioException at the first expectation that makes no sense there
     */
    void check(Assembly assembly) throws ScenarioException {
        for (Step step : steps) {
            if (step instanceof Step.Expect expect) {
                Optional<String> nonsense = expect.expectation().nonsenseOn(assembly);
                if (nonsense.isPresent()) {
                    throw new ScenarioException(step.line(), nonsense.get());
                }
            }
        }
    }
}
