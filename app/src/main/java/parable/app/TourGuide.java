package parable.app;

import java.util.Optional;
import javafx.scene.Node;
import parable.app.MessageSlip.Answer;
import parable.app.job.HomeFolder;
import parable.app.job.JobModel;
import parable.app.job.JobStep;
import parable.app.tour.TourGround;
import parable.app.tour.TourSlip;
import parable.bench.Condition;
import parable.card.Pick;
import parable.circuit.Job;

/** Takes whoever is new through the window, on the demo job. */
public final class TourGuide implements TourGround {

    private final MainWindow window;
    private final JobModel jobs;
    private final TourSlip slip = new TourSlip(this);
    private Job before;

    TourGuide(MainWindow window, JobModel jobs) {
        this.window = window;
        this.jobs = jobs;
        before = jobs.jobProperty().get();
    }

    /** What lies over the drawing during the tour. */
    TourSlip slip() {
        return slip;
    }

    /** Offers the tour, once in the life of a home folder. */
    public void offer() {
        if (isOnGround() && HomeFolder.isFirst("tour-offered")) {
            window.slip()
                    .offer(
                            "Is this your first time here? A tour of five minutes shows on this job how to try, draw and check.",
                            new Answer("answer-yes", "Take the tour", this::begin),
                            new Answer("answer-no", "Not now", () -> {}));
        }
    }

    private boolean isOnGround() {
        return jobs.jobProperty().get().sheet(SHEET).isPresent();
    }

    /** Begins, on the sheet that it goes over. */
    void begin() {
        if (!isOnGround()) {
            window.tell(
                    "The tour goes over the wash pump of the demo job. Start Parable without a file and take it there.");
            return;
        }
        before = jobs.jobProperty().get();
        window.slip().withdraw();
        window.showSheet(SHEET);
        window.setStep(JobStep.TRY);
        slip.begin();
    }

    @Override
    public Condition condition(String tag) {
        return window.run().shownProperty().get().condition(tag);
    }

    @Override
    public int faults() {
        return window.run().shownProperty().get().faults().size();
    }

    @Override
    public Optional<Pick> selected() {
        return window.page().card().pickProperty().get();
    }

    @Override
    public JobStep step() {
        return window.step();
    }

    @Override
    public boolean edited() {
        return !jobs.jobProperty().get().equals(before);
    }

    @Override
    public boolean proved() {
        return window.isProved();
    }

    @Override
    public Optional<Node> part(String id) {
        return Optional.ofNullable(window.part(id));
    }
}
