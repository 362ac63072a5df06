package parable.app.finding;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.UnaryOperator;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import parable.app.job.JobModel;
import parable.app.job.Latest;
import parable.app.log.LogModel;
import parable.circuit.Fieldwork;
import parable.circuit.Practice;
import parable.circuit.Sheet;
import parable.circuit.WiringMethod;
import parable.finding.FaultHistory;
import parable.finding.FaultSearch;
import parable.finding.FindingException;
import parable.finding.FindingRecord;
import parable.finding.LookNotation;
import parable.finding.LookResult;
import parable.finding.Mend;
import parable.finding.PanelLook;
import parable.finding.Proposal;
import parable.finding.Suspect;
import parable.finding.SymptomForm;
import parable.logbook.LogEntry;
import parable.parts.Assembly;
import parable.parts.PartException;
import parable.ratings.JobTables;
import parable.testsheet.Situation;
import parable.testsheet.StepRehearsal;
import parable.testsheet.TestStep;

/** A search for what is wrong with the machine of one sheet. All of it is worked out beside the window. */
public final class FindModel {

    /** Each of all faults is run: more rungs take minutes, and more memory than there is. */
    static final int MOST_RUNGS = 60;

    private final JobModel jobs;
    private final String name;
    private final LogModel log;
    private final Latest beginning = new Latest("finding, begun");
    private final Latest ahead = new Latest("finding, ahead");
    private final Latest searching = new Latest("finding");
    private final Latest rehearsing = new Latest("finding, panel");
    private final ReadOnlyObjectWrapper<Optional<FindState>> state = new ReadOnlyObjectWrapper<>(Optional.empty());
    private final ReadOnlyObjectWrapper<Optional<FindState.Standpoint>> place =
            new ReadOnlyObjectWrapper<>(Optional.empty());
    private final ReadOnlyBooleanWrapper working = new ReadOnlyBooleanWrapper();
    private final ReadOnlyBooleanWrapper tooLarge = new ReadOnlyBooleanWrapper();
    private final List<UnaryOperator<FaultSearch>> told = new ArrayList<>();
    private Optional<Begun> begun = Optional.empty();
    private Optional<List<Object>> asked = Optional.empty();
    private final AtomicLong asking = new AtomicLong();
    private boolean newPanel;
    private boolean resting;
    private boolean pairs;

    /** A search before anything was told, and the panel that it is about. */
    private record Begun(Assembly assembly, Practice practice, FaultSearch search) {}

    /** The search on the sheet of this name. */
    public FindModel(JobModel jobs, String name, LogModel log) {
        this.jobs = jobs;
        this.name = name;
        this.log = log;
    }

    /** How far it is; empty until the suspects are known. */
    public ReadOnlyObjectProperty<Optional<FindState>> stateProperty() {
        return state.getReadOnlyProperty();
    }

    /** What is about to be told or looked at; empty until that is worked out. */
    public ReadOnlyObjectProperty<Optional<FindState.Standpoint>> placeProperty() {
        return place.getReadOnlyProperty();
    }

    /** Whether the sheet has more rungs than are searched. */
    ReadOnlyBooleanProperty tooLargeProperty() {
        return tooLarge.getReadOnlyProperty();
    }

    /** Whether something is being worked out. */
    public ReadOnlyBooleanProperty workingProperty() {
        return working.getReadOnlyProperty();
    }

    /** How far it is in a word or two. */
    public String words() {
        return state.get()
                .filter(FindState::begun)
                .map(now -> now.mends().isEmpty() ? now.fitting() + " left" : "found")
                .orElse("");
    }

    /** Begins anew if the circuit has changed. */
    public void look() {
        Optional<Sheet> sheet = jobs.jobProperty().get().sheet(name);
        if (sheet.isEmpty()) {
            return;
        }
        Sheet bare = circuit(sheet.get());
        tooLarge.set(bare.control().size() > MOST_RUNGS);
        if (tooLarge.get()) {
            return;
        }
        JobTables tables = JobTables.of(jobs.jobProperty().get());
        Practice practice = jobs.jobProperty().get().practice();
        Optional<List<Object>> wanted = Optional.of(List.of(bare, tables, practice, newPanel));
        if (!wanted.equals(asked)) {
            asked = wanted;
            resting = false;
            told.clear();
            pairs = false;
            begin(bare, tables, practice);
        } else {
            goOnAhead();
        }
    }

    /** What a search rests on: neither what was ticked and read, nor what was accepted or claimed. */
    private static Sheet circuit(Sheet sheet) {
        return sheet.withFieldwork(Fieldwork.NONE.by(WiringMethod.POINT_TO_POINT))
                .withAccepted(List.of())
                .withClaims(List.of());
    }

    private void begin(Sheet sheet, JobTables tables, Practice practice) {
        begun = Optional.empty();
        state.set(Optional.empty());
        place.set(Optional.empty());
        working.set(true);
        log.look();
        var record = log.logbookProperty().get();
        boolean fresh = newPanel;
        beginning.ask(
                () -> {
                    Assembly assembly = assembled(sheet, tables);
                    Map<String, Integer> before = FaultHistory.of(record, name, assembly);
                    return new Begun(
                            assembly,
                            practice,
                            FaultSearch.of(
                                    assembly,
                                    tables.of(practice),
                                    new FaultSearch.Knowledge(fresh, before, FaultSearch.USUAL_DOUBT)));
                },
                this::goOn);
    }

    private void goOn(Begun one) {
        begun = Optional.of(one);
        search();
    }

