package parable.app;

import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import parable.app.find.FindSlip;
import parable.app.job.JobModel;
import parable.app.job.JobStep;

/** What keys mean in the window: to it, then to the step that is shown, then to time. */
final class WindowKeys {

    private final MainWindow window;
    private final JobModel jobs;
    private final ViewMenu view;
    private final Header header;
    private final FindSlip find;

    WindowKeys(MainWindow window, JobModel jobs, ViewMenu view, Header header, FindSlip find) {
        this.window = window;
        this.jobs = jobs;
        this.view = view;
        this.header = header;
        this.find = find;
    }

    /** Does what a key says that nothing in the window took. */
    void key(KeyEvent event) {
        if (view.key(event)
                || event.getCode() == KeyCode.ESCAPE && window.slip().putAway()) {
            return;
        }
        if (event.isShortcutDown()) {
            if (!shortcut(event) && !stepKey(event)) {
                header.key(event);
            }
        } else if (!window.isAsking() && stepKey(event)) {
            event.consume();
        } else if (!window.isAsking()) {
            plain(event);
        }
    }

    private boolean stepKey(KeyEvent event) {
        return window.stepPage().key(event, window.isInText());
    }

    private boolean shortcut(KeyEvent event) {
        switch (event.getCode()) {
            case Z -> jobs.undo();
            case Y -> jobs.redo();
            case I -> window.page().card().device().ifPresent(window::why);
            case M -> {
                window.setStep(JobStep.TRY);
                window.page().measure();
            }
            case ENTER -> window.page().takeMenu();
            case D -> window.setDrawing(!window.drawing() || window.isEmpty(window.shown()));
            case F -> find.open();
            default -> {
                return step(event.getCode());
            }
        }
        return true;
    }

    private boolean step(KeyCode code) {
        for (JobStep step : JobStep.values()) {
            if (step.key().equals("Ctrl+" + code.getName())) {
                window.setStep(step);
                return true;
            }
        }
        return false;
    }

    private void plain(KeyEvent event) {
        switch (event.getCode()) {
            case F2 -> window.page().takeCard();
            case P -> window.run().setRunning(!window.run().runningProperty().get());
            case B -> window.run().stepBack();
            case N -> window.run().stepForward();
            default -> {}
        }
    }
}
