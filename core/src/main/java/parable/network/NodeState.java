package parable.network;

/** What a meter and a careful hand would find at a node. */
public enum NodeState {
    /** No voltage against earth or return, and no load at work hangs on it. */
    DEAD("dead"),
    /** Joined to the live side of a source through copper and closed contacts. */
    LIVE("live"),
    /** Joined to the return side of a source. */
    RETURN("return"),
    /** Has voltage through a load only: touch it and you are in series with that load. A star point is such a node too. */
    LIVE_THROUGH_LOAD("live through a load"),
    /** On the way of a short circuit. */
    SHORTED("shorted");

    private final String words;

    NodeState(String words) {
        this.words = words;
    }

    /** The state in a sentence: {@code live through a load}. */
    public String words() {
        return words;
    }
}
