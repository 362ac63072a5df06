package parable.files;

import java.util.List;
import parable.parts.Assembly;
import parable.parts.Family;
import parable.parts.Nameplate;
import parable.parts.Part;

/** What stands in the title block of a sheet of its motors: voltage, power and current of one, of several the voltage and how many. */
final class MotorRatings {

    private MotorRatings() {}

    /** A sentence and a blank, nothing for a sheet without motors. */
    static String of(Assembly assembly) {
        List<Part> motors = assembly.parts().stream()
                .filter(part -> part.family() == Family.MOTOR)
                .toList();
        if (motors.isEmpty()) {
            return "";
        }
        if (motors.size() > 1) {
            return motors.size() + " motors. ";
        }
        Part motor = motors.get(0);
        String current =
                motor.device().setting("current").map(amperes -> ", " + amperes).orElse("");
        return motor.tag() + ": " + volts(motor)
                + motor.device().setting("power").map(power -> ", " + power).orElse("") + current + ". ";
    }

    /** Between the lines: that of a winding in star times root 3. */
    private static String volts(Part motor) {
        double winding = motor.loads().get(0).rated().volts();
        double line = motor.loads().get(0).endsAtStarPoint() ? Math.sqrt(3) * winding : winding;
        return Nameplate.figure(Math.round(line)) + " V";
    }
}
