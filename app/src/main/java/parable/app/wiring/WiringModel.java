package parable.app.wiring;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import javafx.beans.property.ReadOnlyIntegerProperty;
import javafx.beans.property.ReadOnlyIntegerWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import parable.app.job.JobModel;
import parable.app.job.Latest;
import parable.circuit.Device;
import parable.circuit.Fieldwork;
import parable.circuit.Places;
import parable.circuit.Position;
import parable.circuit.Practice;
import parable.circuit.Sheet;
import parable.circuit.Terminal;
import parable.circuit.Tick;
import parable.circuit.WiringMethod;
import parable.parts.Assembly;
import parable.parts.PartException;
import parable.ratings.JobTables;
import parable.wiring.Cable;
import parable.wiring.Cables;
import parable.wiring.Label;
import parable.wiring.Labels;
import parable.wiring.Landing;
import parable.wiring.PanelLayout;
import parable.wiring.PartsLine;
import parable.wiring.PartsList;
import parable.wiring.TerminalPlan;
import parable.wiring.Wire;
import parable.wiring.WireList;

/** The wiring of one sheet: its lists, which wire is being made, and what has been ticked off. */
public final class WiringModel {

    private final JobModel jobs;
    private final String name;
    private final Latest latest = new Latest("wiring");
    private final ReadOnlyObjectWrapper<Optional<Lists>> lists = new ReadOnlyObjectWrapper<>(Optional.empty());
    private final ReadOnlyIntegerWrapper selected = new ReadOnlyIntegerWrapper();
    private Optional<List<Object>> listed = Optional.empty();

    /** All that is listed of a sheet. */
    public record Lists(
            Assembly assembly,
            PanelLayout layout,
            WireList wires,
            List<TerminalPlan.Line> strip,
            List<Cable> cables,
            List<PartsLine> parts,
            List<Label> labels) {

        static Lists of(Sheet sheet, Practice practice, JobTables tables) {
            try {
                Assembly assembly = Assembly.of(sheet, tables);
                return new Lists(
                        assembly,
                        PanelLayout.of(assembly),
                        WireList.of(assembly, practice),
                        TerminalPlan.of(assembly, practice),
                        Cables.of(assembly, practice),
                        PartsList.of(assembly),
                        Labels.of(assembly, practice));
            } catch (PartException impossible) {
                throw new IllegalStateException("the job holds a sheet that cannot be fitted out", impossible);
            }
        }
    }

    /** The wiring of the sheet of this name. */
    public WiringModel(JobModel jobs, String name) {
        this.jobs = jobs;
        this.name = name;
    }

    private Optional<Sheet> sheet() {
        return jobs.jobProperty().get().sheet(name);
    }

    /** Looks at the sheet, anew if it has changed in what the lists depend on. */
    public void look() {
        sheet().ifPresent(sheet -> {
            Practice practice = jobs.jobProperty().get().practice();
            JobTables tables = JobTables.of(jobs.jobProperty().get());
            Sheet bare = sheet.withFieldwork(sheet.fieldwork().undone());
            Optional<List<Object>> asked = Optional.of(List.of(bare, practice, tables));
            if (!asked.equals(listed)) {
                listed = asked;
                latest.ask(() -> Lists.of(bare, practice, tables), made -> {
                    lists.set(Optional.of(made));
                    select(Math.min(selected.get(), made.wires().wires().size() - 1));
                });
            }
        });
    }

    /** The lists, empty until they are worked out. */
    public ReadOnlyObjectProperty<Optional<Lists>> listsProperty() {
        return lists.getReadOnlyProperty();
    }

    /** The position of the wire that is being made among all, from 0. */
    public ReadOnlyIntegerProperty selectedProperty() {
        return selected.getReadOnlyProperty();
    }

    /** All wires in the order in which they are made. */
    public List<Wire> wires() {
        return lists.get().map(made -> made.wires().wires()).orElse(List.of());
    }

    /** The wire that is being made, empty if the sheet has none. */
    public Optional<Wire> wire() {
        int at = selected.get();
        return at >= 0 && at < wires().size() ? Optional.of(wires().get(at)) : Optional.empty();
    }

    /** Goes to a wire; to the nearest there is. */
    public void select(int wanted) {
        selected.set(Math.max(0, Math.min(wires().size() - 1, wanted)));
    }

    /** Goes to the first wire that is not made yet; stays if all are. */
    public void goToNext() {
        for (int i = 0; i < wires().size(); i++) {
            int at = (selected.get() + i) % wires().size();
            if (!ticks(wires().get(at)).contains(Tick.DONE)) {
                select(at);
                return;
            }
        }
    }

    /** What has been ticked off for a wire. */
    public Set<Tick> ticks(Wire wire) {
        return sheet().map(sheet -> sheet.fieldwork().ticks(wire.from(), wire.to()))
                .orElse(Set.of());
    }

    /** How many wires have a tick. */
    public long count(Tick tick) {
        return wires().stream().filter(wire -> ticks(wire).contains(tick)).count();
    }

    /** Ticks something off for a wire, or takes it back. */
    public void tick(Wire wire, Tick tick, boolean set) {
        edit(work -> work.ticked(wire.from(), wire.to(), tick, set));
    }

    /** Ticks off that the wire in hand is made, and goes to the next one that is not. */
    public void done() {
        wire().ifPresent(wire -> {
            tick(wire, Tick.DONE, true);
            goToNext();
        });
    }

    /** Where else the wire in hand may land, empty if the sheet has none. */
    public Optional<Landing> landing() {
        return lists.get().flatMap(made -> wire().map(wire -> Landing.of(made.assembly(), made.wires(), wire)));
    }

    /** Makes an end of the wire in hand land elsewhere. */
    public void land(Landing landing, Terminal end, Terminal instead) {
        edit(work -> landing.moved(work, end, instead));
    }

    /** Wires the number in hand as it is proposed. */
    public void landAsProposed(Landing landing) {
        edit(landing::asProposed);
    }

    /** How it is wired. */
    public WiringMethod method() {
        return sheet().map(sheet -> sheet.fieldwork().method()).orElse(WiringMethod.POINT_TO_POINT);
    }

    /** Wires it otherwise. */
    public void wireBy(WiringMethod method) {
        if (method != method()) {
            edit(work -> work.by(method));
        }
    }

    private void edit(UnaryOperator<Fieldwork> change) {
        sheet().ifPresent(sheet -> jobs.edit(sheet.withFieldwork(change.apply(sheet.fieldwork()))));
    }

    /** Puts a device elsewhere in its place; nothing happens for the terminal strip, which follows the others. */
    public void move(String tag, Position there) {
        sheet().ifPresent(sheet -> sheet.device(tag)
                .filter(device -> !device.at().equals(Optional.of(there)))
                .ifPresent(device -> {
                    List<Device> others = sheet.devices().stream()
                            .map(one -> one.tag().equals(tag) ? one.standing(there) : one)
                            .toList();
                    jobs.edit(sheet.withDevices(others));
                }));
    }

    /** The place of a terminal. */
    String place(Terminal terminal) {
        return lists.get().map(made -> made.layout().place(terminal.tag())).orElse(Places.BACK_PLATE);
    }
}
