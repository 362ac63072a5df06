package parable.files;

import java.io.StringWriter;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;
import parable.program.Logic;
import parable.program.NetworkEnd;
import parable.program.Program;
import parable.program.ProgramNetwork;
import parable.program.StructuredText;
import parable.program.Variable;

/** Writes a program as PLCopen XML. Positions are those of a plain grid: a column for each element, a row for each branch. */
final class PlcOpenWriter {

    private static final String XHTML = "http://www.w3.org/1999/xhtml";
    private static final int COLUMN = 100;
    private static final int ROW = 40;

    private final Program program;
    private final StringWriter out = new StringWriter();
    private int lastId;
    private int row;
    private XMLStreamWriter xml;

    PlcOpenWriter(Program program) {
        this.program = program;
    }

    String text() {
        try {
            xml = XMLOutputFactory.newDefaultFactory().createXMLStreamWriter(out);
            xml.writeStartDocument("UTF-8", "1.0");
            project();
            xml.writeEndDocument();
            xml.close();
            return out + "\n";
        } catch (XMLStreamException impossible) {
            throw new IllegalStateException("a program in memory could not be written", impossible);
        }
    }

    private void open(String name, String... attributes) throws XMLStreamException {
        xml.writeCharacters("\n");
        xml.writeStartElement(name);
        attributes(attributes);
    }

    private void empty(String name, String... attributes) throws XMLStreamException {
        xml.writeEmptyElement(name);
        attributes(attributes);
    }

    private void attributes(String... attributes) throws XMLStreamException {
        for (int i = 0; i < attributes.length; i += 2) {
            xml.writeAttribute(attributes[i], XmlText.of(attributes[i + 1]));
        }
    }

    private void close(int levels) throws XMLStreamException {
        for (int i = 0; i < levels; i++) {
            xml.writeEndElement();
        }
    }

    private void project() throws XMLStreamException {
        xml.writeCharacters("\n");
        xml.writeStartElement("project");
        xml.writeDefaultNamespace(PlcOpenXml.NAMESPACE);
        open("fileHeader", "companyName", "", "productName", "Parable", "productVersion", "1");
        xml.writeAttribute("creationDateTime", "1970-01-01T00:00:00");
        close(1);
        open("contentHeader", "name", program.name());
        open("coordinateInfo");
        for (String language : List.of("fbd", "ld", "sfc")) {
            xml.writeStartElement(language);
            empty("scaling", "x", "1", "y", "1");
            close(1);
        }
        close(2);
        open("types");
        empty("dataTypes");
        open("pous");
        open("pou", "name", program.name(), "pouType", "program");
        open("interface");
        open("localVars");
        for (Variable variable : program.variables()) {
            variable(variable);
        }
        close(2);
        open("body");
        open("LD");
        for (ProgramNetwork network : program.networks()) {
            network(network);
        }
        close(5);
        open("instances");
        empty("configurations");
        close(2);
    }

    private void variable(Variable variable) throws XMLStreamException {
        open("variable", "name", variable.name());
        if (variable.address().isPresent()) {
            xml.writeAttribute("address", variable.address().get().toString());
        }
        xml.writeStartElement("type");
        if (variable.address().isPresent() || variable.type().name().equals("BOOL")) {
            empty("BOOL");
        } else {
            empty("derived", "name", variable.type().name());
        }
        close(1);
        if (!variable.comment().isEmpty()) {
            xml.writeStartElement("documentation");
            xhtml(variable.comment());
            close(1);
        }
        close(1);
    }

    private void xhtml(String words) throws XMLStreamException {
        xml.writeStartElement("xhtml");
        xml.writeDefaultNamespace(XHTML);
        xml.writeCharacters(XmlText.of(words));
        close(1);
    }

    private String begin(String element, int column, String... attributes) throws XMLStreamException {
        String id = Integer.toString(++lastId);
        open(element, "localId", id);
        attributes(attributes);
        empty("position", "x", Integer.toString(column * COLUMN), "y", Integer.toString(row * ROW));
        return id;
    }

    private void into(List<String> from) throws XMLStreamException {
        xml.writeStartElement("connectionPointIn");
        for (String id : from) {
            empty("connection", "refLocalId", id);
        }
        close(1);
    }

