package parable.stroke;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import parable.circuit.Circuit;
import parable.circuit.ColourUse;
import parable.circuit.Device;
import parable.circuit.Edit;
import parable.circuit.EditException;
import parable.circuit.Place;
import parable.circuit.Places;
import parable.circuit.Rung;
import parable.circuit.RungItem;
import parable.circuit.Sheet;
import parable.circuit.Structure;
import parable.parts.Contact;
import parable.parts.Family;
import parable.parts.Part;

/** A second contactor that exchanges two lines, with a start of its own behind the same stops, and bars against both being in. */
final class SecondDirection {

    private static final int LINES = 3;

    private final StrokeSheet desk;
    private final PowerPoles poles;

    SecondDirection(StrokeSheet desk) {
        this.desk = desk;
        poles = new PowerPoles(desk);
    }

    Sheet drawn() throws EditException {
        new Barring(desk).requireNoOpponent();
        RungItem.Passage start = start();
        List<RungItem.Passage> own = poles.three();
        Device one = desk.sheet().device(desk.tag()).orElseThrow();
        String other = desk.fresh("contactor", "Reverse", one.place(), Optional.empty());
        desk.put(alike(one, desk.sheet().device(other).orElseThrow()));
        power(own, other);
        String button = desk.fresh("push-button", "Reverse", Places.DOOR, Optional.of(ColourUse.START));
        control(start, button, other);
        forward(start.tag());
        forward(desk.tag());
        return new Barring(desk.again()).bar();
    }

    /** A start on the coil's own rung that the contactor holds, with nothing between it and the coil that the second direction needs too. */
    private RungItem.Passage start() throws EditException {
        Place coil = desk.coil();
        RungItem.Passage start = new Buttons(desk)
                .heldStarts().stream()
                        .filter(held -> desk.placeOf(held).rung() == coil.rung())
                        .findFirst()
                        .orElseThrow(() -> desk.noFit(
                                "no start on its coil's rung that its own contact holds",
                                "a start and a contact that holds it in"));
        for (Place place : desk.places((place, passage) -> place.rung() == coil.rung()
                && place.item() > desk.placeOf(start).item()
                && place.item() < coil.item())) {
            RungItem.Passage between = Structure.passageAt(desk.sheet(), place);
            if (desk.family(between) != Family.MACHINE_SWITCH) {
                throw desk.noFit(
                        between.tag() + " between its start and its coil", "it before the start, for both directions");
            }
        }
        List<String> others = followers(start, coil);
        if (!others.isEmpty()) {
            throw desk.noFit(String.join(", ", others) + " started with it", "a contactor that is started alone");
        }
        return start;
    }

    /** What else pulls in by the same start, as star, delta and timer do. */
    private List<String> followers(RungItem.Passage start, Place coil) {
        Place at = desk.placeOf(start);
        RungItem after = desk.item(new Place(at.circuit(), at.rung(), at.item() + 1));
        return desk
                .places((place, passage) -> place.rung() != coil.rung()
                        && desk.isCommandCoil(passage)
                        && desk.rungs().get(place.rung()).items().contains(after))
                .stream()
                .map(place -> ((RungItem.Passage) desk.item(place)).tag())
                .toList();
    }

    /** The second contactor is for the same voltage and current; contacts and its other tag are its own. */
    private static Device alike(Device one, Device other) {
        Device alike = other;
        for (String setting : List.of("coil", "rated")) {
            alike = alike.with(setting, one.setting(setting).orElse(""));
        }
        return alike;
    }

    private void power(List<RungItem.Passage> own, String other) throws EditException {
        List<RungItem> line = new ArrayList<>();
        List<RungItem> motor = new ArrayList<>();
        for (RungItem.Passage pole : own) {
            line.add(poles.beside(pole, false));
            motor.add(poles.beside(pole, true));
        }
        Part part = desk.part(new RungItem.Passage(other, "1", "2"));
        List<Contact> its = part.contacts().stream().filter(Contact::pole).toList();
        for (int i = 0; i < LINES; i++) {
            RungItem.Passage pole =
                    new RungItem.Passage(other, its.get(i).from(), its.get(i).to());
            Rung rung = new Rung(List.of(line.get(i), pole, motor.get(LINES - 1 - i)), "");
            desk.put(new Edit.InsertRung(Circuit.POWER, desk.sheet().power().size(), rung).on(desk.sheet()));
        }
    }

    private void control(RungItem.Passage start, String button, String other) throws EditException {
        desk.put(Structure.pointAfter(desk.sheet(), desk.coil()));
        Place coil = desk.coil();
        String back = desk.item(new Place(coil.circuit(), coil.rung(), coil.item() + 1))
                .text();
        Place at = desk.placeOf(start);
        String before =
                desk.item(new Place(at.circuit(), at.rung(), at.item() - 1)).text();
        String after = desk.freePoint().text();
        int below = coil.rung() + 1;
        while (below < desk.rungs().size() && isBranch(desk.rungs().get(below))) {
            below++;
        }
        desk.rung(below, before + " " + button + " " + after + " (" + other + ") " + back + " ; reverse");
        desk.rung(below + 1, before + " " + other + " " + after);
    }

    private boolean isBranch(Rung rung) {
        return rung.items().get(0) instanceof RungItem.NamedPoint point && !point.rail();
    }

    /** What was the only direction is one of two now. */
    private void forward(String tag) {
        Device device = desk.sheet().device(tag).orElseThrow();
        if (List.of("", "Start", "Run", "Motor", "Motor contactor").contains(device.label())) {
            desk.put(device.labelled("Forward"));
        }
    }
}
