package parable.app.run;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.ReadOnlyIntegerProperty;
import javafx.beans.property.ReadOnlyIntegerWrapper;
import javafx.beans.property.ReadOnlyLongProperty;
import javafx.beans.property.ReadOnlyLongWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.beans.property.SimpleObjectProperty;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;
import parable.bench.Action;
import parable.bench.ActionRefusedException;
import parable.bench.Bench;
import parable.bench.Fault;
import parable.bench.Moment;
import parable.bench.Pace;
import parable.bench.Sample;
import parable.bench.StoryLine;
import parable.parts.Assembly;
import parable.reason.Changes;
import parable.reason.Why;
import parable.scenario.Player;
import parable.scenario.Scenario;
import parable.scenario.ScenarioException;

/**
 * A sheet that is under voltage, and the instant of it that is looked at. Usually that is the present. Looking back
 * changes nothing; to do something while looking back goes on from there and forgets what came after.
 */
public final class RunModel {

    /** So long before the instant of a replay the slow motion begins, in microseconds. */
    private static final long BEFORE_REPLAY = 60_000;

    private final ReadOnlyObjectWrapper<Assembly> assembly = new ReadOnlyObjectWrapper<>();
    private OptionalLong haltAt = OptionalLong.empty();
    private final ReadOnlyObjectWrapper<Moment> shown = new ReadOnlyObjectWrapper<>();
    private final ReadOnlyLongWrapper shownTime = new ReadOnlyLongWrapper();
    private final ReadOnlyLongWrapper now = new ReadOnlyLongWrapper();
    private final ReadOnlyBooleanWrapper running = new ReadOnlyBooleanWrapper(true);
    private final ReadOnlyIntegerWrapper timeline = new ReadOnlyIntegerWrapper();
    private final ReadOnlyStringWrapper notice = new ReadOnlyStringWrapper("");
    private final ObjectProperty<Speed> speed = new SimpleObjectProperty<>(Speed.REAL_TIME);
    private final ObservableList<StoryLine> story = FXCollections.observableArrayList();
    private final ObservableList<StoryLine> storyToRead = FXCollections.unmodifiableObservableList(story);
    private final ReadOnlyIntegerWrapper stirred = new ReadOnlyIntegerWrapper();
    private Bench bench;
    private final List<Deferred> deferred = new ArrayList<>();
    private Optional<Player> player = Optional.empty();
    private double carriedMicros;
    private int forgotten;
    private boolean shortenedTold;

    /** Something to be done once the bench has come to a time. */
    private record Deferred(long time, Action action) {}

    /** A sheet at rest with time running. */
    public RunModel(Assembly assembly) {
        this.assembly.set(assembly);
        this.bench = Bench.of(assembly);
        speed.addListener((any, before, chosen) -> stir());
        refresh(bench.now());
    }

    /**
     * Goes on with a changed sheet from the instant that is looked at: what is still there keeps its state. First the sheet
     * changes, then the instant that is shown.
     */
    public void goOnWith(Assembly changed) {
        bench = bench.on(changed, shownTime.get());
        deferred.removeIf(later -> changed.part(later.action.tag()).isEmpty());
        player = Optional.empty();
        haltAt = OptionalLong.empty();
        notice.set("");
        tellOn(bench.story());
        shown.set(bench.moment());
        assembly.set(changed);
        refresh(bench.now());
        timeline.set(timeline.get() + 1);
        stir();
    }

    /**
     * Takes over a sheet that differs in nothing but what was done at the panel by it: the run is as it was, its past too.
     *
     * @param same fitted out alike
     */
    public void keepWith(Assembly same) {
        assembly.set(same);
    }

    /** Takes over a story; the lines that it has in common with what was told stay. */
    private void tellOn(List<StoryLine> told) {
        int kept = 0;
        while (kept < Math.min(story.size(), told.size()) && story.get(kept).equals(told.get(kept))) {
            kept++;
        }
        story.remove(kept, story.size());
        story.addAll(told.subList(kept, told.size()));
        forgotten = bench.storyForgotten();
    }

    /** How a changed sheet would be at the instant that is looked at, if this run went on with it now. */
    public Moment previewOf(Assembly changed) {
        return bench.on(changed, shownTime.get()).moment();
    }

    /** The sheet that runs. */
    public Assembly assembly() {
        return assembly.get();
    }

    /** The sheet that runs; when it changes, the instant that is shown is already one of the changed sheet. */
    public ReadOnlyObjectProperty<Assembly> assemblyProperty() {
        return assembly.getReadOnlyProperty();
    }

    /** The instant that is looked at; it stays the same object as long as nothing changes. */
    public ReadOnlyObjectProperty<Moment> shownProperty() {
        return shown.getReadOnlyProperty();
    }

    /** The time that is looked at, in microseconds. */
    public ReadOnlyLongProperty shownTimeProperty() {
        return shownTime.getReadOnlyProperty();
    }

