package parable.files;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import parable.check.Finding;
import parable.circuit.Sheet;

/**
 * Findings as JSON: {@code {"findings": [{"code", "severity", "sheet", "where", "text", "reason", "accepted"}]}}; accepted
 * only if somebody has.
 */
public final class FindingsText {

    private FindingsText() {}

    /** The findings of all sheets in one list, sheet by sheet. */
    public static String json(List<SheetFindings> sheets) {
        ObjectNode root = JsonNodeFactory.instance.objectNode();
        ArrayNode list = root.putArray("findings");
        for (SheetFindings sheet : sheets) {
            sheet.findings().forEach(finding -> add(list.addObject(), sheet.sheet(), finding));
        }
        return root.toPrettyString();
    }

    private static void add(ObjectNode node, Sheet sheet, Finding finding) {
        node.put("code", finding.code());
        node.put("severity", finding.severity().word());
        node.put("sheet", sheet.name());
        ArrayNode where = node.putArray("where");
        finding.where().forEach(where::add);
        node.put("text", finding.text());
        node.put("reason", finding.reason());
        sheet.acceptance(finding.code(), finding.where()).ifPresent(acceptance -> {
            ObjectNode accepted = node.putObject("accepted");
            accepted.put("by", acceptance.by());
            accepted.put("on", acceptance.on());
            accepted.put("remark", acceptance.remark());
        });
    }
}
