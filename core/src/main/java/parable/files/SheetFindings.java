package parable.files;

import java.util.List;
import parable.check.Finding;
import parable.circuit.Sheet;

/** What the rules found on one sheet, the worst first. */
public record SheetFindings(Sheet sheet, List<Finding> findings) {

    /** Not modified: the list is copied. */
    public SheetFindings {
        findings = List.copyOf(findings);
    }
}
