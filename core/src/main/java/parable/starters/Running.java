package parable.starters;

/** How the motor is brought up to speed. */
public enum Running implements Choice {
    DIRECT("Direct on line", "The simplest; six to seven times the rated current while it starts."),
    STAR_DELTA_BY_STAR(
            "Star-delta, main by star",
            "A third of the current and of the torque while it starts; the star contactor closes without current and may be small."),
    STAR_DELTA_DIRECT(
            "Star-delta, main direct",
            "A third of the current and of the torque while it starts, with fewer contacts; the star contactor may close last."),
    STAR_DELTA_DEAD_TIME(
            "Star-delta with a set dead time",
            "The timer keeps both contactors out for a set time, so that the arc of the star contactor is out before delta closes.");

    private final String words;
    private final String why;

    Running(String words, String why) {
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
