package parable.parts;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Supplier;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import parable.circuit.ColourCode;
import parable.circuit.Device;
import parable.ratings.JobTables;

/** Reads the settings of one device; a setting that says nothing sensible is refused with the tag and its name. */
final class Settings {

    private static final Pattern QUANTITY = Pattern.compile("(\\d+(?:\\.\\d+)?) ?([A-Za-z%]+)");
    private static final Pattern BETWEEN_CONTACTS = Pattern.compile("[ ,]+");
    private static final Pattern CONTACT = Pattern.compile("(\\d{0,2})(\\d)-(\\d{0,2})(\\d)");
    private static final Pattern TABLE_ROW = Pattern.compile("(\\d{1,3})-(\\d{1,3})=(\\S+)");

    private static final Pattern PERCENTAGES = Pattern.compile("(\\d+(?:\\.\\d+)?) ?%(?: ?to ?(\\d+(?:\\.\\d+)?) ?%)?");

    private static final String A_VOLTAGE = "a voltage such as '230 V AC' or '24 V DC'";
    private static final String SOME_CONTACTS =
            "contacts such as '13-14' (normally open) or '21-22' (normally closed), with spaces between";
    private static final String SOME_NAMES = "two or more different names with spaces between";

    private static final double HORSEPOWER = 0.7457;

    private final Device device;
    private final JobTables tables;
    private final Consumer<Supplier<SettingForm>> asked;

    Settings(Device device, JobTables tables) {
        this(device, tables, form -> {});
    }

    /**
     * The settings of a device that tell what they are asked for.
     *
     * @param asked takes each form that is asked for; making it takes time that only those spend who want it
     */
    Settings(Device device, JobTables tables, Consumer<Supplier<SettingForm>> asked) {
        this.device = device;
        this.tables = tables;
        this.asked = asked;
    }

    /** What follows from a rating is read from these. */
    JobTables tables() {
        return tables;
    }

    /** A rated voltage such as {@code 24 V DC}. */
    RatedVoltage voltage(String name, RatedVoltage byDefault) throws SettingException {
        asked.accept(() -> new SettingForm.Written(name, A_VOLTAGE, byDefault.toString()));
        Optional<String> written = device.setting(name);
        if (written.isEmpty()) {
            return byDefault;
        }
        return RatedVoltage.read(written.get()).orElseThrow(() -> refused(name, written.get(), A_VOLTAGE));
    }

    /** A number with this unit, from lowest to highest. */
    double quantity(String name, String unit, double lowest, double highest, double byDefault) throws SettingException {
        asked.accept(() -> new SettingForm.Quantity(
                name, unit, lowest, highest, Double.isInfinite(byDefault) ? "" : rounded(byDefault) + " " + unit));
        Optional<String> written = device.setting(name);
        if (written.isEmpty()) {
            return byDefault;
        }
        Matcher quantity = QUANTITY.matcher(written.get());
        if (quantity.matches() && quantity.group(2).equals(unit)) {
            double number = Double.parseDouble(quantity.group(1));
            if (number >= lowest && number <= highest) {
                return number;
            }
        }
        throw refused(name, written.get(), "a number of " + unit + " from " + plain(lowest) + " to " + plain(highest));
    }

    /** The power of a motor in kW, written so or in hp, from 0.01 to 5000 kW. */
    double kilowatts(String name, double byDefault) throws SettingException {
        String written = device.setting(name).orElse("");
        return written.endsWith("hp")
                ? HORSEPOWER * quantity(name, "hp", 0.02, 6700, byDefault / HORSEPOWER)
                : quantity(name, "kW", 0.01, 5000, byDefault);
    }

    /** A whole number from lowest to highest. */
    int count(String name, int lowest, int highest, int byDefault) throws SettingException {
        asked.accept(() -> new SettingForm.Quantity(name, "", lowest, highest, Integer.toString(byDefault)));
        String written = device.setting(name).orElse(Integer.toString(byDefault));
        if (!written.matches("\\d{1,4}") || Integer.parseInt(written) < lowest || Integer.parseInt(written) > highest) {
            throw refused(name, written, "a whole number from " + lowest + " to " + highest);
        }
        return Integer.parseInt(written);
    }

    /** A single word, such as the tag of another device. */
    String word(String name, String byDefault) throws SettingException {
        asked.accept(() -> new SettingForm.Written(name, "one word, such as '" + byDefault + "'", byDefault));
        String written = device.setting(name).orElse(byDefault);
        if (!written.matches("[A-Za-z0-9.]+")) {
            throw refused(name, written, "one word, such as '" + byDefault + "'");
        }
        return written;
    }

