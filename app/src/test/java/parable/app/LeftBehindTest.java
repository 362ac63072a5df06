package parable.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.lang.ref.WeakReference;
import java.util.ArrayList;
import java.util.List;
import javafx.beans.property.SimpleObjectProperty;
import javafx.scene.Scene;
import javafx.scene.layout.Pane;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;
import parable.app.job.JobStep;
import parable.app.look.WhileShown;
import parable.circuit.Job;

/** What the window shows no more costs neither memory nor work. */
@ExtendWith(ApplicationExtension.class)
class LeftBehindTest extends DrivenWindow {

    /** On a stage of its own: the events of the other are recorded, and with them what they were sent to. */
    @Start
    private void start(Stage recorded) throws Exception {
        open(new Stage());
    }

    /** But for the one that was closed last: the toolkit may keep that until something else has been shown. */
    @Test
    void pagesOfAJobThatWasClosedAreFreeToGo() throws Exception {
        List<WeakReference<SheetPage>> closed = new ArrayList<>();
        for (int i = 0; i < 2; i++) {
            for (JobStep step : JobStep.values()) {
                onInterface(() -> window.setStep(step));
            }
            closed.add(new WeakReference<>(window.page()));
            onInterface(() -> jobs.open(DEMO));
        }
        assertGone(closed.subList(0, 1));
    }

    @Test
    void thePageOfASheetThatWasTakenAwayIsFreeToGo() throws Exception {
        String kept = window.page().run().assembly().sheet().name();
        String other = jobs.jobProperty().get().sheets().get(1).name();
        onInterface(() -> window.showSheet(other));
        WeakReference<SheetPage> taken = new WeakReference<>(window.page());
        onInterface(() -> window.showSheet(kept));
        onInterface(() -> jobs.edit(without(other)));
        assertGone(List.of(taken));
    }

    @Test
    void aPartThatIsNotShownDoesNothingAndMakesUpForItWhenItIs() throws Exception {
        SimpleObjectProperty<String> followed = new SimpleObjectProperty<>("first");
        List<String> seen = new ArrayList<>();
        Pane part = new Pane();
        Scene scene = WaitForAsyncUtils.asyncFx(() -> new Scene(new Pane())).get();
        WhileShown.follow(part, () -> seen.add(followed.get()), followed);
        followed.set("second");
        assertThat(seen).isEmpty();
        onInterface(() -> scene.setRoot(part));
        assertThat(seen).containsExactly("second");
        followed.set("third");
        assertThat(seen).containsExactly("second", "third");
        onInterface(() -> scene.setRoot(new Pane()));
        onInterface(() -> scene.setRoot(part));
        assertThat(seen).containsExactly("second", "third");
    }

    private Job without(String sheet) {
        Job job = jobs.jobProperty().get();
        return job.with(
                job.sheets().stream().filter(one -> !one.name().equals(sheet)).toList());
    }

    private static void assertGone(List<WeakReference<SheetPage>> pages) throws Exception {
        until(() -> {
            System.gc();
            return pages.stream().allMatch(page -> page.refersTo(null));
        });
    }

    private static void onInterface(Runnable act) throws Exception {
        WaitForAsyncUtils.asyncFx(act).get();
        WaitForAsyncUtils.waitForFxEvents();
    }
}
