package parable.app.testing;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.beans.property.ReadOnlyIntegerProperty;
import javafx.beans.property.ReadOnlyIntegerWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import parable.app.job.JobModel;
import parable.app.job.Latest;
import parable.app.job.Person;
import parable.bench.Moment;
import parable.circuit.Fieldwork;
import parable.circuit.Practice;
import parable.circuit.Reading;
import parable.circuit.Sheet;
import parable.circuit.WiringMethod;
import parable.logbook.SignedStep;
import parable.parts.Assembly;
import parable.parts.PartException;
import parable.ratings.JobTables;
import parable.testsheet.LikelyCauses;
import parable.testsheet.Observation;
import parable.testsheet.Results;
import parable.testsheet.StepVerdict;
import parable.testsheet.TestSheet;
import parable.testsheet.TestStep;

/** The test sheet of one sheet while it is worked through. */
public final class TestingModel {

    private final JobModel jobs;
    private final String name;
    private final Person person;
    private final Latest making = new Latest("test sheet");
    private final Latest rehearsing = new Latest("rehearsal");
    private final ReadOnlyObjectWrapper<Optional<Moment>> moment = new ReadOnlyObjectWrapper<>(Optional.empty());
    private final Latest searching = new Latest("likely causes");
    private final ReadOnlyObjectWrapper<List<TestStep>> steps = new ReadOnlyObjectWrapper<>(List.of());
    private final ReadOnlyObjectWrapper<Optional<List<LikelyCauses.Cause>>> causes =
            new ReadOnlyObjectWrapper<>(Optional.empty());
    private final ReadOnlyIntegerWrapper selected = new ReadOnlyIntegerWrapper();
    private Optional<List<Object>> made = Optional.empty();
    private Optional<Weighed> weighed = Optional.empty();

    /** The test sheet of the sheet of this name. */
    public TestingModel(JobModel jobs, String name, Person person) {
        this.jobs = jobs;
        this.name = name;
        this.person = person;
    }

    private Optional<Sheet> sheet() {
        return jobs.jobProperty().get().sheet(name);
    }

    /** What was found so far. */
    Fieldwork work() {
        return sheet().map(Sheet::fieldwork).orElse(Fieldwork.NONE);
    }

    /** What that is worth on the circuit as it is now. */
    private Optional<Results> results() {
        Optional<Sheet> now = sheet();
        boolean same = now.isPresent()
                && weighed.filter(before -> before.sheet() == now.get()).isPresent();
        if (!same) {
            weighed = now.map(sheet -> new Weighed(sheet, Results.of(sheet)));
        }
        return weighed.map(Weighed::results);
    }

    /** Results of a sheet, which need not be worked out for each step. */
    private record Weighed(Sheet sheet, Results results) {}

    /** The complete sheet as it is to be signed. */
    List<SignedStep> toSign() {
        Results results = results().orElseThrow();
        return steps.get().stream()
                .map(step -> {
                    Reading reading = results.reading(step).orElseThrow();
                    return new SignedStep(
                            step.situation().phase().words() + ". " + step.words(),
                            step.expected().text(),
                            reading.found(),
                            results.verdict(step).words(),
                            reading.remark(),
                            reading.by(),
                            reading.on(),
                            reading.revision());
                })
                .toList();
    }

    /** Makes the steps, anew if the circuit has changed. */
    public void look() {
        sheet().ifPresent(sheet -> {
            Practice practice = jobs.jobProperty().get().practice();
            JobTables tables = tables();
            Sheet bare = sheet.withFieldwork(Fieldwork.NONE.by(WiringMethod.POINT_TO_POINT));
            Optional<List<Object>> asked = Optional.of(List.of(bare, practice, tables));
            if (!asked.equals(made)) {
                made = asked;
                making.ask(() -> TestSheet.of(assembled(bare, tables), practice), found -> {
                    steps.set(found);
                    select(Math.min(selected.get(), found.size() - 1));
                });
            }
        });
    }

    private JobTables tables() {
        return JobTables.of(jobs.jobProperty().get());
    }

    private static Assembly assembled(Sheet sheet, JobTables tables) {
        try {
            return Assembly.of(sheet, tables);
        } catch (PartException impossible) {
            throw new IllegalStateException("the job holds a sheet that cannot be fitted out", impossible);
        }
    }

