package parable.check;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import parable.circuit.Circuit;
import parable.circuit.ColourCode;
import parable.circuit.Conventions;
import parable.circuit.Device;
import parable.circuit.Edit;
import parable.circuit.EditException;
import parable.circuit.Extras;
import parable.circuit.Nodes;
import parable.circuit.Place;
import parable.circuit.Practice;
import parable.circuit.Rung;
import parable.circuit.RungItem;
import parable.circuit.Sheet;
import parable.circuit.Structure;
import parable.circuit.Terminal;
import parable.circuit.WireChoice;
import parable.drafting.NewDevice;
import parable.drafting.TypedRung;
import parable.parts.Assembly;
import parable.parts.Family;
import parable.parts.Part;
import parable.parts.PartException;
import parable.ratings.JobTables;

/**
 * A change of a sheet that does away with a finding. It is only offered after the rules have looked at the changed sheet: the finding must
 * be gone, and nothing new may have come.
 *
 * @param words what it does
 * @param sheet the sheet afterwards
 */
public record Repair(String words, Sheet sheet) {

    private static final String MECHANICAL = "mechanical-interlock";

    /**
     * The repair of a finding on a sheet, empty if none is known that is safe.
     *
     * @param findings everything that is found on the sheet
     * @param conventions how new devices are tagged, and which colours they may have
     * @param cancelled asked now and then; once it says so, none is found
     */
    public static Optional<Repair> of(
            Assembly assembly,
            Finding finding,
            List<Finding> findings,
            Conventions conventions,
            BooleanSupplier cancelled) {
        try {
            Optional<Repair> proposed =
                    switch (finding.code()) {
                        case "start-does-not-hold" -> sealIn(assembly, finding);
                        case "interlock-missing", "interlock-one-sided" -> interlock(assembly, finding);
                        case "mechanical-interlock-missing" -> mechanical(
                                assembly.sheet(), finding, conventions.practice());
                        case ProtectiveConductorRule.MISSING -> protectiveConductor(assembly, finding);
                        case "timer-function" -> function(assembly.sheet(), finding);
                        case "three-conductors" -> asProposed(assembly.sheet(), assembly.nodes(), finding);
                        default -> SettingRepair.of(assembly.sheet(), assembly.parts(), finding);
                    };
            return proposed.filter(
                    repair -> repair.isSafe(finding, findings, conventions.colours(), assembly.tables(), cancelled));
        } catch (EditException impossible) {
            return Optional.empty();
        }
    }

    /** A column from the supply's protective earth to the metal that has none. */
    private static Optional<Repair> protectiveConductor(Assembly assembly, Finding finding) throws EditException {
        String tag = finding.where().get(0);
        Sheet sheet = assembly.sheet();
        Optional<Part> supply = assembly.parts().stream()
                .filter(part -> part.family() == Family.SUPPLY && part.bare().contains("PE"))
                .findFirst();
        boolean wired = assembly.nodes().indexOf(new Terminal(tag, "PE")).isPresent();
        if (supply.isEmpty() || wired) {
            return Optional.empty();
        }
        boolean hasBar = sheet.rungs().flatMap(Rung::points).anyMatch(point -> point.name()
                .equals("PE"));
        String beginning = hasBar ? "@PE " : supply.get().tag() + "[PE] @PE ";
        Rung rung = TypedRung.read(beginning + tag + "[PE]", sheet, "").rung();
        return Optional.of(new Repair(
                "Leads a protective conductor from the supply to " + tag + ".",
                new Edit.InsertRung(Circuit.POWER, sheet.power().size(), rung).on(sheet)));
    }

    private boolean isSafe(
            Finding finding, List<Finding> before, ColourCode colours, JobTables tables, BooleanSupplier cancelled) {
        try {
            Optional<List<Finding>> after = Check.of(Assembly.of(sheet, tables), colours, cancelled);
            return after.filter(found -> !found.contains(finding) && before.containsAll(found))
                    .isPresent();
        } catch (PartException impossible) {
            return false;
        }
    }

    /** An open contact of the contactor around the start, in the rung with the contactor's coil. */
    private static Optional<Repair> sealIn(Assembly assembly, Finding finding) throws EditException {
        Sheet sheet = assembly.sheet();
        String start = finding.where().get(0);
        for (Part contactor : assembly.parts()) {
            Optional<Place> coil = coil(assembly, contactor);
            Optional<Place> button = coil.flatMap(at -> passage(sheet, at.rung(), start));
            if (button.isPresent()) {
                Fitted fitted = Fitted.of(sheet, contactor.tag(), voltage(contactor));
                Sheet held = Structure.around(
                        fitted.sheet(), button.get(), button.get().item(), fitted.passage());
                return Optional.of(new Repair(
                        "Puts " + fitted.passage().text() + " in parallel to " + start + ", so that " + contactor.tag()
                                + " holds itself in.",
                        held));
            }
        }
        return Optional.empty();
    }

