package parable.files;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import parable.circuit.Device;
import parable.circuit.Extras;
import parable.circuit.Job;
import parable.circuit.Sheet;
import parable.parts.Catalogue;
import parable.parts.PartKind;

/** What a job file says in fields that mean nothing here: a misspelt setting, or something that a later version knows. */
public final class UnknownFields {

    private static final int MOST_SLIPS = 2;
    private static final int MOST_TOLD = 3;

    private UnknownFields() {}

    /** The first few of them, and how many more there are; a sentence each, none if there are none. */
    public static List<String> told(Job job) {
        List<String> all = of(job);
        List<String> told = new ArrayList<>(all.subList(0, Math.min(MOST_TOLD, all.size())));
        if (all.size() > MOST_TOLD) {
            told.add("There are " + (all.size() - MOST_TOLD) + " more such fields.");
        }
        return told;
    }

    /** A sentence for each, in the order of the file. */
    public static List<String> of(Job job) {
        List<String> told = new ArrayList<>();
        tell("The job", job.extras(), JobReader.JOB_FIELDS, told);
        for (Sheet sheet : job.sheets()) {
            String where = "Sheet " + sheet.name();
            tell(where, sheet.extras(), JobReader.SHEET_FIELDS, told);
            for (Device device : sheet.devices()) {
                List<String> known = Stream.concat(
                                JobReader.DEVICE_FIELDS.stream(),
                                Catalogue.kind(device.kind()).map(PartKind::settings).orElse(List.of()).stream())
                        .toList();
                tell(where + ", " + device.tag(), device.extras(), known, told);
            }
            sheet.accepted()
                    .forEach(one -> tell(
                            where + ", what is accepted of " + one.code(),
                            one.extras(),
                            JobReader.ACCEPTANCE_FIELDS,
                            told));
            sheet.fieldwork()
                    .readings()
                    .forEach(one -> tell(
                            where + ", the reading at \u201c" + one.step() + "\u201d",
                            one.extras(),
                            FieldworkText.READING_FIELDS,
                            told));
        }
        return told;
    }

    private static void tell(String where, Extras extras, List<String> known, List<String> told) {
        for (String name : extras.fields().keySet()) {
            String meant = known.stream()
                    .filter(word -> slips(word, name.toLowerCase(Locale.ROOT)) <= MOST_SLIPS)
                    .findFirst()
                    .map(word -> " Is \u201c" + word + "\u201d meant?")
                    .orElse("");
            told.add(
                    where + ": the field \u201c" + name + "\u201d is not known. It is kept, and does nothing." + meant);
        }
    }

    /** The letters to be changed, added or taken away to make one word of another (Levenshtein); of long words only the difference in length. */
    private static int slips(String one, String other) {
        if (Math.abs(one.length() - other.length()) > MOST_SLIPS) {
            return Math.abs(one.length() - other.length());
        }
        int[] row = new int[other.length() + 1];
        for (int j = 0; j < row.length; j++) {
            row[j] = j;
        }
        for (int i = 1; i <= one.length(); i++) {
            int corner = row[0];
            row[0] = i;
            for (int j = 1; j < row.length; j++) {
                int above = row[j];
                int same = one.charAt(i - 1) == other.charAt(j - 1) ? 0 : 1;
                row[j] = Math.min(corner + same, 1 + Math.min(above, row[j - 1]));
                corner = above;
            }
        }
        return row[other.length()];
    }
}
