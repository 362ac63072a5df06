package parable.training;

import java.util.List;
import parable.check.Check;
import parable.check.Finding;
import parable.check.Severity;
import parable.circuit.ColourCode;
import parable.circuit.Practice;
import parable.finding.FindingException;
import parable.parts.Assembly;

/** A drawing that would not work as it should, or not safely: at which device is it wrong? */
final class SpoiltExercise implements Exercise {

    private final Assembly assembly;
    private final List<Finding> findings;
    private int asked;
    private int wrong;
    private boolean found;
    private boolean givenUp;

    private SpoiltExercise(Assembly assembly, List<Finding> findings) {
        this.assembly = assembly;
        this.findings = findings;
    }

    static SpoiltExercise of(Assembly assembly, Practice practice) throws FindingException {
        List<Finding> findings = Check.of(assembly, ColourCode.of(practice), () -> false).orElseThrow().stream()
                .filter(finding ->
                        finding.severity() != Severity.NOTE && !finding.where().isEmpty())
                .toList();
        if (findings.isEmpty()) {
            throw new FindingException("the drawing", assembly.sheet().name(), "one with which something is wrong");
        }
        return new SpoiltExercise(assembly, findings);
    }

    @Override
    public List<String> brief() {
        return List.of("The drawing " + assembly.sheet().name()
                + ": something of it would not work as it should, or not safely.");
    }

    @Override
    public List<String> manual() {
        return List.of("Say a device at which it is wrong: it is K1. give up ends it.");
    }

    @Override
    public List<MoveOffer> offers() {
        return List.of(
                new MoveOffer("The device that was clicked", "It is wrong there", "it is {1}"),
                new MoveOffer("Or", "Give up", "give up"));
    }

    @Override
    public List<String> move(String text) throws FindingException {
        String move = text.strip();
        if (move.equals("give up")) {
            givenUp = true;
            return findings.stream().map(Finding::text).toList();
        }
        String tag =
                move.startsWith("it is ") ? move.substring("it is ".length()).strip() : move;
        if (assembly.part(tag).isEmpty()) {
            throw new FindingException("what is wrong", move, "a device of the drawing, such as 'it is K1'");
        }
        asked++;
        List<String> said = findings.stream()
                .filter(finding -> finding.where().contains(tag))
                .map(finding -> "Yes: " + finding.text() + " " + finding.reason())
                .toList();
        found |= !said.isEmpty();
        wrong += said.isEmpty() ? 1 : 0;
        return said.isEmpty() ? List.of("No, nothing is wrong there.") : said;
    }

    @Override
    public boolean isOver() {
        return found || givenUp;
    }

    @Override
    public Score score() {
        return new Score(found, asked, 0, wrong, 0, List.of());
    }

    @Override
    public BestWay best() {
        return new BestWay(solution(), 0);
    }

    @Override
    public List<String> solution() {
        return List.of("it is " + findings.get(0).where().get(0));
    }
}
