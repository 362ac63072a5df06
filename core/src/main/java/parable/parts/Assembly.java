package parable.parts;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import parable.circuit.Circuit;
import parable.circuit.Device;
import parable.circuit.Nodes;
import parable.circuit.Rung;
import parable.circuit.Sheet;
import parable.circuit.Terminal;
import parable.parts.PartException.Site;
import parable.ratings.JobTables;

/** A sheet whose devices are all fitted out and whose rungs only use terminals that those devices have. */
public final class Assembly {

    private final Sheet sheet;
    private final JobTables tables;
    private final PartList parts;
    private final Nodes nodes;

    /** In the order of the sheet's: the power circuit's, then the ladder's. */
    private final List<FittedRung> rungs;

    private Assembly(Sheet sheet, JobTables tables, PartList parts, Map<Rung, FittedRung> known) {
        this.sheet = sheet;
        this.tables = tables;
        this.parts = parts;
        this.nodes = Nodes.of(sheet);
        this.rungs = sheet.rungs()
                .map(rung -> known.containsKey(rung) ? known.get(rung) : new FittedRung(rung, this))
                .toList();
    }

    /**
     * Fits out a sheet by the tables that ship.
     *
     * @throws PartException as {@link #of(Sheet, JobTables)} does
     */
    public static Assembly of(Sheet sheet) throws PartException {
        return of(sheet, JobTables.SHIPPED);
    }

    /**
     * Fits out a sheet.
     *
     * @param tables of its job; what the settings of a device leave open is read from these
     *
     * @throws PartException at the first device with an unknown kind, a senseless setting or a tag that was used before,
     *     or at the first terminal on a rung that its device does not have
     */
    public static Assembly of(Sheet sheet, JobTables tables) throws PartException {
        return fitted(sheet, tables, device -> Optional.empty(), Map.of());
    }

    /**
     * This with other times for some devices.
     *
     * @param times how long their contacts take, by their tags
     */
    public Assembly timed(Map<String, Travel> times) {
        return new Assembly(sheet, tables, parts.timed(times), Map.of());
    }

    /**
     * This for a changed sheet and by the same tables; the parts of devices that are as they were are taken over.
     *
     * @throws PartException as {@link #of} does
     */
    public Assembly on(Sheet changed) throws PartException {
        if (changed.devices() == sheet.devices()) {
            return checked(changed, tables, parts, rungsWithout(Set.of()));
        }
        Set<Device> staying = identical(changed.devices());
        Set<String> gone = sheet.devices().stream()
                .filter(device -> !staying.contains(device))
                .map(Device::tag)
                .collect(Collectors.toSet());
        return fitted(
                changed,
                tables,
                device -> parts.entry(device.tag()).filter(entry -> entry.part().device() == device),
                keepsOrder(changed.devices()) ? rungsWithout(gone) : Map.of());
    }

    /** Whether the parts of a changed sheet have the positions that they have here, as far as both have any. */
    private boolean keepsOrder(List<Device> changed) {
        List<Device> before = sheet.devices();
        for (int i = 0; i < Math.min(before.size(), changed.size()); i++) {
            boolean same = before.get(i) == changed.get(i)
                    || before.get(i).tag().equals(changed.get(i).tag());
            if (!same) {
                return false;
            }
        }
        return true;
    }

    /** The rungs that have nothing to do with some devices, by identity. */
    private Map<Rung, FittedRung> rungsWithout(Set<String> tags) {
        Map<Rung, FittedRung> staying = new IdentityHashMap<>(rungs.size());
        for (FittedRung rung : rungs) {
            if (tags.isEmpty() || rung.rung().terminals().map(Terminal::tag).noneMatch(tags::contains)) {
                staying.put(rung.rung(), rung);
            }
        }
        return staying;
    }

    /** A set that tells things apart by identity, which is quick; what is equal but not the same is only done once more. */
    private static <T> Set<T> identical(Collection<T> things) {
        Set<T> identical = Collections.newSetFromMap(new IdentityHashMap<>());
        identical.addAll(things);
        return identical;
    }

    private static Assembly fitted(
            Sheet sheet,
            JobTables tables,
            Function<Device, Optional<PartList.Entry>> known,
            Map<Rung, FittedRung> fitted)
            throws PartException {
        List<PartList.Entry> parts = new ArrayList<>();
        Set<String> tags = new HashSet<>();
        for (Device device : sheet.devices()) {
            int index = parts.size();
            if (!tags.add(device.tag())) {
                throw new PartException(
                        new Site.DeviceField(index, "tag"),
                        device.tag(),
                        device.tag(),
                        "a tag that no other device of the sheet has");
            }
            Optional<PartList.Entry> part = known.apply(device);
            parts.add(part.isPresent() ? part.get() : PartList.Entry.of(fit(index, device, tables)));
        }
        return checked(sheet, tables, PartList.of(parts), fitted);
    }

    private static Assembly checked(Sheet sheet, JobTables tables, PartList parts, Map<Rung, FittedRung> fitted)
            throws PartException {
        Assembly assembly = new Assembly(sheet, tables, parts, fitted);
        for (int i = 0; i < assembly.rungs.size(); i++) {
            FittedRung rung = assembly.rungs.get(i);
            if (!fitted.containsKey(rung.rung())) {
                rung.check(new Site.OnRung(i), assembly);
            }
        }
        return assembly;
    }

    private static Part fit(int index, Device device, JobTables tables) throws PartException {
        Optional<PartKind> kind = Catalogue.kind(device.kind());
        if (kind.isEmpty()) {
            throw new PartException(
                    new Site.DeviceField(index, "kind"),
                    device.tag(),
                    device.kind(),
                    Catalogue.kinds().stream().map(PartKind::id).collect(Collectors.joining(", ", "one of ", "")));
        }
        try {
            return kind.get().fit(device, tables);
        } catch (SettingException senseless) {
            throw new PartException(
                    new Site.DeviceField(index, senseless.name()),
                    device.tag(),
                    senseless.found(),
                    senseless.expected());
        }
    }

    /** The tables that it was fitted out by. */
    public JobTables tables() {
        return tables;
    }

    /** The sheet that was fitted out. */
    public Sheet sheet() {
        return sheet;
    }

    /** The parts, in the order of the sheet's devices; the list cannot be changed. */
    public List<Part> parts() {
        return parts.parts();
    }

    /** The terminals of a part, by its position in {@link #parts()}. */
    public PartTerminals terminals(int part) {
        return parts.terminals().get(part);
    }

    /** Whether any wire lands on a terminal of a part. */
    public boolean isWired(Part part, String marking) {
        return nodes().indexOf(new Terminal(part.tag(), marking)).isPresent();
    }

    /** The part of this tag, empty if the sheet has none. */
    public Optional<Part> part(String tag) {
        return indexOf(tag).map(parts.parts()::get);
    }

    /** The position in {@link #parts()} of the part of this tag, empty if the sheet has none. */
    public Optional<Integer> indexOf(String tag) {
        return parts.indexOf(tag);
    }

    /** The rungs of one of its circuits, in the order of the sheet. */
    public List<FittedRung> rungs(Circuit circuit) {
        int power = sheet.power().size();
        return circuit == Circuit.POWER ? rungs.subList(0, power) : rungs.subList(power, rungs.size());
    }

    /** The sheet's nodes with their wire numbers. */
    public Nodes nodes() {
        return nodes;
    }
}