    /** The present, in microseconds. */
    public ReadOnlyLongProperty nowProperty() {
        return now.getReadOnlyProperty();
    }

    /** Whether time runs. */
    public ReadOnlyBooleanProperty runningProperty() {
        return running.getReadOnlyProperty();
    }

    /** Counts how often the run went on from somewhere else than its present: from an earlier instant, or from rest. */
    public ReadOnlyIntegerProperty timelineProperty() {
        return timeline.getReadOnlyProperty();
    }

    /** What the user should know about the last thing they asked for; empty if all went as asked. */
    public ReadOnlyStringProperty noticeProperty() {
        return notice.getReadOnlyProperty();
    }

    /** How fast time runs while it runs. */
    public ObjectProperty<Speed> speedProperty() {
        return speed;
    }

    /** The whole story up to the present, also while an earlier instant is looked at. */
    public ObservableList<StoryLine> story() {
        return storyToRead;
    }

    /** The times up to the present at which anything changed, in order. */
    public List<Long> instants() {
        return bench.instants();
    }

    /** A past instant, by its time in microseconds. */
    public Moment momentAt(long time) {
        return bench.momentAt(time);
    }

    /** What a motor has done up to the present. */
    public List<Sample> trace(String tag) {
        return bench.trace(tag);
    }

    /** Why a device is on or off at the instant that is looked at. */
    public String reason(String tag) {
        return new Why(shown.get()).of(tag);
    }

    /** The single actions by which a device that is off would be on within a second from the instant that is looked at, or the other way round. */
    public List<Action> changes(String tag) {
        return assembly().part(tag).orElseThrow().loads().isEmpty()
                ? List.of()
                : Changes.of(bench, shownTime.get(), tag);
    }

    /** Counts how often somebody did something to the run, rather than time going on. */
    public ReadOnlyIntegerProperty stirredProperty() {
        return stirred.getReadOnlyProperty();
    }

    private void stir() {
        stirred.set(stirred.get() + 1);
    }

    /** For so many seconds on the wall nothing but the time will change by itself; infinite if nothing is under way. */
    public double quietSeconds() {
        if (!running.get()) {
            return Double.POSITIVE_INFINITY;
        }
        if (looksBack() || player.isPresent() || haltAt.isPresent()) {
            return 0;
        }
        long soonest = Math.min(
                deferred.isEmpty() ? Long.MAX_VALUE : deferred.get(0).time,
                bench.restsUntil().orElse(Long.MAX_VALUE));
        return soonest == Long.MAX_VALUE
                ? Double.POSITIVE_INFINITY
                : Math.max(0, (soonest - bench.now()) / 1e6 / speed.get().factor());
    }

    /** Whether an instant before the present is looked at. */
    public boolean looksBack() {
        return shownTime.get() < bench.now();
    }

    /** Does something to a device at the instant that is looked at. */
    public void act(Action action) {
        change(() -> bench.act(action));
    }

    /** Puts a fault in at the instant that is looked at, or takes it out. */
    public void set(Fault fault, boolean there) {
        change(() -> bench.set(fault, there));
    }

    /** Something that can be refused. */
    @FunctionalInterface
    private interface Change {
        void make() throws ActionRefusedException;
    }

    private void change(Change change) {
        notice.set("");
        try {
            if (looksBack()) {
                player = Optional.empty();
                bench.rewindTo(shownTime.get());
                branchOff();
            }
            change.make();
        } catch (ActionRefusedException refused) {
            notice.set(refused.getMessage());
        }
        refresh(bench.now());
        stir();
    }

    /**
     * Does something to a device once the bench has come to a time, at once if it has already.
     *
     * @param time in microseconds
     */
    public void actAt(long time, Action action) {
        if (time <= bench.now() || looksBack()) {
            act(action);
        } else {
            deferred.add(new Deferred(time, action));
            deferred.sort(Comparator.comparingLong(Deferred::time));
            stir();
        }
    }

    /** Takes back what was to be done to a device later on. */
    public void takeBack(String tag) {
        deferred.removeIf(later -> later.action.tag().equals(tag));
    }

    /** Lets time run or stand still. */
    public void setRunning(boolean runs) {
        running.set(runs);
        stir();
    }

    /**
     * A while has passed on the wall.
     *
     * @param seconds how long; nothing happens while time stands still
     */
    public void tick(double seconds) {
        if (!running.get()) {
            return;
        }
        carriedMicros += seconds * speed.get().factor() * 1e6;
        long micros = (long) carriedMicros;
        carriedMicros -= micros;
        long target = shownTime.get() + micros;
        if (haltAt.isPresent() && target >= haltAt.getAsLong()) {
            goTo(haltAt.getAsLong());
            haltAt = OptionalLong.empty();
            setRunning(false);
        } else if (micros > 0) {
            goTo(target);
        }
    }

