package parable.files;

import java.io.StringWriter;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;
import parable.draw.Drawing;
import parable.draw.Mark;
import parable.draw.Point;
import parable.draw.SheetDrawing;
import parable.draw.Stroke;
import parable.draw.Subject;
import parable.parts.Assembly;
import parable.parts.Part;

/** The drawing of a sheet as SVG 1.1, with the geometry of the screen, everything at rest, in black on white. */
public final class SvgFile {

    private static final double WIRE = 1;
    private static final double SYMBOL = 1.6;
    private static final double JUNCTION = 2.6;
    private static final double MARGIN = 12;

    private final XMLStreamWriter xml;
    private final Assembly assembly;

    private SvgFile(XMLStreamWriter xml, Assembly assembly) {
        this.xml = xml;
        this.assembly = assembly;
    }

    /**
     * The text of the file.
     *
     * @param title what is drawn, for those who cannot see it
     */
    public static String text(Assembly assembly, String title) {
        StringWriter text = new StringWriter();
        try {
            XMLStreamWriter xml = XMLOutputFactory.newInstance().createXMLStreamWriter(text);
            new SvgFile(xml, assembly).write(SheetDrawing.of(assembly), title);
            xml.close();
        } catch (XMLStreamException impossible) {
            throw new IllegalStateException("a text in memory cannot be written", impossible);
        }
        return text.toString();
    }

    private void write(Drawing drawing, String title) throws XMLStreamException {
        String box = number(-MARGIN) + " " + number(-MARGIN) + " " + number(drawing.width() + 2 * MARGIN) + " "
                + number(drawing.height() + 2 * MARGIN);
        xml.writeStartDocument("UTF-8", "1.0");
        xml.writeStartElement("svg");
        xml.writeDefaultNamespace("http://www.w3.org/2000/svg");
        xml.writeAttribute("viewBox", box);
        xml.writeAttribute("width", number(drawing.width() + 2 * MARGIN));
        xml.writeAttribute("height", number(drawing.height() + 2 * MARGIN));
        xml.writeAttribute("font-family", "B612, sans-serif");
        xml.writeStartElement("title");
        xml.writeCharacters(title);
        xml.writeEndElement();
        rectangle(drawing);
        for (Mark mark : drawing.marks()) {
            write(mark);
        }
        xml.writeEndElement();
        xml.writeEndDocument();
    }

    private void rectangle(Drawing drawing) throws XMLStreamException {
        xml.writeEmptyElement("rect");
        xml.writeAttribute("x", number(-MARGIN));
        xml.writeAttribute("y", number(-MARGIN));
        xml.writeAttribute("width", number(drawing.width() + 2 * MARGIN));
        xml.writeAttribute("height", number(drawing.height() + 2 * MARGIN));
        xml.writeAttribute("fill", "white");
    }

    private void write(Mark mark) throws XMLStreamException {
        if (mark instanceof Mark.Wire wire) {
            lines(wire.points(), WIRE, "");
        } else if (mark instanceof Mark.Junction junction) {
            circle(junction.at(), JUNCTION, true);
        } else if (mark instanceof Mark.Link link) {
            lines(List.of(link.from(), link.to()), WIRE, "4 3");
        } else if (mark instanceof Mark.Symbol symbol) {
            write(symbol.always());
            write(isOnAtRest(symbol.subject()) ? symbol.on() : symbol.off());
        } else if (mark instanceof Mark.Label label) {
            write(label);
        }
    }

    /** Breakers open, fuses sound, supplies there, nothing actuated. */
    private boolean isOnAtRest(Subject subject) {
        Part part = assembly.part(subject.tag()).orElseThrow();
        return subject instanceof Subject.OfContact contact
                ? part.contacts().get(contact.contact()).closedAt(part.initial())
                : subject instanceof Subject.OfSupply;
    }

    private void write(List<Stroke> strokes) throws XMLStreamException {
        for (Stroke stroke : strokes) {
            if (stroke instanceof Stroke.Lines lines) {
                lines(lines.points(), lines.dashed() ? WIRE : SYMBOL, lines.dashed() ? "3 3" : "");
            } else if (stroke instanceof Stroke.Circle circle) {
                circle(circle.centre(), circle.radius(), circle.filled());
            } else if (stroke instanceof Stroke.Area area) {
                xml.writeEmptyElement("polygon");
                xml.writeAttribute("points", points(area.corners()));
            }
        }
    }

    private void lines(List<Point> points, double width, String dashes) throws XMLStreamException {
        xml.writeEmptyElement("polyline");
        xml.writeAttribute("points", points(points));
        xml.writeAttribute("fill", "none");
        xml.writeAttribute("stroke", "black");
        xml.writeAttribute("stroke-width", number(width));
        if (!dashes.isEmpty()) {
            xml.writeAttribute("stroke-dasharray", dashes);
        }
    }

    private void circle(Point centre, double radius, boolean filled) throws XMLStreamException {
        xml.writeEmptyElement("circle");
        xml.writeAttribute("cx", number(centre.x()));
        xml.writeAttribute("cy", number(centre.y()));
        xml.writeAttribute("r", number(radius));
        xml.writeAttribute("fill", filled ? "black" : "none");
        xml.writeAttribute("stroke", "black");
        xml.writeAttribute("stroke-width", number(SYMBOL));
    }

    private void write(Mark.Label label) throws XMLStreamException {
        xml.writeStartElement("text");
        xml.writeAttribute("x", number(label.at().x()));
        xml.writeAttribute("y", number(label.at().y()));
        xml.writeAttribute("font-size", number(label.role().size()));
        if (label.role().bold()) {
            xml.writeAttribute("font-weight", "bold");
        }
        xml.writeAttribute(
                "text-anchor",
                switch (label.anchor()) {
                    case START -> "start";
                    case MIDDLE -> "middle";
                    case END -> "end";
                });
        xml.writeCharacters(label.text());
        xml.writeEndElement();
    }

    private static String points(List<Point> points) {
        return points.stream()
                .map(point -> number(point.x()) + "," + number(point.y()))
                .collect(Collectors.joining(" "));
    }

    private static String number(double number) {
        return String.format(Locale.ROOT, "%.2f", number).replaceAll("\\.?0+$", "");
    }
}