    /** A closed contact of each contactor in front of the other's coil, where there is none yet. */
    private static Optional<Repair> interlock(Assembly assembly, Finding finding) throws EditException {
        String one = finding.where().get(0);
        String other = finding.where().get(1);
        Map<String, String> bars = new LinkedHashMap<>();
        bars.put(one, other);
        if (finding.code().equals("interlock-missing")) {
            bars.put(other, one);
        }
        Sheet sheet = assembly.sheet();
        List<String> put = new ArrayList<>();
        for (Map.Entry<String, String> barred : bars.entrySet()) {
            Part contactor = assembly.part(barred.getKey()).orElseThrow();
            Optional<Place> coil = coil(sheet, contactor);
            if (coil.isEmpty()) {
                return Optional.empty();
            }
            Fitted fitted = Fitted.of(sheet, "/" + barred.getValue(), voltage(contactor));
            sheet = Structure.inSeries(fitted.sheet(), coil.get(), false, fitted.passage());
            put.add(fitted.passage().text() + " in front of " + barred.getKey() + "'s coil");
        }
        return Optional.of(new Repair("Puts " + String.join(", and ", put) + ".", sheet));
    }

    private static Optional<Repair> mechanical(Sheet sheet, Finding finding, Practice practice) {
        String between = finding.where().get(0) + " " + finding.where().get(1);
        String tag = NewDevice.tagFor(sheet, MECHANICAL, practice);
        Device device = new Device(tag, "", MECHANICAL, "Interlock", "panel", Map.of("between", between), Extras.NONE);
        List<Device> devices = new ArrayList<>(sheet.devices());
        devices.add(device);
        return Optional.of(new Repair(
                "Fits a mechanical interlock " + tag + " between " + between.replace(" ", " and ") + ".",
                sheet.withDevices(devices)));
    }

    /** The wires of a number as the list proposes them. */
    private static Optional<Repair> asProposed(Sheet sheet, Nodes nodes, Finding finding) {
        String number = finding.where().get(1);
        List<WireChoice> others = sheet.fieldwork().choices().stream()
                .filter(wire -> nodes.all().stream()
                        .filter(node -> node.number().equals(number))
                        .noneMatch(node -> node.terminals().contains(wire.one())))
                .toList();
        return Optional.of(new Repair(
                "Wires " + number + " the shortest way, with two conductors on a terminal at the most.",
                sheet.withFieldwork(sheet.fieldwork().choosing(others))));
    }

    /** The other of the two delays on the timer. */
    private static Optional<Repair> function(Sheet sheet, Finding finding) {
        String timer = finding.where().get(0);
        Device set = sheet.devices().stream()
                .filter(device -> device.tag().equals(timer))
                .findFirst()
                .orElseThrow();
        String function = set.setting("function").orElse("on-delay").equals("on-delay") ? "off-delay" : "on-delay";
        List<Device> devices = sheet.devices().stream()
                .map(device -> device == set ? device.with("function", function) : device)
                .toList();
        return Optional.of(new Repair("Sets " + timer + " to " + function + ".", sheet.withDevices(devices)));
    }

    private static String voltage(Part contactor) {
        return contactor.device().setting("coil").orElse("230 V AC");
    }

    private static Optional<Place> coil(Assembly assembly, Part part) {
        return part.loads().isEmpty() || part.machine().isPresent() ? Optional.empty() : coil(assembly.sheet(), part);
    }

    /** Where the coil of a part stands on the ladder. */
    private static Optional<Place> coil(Sheet sheet, Part part) {
        for (int rung = 0; rung < sheet.control().size(); rung++) {
            List<RungItem> items = sheet.control().get(rung).items();
            for (int i = 0; i < items.size(); i++) {
                if (items.get(i) instanceof RungItem.Passage passage
                        && passage.tag().equals(part.tag())
                        && part.loadBetween(passage.from(), passage.to()).isPresent()) {
                    return Optional.of(new Place(Circuit.CONTROL, rung, i));
                }
            }
        }
        return Optional.empty();
    }

    private static Optional<Place> passage(Sheet sheet, int rung, String tag) {
        List<RungItem> items = sheet.control().get(rung).items();
        for (int i = 0; i < items.size(); i++) {
            if (items.get(i) instanceof RungItem.Passage passage
                    && passage.tag().equals(tag)) {
                return Optional.of(new Place(Circuit.CONTROL, rung, i));
            }
        }
        return Optional.empty();
    }

    /** A contact that was free, or that an add-on block has brought. */
    private record Fitted(Sheet sheet, RungItem.Passage passage) {

        static Fitted of(Sheet sheet, String word, String voltage) throws EditException {
            String free = Structure.freeNumber(sheet);
            TypedRung typed = TypedRung.read("@" + free + " " + word + " @" + free, sheet, voltage);
            return new Fitted(
                    typed.sheet(), (RungItem.Passage) typed.rung().items().get(1));
        }
    }
}
