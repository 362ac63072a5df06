package parable.files;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.math.BigDecimal;
import java.math.MathContext;
import java.util.List;
import parable.circuit.Practice;
import parable.sizing.BrakeSizing;
import parable.sizing.ControlSupplySizing;
import parable.sizing.DrawingDifference;
import parable.sizing.JobSizing;
import parable.sizing.MotorSizing;
import parable.sizing.SheetSizing;
import parable.sizing.SizingInputs;
import parable.sizing.SizingLine;
import parable.sizing.SizingResult;

/** A sizing as JSON, as {@code docs/sizing.schema.json} has it. */
public final class SizingJson {

    /** Said once with every sizing. */
    public static final String ADVICE =
            "This is advice. The nameplate, the data sheets, the local code and whoever answers for the work decide.";

    private static final MathContext SIX_FIGURES = new MathContext(6);

    private SizingJson() {}

    /**
     * That of a job, or of some of its sheets.
     *
     * @param sheets those that are told
     */
    public static String of(String job, Practice practice, JobSizing sizing, List<SheetSizing> sheets) {
        ObjectNode root = JsonNodeFactory.instance.objectNode();
        root.put("job", job);
        root.put("practice", practice.words());
        root.put("advice", ADVICE);
        ArrayNode list = root.putArray("sheets");
        sheets.forEach(sheet -> add(sheet, list.addObject()));
        ObjectNode together = root.putObject("together");
        sizing.inputs().ifPresent(inputs -> addInputs(inputs, together));
        addResults(sizing.results(), together);
        addProblem(sizing.problem(), together);
        return root.toPrettyString();
    }

    /** That of one line. */
    public static String of(SizingLine.SizedLine outcome) {
        ObjectNode root = JsonNodeFactory.instance.objectNode();
        root.put("practice", outcome.inputs().practice().words());
        root.put("advice", ADVICE);
        addInputs(outcome.inputs(), root);
        addResults(outcome.results(), root);
        outcome.notes().forEach(root.putArray("notes")::add);
        return root.toPrettyString();
    }

    private static void add(SheetSizing sheet, ObjectNode node) {
        node.put("sheet", sheet.sheet());
        ArrayNode motors = node.putArray("motors");
        for (SheetSizing.Sized<MotorSizing> motor : sheet.motors()) {
            ObjectNode one = head(motor, motors);
            motor.sizing().ifPresent(sized -> {
                addInputs(sized.inputs(), one);
                addResults(sized.results(), one);
                sized.notes().forEach(one.putArray("notes")::add);
            });
        }
        ArrayNode supplies = node.putArray("supplies");
        for (SheetSizing.Sized<ControlSupplySizing> supply : sheet.supplies()) {
            ObjectNode one = head(supply, supplies);
            supply.sizing().ifPresent(sized -> {
                addInputs(sized.inputs(), one);
                addResults(sized.results(), one);
            });
        }
        ArrayNode brakes = node.putArray("brakes");
        for (SheetSizing.Sized<BrakeSizing> brake : sheet.brakes()) {
            ObjectNode one = head(brake, brakes);
            brake.sizing().ifPresent(sized -> {
                addInputs(sized.inputs(), one);
                addResults(sized.results(), one);
            });
        }
        ArrayNode differences = node.putArray("differences");
        sheet.differences().forEach(difference -> add(difference, differences.addObject()));
    }

    private static ObjectNode head(SheetSizing.Sized<?> sized, ArrayNode list) {
        ObjectNode node = list.addObject();
        node.put("tag", sized.tag());
        node.put("title", sized.title());
        addProblem(sized.problem(), node);
        return node;
    }

    private static void addProblem(String problem, ObjectNode node) {
        if (!problem.isEmpty()) {
            node.put("problem", problem);
        }
    }

    private static void add(DrawingDifference difference, ObjectNode node) {
        node.put("tag", difference.tag());
        node.put("what", difference.what());
        node.put("drawn", difference.drawn());
        node.put("sized", difference.sized());
        node.put("differs", difference.sort() == DrawingDifference.Sort.DIFFERS);
        node.put("why", difference.why());
    }

    private static void addInputs(SizingInputs inputs, ObjectNode node) {
        ArrayNode list = node.putArray("inputs");
        inputs.all().forEach(input -> {
            ObjectNode one = list.addObject();
            one.put("key", input.key());
            one.put("name", input.name());
            one.put("value", input.value());
            one.put("origin", input.origin().words());
        });
    }

    private static void addResults(List<SizingResult> results, ObjectNode node) {
        ArrayNode list = node.putArray("results");
        for (SizingResult result : results) {
            ObjectNode one = list.addObject();
            one.put("key", result.key());
            one.put("name", result.name());
            one.put(
                    "value",
                    BigDecimal.valueOf(result.value()).round(SIX_FIGURES).stripTrailingZeros());
            one.put("unit", result.unit());
            one.put("written", result.written());
            result.inputs().forEach(one.putArray("inputs")::add);
            one.put("formula", result.formula());
            one.put("source", result.source());
            one.put("row", result.row());
            result.verdict().ifPresent(verdict -> {
                one.put("met", verdict.met());
                one.put("limit", verdict.words());
            });
            one.put("overridden", result.overridden());
            one.put("edited", result.ofEditedTable());
        }
    }
}
