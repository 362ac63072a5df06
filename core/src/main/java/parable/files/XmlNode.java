package parable.files;

import java.io.StringReader;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;

/**
 * An element of an XML text, read without document types, entities of its own or anything from outside, within limits on size and depth.
 *
 * @param name without its namespace
 * @param text what is directly in it, without spaces around
 * @param line where it begins, 1 for the first
 */
record XmlNode(String name, Map<String, String> attributes, List<XmlNode> children, String text, int line) {

    private static final int MOST_CHARACTERS = 4_000_000;
    private static final int MOST_ELEMENTS = 100_000;
    private static final int DEEPEST = 40;

    /** Reads a text, and gives its outermost element. */
    static XmlNode read(String text) throws PlcOpenException {
        if (text.length() > MOST_CHARACTERS) {
            throw new PlcOpenException(1, text.length() + " characters", MOST_CHARACTERS + " at the most");
        }
        try {
            XMLStreamReader reader = factory().createXMLStreamReader(new StringReader(text));
            return new Reading(reader).root();
        } catch (XMLStreamException broken) {
            int line = broken.getLocation() == null
                    ? 1
                    : Math.max(1, broken.getLocation().getLineNumber());
            throw new PlcOpenException(line, "something that is not XML", "well-formed XML without a document type");
        }
    }

    private static XMLInputFactory factory() {
        XMLInputFactory factory = XMLInputFactory.newDefaultFactory();
        factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
        factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
        factory.setProperty(XMLInputFactory.IS_REPLACING_ENTITY_REFERENCES, false);
        factory.setXMLResolver((publicId, systemId, base, namespace) -> {
            throw new XMLStreamException("nothing is read from outside");
        });
        return factory;
    }

    /** Reads one text. */
    private static final class Reading {
        private final XMLStreamReader reader;
        private int elements;

        Reading(XMLStreamReader reader) {
            this.reader = reader;
        }

        XmlNode root() throws XMLStreamException, PlcOpenException {
            while (reader.next() != XMLStreamConstants.START_ELEMENT) {
                refuseStrange();
            }
            XmlNode root = element(1);
            while (reader.hasNext()) {
                reader.next();
            }
            return root;
        }

        private int line() {
            return Math.max(1, reader.getLocation().getLineNumber());
        }

        private void refuseStrange() throws PlcOpenException {
            int event = reader.getEventType();
            if (event == XMLStreamConstants.DTD || event == XMLStreamConstants.ENTITY_REFERENCE) {
                throw new PlcOpenException(line(), "a document type or an entity", "XML without");
            }
        }

        private XmlNode element(int depth) throws XMLStreamException, PlcOpenException {
            int line = line();
            if (depth > DEEPEST || ++elements > MOST_ELEMENTS) {
                throw new PlcOpenException(
                        line,
                        depth > DEEPEST ? "elements " + depth + " deep" : "more than " + MOST_ELEMENTS + " elements",
                        "elements " + DEEPEST + " deep, and " + MOST_ELEMENTS + " of them, at the most");
            }
            String name = reader.getLocalName();
            Map<String, String> attributes = new LinkedHashMap<>();
            for (int i = 0; i < reader.getAttributeCount(); i++) {
                attributes.put(reader.getAttributeLocalName(i), reader.getAttributeValue(i));
            }
            List<XmlNode> children = new ArrayList<>();
            StringBuilder text = new StringBuilder();
            while (reader.next() != XMLStreamConstants.END_ELEMENT) {
                refuseStrange();
                if (reader.isStartElement()) {
                    children.add(element(depth + 1));
                } else if (reader.isCharacters()) {
                    text.append(reader.getText());
                }
            }
            return new XmlNode(name, attributes, children, text.toString().strip(), line);
        }
    }

    /** What is wrong with it, to be thrown. */
    PlcOpenException refused(String found, String expected) {
        return new PlcOpenException(line, found, expected);
    }

    /** Its children of a name. */
    List<XmlNode> all(String childName) {
        return children.stream().filter(child -> child.name.equals(childName)).toList();
    }

    /** Its only child of a name, empty if there is none. */
    Optional<XmlNode> optional(String childName) throws PlcOpenException {
        List<XmlNode> found = all(childName);
        if (found.size() > 1) {
            throw found.get(1).refused("<" + childName + "> again", "one of it in <" + name + ">");
        }
        return found.stream().findFirst();
    }

    /** Its only child of a name. */
    XmlNode only(String childName) throws PlcOpenException {
        Optional<XmlNode> child = optional(childName);
        if (child.isEmpty()) {
            throw refused("<" + name + "> without <" + childName + ">", "one");
        }
        return child.get();
    }

    /** An attribute. */
    String required(String attribute) throws PlcOpenException {
        String value = attributes.get(attribute);
        if (value == null) {
            throw refused("<" + name + "> without " + attribute, "it");
        }
        return value;
    }

    /** Refuses children other than these. */
    void allow(List<String> names) throws PlcOpenException {
        for (XmlNode child : children) {
            if (!names.contains(child.name)) {
                throw child.refused("<" + child.name + "> in <" + name + ">", "one of " + String.join(", ", names));
            }
        }
    }

    /** All text in it and in what it holds. */
    String wholeText() {
        StringBuilder whole = new StringBuilder(text);
        children.forEach(child -> whole.append(whole.length() == 0 ? "" : " ").append(child.wholeText()));
        return whole.toString().strip();
    }
}
