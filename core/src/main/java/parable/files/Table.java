package parable.files;

import java.util.List;

/**
 * A list as it goes on paper or into a spreadsheet.
 *
 * @param header the headings of its columns
 * @param rows each as long as the header
 */
record Table(List<String> header, List<List<String>> rows) {

    /** Not modified: the lists are copied. */
    Table {
        header = List.copyOf(header);
        rows = List.copyOf(rows);
    }
}
