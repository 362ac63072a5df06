package parable.files;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import parable.circuit.SizingBasis;
import parable.circuit.Stated;
import parable.circuit.TableCopy;

/** What is stated for sizing, in the field {@code sizing} of a sheet or a job, and a job's own tables in {@code tables}; each is left out while it says nothing. */
final class SizingText {

    static final String STATED = "sizing";
    static final String TABLES = "tables";

    private static final Pattern WHAT = Pattern.compile("(?:(\\S+) )?([a-z0-9-]+)");

    private SizingText() {}

    static void write(List<Stated> stated, ObjectNode node) {
        if (!stated.isEmpty()) {
            ObjectNode sizing = node.putObject(STATED);
            stated.forEach(
                    one -> sizing.put((one.about().isEmpty() ? "" : one.about() + " ") + one.quantity(), one.value()));
        }
    }

    static void write(SizingBasis basis, ObjectNode job) {
        write(basis.stated(), job);
        if (!basis.tables().isEmpty()) {
            ObjectNode tables = job.putObject(TABLES);
            basis.tables().forEach(table -> table.lines().forEach(tables.withArray(table.name())::add));
        }
    }

    static List<Stated> stated(Located node) throws JobFormatException {
        List<Stated> stated = new ArrayList<>();
        Optional<Located> all = node.field(STATED);
        if (all.isPresent()) {
            for (Map.Entry<String, Located> one : all.get().fields()) {
                Matcher what = WHAT.matcher(one.getKey());
                if (!what.matches()) {
                    throw one.getValue().refused("'" + one.getKey() + "'", "a tag and a quantity, such as 'M1 length'");
                }
                stated.add(new Stated(
                        Optional.ofNullable(what.group(1)).orElse(""),
                        what.group(2),
                        one.getValue().text()));
            }
        }
        return stated;
    }

    static SizingBasis basis(Located job) throws JobFormatException {
        List<TableCopy> tables = new ArrayList<>();
        Optional<Located> all = job.field(TABLES);
        if (all.isPresent()) {
            for (Map.Entry<String, Located> one : all.get().fields()) {
                List<String> lines = new ArrayList<>();
                for (Located line : one.getValue().entries()) {
                    lines.add(line.text());
                }
                tables.add(new TableCopy(one.getKey(), lines));
            }
        }
        return new SizingBasis(stated(job), tables);
    }
}
