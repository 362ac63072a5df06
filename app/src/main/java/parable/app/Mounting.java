package parable.app;

import java.util.function.Supplier;
import parable.app.door.Placing;
import parable.app.job.FilePrompt;
import parable.app.job.JobModel;
import parable.circuit.Edit;
import parable.circuit.Sheet;

/** Mounts devices of the shown sheet elsewhere, each time by an edit that can be undone. */
final class Mounting implements Placing {

    private final JobModel jobs;
    private final Supplier<String> shown;
    private final FilePrompt prompt;

    Mounting(JobModel jobs, Supplier<String> shown, FilePrompt prompt) {
        this.jobs = jobs;
        this.shown = shown;
        this.prompt = prompt;
    }

    @Override
    public void put(String tag, String place) {
        Sheet sheet = jobs.jobProperty().get().sheet(shown.get()).orElseThrow();
        sheet.device(tag).ifPresent(device -> jobs.edit(new Edit.PutDevice(device.placed(place)).on(sheet)));
    }

    @Override
    public void putElsewhere(String tag) {
        prompt.toName("Where is " + tag + " mounted?", "").map(String::strip).ifPresent(place -> put(tag, place));
    }
}
