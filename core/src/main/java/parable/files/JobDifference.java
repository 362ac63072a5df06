package parable.files;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import parable.circuit.Extras;
import parable.circuit.Job;
import parable.circuit.Sheet;

/**
 * In what two versions of a job differ, line by line as their files say it.
 *
 * @param here the lines that only the one has, each under the sheet that it belongs to
 * @param there the lines that only the other has
 */
public record JobDifference(List<String> here, List<String> there) {

    /** Not modified: the lists are copied. */
    public JobDifference {
        here = List.copyOf(here);
        there = List.copyOf(there);
    }

    /** The difference between two versions. */
    public static JobDifference of(Job here, Job there) {
        List<String> one = lines(here);
        List<String> other = lines(there);
        return new JobDifference(without(one, other), without(other, one));
    }

    /** Each line behind the name of its sheet, without the commas and blanks of the format. */
    private static List<String> lines(Job job) {
        List<String> lines = new ArrayList<>();
        JobFile.text(job.with(List.<Sheet>of())).lines().forEach(line -> add("", line, lines));
        job.sheets().forEach(sheet -> JobFile.text(new Job("", job.practice(), List.of(sheet), Extras.NONE))
                .lines()
                .filter(line -> line.startsWith("      "))
                .forEach(line -> add(sheet.name() + ":  ", line, lines)));
        return lines;
    }

    private static void add(String where, String line, List<String> lines) {
        String bare = line.strip().replaceAll(",$", "");
        if (bare.length() > 1 && !bare.endsWith("[") && !bare.endsWith("{")) {
            lines.add(where + bare);
        }
    }

    private static List<String> without(List<String> lines, List<String> others) {
        Map<String, Integer> left = new HashMap<>();
        others.forEach(line -> left.merge(line, 1, Integer::sum));
        List<String> only = new ArrayList<>();
        for (String line : lines) {
            if (left.merge(line, -1, Integer::sum) < 0) {
                only.add(line);
            }
        }
        return only;
    }
}
