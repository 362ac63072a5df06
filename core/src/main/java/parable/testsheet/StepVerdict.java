package parable.testsheet;

/** What a step of a test sheet has come to. */
public enum StepVerdict {
    /** Nothing was found yet. */
    OPEN("to do"),
    /** What was found is as good as expected. */
    PASS("pass"),
    /** It is not. */
    FAIL("fail"),
    /** It is not, and somebody has said why it may stay. */
    FAIL_WITH_REMARK("fail, remarked"),
    /** It was read on another circuit, and what was changed since can touch it. */
    STALE("read again");

    private final String words;

    StepVerdict(String words) {
        this.words = words;
    }

    /** As it stands beside the step. */
    public String words() {
        return words;
    }
}
