package parable.finding;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import parable.bench.Condition;
import parable.circuit.Device;
import parable.parts.Assembly;
import parable.parts.Family;
import parable.testsheet.Glimpse;
import parable.testsheet.Observation;
import parable.testsheet.Situation;
import parable.testsheet.StepRehearsal;

/**
 * What can be told of a machine after something was done to it: of each device that acts one of some words, and nothing of those that nobody looked at.
 *
 * @param situation what was done
 * @param rows a device each, in the order of the sheet
 */
public record SymptomForm(Situation situation, List<Row> rows) {

    /**
     * A device.
     *
     * @param tag its tag, or {@link Glimpse#PROTECTION} for all fuses and breakers
     * @param name what it is to the machine: {@code Pump}
     * @param choices what it may be seen to do: {@code in}, {@code out}
     * @param sound what it does on a sound machine, one of them
     */
    public record Row(String tag, String name, List<String> choices, String sound) {

        /** Not modified: the list is copied. */
        public Row {
            choices = List.copyOf(choices);
        }
    }

    /** Not modified: the list is copied. */
    public SymptomForm {
        rows = List.copyOf(rows);
    }

    /** The form of a panel after something was done. */
    public static SymptomForm of(Assembly assembly, Situation situation) {
        StepRehearsal.Rest sound = new StepRehearsal(assembly, List.of()).rest(situation);
        List<Row> rows = new ArrayList<>();
        for (String tag : inOrder(assembly)) {
            Observation alone = new Glimpse(List.of(tag));
            String does = alone.at(sound).text().substring(tag.length() + 1);
            rows.add(new Row(tag, name(assembly, tag), choices(assembly, tag, does), does));
        }
        return new SymptomForm(situation, rows);
    }

    /** What moves and shines first, what protects last. */
    private static List<String> inOrder(Assembly assembly) {
        return ((Glimpse) LookCatalogue.glance(assembly))
                .tags().stream()
                        .sorted(Comparator.comparing(tag -> protects(assembly, tag)))
                        .toList();
    }

    private static boolean protects(Assembly assembly, String tag) {
        return assembly.part(tag)
                .map(part -> part.family() == Family.BREAKER || part.family() == Family.FUSE)
                .orElse(true);
    }

    /** The same with these devices alone. */
    public SymptomForm only(List<String> tags) {
        return new SymptomForm(
                situation, rows.stream().filter(row -> tags.contains(row.tag())).toList());
    }

    private static String name(Assembly assembly, String tag) {
        return assembly.part(tag).map(part -> part.device()).map(Device::label).orElse("fuses and breakers");
    }

    private static List<String> choices(Assembly assembly, String tag, String sound) {
        Stream<String> words = assembly.part(tag)
                .map(part -> LookNotation.conditions(part).stream().map(Condition::word))
                .orElse(Stream.of("holds", "opens"));
        return Stream.concat(words, Stream.of(sound)).distinct().toList();
    }

    /** All of it as it is seen at a panel. */
    public LookResult seen(StepRehearsal panel) {
        Glimpse all = new Glimpse(rows.stream().map(Row::tag).toList());
        return new LookResult(
                new PanelLook(situation, all), all.at(panel.rest(situation)).text());
    }

    /**
     * What was told as a look with its result.
     *
     * @param seen a word for each device that was looked at, by its tag; at least one
     */
    public LookResult result(Map<String, String> seen) {
        List<String> tags =
                rows.stream().map(Row::tag).filter(seen::containsKey).toList();
        if (tags.isEmpty()) {
            throw new IllegalArgumentException(
                    "a symptom: found nothing seen, expected something of one device or more");
        }
        String found = String.join(
                ", ", tags.stream().map(tag -> tag + " " + seen.get(tag)).toList());
        return new LookResult(new PanelLook(situation, new Glimpse(tags)), found);
    }
}
