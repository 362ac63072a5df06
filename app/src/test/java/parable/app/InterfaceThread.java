package parable.app;

import java.util.concurrent.Callable;
import java.util.concurrent.TimeUnit;
import org.testfx.api.FxToolkit;
import org.testfx.util.WaitForAsyncUtils;

/** The thread of the interface without a window, for the models behind the pages. */
public final class InterfaceThread {

    private static final int SECONDS = 30;

    private InterfaceThread() {}

    /** Starts the toolkit, offscreen, unless it runs already. */
    public static void start() throws Exception {
        FxToolkit.registerPrimaryStage();
    }

    /** Does something on that thread and hands out what it comes to. */
    public static <T> T on(Callable<T> act) throws Exception {
        return WaitForAsyncUtils.waitForAsyncFx(TimeUnit.SECONDS.toMillis(SECONDS), act);
    }

    /** Does something on that thread. */
    public static void run(Runnable act) throws Exception {
        on(() -> {
            act.run();
            return true;
        });
    }

    /** Waits until something is so on that thread; fails if it does not come to be. */
    public static void until(Callable<Boolean> reached) throws Exception {
        WaitForAsyncUtils.waitFor(SECONDS, TimeUnit.SECONDS, () -> on(reached));
    }
}
