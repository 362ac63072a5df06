package parable.starters;

/** What protects the motor from overload. */
public enum ProtectiveDevice implements Choice {
    OVERLOAD_RELAY(
            "Breaker and overload relay",
            "The breaker opens on a short circuit, the overload relay stops the contactor by its contact."),
    MOTOR_PROTECTIVE_BREAKER(
            "Motor-protective breaker",
            "One device opens on short circuit and overload alike; its auxiliary contact drops the contactor, so that closing it again starts nothing.");

    private final String words;
    private final String why;

    ProtectiveDevice(String words, String why) {
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
