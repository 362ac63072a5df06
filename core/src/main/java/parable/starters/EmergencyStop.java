package parable.starters;

/** Whether the door has an E-stop. */
public enum EmergencyStop implements Choice {
    NONE("No E-stop", "The stop button stops it."),
    ONE(
            "An E-stop",
            "Latches when hit and opens the line before everything else; releasing it starts nothing. It needs a risk assessment that this program does not do.");

    private final String words;
    private final String why;

    EmergencyStop(String words, String why) {
        this.words = words;
        this.why = why;
    }

    @Override
    public String words() {
        return words;
    }

    @Override
    public String why() {
        return why;
    }
}
