package parable.app.sound;

/** Where sounds go. */
interface Speaker {

    /** Plays a click beside whatever else is heard. */
    void click(Heard.Click click);

    /** Lets the horn sound, or be silent. */
    void horn(boolean sounds);
}
