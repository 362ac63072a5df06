package parable.plc;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import parable.parts.Load;
import parable.parts.Part;

/** The circuits of the coils that a controller switches: by its outputs or by relays between, behind what stays in copper. */
final class CoilWiring {

    private final FieldDraft field;
    private final ControllerSupply supply;
    private final OutputWiring outputs;
    private final GuardWiring guard;
    private final Hardwired hardwired;

    CoilWiring(
            FieldDraft field, ControllerSupply supply, OutputWiring outputs, GuardWiring guard, Hardwired hardwired) {
        this.field = field;
        this.supply = supply;
        this.outputs = outputs;
        this.guard = guard;
        this.hardwired = hardwired;
    }

    /** Draws the circuits of these coils: relays between first, then coils for 24 V, then the others. */
    void draw(List<Translator.Fed> coils) {
        List<Way> ways = new ArrayList<>();
        List<Translator.Fed> direct = new ArrayList<>();
        for (Translator.Fed one : coils) {
            Load load = field.part(one.consumer()).loads().get(one.consumer().load());
            if (FieldDraft.isDirect24(load)) {
                direct.add(one);
            } else {
                ways.add(interposed(one));
            }
        }
        drawDirect(direct);
        drawWays(ways);
    }

    /** A coil's way from the rail in front to the rail behind it. */
    private record Way(
            String rail,
            List<ControlGraph.Edge> kept,
            String tail,
            int back,
            List<ControlGraph.Edge> behind,
            String remark) {}

    private Way interposed(Translator.Fed one) {
        Part part = field.part(one.consumer());
        Load load = part.loads().get(one.consumer().load());
        String relay = field.panel().tag(field.american() ? "CR" : "KA", 1);
        String label = part.device().label();
        List<String> settings = new ArrayList<>(List.of("coil", FieldDraft.DC_24, "changeovers", "1"));
        if (field.choices().transistor()) {
            settings.addAll(List.of("suppressor", "diode"));
        }
        field.panel()
                .device("control-relay", relay, "Output of " + part.tag(), "panel", settings.toArray(String[]::new));
        field.panel()
                .rung(supply.plus() + " " + outputs.contactOf(part.tag()) + " "
                        + field.panel().point() + " " + relay + "[A1-A2] " + supply.minus()
                        + (label.isEmpty() ? "" : " ; " + label));
        return new Way(
                field.railOf(one.feed()),
                hardwired.inFrontOf(one.consumer()),
                relay + "[11-14] " + field.panel().point() + " " + part.tag() + "[" + load.from() + "-" + load.to()
                        + "]",
                one.back(),
                hardwired.behind(one.consumer()),
                label.isEmpty() ? "" : " ; " + label);
    }

    /** What every 24 V coil has in front of it stays in front of the common of the outputs, the rest behind each. */
    private void drawDirect(List<Translator.Fed> direct) {
        if (direct.isEmpty()) {
            return;
        }
        String head = guard.point().isEmpty() ? guard.head() : guard.point();
        Map<List<ControlGraph.Edge>, String> returns = new HashMap<>();
        if (!guard.relay().isEmpty()) {
            field.panel()
                    .rung(head + " " + guard.relay() + "[A1-A2] "
                            + end(guard.guard().back(), guard.guard().behind(), returns)
                            + " ; tells the controller what guards in copper");
            head = guard.point();
        }
        for (int i = 0; i < direct.size(); i++) {
            Translator.Fed one = direct.get(i);
            Part part = field.part(one.consumer());
            Load load = part.loads().get(one.consumer().load());
            StringBuilder rung =
                    new StringBuilder(i == 0 ? head : guard.point()).append(' ').append(outputs.contactOf(part.tag()));
            for (ControlGraph.Edge edge : hardwired.inFrontOf(one.consumer())) {
                if (!guard.guard().has(edge)) {
                    rung.append(' ').append(field.panel().point()).append(' ').append(field.passage(edge));
                }
            }
            rung.append(' ').append(field.panel().point());
            rung.append(' ')
                    .append(part.tag())
                    .append('[')
                    .append(load.from())
                    .append('-')
                    .append(load.to())
                    .append(']');
            field.panel()
                    .rung(rung + " " + end(one.back(), hardwired.behind(one.consumer()), returns)
                            + (part.device().label().isEmpty()
                                    ? ""
                                    : " ; " + part.device().label()));
        }
    }

    private String end(int back, List<ControlGraph.Edge> behind, Map<List<ControlGraph.Edge>, String> returns) {
        if (behind.isEmpty()) {
            return field.railOf(back);
        }
        if (returns.containsKey(behind)) {
            return returns.get(behind);
        }
        String point = field.panel().point();
        returns.put(behind, point);
        return point + " "
                + behind.stream()
                        .map(field::passage)
                        .collect(Collectors.joining(" " + field.panel().point() + " "))
                + " " + field.railOf(back);
    }

    private void drawWays(List<Way> ways) {
        Map<List<ControlGraph.Edge>, String> returns = new HashMap<>();
        Map<String, List<Way>> byRail = new LinkedHashMap<>();
        ways.forEach(way ->
                byRail.computeIfAbsent(way.rail(), any -> new ArrayList<>()).add(way));
        if (!ways.isEmpty() && !guard.relay().isEmpty()) {
            field.panel()
                    .rung(guard.head() + " " + guard.relay() + "[A1-A2] "
                            + end(guard.guard().back(), guard.guard().behind(), returns)
                            + " ; tells the controller what guards in copper");
            List<Way> guarded = ways.stream().filter(this::isGuarded).toList();
            drawWays(guard.point(), guard.point(), guard.guard().front().size(), guarded, returns);
            byRail.values().forEach(some -> some.removeAll(guarded));
        }
        byRail.forEach((rail, some) -> drawWays(rail, rail, 0, some, returns));
    }

    private boolean isGuarded(Way way) {
        return way.rail().equals(field.railOf(guard.guard().feed()))
                && guard.guard().isInFrontOf(way.kept())
                && way.behind().equals(guard.guard().behind());
    }

    /** Ways that begin with the same contacts have them once; the first goes on on the rung that is begun. */
    private void drawWays(
            String begun, String point, int done, List<Way> ways, Map<List<ControlGraph.Edge>, String> returns) {
        Map<Optional<ControlGraph.Edge>, List<Way>> byNext = new LinkedHashMap<>();
        ways.forEach(
                way -> byNext.computeIfAbsent(way.kept().stream().skip(done).findFirst(), any -> new ArrayList<>())
                        .add(way));
        String rung = begun;
        for (Map.Entry<Optional<ControlGraph.Edge>, List<Way>> next : byNext.entrySet()) {
            if (next.getKey().isPresent()) {
                String after = field.panel().point();
                drawWays(
                        rung + " " + field.passage(next.getKey().get()) + " " + after,
                        after,
                        done + 1,
                        next.getValue(),
                        returns);
            } else {
                for (Way way : next.getValue()) {
                    field.panel()
                            .rung(rung + " " + way.tail() + " " + end(way.back(), way.behind(), returns)
                                    + way.remark());
                    rung = point;
                }
            }
            rung = point;
        }
    }
}
