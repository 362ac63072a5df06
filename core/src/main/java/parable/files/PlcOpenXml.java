package parable.files;

import parable.program.Program;
import parable.program.ProgramException;

/** Programs as ladder diagrams in PLCopen XML (IEC 61131-10, TC6 0201). */
public final class PlcOpenXml {

    /** The namespace of the version that is written and read. */
    static final String NAMESPACE = "http://www.plcopen.org/xml/tc6_0201";

    private PlcOpenXml() {}

    /** The program as a project with one program unit, a ladder diagram; {@link #read} gives the same program back. */
    public static String write(Program program) {
        return new PlcOpenWriter(program).text();
    }

    /**
     * Reads a project with one program unit, a ladder diagram of contacts, coils, standard timers, up counters, edges and comparisons with elapsed
     * times.
     *
     * @throws PlcOpenException at the first line that is outside the subset, with its name; nothing is read of such a text
     * @throws ProgramException if what is written uses something that is not declared, or uses it as what it is not
     */
    public static Program read(String text) throws PlcOpenException, ProgramException {
        return new PlcOpenReader(XmlNode.read(text)).program();
    }
}
