package parable.drafting;

import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import parable.circuit.Basis;
import parable.circuit.Device;
import parable.circuit.Job;
import parable.circuit.Practice;
import parable.circuit.Relabelling;
import parable.circuit.Sheet;
import parable.circuit.Terminal;
import parable.parts.LeadMarking;

/**
 * Puts a job into the dress of the other practice: its symbols follow from the job's practice, its tags are exchanged for those
 * that its devices bear there, and its motors' leads are marked as there. The circuit stays the same, and dressing it twice gives back the first tags.
 */
public final class Dress {

    private Dress() {}

    /** The job in the dress of a practice; itself if it is in that dress. Tables of its own are of the other practice, and go. */
    public static Job of(Job job, Practice practice) {
        if (job.practice() == practice) {
            return job;
        }
        List<Sheet> sheets =
                job.sheets().stream().map(sheet -> dressed(sheet, practice)).toList();
        return job.with(sheets)
                .with(job.conventions().in(practice))
                .with(job.sizing().withTables(List.of()));
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
        Map<Terminal, String> markings = new HashMap<>();
        sheet.devices().stream().filter(Dress::isThreePhaseMotor).forEach(motor -> {
            List<String> now = LeadMarking.ofWritten(
                            motor.setting(LeadMarking.SETTING).orElse(""))
                    .leads();
            List<String> then = LeadMarking.of(practice).leads();
            for (int lead = 0; lead < now.size(); lead++) {
                markings.put(new Terminal(motor.tag(), now.get(lead)), then.get(lead));
            }
        });
        Sheet dressed = sheet.relabelled(new Relabelling(tags, markings));
        Sheet marked = dressed.withDevices(dressed.devices().stream()
                .map(device -> device.alsoKnownAs(back.get(device.tag())))
                .map(device -> isThreePhaseMotor(device)
                        ? device.with(
                                LeadMarking.SETTING, LeadMarking.of(practice).setting())
                        : device)
                .toList());
        return Basis.carried(sheet, marked);
    }

    private static boolean isThreePhaseMotor(Device device) {
        return device.kind().equals("three-phase-motor");
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
