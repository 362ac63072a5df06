package parable.stroke;

import java.util.List;
import java.util.Optional;
import parable.circuit.ColourUse;
import parable.circuit.Device;
import parable.circuit.EditException;
import parable.circuit.RungItem;
import parable.circuit.Sheet;

/** Strokes about what starts a contactor or relay and what stops it. */
final class StartAndStop {

    private final StrokeSheet desk;
    private final Buttons buttons;

    StartAndStop(StrokeSheet desk) {
        this.desk = desk;
        buttons = new Buttons(desk);
    }

    Sheet holdIn() throws EditException {
        List<RungItem.Passage> starts = buttons.starts();
        if (starts.isEmpty()) {
            throw desk.noFit("no button that starts it", "an open button before its coil");
        }
        if (!buttons.heldStarts().isEmpty()) {
            throw desk.noFit("it holds itself in already", "a start that nothing bridges");
        }
        desk.around(desk.placeOf(starts.get(0)), desk.tag());
        return desk.sheet();
    }

    Sheet station() throws EditException {
        List<RungItem.Passage> starts = buttons.heldStarts();
        List<RungItem.Passage> stops = buttons.stops();
        if (starts.isEmpty() || stops.isEmpty()) {
            throw desk.noFit(
                    starts.isEmpty() ? "no start that its own contact holds" : "no stop that nothing leads around",
                    "one station with start and stop first");
        }
        String place = freeStation();
        String stop = desk.fresh("push-button", "Stop", place, Optional.of(ColourUse.STOP));
        String start = desk.fresh("push-button", "Start", place, Optional.of(ColourUse.START));
        desk.around(desk.placeOf(starts.get(starts.size() - 1)), start);
        desk.inSeries(desk.placeOf(stops.get(stops.size() - 1)), true, "/" + stop);
        return desk.sheet();
    }

    private String freeStation() {
        List<String> there = desk.sheet().devices().stream().map(Device::place).toList();
        int number = 2;
        while (there.contains("Station " + number)) {
            number++;
        }
        return "Station " + number;
    }

    Sheet endSwitch() throws EditException {
        String end = desk.fresh("limit-switch", "End switch", "machine", Optional.empty());
        desk.inSeries(desk.coil(), false, "/" + end);
        return desk.sheet();
    }
}
