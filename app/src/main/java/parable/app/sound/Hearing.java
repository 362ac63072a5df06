package parable.app.sound;

import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.value.ChangeListener;
import javafx.beans.value.WeakChangeListener;
import parable.app.run.RunModel;
import parable.bench.Moment;

/** Lets what happens on a sheet be heard while time runs there and somebody wants to hear it; looking back is silent. */
public final class Hearing {

    private final RunModel run;
    private final ReadOnlyBooleanProperty wanted;
    private final Speaker speaker;

    /** Kept as long as this is; who wants to hear outlives it. */
    private final ChangeListener<Boolean> unwanted = (any, before, now) -> silenceUnless(now);

    /**
     * Listens to a sheet, by the speaker of this machine.
     *
     * @param wanted whether anything is to be heard
     */
    public Hearing(RunModel run, ReadOnlyBooleanProperty wanted) {
        this(run, wanted, new LineSpeaker());
    }

    Hearing(RunModel run, ReadOnlyBooleanProperty wanted, Speaker speaker) {
        this.run = run;
        this.wanted = wanted;
        this.speaker = speaker;
        run.shownProperty().addListener((any, before, now) -> hear(before, now));
        run.runningProperty().addListener((any, before, now) -> silenceUnless(now));
        wanted.addListener(new WeakChangeListener<>(unwanted));
    }

    private void silenceUnless(boolean heard) {
        if (!heard) {
            speaker.horn(false);
        }
    }

    private void hear(Moment before, Moment now) {
        if (wanted.get() && run.runningProperty().get() && !run.looksBack()) {
            Heard heard = Heard.of(before, now);
            heard.clicks().stream().distinct().forEach(speaker::click);
            speaker.horn(heard.horn());
        } else {
            speaker.horn(false);
        }
    }

    /** The sheet is not shown any more: its horn is silent. */
    public void silence() {
        speaker.horn(false);
    }
}