    /** One of these words. */
    String oneOf(String name, List<String> words, String byDefault) throws SettingException {
        asked.accept(() -> new SettingForm.OneOf(name, words, byDefault));
        String written = device.setting(name).orElse(byDefault);
        if (!words.contains(written)) {
            throw refused(name, written, "one of " + String.join(", ", words));
        }
        return written;
    }

    /** A time in seconds such as {@code 5 s}, with a tolerance of 2 %. */
    TimeRange time(String name, double byDefault) throws SettingException {
        long micros = Math.round(quantity(name, "s", 0.01, 36_000, byDefault) * 1e6);
        return new TimeRange(micros - micros / 50, micros, micros + micros / 50);
    }

    /** The coil of a contactor, relay or timer: settings {@code coil}, {@code holding}, {@code inrush} and {@code ohms}. */
    Load coil(String from, String to, CoilData byDefault) throws SettingException {
        return coil(LoadRole.COIL, from, to, voltage("coil", new RatedVoltage(230, CurrentKind.AC)), byDefault);
    }

    /** The coil of whatever an armature is moved by: settings {@code holding}, {@code inrush} and {@code ohms}. */
    Load coil(LoadRole role, String from, String to, RatedVoltage rated, CoilData byDefault) throws SettingException {
        CoilData coil = coilData(byDefault);
        Load load = Load.ofPower(from, to, role, rated, coil.sealed(), CoilData.SEALED_POWER_FACTOR);
        return rated.kind() == CurrentKind.DC && device.setting("ohms").isEmpty()
                ? load
                : load.withDirectOhms(quantity("ohms", "ohm", 0.1, 1_000_000, coil.directOhms(rated)));
    }

    private CoilData coilData(CoilData byDefault) throws SettingException {
        double sealed = quantity("holding", "VA", 0.5, 500, byDefault.sealed());
        double inrush = quantity(
                "inrush", "VA", sealed, 10_000, Math.max(sealed, sealed * byDefault.inrush() / byDefault.sealed()));
        return new CoilData(sealed, inrush);
    }

    /**
     * What a coil does at which voltage: settings {@code pull-in} and {@code drop-out}, each a share such as {@code 80 %} or a range such as
     * {@code 30 % to 60 %}.
     */
    Drive.ByCoil electromagnet(Load coil) throws SettingException {
        boolean alternating = coil.rated().kind() == CurrentKind.AC;
        ShareRange pulls = share("pull-in", 110, Drive.ByCoil.PULLS);
        ShareRange drops = share("drop-out", 95, alternating ? Drive.ByCoil.DROPS_AC : Drive.ByCoil.DROPS_DC);
        if (drops.highest() > pulls.lowest()
                && (device.setting("pull-in").isPresent() || drops.nominal() > pulls.nominal())) {
            throw refused(
                    "drop-out",
                    device.setting("drop-out").orElse(plain(100 * drops.highest()) + " %"),
                    "less than the pull-in, which begins at " + plain(Math.round(100 * pulls.lowest())) + " %");
        }
        return new Drive.ByCoil(0, pulls, drops);
    }

    private ShareRange share(String name, double highest, ShareRange byDefault) throws SettingException {
        String expected =
                "a share of rated voltage from 1 % to " + plain(highest) + " %, such as '40 %' or '30 % to 60 %'";
        asked.accept(() -> new SettingForm.Written(
                name,
                expected,
                rounded(100 * byDefault.lowest()) + " % to " + rounded(100 * byDefault.highest()) + " %"));
        Optional<String> written = device.setting(name);
        if (written.isEmpty()) {
            return byDefault;
        }
        Matcher range = PERCENTAGES.matcher(written.get());
        if (range.matches()) {
            double from = Double.parseDouble(range.group(1));
            double to = range.group(2) == null ? from : Double.parseDouble(range.group(2));
            if (from >= 1 && from <= to && to <= highest) {
                return new ShareRange(from / 100, (from + to) / 200, to / 100);
            }
        }
        throw refused(name, written.get(), expected);
    }

    /** The travel behind a coil: a diode across a DC coil makes it let go six times as slowly. */
    Travel suppressed(Travel travel, Load coil) throws SettingException {
        String suppressor = oneOf("suppressor", List.of("none", "RC", "varistor", "diode"), "none");
        if (!suppressor.equals("diode")) {
            return travel;
        }
        if (coil.rated().kind() == CurrentKind.AC) {
            throw refused("suppressor", suppressor, "none, RC or varistor: a diode would short an AC coil");
        }
        return travel.returningSlower(6);
    }