    private void network(ProgramNetwork network) throws XMLStreamException {
        if (!network.comment().isEmpty()) {
            begin("comment", 0, "height", "20", "width", "400");
            xml.writeStartElement("content");
            xhtml(network.comment());
            close(2);
            row++;
        }
        List<String> reset =
                network.end() instanceof NetworkEnd.Counter counter ? logic(counter.reset(), rail(), 1) : List.of();
        List<String> end = logic(network.logic(), rail(), 1);
        end(network.end(), end, reset);
        row++;
    }

    private List<String> rail() throws XMLStreamException {
        String id = begin("leftPowerRail", 0);
        empty("connectionPointOut", "formalParameter", "");
        close(1);
        return List.of(id);
    }

    /** Writes contacts behind others; returns the last ones. */
    private List<String> logic(Logic logic, List<String> from, int column) throws XMLStreamException {
        if (logic instanceof Logic.Series series) {
            List<String> last = from;
            int at = column;
            for (Logic part : series.parts()) {
                last = logic(part, last, at++);
            }
            return last;
        }
        if (logic instanceof Logic.Parallel parallel) {
            List<String> last = new ArrayList<>();
            for (Logic branch : parallel.branches()) {
                last.addAll(logic(branch, from, column));
                row++;
            }
            return last;
        }
        if (logic instanceof Logic.Elapsed elapsed) {
            return List.of(comparison(elapsed, from, column));
        }
        Logic.LadderContact contact = (Logic.LadderContact) logic;
        String id = begin("contact", column, "negated", Boolean.toString(contact.closed()));
        into(from);
        empty("connectionPointOut");
        variableName(contact.operand().text());
        close(1);
        return List.of(id);
    }

    private void variableName(String name) throws XMLStreamException {
        xml.writeStartElement("variable");
        xml.writeCharacters(XmlText.of(name));
        close(1);
    }

    private String comparison(Logic.Elapsed elapsed, List<String> from, int column) throws XMLStreamException {
        String time = value(elapsed.timer() + ".ET", column);
        String limit = value(StructuredText.time(elapsed.millis()), column);
        Map<String, List<String>> inputs = new LinkedHashMap<>();
        inputs.put("EN", from);
        inputs.put("IN1", List.of(time));
        inputs.put("IN2", List.of(limit));
        String id = begin("block", column, "typeName", elapsed.atLeast() ? "GE" : "LT");
        blockBody(inputs, "OUT");
        return id;
    }

    private String value(String expression, int column) throws XMLStreamException {
        String id = begin("inVariable", column);
        empty("connectionPointOut");
        xml.writeStartElement("expression");
        xml.writeCharacters(XmlText.of(expression));
        close(2);
        return id;
    }

    private void blockBody(Map<String, List<String>> inputs, String output) throws XMLStreamException {
        xml.writeStartElement("inputVariables");
        for (Map.Entry<String, List<String>> input : inputs.entrySet()) {
            xml.writeStartElement("variable");
            attributes("formalParameter", input.getKey());
            into(input.getValue());
            close(1);
        }
        close(1);
        empty("inOutVariables");
        xml.writeStartElement("outputVariables");
        xml.writeStartElement("variable");
        attributes("formalParameter", output);
        empty("connectionPointOut");
        close(3);
    }

    private void end(NetworkEnd end, List<String> from, List<String> reset) throws XMLStreamException {
        if (end instanceof NetworkEnd.Coil coil) {
            boolean negated = coil.kind() == NetworkEnd.Coil.Kind.NEGATED;
            String storage =
                    switch (coil.kind()) {
                        case NORMAL, NEGATED -> "none";
                        case SET -> "set";
                        case RESET -> "reset";
                    };
            begin("coil", 9, "negated", Boolean.toString(negated), "storage", storage);
            into(from);
            empty("connectionPointOut");
            variableName(coil.variable());
            close(1);
            return;
        }
        Map<String, List<String>> inputs = new LinkedHashMap<>();
        if (end instanceof NetworkEnd.Timer timer) {
            inputs.put("IN", from);
            inputs.put("PT", List.of(value(StructuredText.time(timer.millis()), 8)));
        } else if (end instanceof NetworkEnd.Counter counter) {
            inputs.put("CU", from);
            inputs.put("R", reset);
            inputs.put("PV", List.of(value(Integer.toString(counter.preset()), 8)));
        } else {
            inputs.put("CLK", from);
        }
        String type = program.variable(end.variable()).orElseThrow().type().name();
        begin("block", 9, "typeName", type, "instanceName", end.variable());
        blockBody(inputs, "Q");
    }
}
