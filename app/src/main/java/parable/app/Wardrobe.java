package parable.app;

import atlantafx.base.theme.PrimerDark;
import atlantafx.base.theme.PrimerLight;
import java.util.Locale;
import javafx.scene.Scene;
import parable.app.look.Theme;

/** The style sheets of a window, by theme. */
final class Wardrobe {

    private Wardrobe() {}

    /** Lets a scene wear a theme, and no other. */
    static void wear(Scene scene, Theme theme) {
        scene.getStylesheets().setAll(style("parable.css"));
        if (theme != Theme.DAY) {
            scene.getStylesheets().add(style("parable-" + theme.name().toLowerCase(Locale.ROOT) + ".css"));
        }
        scene.setUserAgentStylesheet(
                theme == Theme.NIGHT
                        ? new PrimerDark().getUserAgentStylesheet()
                        : new PrimerLight().getUserAgentStylesheet());
    }

    /** A style sheet of the window, by its name. */
    static String style(String name) {
        return Wardrobe.class.getResource(name).toExternalForm();
    }
}
