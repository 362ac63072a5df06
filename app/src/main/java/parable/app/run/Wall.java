package parable.app.run;

import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;
import javafx.animation.AnimationTimer;
import javafx.application.Platform;

/**
 * The clock on the wall, which lets time go on for the sheet that is shown: with every frame while anything is under way there, once a second while nothing
 * is, so that a window at rest takes next to nothing. Whoever does something wakes it first.
 */
public final class Wall {

    /** The most that passes at once after the window was held up. */
    private static final double MOST_SECONDS = 0.25;

    private static final double AT_REST_SECONDS = 1;

    /** A shorter rest is not worth it. */
    private static final double SHORTEST_REST_SECONDS = 0.1;

    private final Supplier<RunModel> run;
    private final ScheduledExecutorService waiting = Executors.newSingleThreadScheduledExecutor(task -> {
        Thread thread = new Thread(task, "wall");
        thread.setDaemon(true);
        return thread;
    });
    private final AnimationTimer frames = new AnimationTimer() {
        @Override
        public void handle(long nanos) {
            pass(MOST_SECONDS);
            rest();
        }
    };
    private Future<?> alarm = waiting.submit(() -> {});
    private boolean on;
    private boolean resting;
    private long last;

    /**
     * A clock that stands still.
     *
     * @param run gives the sheet that is shown
     */
    public Wall(Supplier<RunModel> run) {
        this.run = run;
    }

    /** Lets time go on. */
    public void start() {
        if (!on) {
            on = true;
            resting = false;
            last = System.nanoTime();
            frames.start();
        }
    }

    /** Lets time stand still. */
    public void stop() {
        on = false;
        alarm.cancel(false);
        frames.stop();
    }

    /** Catches up with the time that has passed at rest, and goes on with every frame; to be called before anything is done to the sheet. */
    public void wake() {
        if (on && resting) {
            pass(AT_REST_SECONDS);
            stirred();
        }
    }

    /** Goes on with every frame from now on, since something was done to the sheet. */
    public void stirred() {
        if (on && resting) {
            resting = false;
            alarm.cancel(false);
            last = System.nanoTime();
            frames.start();
        }
    }

    private void pass(double most) {
        long now = System.nanoTime();
        double seconds = (now - last) / 1e9;
        last = now;
        run.get().tick(Math.min(most, seconds));
    }

    /** Rests until the next thing happens by itself, a second at the most. */
    private void rest() {
        double quiet = run.get().quietSeconds();
        if (quiet < SHORTEST_REST_SECONDS) {
            return;
        }
        frames.stop();
        resting = true;
        if (run.get().runningProperty().get()) {
            long micros = (long) (Math.min(AT_REST_SECONDS, quiet) * 1e6);
            alarm = waiting.schedule(() -> Platform.runLater(this::ring), micros, TimeUnit.MICROSECONDS);
        }
    }

    private void ring() {
        if (on && resting) {
            pass(2 * AT_REST_SECONDS);
            if (run.get().quietSeconds() < SHORTEST_REST_SECONDS) {
                stirred();
            } else {
                rest();
            }
        }
    }
}
