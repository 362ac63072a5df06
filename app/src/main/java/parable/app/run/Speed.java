package parable.app.run;

/** How fast time runs on the bench. */
public enum Speed {
    ONE_MILLISECOND("1 ms", 0.001),
    TEN_MILLISECONDS("10 ms", 0.01),
    HUNDRED_MILLISECONDS("100 ms", 0.1),
    REAL_TIME("1 s", 1);

    private final String perSecond;
    private final double factor;

    Speed(String perSecond, double factor) {
        this.perSecond = perSecond;
        this.factor = factor;
    }

    /** How much bench time passes in a second of the clock on the wall, in words: {@code 10 ms}. */
    public String perSecond() {
        return perSecond;
    }

    /** Seconds on the bench per second on the wall. */
    public double factor() {
        return factor;
    }
}
