package parable.drafting;

import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import parable.circuit.Device;
import parable.circuit.Job;
import parable.circuit.Practice;
import parable.circuit.Relabelling;
import parable.circuit.Sheet;
import parable.circuit.Terminal;

/**
 * Puts a job into the dress of the other practice: its symbols follow from the job's practice, its tags are exchanged for those
 * that its devices bear there, and its motors' leads are marked as there. The circuit stays the same, and dressing it twice gives back the first tags.
 */
public final class Dress {

    private static final String LEAD_MARKING = "lead-marking";
    private static final String IEC_LEADS = "U1 V1 W1 U2 V2 W2";

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
        Map<Terminal, String> markings = new HashMap<>();
        sheet.devices().stream().filter(Dress::isThreePhaseMotor).forEach(motor -> {
            List<String> now = leads(motor.setting(LEAD_MARKING).orElse(IEC_LEADS));
            List<String> then = leads(marking(practice).orElse(IEC_LEADS));
            for (int lead = 0; lead < Math.min(now.size(), then.size()); lead++) {
                markings.put(new Terminal(motor.tag(), now.get(lead)), then.get(lead));
            }
        });
        Sheet dressed = sheet.relabelled(new Relabelling(tags, markings));
        return dressed.withDevices(dressed.devices().stream()
                .map(device -> device.alsoKnownAs(back.get(device.tag())))
                .map(device -> isThreePhaseMotor(device)
                        ? device.with(LEAD_MARKING, marking(practice).orElse(""))
                        : device)
                .toList());
    }

    private static boolean isThreePhaseMotor(Device device) {
        return device.kind().equals("three-phase-motor");
    }

    /** What says how the leads of a motor are marked, where it has to be said. */
    private static Optional<String> marking(Practice practice) {
        return switch (practice) {
            case IEC -> Optional.empty();
            case NORTH_AMERICAN -> Optional.of("T1 T2 T3 T4 T5 T6");
        };
    }

    private static List<String> leads(String marking) {
        return List.of(marking.split(" "));
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