    /** Goes on to the next instant at which anything changes, and stands still there. */
    public void stepForward() {
        setRunning(false);
        if (looksBack()) {
            bench.instants().stream()
                    .filter(instant -> instant > shownTime.get())
                    .findFirst()
                    .ifPresentOrElse(this::goTo, () -> goTo(bench.now()));
            return;
        }
        long soonest = Math.min(deferred.isEmpty() ? Long.MAX_VALUE : deferred.get(0).time, soonestByItself());
        if (soonest == Long.MAX_VALUE) {
            notice.set("Nothing is under way: nothing will change until something is done.");
        } else {
            goTo(soonest);
        }
    }

    private long soonestByItself() {
        return Math.min(
                bench.nextEvent().orElse(Long.MAX_VALUE),
                player.map(Player::nextStep).orElseGet(OptionalLong::empty).orElse(Long.MAX_VALUE));
    }

    /** Goes back to the instant before, at which anything changed, and stands still there. */
    public void stepBack() {
        setRunning(false);
        List<Long> earlier = bench.instants().stream()
                .filter(instant -> instant < shownTime.get())
                .toList();
        if (!earlier.isEmpty()) {
            lookAt(earlier.get(earlier.size() - 1));
        }
    }

    /**
     * Looks at an instant and lets time stand still there.
     *
     * @param time in microseconds; before the first instant that is kept counts as that, after the present as the present
     */
    public void lookAt(long time) {
        setRunning(false);
        notice.set("");
        refresh(Math.min(time, bench.now()));
    }

    /** Goes back to the present and lets time run. */
    public void backToNow() {
        refresh(bench.now());
        setRunning(true);
    }

    /** Puts everything back to rest at time 0, as the sheet was when it was opened. */
    public void restart() {
        bench = Bench.of(assembly());
        anew();
    }

    private void anew() {
        player = Optional.empty();
        haltAt = OptionalLong.empty();
        notice.set("");
        branchOff();
        setRunning(true);
    }

    /** Starts over and plays a script from its beginning, as fast as time runs. */
    public void play(Scenario scenario) {
        bench = Bench.of(assembly());
        begin(scenario);
    }

    private void begin(Scenario scenario) {
        anew();
        try {
            player = Optional.of(new Player(bench, scenario));
        } catch (ScenarioException unfit) {
            notice.set("The recipe does not fit this sheet: " + unfit.getMessage());
        }
    }

    /**
     * Plays a script from its beginning, at once until shortly before an instant and from there on in slow motion, and stands still at
     * that instant.
     *
     * @param pace the times that the changes take
     * @param instant in microseconds
     */
    public void replay(Scenario scenario, Pace pace, long instant) {
        bench = Bench.of(assembly(), pace);
        begin(scenario);
        goTo(Math.max(0, instant - BEFORE_REPLAY));
        haltAt = OptionalLong.of(instant);
        speed.set(Speed.TEN_MILLISECONDS);
        setRunning(true);
    }

    private void branchOff() {
        deferred.clear();
        story.setAll(bench.story());
        forgotten = bench.storyForgotten();
        refresh(bench.now());
        timeline.set(timeline.get() + 1);
    }

    private void goTo(long time) {
        while (!deferred.isEmpty() && deferred.get(0).time <= time) {
            Deferred next = deferred.remove(0);
            advance(Math.max(next.time, bench.now()));
            refresh(bench.now());
            act(next.action);
        }
        if (time > bench.now()) {
            advance(time);
        }
        refresh(Math.min(time, bench.now()));
    }

    private void advance(long time) {
        if (player.isEmpty()) {
            bench.runUntil(time);
            return;
        }
        try {
            player.get().playUntil(time);
            if (player.get().nextStep().isEmpty()) {
                long met = player.get().outcomes().stream()
                        .filter(outcome -> outcome.met())
                        .count();
                boolean expects = !player.get().outcomes().isEmpty();
                notice.set(
                        !expects
                                ? ""
                                : "Recipe finished: " + met + " of "
                                        + player.get().outcomes().size() + " expectations met.");
                player = Optional.empty();
            }
        } catch (ScenarioException refused) {
            notice.set("The recipe stopped: " + refused.getMessage());
            player = Optional.empty();
        }
    }

    private void refresh(long asked) {
        long time = Math.max(bench.earliest(), asked);
        if (bench.storyForgotten() > forgotten) {
            story.remove(0, Math.min(story.size(), bench.storyForgotten() - forgotten));
            forgotten = bench.storyForgotten();
        }
        if (story.size() < bench.story().size()) {
            story.addAll(bench.story().subList(story.size(), bench.story().size()));
        }
        if (bench.isPastShortened() && !shortenedTold) {
            notice.set("So much has happened that the oldest part of it is forgotten, to keep within memory.");
        }
        shortenedTold = bench.isPastShortened();
        now.set(bench.now());
        shownTime.set(time);
        Moment moment = bench.momentAt(time);
        if (shown.get() == null || !moment.looksLike(shown.get())) {
            shown.set(moment);
        }
    }
}
