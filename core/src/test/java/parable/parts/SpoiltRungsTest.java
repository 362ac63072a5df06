package parable.parts;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import parable.Examples;
import parable.Share;
import parable.circuit.Circuit;
import parable.circuit.Device;
import parable.circuit.Practice;
import parable.circuit.Rung;
import parable.circuit.RungItem;
import parable.circuit.Sheet;
import parable.circuit.WiringMethod;
import parable.draw.SheetDrawing;
import parable.network.Network;
import parable.starters.Library;
import parable.wiring.StripTerminal;

/** Whatever a rung is made into: a sheet that was fitted out before its edits is drawn, wired and compiled as if it were new. */
class SpoiltRungsTest {

    private static final int SHEETS = Share.oneIn(10, 1_000);

    @Test
    void editedIsAsNew() throws PartException {
        List<Sheet> library =
                Library.jobs().stream().flatMap(job -> job.sheets().stream()).toList();
        for (int seed = 0; seed < SHEETS; seed++) {
            Random random = new Random(seed);
            Sheet good = library.get(random.nextInt(library.size()));
            Sheet wired = good.withFieldwork(good.fieldwork().by(any(List.of(WiringMethod.values()), random)));
            Sheet spoilt = wired;
            for (int edits = 1 + random.nextInt(5); edits > 0; edits--) {
                spoilt = spoilt(spoilt, random);
            }
            Assembly edited = Examples.fitted(wired).on(spoilt);
            Assembly fresh = Assembly.of(spoilt);

            String name = seed + " " + good.name();
            assertThat(edited.nodes().all()).as(name).isEqualTo(fresh.nodes().all());
            assertThat(Network.of(edited).branches())
                    .as(name)
                    .isEqualTo(Network.of(fresh).branches());
            assertThat(StripTerminal.of(edited)).as(name).isEqualTo(StripTerminal.of(fresh));
            assertThat(SheetDrawing.of(edited, Practice.IEC).marks())
                    .as(name)
                    .isEqualTo(SheetDrawing.of(fresh, Practice.IEC).marks());
        }
    }

    private static <T> T any(List<T> all, Random random) {
        return all.get(random.nextInt(all.size()));
    }

    private static Sheet spoilt(Sheet sheet, Random random) {
        if (random.nextInt(6) == 0) {
            List<Device> devices = new ArrayList<>(sheet.devices());
            Collections.rotate(devices, random.nextInt(devices.size()));
            return sheet.withDevices(devices);
        }
        Circuit circuit = random.nextInt(4) == 0 ? Circuit.POWER : Circuit.CONTROL;
        List<Rung> rungs = new ArrayList<>(sheet.rungs(circuit));
        if (rungs.isEmpty()) {
            return sheet;
        }
        int at = random.nextInt(rungs.size());
        switch (random.nextInt(5)) {
            case 0 -> rungs.add(random.nextInt(rungs.size() + 1), rungs.get(at));
            case 1 -> rungs.add(random.nextInt(rungs.size()), rungs.remove(at));
            default -> rungs.set(at, spoilt(rungs.get(at), sheet, random));
        }
        return sheet.withRungs(circuit, rungs);
    }

    /** A rung the other way round, a device turned, taken away, doubled or borrowed, a point put in, another end. */
    private static Rung spoilt(Rung rung, Sheet sheet, Random random) {
        List<RungItem> items = new ArrayList<>(rung.items());
        int within = 1 + random.nextInt(items.size() - 1);
        int end = random.nextBoolean() ? 0 : items.size() - 1;
        switch (random.nextInt(6)) {
            case 0 -> Collections.reverse(items);
            case 1 -> items.replaceAll(SpoiltRungsTest::turned);
            case 2 -> items.subList(1, Math.max(1, items.size() - 1)).clear();
            case 3 -> items.add(within, point(sheet, random));
            case 4 -> passages(any(sheet.rungs().toList(), random)).forEach(passage -> items.add(within, passage));
            default -> items.set(end, point(sheet, random));
        }
        return new Rung(items, rung.remark());
    }

    private static RungItem turned(RungItem item) {
        return item instanceof RungItem.Passage passage
                ? new RungItem.Passage(passage.tag(), passage.to(), passage.from())
                : item;
    }

    private static List<RungItem> passages(Rung rung) {
        return rung.items().stream().filter(RungItem.Passage.class::isInstance).toList();
    }

    /** A point of some number, now and then that of a rail. */
    private static RungItem point(Sheet sheet, Random random) {
        boolean rail = random.nextInt(3) == 0 && !sheet.rails().isEmpty();
        String number = rail ? any(sheet.rails(), random).number() : Integer.toString(1 + random.nextInt(12));
        return new RungItem.NamedPoint(number, false);
    }
}
