package parable.app.step;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import javafx.beans.binding.Bindings;
import javafx.beans.value.ObservableStringValue;
import parable.app.job.JobModel;
import parable.app.job.JobStep;
import parable.app.log.LogModel;
import parable.app.run.RunModel;
import parable.app.testing.TestingModel;
import parable.app.wiring.WiringModel;
import parable.bench.Condition;
import parable.bench.Moment;
import parable.circuit.Sheet;
import parable.circuit.Tick;
import parable.logbook.LogEntry;
import parable.parts.Family;
import parable.parts.Part;
import parable.testsheet.StepVerdict;

/** How far the steps of one sheet are, each in a word or two. */
public final class StepStates {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM", Locale.ENGLISH);
    private static final int MOST_RUNGS = 150;

    private final String name;
    private final JobModel jobs;
    private final RunModel run;
    private final WiringModel wiring;
    private final TestingModel testing;
    private final LogModel log;

    /** The states of the sheet of this name. */
    public StepStates(
            String name, JobModel jobs, RunModel run, WiringModel wiring, TestingModel testing, LogModel log) {
        this.name = name;
        this.jobs = jobs;
        this.run = run;
        this.wiring = wiring;
        this.testing = testing;
        this.log = log;
    }

    /** What is said of each step; those of checking, sizing and finding are not known here. */
    public Map<JobStep, ObservableStringValue> bySteps() {
        return Map.of(
                JobStep.DRAW, Bindings.createStringBinding(this::drawn, run.assemblyProperty()),
                JobStep.TRY, Bindings.createStringBinding(this::tried, run.shownProperty()),
                JobStep.PROGRAM, Bindings.createStringBinding(this::programmed, run.assemblyProperty()),
                JobStep.WIRE, Bindings.createStringBinding(this::wired, wiring.listsProperty(), jobs.jobProperty()),
                JobStep.TEST, Bindings.createStringBinding(this::tested, testing.stepsProperty(), jobs.jobProperty()),
                JobStep.LOG, Bindings.createStringBinding(this::recorded, log.logbookProperty()));
    }

    /** Works out beside the window what has to be listed first; a very large sheet waits until its lists are asked for. */
    public void look() {
        log.look();
        if (sheet().rungs().count() <= MOST_RUNGS) {
            wiring.look();
            testing.look();
        }
    }

    private Sheet sheet() {
        return run.assembly().sheet();
    }

    private String drawn() {
        int rungs = sheet().control().size();
        return sheet().power().isEmpty() && rungs == 0 ? "empty" : rungs + (rungs == 1 ? " rung" : " rungs");
    }

    private String tried() {
        Moment moment = run.shownProperty().get();
        int faults = moment.faults().size();
        if (faults > 0) {
            return faults == 1 ? "1 fault in" : faults + " faults in";
        }
        List<String> running = moment.assembly().parts().stream()
                .filter(part -> part.family() == Family.MOTOR)
                .map(Part::tag)
                .filter(tag -> moment.condition(tag) != Condition.STOPPED)
                .toList();
        return switch (running.size()) {
            case 0 -> "at rest";
            case 1 -> running.get(0) + " " + moment.condition(running.get(0)).word();
            default -> running.size() + " motors turn";
        };
    }

    private String programmed() {
        return sheet().program().isPresent() ? "program" : "relays only";
    }

    private String wired() {
        int all = wiring.wires().size();
        return all == 0 ? "" : wiring.count(Tick.DONE) + " of " + all;
    }

    private String tested() {
        int all = testing.stepsProperty().get().size();
        long failed = testing.count(StepVerdict.FAIL);
        long stale = testing.count(StepVerdict.STALE);
        if (all == 0) {
            return "";
        }
        return failed > 0
                ? failed + " failed"
                : stale > 0 ? stale + " to read again" : all - testing.count(StepVerdict.OPEN) + " of " + all;
    }

    private String recorded() {
        List<LogEntry> entries = log.logbookProperty().get().find(name, "");
        Optional<LogEntry> signed = entries.stream()
                .filter(entry -> entry.kind() == LogEntry.Kind.SIGNED)
                .reduce((earlier, later) -> later);
        return signed.map(entry -> "signed " + day(entry.on()))
                .orElse(entries.isEmpty() ? "empty" : entries.size() == 1 ? "1 entry" : entries.size() + " entries");
    }

    /** {@code 24 Nov} for an instant in the form of ISO 8601. */
    private static String day(String on) {
        return LocalDate.parse(on.substring(0, 10)).format(DAY);
    }
}
