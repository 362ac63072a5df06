package parable.starters;

import java.util.List;
import parable.circuit.Practice;

/**
 * A question that decides what a starter looks like.
 *
 * @param words the question as it is asked
 * @param answers its answers, the plain one first
 */
public record Question(String words, List<Choice> answers) {

    /** Not modified: the list is copied. */
    public Question {
        answers = List.copyOf(answers);
    }

    /** All questions in the order they are asked. */
    public static List<Question> all() {
        return List.of(
                new Question("How is it started and stopped?", List.of(Starting.values())),
                new Question("How is the motor brought up to speed?", List.of(Running.values())),
                new Question("Which way does it turn?", List.of(Directions.values())),
                new Question("What do the ends of its travel do?", List.of(EndSwitches.values())),
                new Question("Is it jogged?", List.of(Jogging.values())),
                new Question("How does it come to rest?", List.of(Braking.values())),
                new Question("Is there a warning before it starts?", List.of(Warning.values())),
                new Question("Is there an E-stop?", List.of(EmergencyStop.values())),
                new Question("Where does the control voltage come from?", List.of(ControlSupply.values())),
                new Question("What protects the motor?", List.of(ProtectiveDevice.values())),
                new Question("Where does the overload's contact stand?", List.of(OverloadContact.values())),
                new Question("What decides: relays or a controller?", List.of(ControlBy.values())));
    }

    /** The answer that a practice gives to a question when nobody says otherwise. */
    static Choice byDefault(Class<? extends Choice> question, Practice practice) {
        boolean northAmerican = practice == Practice.NORTH_AMERICAN;
        if (question == ControlSupply.class) {
            return ControlSupply.TRANSFORMER;
        }
        if (question == OverloadContact.class) {
            return northAmerican ? OverloadContact.LAST : OverloadContact.FIRST;
        }
        return question.getEnumConstants()[0];
    }
}
