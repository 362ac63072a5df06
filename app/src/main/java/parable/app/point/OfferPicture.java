package parable.app.point;

import javafx.scene.canvas.Canvas;
import parable.app.look.Ink;
import parable.app.sheet.SymbolPicture;
import parable.circuit.Device;
import parable.circuit.Practice;
import parable.draw.Drawing;
import parable.draw.SymbolDrawing;
import parable.offer.Offer;
import parable.parts.Catalogue;
import parable.parts.Part;
import parable.parts.SettingException;

/** The symbol of what is offered. */
final class OfferPicture extends Canvas {

    private static final double SCALE = 0.9;

    OfferPicture(Offer offer, Practice practice, Ink ink) {
        Device device = offer.device();
        try {
            Part part = Catalogue.kind(device.kind()).orElseThrow().fit(device.with("blocks", blocks(offer, device)));
            Drawing drawing =
                    switch (offer.shape()) {
                        case LOAD -> SymbolDrawing.ofLoad(part, 0, practice);
                        case MOTOR -> SymbolDrawing.ofMotor(part);
                        case OPEN_CONTACT, CLOSED_CONTACT, POLE -> SymbolDrawing.ofContact(
                                part, contact(part, offer.shape()), practice);
                    };
            setWidth(drawing.width() * SCALE);
            setHeight(drawing.height() * SCALE);
            SymbolPicture.paint(getGraphicsContext2D(), drawing, SCALE, ink);
        } catch (SettingException impossible) {
            throw new IllegalStateException("what is offered can be fitted out", impossible);
        }
    }

    /** A button has the block that it would get. */
    private static String blocks(Offer offer, Device device) {
        boolean fitted =
                device.setting("blocks").filter(blocks -> !blocks.isBlank()).isPresent();
        boolean takes = device.setting("blocks").isPresent();
        return !takes || fitted
                ? device.setting("blocks").orElse("")
                : offer.shape() == Offer.Shape.CLOSED_CONTACT ? "11-12" : "13-14";
    }

    private static int contact(Part part, Offer.Shape shape) {
        boolean closed = shape == Offer.Shape.CLOSED_CONTACT;
        for (int i = 0; i < part.contacts().size(); i++) {
            boolean pole = part.contacts().get(i).pole();
            boolean asWanted = part.contacts().get(i).isNormallyClosed() == closed;
            if (shape == Offer.Shape.POLE ? pole : !pole && asWanted) {
                return i;
            }
        }
        return 0;
    }
}
