package parable.app;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import parable.app.findings.Accepting;
import parable.app.job.FilePrompt;
import parable.app.job.JobModel;
import parable.check.Finding;
import parable.circuit.Acceptance;
import parable.circuit.Sheet;

/** Accepts findings by edits that can be undone; what is accepted is saved with the sheet. */
final class Acceptances implements Accepting {

    private final JobModel jobs;
    private final Supplier<String> shown;
    private final FilePrompt prompt;
    private String lastName = "";

    Acceptances(JobModel jobs, Supplier<String> shown, FilePrompt prompt) {
        this.jobs = jobs;
        this.shown = shown;
        this.prompt = prompt;
    }

    private Sheet sheet() {
        return jobs.jobProperty().get().sheet(shown.get()).orElseThrow();
    }

    @Override
    public Optional<Acceptance> of(Finding finding) {
        return sheet().acceptance(finding.code(), finding.where());
    }

    @Override
    public void accept(Finding finding) {
        Optional<String> remark = prompt.toName("Why is this accepted? " + finding.text(), "");
        Optional<String> name = remark.flatMap(why -> prompt.toName("Accepted by (your name)", lastName))
                .map(String::strip)
                .filter(words -> !words.isEmpty());
        name.ifPresent(by -> {
            lastName = by;
            List<Acceptance> accepted = new ArrayList<>(sheet().accepted());
            accepted.add(new Acceptance(
                    finding.code(),
                    finding.where(),
                    remark.get().strip(),
                    by,
                    LocalDate.now().toString()));
            jobs.edit(sheet().withAccepted(accepted));
        });
    }

    @Override
    public void withdraw(Acceptance acceptance) {
        List<Acceptance> accepted = new ArrayList<>(sheet().accepted());
        accepted.remove(acceptance);
        jobs.edit(sheet().withAccepted(accepted));
    }
}
