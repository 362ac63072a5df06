package parable;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import parable.bench.Bench;
import parable.circuit.Job;
import parable.circuit.Sheet;
import parable.files.JobFile;
import parable.files.JobFormatException;
import parable.parts.Assembly;
import parable.parts.PartException;
import parable.starters.Library;

/** The example jobs, for tests. */
public final class Examples {

    public static final Path FOLDER = Path.of("..", "examples");
    public static final Path PRESS_HOUSE = FOLDER.resolve("tern-hollow-press-house.parable.json");
    public static final Path LAMP_BOARD = FOLDER.resolve("tern-hollow-lamp-board.parable.json");

    private Examples() {}

    /** All example jobs. */
    public static Stream<Path> all() {
        return Stream.of(
                        "tern-hollow-press-house",
                        "tern-hollow-lamp-board",
                        "tern-hollow-direct-starters",
                        "tern-hollow-further-starters",
                        "tern-hollow-bad-examples",
                        "pike-landing-ice-house")
                .map(name -> FOLDER.resolve(name + JobFile.ENDING));
    }

    /** Read once, when first asked for. */
    private static final class Opened {

        static final List<Sheet> SHEETS = all().flatMap(file -> {
                    try {
                        return JobFile.open(file).sheets().stream();
                    } catch (IOException | JobFormatException broken) {
                        throw new AssertionError(broken);
                    }
                })
                .toList();
    }

    /** All sheets of all example jobs. */
    public static Stream<Sheet> sheets() {
        return Opened.SHEETS.stream();
    }

    /** The sheet of this name in the library. */
    public static Sheet ofLibrary(String name) {
        return Library.jobs().stream()
                .flatMap(job -> job.sheet(name).stream())
                .findFirst()
                .orElseThrow();
    }

    public static String pressHouseText() {
        try {
            return Files.readString(PRESS_HOUSE);
        } catch (IOException unreadable) {
            throw new AssertionError(unreadable);
        }
    }

    public static Job read(String text) {
        try {
            return JobFile.read(text);
        } catch (JobFormatException broken) {
            throw new AssertionError(broken);
        }
    }

    public static Job pressHouse() {
        return read(pressHouseText());
    }

    public static Sheet washPump() {
        return pressHouse().sheets().get(0);
    }

    public static Assembly fitted(Sheet sheet) {
        try {
            return Assembly.of(sheet);
        } catch (PartException impossible) {
            throw new AssertionError(impossible);
        }
    }

    public static Bench washPumpBench() {
        return Bench.of(fitted(washPump()));
    }

    /** A sheet without a device that stands on no rung, as a mechanical interlock. */
    public static Sheet without(Sheet sheet, String tag) {
        return new Sheet(
                sheet.name(),
                sheet.duty(),
                sheet.rails(),
                sheet.devices().stream()
                        .filter(device -> !device.tag().equals(tag))
                        .toList(),
                sheet.power(),
                sheet.control(),
                sheet.extras());
    }

    /** A job of one sheet with these devices and rungs, each as it stands in a file. */
    public static Sheet sheet(String devices, String power, String rungs) {
        return read("""
                        {"version": 1, "name": "Pike Landing ice house", "sheets": [{
                          "name": "Fan", "duty": "maintained", "rails": {"L": "1", "N": "2"},
                          "devices": [%s], "power": [%s], "rungs": [%s]}]}
                        """
                        .formatted(devices, power, rungs))
                .sheets()
                .get(0);
    }
}
