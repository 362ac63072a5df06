package parable.app.menu;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import parable.app.fault.FaultGroups;
import parable.app.meter.MeterModel;
import parable.app.meter.Probe;
import parable.app.run.Handle;
import parable.app.run.RunModel;
import parable.app.sheet.Hit;
import parable.bench.Action;
import parable.bench.Fault;
import parable.bench.Moment;
import parable.card.Pick;
import parable.draw.Subject;
import parable.parts.Contact;
import parable.parts.Part;

/** Makes the menu of what is on the drawing at a point. */
public final class SheetMenu {

    private final RunModel run;
    private final Map<String, Handle> handles;
    private final MeterModel meter;
    private final MenuDesk desk;

    /**
     * The menus of a running sheet.
     *
     * @param handles the grips on its devices, by tag
     */
    public SheetMenu(RunModel run, Map<String, Handle> handles, MeterModel meter, MenuDesk desk) {
        this.run = run;
        this.handles = handles;
        this.meter = meter;
        this.desk = desk;
    }

    /** The menu of what is at a point; without items if nothing can be done there. */
    public ContextMenu of(Hit hit) {
        List<List<MenuItem>> groups = new ArrayList<>();
        if (desk.draws()) {
            groups.addAll(new DrawingItems(run, desk).of(hit));
        }
        hit.tag().flatMap(tag -> run.assembly().part(tag)).ifPresent(part -> {
            groups.add(desk.draws() ? List.of() : operating(part));
            groups.add(asking(part));
            groups.add(desk.draws() ? List.of() : faults(part, hit));
        });
        groups.add(desk.measures() ? probes(hit) : List.of());
        hit.wire()
                .filter(number -> hit.tag().isEmpty())
                .ifPresent(number -> groups.add(
                        List.of(item("menu-card", "Wire " + number, () -> desk.card(new Pick.OfWire(number))))));
        ContextMenu menu = new ContextMenu();
        menu.setId("sheet-menu-here");
        for (List<MenuItem> group : groups) {
            if (!group.isEmpty() && !menu.getItems().isEmpty()) {
                menu.getItems().add(new SeparatorMenuItem());
            }
            menu.getItems().addAll(group);
        }
        return menu;
    }

    static MenuItem item(String id, String words, Runnable action) {
        MenuItem item = new MenuItem(words);
        item.setId(id);
        item.setOnAction(event -> action.run());
        return item;
    }

    private List<MenuItem> operating(Part part) {
        Optional<Handle> handle = Optional.ofNullable(handles.get(part.tag()));
        if (handle.isEmpty()) {
            return List.of();
        }
        Handle grip = handle.get();
        List<MenuItem> items = new ArrayList<>();
        if (grip.springsBack()) {
            items.add(item("menu-tap", "Press " + part.tag() + " shortly", () -> {
                grip.grip(this);
                grip.letGo(this);
            }));
            boolean held = grip.latchedProperty().get();
            items.add(item(
                    "menu-hold",
                    (held ? "Let go of " : "Hold ") + part.tag() + (held ? "" : " down"),
                    grip::toggleLatch));
            return items;
        }
        Action next = grip.next(run.shownProperty().get());
        String words =
                (next.verb().word() + " " + part.tag() + (next.position().isEmpty() ? "" : " to " + next.position()));
        items.add(item(
                "menu-operate",
                words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1),
                () -> run.act(next)));
        if (grip.hasStopButton()) {
            items.add(item("menu-stop-button", "Press the stop button of " + part.tag() + " shortly", () -> {
                grip.stopButton(true);
                grip.stopButton(false);
            }));
        }
        return items;
    }

    private List<MenuItem> asking(Part part) {
        List<MenuItem> items = new ArrayList<>();
        String tag = part.tag();
        if (!part.loads().isEmpty()) {
            Moment moment = run.shownProperty().get();
            boolean on = moment.assembly() == run.assembly() && moment.energised(tag);
            items.add(item("menu-why", "Why is " + tag + (on ? " on?" : " off?"), () -> desk.why(tag)));
        }
        items.add(item("menu-card", "Card of " + tag, () -> desk.card(new Pick.OfDevice(tag))));
        return items;
    }

    /** The likely faults of what was pointed at first, behind them all of the device. */
    private List<MenuItem> faults(Part part, Hit hit) {
        Moment moment = run.shownProperty().get();
        List<Fault> there = moment.faults();
        List<Fault> possible = Fault.possibleIn(part);
        List<Fault> likely = possible.stream()
                .filter(fault -> isLikely(fault, part, hit))
                .limit(5)
                .toList();
        List<MenuItem> items = new ArrayList<>();
        there.stream()
                .filter(fault -> fault.tag().equals(part.tag()))
                .forEach(fault ->
                        items.add(item("menu-mend", "Take out: " + fault.words(), () -> run.set(fault, false))));
        likely.stream()
                .filter(fault -> !there.contains(fault))
                .forEach(fault -> items.add(item(
                        "menu-fault-" + fault.kind().word(), "Fault: " + fault.words(), () -> run.set(fault, true))));
        Menu others = new Menu("All faults of " + part.tag());
        others.setId("menu-faults");
        others.getItems().setAll(FaultGroups.of(run, part));
        if (!others.getItems().isEmpty()) {
            items.add(others);
        }
        return items;
    }

    private static boolean isLikely(Fault fault, Part part, Hit hit) {
        boolean whole =
                switch (fault.kind()) {
                    case STUCK, BLOWN, LOST, MISSET, UNDERSET, MISSING, BROKEN -> true;
                    default -> false;
                };
        boolean onContact = hit.subject().orElseThrow() instanceof Subject.OfContact of
                && of.contact() < part.contacts().size()
                && isOn(fault, part.contacts().get(of.contact()));
        return onContact
                || whole && !(hit.subject().orElseThrow() instanceof Subject.OfContact)
                || fault.kind() == Fault.Kind.STUCK;
    }

    private static boolean isOn(Fault fault, Contact contact) {
        return switch (fault.kind()) {
            case WELDED, BURNT -> fault.place().equals(contact.marking());
            case OFF -> fault.place().equals(contact.from()) || fault.place().equals(contact.to());
            default -> false;
        };
    }

    private List<MenuItem> probes(Hit hit) {
        if (hit.wire().isEmpty()) {
            return List.of();
        }
        List<MenuItem> items = new ArrayList<>();
        for (Probe probe : Probe.values()) {
            items.add(item(
                    "menu-probe-" + probe.words(),
                    "Put the " + probe.words() + " probe on wire " + hit.wire().get(),
                    () -> {
                        meter.placeProperty(probe).set(hit.wire().get());
                        desk.meter();
                    }));
        }
        return items;
    }
}
