package parable.files;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.StringReader;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.w3c.dom.Document;
import org.w3c.dom.NodeList;
import org.xml.sax.InputSource;
import parable.Examples;
import parable.circuit.Device;
import parable.circuit.Practice;
import parable.circuit.Sheet;
import parable.draw.Drawing;
import parable.draw.Mark;
import parable.draw.SheetDrawing;

class SvgFileTest {

    @ParameterizedTest
    @MethodSource("parable.Examples#sheets")
    void everySheetIsAnSvgWithAllItsWiresAndTexts(Sheet sheet) throws Exception {
        Drawing drawing = SheetDrawing.of(Examples.fitted(sheet), Practice.IEC);
        Document svg = DocumentBuilderFactory.newInstance()
                .newDocumentBuilder()
                .parse(new InputSource(
                        new StringReader(SvgFile.text(Examples.fitted(sheet), Practice.IEC, sheet.name() + " <&>"))));

        assertThat(svg.getDocumentElement().getTagName()).isEqualTo("svg");
        assertThat(svg.getElementsByTagName("title").item(0).getTextContent()).isEqualTo(sheet.name() + " <&>");
        long labels =
                drawing.marks().stream().filter(Mark.Text.class::isInstance).count();
        NodeList texts = svg.getElementsByTagName("text");
        assertThat(texts.getLength()).isEqualTo((int) labels);
        long wires =
                drawing.marks().stream().filter(Mark.WireLine.class::isInstance).count();
        assertThat(svg.getElementsByTagName("polyline").getLength()).isGreaterThan((int) wires);
        assertThat(svg.getDocumentElement().getTextContent())
                .contains(sheet.devices().stream()
                        .filter(device -> !device.kind().equals("mechanical-interlock"))
                        .map(Device::tag)
                        .toList());
    }
}
