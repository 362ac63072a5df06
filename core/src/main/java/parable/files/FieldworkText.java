package parable.files;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import parable.circuit.Fieldwork;
import parable.circuit.Reading;
import parable.circuit.Terminal;
import parable.circuit.Tick;
import parable.circuit.WireChoice;
import parable.circuit.WireTicks;
import parable.circuit.WiringMethod;

/** What was done at the panel, in the fields {@code wiring}, {@code wires}, {@code wired} and {@code tests} of a sheet; each is left out while it says nothing. */
final class FieldworkText {

    static final List<String> READING_FIELDS = List.of("step", "found", "remark", "by", "on", "revision", "basis");

    private static final Pattern CHOICE = Pattern.compile("([^\\s:]+):(\\S+) ([^\\s:]+):(\\S+)");

    private static final Pattern WIRE =
            Pattern.compile("([^\\s:]+):(\\S+) ([^\\s:]+):(\\S+)((?: (?:done|tugged|checked))+)");

    private FieldworkText() {}

    static void write(Fieldwork work, ObjectNode sheet) {
        if (work.method() != WiringMethod.POINT_TO_POINT) {
            sheet.put("wiring", work.method().words());
        }
        if (!work.choices().isEmpty()) {
            ArrayNode wires = sheet.putArray("wires");
            work.choices().forEach(wire -> wires.add(wire.toString()));
        }
        if (!work.wires().isEmpty()) {
            ArrayNode wired = sheet.putArray("wired");
            work.wires().forEach(wire -> wired.add(wire.toString()));
        }
        if (!work.readings().isEmpty()) {
            ArrayNode tests = sheet.putArray("tests");
            work.readings().forEach(reading -> write(reading, tests.addObject()));
        }
    }

    private static void write(Reading reading, ObjectNode node) {
        node.put("step", reading.step());
        if (!reading.found().isEmpty()) {
            node.put("found", reading.found());
        }
        if (!reading.remark().isEmpty()) {
            node.put("remark", reading.remark());
        }
        node.put("by", reading.by());
        node.put("on", reading.on());
        if (!reading.basis().isEmpty()) {
            node.put("revision", reading.revision());
            node.put("basis", reading.basis());
        }
        JobWriter.append(node, reading.extras());
    }

    static Fieldwork read(Located sheet) throws JobFormatException {
        List<WireChoice> choices = new ArrayList<>();
        for (Located line : entries(sheet, "wires")) {
            choices.add(choice(line));
        }
        List<WireTicks> wires = new ArrayList<>();
        for (Located line : entries(sheet, "wired")) {
            wires.add(wire(line));
        }
        List<Reading> readings = new ArrayList<>();
        for (Located entry : entries(sheet, "tests")) {
            readings.add(new Reading(
                    entry.required("step").text(),
                    JobReader.optional(entry, "found"),
                    JobReader.optional(entry, "remark"),
                    entry.required("by").text(),
                    entry.required("on").text(),
                    JobReader.optional(entry, "revision"),
                    JobReader.optional(entry, "basis"),
                    JobReader.extras(entry, READING_FIELDS)));
        }
        return new Fieldwork(method(sheet), choices, wires, readings);
    }

    private static List<Located> entries(Located sheet, String field) throws JobFormatException {
        Optional<Located> list = sheet.field(field);
        return list.isPresent() ? list.get().entries() : List.of();
    }

    private static WiringMethod method(Located sheet) throws JobFormatException {
        Optional<Located> written = sheet.field("wiring");
        if (written.isEmpty()) {
            return WiringMethod.POINT_TO_POINT;
        }
        return WiringMethod.ofWords(written.get().text())
                .orElseThrow(() -> written.get().refused("'point to point' or 'terminal strip'"));
    }

    private static WireChoice choice(Located line) throws JobFormatException {
        Matcher written = CHOICE.matcher(line.text());
        if (!written.matches()) {
            throw line.refused("two terminals of one wire number, such as 'S1:13 K1:13'");
        }
        return new WireChoice(
                new Terminal(written.group(1), written.group(2)), new Terminal(written.group(3), written.group(4)));
    }

    private static WireTicks wire(Located line) throws JobFormatException {
        Matcher written = WIRE.matcher(line.text());
        if (!written.matches()) {
            throw line.refused("two terminals and what is ticked off, such as 'S1:13 K1:13 done tugged'");
        }
        Set<Tick> ticks = EnumSet.noneOf(Tick.class);
        for (String word : written.group(5).strip().split(" ")) {
            ticks.add(Tick.ofWord(word).orElseThrow());
        }
        return new WireTicks(
                new Terminal(written.group(1), written.group(2)),
                new Terminal(written.group(3), written.group(4)),
                ticks);
    }
}
