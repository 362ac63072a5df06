package parable.files;

import com.fasterxml.jackson.core.JsonGenerator;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.util.DefaultIndenter;
import com.fasterxml.jackson.core.util.DefaultPrettyPrinter;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.fasterxml.jackson.databind.util.RawValue;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import parable.circuit.Acceptance;
import parable.circuit.Device;
import parable.circuit.Extras;
import parable.circuit.Job;
import parable.circuit.Rung;
import parable.circuit.Sheet;
import parable.program.StructuredText;

/** Writes a job as text that is pleasant to read and to compare: a device a line, a rung a line. */
final class JobWriter {

    private static final ObjectMapper MAPPER = new ObjectMapper();

    private JobWriter() {}

    static String write(Job job) {
        ObjectNode root = JsonNodeFactory.instance.objectNode();
        root.put("version", JobReader.VERSION);
        root.put("name", job.name());
        root.put("practice", job.practice().words());
        ColoursText.write(job.conventions(), root);
        TitleText.write(job.conventions().title(), root);
        if (!job.logbook().isEmpty()) {
            root.put("logbook", job.logbook());
        }
        SizingText.write(job.sizing(), root);
        ArrayNode sheets = root.putArray("sheets");
        job.sheets().forEach(sheet -> sheets.add(sheet(sheet)));
        append(root, job.extras());
        try {
            return Surrogates.escaped(MAPPER.writer(new DeviceALine()).writeValueAsString(root)) + "\n";
        } catch (JsonProcessingException impossible) {
            throw new UncheckedIOException("a tree in memory could not be written", impossible);
        }
    }

    private static ObjectNode sheet(Sheet sheet) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        node.put("name", sheet.name());
        node.put("duty", sheet.duty().words());
        ObjectNode rails = node.putObject("rails");
        sheet.rails().forEach(rail -> rails.put(rail.name(), rail.number()));
        ArrayNode devices = node.putArray("devices");
        sheet.devices().forEach(device -> devices.add(device(device)));
        addRungs(node.putArray("power"), sheet.power());
        addRungs(node.putArray("rungs"), sheet.control());
        sheet.program().ifPresent(program -> StructuredText.write(program)
                .lines()
                .filter(line -> !line.isBlank())
                .forEach(node.withArray("program")::add));
        if (!sheet.accepted().isEmpty()) {
            ArrayNode accepted = node.putArray("accepted");
            sheet.accepted().forEach(one -> accepted.add(acceptance(one)));
        }
        if (!sheet.claims().isEmpty()) {
            sheet.claims().forEach(node.putArray("claims")::add);
        }
        FieldworkText.write(sheet.fieldwork(), node);
        SizingText.write(sheet.stated(), node);
        append(node, sheet.extras());
        return node;
    }

    private static ObjectNode acceptance(Acceptance accepted) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        node.put("code", accepted.code());
        accepted.where().forEach(node.putArray("where")::add);
        node.put("remark", accepted.remark());
        node.put("by", accepted.by());
        node.put("on", accepted.on());
        append(node, accepted.extras());
        return node;
    }

    private static ObjectNode device(Device device) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        node.put("tag", device.tag());
        if (!device.also().isEmpty()) {
            node.put("also", device.also());
        }
        node.put("kind", device.kind());
        if (!device.label().isEmpty()) {
            node.put("label", device.label());
        }
        if (!device.place().isEmpty()) {
            node.put("place", device.place());
        }
        device.at().ifPresent(at -> node.put("at", at.toString()));
        device.settings().forEach(node::put);
        append(node, device.extras());
        return node;
    }

    private static void addRungs(ArrayNode array, List<Rung> rungs) {
        rungs.forEach(rung -> array.add(rung.text()));
    }

    /** Adds unknown fields in the very signs in which they were read. */
    static void append(ObjectNode node, Extras extras) {
        extras.fields().forEach((name, json) -> node.putRawValue(name, new RawValue(json)));
    }

    /** Spreads the job and its sheets over lines and keeps everything inside them on one. */
    private static final class DeviceALine extends DefaultPrettyPrinter {

        private static final long serialVersionUID = 1L;
        private static final int SPREAD_OBJECTS = 3;
        private static final int SPREAD_LISTS = 4;

        DeviceALine() {
            _objectIndenter = new DefaultIndenter("  ", "\n");
            _arrayIndenter = new DefaultIndenter("  ", "\n");
        }

        @Override
        public DefaultPrettyPrinter createInstance() {
            return new DeviceALine();
        }

        @Override
        public void writeObjectFieldValueSeparator(JsonGenerator generator) throws IOException {
            generator.writeRaw(": ");
        }

        @Override
        public void beforeObjectEntries(JsonGenerator generator) throws IOException {
            breakLine(generator, SPREAD_OBJECTS, "");
        }

        @Override
        public void writeObjectEntrySeparator(JsonGenerator generator) throws IOException {
            generator.writeRaw(',');
            breakLine(generator, SPREAD_OBJECTS, " ");
        }

        @Override
        public void writeEndObject(JsonGenerator generator, int entries) throws IOException {
            _nesting--;
            if (entries > 0 && _nesting < SPREAD_OBJECTS) {
                _objectIndenter.writeIndentation(generator, _nesting);
            }
            generator.writeRaw('}');
        }

        @Override
        public void beforeArrayValues(JsonGenerator generator) throws IOException {
            breakLine(generator, SPREAD_LISTS, "");
        }

        @Override
        public void writeArrayValueSeparator(JsonGenerator generator) throws IOException {
            generator.writeRaw(',');
            breakLine(generator, SPREAD_LISTS, " ");
        }

        @Override
        public void writeEndArray(JsonGenerator generator, int values) throws IOException {
            _nesting--;
            if (values > 0 && _nesting < SPREAD_LISTS) {
                _arrayIndenter.writeIndentation(generator, _nesting);
            }
            generator.writeRaw(']');
        }

        private void breakLine(JsonGenerator generator, int spread, String otherwise) throws IOException {
            if (_nesting <= spread) {
                _objectIndenter.writeIndentation(generator, _nesting);
            } else {
                generator.writeRaw(otherwise);
            }
        }
    }
}
