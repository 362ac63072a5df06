package parable.files;

import java.util.List;
import parable.check.Finding;

/** What the rules found on one sheet, the worst first. */
public record SheetFindings(String sheet, List<Finding> findings) {

    /** Not modified: the list is copied. */
    public SheetFindings {
        findings = List.copyOf(findings);
    }
}