    /**
     * Contacts such as {@code 13-14 21-22}, normally closed if their second digits are 1 and 2, normally open if 3 and 4
     * (EN 50005); buttons may carry single digits.
     */
    List<Contact> contacts(String name, String byDefault) throws SettingException {
        asked.accept(() -> new SettingForm.Written(name, SOME_CONTACTS, byDefault));
        String written = device.setting(name).orElse(byDefault);
        List<Contact> contacts = new ArrayList<>();
        for (String marking : written.isBlank() ? new String[0] : BETWEEN_CONTACTS.split(written.strip())) {
            contacts.add(contact(marking).orElseThrow(() -> refused(name, marking, SOME_CONTACTS)));
        }
        return contacts;
    }

    /** Checks a colour of an operator or lamp; IEC 60073 and NFPA 79 use these. */
    void colour(String name) throws SettingException {
        asked.accept(() -> new SettingForm.OneOf(name, List.copyOf(ColourCode.COLOURS), ""));
        Optional<String> written = device.setting(name);
        if (written.isPresent() && !ColourCode.COLOURS.contains(written.get())) {
            throw refused(name, written.get(), "one of " + String.join(", ", ColourCode.COLOURS));
        }
    }

    /** Two or more names with spaces between. */
    List<String> names(String name, String byDefault) throws SettingException {
        asked.accept(() -> new SettingForm.Written(name, SOME_NAMES, byDefault));
        String written = device.setting(name).orElse(byDefault);
        List<String> names = List.of(written.strip().split("\\s+"));
        if (names.size() < 2 || names.stream().distinct().count() < names.size()) {
            throw refused(name, written, SOME_NAMES);
        }
        return names;
    }

    /**
     * The positions of something that is turned: settings {@code positions}, {@code rest} (the first, unless said) and
     * {@code spring}, for example {@code start=run} for a knob that springs back from start to run.
     */
    Drive.ByTurning turning(String positionsByDefault, String restByDefault) throws SettingException {
        List<String> arranged = names("positions", positionsByDefault);
        String rest = oneOf("rest", arranged, arranged.contains(restByDefault) ? restByDefault : arranged.get(0));
        String expected =
                "a position and the one it springs back to, such as '" + arranged.get(1) + "=" + arranged.get(0) + "'";
        asked.accept(() -> new SettingForm.Written("spring", expected, ""));
        Map<String, String> springs = new LinkedHashMap<>();
        for (String entry : device.setting("spring").orElse("").strip().split("\\s+")) {
            String[] ends = entry.split("=", 2);
            if (!entry.isEmpty() && (ends.length < 2 || !arranged.containsAll(List.of(ends)))) {
                throw refused("spring", entry, expected);
            }
            if (!entry.isEmpty()) {
                springs.put(ends[0], ends[1]);
            }
        }
        List<String> positions = new ArrayList<>(arranged);
        positions.remove(rest);
        positions.add(0, rest);
        return new Drive.ByTurning(positions, arranged, springs);
    }

    /**
     * A contact table such as {@code 13-14=run 23-24=jog,run}: each contact with the positions in which it is closed.
     *
     * @param positions the names of the positions
     */
    List<Contact> contactTable(String name, List<String> positions, String byDefault) throws SettingException {
        String expected = "a contact and its positions such as '13-14=" + positions.get(1) + "', positions being "
                + String.join(", ", positions);
        asked.accept(() -> new SettingForm.Written(name, expected, byDefault));
        String written = device.setting(name).orElse(byDefault);
        List<Contact> contacts = new ArrayList<>();
        for (String entry : written.strip().split("\\s+")) {
            Matcher row = TABLE_ROW.matcher(entry);
            if (!row.matches() || !positions.containsAll(List.of(row.group(3).split(",")))) {
                throw refused(name, entry, expected);
            }
            int closedIn = 0;
            for (String position : row.group(3).split(",")) {
                closedIn |= 1 << positions.indexOf(position);
            }
            contacts.add(Contact.closedInPositions(row.group(1), row.group(2), closedIn));
        }
        return contacts;
    }

    private static Optional<Contact> contact(String marking) {
        Matcher written = CONTACT.matcher(marking);
        if (!written.matches() || !written.group(1).equals(written.group(3))) {
            return Optional.empty();
        }
        String from = written.group(1) + written.group(2);
        String to = written.group(3) + written.group(4);
        return switch (written.group(2) + written.group(4)) {
            case "12" -> Optional.of(Contact.normallyClosed(from, to));
            case "34" -> Optional.of(Contact.normallyOpen(from, to));
            default -> Optional.empty();
        };
    }

    private SettingException refused(String name, String found, String expected) {
        return new SettingException(name, found, expected);
    }

    /** To three digits, as one would write it. */
    private static String rounded(double number) {
        return new BigDecimal(number)
                .round(new MathContext(3))
                .stripTrailingZeros()
                .toPlainString();
    }

    private static String plain(double number) {
        return number == Math.rint(number) ? Long.toString((long) number) : Double.toString(number);
    }
}
