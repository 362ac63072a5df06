package parable.drafting;

import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import parable.circuit.Device;
import parable.circuit.Job;
import parable.circuit.Practice;
import parable.circuit.Sheet;

/**
 * Puts a job into the dress of the other practice: its symbols follow from the job's practice, its tags are exchanged for those
 * that its devices bear there. The circuit stays the same, and dressing it twice gives back the first tags.
 */
public final class Dress {

    private Dress() {}

    /** The job in the dress of a practice; itself if it is in that dress. */
    public static Job of(Job job, Practice practice) {
        if (job.practice() == practice) {
            return job;
        }
        List<Sheet> sheets =
                job.sheets().stream().map(sheet -> dressed(sheet, practice)).toList();
        return new Job(job.name(), job.conventions().in(practice), sheets, job.logbook(), job.extras());
    }

    private static Sheet dressed(Sheet sheet, Practice practice) {
        Set<String> taken = new HashSet<>();
        Map<String, String> tags = new LinkedHashMap<>();
        Map<String, String> back = new HashMap<>();
        for (Device device : sheet.devices()) {
            String tag = newTag(device, practice, taken);
            tags.put(device.tag(), tag);
            back.put(tag, device.tag());
        }
        Sheet dressed = sheet.retagged(tags);
        return dressed.withDevices(dressed.devices().stream()
                .map(device -> device.alsoKnownAs(back.get(device.tag())))
                .toList());
    }

    private static String newTag(Device device, Practice practice, Set<String> taken) {
        if (!device.also().isEmpty() && taken.add(device.also())) {
            return device.also();
        }
        String digits = device.tag().replaceAll("\\D", "");
        int number = digits.isEmpty() || digits.length() > 6 ? 1 : Math.max(1, Integer.parseInt(digits));
        while (!taken.add(ClassLetters.tag(device.kind(), practice, number))) {
            number++;
        }
        return ClassLetters.tag(device.kind(), practice, number);
    }
}
