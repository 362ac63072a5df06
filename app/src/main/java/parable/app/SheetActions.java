package parable.app;

/** What can be done with the sheets of a job as wholes; every one of it can be undone. */
interface SheetActions {

    /** Shows all sheets, and those of the library, as pictures. */
    void showAll();

    /** Asks what a starter is to do, and adds the sheet that the library proposes. */
    void start();

    /** Adds a sheet with nothing on it. */
    void addEmpty();

    /** Adds a copy of the shown sheet. */
    void copy();

    /** Asks for another name for the shown sheet. */
    void rename();

    /** Moves the shown sheet among the others by so many places, negative to the left. */
    void move(int places);

    /** Takes the shown sheet away; the last one stays. */
    void remove();
}
