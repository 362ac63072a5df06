package parable.app;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import parable.app.card.CardDesk;
import parable.app.job.JobModel;
import parable.app.log.LogModel;
import parable.card.CardEdit;
import parable.card.Pick;
import parable.check.Finding;
import parable.circuit.Device;
import parable.circuit.EditException;
import parable.circuit.Place;
import parable.circuit.Sheet;
import parable.logbook.LogEntry;
import parable.parts.PartException;

/** What the cards of a sheet do with it; each is an edit that can be undone. */
final class SheetCardDesk implements CardDesk {

    private final JobModel jobs;
    private final String name;
    private final WindowActions window;
    private final LogModel log;

    /** The desk of the sheet of this name. */
    SheetCardDesk(JobModel jobs, String name, LogModel log, WindowActions window) {
        this.jobs = jobs;
        this.name = name;
        this.window = window;
        this.log = log;
    }

    private Sheet sheet() {
        return jobs.jobProperty().get().sheet(name).orElseThrow();
    }

    private interface Change {
        Sheet made() throws EditException, PartException;
    }

    /** Makes a change that may not be possible; returns why not. */
    private Optional<String> made(Change change) {
        try {
            jobs.edit(change.made());
            return Optional.empty();
        } catch (EditException | PartException senseless) {
            return Optional.of(senseless.getMessage());
        }
    }

    @Override
    public Optional<String> put(Device device) {
        return made(() -> CardEdit.put(sheet(), device));
    }

    @Override
    public Optional<String> rename(String tag, String other) {
        return made(() -> CardEdit.renamed(sheet(), tag, other));
    }

    @Override
    public void remark(Pick.OfRung at, String remark) {
        jobs.edit(CardEdit.remarked(sheet(), at, remark));
    }

    @Override
    public void goTo(Place place) {
        window.goTo(place);
    }

    @Override
    public List<String> notes(String tag) {
        return log.about(tag);
    }

    @Override
    public Optional<String> note(String tag, String words) {
        return log.enter(LogEntry.Kind.REMARK, tag + ": " + words, Map.of(), 0)
                ? Optional.empty()
                : Optional.of(log.stateProperty().get());
    }

    @Override
    public List<Finding> findings(String tag) {
        return window.found().stream()
                .filter(finding -> finding.where().contains(tag))
                .toList();
    }
}
