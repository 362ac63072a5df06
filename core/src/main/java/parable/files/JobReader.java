package parable.files;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import parable.circuit.Acceptance;
import parable.circuit.Conventions;
import parable.circuit.Device;
import parable.circuit.Duty;
import parable.circuit.Extras;
import parable.circuit.Job;
import parable.circuit.Position;
import parable.circuit.Practice;
import parable.circuit.Rail;
import parable.circuit.Rung;
import parable.circuit.RungNotation;
import parable.circuit.RungSyntaxException;
import parable.circuit.Sheet;
import parable.parts.Assembly;
import parable.parts.Catalogue;
import parable.parts.PartException;
import parable.parts.PartKind;
import parable.program.Program;
import parable.program.ProgramException;
import parable.program.StructuredText;
import parable.program.StructuredTextException;

/** Makes a job of the text of a file, or says by line and field why it is none. */
final class JobReader {

    /** The newest version of the format that this reads, and the one that is written. */
    static final int VERSION = 1;

    /** Settings that list contacts, and may list none. */
    private static final Set<String> CONTACTS = Set.of("aux", "blocks");

    static final List<String> JOB_FIELDS = List.of(
            "version",
            "name",
            "practice",
            "colours",
            TitleText.FIELD,
            "logbook",
            SizingText.STATED,
            SizingText.TABLES,
            "sheets");
    static final List<String> SHEET_FIELDS = List.of(
            "name",
            "duty",
            "rails",
            "devices",
            "power",
            "rungs",
            "accepted",
            "claims",
            "program",
            "wiring",
            "wires",
            "wired",
            "tests",
            SizingText.STATED);
    static final List<String> ACCEPTANCE_FIELDS = List.of("code", "where", "remark", "by", "on");
    static final List<String> DEVICE_FIELDS = List.of("tag", "also", "kind", "label", "place", "at");

    private static final Pattern TAG = Pattern.compile("[A-Za-z0-9.]+");
    private static final Pattern POSITION = Pattern.compile("(\\d{1,5}),(\\d{1,5})");

    private JobReader() {}

    /** All of it; what is wrong with a sheet is found by fitting it out, which is kept. */
    static JobFile.FittedJob read(String text) throws JobFormatException {
        if (text.isBlank()) {
            throw new JobFormatException(1, "", "an empty file", "a job");
        }
        Located root = JsonText.read(text);
        checkVersion(root.required("version"));
        List<Assembly> sheets = new ArrayList<>();
        Set<String> names = new HashSet<>();
        if (root.required("sheets").entries().isEmpty()) {
            throw root.required("sheets").refused("an empty list", "at least one sheet");
        }
        for (Located sheet : root.required("sheets").entries()) {
            sheets.add(sheet(sheet));
            if (!names.add(sheet.required("name").text())) {
                throw sheet.required("name").refused("a name that no other sheet of the job has");
            }
        }
        Practice practice = practice(root);
        Job job = new Job(
                root.required("name").text(),
                new Conventions(practice, ColoursText.read(root, practice), TitleText.read(root)),
                sheets.stream().map(Assembly::sheet).toList(),
                SizingText.basis(root),
                optional(root, "logbook"),
                extras(root, JOB_FIELDS));
        return new JobFile.FittedJob(job, sheets);
    }

    private static void checkVersion(Located version) throws JobFormatException {
        if (!version.written().matches("[1-9]\\d{0,8}")) {
            throw version.refused("a version number, 1 for the first");
        }
        if (version.count() > VERSION) {
            throw version.refused(
                    VERSION + " or lower; the file was written by a later Parable, open it with that one");
        }
    }

    private static Practice practice(Located root) throws JobFormatException {
        Optional<Located> written = root.field("practice");
        if (written.isEmpty()) {
            return Practice.IEC;
        }
        return Practice.ofWords(written.get().text()).orElseThrow(() -> written.get()
                .refused(Stream.of(Practice.values()).map(Practice::words).collect(Collectors.joining(" or "))));
    }

    private static Assembly sheet(Located sheet) throws JobFormatException {
        List<Rail> rails = new ArrayList<>();
        Optional<Located> railFields = sheet.field("rails");
        if (railFields.isPresent()) {
            for (Map.Entry<String, Located> rail : railFields.get().fields()) {
                String number = rail.getValue().text();
                if (rails.stream().anyMatch(other -> other.number().equals(number))) {
                    throw rail.getValue().refused("a wire number that no other rail has");
                }
                rails.add(new Rail(rail.getKey(), number));
            }
        }
        List<Device> devices = new ArrayList<>();
        for (Located device : sheet.required("devices").entries()) {
            devices.add(device(device));
        }
        RungNotation notation = new RungNotation(rails.stream().map(Rail::name).collect(Collectors.toSet()));
        Optional<Located> power = sheet.field("power");
        Sheet read = new Sheet(
                sheet.required("name").text(),
                duty(sheet),
                rails,
                devices,
                power.isPresent() ? rungs(power.get(), notation) : List.of(),
                rungs(sheet.required("rungs"), notation),
                accepted(sheet),
                claims(sheet),
                program(sheet),
                FieldworkText.read(sheet),
                SizingText.stated(sheet),
                extras(sheet, SHEET_FIELDS));
        return fitted(sheet, read);
    }

