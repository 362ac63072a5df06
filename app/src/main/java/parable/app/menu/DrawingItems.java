package parable.app.menu;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.control.MenuItem;
import parable.app.desk.DeskModel;
import parable.app.run.RunModel;
import parable.app.sheet.Hit;
import parable.card.Pick;
import parable.circuit.Circuit;
import parable.circuit.Place;
import parable.offer.Spot;
import parable.parts.Family;
import parable.parts.Part;

/** What can be drawn at the thing that was pointed at. */
final class DrawingItems {

    private final RunModel run;
    private final MenuDesk desk;

    DrawingItems(RunModel run, MenuDesk desk) {
        this.run = run;
        this.desk = desk;
    }

    List<List<MenuItem>> of(Hit hit) {
        List<List<MenuItem>> groups = new ArrayList<>();
        Optional<Place> place = hit.place();
        hit.tag()
                .flatMap(tag -> run.assembly().part(tag))
                .filter(part -> part.family() == Family.CONTACTOR || part.family() == Family.CONTROL_RELAY)
                .map(Part::tag)
                .ifPresent(tag -> groups.add(List.of(SheetMenu.item(
                        "menu-strokes", "Whole steps at " + tag + "\u2026", () -> desk.chooseSteps(tag)))));
        place.filter(at -> at.circuit() == Circuit.CONTROL).ifPresent(at -> groups.add(putting(at)));
        place.filter(at -> at.circuit() == Circuit.POWER).ifPresent(at -> {
            groups.add(puttingIntoLines(at));
            groups.add(List.of(selected("menu-take", "Take away from its lines", at, desk.desk()::take)));
        });
        place.filter(at -> at.circuit() == Circuit.CONTROL).ifPresent(at -> groups.add(changing(at)));
        if (place.isEmpty()) {
            int last = run.assembly().sheet().control().size();
            groups.add(List.of(SheetMenu.item(
                    "menu-new-rung", "New rung at the end\u2026", () -> desk.choose(new Spot.NewRung(last)))));
        }
        return groups;
    }

    private List<MenuItem> putting(Place at) {
        return List.of(
                SheetMenu.item(
                        "menu-before",
                        "Put something before it\u2026",
                        () -> desk.choose(new Spot.InSeries(at, false))),
                SheetMenu.item(
                        "menu-behind", "Put something behind it\u2026", () -> desk.choose(new Spot.InSeries(at, true))),
                SheetMenu.item("menu-around", "Put something in parallel\u2026", () -> desk.choose(around(at))),
                SheetMenu.item("menu-branch", "A branch to the return\u2026", () -> desk.choose(new Spot.ToReturn(at))),
                SheetMenu.item("menu-exchange", "Exchange it\u2026", () -> desk.choose(new Spot.Exchange(at))),
                SheetMenu.item(
                        "menu-rung-below",
                        "A new rung below\u2026",
                        () -> desk.choose(new Spot.NewRung(at.rung() + 1))));
    }

    /** In the power circuit: into all lines that lead through it. */
    private List<MenuItem> puttingIntoLines(Place at) {
        return List.of(
                SheetMenu.item(
                        "menu-before", "Put something above it\u2026", () -> desk.choose(new Spot.InSeries(at, false))),
                SheetMenu.item(
                        "menu-behind", "Put something below it\u2026", () -> desk.choose(new Spot.InSeries(at, true))),
                SheetMenu.item(
                        "menu-around",
                        "Put something in parallel\u2026",
                        () -> desk.choose(new Spot.Around(at, at.item()))),
                SheetMenu.item("menu-exchange", "Exchange it\u2026", () -> desk.choose(new Spot.Exchange(at))));
    }

    /** Around the stretch that is selected, if it was begun on the same rung. */
    private Spot around(Place at) {
        return desk.desk()
                .selection()
                .spot()
                .filter(Spot.Around.class::isInstance)
                .filter(spot -> spot.selected().orElseThrow().at().rung() == at.rung())
                .orElseGet(() -> new Spot.Around(at, at.item()));
    }

    private List<MenuItem> changing(Place at) {
        DeskModel model = desk.desk();
        return List.of(
                selected("menu-invert", "Open \u2194 closed at rest", at, model::invert),
                selected("menu-take", "Take away", at, model::take),
                selected("menu-left", "Move it to the left", at, () -> model.moveDevice(-1)),
                selected("menu-right", "Move it to the right", at, () -> model.moveDevice(1)),
                selected("menu-rung-up", "Move the rung up", at, () -> model.moveRung(-1)),
                selected("menu-rung-down", "Move the rung down", at, () -> model.moveRung(1)),
                SheetMenu.item(
                        "menu-rung-card",
                        "The rung and its remark",
                        () -> desk.card(new Pick.OfRung(at.circuit(), at.rung()))));
    }

    private MenuItem selected(String id, String words, Place at, Runnable action) {
        return SheetMenu.item(id, words, () -> {
            desk.desk().select(at);
            action.run();
        });
    }
}