    /** Runs suspects while somebody reads and types, those that are needed soonest first, until something is asked. */
    private void runAhead(Begun one, List<Situation> first) {
        if (resting) {
            return;
        }
        long mine = asking.incrementAndGet();
        ahead.ask(
                () -> {
                    one.search().prepare(first, () -> asking.get() == mine);
                    return one;
                },
                done -> {});
    }

    /** Nobody looks at the search for now: suspects are not run ahead any more, until {@link #look} is called again. */
    public void rest() {
        asking.incrementAndGet();
        resting = true;
    }

    private void goOnAhead() {
        if (resting) {
            resting = false;
            begun.filter(one -> !working.get()).ifPresent(one -> runAhead(one, List.of()));
        }
    }

    private static Assembly assembled(Sheet sheet, JobTables tables) {
        try {
            return Assembly.of(sheet, tables);
        } catch (PartException impossible) {
            throw new IllegalStateException("the job holds a sheet that cannot be fitted out", impossible);
        }
    }

    private void search() {
        if (begun.isEmpty()) {
            return;
        }
        Begun from = begun.get();
        List<UnaryOperator<FaultSearch>> all = List.copyOf(told);
        boolean two = pairs;
        working.set(true);
        asking.incrementAndGet();
        searching.ask(() -> worked(from, all, two), now -> {
            working.set(false);
            state.set(Optional.of(now));
            runAhead(from, now.begun() ? List.of() : now.situations().subList(0, 1));
            now.next().ifPresentOrElse(next -> goTo(next.look().situation(), Optional.of(next.look())), () -> {
                if (!now.begun()) {
                    goTo(now.situations().get(0), Optional.empty());
                }
            });
        });
    }

    private static FindState worked(Begun from, List<UnaryOperator<FaultSearch>> all, boolean two) {
        FaultSearch search = from.search();
        for (UnaryOperator<FaultSearch> one : all) {
            search = one.apply(search);
        }
        boolean told = !search.seen().isEmpty();
        if (two && told) {
            search = search.withPairs();
        }
        boolean sound = told && search.fitsSound();
        Optional<Proposal> next = told && !sound ? search.next() : Optional.empty();
        boolean over = told && !sound && next.isEmpty() && !search.cannotBe();
        List<Mend> mends = over
                ? search.verdict().stream()
                        .map(one -> Mend.of(from.assembly(), from.practice(), one))
                        .toList()
                : List.of();
        return new FindState(
                search,
                search.situations(),
                search.leftRunning(),
                search.ranked(),
                next,
                mends,
                told && search.cannotBe(),
                sound);
    }

    private void goTo(Situation situation, Optional<PanelLook> look) {
        begun.ifPresent(from -> rehearsing.ask(
                () -> new FindState.Standpoint(
                        look,
                        SymptomForm.of(from.assembly(), situation),
                        new StepRehearsal(from.assembly(), List.of())
                                .rest(situation)
                                .moment()),
                now -> place.set(Optional.of(now))));
    }

    /** A symptom is going to be told that is seen after this was done. */
    void tellAfter(Situation situation) {
        begun.ifPresent(one -> runAhead(one, List.of(situation)));
        goTo(situation, Optional.empty());
    }

    /** Takes over something that was seen. */
    void see(LookResult seen) {
        told.add(search -> search.with(seen));
        search();
    }

    /**
     * Takes over what was found at a look.
     *
     * @return why it makes no sense, empty if it does
     */
    String answer(PanelLook look, String found) {
        return read(notation -> notation.read(look, found));
    }

    /**
     * Takes over a reading of somebody's own.
     *
     * @param written as {@link LookNotation} has it
     * @return why it makes no sense, empty if it does
     */
    String read(String written) {
        return read(notation -> notation.read(written));
    }

    @FunctionalInterface
    private interface Reader {
        LookResult read(LookNotation notation) throws FindingException;
    }

    private String read(Reader reader) {
        try {
            see(reader.read(new LookNotation(begun.orElseThrow().assembly())));
            return "";
        } catch (FindingException senseless) {
            return senseless.getMessage();
        }
    }

    /** The look cannot be made there: another is wanted. */
    void skip(PanelLook look) {
        told.add(search -> search.without(look));
        search();
    }

    /** Takes back what was told last. */
    void takeBack() {
        if (!told.isEmpty()) {
            told.remove(told.size() - 1);
            search();
        }
    }

    /** Whether anything can be taken back. */
    boolean hasTold() {
        return !told.isEmpty();
    }

    /** Forgets all that was told. */
    void anew() {
        told.clear();
        pairs = false;
        search();
    }

    /** Says whether nobody has run the panel yet, so that it may be wired wrong. */
    void newPanel(boolean fresh) {
        newPanel = fresh;
        look();
    }

    /** Looks for two faults at once too. */
    void withPairs() {
        pairs = true;
        search();
    }

    /** Whether two faults at once are among the suspects. */
    boolean hasPairs() {
        return pairs;
    }

    /** Shows the next look again, after something else was to be told. */
    void backToLook() {
        state.get().flatMap(FindState::next).ifPresent(next -> goTo(next.look().situation(), Optional.of(next.look())));
    }

    /** It was mended, and the machine still does not do what it should. */
    void goOnAfter(Suspect mended) {
        pairs = false;
        told.add(search -> search.mended(mended));
        search();
    }

    /**
     * Writes what was found in the record.
     *
     * @param passed the test steps that were read again and passed
     * @return what has become of it, in a sentence
     */
    String record(Mend mend, List<TestStep> passed) {
        List<LookResult> seen = state.get().map(now -> now.search().seen()).orElse(List.of());
        boolean entered = log.enter(LogEntry.Kind.FAULT, FindingRecord.text(seen, mend, passed), Map.of(), 0);
        return entered ? "It is in the record." : log.stateProperty().get();
    }
}