    private static List<Acceptance> accepted(Located sheet) throws JobFormatException {
        List<Acceptance> accepted = new ArrayList<>();
        Optional<Located> list = sheet.field("accepted");
        for (Located one : list.isPresent() ? list.get().entries() : List.<Located>of()) {
            List<String> where = new ArrayList<>();
            for (Located tag : one.required("where").entries()) {
                where.add(tag.text());
            }
            accepted.add(new Acceptance(
                    one.required("code").text(),
                    where,
                    optional(one, "remark"),
                    one.required("by").text(),
                    optional(one, "on"),
                    extras(one, ACCEPTANCE_FIELDS)));
        }
        return accepted;
    }

    private static List<String> claims(Located sheet) throws JobFormatException {
        List<String> claims = new ArrayList<>();
        Optional<Located> list = sheet.field("claims");
        for (Located one : list.isPresent() ? list.get().entries() : List.<Located>of()) {
            claims.add(one.text());
        }
        return claims;
    }

    /** The program is kept a line of Structured Text an entry. */
    private static Optional<Program> program(Located sheet) throws JobFormatException {
        Optional<Located> list = sheet.field("program");
        if (list.isEmpty()) {
            return Optional.empty();
        }
        List<Located> lines = list.get().entries();
        List<String> text = new ArrayList<>();
        for (Located line : lines) {
            text.add(line.text());
        }
        try {
            return Optional.of(StructuredText.read(String.join("\n", text)));
        } catch (StructuredTextException broken) {
            Located place = lines.isEmpty() ? list.get() : lines.get(Math.min(broken.line(), lines.size()) - 1);
            throw place.refused("'" + broken.found() + "' at column " + broken.column(), broken.expected());
        } catch (ProgramException senseless) {
            throw list.get().refused(senseless.found(), senseless.expected());
        }
    }

    private static Duty duty(Located sheet) throws JobFormatException {
        Located written = sheet.required("duty");
        return Duty.ofWords(written.text())
                .orElseThrow(() -> written.refused(
                        Stream.of(Duty.values()).map(Duty::words).collect(Collectors.joining(", ", "one of ", ""))));
    }

    private static Device device(Located device) throws JobFormatException {
        Located kind = device.required("kind");
        List<String> known = Catalogue.kind(kind.text()).map(PartKind::settings).orElse(List.of());
        Map<String, String> settings = new LinkedHashMap<>();
        for (Map.Entry<String, Located> field : device.fields()) {
            if (known.contains(field.getKey())) {
                settings.put(
                        field.getKey(),
                        CONTACTS.contains(field.getKey())
                                ? field.getValue().textOrNothing()
                                : field.getValue().text());
            }
        }
        Located tag = device.required("tag");
        if (!TAG.matcher(tag.text()).matches()) {
            throw tag.refused("a tag of letters, digits and dots, such as 'K1'");
        }
        return new Device(
                tag.text(),
                optional(device, "also"),
                kind.text(),
                optional(device, "label"),
                optional(device, "place"),
                position(device),
                settings,
                extras(
                        device,
                        Stream.concat(DEVICE_FIELDS.stream(), known.stream()).toList()));
    }

    private static Optional<Position> position(Located device) throws JobFormatException {
        Optional<Located> field = device.field("at");
        if (field.isEmpty()) {
            return Optional.empty();
        }
        Matcher written = POSITION.matcher(field.get().text());
        if (!written.matches()) {
            throw field.get()
                    .refused("two whole numbers of mm from the left upper corner of its place, such as '120,40'");
        }
        return Optional.of(new Position(Integer.parseInt(written.group(1)), Integer.parseInt(written.group(2))));
    }

    static String optional(Located device, String name) throws JobFormatException {
        Optional<Located> field = device.field(name);
        return field.isPresent() ? field.get().text() : "";
    }

    private static List<Rung> rungs(Located list, RungNotation notation) throws JobFormatException {
        List<Rung> rungs = new ArrayList<>();
        for (Located line : list.entries()) {
            try {
                rungs.add(notation.read(line.text()));
            } catch (RungSyntaxException broken) {
                throw line.refused("'" + broken.found() + "' at column " + broken.column(), broken.expected());
            }
        }
        return rungs;
    }

    /** Refuses a sheet with devices or terminals that do not exist, at the line where they are named. */
    private static Assembly fitted(Located sheet, Sheet read) throws JobFormatException {
        try {
            return Assembly.of(read);
        } catch (PartException impossible) {
            throw place(sheet, read, impossible.place()).refused("'" + impossible.found() + "'", impossible.expected());
        }
    }

    private static Located place(Located sheet, Sheet read, PartException.Site place) throws JobFormatException {
        if (place instanceof PartException.Site.DeviceField device) {
            return sheet.required("devices").entries().get(device.index()).required(device.field());
        }
        int rung = ((PartException.Site.OnRung) place).index();
        int powerRungs = read.power().size();
        return rung < powerRungs
                ? sheet.required("power").entries().get(rung)
                : sheet.required("rungs").entries().get(rung - powerRungs);
    }

    static Extras extras(Located object, List<String> known) throws JobFormatException {
        Map<String, String> unknown = new LinkedHashMap<>();
        for (Map.Entry<String, Located> field : object.fields()) {
            if (!known.contains(field.getKey())) {
                unknown.put(field.getKey(), field.getValue().written());
            }
        }
        return new Extras(unknown);
    }
}