    /** The steps in their order, empty until they are made. */
    public ReadOnlyObjectProperty<List<TestStep>> stepsProperty() {
        return steps.getReadOnlyProperty();
    }

    /** The position of the step that is worked at among all, from 0. */
    public ReadOnlyIntegerProperty selectedProperty() {
        return selected.getReadOnlyProperty();
    }

    /** The step that is worked at, empty until there are any. */
    public Optional<TestStep> step() {
        int at = selected.get();
        return at < steps.get().size() ? Optional.of(steps.get().get(at)) : Optional.empty();
    }

    /** What may be wrong at the step; empty while it is searched, or if it has not failed. */
    ReadOnlyObjectProperty<Optional<List<LikelyCauses.Cause>>> causesProperty() {
        return causes.getReadOnlyProperty();
    }

    /** Goes to a step; to the nearest there is. */
    public void select(int wanted) {
        selected.set(Math.max(0, Math.min(steps.get().size() - 1, wanted)));
        rehearse();
        search();
    }

    /** The panel as it must be while the step is read; empty until that is worked out. */
    public ReadOnlyObjectProperty<Optional<Moment>> momentProperty() {
        return moment.getReadOnlyProperty();
    }

    private void rehearse() {
        step().ifPresent(one -> sheet().ifPresent(sheet -> rehearsing.ask(
                () -> TestSheet.moment(assembled(sheet, tables()), one), reached -> moment.set(Optional.of(reached)))));
    }

    private void search() {
        causes.set(Optional.empty());
        step().filter(one -> verdict(one) == StepVerdict.FAIL || verdict(one) == StepVerdict.FAIL_WITH_REMARK)
                .ifPresent(failed -> {
                    List<TestStep> all = steps.get();
                    Sheet sheet = sheet().orElseThrow();
                    searching.ask(
                            () -> LikelyCauses.of(assembled(sheet, tables()), all, Results.of(sheet), failed),
                            found -> causes.set(Optional.of(found)));
                });
    }

    /** What the step has come to. */
    StepVerdict verdict(TestStep step) {
        return results().map(results -> results.verdict(step)).orElse(StepVerdict.OPEN);
    }

    /**
     * Writes down what was found at the step; if it passes, the next open one is taken.
     *
     * @param found nothing typed means as expected
     * @return whether it could be: somebody's name must stand there
     */
    boolean record(String found, String remark) {
        if (person.name().isEmpty() || step().isEmpty() || results().isEmpty()) {
            return false;
        }
        TestStep step = step().get();
        String text = found.isBlank() ? step.expected().text() : found.strip();
        Reading reading = results().orElseThrow().taken(step, text, remark.strip(), person.name(), Person.now());
        sheet().ifPresent(
                        sheet -> jobs.edit(sheet.withFieldwork(sheet.fieldwork().with(reading))));
        if (step.passes(text)) {
            goToOpen();
        } else {
            search();
        }
        return true;
    }

    /** Takes back what was found at the step. */
    void forget() {
        step().ifPresent(step -> sheet().ifPresent(
                        sheet -> jobs.edit(sheet.withFieldwork(sheet.fieldwork().forget(step.id())))));
        search();
    }

    private void goToOpen() {
        for (int i = 1; i <= steps.get().size(); i++) {
            int at = (selected.get() + i) % steps.get().size();
            if (verdict(steps.get().get(at)) == StepVerdict.OPEN
                    || verdict(steps.get().get(at)) == StepVerdict.STALE) {
                select(at);
                return;
            }
        }
        search();
    }

    /** How many steps have come to something. */
    public long count(StepVerdict verdict) {
        return steps.get().stream().filter(step -> verdict(step) == verdict).count();
    }

    /** The steps that keep the sheet from being signed. */
    List<TestStep> unsigned() {
        return results().map(results -> results.unsigned(steps.get())).orElse(steps.get());
    }

    /** What was measured, for the logbook: currents and times, which are worth following over the years. */
    Map<String, String> worthFollowing() {
        Map<String, String> readings = new LinkedHashMap<>();
        for (TestStep step : steps.get()) {
            boolean follows = step.observation() instanceof Observation.Amperes
                    || step.observation() instanceof Observation.After
                    || step.observation() instanceof Observation.Meanwhile;
            if (follows) {
                work().reading(step.id())
                        .ifPresent(reading ->
                                readings.putIfAbsent(step.observation().words(), reading.found()));
            }
        }
        return readings;
    }
}
