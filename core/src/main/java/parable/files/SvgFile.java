package parable.files;

import java.io.StringWriter;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;
import parable.circuit.Practice;
import parable.draw.Drawing;
import parable.draw.Mark;
import parable.draw.PanelDrawing;
import parable.draw.Point;
import parable.draw.SheetDrawing;
import parable.parts.Assembly;

/** The drawing of a sheet as SVG 1.1, with the geometry of the screen, everything at rest, in black on white. */
public final class SvgFile implements Pen {

    private static final double MARGIN = 12;

    private final XMLStreamWriter xml;

    private SvgFile(XMLStreamWriter xml) {
        this.xml = xml;
    }

    /**
     * The text of the file.
     *
     * @param practice whose symbols it has
     * @param title what is drawn, for those who cannot see it
     */
    public static String text(Assembly assembly, Practice practice, String title) {
        return text(assembly, List.of(SheetDrawing.of(assembly, practice)), title);
    }

    /**
     * The text of a file with the views of all places of a sheet, one below the other.
     *
     * @param title what is drawn, for those who cannot see it
     */
    public static String places(Assembly assembly, String title) {
        return text(assembly, PanelDrawing.all(assembly), title);
    }

    private static String text(Assembly assembly, List<Drawing> drawings, String title) {
        StringWriter text = new StringWriter();
        try {
            XMLStreamWriter xml = XMLOutputFactory.newInstance().createXMLStreamWriter(text);
            SvgFile file = new SvgFile(xml);
            double width = drawings.stream().mapToDouble(Drawing::width).max().orElse(0);
            double height = drawings.stream().mapToDouble(Drawing::height).sum();
            file.begin(width, height, title);
            double top = 0;
            for (Drawing drawing : drawings) {
                xml.writeStartElement("g");
                file.attributes("transform", "translate(0," + number(top) + ")");
                new AtRest(assembly, file).draw(drawing);
                xml.writeEndElement();
                top += drawing.height();
            }
            xml.writeEndElement();
            xml.writeEndDocument();
            xml.close();
        } catch (XMLStreamException impossible) {
            throw inMemory(impossible);
        }
        return text.toString();
    }

    private static IllegalStateException inMemory(XMLStreamException impossible) {
        return new IllegalStateException("a text in memory cannot be written", impossible);
    }

    private void begin(double wide, double high, String title) throws XMLStreamException {
        double width = wide + 2 * MARGIN;
        double height = high + 2 * MARGIN;
        xml.writeStartDocument("UTF-8", "1.0");
        xml.writeStartElement("svg");
        xml.writeDefaultNamespace("http://www.w3.org/2000/svg");
        xml.writeAttribute(
                "viewBox", number(-MARGIN) + " " + number(-MARGIN) + " " + number(width) + " " + number(height));
        xml.writeAttribute("width", number(width));
        xml.writeAttribute("height", number(height));
        xml.writeAttribute("font-family", "B612, sans-serif");
        xml.writeStartElement("title");
        xml.writeCharacters(XmlText.of(title));
        xml.writeEndElement();
        element(
                "rect",
                "x",
                number(-MARGIN),
                "y",
                number(-MARGIN),
                "width",
                number(width),
                "height",
                number(height),
                "fill",
                "white");
    }

    private void element(String name, String... attributes) {
        try {
            xml.writeEmptyElement(name);
            attributes(attributes);
        } catch (XMLStreamException impossible) {
            throw inMemory(impossible);
        }
    }

    private void attributes(String... namesAndValues) throws XMLStreamException {
        for (int i = 0; i < namesAndValues.length; i += 2) {
            xml.writeAttribute(namesAndValues[i], XmlText.of(namesAndValues[i + 1]));
        }
    }

    @Override
    public void lines(List<Point> points, double width, double... dashes) {
        String dashed = dashes.length == 0
                ? "none"
                : Arrays.stream(dashes).mapToObj(SvgFile::number).collect(Collectors.joining(" "));
        element(
                "polyline",
                "points",
                points(points),
                "fill",
                "none",
                "stroke",
                "black",
                "stroke-width",
                number(width),
                "stroke-dasharray",
                dashed);
    }

    @Override
    public void circle(Point centre, double radius, double width, boolean filled) {
        element(
                "circle",
                "cx",
                number(centre.x()),
                "cy",
                number(centre.y()),
                "r",
                number(radius),
                "fill",
                filled ? "black" : "none",
                "stroke",
                "black",
                "stroke-width",
                number(width));
    }

    @Override
    public void area(List<Point> corners) {
        element("polygon", "points", points(corners));
    }

    @Override
    public void text(Mark.Text label) {
        try {
            xml.writeStartElement("text");
            attributes(
                    "x",
                    number(label.at().x()),
                    "y",
                    number(label.at().y()),
                    "font-size",
                    number(label.role().size()),
                    "font-weight",
                    label.role().bold() ? "bold" : "normal",
                    "text-anchor",
                    anchor(label.anchor()));
            xml.writeCharacters(XmlText.of(label.text()));
            xml.writeEndElement();
        } catch (XMLStreamException impossible) {
            throw inMemory(impossible);
        }
    }

    private static String anchor(Mark.Anchor anchor) {
        return switch (anchor) {
            case START -> "start";
            case MIDDLE -> "middle";
            case END -> "end";
        };
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
