package parable.app.sound;

import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import javax.sound.sampled.AudioFormat;
import javax.sound.sampled.AudioSystem;
import javax.sound.sampled.Clip;
import javax.sound.sampled.LineUnavailableException;

/** The speaker of this machine; on one that has none, nothing is heard and nothing goes wrong. */
final class LineSpeaker implements Speaker {

    private static final AudioFormat FORMAT = new AudioFormat(Tones.RATE, 16, 1, true, false);

    private final Map<Heard.Click, Optional<Clip>> clicks = new EnumMap<>(Heard.Click.class);
    private Optional<Clip> horn = Optional.empty();
    private boolean tried;

    @Override
    public void click(Heard.Click click) {
        clicks.computeIfAbsent(click, one -> clip(Tones.of(one))).ifPresent(clip -> {
            clip.stop();
            clip.setFramePosition(0);
            clip.start();
        });
    }

    @Override
    public void horn(boolean sounds) {
        if (sounds && !tried) {
            tried = true;
            horn = clip(Tones.horn());
        }
        horn.filter(clip -> clip.isRunning() != sounds).ifPresent(clip -> {
            if (sounds) {
                clip.loop(Clip.LOOP_CONTINUOUSLY);
            } else {
                clip.stop();
            }
        });
    }

    private static Optional<Clip> clip(byte[] samples) {
        try {
            Clip clip = AudioSystem.getClip();
            clip.open(FORMAT, samples, 0, samples.length);
            return Optional.of(clip);
        } catch (LineUnavailableException | IllegalArgumentException noSpeaker) {
            return Optional.empty();
        }
    }
}
