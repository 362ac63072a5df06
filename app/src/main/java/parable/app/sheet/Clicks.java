package parable.app.sheet;

/** What is clicked on a drawing that is operated. */
public interface Clicks {

    /** A device that is operated where it was clicked. */
    void operated(String tag);

    /** A device that is not operated there: why is it as it is? */
    void asked(String tag);

    /** A wire, by its number. */
    void wire(String number);

    /** The menu is asked for, at a point of the screen. */
    void menu(Hit hit, double screenX, double screenY);
}
