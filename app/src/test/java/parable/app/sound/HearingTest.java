package parable.app.sound;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import javafx.beans.property.SimpleBooleanProperty;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import parable.app.run.RunModel;
import parable.bench.Action;
import parable.circuit.Sheet;
import parable.parts.Assembly;
import parable.parts.PartException;
import parable.parts.Verb;
import parable.starters.Library;

/** What is heard of a starter while it is operated. */
class HearingTest {

    /** Writes down what it is to play. */
    private static final class Listener implements Speaker {
        private final List<String> heard = new ArrayList<>();
        private boolean horn;

        @Override
        public void click(Heard.Click click) {
            heard.add(click.name());
        }

        @Override
        public void horn(boolean sounds) {
            if (sounds != horn) {
                heard.add(sounds ? "horn" : "silence");
            }
            horn = sounds;
        }
    }

    private final SimpleBooleanProperty wanted = new SimpleBooleanProperty(true);
    private final Listener listener = new Listener();

    private static RunModel run(String name) throws PartException {
        Sheet sheet = Library.jobs().stream()
                .flatMap(job -> job.sheet(name).stream())
                .findFirst()
                .orElseThrow();
        return new RunModel(Assembly.of(sheet));
    }

    private static void act(RunModel run, Verb verb, String tag, double seconds) {
        run.act(new Action(verb, tag));
        for (double passed = 0; passed < seconds; passed += 0.02) {
            run.tick(0.02);
        }
    }

    @Test
    void aPumpIsHeardToPullInAndToLetGo() throws PartException {
        RunModel run = run("Wash pump");
        new Hearing(run, wanted, listener);
        act(run, Verb.CLOSE, "Q1", 0.2);
        assertThat(listener.heard).isEmpty();
        act(run, Verb.PRESS, "S1", 0.3);
        act(run, Verb.RELEASE, "S1", 0.3);
        assertThat(listener.heard).containsExactly("CONTACTOR_IN");
        act(run, Verb.PRESS, "S0", 0.3);
        assertThat(listener.heard).containsExactly("CONTACTOR_IN", "CONTACTOR_OUT");
    }

    @Test
    void theHornSoundsAsLongAsItWarns() throws PartException {
        RunModel run = run("Mill start warning");
        Hearing hearing = new Hearing(run, wanted, listener);
        act(run, Verb.CLOSE, "Q1", 0.5);
        assertThat(listener.heard).startsWith("horn");
        act(run, Verb.CLOSE, "Q1", 4);
        assertThat(listener.heard).endsWith("silence").contains("RELAY_IN");

        RunModel again = run("Mill start warning");
        Hearing other = new Hearing(again, wanted, listener);
        act(again, Verb.CLOSE, "Q1", 0.5);
        assertThat(listener.horn).isTrue();
        other.silence();
        assertThat(listener.horn).as("another sheet is shown").isFalse();
        hearing.silence();
    }

    @Test
    void nothingIsHeardUnlessSomebodyWantsItNorWhileLookingBack() throws PartException {
        RunModel run = run("Wash pump");
        new Hearing(run, wanted, listener);
        wanted.set(false);
        act(run, Verb.CLOSE, "Q1", 0.2);
        act(run, Verb.PRESS, "S1", 0.3);
        assertThat(listener.heard).isEmpty();
        wanted.set(true);
        run.setRunning(false);
        run.stepBack();
        run.stepBack();
        run.stepForward();
        assertThat(listener.heard).isEmpty();
    }

    /** Quiet, and without a crack: no sample is loud, and it begins and ends at next to nothing. */
    @ParameterizedTest
    @EnumSource(Heard.Click.class)
    void aClickIsQuietAndBeginsAndEndsAtNothing(Heard.Click click) {
        byte[] samples = Tones.of(click);
        assertThat(samples.length / 2.0 / Tones.RATE).isBetween(0.01, 0.1);
        assertThat(loudest(samples)).isBetween(0.01, Tones.LOUDEST);
        assertThat(Math.abs(sample(samples, 0))).isLessThan(0.005);
        assertThat(Math.abs(sample(samples, samples.length / 2 - 1))).isLessThan(0.005);
    }

    @Test
    void theHornIsQuietAndCanBeRepeatedWithoutASeam() {
        byte[] samples = Tones.horn();
        assertThat(loudest(samples)).isBetween(0.02, Tones.LOUDEST);
        double step = Math.abs(sample(samples, 1) - sample(samples, 0));
        assertThat(Math.abs(sample(samples, samples.length / 2 - 1) - sample(samples, 0)))
                .isLessThan(2 * step);
    }

    /** On a machine without a speaker nothing goes wrong. */
    @Test
    void aMachineWithoutASpeakerIsSilent() {
        LineSpeaker speaker = new LineSpeaker();
        for (Heard.Click click : Heard.Click.values()) {
            speaker.click(click);
        }
        speaker.horn(true);
        speaker.horn(false);
        assertThat(Heard.Click.values()).hasSize(4);
    }

    private static double sample(byte[] samples, int at) {
        return (short) (samples[2 * at] & 0xff | samples[2 * at + 1] << 8) / (double) Short.MAX_VALUE;
    }

    private static double loudest(byte[] samples) {
        double most = 0;
        for (int i = 0; i < samples.length / 2; i++) {
            most = Math.max(most, Math.abs(sample(samples, i)));
        }
        return most;
    }
}
