package org.logophon.app.steps.feed;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Path2D;
import java.awt.geom.RoundRectangle2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import javax.imageio.ImageIO;

/** The cover of a feed: the mark of the house on its paper. */
final class FeedCover {

    private static final int SIDE = 1_400;

    private FeedCover() {}

    static byte[] png() {
        BufferedImage image = new BufferedImage(SIDE, SIDE, BufferedImage.TYPE_INT_RGB);
        Graphics2D pen = image.createGraphics();
        pen.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        pen.setColor(new Color(0xf0ebe1));
        pen.fillRect(0, 0, SIDE, SIDE);
        // in the measures of the mark itself, which is 28 wide
        pen.translate(SIDE * 0.15, SIDE * 0.15);
        pen.scale(SIDE * 0.7 / 28, SIDE * 0.7 / 28);
        RoundRectangle2D frame = new RoundRectangle2D.Double(1.5, 1.5, 25, 25, 14, 14);
        pen.setColor(new Color(0x1d2a33));
        pen.fill(frame);
        pen.setColor(new Color(0xe9a23b));
        pen.setStroke(new BasicStroke(2));
        pen.draw(frame);
        Path2D voice = new Path2D.Double();
        voice.moveTo(6, 18.5);
        voice.quadTo(10, 9.5, 14, 15);
        voice.quadTo(18, 20.5, 22, 9);
        pen.setColor(new Color(0xfdfcf7));
        pen.setStroke(new BasicStroke(2.2f, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND));
        pen.draw(voice);
        pen.setColor(new Color(0xe9a23b));
        pen.fillOval(20, 7, 4, 4);
        pen.dispose();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            ImageIO.write(image, "png", out);
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
        return out.toByteArray();
    }
}
