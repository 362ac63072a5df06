package parable.app.run;

import java.util.LinkedHashMap;
import java.util.Map;
import parable.parts.Part;

/** The user's grips on the devices of a sheet, by tag; an edit leaves the grips on devices that are still there. */
public final class Handles {

    private final Map<String, Handle> byTag = new LinkedHashMap<>();

    /** Grips everything that can be moved by hand in a run, also after the sheet has changed. */
    public Handles(RunModel run) {
        run.assemblyProperty().addListener((any, before, changed) -> grip(run));
        grip(run);
    }

    private void grip(RunModel run) {
        Map<String, Handle> before = new LinkedHashMap<>(byTag);
        byTag.clear();
        for (Part part : run.assembly().parts()) {
            if (Handle.fits(part)) {
                Handle handle = before.get(part.tag());
                if (handle == null) {
                    handle = new Handle(run, part);
                } else {
                    handle.hold(part);
                }
                byTag.put(part.tag(), handle);
            }
        }
    }

    /** The grips, in the order of the sheet's devices; not to be changed. */
    public Map<String, Handle> byTag() {
        return byTag;
    }
}
