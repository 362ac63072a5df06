package parable.training;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import parable.finding.FindingException;
import parable.finding.LookNotation;
import parable.finding.SymptomForm;
import parable.parts.Assembly;
import parable.testsheet.Situation;

/** A sound machine, and what is done to it: what will each of some devices do? */
final class PredictExercise implements Exercise {

    private final SymptomForm form;
    private final Map<String, String> told = new LinkedHashMap<>();

    private PredictExercise(SymptomForm form) {
        this.form = form;
    }

    /**
     * An exercise.
     *
     * @param detail what is done, then a semicolon and the tags that are asked about
     */
    static PredictExercise of(Assembly assembly, String detail) throws FindingException {
        int semicolon = detail.indexOf(';');
        if (semicolon < 0) {
            throw new FindingException("what is asked", detail, "deeds; tags, such as 'close Q1, press S1; K1, M1'");
        }
        Situation situation = new LookNotation(assembly).situation(detail.substring(0, semicolon));
        List<String> tags =
                new ArrayList<>(List.of(detail.substring(semicolon + 1).split(",")));
        tags.replaceAll(String::strip);
        SymptomForm form = SymptomForm.of(assembly, situation).only(tags);
        if (form.rows().size() != tags.size()) {
            throw new FindingException("what is asked", String.join(", ", tags), "devices that act on this sheet");
        }
        return new PredictExercise(form);
    }

    @Override
    public List<String> brief() {
        List<String> lines = new ArrayList<>();
        lines.add("The machine is sound. Somebody does this: "
                + form.situation().words() + ". What does each of these do then?");
        form.rows()
                .forEach(row -> lines.add(
                        "  " + row.tag() + " (" + row.name() + "): one of " + String.join(", ", row.choices())));
        return lines;
    }

    @Override
    public List<String> manual() {
        return List.of("Say it before you see it, one or more at a time: "
                + form.rows().get(0).tag() + " " + form.rows().get(0).choices().get(0) + ". give up ends it.");
    }

    @Override
    public List<MoveOffer> offers() {
        List<MoveOffer> offers = new ArrayList<>();
        for (SymptomForm.Row row : form.rows()) {
            row.choices()
                    .forEach(choice ->
                            offers.add(new MoveOffer(row.tag() + "  " + row.name(), choice, row.tag() + " " + choice)));
        }
        offers.add(new MoveOffer("Or", "Give up", "give up"));
        return offers;
    }

    @Override
    public List<String> move(String text) throws FindingException {
        if (text.strip().equals("give up")) {
            form.rows().forEach(row -> told.putIfAbsent(row.tag(), ""));
            return answer();
        }
        for (String one : text.split(",")) {
            String[] words = one.strip().split("\\s+", 2);
            SymptomForm.Row row = form.rows().stream()
                    .filter(asked -> asked.tag().equals(words[0]))
                    .findFirst()
                    .orElseThrow(() -> new FindingException(
                            "what is asked",
                            one.strip(),
                            form.rows().stream().map(SymptomForm.Row::tag).collect(Collectors.joining(", "))));
            if (words.length < 2 || !row.choices().contains(words[1])) {
                throw new FindingException(
                        row.tag(), words.length < 2 ? "" : words[1], "one of " + String.join(", ", row.choices()));
            }
            told.put(row.tag(), words[1]);
        }
        return isOver() ? answer() : List.of("Noted.");
    }

    private List<String> answer() {
        return form.rows().stream()
                .map(row -> (isRight(row) ? "Right: " : "No: ") + row.tag() + " " + row.sound() + ".")
                .toList();
    }

    private boolean isRight(SymptomForm.Row row) {
        return row.sound().equals(told.get(row.tag()));
    }

    @Override
    public boolean isOver() {
        return form.rows().stream().allMatch(row -> told.containsKey(row.tag()));
    }

    @Override
    public Score score() {
        long wrong = form.rows().stream()
                .filter(row -> told.containsKey(row.tag()) && !isRight(row))
                .count();
        return new Score(isOver() && wrong == 0, told.size(), 0, (int) wrong, 0, List.of());
    }

    @Override
    public BestWay best() {
        return new BestWay(solution(), 0);
    }

    @Override
    public List<String> solution() {
        return form.rows().stream().map(row -> row.tag() + " " + row.sound()).toList();
    }
}
