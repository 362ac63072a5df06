package parable.app;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import javafx.scene.Scene;
import parable.app.look.Theme;

/** The style sheets of a window, by theme. */
final class Wardrobe {

    private Wardrobe() {}

    /** Lets a scene wear a theme, and no other. */
    static void wear(Scene scene, Theme theme) {
        List<String> sheets = new ArrayList<>(List.of(style("parable.css")));
        if (theme != Theme.DAY) {
            sheets.add(style("parable-" + theme.name().toLowerCase(Locale.ROOT) + ".css"));
        }
        scene.setUserAgentStylesheet(controls(theme));
        scene.getStylesheets().setAll(sheets);
    }

    /** What controls wear, by theme: the style sheet under those of the window. */
    static String controls(Theme theme) {
        return style(theme == Theme.NIGHT ? "/parable/theme/night.bss" : "/parable/theme/day.bss");
    }

    /** A style sheet of the window, by its name. */
    static String style(String name) {
        return Wardrobe.class.getResource(name).toExternalForm();
    }
}
