package parable.files;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.LinkedHashMap;
import java.util.Map;
import parable.circuit.TitleBlock;

/** The title block of a job in its field {@code title-block}: those of its entries that are not left free. */
final class TitleText {

    /** The field of a job. */
    static final String FIELD = "title-block";

    private TitleText() {}

    static void write(TitleBlock title, ObjectNode job) {
        if (title.equals(TitleBlock.BLANK)) {
            return;
        }
        ObjectNode written = job.putObject(FIELD);
        entries(title).forEach((name, entry) -> {
            if (!entry.isEmpty()) {
                written.put(name, entry);
            }
        });
    }

    /** Each entry by its name in the file, in the order they stand on paper. */
    private static Map<String, String> entries(TitleBlock title) {
        Map<String, String> entries = new LinkedHashMap<>();
        entries.put("drawing", title.drawing());
        entries.put("revision", title.revision());
        entries.put("date", title.date());
        entries.put("drawn", title.drawn());
        entries.put("checked", title.checked());
        return entries;
    }

    static TitleBlock read(Located job) throws JobFormatException {
        Map<String, String> entries = entries(TitleBlock.BLANK);
        if (job.field(FIELD).isPresent()) {
            Located written = job.field(FIELD).get();
            for (Map.Entry<String, Located> one : written.fields()) {
                if (!entries.containsKey(one.getKey())) {
                    throw written.refused(one.getKey(), "one of " + String.join(", ", entries.keySet()));
                }
                String entry = one.getValue().text();
                if (entry.length() > TitleBlock.MOST_LETTERS) {
                    throw one.getValue().refused("up to " + TitleBlock.MOST_LETTERS + " letters");
                }
                entries.put(one.getKey(), entry);
            }
        }
        return new TitleBlock(
                entries.get("drawing"),
                entries.get("revision"),
                entries.get("date"),
                entries.get("drawn"),
                entries.get("checked"));
    }
}
