package parable.starters;

/** One answer to a question that decides what a starter looks like. Each question is an enum of its answers. */
public interface Choice {

    /** The answer in a few words: {@code From a transformer}. */
    String words();

    /** Why one would choose it, in a sentence. */
    String why();
}
